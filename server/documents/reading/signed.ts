import { createHash } from 'node:crypto'
import { OctetString } from 'asn1js'
import { ContentInfo, SignedData } from 'pkijs'
import type { Making } from '#core/redFlags/facts'

/** Of the attributes that are signed: the digest of what is signed (RFC 5652, 11.2). */
const messageDigest = '1.2.840.113549.1.9.4'
const digests: Readonly<Record<string, string>> = {
  '1.3.14.3.2.26': 'sha1',
  '2.16.840.1.101.3.4.2.1': 'sha256',
  '2.16.840.1.101.3.4.2.2': 'sha384',
  '2.16.840.1.101.3.4.2.3': 'sha512',
}

/**
 * Whether a PDF was changed after it was signed: what a signature covers is no longer what it was made of, or something was
 * added behind it (ISO 32000-1, 12.8). Proofs that a signature is still good may be added later (ISO 32000-2, 12.8.4.3). Who
 * signed, and whether they may, is not looked at.
 */
export function signedAs(bytes: Buffer): Making['signed'] {
  const text = bytes.toString('latin1')
  const ranges = [...text.matchAll(/\/ByteRange\s*\[\s*(\d+)\s+(\d+)\s+(\d+)\s+(\d+)\s*\]/g)].map(
    (match) => match.slice(1, 5).map(Number) as [number, number, number, number],
  )
  if (ranges.length === 0) return 'not'
  const whole = ranges.every((range) => coversWhatItSigned(bytes, range))
  const covered = Math.max(...ranges.map(([, , from, length]) => from + length))
  return whole && isProofAlone(text.slice(covered)) ? 'whole' : 'changed'
}

const isProofAlone = (added: string): boolean =>
  added.trim() === '' || (added.includes('/DSS') && !/\/Type\s*\/(Page|Annot|XObject|Font|ObjStm)\b/.test(added))

function coversWhatItSigned(
  bytes: Buffer,
  [a, aLength, b, bLength]: readonly [number, number, number, number],
): boolean {
  if (a !== 0 || b < aLength || b + bLength > bytes.length) return false
  const signed = Buffer.concat([bytes.subarray(a, a + aLength), bytes.subarray(b, b + bLength)])
  const hex = /<([0-9A-Fa-f\s]+)>/.exec(bytes.subarray(aLength, b).toString('latin1'))?.[1]?.replace(/\s/g, '')
  if (!hex) return false
  try {
    const { content } = ContentInfo.fromBER(new Uint8Array(Buffer.from(hex, 'hex')))
    const [signer] = new SignedData({ schema: content }).signerInfos
    const digest = digests[signer?.digestAlgorithm.algorithmId ?? '']
    const said = signer?.signedAttrs?.attributes.find(({ type }) => type === messageDigest)?.values[0]
    // Of a kind that cannot be checked here, nothing is said.
    if (!digest || !(said instanceof OctetString)) return true
    return createHash(digest).update(signed).digest().equals(Buffer.from(said.valueBlock.valueHexView))
  } catch {
    return true
  }
}
