import type { InLanguages } from '#contract/messages'
import { say } from '#core/words/say'
import { api, type Problem } from '../../api'
import { LongField, TextField } from '../../ui/Field'
import { faultAt } from '../../ui/ProblemNote'

type Props = { written: InLanguages; onChange: (written: InLanguages) => void; problem: Problem | undefined }
const noWords = { subject: '', text: '' }

/** A message in English, and in German for those who read German; with the placeholders that can be put in. */
export function WrittenFields({ written, onChange, problem }: Props) {
  const { data } = api.endpoints.listTemplates.useQuery({})
  const german = written.german ?? noWords
  const setGerman = (over: Partial<typeof noWords>) => {
    const next = { ...german, ...over }
    onChange({ ...written, german: next.subject === '' && next.text === '' ? null : next })
  }
  return (
    <div className="grid gap-2">
      <div className="grid grid-cols-2 gap-4">
        <div className="grid content-start gap-2">
          <TextField
            label={say('preparedWords.subject')}
            value={written.english.subject}
            limit={150}
            error={faultAt(problem, 'english/subject')}
            onChange={(event) => onChange({ ...written, english: { ...written.english, subject: event.target.value } })}
          />
          <LongField
            label={say('preparedWords.message')}
            rows={8}
            value={written.english.text}
            limit={4000}
            error={faultAt(problem, 'english/text')}
            onChange={(event) => onChange({ ...written, english: { ...written.english, text: event.target.value } })}
          />
        </div>
        <div className="grid content-start gap-2">
          <TextField
            label={say('preparedWords.subjectInGerman')}
            optional
            lang="de"
            value={german.subject}
            limit={150}
            error={faultAt(problem, 'german/subject')}
            onChange={(event) => setGerman({ subject: event.target.value })}
          />
          <LongField
            label={say('preparedWords.messageInGerman')}
            optional
            rows={8}
            lang="de"
            value={german.text}
            limit={4000}
            error={faultAt(problem, 'german/text')}
            onChange={(event) => setGerman({ text: event.target.value })}
          />
        </div>
      </div>
      <p className="text-[0.8333rem] text-ink-2">
        {say('preparedWords.itBeginsWithAGreeting')}{' '}
        {data?.placeholders.map(({ name, is }, nth) => (
          <span key={name}>
            {nth > 0 && ', '}
            <code className="font-mono">{`{{${name}}}`}</code> {say('preparedWords.forIs', { is })}
          </span>
        ))}
        .
      </p>
    </div>
  )
}
