/** What stands for one character of a number; everything else stands for itself. */
const signs: Readonly<Record<string, string>> = { '#': '[0-9]', '@': '[\\p{L}]', '*': '[\\p{L}0-9]' }

/**
 * The rule of a pattern of numbers as somebody at the desk writes it: `#` is a digit, `@` a letter, `*` either, `[1-4]` one of
 * what is in the brackets; several patterns are parted by a comma. No part repeats, so that however a pattern is written, a
 * number is looked at in a time that grows with its length only.
 *
 * @returns nothing where the pattern cannot be read
 */
export function numberRule(pattern: string): RegExp | undefined {
  const ways = pattern.split(',').map((way) => ruleOf(way.trim()))
  return ways.includes(undefined) ? undefined : new RegExp(`^(?:${ways.join('|')})$`, 'iu')
}

function ruleOf(way: string): string | undefined {
  if (way === '') return undefined
  const parts = way.match(/\[[^[\]]*\]|[^[\]]|[[\]]/gu)!
  const rules = parts.map((part) => (part.length > 1 && part.startsWith('[') ? oneOf(part.slice(1, -1)) : sign(part)))
  return rules.includes(undefined) ? undefined : rules.join('')
}

const sign = (character: string) => (/[[\]]/.test(character) ? undefined : (signs[character] ?? escaped(character)))

/** Letters and digits, and ranges of them from low to high. */
function oneOf(inside: string): string | undefined {
  if (!/^(?:[\p{L}0-9](?:-[\p{L}0-9])?)+$/u.test(inside)) return undefined
  const falls = [...inside.matchAll(/(.)-(.)/gu)].some(([, from, to]) => from!.codePointAt(0)! > to!.codePointAt(0)!)
  return falls ? undefined : `[${inside}]`
}

const escaped = (character: string) => character.replace(/[\\^$.|?*+(){}/]/, '\\$&')

/** Whether a number is one of a pattern; a pattern that cannot be read takes any. */
export const numberIs = (pattern: string, number: string): boolean => numberRule(pattern)?.test(number.trim()) ?? true
