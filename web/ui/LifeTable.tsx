import { writeDays, writeWhen } from '#core/dates/write'
import { say } from '#core/words/say'
import { type LifeBar, type LifeLayout, type LifePaper, laneName } from './lifeChartLayout'
import { markWords } from './Mark'

type Props = { bars: readonly LifeBar[]; papers: readonly LifePaper[]; gaps: LifeLayout['gaps'] }

/** All that is drawn in the chart of a life, to read; entries whose dates cannot be drawn stand here too. */
export function LifeTable({ bars, papers, gaps }: Props) {
  return (
    <table className="w-full text-left">
      <caption className="sr-only">{say('ui.theSameAsATable')}</caption>
      <thead>
        <tr>
          <th>{say('ui.what')}</th>
          <th>{say('ui.from')}</th>
          <th>{say('ui.to')}</th>
          <th>{say('ui.state')}</th>
        </tr>
      </thead>
      <tbody>
        {bars.map(({ id, label, lane, from, to, rung }) => (
          <tr key={id}>
            <td>{`${laneName(lane)}: ${label}`}</td>
            <td>{writeWhen(from)}</td>
            <td>{to === 'present' ? say('ui.now') : writeWhen(to)}</td>
            <td>{markWords(rung)}</td>
          </tr>
        ))}
        {papers.map(({ id, label, from, through, state }) => (
          <tr key={id}>
            <td>{label}</td>
            <td>{writeWhen(from)}</td>
            <td>{writeWhen(through)}</td>
            <td>{markWords(state)}</td>
          </tr>
        ))}
        {gaps.map(({ from, through, days, certain }) => (
          <tr key={from}>
            <td>{certain ? say('ui.gap') : say('ui.possibleGap')}</td>
            <td>{writeWhen(from)}</td>
            <td>{writeWhen(through)}</td>
            <td>{writeDays(days)}</td>
          </tr>
        ))}
      </tbody>
    </table>
  )
}
