import type { Temporal } from 'temporal-polyfill'
import type { ClaimDetails } from '#contract/claims'
import { dayAt } from '#core/dates/zoned'
import { askedFields } from '#core/enquiries/asks'
import type { SourceText } from '#core/enquiries/texts'
import { languageOfSource } from '#core/sources/language'
import { say } from '#core/words/say'
import type { StoredValue } from '#core/words/stored'
import type { Deps } from '../platform/deps'
import type { MailValues, MailWords } from '../platform/mail/queueMail'
import { labelValue } from '../records/claims/label'
import type { Claim } from '../records/claims/model'
import type { Enquiry } from '../records/enquiries/model'
import { postalAddress } from '../records/organisation/letterhead'
import type { Source } from '../records/sources/model'

/** What one question is about, as words need it. */
export type Asked = { claim: Claim; candidate: string; enquiry: Pick<Enquiry, 'reference' | 'askedAt' | 'claimed'> }

/** What a question is about, as its source knows it: a job is a position there, and not the source's own name. */
export const askedAs = (details: ClaimDetails): StoredValue =>
  details.kind === 'work' && details.position ? details.position : labelValue(details)

/** What a source is written to in. */
export const spokenBy = ({ country, known }: Pick<Source, 'country' | 'known'>) =>
  languageOfSource({ country, region: known.region, language: known.language })

export const permissionFile = (name: string) => `${say('mail.enquiry.permission', { name })}.pdf`

const fieldWords = ({ claim, enquiry }: Asked): StoredValue => ({
  list: askedFields(claim.kind, enquiry.claimed).map(({ key }) => ({ code: `field.${key}` as const })),
})

/** Several people in one letter: each with what is asked about, a line each. */
const linesOf = (asked: readonly Asked[]): StoredValue => ({
  lines: asked.map(({ claim, candidate, enquiry }) => ({
    code: 'mail.enquiry.line' as const,
    values: { candidate, claim: askedAs(claim.details), reference: enquiry.reference ?? '' },
  })),
})

/** What a mail to a source says; in the language of whoever reads it. */
export function questionMail(
  { organisation }: Pick<Deps, 'organisation'>,
  asked: readonly [Asked, ...Asked[]],
  source: string,
  answerBy: Temporal.PlainDate | string,
  link: StoredValue,
) {
  const [one] = asked
  const { claim, candidate, enquiry } = one
  const common = { operator: organisation.name, source, answerBy: { day: answerBy.toString() }, link }
  if (asked.length > 1)
    return {
      words: 'enquiry.several' as const,
      values: { ...common, count: asked.length, people: linesOf(asked) },
    }
  const reference = enquiry.reference ?? ''
  return {
    words: claim.kind === 'work' ? ('enquiry.work' as const) : ('enquiry.issued' as const),
    values: { ...common, claim: askedAs(claim.details), candidate, fields: fieldWords(one), reference },
  }
}

/** Asks a source to send what it has to say itself: by mail to us, or in a sealed letter, with our code on it. */
export function directMail(
  { organisation }: Pick<Deps, 'organisation'>,
  asked: Asked,
  source: string,
  answerBy: string,
) {
  const { claim, candidate, enquiry } = asked
  const { name, contact } = organisation
  return {
    words: 'enquiry.direct' as const,
    values: {
      ...{ claim: askedAs(claim.details), candidate, operator: name, source, answerBy: { day: answerBy } },
      ...{ fields: fieldWords(asked), reference: enquiry.reference ?? '', contact },
      address: postalAddress(organisation).join('\n'),
    },
  }
}

/** What a source is written, before its words are said. */
export type Written = {
  [Name in SourceText]: Name extends `mail.${infer Words extends MailWords}`
    ? { words: Words; values: MailValues<Words> }
    : never
}[SourceText]

export function reminderMail(
  { organisation }: Pick<Deps, 'organisation'>,
  asked: readonly [Asked, ...Asked[]],
  link: StoredValue,
) {
  const [one] = asked
  const { claim, candidate, enquiry } = one
  const day = { day: dayAt(enquiry.askedAt, organisation.timeZone).toString() }
  if (asked.length > 1)
    return {
      words: 'enquiryReminder.several' as const,
      values: { asked: day, count: asked.length, people: linesOf(asked), link },
    }
  return {
    words: 'enquiryReminder' as const,
    values: { claim: askedAs(claim.details), candidate, asked: day, link },
  }
}
