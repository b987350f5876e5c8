import { type CredentialKind, type ValidityRule, validityRuleKinds } from '#core/catalogue/catalogue'
import type { Series } from '#core/catalogue/series'
import { say } from '#core/words/say'
import { LongField, SelectField, TextField } from '../../ui/Field'
import { Tick } from '../../ui/Tick'
import { CredentialFieldsEditor } from './CredentialFieldsEditor'
import { SensitivityField } from './DocumentDialog'
import { lines } from './lines'
import { TextInLanguages } from './TextInLanguages'
import { ThingForm } from './ThingForm'
import { type DialogProps, useThing } from './useCatalogue'

const blank: CredentialKind = {
  key: '',
  name: '',
  claim: 'certificate',
  validity: { kind: 'printed' },
  leadDays: 30,
  papers: '',
  bothSides: false,
  sensitivity: 'usual',
  fields: [],
}

/** A kind of licence or certificate: what it asks for, how it is numbered, how long it is valid, who may read it. */
export function CredentialDialog(props: DialogProps<'credentials'>) {
  const { thing } = props
  const { given, set, error, form } = useThing(props, blank)
  const setNumber = (change: { pattern?: string; example?: string }) => {
    const number = { pattern: '', example: '', ...given.number, ...change }
    set({ number: number.pattern === '' && number.example === '' ? undefined : number })
  }
  return (
    <ThingForm
      {...form}
      below={
        <CredentialFieldsEditor
          fields={given.fields}
          kept={new Set(thing?.fields.map(({ key }) => key))}
          onChange={(fields) => set({ fields })}
          error={(field) => error(`fields/${field}`)}
        />
      }
    >
      <TextInLanguages
        field="papers"
        of={given}
        label={(language) => say('catalogue.papersIn', { language })}
        onChange={set}
        error={error}
      />
      <SelectField
        label={say('catalogue.kindOfClaim')}
        options={(['licence', 'certificate'] as const).map((value) => ({
          value,
          label: say(`catalogue.claim.${value}`),
        }))}
        value={given.claim}
        disabled={thing !== undefined}
        onChange={(event) => set({ claim: event.target.value as CredentialKind['claim'] })}
        error={error('claim')}
      />
      <SensitivityField value={given.sensitivity} onChange={(sensitivity) => set({ sensitivity })} />
      <SeriesFields value={given.series} onChange={(series) => set({ series })} error={error} />
      {!given.series && (
        <Validity value={given.validity} onChange={(validity) => set({ validity })} error={error('validity/months')} />
      )}
      <TextField
        label={say('catalogue.leadDays')}
        type="number"
        min={0}
        max={730}
        value={given.leadDays}
        onChange={(event) => set({ leadDays: Math.max(0, Math.round(Number(event.target.value))) })}
        error={error('leadDays')}
      />
      <TextField
        label={say('catalogue.pattern')}
        help={say('catalogue.patternMeans')}
        optional
        value={given.number?.pattern ?? ''}
        onChange={(event) => setNumber({ pattern: event.target.value })}
        error={error('number/pattern')}
      />
      <TextField
        label={say('catalogue.example')}
        optional
        value={given.number?.example ?? ''}
        onChange={(event) => setNumber({ example: event.target.value })}
        error={error('number/example')}
      />
      <LongField
        label={say('catalogue.regions')}
        help={say('catalogue.oneEachLine')}
        optional
        rows={3}
        defaultValue={given.regions?.join('\n') ?? ''}
        onBlur={(event) => set({ regions: lines(event.target.value) })}
        error={error('regions')}
      />
      <div className="self-center">
        <Tick
          label={say('catalogue.bothSides')}
          checked={given.bothSides}
          onChange={(bothSides) => set({ bothSides })}
        />
      </div>
    </ThingForm>
  )
}

function Validity({
  value,
  onChange,
  error,
}: {
  value: ValidityRule
  onChange: (rule: ValidityRule) => void
  error: string | undefined
}) {
  const choose = (kind: ValidityRule['kind']) =>
    onChange(kind === 'months' ? { kind, months: 12, toEndOfMonth: false } : { kind })
  return (
    <>
      <SelectField
        label={say('catalogue.validity')}
        options={validityRuleKinds.map((kind) => ({ value: kind, label: say(`catalogue.validity.${kind}`) }))}
        value={value.kind}
        onChange={(event) => choose(event.target.value as ValidityRule['kind'])}
      />
      {value.kind === 'months' && (
        <>
          <TextField
            label={say('catalogue.months')}
            type="number"
            min={1}
            max={600}
            value={value.months || ''}
            onChange={(event) => onChange({ ...value, months: Math.round(Number(event.target.value)) })}
            error={error}
          />
          <div className="self-center">
            <Tick
              label={say('catalogue.toEndOfMonth')}
              checked={value.toEndOfMonth}
              onChange={(toEndOfMonth) => onChange({ ...value, toEndOfMonth })}
            />
          </div>
        </>
      )}
    </>
  )
}

type SeriesProps = {
  value: Series | undefined
  onChange: (series: Series | undefined) => void
  error: (field: string) => string | undefined
}

/** Whether it is given in steps, how far apart, and after how long it is repeated. */
function SeriesFields({ value, onChange, error }: SeriesProps) {
  const whole = (text: string) => Math.max(1, Math.round(Number(text)) || 1)
  return (
    <>
      <div className="self-center sm:col-span-2">
        <Tick
          label={say('catalogue.inSteps')}
          help={say('catalogue.inStepsMeans')}
          checked={value !== undefined}
          onChange={(on) => onChange(on ? { steps: 2, gapDays: 28 } : undefined)}
        />
      </div>
      {value && (
        <>
          <TextField
            label={say('catalogue.steps')}
            type="number"
            min={1}
            max={9}
            value={value.steps}
            onChange={(event) => onChange({ ...value, steps: whole(event.target.value) })}
            error={error('series/steps')}
          />
          <TextField
            label={say('catalogue.gapDays')}
            type="number"
            min={1}
            max={730}
            value={value.gapDays}
            onChange={(event) => onChange({ ...value, gapDays: whole(event.target.value) })}
            error={error('series/gapDays')}
          />
          <TextField
            label={say('catalogue.repeatMonths')}
            optional
            type="number"
            min={1}
            max={600}
            value={value.repeatMonths ?? ''}
            onChange={({ target: { value: text } }) => {
              const { repeatMonths: _before, ...once } = value
              onChange(text === '' ? once : { ...once, repeatMonths: whole(text) })
            }}
            error={error('series/repeatMonths')}
          />
        </>
      )}
    </>
  )
}
