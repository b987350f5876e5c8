import type { ClaimComparison } from '../comparison/compareClaim'
import type { Reason, Verdict } from '../comparison/verdict'
import { writeWhen } from '../dates/write'
import type { Standing } from '../validity/validity'
import { say } from './say'

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

export const verdictWord = (verdict: Verdict): string => say(`comparison.verdict.${verdict}`)

/** The sentence above the decision: how it comes out, and what the difference most likely is. */
export function comparisonSentence(comparison: ClaimComparison): { head: string; detail: string } {
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
  const agrees = () => say('comparison.head.agrees')
  const heads: Record<ClaimComparison['outcome'], () => string> = {
    'no reply': () =>
      close > 0 ? say('comparison.head.closeBeforeReply', { count: close }) : say('comparison.head.noReply'),
    agrees,
    contradicts: () => say('comparison.head.contradicts', { count: different }),
    look: () => {
      if (close > 0) return say('comparison.head.close', { count: close })
      if (different > 0) return say('comparison.head.differs', { count: different })
      return unsaid > 0 ? say('comparison.head.unsaid', { count: unsaid }) : agrees()
    },
  }
  return { head: heads[comparison.outcome](), detail }
}

/** What the issuer says of a licence beyond its dates, as a sentence; nothing where it is good. */
export function standingSentence(standing: Standing): string {
  if (standing.state === 'good') return ''
  const state = { standing: say(`names.standing.${standing.state}`) }
  const [from, through] = [standing.from, standing.through].map((day) => day && writeWhen(day))
  if (from && through) return say('comparison.standingFromThrough', { ...state, from, through })
  if (from) return say('comparison.standingFrom', { ...state, from })
  return through ? say('comparison.standingThrough', { ...state, through }) : say('comparison.standing', state)
}

const explained = (verdict: Verdict, reasons: readonly Reason[]) =>
  reasons.length > 0 ? unique(reasons.map(reasonOfDifference)).join('; ') : verdictWord(verdict)
const unique = (texts: readonly string[]) => [...new Set(texts)]
const capital = (text: string) => text.replace(/^./, (letter) => letter.toUpperCase())
