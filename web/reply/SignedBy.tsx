import { say } from '#core/words/say'
import type { Problem } from '../api'
import { LongField, TextField } from '../ui/Field'
import { faultAt } from '../ui/ProblemNote'
import { type Answer, hasAuthor } from './answers'

type Props = {
  answer: Answer
  tried: boolean
  problem?: Problem
  onChange?: (change: Partial<Answer>) => void
}

/** Who answers, and whatever else they say. */
export function SignedBy({ answer, tried, problem, onChange = () => undefined }: Props) {
  const field = (name: 'respondent' | 'capacity' | 'note') => ({
    name,
    value: answer[name],
    onChange: (event: { target: { value: string } }) => onChange({ [name]: event.target.value }),
  })
  return (
    <>
      <TextField
        label={say('reply.yourName')}
        autoComplete="name"
        maxLength={120}
        {...field('respondent')}
        error={tried && !hasAuthor(answer) ? say('reply.nameNeeded') : faultAt(problem, 'respondent')}
      />
      <TextField label={say('reply.yourOffice')} optional maxLength={120} {...field('capacity')} />
      <div className="sm:col-span-2">
        <LongField label={say('reply.anythingToAdd')} optional limit={4000} {...field('note')} />
      </div>
    </>
  )
}
