import { numberRule } from '../catalogue/numberPattern'
import type { SourceFacts } from './source'

const sourceFaults = [
  'no-name',
  'years-reversed',
  'unreachable-contact',
  'no-title',
  'unreadable-pattern',
  'example-does-not-fit',
  'days-reversed',
  'no-language',
] as const
export type SourceFault = { pointer: string; code: (typeof sourceFaults)[number] }

const reversed = (from: number | null | undefined, to: number | null | undefined) => Boolean(from && to && to < from)

/** What cannot hold of a source as it is written, each with where it stands. */
export function faultsOfSource(source: SourceFacts): SourceFault[] {
  const each = <T>(list: readonly T[], name: string, of: (one: T, at: string) => SourceFault[]) =>
    list.flatMap((one, nth) => of(one, `/${name}/${nth}`))
  return [
    ...(source.name.trim() === '' ? [{ pointer: '/name', code: 'no-name' as const }] : []),
    ...(reversed(source.existedFrom, source.existedTo)
      ? [{ pointer: '/existedTo', code: 'years-reversed' as const }]
      : []),
    ...each(source.contacts, 'contacts', ({ mail, phone, address }, pointer) =>
      mail || phone.trim() || address.trim() ? [] : [{ pointer: `${pointer}/mail`, code: 'unreachable-contact' }],
    ),
    ...each(source.closures, 'closures', ({ from, to }, pointer) =>
      to < from ? [{ pointer: `${pointer}/to`, code: 'days-reversed' }] : [],
    ),
    ...each(source.conditions, 'conditions', ({ kind, language }, pointer) =>
      kind === 'language' && !language ? [{ pointer: `${pointer}/language`, code: 'no-language' }] : [],
    ),
    ...each(source.numberFormats, 'numberFormats', ({ pattern, example }, pointer) => {
      const rule = numberRule(pattern)
      if (!rule) return [{ pointer: `${pointer}/pattern`, code: 'unreadable-pattern' }]
      return rule.test(example.trim()) ? [] : [{ pointer: `${pointer}/example`, code: 'example-does-not-fit' }]
    }),
    ...each(source.programmes, 'programmes', ({ title, from, to, accreditations = [] }, pointer) => [
      ...(title.trim() === '' ? [{ pointer: `${pointer}/title`, code: 'no-title' as const }] : []),
      ...(reversed(from, to) ? [{ pointer: `${pointer}/to`, code: 'years-reversed' as const }] : []),
      ...accreditations.flatMap((one, nth) =>
        reversed(one.from, one.to)
          ? [{ pointer: `${pointer}/accreditations/${nth}/to`, code: 'years-reversed' as const }]
          : [],
      ),
    ]),
  ]
}
