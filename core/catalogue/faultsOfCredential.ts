import { Temporal } from 'temporal-polyfill'
import { partialDate, readPartialDate, spanOf } from '../dates/partialDate'
import { type AnswerFault, faultOf, isEmpty } from '../form/answer'
import { type CredentialField, credentialKind } from './catalogue'
import { lastDayBy } from './lastDay'
import { numberIs } from './numberPattern'
import { type Series, tooSoon } from './series'

/** A licence or certificate as somebody gives it. */
export type GivenCredential = {
  kind: 'licence' | 'certificate'
  credential: string
  sourceId: string | null
  number: string
  region?: string
  issued: string
  through: string
  fields?: Readonly<Record<string, string>>
  steps?: readonly string[]
}

export type CredentialFault =
  | { code: 'no-such-kind' }
  | { code: 'number-unusual'; example: string }
  | { code: 'region-missing' }
  | { code: 'lasts-too-long'; through: string }
  | { code: 'step-too-soon'; days: number }
  | { code: 'step-to-come' }
  | { code: 'steps-missing' }
  | { code: 'field-missing' }
  | { code: 'field-unknown' }
  | { code: 'field'; fault: AnswerFault }

/**
 * What is wrong with a licence or certificate by its kind. A number is held against its pattern only where the issuer is one we
 * know. A last day beyond what the rule of the kind gives is wrong; an earlier one may be printed.
 *
 * @param today ISO day: a step that was given lies not after it
 * @returns each fault with the field it is `at`, such as `number` or `fields/sum-insured`
 */
export function faultsOfCredential(given: GivenCredential, today: string): (CredentialFault & { at: string })[] {
  const kind = credentialKind(given.credential)
  if (kind?.claim !== given.kind) return [{ at: 'credential', code: 'no-such-kind' }]
  const { number, regions, validity, series } = kind
  const last = series ? undefined : lastDayBy(validity, given.issued)
  return [
    ...(number && given.sourceId && !numberIs(number.pattern, given.number)
      ? [{ at: 'number', code: 'number-unusual', example: number.example } as const]
      : []),
    ...(regions && !regions.includes(given.region ?? '') ? [{ at: 'region', code: 'region-missing' } as const] : []),
    ...(last && isAfter(given.through, last)
      ? [{ at: 'through', code: 'lasts-too-long', through: last.toString() } as const]
      : []),
    ...(series ? faultsOfSteps(series, given.steps ?? [], today) : []),
    ...faultsOfFields(kind.fields, given.fields ?? {}),
  ]
}

function faultsOfSteps(series: Series, steps: readonly string[], today: string): (CredentialFault & { at: string })[] {
  if (steps.length === 0) return [{ at: 'steps', code: 'steps-missing' }]
  const early = tooSoon(series, steps)
  return steps.flatMap((day, nth): (CredentialFault & { at: string })[] => {
    const at = `steps/${nth}`
    if (day > today) return [{ at, code: 'step-to-come' }]
    return early.includes(nth) ? [{ at, code: 'step-too-soon', days: series.gapDays }] : []
  })
}

function isAfter(through: string, last: Temporal.PlainDate): boolean {
  if (through === 'does not expire') return true
  return readPartialDate(through).ok && Temporal.PlainDate.compare(spanOf(partialDate(through)).earliest, last) > 0
}

function faultsOfFields(
  fields: readonly CredentialField[],
  given: Readonly<Record<string, string>>,
): (CredentialFault & { at: string })[] {
  const unknown = Object.keys(given).filter((name) => !fields.some(({ key }) => key === name))
  return [
    ...unknown.map((name) => ({ at: `fields/${name}`, code: 'field-unknown' }) as const),
    ...fields.flatMap((field): (CredentialFault & { at: string })[] => {
      const at = `fields/${field.key}`
      const answer = given[field.key] ?? ''
      if (isEmpty(answer)) return field.required && !field.retired ? [{ at, code: 'field-missing' }] : []
      const fault = faultOf(field, answer)
      return fault ? [{ at, code: 'field', fault }] : []
    }),
  ]
}
