import { guessValue } from '#core/sources/formValues'
import { type FormValue, formValues, type SourceForm } from '#core/sources/source'
import { say } from '#core/words/say'
import { addressOf } from '../../api'
import { Button } from '../../ui/Button'
import { SelectField } from '../../ui/Field'
import { FileButton } from '../../ui/FileButton'
import { ProblemNote } from '../../ui/ProblemNote'
import { useAct } from '../../useAct'

type Props = { form: SourceForm | undefined; onChange: (form: SourceForm | undefined) => void; fault?: string }

/** The form a source answers on: the PDF it has sent us, and what each of its fields is filled with. */
export function OwnForm({ form, onChange, fault }: Props) {
  const { act, busy, problem } = useAct('uploadSourceForm')
  const take = async (file: File) => {
    const kept = await act({ query: { fileName: file.name }, body: file })
    if (!kept) return
    const fill = Object.fromEntries(kept.fields.map((field) => [field, form?.fill[field] ?? guessValue(field)]))
    onChange({ sha256: kept.sha256, fileName: kept.fileName, fill })
  }
  const fields = Object.entries(form?.fill ?? {})
  return (
    <div className="grid gap-2">
      <div className="flex flex-wrap items-baseline gap-3">
        <FileButton
          name={say('sources.ownForm')}
          accept="application/pdf"
          busy={busy}
          onFile={(file) => void take(file)}
        >
          {say(form ? 'sources.changeForm' : 'sources.addForm')}
        </FileButton>
        {form ? (
          <>
            <a
              className="font-semibold text-confirmed underline"
              href={addressOf('readSourceForm', { params: { sha256: form.sha256 }, query: { tried: 'yes' } })}
              target="_blank"
              rel="noreferrer"
            >
              {form.fileName}
            </a>
            <Button kind="quiet" onClick={() => onChange(undefined)}>
              {say('sources.takeOut')}
            </Button>
          </>
        ) : (
          <span className="text-ink-2">{say('sources.formNotHere')}</span>
        )}
      </div>
      {fault && (
        <p role="alert" className="font-semibold text-[0.9em] text-contradicted">
          {fault}
        </p>
      )}
      <ProblemNote problem={problem} />
      {form && (
        <p className="text-[0.93em] text-ink-2">
          {say(fields.length > 0 ? 'sources.formFieldsMean' : 'sources.formHasNoFields')}
        </p>
      )}
      {form && fields.length > 0 && (
        <div className="grid gap-2 sm:grid-cols-3">
          {fields.map(([field, value]) => (
            <SelectField
              key={field}
              label={field}
              options={formValues.map((one) => ({ value: one, label: say(`sources.formValue.${one}`) }))}
              value={value}
              onChange={(event) =>
                onChange({ ...form, fill: { ...form.fill, [field]: event.target.value as FormValue } })
              }
            />
          ))}
        </div>
      )}
    </div>
  )
}
