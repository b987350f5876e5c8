import { writeWhen } from '#core/dates/write'
import { say } from '#core/words/say'
import type { AtDesk } from './atDesk'

/** What is asked, line by line, and what was said to it once somebody has. */
export function Stated({ enquiry: { fields, claimed, answer } }: { enquiry: AtDesk }) {
  const written = (kind: string, value: string) => (kind === 'date' ? writeWhen(value) : value)
  return (
    <table className="w-full max-w-[46rem] text-left">
      <thead>
        <tr className="border-line-strong border-b text-[0.8333rem] text-ink-2">
          <th scope="col" className="py-1 pr-4 font-semibold" />
          <th scope="col" className="py-1 pr-4 font-semibold">
            {say('enquiries.stated')}
          </th>
          {answer && (
            <th scope="col" className="py-1 font-semibold">
              {say('enquiries.said')}
            </th>
          )}
        </tr>
      </thead>
      <tbody>
        {fields.map(({ key, kind }) => {
          const said = answer?.fields[key]
          return (
            <tr key={key} className="border-line border-b align-baseline">
              <th scope="row" className="py-1 pr-4 font-normal text-ink-2">
                {say(`field.${key}`)}
              </th>
              <td className={`py-1 pr-4 ${kind === 'number' ? 'font-mono' : ''}`}>
                {written(kind, claimed[key] ?? '')}
              </td>
              {answer && (
                <td className={`py-1 ${said?.says === 'differs' ? 'font-semibold text-contradicted' : ''}`}>
                  {!answer.known
                    ? say('enquiries.unknownToThem')
                    : said?.says === 'differs'
                      ? written(kind, said.value)
                      : say(`enquiries.says.${said?.says ?? 'cannot say'}`)}
                </td>
              )}
            </tr>
          )
        })}
        {answer?.hours && (
          <tr className="border-line border-b align-baseline">
            <th scope="row" className="py-1 pr-4 font-normal text-ink-2">
              {say('enquiries.hours')}
            </th>
            <td />
            <td>{say(`enquiries.hours.${answer.hours}`)}</td>
          </tr>
        )}
        {answer?.again && (
          <tr className="border-line border-b align-baseline">
            <th scope="row" className="py-1 pr-4 font-normal text-ink-2">
              {say('enquiries.again')}
            </th>
            <td />
            <td>{say(`enquiries.again.${answer.again}`)}</td>
          </tr>
        )}
      </tbody>
      {answer?.note && <caption className="caption-bottom pt-2 text-left">“{answer.note}”</caption>}
    </table>
  )
}
