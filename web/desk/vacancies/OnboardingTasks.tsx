import type { Rules } from '#core/rules/rules'
import { say } from '#core/words/say'
import { Button } from '../../ui/Button'
import { LongField, TextField } from '../../ui/Field'
import { freshKey } from './freshKey'

/** What somebody reads and acknowledges after an offer; requirements refer to these. */
export function OnboardingTasks({ rules, onChange }: { rules: Rules; onChange: (next: Rules) => void }) {
  const { onboarding } = rules
  const put = (next: Rules['onboarding']) => onChange({ ...rules, onboarding: next })
  return (
    <details className="mt-4">
      <summary className="cursor-pointer font-semibold">
        {say('composer.onboardingTasks', { count: onboarding.length })}
      </summary>
      <div className="mt-2 grid gap-3">
        {onboarding.map((task) => (
          <div key={task.key} className="grid gap-2 border-line border-b pb-3">
            <TextField
              label={say('composer.whatItIs')}
              value={task.title}
              onChange={(event) =>
                put(onboarding.map((other) => (other === task ? { ...task, title: event.target.value } : other)))
              }
            />
            <LongField
              label={say('composer.whatIsToBeRead')}
              rows={4}
              value={task.text}
              onChange={(event) =>
                put(onboarding.map((other) => (other === task ? { ...task, text: event.target.value } : other)))
              }
            />
            <Button
              kind="quiet"
              className="justify-self-start !px-0"
              onClick={() => put(onboarding.filter((other) => other !== task))}
            >
              {say('composer.takeThisTaskOut')}
            </Button>
          </div>
        ))}
        <Button
          className="justify-self-start"
          onClick={() =>
            put([
              ...onboarding,
              {
                key: freshKey('task', new Set(onboarding.map(({ key }) => key))),
                title: say('composer.aNewTask'),
                text: '',
              },
            ])
          }
        >
          {say('composer.addATask')}
        </Button>
      </div>
    </details>
  )
}
