import type { KnownFact } from '#core/conditions/vocabulary'
import { dependsOn, type FeeQuote } from '#core/fees/quote'
import { type FeeSchedule, meansFact } from '#core/fees/schedule'
import { writeAmount } from '#core/words/amounts'
import { quotedLineWords, quotedTaxWords, rangeWords } from '#core/words/fees'
import { say } from '#core/words/say'
import { translated } from '#core/words/translations'

type Props = {
  schedule: FeeSchedule
  quote: FeeQuote
  known: readonly KnownFact[]
  /** Lines whose amount has just changed; they are marked. */
  changed?: ReadonlySet<string>
  /** What stands at the end of a line, such as leaving it out. */
  act?: (key: string) => React.ReactNode
}

/** What something costs: each line with its amount and why, what is taken off or added, and the total. */
export function QuoteTable({ schedule, quote, known, changed, act }: Props) {
  const { currency } = schedule
  return (
    <table className="w-full">
      <caption className="sr-only">{translated(schedule).title}</caption>
      <thead className="sr-only">
        <tr>
          <th scope="col">{say('fees.document.what')}</th>
          <th scope="col">{say('fees.document.amount')}</th>
        </tr>
      </thead>
      <tbody className="divide-y divide-line">
        {quote.lines.map((line) => {
          const own = schedule.lines.find(({ key }) => key === line.key)!
          const { title, why } = translated(own)
          const quiet = line.state === 'not needed' || line.state === 'left out'
          // What a way of paying adds is seen before it is chosen; it is not part of the total yet.
          const added = quiet && dependsOn(own, meansFact)
          return (
            <tr key={line.key} className={changed?.has(line.key) ? 'bg-asked-wash' : ''}>
              <th scope="row" className="py-1.5 pr-3 text-left font-normal">
                <span className={quiet ? 'text-ink-3' : 'font-semibold'}>{title}</span>
                {changed?.has(line.key) && (
                  <span className="ml-2 font-semibold text-[0.88em] text-asked">{say('fees.changedNow')}</span>
                )}
                <span className="block text-[0.93em] text-ink-2">
                  {[why, quotedLineWords(line, own, currency, known)].filter(Boolean).join(' ')}
                </span>
                {act?.(line.key)}
              </th>
              <td
                className={`whitespace-nowrap py-1.5 text-right align-top font-mono ${quiet ? `text-ink-3 ${added ? '' : 'line-through'}` : ''}`}
              >
                {added && '+ '}
                {rangeWords(quiet ? line.full : line, currency)}
              </td>
            </tr>
          )
        })}
        {quote.cap.most < 0 && schedule.most !== undefined && (
          <Extra
            name={say('fees.cap', { most: writeAmount(schedule.most, currency) })}
            value={rangeWords(quote.cap, currency)}
          />
        )}
        {quote.taxes.map((tax) => {
          const own = schedule.taxes.find(({ key }) => key === tax.key)!
          if (tax.most === 0) return null
          return (
            <Extra
              key={tax.key}
              name={quotedTaxWords(tax, own, quote, schedule.taxIncluded)}
              value={rangeWords(tax, currency)}
            />
          )
        })}
      </tbody>
      <tfoot>
        <tr className="border-line-strong border-t-2">
          <th scope="row" className="py-2 text-left font-semibold">
            {say('fees.total')}
          </th>
          <td className="whitespace-nowrap py-2 text-right font-mono font-semibold">
            {quote.total.most === 0 ? say('fees.nothing') : rangeWords(quote.total, currency)}
          </td>
        </tr>
      </tfoot>
    </table>
  )
}

const Extra = ({ name, value }: { name: string; value: string }) => (
  <tr>
    <th scope="row" className="py-1.5 pr-3 text-left font-normal text-ink-2">
      {name}
    </th>
    <td className="whitespace-nowrap py-1.5 text-right font-mono text-ink-2">{value}</td>
  </tr>
)
