import { type CredentialField, type CredentialFieldKind, credentialFieldKinds } from '#core/catalogue/catalogue'
import { kindWords } from '#core/words/form'
import { say } from '#core/words/say'
import { Button } from '../../ui/Button'
import { LongField, SelectField, TextField } from '../../ui/Field'
import { Tick } from '../../ui/Tick'
import { useSession } from '../../useSession'
import { freshKey } from '../vacancies/freshKey'
import { lines } from './lines'
import { TextInLanguages } from './TextInLanguages'

type Props = {
  fields: readonly CredentialField[]
  /** Keys of fields that are saved: those stay, and may be taken out of use. */
  kept: ReadonlySet<string>
  onChange: (fields: CredentialField[]) => void
  error: (field: string) => string | undefined
}

/** What a kind of licence or certificate asks besides its number and days. */
export function CredentialFieldsEditor({ fields, kept, onChange, error }: Props) {
  const keyFor = (label: string, at: number) =>
    freshKey(label, new Set(fields.filter((_, nth) => nth !== at).map(({ key }) => key))).slice(0, 40)
  /** The key of a field that is not saved yet is made from what it is called. */
  const put = (at: number, change: Partial<CredentialField>) =>
    onChange(
      fields.map((field, nth) => {
        if (nth !== at) return field
        const key = change.label !== undefined && !kept.has(field.key) ? keyFor(change.label, at) : field.key
        return { ...field, ...change, key }
      }),
    )
  const add = () => onChange([...fields, { key: keyFor('field', -1), label: '', kind: 'text', required: false }])
  return (
    <fieldset className="grid gap-3">
      <legend className="font-semibold">{say('catalogue.ownFields')}</legend>
      <p className="text-[0.87em] text-ink-2">{say('catalogue.ownFieldsMean')}</p>
      {fields.map((field, nth) => (
        <Field
          key={nth}
          nth={nth}
          field={field}
          isKept={kept.has(field.key)}
          onChange={(change) => put(nth, change)}
          onTakeOut={() => onChange(fields.filter((_, at) => at !== nth))}
          error={(name) => error(`${nth}/${name}`)}
        />
      ))}
      <Button onClick={add} className="justify-self-start">
        {say('catalogue.addField')}
      </Button>
    </fieldset>
  )
}

function Field({
  nth,
  field,
  isKept,
  onChange,
  onTakeOut,
  error,
}: {
  nth: number
  field: CredentialField
  isKept: boolean
  onChange: (change: Partial<CredentialField>) => void
  onTakeOut: () => void
  error: (name: string) => string | undefined
}) {
  const { organisation } = useSession()
  const measured = field.kind === 'money' || field.kind === 'number'
  const choose = (kind: CredentialFieldKind) =>
    onChange({
      kind,
      options: kind === 'one of' ? (field.options ?? []) : undefined,
      unit: kind === 'money' ? organisation?.currency : undefined,
    })
  return (
    <fieldset className="grid gap-3 rounded-sheet border border-line p-3 sm:grid-cols-2">
      <legend className="sr-only">{say('catalogue.fieldNth', { nth: nth + 1 })}</legend>
      <TextInLanguages
        field="label"
        of={field}
        label={(language) => say('catalogue.labelIn', { language })}
        onChange={onChange}
        error={error}
      />
      <SelectField
        label={say('catalogue.fieldKind')}
        options={credentialFieldKinds.map((kind) => ({ value: kind, label: kindWords(kind) }))}
        value={field.kind}
        disabled={isKept}
        onChange={(event) => choose(event.target.value as CredentialFieldKind)}
        error={error('kind')}
      />
      {measured && (
        <TextField
          label={say('catalogue.unit')}
          value={field.unit ?? ''}
          onChange={(event) => onChange({ unit: event.target.value || undefined })}
          error={error('unit')}
        />
      )}
      {field.kind === 'one of' && (
        <LongField
          label={say('catalogue.options')}
          help={say('catalogue.optionEachLine')}
          rows={3}
          value={field.options?.join('\n') ?? ''}
          onChange={(event) => onChange({ options: event.target.value.split('\n') })}
          onBlur={(event) => onChange({ options: lines(event.target.value) ?? [] })}
          error={error('options')}
        />
      )}
      <div className="flex flex-wrap items-center gap-x-6 gap-y-2 sm:col-span-2">
        <Tick
          label={say('catalogue.required')}
          checked={field.required}
          onChange={(required) => onChange({ required })}
        />
        {isKept ? (
          <Tick
            label={say('catalogue.offer')}
            checked={!field.retired}
            onChange={(offered) => onChange({ retired: offered ? undefined : true })}
          />
        ) : (
          <Button kind="quiet" onClick={onTakeOut}>
            {say('catalogue.takeFieldOut', { nth: nth + 1 })}
          </Button>
        )}
      </div>
    </fieldset>
  )
}
