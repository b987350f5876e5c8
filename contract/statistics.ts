import { type Static, Type } from '@sinclair/typebox'
import { endpoint } from './endpoint'
import { Day, Id, oneOf, orNull } from './shapes'

/** What the desk can see of how the work goes. */
export const statisticsSections = [
  'turnaround',
  'calibration',
  'red-flags',
  'origins',
  'stages',
  'team',
  'promises',
] as const
export type StatisticsSection = (typeof statisticsSections)[number]

/** What stands in a column. A code is put into words by where it stands. */
export const cellKinds = ['text', 'month', 'count', 'days', 'percent'] as const

/** What a figure says of itself beside its numbers. */
export const figureKeys = [
  'waiting',
  'bySource',
  'filesHeld',
  'answersHeld',
  'flags',
  'origins',
  'stays',
  'lost',
  'team',
  'decisions',
  'answersInTime',
] as const
export type FigureKey = (typeof figureKeys)[number]

export const columnKeys = [
  ...['day', 'atRisk', 'waits', 'low', 'high', 'source', 'asked', 'answered', 'open', 'median', 'eighty'],
  ...['month', 'due50', 'held50', 'low50', 'high50', 'due80', 'held80', 'low80', 'high80'],
  ...['flag', 'openFlags', 'upheld', 'dismissed', 'origin', 'sent', 'shortlist', 'offer', 'start'],
  ...['stage', 'entered', 'movedOn', 'lost', 'still', 'lostBy', 'colleague', 'closed', 'decided'],
  ...['kept', 'late', 'waiting', 'inTime'],
] as const
export type ColumnKey = (typeof columnKeys)[number]

const Figure = Type.Object({
  key: oneOf(figureKeys),
  columns: Type.Array(Type.Object({ key: oneOf(columnKeys), as: oneOf(cellKinds) })),
  rows: Type.Array(Type.Array(Type.Union([Type.String(), Type.Number(), Type.Null()]))),
  chart: orNull(
    Type.Object({
      kind: oneOf(['bars', 'stacked', 'lines', 'steps'] as const),
      series: Type.Array(oneOf(columnKeys), { description: 'Drawn over what the first column says' }),
      band: Type.Optional(Type.Array(oneOf(columnKeys), { minItems: 2, maxItems: 2 })),
    }),
  ),
  notes: Type.Array(Type.String()),
})
export type Figure = Static<typeof Figure>

const filter = {
  vacancy: Type.Optional(Id),
  from: Type.Optional(Day),
  to: Type.Optional(Day),
}
export type StatisticsFilter = { vacancy?: string; from?: string; to?: string }

const params = Type.Object({ section: oneOf(statisticsSections) })

export const readStatistics = endpoint({
  method: 'GET',
  path: '/api/desk/statistics/:section',
  summary: 'How the work goes, in numbers: over the last eighteen months where no days are given',
  access: 'statistics.read',
  params,
  query: Type.Object(filter),
  reply: Type.Object({
    ...{ from: Day, to: Day },
    figures: Type.Array(Figure),
    vacancies: Type.Array(Type.Object({ id: Id, title: Type.String() })),
  }),
  invalidates: ['desk'],
})

export const downloadStatistics = endpoint({
  method: 'GET',
  path: '/api/desk/statistics/:section/figures/:figure',
  summary: 'The numbers of one figure as CSV (RFC 4180, UTF-8)',
  access: 'statistics.read',
  params: Type.Object({ section: oneOf(statisticsSections), figure: oneOf(figureKeys) }),
  query: Type.Object(filter),
  reply: Type.Any(),
  file: true,
})
