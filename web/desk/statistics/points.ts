import type { ColumnKey, cellKinds, Figure } from '#contract/statistics'
import { writeWhen } from '#core/dates/write'
import { say } from '#core/words/say'

export type Point = { at: string | number } & Partial<Record<ColumnKey, number | null>>

/** What a chart is drawn from: the rows of a figure, over what stands in their first column. */
export const pointsOf = ({ columns, rows, chart }: Figure): Point[] => {
  const points = rows.map((row) => {
    const values = Object.fromEntries(columns.map(({ key }, nth) => [key, row[nth]]))
    return { ...values, at: columns[0]!.as === 'month' ? writeCell(row[0]!, 'month') : (row[0] as string | number) }
  })
  // A curve begins with everybody waiting.
  const begin = Object.fromEntries([...(chart?.series ?? []), ...(chart?.band ?? [])].map((key) => [key, 100]))
  return chart?.kind === 'steps' && points.length > 0 ? [{ at: 0, ...begin }, ...points] : points
}

/** A cell as a person reads it. */
export function writeCell(value: string | number | null, as: (typeof cellKinds)[number]): string {
  if (value === null) return '—'
  switch (as) {
    case 'text':
      return String(value)
    case 'month':
      return writeWhen(String(value))
    case 'count':
      return String(Math.round(Number(value) * 10) / 10)
    case 'days':
      return say('statistics.days', { count: Number(value) })
    case 'percent':
      return `${value} %`
  }
}
