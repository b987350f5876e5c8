import type { Static } from '@sinclair/typebox'
import type { Difference } from '#contract/applications'
import type { ClaimDetails } from '#contract/claims'
import { credentialKind } from '#core/requirements/catalogue'
import { say } from '#core/words/say'
import { labelOf } from './label'

/** Claims as they stood when their section was opened again, by their identifiers. */
export type ClaimsThen = Record<string, { details: ClaimDetails; papers: string[] }>

const names: Record<string, string> = {
  award: 'Award',
  subject: 'Subject',
  programme: 'Programme',
  level: 'Level',
  field: 'Field',
  language: 'Language of instruction',
  outcome: 'Outcome',
  expected: 'Expected',
  link: 'Link',
  marks: 'Marks',
  sourceName: 'Source',
  activity: 'Activity',
  position: 'Position',
  fullTimeShare: 'Per cent of full time',
  tags: 'Field of work',
  confirmBy: 'Who can confirm it',
  mayAsk: 'When we may ask',
  credential: 'Kind',
  number: 'Number',
  region: 'Where it holds',
  issued: 'Issued',
  through: 'Valid through',
  from: 'From',
  to: 'To',
  address: 'Address',
  country: 'Country',
  papers: 'Papers',
}

/** What is different about the claims of a section, claim by claim and field by field, in words. */
export function differencesOfClaims(before: ClaimsThen, after: ClaimsThen): Static<typeof Difference>[] {
  const ids = [...new Set([...Object.keys(before), ...Object.keys(after)])]
  return ids.flatMap((id) => {
    const [then, now] = [before[id], after[id]]
    if (!then) return [{ label: labelOf(now!.details), before: say('nothing'), after: summaryOf(now!) }]
    if (!now) return [{ label: labelOf(then.details), before: summaryOf(then), after: say('taken back') }]
    const [fieldsThen, fieldsNow] = [wordsOf(then), wordsOf(now)]
    return Object.keys(names)
      .filter((key) => (fieldsThen[key] ?? '') !== (fieldsNow[key] ?? ''))
      .map((key) => ({
        label: `${labelOf(then.details)}: ${say(names[key]!)}`,
        before: fieldsThen[key] || say('nothing'),
        after: fieldsNow[key] || say('nothing'),
      }))
  })
}

const summaryOf = (claim: ClaimsThen[string]) =>
  Object.entries(wordsOf(claim))
    .filter(([key, words]) => key !== 'marks' && words !== '')
    .map(([, words]) => words)
    .join(', ')

function wordsOf({ details, papers }: ClaimsThen[string]): Record<string, string> {
  const words = Object.entries(details)
    .filter(([key]) => key in names)
    .map(([key, value]): [string, string] => [key, key === 'credential' ? kindOf(String(value)) : wordOf(value)])
  return { ...Object.fromEntries(words), papers: papers.join(', ') }
}

const kindOf = (credential: string) => credentialKind(credential)?.name ?? credential

function wordOf(value: unknown): string {
  if (value === null || value === undefined) return ''
  if (Array.isArray(value)) return value.map(wordOf).join(', ')
  if (typeof value === 'object') return Object.values(value).map(wordOf).filter(Boolean).join(', ')
  return String(value)
}
