import { useRef, useState } from 'react'
import { useDispatch } from 'react-redux'
import type { DeskVacancy } from '#contract/vacancySetUp'
import type { Difference } from '#core/rules/difference'
import type { Rules } from '#core/rules/rules'
import { say } from '#core/words/say'
import { api } from '../../api'
import type { store } from '../../store'
import { Button } from '../../ui/Button'
import { SelectField } from '../../ui/Field'
import { writeMoment } from '../../ui/write'
import { useAct } from '../../useAct'
import { Table } from '../overviews/Overview'
import { useToast } from '../useToast'

const ofWords: Record<Difference['of'], string> = {
  section: say('composer.section2'),
  question: say('composer.question2'),
  requirement: say('composer.requirement2'),
  task: say('composer.onboardingTask'),
  fees: say('composer.fees'),
  time: say('composer.timeToFinish'),
  order: say('composer.order'),
}

/** The versions there are, what two of them say differently, and the way in and out as a file. */
export function VersionsPart({ vacancy, mayEdit }: { vacancy: DeskVacancy; mayEdit: boolean }) {
  const names = [
    ...(vacancy.draft.changed || vacancy.rulesVersion === 0
      ? [{ value: 'draft', label: say('composer.theRulesBeingEdited') }]
      : []),
    ...vacancy.versions.map(({ version }) => ({
      value: String(version),
      label: say('composer.versionVersion', { version }),
    })),
  ]
  const [from, setFrom] = useState(
    String(vacancy.draft.changed ? vacancy.rulesVersion : Math.max(0, vacancy.rulesVersion - 1)),
  )
  const [to, setTo] = useState(vacancy.draft.changed ? 'draft' : String(vacancy.rulesVersion))
  const { data } = api.endpoints.compareRules.useQuery(
    { params: { id: vacancy.id }, query: { from, to } },
    { refetchOnMountOrArgChange: true },
  )
  return (
    <div className="min-h-0 flex-1 overflow-auto px-5 py-4">
      <div className="grid grid-cols-[minmax(0,1fr)_minmax(0,1fr)] gap-6">
        <section>
          <h2 className="mb-1 text-[1.0667rem]">{say('composer.versions')}</h2>
          <Table
            rows={vacancy.versions}
            keyOf={({ version }) => String(version)}
            empty={say('composer.noneIsPublishedYet')}
            columns={[
              { name: say('composer.version'), of: ({ version }) => version },
              {
                name: say('composer.published'),
                of: ({ savedAt, savedBy }) => `${writeMoment(savedAt, vacancy.timeZone)}, ${savedBy}`,
              },
              {
                name: say('composer.why'),
                of: ({ note, version }) => note || (version === 1 ? say('composer.firstVersion') : ''),
              },
              { name: say('composer.sentUnderIt'), right: true, of: ({ applications }) => applications },
            ]}
          />
        </section>
        <Exchange vacancy={vacancy} mayEdit={mayEdit} versions={names} />
      </div>
      <section className="mt-5">
        <h2 className="mb-1 text-[1.0667rem]">{say('composer.whatTwoVersionsSayDifferently')}</h2>
        <div className="mb-2 flex gap-3">
          <SelectField
            label={say('composer.before')}
            value={from}
            options={[...names, { value: '0', label: say('composer.nothing') }]}
            onChange={(event) => setFrom(event.target.value)}
          />
          <SelectField
            label={say('composer.after')}
            value={to}
            options={names}
            onChange={(event) => setTo(event.target.value)}
          />
        </div>
        <Table
          rows={data?.differences ?? []}
          keyOf={({ of, key }) => `${of} ${key}`}
          empty={say('composer.theySayTheSame')}
          columns={[
            { name: say('composer.what'), of: ({ of, title }) => `${ofWords[of]}: ${title}` },
            {
              name: say('composer.before'),
              of: ({ before }) => before ?? <span className="text-ink-3">{say('composer.wasNotThere')}</span>,
            },
            {
              name: say('composer.after'),
              of: ({ after }) => after ?? <span className="text-ink-3">{say('composer.isTakenOut')}</span>,
            },
          ]}
        />
      </section>
    </div>
  )
}

type ExchangeProps = { vacancy: DeskVacancy; mayEdit: boolean; versions: readonly { value: string; label: string }[] }

/** Rules as a JSON file: out of any version, into the draft. */
function Exchange({ vacancy, mayEdit, versions }: ExchangeProps) {
  const dispatch = useDispatch<typeof store.dispatch>()
  const { act, busy, problem } = useAct('importRules')
  const toast = useToast()
  const input = useRef<HTMLInputElement>(null)
  const [version, setVersion] = useState(versions[0]?.value ?? 'draft')
  const save = async () => {
    const result = (await dispatch(
      api.endpoints.readRulesVersion.initiate({ params: { id: vacancy.id, version } }, { forceRefetch: true }),
    )) as { data?: { rules: Rules } }
    if (!result.data) return
    const file = { format: 'probatum-rules', formatVersion: 1, title: vacancy.title, rules: result.data.rules }
    const link = document.createElement('a')
    link.href = URL.createObjectURL(new Blob([JSON.stringify(file, null, 2)], { type: 'application/json' }))
    link.download = `${vacancy.slug}, ${version === 'draft' ? 'draft' : say('composer.versionVersion2', { version })}.json`
    link.click()
    URL.revokeObjectURL(link.href)
  }
  const take = async (file: File | undefined) => {
    if (!file) return
    const done = await act({
      params: { id: vacancy.id },
      body: { version: vacancy.draft.version, text: await file.text() },
    })
    if (input.current) input.current.value = ''
    if (done) toast(say('composer.theRulesOfAreIn', { name: file.name }))
  }
  return (
    <section>
      <h2 className="mb-1 text-[1.0667rem]">{say('composer.asAFile')}</h2>
      <div className="flex flex-wrap items-end gap-3">
        <SelectField
          label={say('composer.which')}
          value={version}
          options={versions}
          onChange={(event) => setVersion(event.target.value)}
        />
        <Button onClick={() => void save()}>{say('composer.saveAsJson')}</Button>
        {mayEdit && (
          <label className="cursor-pointer rounded-sheet border border-line-strong bg-sheet px-3 py-1.5 font-semibold focus-within:outline-2 focus-within:outline-asked hover:border-ink-3">
            <input
              ref={input}
              type="file"
              accept="application/json,.json"
              className="sr-only"
              disabled={busy}
              onChange={(event) => void take(event.target.files?.[0])}
            />
            {say('composer.takeRulesFromAFile')}
          </label>
        )}
      </div>
      <p className="mt-1 text-[0.8333rem] text-ink-2">
        {say('composer.whatAFileMayHold')}{' '}
        <a className="text-confirmed underline" href="/api/schemas/rules.json">
          {say('composer.apiSchemasRulesJson')}
        </a>
        .
      </p>
      {problem && (
        <div role="alert" className="mt-2 rounded-sheet bg-contradicted-wash px-3 py-2 text-contradicted">
          <p className="font-semibold">{problem.faults ? say('composer.theFileWasNotTaken') : problem.title}</p>
          <ul>
            {problem.faults?.slice(0, 20).map(({ pointer, message }) => (
              <li key={pointer + message}>
                {pointer && <code className="font-mono text-[0.8333rem]">{pointer}</code>} {message}
              </li>
            ))}
          </ul>
        </div>
      )}
    </section>
  )
}
