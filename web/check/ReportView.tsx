import type { Report } from '#core/report/report'
import { type ReportPart, reportWords } from '#core/words/report'
import { Sheet } from '../ui/Sheet'
import { writeMoment } from '../ui/write'

type Facts = ReportPart['facts']

/** A report as it was signed: the same parts as its PDF has. What was left out of it is not there. */
export function ReportView({ report }: { report: Partial<Report> }) {
  const { title, lead, facts, parts } = reportWords({ ...nothing, ...report }, writeMoment)
  return (
    <article className="grid grid-cols-[minmax(0,1fr)] gap-4">
      <Sheet>
        <h2 className="text-[1.5em]">{title}</h2>
        <p className="mb-3 text-ink-2">{lead}</p>
        <FactList facts={facts} />
      </Sheet>
      {parts.map(({ heading, facts: own, claims, nothing: said }) => (
        <Sheet key={heading} className="grid grid-cols-[minmax(0,1fr)] gap-3">
          <h3 className="font-title text-[1.25em]">{heading}</h3>
          {own.length === 0 && claims.length === 0 && said && <p className="text-ink-2">{said}</p>}
          {own.length > 0 && <FactList facts={own} />}
          {claims.map((claim, nth) => (
            <section key={nth} className="min-w-0 border-line border-t pt-3">
              <h4 className="mb-1.5 font-semibold text-[1.05em]">{claim.heading}</h4>
              <FactList facts={claim.facts} />
              {claim.table && <FieldTable {...claim.table} />}
            </section>
          ))}
        </Sheet>
      ))}
    </article>
  )
}

const nothing: Report = {
  ...{ shape: 1, reference: '', language: '', audience: 'recipient', asAt: '', madeAt: '', issuer: '' },
  ...{ person: { name: '' }, claims: [], flags: [], waived: [], declared: [], notChecked: [], withheld: [] },
}

/** Facts by their names. */
export const FactList = ({ facts }: { facts: Facts }) => (
  <dl className="grid grid-cols-[minmax(110px,220px)_1fr] gap-x-4 gap-y-1">
    {facts.map(([name, value], nth) => (
      <div key={nth} className="contents">
        <dt className="font-semibold text-ink-2">{name}</dt>
        <dd className="min-w-0 break-words">{value}</dd>
      </div>
    ))}
  </dl>
)

const FieldTable = ({ caption, columns, rows }: { caption: string; columns: string[]; rows: string[][] }) => (
  <section className="mt-2 overflow-x-auto" aria-label={caption} tabIndex={0}>
    <table className="w-full min-w-[520px] text-left text-[0.93em]">
      <caption className="sr-only">{caption}</caption>
      <thead>
        <tr className="border-line border-b text-ink-2">
          {columns.map((column) => (
            <th key={column} scope="col" className="py-1 pr-3 font-semibold">
              {column}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {rows.map(([field, ...cells]) => (
          <tr key={field} className="border-line border-b align-top last:border-0">
            <th scope="row" className="py-1 pr-3 font-semibold">
              {field}
            </th>
            {cells.map((cell, nth) => (
              <td key={nth} className="py-1 pr-3">
                {cell}
              </td>
            ))}
          </tr>
        ))}
      </tbody>
    </table>
  </section>
)
