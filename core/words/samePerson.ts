import type { Agreement } from '../comparison/samePerson'

const agreed: Record<Agreement['verdict'], string> = {
  same: 'the same',
  equivalent: 'the same, written otherwise',
  close: 'nearly the same',
  different: 'not the same',
  'not stated': 'not given by both',
}

/** What a field of two files comes to, for the desk. */
export function agreementWords({ verdict, reasons, field }: Agreement): string {
  const slip = reasons.find(({ code }) => code === 'misread' || code === 'swapped')
  if (verdict === 'close' && slip)
    return slip.code === 'misread'
      ? 'nearly the same: characters that are taken for each other'
      : 'nearly the same: two characters swapped'
  if (verdict === 'close' && reasons.some(({ code }) => code === 'day-and-month-swapped'))
    return 'nearly the same: day and month swapped'
  const missing = reasons.find(({ code }) => code === 'part-missing')
  if (verdict === 'close' && missing?.code === 'part-missing') return `the same but for “${missing.parts.join(' ')}”`
  if (verdict === 'close' && field === 'birth date') return 'nearly the same: one digit differs'
  if (verdict === 'equivalent' && field === 'name') return 'the same name, written otherwise'
  return agreed[verdict]
}
