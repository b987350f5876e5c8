import { knownFacts } from '#core/conditions/vocabulary'
import type { AgeAllowance, Ask } from '#core/requirements/requirement'
import type { Rules } from '#core/rules/rules'
import { say } from '#core/words/say'
import { Button } from '../../ui/Button'
import { DateField } from '../../ui/DateField'
import { SelectField, TextField } from '../../ui/Field'
import { ConditionEditor, newComparison } from './ConditionEditor'

type AgeAsk = Extract<Ask, { kind: 'age' }>
type Props = {
  ask: AgeAsk
  rules: Rules
  checks: Readonly<Record<string, string>>
  onChange: (ask: AgeAsk) => void
}

/** How old somebody has to be on which day, and who may be younger or older by how much. */
export function AgeAsk({ ask, rules, checks, onChange }: Props) {
  const all = rules.form.flatMap(({ questions }) => questions)
  const named = (wanted: string) =>
    all.filter(({ kind }) => kind === wanted).map(({ key, label }) => ({ value: key, label }))
  const { allowances = [] } = ask
  const known = knownFacts(rules.form, checks)
  const setAllowances = (next: readonly AgeAllowance[]) => {
    const { allowances: _before, ...plain } = ask
    onChange(next.length > 0 ? { ...plain, allowances: next } : plain)
  }
  const change = (nth: number, next: Partial<AgeAllowance>) =>
    setAllowances(allowances.map((one, at) => (at === nth ? { ...one, ...next } : one)))
  return (
    <div className="grid gap-3">
      <SelectField
        label={say('composer.ageByWhichQuestion')}
        value={ask.question}
        empty={say('composer.choose')}
        options={named('date')}
        onChange={(event) => onChange({ ...ask, question: event.target.value })}
      />
      <div className="grid grid-cols-3 gap-3">
        <Years
          label={say('composer.ageLeast')}
          value={ask.least}
          onChange={(least) => onChange(without({ ...ask, least }))}
        />
        <Years
          label={say('composer.ageMost')}
          value={ask.most}
          onChange={(most) => onChange(without({ ...ask, most }))}
        />
        <DateField
          label={say('composer.ageOn')}
          optional
          value={ask.on ?? ''}
          help={say('composer.ageOnMeans')}
          onChange={(on) => onChange(without({ ...ask, on: on || undefined }))}
        />
      </div>
      {allowances.map((allowance, nth) => (
        <div key={nth} className="grid gap-3 border-line-strong border-l-2 pl-3">
          <div className="grid grid-cols-2 gap-3">
            <Years
              label={say('composer.ageAllowance')}
              value={allowance.years}
              onChange={(years) => change(nth, { years: years ?? 1 })}
            />
            <SelectField
              label={say('composer.ageShownBy')}
              value={allowance.document ?? ''}
              empty={say('composer.ageNoPaper')}
              options={named('document')}
              onChange={(event) => change(nth, { document: event.target.value || undefined })}
            />
          </div>
          <ConditionEditor
            label={say('composer.ageFor')}
            condition={allowance.when}
            known={known}
            onChange={(when) =>
              when ? change(nth, { when }) : setAllowances(allowances.filter((_one, at) => at !== nth))
            }
          />
        </div>
      ))}
      {known[0] && (
        <Button
          kind="quiet"
          className="justify-self-start !px-0"
          onClick={() => setAllowances([...allowances, { years: 1, when: { all: [newComparison(known)] } }])}
        >
          {say('composer.ageAddAllowance')}
        </Button>
      )}
    </div>
  )
}

/** Nothing is kept for what was taken out. */
const without = (ask: AgeAsk): AgeAsk =>
  Object.fromEntries(Object.entries(ask).filter(([, value]) => value !== undefined)) as AgeAsk

type YearsProps = { label: string; value: number | undefined; onChange: (years: number | undefined) => void }

const Years = ({ label, value, onChange }: YearsProps) => (
  <TextField
    label={label}
    type="number"
    min={1}
    max={100}
    value={value ?? ''}
    onChange={(event) => {
      const years = Math.round(Number(event.target.value))
      onChange(event.target.value === '' ? undefined : Math.min(100, Math.max(1, years)))
    }}
  />
)
