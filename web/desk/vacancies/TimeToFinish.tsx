import type { Completion } from '#core/hiring/completion'
import { rulesFaultWords } from '#core/words/rules'
import { say } from '#core/words/say'
import { Button } from '../../ui/Button'
import { TextField } from '../../ui/Field'
import type { RulesEditing } from './useRules'

const usual: Completion = { days: 30, remindAt: [7, 3, 1], extraDays: 14 }

/** The time there is to finish an application, as it is set with the rules. */
export function TimeToFinish({ editing: { rules, change, faults } }: { editing: RulesEditing }) {
  const { completeWithin, ...others } = rules
  const put = (more: Partial<Completion>) =>
    change({ ...rules, completeWithin: { ...usual, ...completeWithin, ...more } })
  const fault = faults.find(({ pointer }) => pointer.startsWith('/completeWithin'))
  const whole = (text: string) => Math.min(365, Math.max(0, Math.trunc(Number(text)) || 0))
  return (
    <section className="mt-5 border-line border-t pt-3" aria-label={say('composer.timeToFinish')}>
      <h2 className="text-[1.2rem]">{say('composer.timeToFinish')}</h2>
      <p className="mb-2 text-[0.8667rem] text-ink-2">{say('composer.timeMeans')}</p>
      {completeWithin ? (
        <div className="grid gap-2">
          <div className="grid grid-cols-2 gap-3">
            <TextField
              label={say('composer.timeDays')}
              type="number"
              min={1}
              max={365}
              value={completeWithin.days}
              onChange={({ target }) => put({ days: Math.max(1, whole(target.value)) })}
            />
            <TextField
              label={say('composer.timeExtra')}
              type="number"
              min={0}
              max={365}
              value={completeWithin.extraDays}
              onChange={({ target }) => put({ extraDays: whole(target.value) })}
            />
          </div>
          <TextField
            // What was typed stands until the place is left.
            key={completeWithin.remindAt.join()}
            label={say('composer.timeSteps')}
            help={say('composer.timeStepsMeans')}
            defaultValue={completeWithin.remindAt.join(', ')}
            onBlur={({ target }) => {
              const steps = (target.value.match(/\d+/g) ?? []).map(whole)
              put({ remindAt: [...new Set(steps)].sort((a, b) => b - a).slice(0, 6) })
            }}
            {...(fault ? { error: rulesFaultWords(fault, rules) } : {})}
          />
          <Button kind="quiet" className="justify-self-start" onClick={() => change(others)}>
            {say('composer.removeTime')}
          </Button>
        </div>
      ) : (
        <Button onClick={() => put({})}>{say('composer.setATime')}</Button>
      )}
    </section>
  )
}
