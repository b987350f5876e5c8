import { useState } from 'react'
import type { Scale, ScaleClass } from '#core/grades/grades'
import { say } from '#core/words/say'
import { Button } from '../../ui/Button'
import { SelectField, TextField } from '../../ui/Field'
import { Tick } from '../../ui/Tick'
import { TextInLanguages } from './TextInLanguages'
import { ThingForm } from './ThingForm'
import { type DialogProps, useThing } from './useCatalogue'

type Letters = Extract<Scale, { kind: 'letters' }>['letters']
type Fault = (field: string) => string | undefined

const numbers: Scale = { kind: 'numbers', worst: 0, best: 100, pass: 50, classes: [] }
const letters: Scale = { kind: 'letters', letters: [{ letter: 'A', percent: 95, passes: true }], classes: [] }

/** How an institution marks: between a worst and a best number, or by letters, and what the overall result is called. */
export function ScaleDialog(props: DialogProps<'scales'>) {
  const { given, set, error, form } = useThing(props, { key: '', name: '', scale: numbers })
  const { scale } = given
  const setScale = (change: object) => set({ scale: { ...scale, ...change } as Scale })
  const ofScale: Fault = (field) => error(`scale/${field}`)
  return (
    <ThingForm
      {...form}
      below={
        <>
          {scale.kind === 'numbers' ? (
            <div className="grid gap-3 sm:grid-cols-3">
              {(['worst', 'best', 'pass'] as const).map((end) => (
                <NumberField
                  key={end}
                  label={say(`catalogue.${end}`)}
                  value={scale[end]}
                  onChange={(value) => setScale({ [end]: value })}
                  error={ofScale(end)}
                />
              ))}
            </div>
          ) : (
            <LettersEditor letters={scale.letters} onChange={(next) => setScale({ letters: next })} error={ofScale} />
          )}
          <ClassesEditor classes={scale.classes} onChange={(classes) => setScale({ classes })} error={ofScale} />
        </>
      }
    >
      <SelectField
        label={say('catalogue.marksBy')}
        options={(['numbers', 'letters'] as const).map((value) => ({
          value,
          label: say(`catalogue.marksBy.${value}`),
        }))}
        value={scale.kind}
        onChange={(event) =>
          set({ scale: { ...(event.target.value === 'letters' ? letters : numbers), classes: scale.classes } })
        }
      />
    </ThingForm>
  )
}

function LettersEditor({
  letters: given,
  onChange,
  error,
}: {
  letters: Letters
  onChange: (letters: Letters) => void
  error: Fault
}) {
  const put = (at: number, change: Partial<Letters[number]>) =>
    onChange(given.map((letter, nth) => (nth === at ? { ...letter, ...change } : letter)))
  return (
    <fieldset className="grid gap-2">
      <legend className="mb-1 font-semibold text-[0.93em]">{say('catalogue.letters')}</legend>
      {error('letters') && (
        <p role="alert" className="text-contradicted">
          {error('letters')}
        </p>
      )}
      {given.map(({ letter, percent, passes }, nth) => (
        <div key={nth} className="grid grid-cols-[120px_120px_auto_1fr] items-center gap-3">
          <TextField
            label={say('catalogue.letterNth', { nth: nth + 1 })}
            hidden
            maxLength={12}
            value={letter}
            onChange={(event) => put(nth, { letter: event.target.value })}
            error={error(`letters/${nth}/letter`)}
          />
          <NumberField
            label={say('catalogue.percentOfLetter', { nth: nth + 1 })}
            hidden
            value={percent}
            onChange={(value) => put(nth, { percent: value })}
            error={error(`letters/${nth}/percent`)}
          />
          <Tick label={say('catalogue.passes')} checked={passes} onChange={(next) => put(nth, { passes: next })} />
          <Button
            kind="quiet"
            className="justify-self-start"
            onClick={() => onChange(given.filter((_, at) => at !== nth))}
          >
            {say('catalogue.takeLetterOut', { nth: nth + 1 })}
          </Button>
        </div>
      ))}
      <Button
        className="justify-self-start"
        onClick={() => onChange([...given, { letter: '', percent: 0, passes: true }])}
      >
        {say('catalogue.addLetter')}
      </Button>
    </fieldset>
  )
}

function ClassesEditor({
  classes,
  onChange,
  error,
}: {
  classes: readonly ScaleClass[]
  onChange: (classes: ScaleClass[]) => void
  error: Fault
}) {
  const put = (at: number, change: Partial<ScaleClass>) =>
    onChange(classes.map((one, nth) => (nth === at ? { ...one, ...change } : one)))
  return (
    <fieldset className="grid gap-2">
      <legend className="font-semibold text-[0.93em]">{say('catalogue.classes')}</legend>
      <p className="text-[0.87em] text-ink-2">{say('catalogue.classesMean')}</p>
      {classes.map((one, nth) => (
        <div key={nth} className="grid items-end gap-3 sm:grid-cols-[120px_1fr_1fr_auto]">
          <NumberField
            label={say('catalogue.classFrom', { nth: nth + 1 })}
            value={one.from}
            onChange={(from) => put(nth, { from })}
            error={error(`classes/${nth}/from`)}
          />
          <TextInLanguages
            field="name"
            of={one}
            label={(language) => say('catalogue.classIn', { nth: nth + 1, language })}
            onChange={(change) => put(nth, change)}
            error={(field) => error(`classes/${nth}/${field}`)}
          />
          <Button kind="quiet" onClick={() => onChange(classes.filter((_, at) => at !== nth))}>
            {say('catalogue.takeClassOut', { nth: nth + 1 })}
          </Button>
        </div>
      ))}
      <Button
        className="justify-self-start"
        onClick={() => onChange([...classes, { from: Math.max(0, (classes.at(-1)?.from ?? 100) - 10), name: '' }])}
      >
        {say('catalogue.addClass')}
      </Button>
    </fieldset>
  )
}

type NumberProps = {
  label: string
  hidden?: boolean
  value: number
  onChange: (value: number) => void
  error: string | undefined
}

/** A number with a decimal comma or point; what cannot be read yet stays as it is typed. */
function NumberField({ value, onChange, ...around }: NumberProps) {
  const [typed, setTyped] = useState(String(value))
  return (
    <TextField
      {...around}
      inputMode="decimal"
      value={typed}
      onChange={(event) => {
        setTyped(event.target.value)
        const next = Number(event.target.value.trim().replace(',', '.'))
        if (event.target.value.trim() !== '' && !Number.isNaN(next)) onChange(next)
      }}
      onBlur={() => setTyped(String(value))}
    />
  )
}
