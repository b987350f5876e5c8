import type { ReactElement } from 'react'
import type { Ask, RulesAsk } from '#core/requirements/requirement'
import { SelectField } from '../../ui/Field'
import { askKinds, type Surroundings } from './askKinds'

type Props = Surroundings & { ask: Ask; onChange: (ask: Ask) => void; label: string }

/** What is asked for, composed by choosing. */
export function AskEditor({ ask, onChange, label, ...around }: Props) {
  // The details of a kind take its own asks, and the ask at hand is of that kind.
  const Details = askKinds[ask.kind as RulesAsk['kind']].Details as
    | ((props: Omit<Props, 'label'>) => ReactElement)
    | undefined
  return (
    <div className="grid gap-2">
      <SelectField
        label={label}
        value={ask.kind}
        options={Object.entries(askKinds).map(([value, { name }]) => ({ value, label: name }))}
        onChange={(event) => onChange(newAsk(event.target.value as RulesAsk['kind'], around))}
      />
      {Details && <Details ask={ask} onChange={onChange} {...around} />}
    </div>
  )
}

/** An ask of a kind to begin with. */
export const newAsk = (kind: RulesAsk['kind'], around: Surroundings): Ask => askKinds[kind].begin(around)
