import type { OwnEmployerDetails } from '#contract/employers'
import { say } from '#core/words/say'
import type { Problem } from '../api'
import { TextField } from '../ui/Field'
import { faultAt } from '../ui/ProblemNote'
import { Tick } from '../ui/Tick'

type Props = {
  details: OwnEmployerDetails
  onChange: (details: OwnEmployerDetails) => void
  problem: Problem | undefined
  /** Under what name they are sent. */
  at: 'details' | 'terms'
}

/** What an employer says of itself: where invoices go, and who finds it. */
export function OwnDetails({ details, onChange, problem, at }: Props) {
  const field = (key: 'street' | 'postcode' | 'town' | 'receiptMail') => ({
    label: say(`employers.${key}`),
    value: details[key],
    error: faultAt(problem, `${at}/${key}`),
    onChange: ({ target }: { target: { value: string } }) => onChange({ ...details, [key]: target.value }),
  })
  return (
    <>
      <TextField {...field('street')} />
      <div className="grid grid-cols-[9rem_1fr] gap-3">
        <TextField {...field('postcode')} />
        <TextField {...field('town')} />
      </div>
      <TextField {...field('receiptMail')} help={say('employers.receiptMailMeans')} type="email" optional />
      <Tick
        label={say('employers.findable')}
        help={say('employers.findableMeans')}
        checked={details.findable}
        onChange={(findable) => onChange({ ...details, findable })}
      />
      <Tick
        label={say('employers.orderNumberNeeded')}
        checked={details.orderNumberNeeded}
        onChange={(orderNumberNeeded) => onChange({ ...details, orderNumberNeeded })}
      />
    </>
  )
}
