import anyAscii from 'any-ascii'

/** One part of a name: as it stands in the text, and in plain letters by one convention and, where it differs, another. */
export type NamePart = { at: number; written: string; plain: string; wide: string }

/** A name taken apart: what is compared, and what is set aside. */
export type TakenApart = { parts: NamePart[]; titles: string[]; generation?: string }

/** Letters that two conventions turn into Latin differently: ü as u or ue, ø as o or oe, å as a or aa, ß as ss. */
const widened: Record<string, string> = {
  ä: 'ae',
  ö: 'oe',
  ü: 'ue',
  ø: 'oe',
  å: 'aa',
  æ: 'ae',
  œ: 'oe',
  ß: 'ss',
  þ: 'th',
  ð: 'd',
}

/** Titles and degrees in front of and behind names, without their dots. Those that are also names stand in `doubtful`. */
const titles = new Set(
  (
    'dr drs ddr prof professor professeur docteur doktor doctor dott dottssa dottore dottoressa ing dipl diplom mag magister magistra ' +
    'mr mrs miss mister herr frau monsieur madame mme mlle signor signora signorina sig sigra ' +
    'msc bsc phd mba meng beng llm llb mag bakk lic rer nat habil hc univ fh oec iur med ir frcs dphil edd'
  ).split(' '),
)
/** A degree only in capitals and behind the name, since people are called so too. */
const doubtful = new Set(['MA', 'BA', 'MS', 'BS', 'DI', 'FH', 'MD', 'RN', 'CE', 'PE'])

const generations: Record<string, string> = {
  jr: 'junior',
  jun: 'junior',
  junior: 'junior',
  fils: 'junior',
  sr: 'senior',
  sen: 'senior',
  senior: 'senior',
  pere: 'senior',
  ii: 'the second',
  iii: 'the third',
  iv: 'the fourth',
}

/** Words that come and go in front of family names in many languages. */
const particles = new Set(
  'af al auf av bin bint da das de del della den der des di do dos du el ibn la las le los of ten ter van vom von y zu zum zur'.split(
    ' ',
  ),
)
export const isParticle = (plain: string): boolean => particles.has(plain)

const fold = (text: string) =>
  anyAscii(text.normalize('NFC'))
    .toLowerCase()
    .replace(/[^a-z0-9]/g, '')

/**
 * Takes a name apart at spaces, hyphens, commas and dots; titles, degrees and what tells father from son are set aside.
 * A name is never nothing but titles.
 */
export function takeApart(text: string): TakenApart {
  const all = [...text.matchAll(/[\p{L}\p{M}\p{N}'’`]+/gu)].map(({ 0: written, index }) => {
    const together = written.replace(/['’`]/g, '')
    const wide = [...together.toLowerCase()].map((letter) => widened[letter] ?? letter).join('')
    return { at: index, written, plain: fold(together), wide: fold(wide) }
  })
  const named = all.filter(({ plain }) => plain !== '')
  const aside = (part: NamePart, nth: number) =>
    titles.has(part.plain) ||
    (nth > 1 && doubtful.has(part.written) && behindTheName(text, part)) ||
    isDotted(text, part)
  const kept = named.filter((part, nth) => !aside(part, nth))
  const generation = kept.length > 2 ? generationOf(text, kept.at(-1)!) : undefined
  const parts = generation ? kept.slice(0, -1) : kept
  if (parts.length < 2) return { parts: named, titles: [] }
  return { parts, titles: named.filter((part, nth) => aside(part, nth)).map(({ written }) => written), generation }
}

/** `Jun` alone may be a given name: short for junior it has a dot, or stands behind a comma. */
function generationOf(text: string, { at, written, plain }: NamePart): string | undefined {
  const short = plain === 'jun' || plain === 'sen'
  const said = text[at + written.length] === '.' || /,\s*$/.test(text.slice(0, at))
  return short && !said ? undefined : generations[plain]
}

const behindTheName = (text: string, { at }: NamePart) => /,\s*(?:[\p{L}.]+[\s,]+)*$/u.test(text.slice(0, at))

/** A letter of a degree that is written with dots behind a comma: `M.A.`, `B.Sc.` */
const isDotted = (text: string, { at, written }: NamePart) => {
  const word = /[\p{L}.]+$/u.exec(text.slice(0, at + written.length + 1))?.[0] ?? ''
  const whole = `${word}${/^[\p{L}.]*/u.exec(text.slice(at + written.length + 1))?.[0] ?? ''}`
  return /^(?:[BM]\.\s?(?:A|Sc|Eng)|Ph\.\s?D|LL\.[MB]|h\.c)\.?$/u.test(whole)
}

/** The parts as one, where they stand next to each other: `van`, `der` and `Berg` are `vanderberg`. */
export const joined = (parts: readonly NamePart[], form: 'plain' | 'wide') => parts.map((part) => part[form]).join('')
