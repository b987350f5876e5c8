import { scheduleKinds, scheduleLimits } from '#core/enquiries/schedule'
import type { EnquirySettings as Settings } from '#core/enquiries/settings'
import { say } from '#core/words/say'
import type { Problem } from '../../api'
import { TextField } from '../../ui/Field'
import { faultAt } from '../../ui/ProblemNote'

type Props = { given: Settings; onChange: (settings: Settings) => void; problem: Problem | undefined; currency: string }

/** How sources are asked: reminders by way, what an enquiry may cost before somebody else approves it, and one question the law may forbid. */
export function EnquirySettings({ given, onChange, problem, currency }: Props) {
  const { schedules, costLimit, againIn } = given
  return (
    <div className="grid gap-3">
      <p className="text-ink-2">{say('administration.enquiriesMean')}</p>
      <div className="grid gap-3 sm:grid-cols-3">
        {scheduleKinds
          .filter((kind) => kind !== 'register')
          .map((kind) => (
            <fieldset key={kind} className="grid grid-cols-2 gap-2">
              <legend className="mb-1 font-semibold">{say(`administration.schedule.${kind}`)}</legend>
              {(['reminders', 'everyWorkingDays'] as const).map((part) => (
                <TextField
                  key={part}
                  type="number"
                  min={scheduleLimits[part].least}
                  max={scheduleLimits[part].most}
                  label={say(`administration.schedule.${part}`)}
                  value={schedules[kind][part]}
                  onChange={(event) =>
                    onChange({
                      ...given,
                      schedules: {
                        ...schedules,
                        [kind]: { ...schedules[kind], [part]: Math.round(Number(event.target.value)) },
                      },
                    })
                  }
                  error={faultAt(problem, `schedules/${kind}/${part}`)}
                />
              ))}
            </fieldset>
          ))}
      </div>
      <div className="grid gap-3 sm:grid-cols-2">
        <TextField
          type="number"
          min={0}
          step="0.01"
          optional
          label={say('administration.costLimit', { currency })}
          value={costLimit === null ? '' : costLimit / 100}
          onChange={(event) =>
            onChange({
              ...given,
              costLimit: event.target.value === '' ? null : Math.round(Number(event.target.value) * 100),
            })
          }
          error={faultAt(problem, 'costLimit')}
        />
        <TextField
          optional
          label={say('administration.againIn')}
          value={againIn.join(' ')}
          onChange={(event) =>
            onChange({
              ...given,
              againIn: event.target.value
                .toUpperCase()
                .split(/[\s,]+/)
                .filter(Boolean),
            })
          }
          error={faultAt(problem, 'againIn')}
        />
      </div>
    </div>
  )
}
