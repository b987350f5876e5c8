import type { Static } from '@sinclair/typebox'
import type { Difference } from '#contract/applications'
import type { ClaimDetails } from '#contract/claims'
import { credentialFieldWords } from '#core/words/credentials'
import { credentialName } from '#core/words/names'
import { say } from '#core/words/say'
import { labelOf } from './label'

/** Claims as they stood when their section was opened again, by their identifiers. */
export type ClaimsThen = Record<string, { details: ClaimDetails; papers: string[] }>

const fields = [
  'award',
  'subject',
  'programme',
  'level',
  'field',
  'language',
  'outcome',
  'expected',
  'link',
  'marks',
  'sourceName',
  'activity',
  'position',
  'fullTimeShare',
  'tags',
  'confirmBy',
  'mayAsk',
  'mayNotBecause',
  'credential',
  'number',
  'region',
  'issued',
  'through',
  'fields',
  'from',
  'to',
  'address',
  'country',
  'papers',
] as const

/** What is different about the claims of a section, claim by claim and field by field, in words. */
export function differencesOfClaims(before: ClaimsThen, after: ClaimsThen): Static<typeof Difference>[] {
  const ids = [...new Set([...Object.keys(before), ...Object.keys(after)])]
  return ids.flatMap((id) => {
    const [then, now] = [before[id], after[id]]
    if (!then) return [{ label: labelOf(now!.details), before: say('claims.nothing'), after: summaryOf(now!) }]
    if (!now) return [{ label: labelOf(then.details), before: summaryOf(then), after: say('claims.takenBack') }]
    const [fieldsThen, fieldsNow] = [wordsOf(then), wordsOf(now)]
    return fields
      .filter((key) => (fieldsThen[key] ?? '') !== (fieldsNow[key] ?? ''))
      .map((key) => ({
        label: `${labelOf(then.details)}: ${say(`detail.${key}`)}`,
        before: fieldsThen[key] || say('claims.nothing'),
        after: fieldsNow[key] || say('claims.nothing'),
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
    .filter(([key]) => fields.some((field) => field === key))
    .map(([key, value]): [string, string] => [
      key,
      key === 'credential'
        ? credentialName(String(value))
        : key === 'fields' && 'credential' in details
          ? credentialFieldWords(details.credential, details.fields)
              .map(({ label, words: given }) => `${label}: ${given}`)
              .join(', ')
          : wordOf(value),
    ])
  return { ...Object.fromEntries(words), papers: papers.join(', ') }
}

function wordOf(value: unknown): string {
  if (value === null || value === undefined) return ''
  if (Array.isArray(value)) return value.map(wordOf).join(', ')
  if (typeof value === 'object') return Object.values(value).map(wordOf).filter(Boolean).join(', ')
  return String(value)
}
