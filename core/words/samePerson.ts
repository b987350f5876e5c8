import type { Agreement } from '../comparison/samePerson'
import { say } from './say'

/** What a field of two files comes to, for the desk. */
export function agreementWords({ verdict, reasons, field }: Agreement): string {
  const slip = reasons.find(({ code }) => code === 'misread' || code === 'swapped')
  if (verdict === 'close' && slip) return say(slip.code === 'misread' ? 'agreement.misread' : 'agreement.swapped')
  if (verdict === 'close' && reasons.some(({ code }) => code === 'day-and-month-swapped'))
    return say('agreement.dayAndMonth')
  const missing = reasons.find(({ code }) => code === 'part-missing')
  if (verdict === 'close' && missing?.code === 'part-missing')
    return say('agreement.partMissing', { parts: missing.parts.join(' ') })
  if (verdict === 'close' && field === 'birth date') return say('agreement.oneDigit')
  if (verdict === 'equivalent' && field === 'name') return say('agreement.sameName')
  return say(`agreement.${verdict}`)
}
