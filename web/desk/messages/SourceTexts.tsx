import { useState } from 'react'
import type { Reply } from '#contract/endpoint'
import type { listSourceTexts } from '#contract/sourceTexts'
import { sourceTextNames, sourceTexts } from '#core/enquiries/texts'
import { say, sourceLanguages } from '#core/words/say'
import { api } from '../../api'
import { Button } from '../../ui/Button'
import { Dialog } from '../../ui/Dialog'
import { LongField, SelectField, TextField } from '../../ui/Field'
import { languageNames } from '../../ui/languageNames'
import { faultAt, ProblemNote } from '../../ui/ProblemNote'
import { useAct } from '../../useAct'
import { useToast } from '../useToast'

type Text = Reply<typeof listSourceTexts>[number]

/** What sources are written, in each of their languages: as it is there from the start, or as the house has written it. */
export function SourceTexts() {
  const { data } = api.endpoints.listSourceTexts.useQuery({})
  const [editing, setEditing] = useState<Text['name']>()
  if (!data) return null
  return (
    <section aria-label={say('preparedWords.toSources')}>
      <h2 className="mb-1 font-semibold text-[1rem]">{say('preparedWords.toSources')}</h2>
      <p className="mb-2 text-ink-2">{say('preparedWords.toSourcesMeans')}</p>
      <ul className="border-line border-t">
        {sourceTextNames.map((name) => {
          const own = data
            .filter((text) => text.name === name && text.own)
            .map(({ language }) => languageNames[language])
          return (
            <li key={name} className="flex flex-wrap items-baseline gap-x-4 border-line border-b py-1.5">
              <button type="button" className="font-semibold hover:underline" onClick={() => setEditing(name)}>
                {say(`sourceText.${name}`)}
              </button>
              <span className="ml-auto text-ink-2">
                {own.length > 0
                  ? say('preparedWords.ownIn', { languages: own.join(', ') })
                  : say('preparedWords.noneOwn')}
              </span>
            </li>
          )
        })}
      </ul>
      {editing && <EditSourceText name={editing} texts={data} onClose={() => setEditing(undefined)} />}
    </section>
  )
}

type EditProps = { name: Text['name']; texts: readonly Text[]; onClose: () => void }

function EditSourceText({ name, texts, onClose }: EditProps) {
  const [language, setLanguage] = useState<Text['language']>(sourceLanguages[0])
  const text = texts.find((one) => one.name === name && one.language === language)
  if (!text) return null
  return (
    <Dialog open wide onClose={onClose} title={say(`sourceText.${name}`)}>
      <SelectField
        label={say('preparedWords.language')}
        options={sourceLanguages.map((value) => ({ value, label: languageNames[value] }))}
        value={language}
        onChange={(event) => setLanguage(event.target.value as Text['language'])}
      />
      <Written key={`${language} ${text.version}`} text={text} onClose={onClose} />
    </Dialog>
  )
}

function Written({ text, onClose }: { text: Text; onClose: () => void }) {
  const { name, language, version, own } = text
  const [written, setWritten] = useState({ subject: text.subject, text: text.text })
  const saving = useAct('saveSourceText')
  const resetting = useAct('resetSourceText')
  const toast = useToast()
  const { fields, subject } = sourceTexts[name]
  const params = { name, language }
  const save = async () => {
    if (!(await saving.act({ params, body: { version, ...written } }))) return
    toast(say('preparedWords.sourceTextSaved'))
    onClose()
  }
  const reset = async () => {
    if (!(await resetting.act({ params }))) return
    toast(say('preparedWords.sourceTextReset'))
    onClose()
  }
  return (
    <form
      className="mt-3 grid gap-2"
      onSubmit={(event) => {
        event.preventDefault()
        void save()
      }}
    >
      {subject && (
        <TextField
          label={say('preparedWords.subject')}
          lang={language}
          limit={150}
          value={written.subject}
          error={faultAt(saving.problem, 'subject')}
          onChange={(event) => setWritten({ ...written, subject: event.target.value })}
        />
      )}
      <LongField
        label={say('preparedWords.text')}
        lang={language}
        rows={subject ? 12 : 5}
        limit={4000}
        value={written.text}
        error={faultAt(saving.problem, 'text')}
        onChange={(event) => setWritten({ ...written, text: event.target.value })}
      />
      {fields.length > 0 && (
        <p className="text-[0.8333rem] text-ink-2">
          {say('preparedWords.putIn')}{' '}
          {fields.map((field, nth) => (
            <span key={field}>
              {nth > 0 && ', '}
              <code className="font-mono">{`{{${field}}}`}</code>{' '}
              {say('preparedWords.forIs', { is: say(`sourceText.field.${field}`) })}
            </span>
          ))}
          .
        </p>
      )}
      <ProblemNote problem={resetting.problem ?? (saving.problem?.faults ? undefined : saving.problem)} />
      <div className="flex gap-2">
        <Button kind="main" type="submit" busy={saving.busy}>
          {say('preparedWords.save')}
        </Button>
        {own && (
          <Button kind="grave" busy={resetting.busy} onClick={() => void reset()}>
            {say('preparedWords.firstWordsAgain')}
          </Button>
        )}
      </div>
    </form>
  )
}
