import type { FeeFact } from '#core/fees/schedule'
import { feeOptionWords } from '#core/words/facts'
import { say } from '#core/words/say'
import { translated } from '#core/words/translations'
import { Choice, SelectField, TextField } from '../ui/Field'

type Props = { fact: FeeFact; value: string; onChange: (value: string) => void; error?: string | undefined }

/** Something that is asked for a fee alone. */
export function FeeFactField({ fact, value, onChange, error }: Props) {
  const { label, help, proof } = translated(fact)
  const told = [help, proof && say('fees.needsProof', { proof })].filter(Boolean).join(' ') || undefined
  if (fact.kind === 'number')
    return (
      <TextField
        label={label}
        help={told}
        inputMode="numeric"
        value={value}
        error={error}
        onChange={(event) => onChange(event.target.value.replace(/\D/g, '').slice(0, 3))}
      />
    )
  const options = (fact.kind === 'yes or no' ? ['yes', 'no'] : (fact.options ?? [])).map((option) => ({
    value: option,
    label: feeOptionWords(fact, option),
  }))
  if (fact.kind === 'one of')
    return (
      <SelectField
        label={label}
        help={told}
        value={value}
        empty={say('fees.choose')}
        options={options}
        error={error}
        onChange={(event) => onChange(event.target.value)}
      />
    )
  return (
    <div>
      <Choice
        label={label}
        name={`fee-${fact.key}`}
        value={value}
        options={options}
        onChange={onChange}
        error={error}
      />
      {told && <p className="mt-1 text-[0.88em] text-ink-2">{told}</p>}
    </div>
  )
}
