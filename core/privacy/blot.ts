const blot = '…'
const mailAddress = /[^\s<>()]+@[^\s<>()]+/g
/** Six digits and more, however they are set: telephone numbers, days of birth, numbers of papers. */
const longNumber = /\+?\d(?:[\s().\-/]*\d){5,}/g
const word = /[\p{L}\p{M}]+/gu
const plain = (text: string) => text.normalize('NFD').replace(/\p{M}/gu, '').toLowerCase()

/**
 * What somebody wrote, without what tells who they are: parts of their names, mail addresses and long numbers give way to
 * an ellipsis. Whatever else they say of themselves stays.
 *
 * @param names names in full, and what else tells, such as a street; their words are looked for whatever their case and accents
 */
export function blotted(text: string, names: readonly string[]): string {
  const parts = new Set(names.flatMap((name) => name.match(word) ?? []).map(plain))
  return text
    .replace(mailAddress, blot)
    .replace(longNumber, blot)
    .replace(word, (one) => (parts.has(plain(one)) ? blot : one))
}
