import { useState } from 'react'
import { type DocumentKind, type Sensitivity, sensitivities } from '#core/catalogue/catalogue'
import { say } from '#core/words/say'
import { SelectField } from '../../ui/Field'
import { freshKey } from '../vacancies/freshKey'
import { TextInLanguages } from './TextInLanguages'
import { ThingForm } from './ThingForm'
import { type DialogProps, useSavedThing } from './useCatalogue'

/** A kind of paper that a form may ask for. */
export function DocumentDialog(props: DialogProps<'documents'>) {
  const { edited, thing, onClose } = props
  const { save, busy, problem, fault } = useSavedThing(props)
  const [given, setGiven] = useState<DocumentKind>(thing ?? { key: '', name: '', hint: '', sensitivity: 'usual' })
  const error = fault(given.key)
  return (
    <ThingForm
      title={thing?.name ?? say('catalogue.add.documents')}
      {...(thing ? { offered: !given.retired } : {})}
      onOffer={(offered) => setGiven({ ...given, retired: offered ? undefined : true })}
      problem={problem}
      busy={busy}
      onSave={() => void save(thing ? given : { ...given, key: keyFor(given.name, edited.catalogue.documents) })}
      onClose={onClose}
    >
      <div className="grid gap-3 sm:grid-cols-2">
        <TextInLanguages
          field="name"
          of={given}
          label={(language) => say('catalogue.nameIn', { language })}
          onChange={(change) => setGiven({ ...given, ...change })}
          error={error}
        />
        <TextInLanguages
          field="hint"
          of={given}
          label={(language) => say('catalogue.hintIn', { language })}
          onChange={(change) => setGiven({ ...given, ...change })}
          error={error}
        />
        <SensitivityField value={given.sensitivity} onChange={(sensitivity) => setGiven({ ...given, sensitivity })} />
      </div>
    </ThingForm>
  )
}

/** A key for something new, unlike all there are. */
export const keyFor = (name: string, things: readonly { key: string }[]) =>
  freshKey(name, new Set(things.map(({ key }) => key))).slice(0, 40)

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
