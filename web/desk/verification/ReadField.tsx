import { useId } from 'react'
import type { ReadBy } from '#contract/documents'
import type { Field } from '#core/comparison/compareClaim'
import type { Verdict } from '#core/comparison/verdict'
import { compareWords } from '#core/comparison/words'
import type { ReadValue } from '#core/reading/readFields'
import { say } from '#core/words/say'

type Props = {
  field: Field
  claimed: string
  /** As people write it. */
  value: string
  machine: ReadValue | undefined
  /** The machine's value as people write it. */
  machineText: string
  /** Of a document that was seen: how it came to be known. */
  readBy: ReadBy | undefined
  absent: boolean
  locked: boolean
  error: string | undefined
  onType: (value: string) => void
  onAbsent: (absent: boolean) => void
  onLook: () => void
}

const meansTheSame: ReadonlySet<Verdict> = new Set(['same', 'equivalent'])

/** What a paper says of one field: read by machine with its place, typed by a person, or not on the paper. */
export function ReadField({ field, claimed, value, absent, locked, error, onType, onAbsent, onLook, ...how }: Props) {
  const id = useId()
  const label = say(`field.${field.key}`)
  const place = how.machine?.place ?? (how.readBy?.by === 'machine' ? how.readBy.place : undefined)
  const words = howWords({ value, absent, ...how })
  // Written differently is not something else.
  const alike = field.kind === 'words' && meansTheSame.has(compareWords(claimed, value).verdict)
  const told = !absent && claimed !== '' && value !== claimed
  return (
    <div>
      <div className="flex flex-wrap items-baseline justify-between gap-x-2">
        <label htmlFor={id} className="font-semibold">
          {label}
        </label>
        <span className="text-[0.8rem] text-ink-2">
          {place ? (
            <button
              type="button"
              className="py-1 font-semibold text-confirmed"
              aria-label={`${say('proof.showPlace', { field: label })}: ${words}`}
              onClick={onLook}
            >
              {words}
            </button>
          ) : (
            words
          )}
        </span>
      </div>
      <input
        id={id}
        value={absent ? '' : value}
        disabled={locked || absent}
        aria-invalid={Boolean(error)}
        aria-describedby={`${id}-more`}
        onFocus={onLook}
        onChange={(event) => onType(event.target.value)}
        className={`w-full rounded-sheet border bg-sheet px-2 py-1 ${error ? 'border-contradicted' : 'border-line-strong'}`}
      />
      <div id={`${id}-more`} className="flex flex-wrap items-baseline justify-between gap-x-2 text-[0.8rem]">
        <span className={value === '' || alike ? 'text-ink-2' : 'text-soon-ink'}>
          {told &&
            say('proof.claimedClaimedValue', {
              claimed,
              value: value === '' ? '' : say(alike ? 'proof.thePaperMeansTheSame' : 'proof.thePaperSaysSomethingElse'),
            })}
        </span>
        {!locked && (value === '' || absent) && (
          <label className="flex py-1 items-center gap-1">
            <input type="checkbox" checked={absent} onChange={(event) => onAbsent(event.target.checked)} />
            {say('proof.notOnPaper')}
            <span className="sr-only"> ({label})</span>
          </label>
        )}
        {error && <span className="basis-full text-contradicted">{error}</span>}
      </div>
    </div>
  )
}

function howWords({
  value,
  machine,
  machineText,
  readBy,
  absent,
}: Pick<Props, 'value' | 'machine' | 'machineText' | 'readBy' | 'absent'>): string {
  if (absent) return say('proof.isNotOnPaper')
  const read = readBy?.by === 'machine' ? readBy : machine && machineText === value ? machine : undefined
  if (read) return say('proof.readOnPage', { how: say(`proof.readHow.${read.how}`), page: read.place.page })
  const instead = readBy?.by === 'person' ? readBy.machine : machine && machineText
  if (value !== '') return instead ? say('proof.machineHad', { value: instead }) : say('proof.readByPerson')
  return say('proof.notRead')
}
