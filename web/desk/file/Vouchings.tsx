import type { File } from '#contract/desk'
import { writeWhen } from '#core/dates/write'
import { say } from '#core/words/say'
import { writeShortDay } from '../../ui/write'
import { More } from './More'

const trustWords = {
  yes: say('file.wouldTrustThemWithThis'),
  'with support': say('file.wouldTrustThemWithSupport'),
  no: say('file.wouldNotTrustThemWith'),
}

/** Those the candidate named, and what they said. */
export function Vouchings({ vouchings }: Pick<File, 'vouchings'>) {
  if (vouchings.length === 0) return null
  const done = vouchings.filter(({ state }) => state === 'done').length
  return (
    <More title={say('file.peopleWhoVouchOf', { done, count: vouchings.length })}>
      <ul className="grid gap-2">
        {vouchings.map(({ id, name, relation, askedAt, doneAt, answer }) => (
          <li key={id}>
            <p>
              <span className="font-semibold">{name}</span>, {say(`file.relation.${relation}`)}
              {answer ? (
                <span className={answer.trust === 'no' ? 'font-semibold text-contradicted' : ''}>
                  {' '}
                  {trustWords[answer.trust]}
                </span>
              ) : (
                <span className="text-ink-2"> {say('file.askedNoAnswerYet', { askedAt: writeShortDay(askedAt) })}</span>
              )}
            </p>
            {answer && (
              <>
                <p className="text-ink-2">
                  {say('file.workedTogetherFromTo', {
                    value: [answer.respondent, answer.capacity].filter(Boolean).join(', '),
                    worked: say(`file.worked.${answer.worked}`),
                    knownFrom: writeWhen(answer.knownFrom),
                    value2: answer.knownTo === 'present' ? say('file.now') : writeWhen(answer.knownTo),
                    doneAt: doneAt ? say('file.saidDoneAt', { doneAt: writeShortDay(doneAt) }) : '',
                  })}
                </p>
                <p className="whitespace-pre-line border-line border-l-2 pl-3">{answer.statement}</p>
              </>
            )}
          </li>
        ))}
      </ul>
    </More>
  )
}
