import { createCipheriv, createDecipheriv, createHmac, hkdfSync, randomBytes } from 'node:crypto'
import { mkdirSync, readFileSync, writeFileSync } from 'node:fs'
import { dirname } from 'node:path'

/** What is sealed or signed with the installation's own key, which is never in the database. */
export type Vault = {
  /** A value nobody else can make, for one purpose: HMAC-SHA-256, base64url. */
  sign: (purpose: string, text: string) => string
  /** A text only this installation can read, for one purpose: AES-256-GCM (NIST SP 800-38D), base64url. */
  seal: (purpose: string, text: string) => string
  /** What was sealed for the purpose; undefined where it was not, or was changed. */
  unseal: (purpose: string, sealed: string) => string | undefined
}

const keyBytes = 32
const nonceBytes = 12
const tagBytes = 16

/**
 * @param key 32 bytes as base64, where several machines share one; otherwise it is kept in `file`, made at the first start
 * @throws Error in words for whoever runs it where the key is of another length
 */
export function openVault({ key, file }: { key: string | undefined; file: string }): Vault {
  const master = key === undefined ? keyIn(file) : Buffer.from(key, 'base64')
  if (master.length !== keyBytes)
    throw new Error(`SECRET_KEY must be ${keyBytes} bytes as base64, such as \`openssl rand -base64 32\` prints.`)
  const keyFor = (purpose: string) => Buffer.from(hkdfSync('sha256', master, '', `probatum ${purpose}`, keyBytes))
  return {
    sign: (purpose, text) => createHmac('sha256', keyFor(purpose)).update(text).digest('base64url'),
    seal: (purpose, text) => {
      const nonce = randomBytes(nonceBytes)
      const cipher = createCipheriv('aes-256-gcm', keyFor(purpose), nonce)
      const sealed = Buffer.concat([cipher.update(text, 'utf8'), cipher.final()])
      return Buffer.concat([nonce, sealed, cipher.getAuthTag()]).toString('base64url')
    },
    unseal: (purpose, sealed) => {
      const bytes = Buffer.from(sealed, 'base64url')
      if (bytes.length < nonceBytes + tagBytes) return undefined
      try {
        const decipher = createDecipheriv('aes-256-gcm', keyFor(purpose), bytes.subarray(0, nonceBytes))
        decipher.setAuthTag(bytes.subarray(-tagBytes))
        return Buffer.concat([decipher.update(bytes.subarray(nonceBytes, -tagBytes)), decipher.final()]).toString(
          'utf8',
        )
      } catch {
        return undefined
      }
    },
  }
}

/** The key of a file that only its owner can read; of several copies that start at once one makes it. */
function keyIn(file: string): Buffer {
  mkdirSync(dirname(file), { recursive: true, mode: 0o700 })
  try {
    writeFileSync(file, randomBytes(keyBytes).toString('base64'), { flag: 'wx', mode: 0o600 })
  } catch (error) {
    if ((error as NodeJS.ErrnoException).code !== 'EEXIST') throw error
  }
  return Buffer.from(readFileSync(file, 'utf8'), 'base64')
}
