import type { ColumnKey, cellKinds, Figure, FigureKey } from '#contract/statistics'
import { groupBy } from '#core/groupBy'

type CellKind = (typeof cellKinds)[number]
type Cell = string | number | null

/** A figure from rows by the names of its columns: each row has just those, and the first is what it is drawn over. */
export function figure<Columns extends Partial<Record<ColumnKey, CellKind>>>(
  key: FigureKey,
  columns: Columns,
  rows: readonly Record<keyof Columns, Cell>[],
  chart: Figure['chart'] = null,
  notes: string[] = [],
): Figure {
  const keys = Object.keys(columns) as (keyof Columns & ColumnKey)[]
  return {
    key,
    columns: keys.map((column) => ({ key: column, as: columns[column]! })),
    rows: rows.map((row) => keys.map((column) => row[column])),
    chart,
    notes,
  }
}

/** A share as per cent, to a tenth. */
export const percentOf = (share: number): number => Math.round(share * 1000) / 10

/** Things by the month of their day, in the order of months. */
export const byMonth = <Of>(all: readonly Of[], dayOf: (one: Of) => string): [month: string, some: Of[]][] =>
  [...groupBy(all, (one) => dayOf(one).slice(0, 7))].sort(([one], [other]) => one.localeCompare(other))
