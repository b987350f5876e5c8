import type { ClaimComparison } from '../comparison/compareClaim'
import type { Reason, Verdict } from '../comparison/verdict'
import { writeWhen } from '../dates/write'
import type { Standing } from '../validity/validity'
import { say } from './say'
import { termsWords } from './standing'

/** A reason as half a sentence. */
export function reasonOfDifference(reason: Reason): string {
  switch (reason.code) {
    case 'initials':
      return say('comparison.reason.initials', {
        initial: reason.initial.toUpperCase(),
        name: capital(reason.name),
      })
    case 'known-name':
      return say('comparison.reason.known-name', { name: reason.name, evidencedBy: reason.evidencedBy })
    case 'part-missing':
      return say('comparison.reason.part-missing', { parts: reason.parts.map(capital).join(say('comparison.and')) })
    case 'spelling':
      return say('comparison.reason.spelling', { ours: capital(reason.ours), theirs: capital(reason.theirs) })
    case 'misread':
      return say('comparison.reason.misread', {
        count: reason.pairs.length,
        pairs: reason.pairs.map((pair) => say('comparison.reason.pair', pair)).join(', '),
      })
    case 'swapped':
      return say('comparison.reason.swapped', { ours: reason.ours, theirs: reason.theirs })
    case 'off-by':
      return say(`comparison.reason.off-by.${reason.unit}`, { count: reason.count })
    case 'abbreviation':
      return say('comparison.reason.abbreviation', { short: reason.short, long: reason.long })
    case 'titles':
      return say('comparison.reason.titles', { count: reason.titles.length, titles: reason.titles.join(' ') })
    case 'generation':
      return say('comparison.reason.generation', {
        ours: say(`comparison.generation.${reason.ours as Generation}`),
        theirs: say(`comparison.generation.${reason.theirs as Generation}`),
      })
    case 'nickname':
    case 'variant':
    case 'other-name':
      return say(`comparison.reason.${reason.code}`, { ours: reason.ours, theirs: reason.theirs })
    case 'romanised':
    case 'reads-as':
      return say(`comparison.reason.${reason.code}`, { standard: reason.standard, reading: reason.reading })
    case 'romanisations':
      return say('comparison.reason.romanisations', { ours: reason.ours, theirs: reason.theirs })
    case 'too-little':
      return say('comparison.reason.too-little', { part: reason.part })
    case 'one-more':
    case 'one-less':
      return say(`comparison.reason.${reason.code}`, { character: reason.character })
    case 'prefix-missing':
      return say('comparison.reason.prefix-missing', { prefix: reason.prefix })
    case 'other-length':
      return say('comparison.reason.other-length', { ours: reason.ours, theirs: reason.theirs })
    case 'other-characters':
      return say('comparison.reason.other-characters', { count: reason.count, of: reason.of })
    case 'other-words':
      return otherWords(reason)
    case 'run-together':
    case 'order-unsure':
    case 'same-sound':
    case 'leading-zeros':
    case 'other-amount':
    case 'other-currency':
    case 'case':
    case 'accents':
    case 'separators':
    case 'hyphens':
    case 'word-order':
    case 'particles':
    case 'transliteration':
    case 'less-exact':
    case 'day-and-month-swapped':
    case 'nothing-alike':
      return say(`comparison.reason.${reason.code}`)
  }
}

type Generation = 'junior' | 'senior' | 'the second' | 'the third' | 'the fourth'

function otherWords({ ours, theirs }: { ours: string[]; theirs: string[] }): string {
  const [claimed, said] = [ours.join(' '), theirs.join(' ')]
  if (claimed && said) return say('comparison.reason.other-words', { ours: claimed, theirs: said })
  return say('comparison.reason.part-missing', { parts: claimed || said })
}

export const verdictWord = (verdict: Verdict): string => say(`comparison.verdict.${verdict}`)

/** What a verdict rests on, as half a sentence; nothing where there is nothing to say. */
export const reasonsOfVerdict = (reasons: readonly Reason[]): string =>
  unique(reasons.map(reasonOfDifference)).join('; ')

/** The sentence above the decision: how it comes out, and what the difference most likely is. */
export function comparisonSentence(comparison: ClaimComparison): { head: string; detail: string } {
  const replied =
    comparison.outcome !== 'no reply' &&
    comparison.fields.some(({ source, sourceCannotSay }) => source !== undefined || sourceCannotSay)
  const different = comparison.fields.filter(({ verdict }) => verdict === 'different').length
  const close = comparison.fields.filter(({ verdict }) => verdict === 'close').length
  const unsaid = comparison.fields.filter(
    ({ bySource, matters, claimed }) => matters && claimed !== '' && bySource.verdict === 'not stated',
  ).length
  const oneAField = comparison.explanations.filter(
    ({ key }, index, all) => all.findIndex((other) => other.key === key) === index,
  )
  const detail = unique(
    oneAField.map(({ key, reasons, verdict }) => `${say(`field.${key}`)}: ${explained(verdict, reasons)}.`),
  )
    .slice(0, 3)
    .join(' ')
  const contradicting = comparison.fields.filter(({ verdict, matters }) => matters && verdict === 'different').length
  // One sentence for each kind of difference, each with its number.
  const clauses = [
    contradicting > 0 ? say('comparison.head.contradicts', { count: contradicting }) : '',
    close > 0 ? say(replied ? 'comparison.head.close' : 'comparison.head.closeBeforeReply', { count: close }) : '',
    different > contradicting ? say('comparison.head.differs', { count: different - contradicting }) : '',
    replied && unsaid > 0 ? say('comparison.head.unsaid', { count: unsaid }) : '',
  ].filter(Boolean)
  const head = clauses.join(' ') || say(replied ? 'comparison.head.agrees' : 'comparison.head.noReply')
  return { head, detail }
}

/** What the issuer says of a licence beyond its dates, as a sentence; nothing where it is good. */
export function standingSentence(standing: Standing): string {
  const sentence = standingAlone(standing)
  const terms = termsWords(standing)
  return sentence && terms ? say('comparison.onTerms', { sentence, terms }) : sentence
}

function standingAlone(standing: Standing): string {
  if (standing.state === 'good') return ''
  const state = { standing: say(`names.standing.${standing.state}`) }
  const [from, through] = [standing.from, standing.through].map((day) => day && writeWhen(day))
  if (from && through) return say('comparison.standingFromThrough', { ...state, from, through })
  if (from) return say('comparison.standingFrom', { ...state, from })
  return through ? say('comparison.standingThrough', { ...state, through }) : say('comparison.standing', state)
}

const explained = (verdict: Verdict, reasons: readonly Reason[]) => reasonsOfVerdict(reasons) || verdictWord(verdict)
const unique = (texts: readonly string[]) => [...new Set(texts)]
const capital = (text: string) => text.replace(/^./, (letter) => letter.toUpperCase())
