import { useState } from 'react'
import type { Reply } from '#contract/endpoint'
import type { Contract } from '#contract/index'
import { languages, say } from '#core/words/say'
import { api } from '../../api'
import { Button } from '../../ui/Button'
import { LongField } from '../../ui/Field'
import { faultAt, ProblemNote } from '../../ui/ProblemNote'
import { Waiting } from '../../ui/Waiting'
import { writeMoment } from '../../ui/write'
import { useAct } from '../../useAct'
import { useFreshAfterClash } from '../../useFreshAfterClash'
import { useToast } from '../useToast'

type Kept = Reply<Contract['readPermissionText']>

/** What candidates sign before anybody is asked about them, by language, with its versions. */
export function PermissionText() {
  const { data, error, refetch } = api.endpoints.readPermissionText.useQuery({})
  return (
    <section aria-label={say('administration.permissionText')}>
      <h2 className="text-[1.2rem]">{say('administration.permissionText')}</h2>
      <p className="mb-3 text-ink-2">{say('administration.aboutPermissionText', { field: '{{organisation}}' })}</p>
      {data ? <Texts key={data.version} kept={data} /> : <Waiting error={error} onRetry={refetch} />}
    </section>
  )
}

function Texts({ kept }: { kept: Kept }) {
  const { act, busy, problem } = useAct('savePermissionText')
  const toast = useToast()
  useFreshAfterClash(problem, 'organisation')
  const [texts, setTexts] = useState(kept.texts)
  const changed = languages.some((language) => texts[language] !== kept.texts[language])
  const save = async () => {
    if (await act({ body: { version: kept.version, texts } })) toast(say('administration.permissionTextSaved'))
  }
  return (
    <form
      className="grid gap-3"
      onSubmit={(event) => {
        event.preventDefault()
        void save()
      }}
    >
      <div className="grid gap-3 sm:grid-cols-2">
        {languages.map((language) => (
          <LongField
            key={language}
            label={say(`administration.language.${language}`)}
            rows={12}
            limit={6000}
            value={texts[language]}
            onChange={(event) => setTexts({ ...texts, [language]: event.target.value })}
            error={faultAt(problem, language)}
          />
        ))}
      </div>
      <ProblemNote problem={problem?.faults ? undefined : problem} />
      <Button kind="main" type="submit" busy={busy} disabled={!changed} className="justify-self-start">
        {say('administration.saveAsNextVersion')}
      </Button>
      <ul className="text-ink-2">
        {kept.versions.map(({ version, name, changedBy, changedAt, signed }) => (
          <li key={version}>
            <span className="font-mono">{name}</span>{' '}
            {changedAt
              ? say('administration.writtenBy', { by: changedBy, at: writeMoment(changedAt) })
              : say('administration.theTextWeComeWith')}
            , {say('administration.countSigned', { count: signed })}
          </li>
        ))}
      </ul>
    </form>
  )
}
