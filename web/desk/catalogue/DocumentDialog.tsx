import { type Sensitivity, sensitivities } from '#core/catalogue/catalogue'
import { say } from '#core/words/say'
import { SelectField } from '../../ui/Field'
import { TextInLanguages } from './TextInLanguages'
import { ThingForm } from './ThingForm'
import { type DialogProps, useThing } from './useCatalogue'

/** A kind of paper that a form may ask for. */
export function DocumentDialog(props: DialogProps<'documents'>) {
  const { given, set, error, form } = useThing(props, { key: '', name: '', hint: '', sensitivity: 'usual' })
  return (
    <ThingForm {...form}>
      <TextInLanguages
        field="hint"
        of={given}
        label={(language) => say('catalogue.hintIn', { language })}
        onChange={set}
        error={error}
      />
      <SensitivityField value={given.sensitivity} onChange={(sensitivity) => set({ sensitivity })} />
    </ThingForm>
  )
}

export const SensitivityField = ({
  value,
  onChange,
}: {
  value: Sensitivity
  onChange: (sensitivity: Sensitivity) => void
}) => (
  <SelectField
    label={say('catalogue.sensitivity')}
    options={sensitivities.map((one) => ({ value: one, label: say(`catalogue.sensitivity.${one}`) }))}
    value={value}
    onChange={(event) => onChange(event.target.value as Sensitivity)}
  />
)
