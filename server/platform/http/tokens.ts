import { createHash, randomBytes } from 'node:crypto'

/** A secret for a link or a cookie (256 bits), and the hash under which it is kept. */
export function newToken(): { token: string; tokenHash: string } {
  const token = randomBytes(32).toString('base64url')
  return { token, tokenHash: hashOf(token) }
}

export const hashOf = (token: string) => createHash('sha256').update(token).digest('hex')
