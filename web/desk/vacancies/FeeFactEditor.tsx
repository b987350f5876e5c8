import { type FeeFact, feeFactKinds } from '#core/fees/schedule'
import { say } from '#core/words/say'
import { LongField, SelectField, TextField } from '../../ui/Field'

/** Something asked for the fee alone: what, what can be answered, and what paper has to show it. */
export function FeeFactEditor({ fact, onChange }: { fact: FeeFact; onChange: (fact: FeeFact) => void }) {
  const { proof, options = [], ...plain } = fact
  const put = (changes: Partial<FeeFact>) => {
    const next = { ...fact, ...changes }
    onChange(Object.fromEntries(Object.entries(next).filter(([, value]) => value !== undefined)) as FeeFact)
  }
  return (
    <div className="grid gap-3">
      <TextField
        label={say('composer.question')}
        value={plain.label}
        maxLength={300}
        onChange={({ target }) => put({ label: target.value })}
      />
      <SelectField
        label={say('composer.whichAnswer')}
        value={plain.kind}
        options={feeFactKinds.map((kind) => ({ value: kind, label: say(`composer.feeFact.${kind}`) }))}
        onChange={({ target }) =>
          put({
            kind: target.value as FeeFact['kind'],
            options:
              target.value === 'one of' ? (options.length > 0 ? options : [say('composer.plainChoice')]) : undefined,
          })
        }
      />
      {plain.kind === 'one of' && (
        <LongField
          label={say('composer.feeFactChoices')}
          help={say('composer.plainChoiceFirst')}
          rows={4}
          value={options.join('\n')}
          onChange={({ target }) =>
            put({
              options: [...new Set(target.value.split('\n').map((line) => line.slice(0, 160)))].filter(
                (line) => line !== '',
              ),
            })
          }
        />
      )}
      <TextField
        label={say('composer.shownBy')}
        help={say('composer.shownByMeans')}
        optional
        maxLength={160}
        value={proof ?? ''}
        onChange={({ target }) => put({ proof: target.value || undefined })}
      />
    </div>
  )
}
