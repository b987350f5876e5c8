import type { DetailsOf } from '#contract/claims'
import { credentialKind, offered } from '#core/catalogue/catalogue'
import { credentialFieldWords } from '#core/words/credentials'
import { AnswerField } from '../../ui/answers/AnswerField'

type Given = Readonly<Record<string, string>>
type Props = {
  credential: string
  value: Given
  onChange: (value: Record<string, string>) => void
  fault: (field: string) => string | undefined
}

/** What the kind of a licence or certificate asks beyond its number and days. */
export function CredentialFields({ credential, value, onChange, fault }: Props) {
  return offered(credentialKind(credential)?.fields ?? [], ...Object.keys(value)).map((field) => (
    <AnswerField
      key={`${credential} ${field.key}`}
      question={field}
      value={value[field.key] ?? ''}
      onChange={(answer) => onChange({ ...value, [field.key]: String(answer) })}
      error={fault(field.key)}
    />
  ))
}

/** What was given for them, in one line. */
export function CredentialFieldsLine({ details }: { details: Pick<DetailsOf<'licence'>, 'credential' | 'fields'> }) {
  const given = credentialFieldWords(details.credential, details.fields)
  if (given.length === 0) return null
  return <p className="text-ink-2">{given.map(({ label, words }) => `${label}: ${words}`).join(', ')}</p>
}
