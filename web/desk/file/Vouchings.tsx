import type { File } from '#contract/desk'
import { writeWhen } from '#core/dates/write'
import { writeShortDay } from '../../ui/write'
import { More } from './More'

const trustWords = {
  yes: 'would trust them with this work',
  'with support': 'would trust them, with support at first',
  no: 'would not trust them with this work',
}

/** Those the candidate named, and what they said. */
export function Vouchings({ vouchings }: Pick<File, 'vouchings'>) {
  if (vouchings.length === 0) return null
  const done = vouchings.filter(({ state }) => state === 'done').length
  return (
    <More title={`People who vouch, ${done} of ${vouchings.length}`}>
      <ul className="grid gap-2">
        {vouchings.map(({ id, name, relation, askedAt, doneAt, answer }) => (
          <li key={id}>
            <p>
              <span className="font-semibold">{name}</span>, {relation}
              {answer ? (
                <span className={answer.trust === 'no' ? 'font-semibold text-contradicted' : ''}>
                  {' '}
                  {trustWords[answer.trust]}
                </span>
              ) : (
                <span className="text-ink-2"> asked {writeShortDay(askedAt)}, no answer yet</span>
              )}
            </p>
            {answer && (
              <>
                <p className="text-ink-2">
                  {[answer.respondent, answer.capacity].filter(Boolean).join(', ')}. Worked together {answer.worked}{' '}
                  from {writeWhen(answer.knownFrom)} to{' '}
                  {answer.knownTo === 'present' ? 'now' : writeWhen(answer.knownTo)}.
                  {doneAt && ` Said ${writeShortDay(doneAt)}.`}
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
