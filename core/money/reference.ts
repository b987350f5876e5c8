/** Letters count from 10 (ISO 7064, as ISO 11649 uses it). */
const digitsOf = (text: string) => [...text].map((character) => Number.parseInt(character, 36)).join('')
const remainder = (digits: string) => [...digits].reduce((rest, digit) => (rest * 10 + Number(digit)) % 97, 0)

/**
 * A creditor reference by which a transfer finds what it pays (ISO 11649): `RF`, two check digits (mod 97-10, ISO 7064), then
 * ours.
 *
 * @param own letters and digits, at most 21
 * @throws RangeError where it holds anything else
 */
export function creditorReference(own: string): string {
  const text = own.toUpperCase()
  if (!/^[0-9A-Z]{1,21}$/.test(text)) throw new RangeError('a creditor reference is made of 1 to 21 letters and digits')
  return `RF${String(98 - remainder(`${digitsOf(`${text}RF`)}00`)).padStart(2, '0')}${text}`
}

/** The reference a text holds, without the spaces people write it with; `undefined` where its check digits are wrong. */
export function readCreditorReference(text: string): string | undefined {
  const plain = text.replace(/\s/g, '').toUpperCase()
  if (!/^RF\d{2}[0-9A-Z]{1,21}$/.test(plain)) return undefined
  return remainder(digitsOf(plain.slice(4) + plain.slice(0, 4))) === 1 ? plain : undefined
}

/** In groups of four, as it is written for people (ISO 11649, 4.3). */
export const writeCreditorReference = (reference: string) => reference.replace(/(.{4})(?=.)/g, '$1 ')
