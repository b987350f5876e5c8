import type { ClaimComparison } from '../comparison/compareClaim'
import type { Reason, Verdict } from '../comparison/verdict'
import { writeWhen } from '../dates/write'
import type { Standing } from '../validity/validity'

/** A reason as half a sentence. */
export function reasonOfDifference(reason: Reason): string {
  switch (reason.code) {
    case 'case':
      return 'only capitals differ'
    case 'accents':
      return 'only accents differ'
    case 'separators':
      return 'only spaces and punctuation differ'
    case 'hyphens':
      return 'written with and without a hyphen'
    case 'word-order':
      return 'the same parts in another order'
    case 'particles':
      return 'a particle such as “de” or “von” is left out'
    case 'transliteration':
      return 'the same letters written in another script or convention'
    case 'initials':
      return `“${reason.initial.toUpperCase()}.” can stand for ${capital(reason.name)}`
    case 'known-name':
      return `also known as ${reason.name}, evidenced by ${reason.evidencedBy}`
    case 'part-missing':
      return `${reason.parts.map(capital).join(' and ')} appears on one side only`
    case 'spelling':
      return `${capital(reason.ours)} against ${capital(reason.theirs)}, likely a slip in spelling`
    case 'misread':
      return `${reason.pairs.length === 1 ? 'one character' : `${reason.pairs.length} characters`}, ${reason.pairs.map(({ ours, theirs }) => `${ours} against ${theirs}`).join(', ')}, easily misread in a scan`
    case 'swapped':
      return `two neighbours swapped, ${reason.ours} against ${reason.theirs}`
    case 'less-exact':
      return 'one side is less exact, and both agree as far as they go'
    case 'day-and-month-swapped':
      return 'day and month swapped'
    case 'off-by':
      return `${reason.count} ${reason.unit}${reason.count === 1 ? '' : 's'} apart`
    case 'abbreviation':
      return `${reason.short} is short for ${reason.long}`
    case 'nothing-alike':
      return 'nothing alike'
  }
}

const verdictWords: Record<Verdict, string> = {
  same: 'same',
  equivalent: 'the same thing, written differently',
  close: 'close, worth a look',
  different: 'different',
  'not stated': 'not stated',
}

export const verdictWord = (verdict: Verdict): string => verdictWords[verdict]

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
  const detail = unique(oneAField.map(({ label, reasons, verdict }) => `${label}: ${explained(verdict, reasons)}.`))
    .slice(0, 3)
    .join(' ')
  const head = {
    'no reply':
      close > 0
        ? `${count(close)} ${close === 1 ? 'is' : 'are'} close between claim and document.`
        : 'The source has not answered yet.',
    agrees: 'The source agrees in every field that matters.',
    contradicts: `${count(different)} contradict${different === 1 ? 's' : ''}.`,
    look:
      close > 0
        ? `${count(close)} ${close === 1 ? 'is' : 'are'} close, not the same.`
        : different > 0
          ? `${count(different)} differ${different === 1 ? 's' : ''}, which by itself decides nothing.`
          : unsaid > 0
            ? `The source left ${unsaid === 1 ? 'one field' : `${unsaid} fields`} unsaid.`
            : 'The source agrees in every field that matters.',
  }[comparison.outcome]
  return { head, detail }
}

/** What the issuer says of a licence beyond its dates, as a sentence; nothing where it is good. */
export function standingSentence({ state, from, through }: Standing): string {
  if (state === 'good') return ''
  const since = from ? ` from ${writeWhen(from)}` : ''
  const until = through ? ` through ${writeWhen(through)}` : ''
  return `Its issuer says that it is ${state}${since}${until}.`
}

const explained = (verdict: Verdict, reasons: readonly Reason[]) =>
  reasons.length > 0 ? unique(reasons.map(reasonOfDifference)).join('; ') : verdictWords[verdict]
const unique = (texts: readonly string[]) => [...new Set(texts)]
const count = (number: number) => (number === 1 ? 'One field' : `${number} fields`)
const capital = (text: string) => text.replace(/^./, (letter) => letter.toUpperCase())
