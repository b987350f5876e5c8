import { Temporal } from 'temporal-polyfill'
import { type ZoneLayout as Layout, layouts, type ZoneField } from './zoneLayouts'

/** What the machine-readable zone of a passport or identity card says. */
export type ZoneReading = {
  layout: Layout['name']
  paper: 'passport' | 'identity card' | 'residence permit' | 'visa' | 'other'
  /** Three letters as in ICAO 9303 part 3, section 5; `D` is `DEU`. */
  issuer: string
  nationality: string
  familyName: string
  givenNames: string
  number: string
  /** Days as `2001-03-09`; absent where the zone leaves them out. */
  born?: string
  through?: string
  sex?: 'female' | 'male'
  /** Fields whose check digit does not agree: the zone was misread, or is not what it was. */
  wrong: ZoneField[]
  /** Fields of which characters were taken for others that look the same: for a person to look at, however well it all fits. */
  mended: Mended[]
}

/** What stood there, and what it was taken for. */
export type Mended = { field: MendedField; read: string; as: string }
export type MendedField = 'issuer' | 'nationality' | 'names' | 'number' | 'born' | 'through' | 'check digits'

export type ZoneFault =
  | { code: 'no-zone' }
  | { code: 'wrong-length'; lines: number[] }
  | { code: 'wrong-character'; character: string }

const weights = [7, 3, 1]
const fillers = /<+$/

/** The value of a character of a zone: digits count as such, A is 10 to Z 35, the filler 0 (ICAO 9303 part 3, 4.9). */
const worthOf = (character: string) => (character === '<' ? 0 : Number.parseInt(character, 36))

/** The check digit over characters of a zone: weights 7, 3, 1, sum modulo 10 (ICAO 9303 part 3, 4.9). */
export const checkDigit = (text: string): string =>
  String([...text].reduce((sum, character, at) => sum + worthOf(character) * weights[at % 3]!, 0) % 10)

/** Characters a camera takes for one another, towards the kind a field holds. */
const asDigits: Record<string, string> = { O: '0', Q: '0', D: '0', I: '1', L: '1', Z: '2', S: '5', G: '6', B: '8' }
const asLetters: Record<string, string> = { '0': 'O', '1': 'I', '2': 'Z', '5': 'S', '6': 'G', '8': 'B' }
const swap = (text: string, by: Record<string, string>) =>
  [...text].map((character) => by[character] ?? character).join('')

/**
 * Reads a machine-readable zone of two lines of 44 or 36 characters, or three of 30 (TD3, TD2, TD1, and the visas MRV-A
 * and MRV-B, in ICAO 9303 parts 4, 6, 5 and 7). A number of more than nine characters goes on in the optional data (parts
 * 5 and 6, 4.2).
 *
 * Where a field that holds only digits has a letter that looks like one (or the other way round), it is read as what the
 * field can hold. A number that may hold both is tried with its look-alikes, and mended only where exactly one makes both
 * its own check digit and that of the whole agree. Whatever was mended is said.
 *
 * @param text lines in order; spaces, empty lines and the case of letters do not matter
 * @param today decides the century: nobody is born after it, and a paper ends within 50 years of it
 */
export function readZone(text: string, today: Temporal.PlainDate): ZoneReading | ZoneFault {
  const lines = text
    .toUpperCase()
    .split(/\r?\n/)
    .map((line) => line.replace(/[\s«]/g, (character) => (character === '«' ? '<<' : '')))
    .filter((line) => line !== '')
  if (lines.length === 0) return { code: 'no-zone' }
  const strange = /[^A-Z0-9<]/.exec(lines.join(''))
  if (strange) return { code: 'wrong-character', character: strange[0] }
  const layout = layouts.find(
    ({ lines: count, width, begins = '' }) =>
      lines.length === count && lines.every((line) => line.length === width) && lines[0]!.startsWith(begins),
  )
  if (!layout) return { code: 'wrong-length', lines: lines.map(({ length }) => length) }
  return readBy(layout, lines.join(''), today)
}

function readBy(layout: Layout, captured: string, today: Temporal.PlainDate): ZoneReading {
  const { zone: settled, mended } = settleKinds(layout, captured)
  const number = readNumber(layout, settled)
  const zone = number.zone
  if (number.mended) mended.push({ field: 'number', ...number.mended })
  const part = ([from, to]: Place) => zone.slice(from, to)
  const wrong: ZoneField[] = [
    ...(number.agrees ? [] : ['number' as const]),
    ...(['born', 'through'] as const).filter((field) => !agrees(part(layout[field]), zone[layout[field][1]]!)),
    ...(wholeAgrees(layout, zone) ? [] : ['whole' as const]),
  ]
  const [family = '', given = ''] = part(layout.names).replace(fillers, '').split('<<')
  const born = dayIn(part(layout.born), today, 'past')
  const through = dayIn(part(layout.through), today, 'future')
  const sex = { F: 'female', M: 'male' }[zone[layout.sex]!] as ZoneReading['sex']
  return {
    layout: layout.name,
    paper: paperOf(zone.slice(0, 2), layout),
    issuer: stateOf(part(layout.issuer)),
    nationality: stateOf(part(layout.nationality)),
    familyName: nameOf(family),
    givenNames: nameOf(given),
    number: number.text,
    ...(born ? { born } : {}),
    ...(through ? { through } : {}),
    ...(sex ? { sex } : {}),
    wrong,
    mended,
  }
}

type Place = readonly [number, number]

/** Letters where only letters can stand, and digits where only digits can. */
function settleKinds(layout: Layout, captured: string): { zone: string; mended: Mended[] } {
  let zone = captured
  const mended: Mended[] = []
  const settle = (field: MendedField, [from, to]: Place, by: Record<string, string>) => {
    const read = zone.slice(from, to)
    const as = swap(read, by)
    if (as !== read) mended.push({ field, read: plainly(read), as: plainly(as) })
    zone = zone.slice(0, from) + as + zone.slice(to)
  }
  for (const field of ['issuer', 'nationality', 'names'] as const) settle(field, layout[field], asLetters)
  for (const field of ['born', 'through'] as const) settle(field, layout[field], asDigits)
  for (const at of layout.checkPlaces) settle('check digits', [at, at + 1], asDigits)
  return { zone, mended }
}

const plainly = (text: string) => text.replace(/<+/g, ' ').trim()

type NumberReading = { text: string; agrees: boolean; zone: string; mended?: { read: string; as: string } }

/** The number of the paper, where needed with the one look-alike that makes every check digit agree. */
function readNumber(layout: Layout, zone: string): NumberReading {
  const as = numberIn(layout, zone)
  if (as.agrees) return as
  if (!layout.composite) return as
  const [from, to] = layout.number
  const end = layout.numberGoesOn && zone[to] === '<' ? layout.numberGoesOn[1] : to + 1
  const tried = Array.from({ length: end - from }, (_, nth) => from + nth).flatMap((at) =>
    [asDigits[zone[at]!], asLetters[zone[at]!]].flatMap((other) =>
      other ? [zone.slice(0, at) + other + zone.slice(at + 1)] : [],
    ),
  )
  const fitting = tried
    .map((mended) => numberIn(layout, mended))
    .filter((one) => one.agrees && wholeAgrees(layout, one.zone))
  const [only] = fitting
  return fitting.length === 1 && only ? { ...only, mended: { read: as.text, as: only.text } } : as
}

function numberIn(layout: Layout, zone: string): NumberReading {
  const [from, to] = layout.number
  const number = zone.slice(from, to)
  const digit = zone[to]!
  const more = layout.numberGoesOn && digit === '<' ? zone.slice(...layout.numberGoesOn).split('<')[0]! : ''
  if (more.length > 1) {
    const text = number + more.slice(0, -1)
    return { text, agrees: agrees(text, more.slice(-1)), zone }
  }
  return { text: number.replace(fillers, ''), agrees: agrees(number, digit), zone }
}

const wholeAgrees = ({ composite }: Layout, zone: string) =>
  !composite || agrees(composite.parts.map(([from, to]) => zone.slice(from, to)).join(''), zone[composite.digit]!)

const agrees = (text: string, digit: string) => (digit === '<' ? /^<*$/.test(text) : checkDigit(text) === digit)

function paperOf(code: string, layout: Layout): ZoneReading['paper'] {
  if (layout.begins === 'V') return 'visa'
  if (code.startsWith('P')) return 'passport'
  if (code.startsWith('I') && code[1] === 'R') return 'residence permit'
  if (code.startsWith('AR')) return 'residence permit'
  if (/^[IAC]/.test(code) && layout.name !== 'TD3') return 'identity card'
  return 'other'
}

const stateOf = (code: string) => {
  const letters = code.replace(fillers, '')
  return letters === 'D' ? 'DEU' : letters
}

const nameOf = (text: string) => text.replace(/</g, ' ').replace(/\s+/g, ' ').trim()

/** A day of six digits, with its century: birth is not after today, the last day is within fifty years around it. */
function dayIn(text: string, today: Temporal.PlainDate, when: 'past' | 'future'): string | undefined {
  if (!/^\d{6}$/.test(text)) return undefined
  const [year, month, day] = [text.slice(0, 2), text.slice(2, 4), text.slice(4, 6)].map(Number) as [
    number,
    number,
    number,
  ]
  const century = Math.floor(today.year / 100) * 100
  const years = [century + 100 + year, century + year, century - 100 + year]
  const fits = years.find((candidate) => (when === 'past' ? candidate <= today.year : candidate <= today.year + 50))
  try {
    const date = Temporal.PlainDate.from({ year: fits!, month, day }, { overflow: 'reject' })
    const late = when === 'past' && Temporal.PlainDate.compare(date, today) > 0
    return (late ? date.subtract({ years: 100 }) : date).toString()
  } catch {
    return undefined
  }
}

type Zone = Pick<ZoneReading, 'familyName' | 'givenNames' | 'number' | 'issuer' | 'nationality'> & {
  born: string
  through: string
  sex?: 'female' | 'male'
  code?: string
}

/**
 * Writes the zone of a paper, as an issuer prints it. Names have to be in the letters A to Z already (ICAO 9303 part 3,
 * section 6); what is too long is cut. A number of more than nine characters goes on in the optional data of a card.
 */
export function writeZone(name: Layout['name'], given: Zone): string {
  const layout = layouts.find((candidate) => candidate.name === name)!
  const cells = Array<string>(layout.lines * layout.width).fill('<')
  const put = ([from, to]: readonly [number, number], text: string) => {
    for (let at = from; at < to; at++) cells[at] = text[at - from] ?? '<'
  }
  const plain = (text: string) => text.toUpperCase().replace(/[^A-Z]+/g, '<')
  put([0, 2], given.code ?? (name === 'TD3' ? 'P<' : layout.begins ? `${layout.begins}<` : 'I<'))
  put(layout.issuer, given.issuer)
  put(layout.nationality, given.nationality)
  put(layout.names, `${plain(given.familyName)}<<${plain(given.givenNames)}`)
  for (const field of ['number', 'born', 'through'] as const) {
    const text = field === 'number' ? given.number : given[field].slice(2).replaceAll('-', '')
    put(layout[field], text)
    const [from, to] = layout[field]
    cells[to] = checkDigit(cells.slice(from, to).join(''))
  }
  cells[layout.sex] = given.sex ? given.sex[0]!.toUpperCase() : '<'
  if (name === 'TD3') cells[layout.checkPlaces.at(-2)!] = '0'
  const [, afterNumber] = layout.number
  if (layout.numberGoesOn && given.number.length > 9) {
    cells[afterNumber] = '<'
    put(layout.numberGoesOn, given.number.slice(9) + checkDigit(given.number))
  }
  const { composite } = layout
  if (composite)
    cells[composite.digit] = checkDigit(composite.parts.flatMap(([from, to]) => cells.slice(from, to)).join(''))
  return Array.from({ length: layout.lines }, (_, nth) =>
    cells.slice(nth * layout.width, (nth + 1) * layout.width).join(''),
  ).join('\n')
}
