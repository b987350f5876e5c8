import { promisify } from 'node:util'
import { gzip } from 'node:zlib'
import { Op } from 'sequelize'
import type { Fixed } from '../platform/deps'
import { RevokedStatus } from '../records/reports/model'
import { openSigner, ownDid } from './signing'

/** Bits of one list (W3C, Bitstring Status List v1.0, 2025, 3.1: at least 131 072, so that none stands out). */
const bitsOfList = 131_072
/** Whoever has a list asks again after this. */
export const listLastsMinutes = 5

const pack = promisify(gzip)

const listAddress = ({ config }: Pick<Fixed, 'config'>, nth: number) => `${config.publicUrl}/api/statuses/${nth}`

/** Where it is said of one credential whether it was taken back. */
export function statusEntryOf(deps: Pick<Fixed, 'config'>, index: number) {
  const list = listAddress(deps, Math.floor(index / bitsOfList))
  return {
    id: `${list}#${index % bitsOfList}`,
    type: 'BitstringStatusListEntry',
    statusPurpose: 'revocation',
    statusListIndex: String(index % bitsOfList),
    statusListCredential: list,
  }
}

/** Which of ours an entry of such a list speaks of. */
export const statusIndexOf = (list: string, index: number): number =>
  Number(list.split('/').at(-1)) * bitsOfList + index

/** One of our status lists as a signed credential (Bitstring Status List v1.0, 2.2). */
export async function signedStatusList(deps: Fixed, nth: number): Promise<string> {
  const first = nth * bitsOfList
  const revoked = await RevokedStatus.findAll({
    where: { statusIndex: { [Op.gte]: first, [Op.lt]: first + bitsOfList } },
    attributes: ['statusIndex'],
    raw: true,
  })
  const bits = Buffer.alloc(bitsOfList / 8)
  for (const { statusIndex } of revoked) {
    const at = statusIndex - first
    bits[at >> 3]! |= 0x80 >> (at & 7)
  }
  const packed = await pack(bits)
  const signer = await openSigner(deps)
  const now = Date.now()
  const id = listAddress(deps, nth)
  return signer.sign('vc+jwt', {
    '@context': ['https://www.w3.org/ns/credentials/v2'],
    id,
    type: ['VerifiableCredential', 'BitstringStatusListCredential'],
    issuer: ownDid(deps.config),
    validFrom: new Date(now).toISOString(),
    validUntil: new Date(now + listLastsMinutes * 60_000).toISOString(),
    credentialSubject: {
      ...{ id: `${id}#list`, type: 'BitstringStatusList', statusPurpose: 'revocation' },
      encodedList: `u${packed.toString('base64url')}`,
      ttl: listLastsMinutes * 60_000,
    },
  })
}
