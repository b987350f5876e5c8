import { type LetterFindings, type LetterPart, type LetterReading, letterParts } from '#core/reading/letter'
import { say } from '#core/words/say'
import { faultAt, type ProblemNote } from '../../ui/ProblemNote'

type Props = {
  findings: LetterFindings
  /** Where the machine found them. */
  found: LetterReading
  locked: boolean
  problem: Parameters<typeof ProblemNote>[0]['problem']
  onSay: (part: LetterPart, state: 'there' | 'missing') => void
  onLook: (part: LetterPart) => void
}

/** Of a letter of work: its title, first and last day, signature and letterhead, each there or missing. */
export function LetterParts({ findings, found, locked, problem, onSay, onLook }: Props) {
  return (
    <fieldset className="grid gap-1 border-line border-t pt-2">
      <legend className="font-semibold">{say('proof.letterHas')}</legend>
      {letterParts.map((part) => (
        <div key={part} className="flex flex-wrap items-baseline justify-between gap-x-3">
          <span>
            {say(`proof.letterPart.${part}`)}
            {found[part] && (
              <button
                type="button"
                className="ml-2 py-1 text-[0.8rem] font-semibold text-confirmed"
                onClick={() => onLook(part)}
              >
                {say('proof.show')}
                <span className="sr-only"> ({say(`proof.letterPart.${part}`)})</span>
              </button>
            )}
          </span>
          <span className="flex gap-3" role="radiogroup" aria-label={say(`proof.letterPart.${part}`)}>
            {(['there', 'missing'] as const).map((state) => (
              <label
                key={state}
                className={`flex items-center gap-1 ${state === 'missing' && findings[part] === state ? 'font-semibold text-contradicted' : ''}`}
              >
                <input
                  type="radio"
                  name={`letter-${part}`}
                  checked={findings[part] === state}
                  disabled={locked}
                  onChange={() => onSay(part, state)}
                />
                {say(`proof.letter.${state}`)}
              </label>
            ))}
          </span>
          {faultAt(problem, part) && <p className="basis-full text-contradicted">{faultAt(problem, part)}</p>}
        </div>
      ))}
    </fieldset>
  )
}
