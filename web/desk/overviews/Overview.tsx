import type { ReactNode } from 'react'
import type { ListFilter } from '#contract/lists'
import { useTitle } from '../../ui/useTitle'
import { AsCsv, type List } from '../AsCsv'

/** A place that needs the whole width: a title, what it is for, and a table. */
export function Overview({
  title,
  about,
  children,
  list,
  filter,
}: {
  title: string
  about: string
  children: ReactNode
  /** The list it can be kept as, with the filters that are on. */
  list?: List
  filter?: ListFilter
}) {
  useTitle(title)
  return (
    <main tabIndex={0} aria-label={title} className="h-full overflow-auto bg-sheet px-5 py-3">
      <div className="flex items-baseline justify-between gap-4">
        <h1 className="text-[1.4667rem]">{title}</h1>
        {list && <AsCsv list={list} filter={filter} />}
      </div>
      <p className="mb-3 text-ink-2">{about}</p>
      {children}
    </main>
  )
}

/** `whole` is never broken over two lines. */
export type Column<T> = { name: string; of: (row: T) => ReactNode; right?: boolean; whole?: boolean }

export function Table<T>({
  rows,
  columns,
  keyOf,
  empty,
}: {
  rows: readonly T[]
  columns: readonly Column<T>[]
  keyOf: (row: T) => string
  empty: string
}) {
  if (rows.length === 0) return <p className="py-4 text-ink-2">{empty}</p>
  return (
    <div className="overflow-x-auto">
      <table className="w-full text-left">
        <thead>
          <tr className="border-line-strong border-b text-[0.8333rem] text-ink-2">
            {columns.map(({ name, right }) => (
              <th key={name} scope="col" className={`py-1 pr-4 font-semibold ${right ? 'text-right' : ''}`}>
                {name}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map((row) => (
            <tr key={keyOf(row)} className="border-line border-b align-baseline hover:bg-sheet-2">
              {columns.map(({ name, of, right, whole }) => (
                <td
                  key={name}
                  className={`py-1.5 pr-4 ${right ? 'text-right font-mono' : ''} ${whole ? 'whitespace-nowrap' : ''}`}
                >
                  {of(row)}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  )
}
