import { restrictionTerms, type Standing, standingStates } from '#core/validity/validity'

/** What a register says about a number: fields as text, or that it does not know it. */
export type RegisterEntry = { found: false } | { found: true; fields: Record<string, string>; standing?: Standing }

/** A register does not answer, or in another form than agreed. */
export class RegisterSilent extends Error {}

/** What came over the line. */
type Answer = { status: number; text: string }
type Read = (answer: Answer, number: string) => RegisterEntry

/**
 * The forms in which registers answer. An answer in another form is no answer: least of all may a word that was not agreed be
 * taken for good standing.
 */
const shapes: Record<string, Read> = {
  /** One entry as JSON: `{ fields, standing?, standingFrom?, standingThrough?, standingTerms? }`; 404 where there is none. */
  entry: ({ status, text }) => {
    if (status === 404) return { found: false }
    const { fields, ...rest } = objectIn(text)
    return { found: true, fields: textsIn(fields), standing: standingIn(rest) }
  },
  /** All that fit as JSON: `{ results: [{ number, holder: { given, family, born }, …, status: { code, since, until, terms } }] }`; one that fits wholly counts. */
  list: ({ status, text }, number) => {
    if (status === 404) return { found: false }
    const { results } = objectIn(text)
    if (!Array.isArray(results)) throw notAgreed()
    const fitting = results.filter((one) => keyOf(String(one?.number ?? '')) === keyOf(number))
    if (fitting.length === 0) return { found: false }
    // Two under one number is no answer that anybody could rely on.
    if (fitting.length > 1) throw new RegisterSilent('the register has several entries under this number')
    const { holder, status: standing, ...fields } = fitting[0] as Record<string, unknown>
    const { given, family, born } = (holder ?? {}) as Record<string, unknown>
    const { code, since, until, terms } = (standing ?? {}) as Record<string, unknown>
    return {
      found: true,
      fields: textsIn({ ...fields, name: [given, family].filter(Boolean).join(' '), ...(born ? { born } : {}) }),
      standing: standingIn({ standing: code, standingFrom: since, standingThrough: until, standingTerms: terms }),
    }
  },
  /** Lines of text, `Key: value`, days as `31.12.2026`; `No record` where there is none. */
  lines: ({ status, text }) => {
    if (status === 404 || /^no record\b/i.test(text.trim())) return { found: false }
    const pairs = text
      .split(/\r?\n/)
      .map((line) => /^([A-Za-z ]+):\s*(.*)$/.exec(line.trim()))
      .flatMap((found) => (found ? [[found[1]!.trim().toLowerCase(), isoDay(found[2]!.trim())] as const] : []))
    if (pairs.length === 0) throw notAgreed()
    const {
      standing,
      'standing from': standingFrom,
      'standing through': standingThrough,
      'standing terms': standingTerms,
      ...fields
    } = Object.fromEntries(pairs)
    return {
      found: true,
      fields: textsIn(fields),
      standing: standingIn({ standing, standingFrom, standingThrough, standingTerms }),
    }
  },
}

/** The name of a register, and how its answers are read. */
export function readerOf(register: string): { name: string; read: Read } {
  const [, shape, name] = /^(?:([a-z]+):)?(.+)$/.exec(register) ?? []
  const read = shapes[shape ?? 'entry']
  if (!name || !read) throw new RegisterSilent(`nobody knows how to read “${register}”`)
  return { name, read }
}

const notAgreed = () => new RegisterSilent('the register answered in another form than agreed')
const keyOf = (number: string) => number.replace(/[\s.-]/g, '').toUpperCase()

function objectIn(text: string): Record<string, unknown> {
  try {
    const value: unknown = JSON.parse(text)
    if (typeof value === 'object' && value !== null && !Array.isArray(value)) return value as Record<string, unknown>
  } catch {
    // What is no JSON is no answer.
  }
  throw notAgreed()
}

function textsIn(fields: unknown): Record<string, string> {
  if (typeof fields !== 'object' || fields === null) throw notAgreed()
  return Object.fromEntries(
    Object.entries(fields).flatMap(([key, value]) =>
      typeof value === 'string' || typeof value === 'number' ? [[key, String(value)]] : [],
    ),
  )
}

type Said = { standing?: unknown; standingFrom?: unknown; standingThrough?: unknown; standingTerms?: unknown }

function standingIn({ standing, standingFrom, standingThrough, standingTerms }: Said): Standing | undefined {
  if (standing === undefined || standing === null || standing === '') return undefined
  const state = standingStates.find((one) => one === standing)
  if (!state) throw new RegisterSilent('the register answered with a standing that was not agreed')
  const day = (value: unknown) => (typeof value === 'string' && /^\d{4}-\d{2}-\d{2}$/.test(value) ? value : undefined)
  return { state, from: day(standingFrom), through: day(standingThrough), ...termsIn(standingTerms) }
}

/** Terms by their agreed names, as a list or between semicolons; any other text stays as it was written. */
function termsIn(said: unknown): Pick<Standing, 'terms' | 'termsSaid'> {
  const texts = (Array.isArray(said) ? said : typeof said === 'string' ? said.split(';') : [])
    .map((text) => String(text).trim())
    .filter((text) => text !== '')
  const terms = restrictionTerms.filter((term) => texts.includes(term))
  const others = texts.filter((text) => !terms.some((term) => term === text))
  return {
    ...(terms.length > 0 ? { terms } : {}),
    ...(others.length > 0 ? { termsSaid: others.join('; ').slice(0, longestTerms) } : {}),
  }
}

const longestTerms = 300

/** `31.12.2026` as `2026-12-31`; anything else as it is. */
const isoDay = (value: string) => value.replace(/^(\d{2})\.(\d{2})\.(\d{4})$/, '$3-$2-$1')
