/**
 * References people read to each other. A number becomes symbols of an alphabet of 31 (no I, L, O, U, Z, which are
 * heard or read as 1, 1, 0, V and 2) and two check symbols of a Reed–Solomon code over the integers modulo 31
 * (Reed & Solomon 1960, "Polynomial Codes over Certain Finite Fields"). Two check symbols give a distance of three:
 * every one or two wrong symbols and every swap of any two symbols are caught, and a single wrong symbol can be named.
 * That is more than ISO/IEC 7064 MOD 37,36, which misses some swaps.
 */

const alphabet = '0123456789ABCDEFGHJKMNPQRSTVWXY'
const modulus = 31
/** A primitive root modulo 31: its powers run through all of 1 to 30. */
const root = 3
const shortestPayload = 4
const longestCode = modulus - 1
/** Spreads consecutive numbers over the codes, so that neighbours do not look alike. Coprime to 31. */
const spread = 514_229

const powers = Array.from({ length: modulus }, (_, exponent) => power(root, exponent))

export type ReferenceReading =
  | { ok: true; reference: string; number: number }
  | { ok: false; code: 'too-short' | 'strange-character' | 'wrong-prefix'; likely?: undefined }
  | { ok: false; code: 'check-failed'; likely?: string }

/**
 * The reference of a number, such as `VM-7K3Q-R9`.
 *
 * @param prefix letters that say what kind of thing it is, such as `VM`
 * @param number a whole number from 0; up to 923 520 gives four symbols, more gives more. `RangeError` otherwise.
 */
export function writeReference(prefix: string, number: number): string {
  if (!Number.isSafeInteger(number) || number < 0) throw new RangeError('a reference needs a whole number from 0')
  const payload = payloadOf(number)
  return written(prefix, [...payload, ...checksOf(payload)])
}

/**
 * Reads a typed reference. Forgiving: case, spaces and hyphens do not matter, O is 0, I and L are 1, U is V, Z is 2.
 *
 * @returns the reference and its number, or what is wrong and, where one single slip (a wrong symbol or two neighbours
 *   swapped) explains it, the reference that was most likely meant
 */
export function readReference(prefix: string, typed: string): ReferenceReading {
  const plain = typed.toUpperCase().replace(/[\s\-–—_.]/g, '')
  if (!plain.startsWith(prefix.toUpperCase())) return { ok: false, code: 'wrong-prefix' }
  const body = plain.slice(prefix.length).replace(/O/g, '0').replace(/[IL]/g, '1').replace(/U/g, 'V').replace(/Z/g, '2')
  const symbols = [...body].map((character) => alphabet.indexOf(character))
  if (symbols.includes(-1)) return { ok: false, code: 'strange-character' }
  if (symbols.length < shortestPayload + 2 || symbols.length > longestCode) return { ok: false, code: 'too-short' }
  if (isCode(symbols)) return { ok: true, reference: written(prefix, symbols), number: numberOf(symbols.slice(0, -2)) }
  const likely = swapped(symbols) ?? corrected(symbols)
  return { ok: false, code: 'check-failed', likely: likely && written(prefix, likely) }
}

function written(prefix: string, symbols: readonly number[]): string {
  const text = symbols.map((symbol) => alphabet[symbol]).join('')
  return `${prefix}-${text.slice(0, -2)}-${text.slice(-2)}`
}

function lengthFor(number: number): number {
  let length = shortestPayload
  while (modulus ** length <= number) length += 1
  return length
}

function payloadOf(number: number): number[] {
  const length = lengthFor(number)
  const size = BigInt(modulus) ** BigInt(length)
  // Numbers of the same length are shuffled among themselves, so the length tells how to read them back.
  let rest = Number((BigInt(number) * BigInt(spread)) % size)
  const symbols: number[] = []
  for (let index = 0; index < length; index += 1) {
    symbols.unshift(rest % modulus)
    rest = Math.floor(rest / modulus)
  }
  return symbols
}

function numberOf(payload: readonly number[]): number {
  const size = BigInt(modulus) ** BigInt(payload.length)
  const value = payload.reduce((sum, symbol) => sum * BigInt(modulus) + BigInt(symbol), 0n)
  return Number((value * inverse(BigInt(spread), size)) % size)
}

/** Position counted from the right, so that check symbols stand at 1 and 0 whatever the length. */
const placeOf = (index: number, length: number) => length - 1 - index

function syndromes(symbols: readonly number[]): [number, number] {
  let first = 0
  let second = 0
  symbols.forEach((symbol, index) => {
    const place = placeOf(index, symbols.length)
    first += symbol * powers[place % 30]!
    second += symbol * powers[(2 * place) % 30]!
  })
  return [first % modulus, second % modulus]
}

const isCode = (symbols: readonly number[]) => syndromes(symbols).every((syndrome) => syndrome === 0)

/** The two symbols a (place 1) and b (place 0) with a·r + b = −s1 and a·r² + b = −s2. */
function checksOf(payload: readonly number[]): [number, number] {
  const [s1, s2] = syndromes([...payload, 0, 0])
  const a = mod((s1 - s2) * inverseModulo(mod(root * root - root)))
  return [a, mod(-s1 - a * root)]
}

function corrected(symbols: readonly number[]): number[] | undefined {
  const [s1, s2] = syndromes(symbols)
  if (s1 === 0 || s2 === 0) return undefined
  const place = powers.indexOf(mod(s2 * inverseModulo(s1)))
  const index = symbols.length - 1 - place
  if (place === -1 || index < 0) return undefined
  const error = mod(s1 * inverseModulo(powers[place]!))
  return symbols.map((symbol, at) => (at === index ? mod(symbol - error) : symbol))
}

function swapped(symbols: readonly number[]): number[] | undefined {
  for (let index = 0; index + 1 < symbols.length; index += 1) {
    const candidate = [...symbols]
    candidate[index] = symbols[index + 1]!
    candidate[index + 1] = symbols[index]!
    if (isCode(candidate)) return candidate
  }
  return undefined
}

const mod = (value: number) => ((value % modulus) + modulus) % modulus
const inverseModulo = (value: number) => power(mod(value), modulus - 2)

function power(base: number, exponent: number): number {
  let result = 1
  for (let step = 0; step < exponent; step += 1) result = (result * base) % modulus
  return result
}

/** Inverse of `value` modulo `size` by the extended Euclidean algorithm. */
function inverse(value: bigint, size: bigint): bigint {
  let [previous, current] = [value % size, size]
  let [x, next] = [1n, 0n]
  while (current !== 0n) {
    const quotient = previous / current
    ;[previous, current] = [current, previous - quotient * current]
    ;[x, next] = [next, x - quotient * next]
  }
  return ((x % size) + size) % size
}
