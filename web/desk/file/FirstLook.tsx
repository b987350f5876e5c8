import { Link, useNavigate } from 'react-router'
import type { File } from '#contract/desk'
import { isUndecided } from '#core/hiring/stages'
import { say } from '#core/words/say'
import { useSession } from '../../useSession'
import { useKeys } from '../useKeys'

const eligibleWords = {
  yes: say('file.couldBeChosenAsFar'),
  no: say('file.doesNotMeetWhatWas'),
  undecided: say('file.notToBeSaidYet'),
}

/** What a first look asks of what came in: could they be chosen, what is blank, what changed, who else might it be. */
export function FirstLook({ file }: { file: File }) {
  const navigate = useNavigate()
  const { may } = useSession()
  const [duplicate] = may('readDuplicate') ? file.duplicates : []
  useKeys({ d: duplicate ? () => navigate(`/desk/duplicates/${duplicate.oneId}/${duplicate.otherId}`) : undefined })
  const { eligible, because, blanks, settled } = file.firstLook
  if (!isUndecided(file) && !duplicate) return null
  const tone = eligible === 'no' ? 'text-contradicted' : eligible === 'undecided' ? 'text-soon-ink' : 'text-confirmed'
  return (
    <section className="mt-2 grid gap-0.5 border-line border-t pt-1.5" aria-label={say('file.firstLook')}>
      {isUndecided(file) && (
        <>
          <p>
            <strong className={tone}>{eligibleWords[eligible]}</strong>{' '}
            {because.map((key) => (
              <span key={key}>
                <span className="font-semibold">{file.requirements.find((one) => one.key === key)?.title ?? key}</span>{' '}
                <span className="text-ink-2">{file.words[key]?.why}</span>{' '}
              </span>
            ))}
          </p>
          <p className="text-ink-2">
            {say('file.ofSettledForTheShortlist', {
              done: settled.done,
              of: settled.of,
              value:
                blanks.length === 0
                  ? say('file.nothingLeftBlank')
                  : blanks
                      .map(
                        ({ label, blank, because: why }) =>
                          `${label}: ${say(`file.leftBlank.${blank}`)}${why ? `, “${why}”` : ''}`,
                      )
                      .join('; '),
              value2:
                file.changes.length === 0
                  ? say('file.nothingChangedSince')
                  : say('file.changedSince', { value: file.changes.map(({ label }) => label).join(', ') }),
            })}
          </p>
        </>
      )}
      {file.onBehalf && (
        <p className="text-ink-2">
          {say('file.writtenDownBy', { how: say(`behalf.how.${file.onBehalf.how}`), by: file.onBehalf.by })}
        </p>
      )}
      {duplicate && (
        <p>
          <strong className="text-soon-ink">{say('file.mayBeTheSamePerson', { name: duplicate.name })}</strong>{' '}
          <Link
            to={`/desk/duplicates/${duplicate.oneId}/${duplicate.otherId}`}
            className="font-semibold text-confirmed"
          >
            {say('file.compareTheTwoFilesD')}
          </Link>
        </p>
      )}
    </section>
  )
}
