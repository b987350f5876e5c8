import type { Proof } from '#contract/verification'
import { verdictWord } from '#core/words/comparison'
import { say } from '#core/words/say'

/** What the evidence proposes, and how it comes to that: the fields with their weights. */
export function Weighing({ proof }: { proof: Proof }) {
  const { weighing } = proof.comparison
  if (!weighing || weighing.of === 0) return null
  const { agreed, of, unsaid } = weighing
  const total = unsaid > 0 ? say('proof.weighingUnsaid', { agreed, of, unsaid }) : say('proof.weighing', { agreed, of })
  return (
    <details className="border-line border-b bg-sheet px-3.5 py-1.5 text-[0.8333rem]">
      <summary className="cursor-pointer text-ink-2">
        {proof.proposed && <strong className="text-ink">{say(`proof.proposal.${proof.proposed}`)} </strong>}
        {total}
      </summary>
      <table className="mt-1 w-full text-left" aria-label={say('proof.howItIsWeighed')}>
        <tbody>
          {weighing.lines.map(({ key, verdict, points, weight }) => (
            <tr key={key}>
              <th scope="row" className="font-normal text-ink-2">
                {say(`field.${key}`)}
              </th>
              <td>{verdictWord(verdict)}</td>
              <td className="text-right font-mono">{say('proof.weighed', { points, weight })}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </details>
  )
}
