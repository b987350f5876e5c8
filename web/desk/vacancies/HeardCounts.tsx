import { heardStages } from '#core/hiring/heard'
import { say } from '#core/words/say'
import { api } from '../../api'

/** Where those who applied heard of a vacancy, and how far they came. */
export function HeardCounts({ id }: { id: string }) {
  const { data } = api.endpoints.countHeard.useQuery({ params: { id } })
  if (!data || data.rows.length === 0) return null
  return (
    <section className="mt-5 max-w-[640px]">
      <h2 className="mb-1 text-[1.2rem]">{say('composer.whereTheyHeard')}</h2>
      <table className="w-full text-left">
        <thead>
          <tr className="border-line-strong border-b text-[0.8333rem] text-ink-2">
            <th className="py-1 font-semibold">{say('composer.heardFrom')}</th>
            {heardStages.map((stage) => (
              <th key={stage} className="py-1 text-right font-semibold">
                {say(`composer.heardStage.${stage}`)}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {data.rows.map(({ source, counts }) => (
            <tr key={source ?? ''} className="border-line border-b">
              <td className={`py-1 ${source ? '' : 'text-ink-2'}`}>
                {source ? say(`role.heard.${source}`) : say('composer.heardNotSaid')}
              </td>
              {heardStages.map((stage) => (
                <td key={stage} className="py-1 text-right font-mono">
                  {counts[stage]}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  )
}
