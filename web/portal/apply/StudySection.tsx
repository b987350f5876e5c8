import { Fragment, type ReactNode, useState } from 'react'
import type { Draft } from '#contract/applications'
import type { Claim, ClaimDetails } from '#contract/claims'
import type { SourceLine } from '#contract/sources'
import { catalogue } from '#core/catalogue/catalogue'
import { writeWhen } from '#core/dates/write'
import { marksWords } from '#core/words/grades'
import { requirementSentence } from '#core/words/requirements'
import { say } from '#core/words/say'
import { api } from '../../api'
import { countryCodes } from '../../ui/answers/countries'
import { Button } from '../../ui/Button'
import { choicesOf, levelToBeginWith } from '../../ui/choices'
import { DateField } from '../../ui/DateField'
import { SelectField, TextField } from '../../ui/Field'
import { languageOptions } from '../../ui/languageOptions'
import { ProblemNote } from '../../ui/ProblemNote'
import { Sheet } from '../../ui/Sheet'
import { SortableList } from '../../ui/SortableList'
import { useAct } from '../../useAct'
import { ClaimActions, isOpenedAgain } from './ClaimActions'
import { ClaimForm } from './ClaimForm'
import { ClaimPapers } from './ClaimPapers'
import { KnownStudyNote } from './KnownStudyNote'
import { MarksEditor } from './MarksEditor'
import { SourcePicker } from './SourcePicker'
import { useClaimEditor } from './useClaimEditor'
import { useNumberHint } from './useNumberHint'

type Study = Extract<ClaimDetails, { kind: 'study' }>

const levels = (chosen: number) =>
  choicesOf(catalogue().levels, String(chosen)).map(({ value, label }) => ({
    value,
    label: label.replace(/^./, (letter) => letter.toUpperCase()),
  }))
const outcomes = () => [
  { value: 'finished', label: say('apply.finished') },
  { value: 'in progress', label: say('apply.inProgress') },
  { value: 'left', label: say('apply.leftWithoutFinishing') },
]
const blank = (): Study => ({
  kind: 'study',
  sourceId: null,
  sourceName: '',
  award: '',
  subject: '',
  level: levelToBeginWith(),
  field: '',
  number: '',
  from: '',
  to: '',
})

/** Degrees, diplomas and apprenticeships, each with its certificate. */
export function StudySection({ draft }: { draft: Draft }) {
  const studies = draft.claims.filter(({ details }) => details.kind === 'study')
  const [editing, setEditing] = useState<string | undefined>(studies.length === 0 ? 'new' : undefined)
  const order = useAct('orderClaims')
  const put = (claims: readonly Claim[]) => void order.act({ body: { claims: claims.map(({ id }) => id) } })
  const rising = [...studies].sort(byLevel)
  const isRising = rising.every((claim, nth) => claim === studies[nth])
  const asked = draft.requirements.filter(({ asks }) => asks.kind === 'study')
  const row = (claim: Claim, grip?: ReactNode) =>
    editing === claim.id ? (
      <StudyEditor draftId={draft.id} claim={claim} onDone={() => setEditing(undefined)} />
    ) : (
      <Sheet>
        <div className="flex flex-wrap items-start justify-between gap-2">
          <div className="flex min-w-0 gap-2">
            {grip}
            <StudyLine claim={claim} />
          </div>
          <ClaimActions claim={claim} onChange={() => setEditing(claim.id)} reopened={isOpenedAgain(draft, 'study')} />
        </div>
        <div className="mt-3">
          <ClaimPapers claim={claim} draft={draft} />
          <KnownStudyNote claim={claim} studies={draft.studies} />
        </div>
      </Sheet>
    )
  return (
    <div className="grid gap-3">
      {asked.length > 0 && (
        <div className="text-ink-2">
          <p>{say('apply.whatThisVacancyTakes')}</p>
          <ul className="list-disc pl-5">
            {[...new Set(asked.map((requirement) => requirementSentence(requirement)))].map((sentence) => (
              <li key={sentence}>{sentence}</li>
            ))}
          </ul>
        </div>
      )}
      {!isRising && (
        <p>
          <Button busy={order.busy} onClick={() => put(rising)}>
            {say('apply.lowestToHighest')}
          </Button>
        </p>
      )}
      <ProblemNote problem={order.problem} />
      {studies.length > 1 ? (
        <SortableList
          className="grid gap-3"
          items={studies}
          keyOf={({ id }) => id}
          nameOf={({ label }) => label}
          onOrder={put}
        >
          {row}
        </SortableList>
      ) : (
        studies.map((claim) => <Fragment key={claim.id}>{row(claim)}</Fragment>)
      )}
      {editing === 'new' ? (
        <StudyEditor draftId={draft.id} onDone={() => setEditing(undefined)} />
      ) : (
        <p>
          <Button onClick={() => setEditing('new')}>{say('apply.addAnotherDegreeOrDiploma')}</Button>
        </p>
      )}
    </div>
  )
}

/** Lower levels first, and of one level what began first. */
function byLevel(a: Claim, b: Claim): number {
  const of = ({ details }: Claim) => (details.kind === 'study' ? details : blank())
  return of(a).level - of(b).level || of(a).from.localeCompare(of(b).from)
}

function StudyLine({ claim }: { claim: Claim }) {
  if (claim.details.kind !== 'study') return null
  const { sourceName, from, to, number, outcome, expected, language } = claim.details
  const until =
    outcome === 'in progress' && expected
      ? say('apply.expectedWhen', { when: writeWhen(expected) })
      : to === 'present'
        ? say('apply.now')
        : writeWhen(to)
  return (
    <div>
      <h2 className="font-sans font-semibold">{claim.label}</h2>
      <p className="text-ink-2">
        {sourceName}, {say('apply.fromToTo', { from: writeWhen(from), to: until })}
        {outcome === 'left' && `, ${say('apply.leftWithoutFinishing2')}`}
        {language && `, ${languageOptions().find(({ value }) => value === language)?.label ?? language}`}
        {number && (
          <>
            , <span className="font-mono">{number}</span>
          </>
        )}
      </p>
      {claim.details.second && (
        <p className="text-ink-2">
          {say(`apply.second.${claim.details.second.as}`)}: {claim.details.second.subject}
        </p>
      )}
      {claim.details.marks && <p className="text-ink-2">{marksWords(claim.details.marks)}</p>}
    </div>
  )
}

function StudyEditor({ draftId, claim, onDone }: { draftId: string; claim?: Claim; onDone: () => void }) {
  const initial = claim?.details.kind === 'study' ? claim.details : blank()
  const editor = useClaimEditor<Study>(`${draftId}-study`, initial, claim, onDone)
  const { details, setDetails, set, fault } = editor
  const { data: found = [] } = api.endpoints.findSources.useQuery(
    { query: { text: details.sourceName, kind: 'university,school' } },
    { skip: !details.sourceId },
  )
  const numberHint = useNumberHint(details, 'study', details.number, 'university,school')
  const programmes = found.find(({ id }) => id === details.sourceId)?.programmes ?? []
  const chosen = programmes.find((programme) => nameOf(programme) === details.programme)
  const takeProgramme = (name: string) => {
    const programme = programmes.find((candidate) => nameOf(candidate) === name)
    setDetails((before) => ({
      ...before,
      programme: name,
      ...(programme && {
        award: programme.award,
        subject: programme.title,
        level: programme.level,
        field: programme.field,
        ...(programme.language ? { language: programme.language } : {}),
        link: programme.link ?? '',
      }),
    }))
  }
  const outcome = details.outcome ?? 'finished'
  return (
    <Sheet>
      <ClaimForm editor={editor} saving={claim ? say('apply.save') : say('apply.addToMyStudies')}>
        <SelectField
          label={say('apply.country')}
          empty={say('apply.any')}
          options={countryCodes}
          value={details.country ?? ''}
          onChange={(event) => set('country', event.target.value)}
        />
        <SourcePicker
          label={say('apply.whoAwardedIt')}
          kinds="university,school"
          claim="study"
          country={details.country}
          value={details}
          onChange={(source, line) =>
            setDetails((before) => ({
              ...before,
              ...source,
              ...(line && { country: line.country }),
              ...(source.sourceId === before.sourceId ? {} : { programme: '' }),
            }))
          }
          error={fault('sourceName')}
        />
        {programmes.length > 0 && (
          <div className="sm:col-span-2">
            <SelectField
              label={say('apply.programme')}
              help={say('apply.oneThatIsKnownThere')}
              empty={say('apply.notInThisList')}
              options={programmes.map((programme) => ({ value: nameOf(programme), label: nameOf(programme) }))}
              value={details.programme ?? ''}
              onChange={(event) => takeProgramme(event.target.value)}
            />
          </div>
        )}
        <TextField
          label={say('apply.award')}
          help={say('apply.asPrintedOrShortMSc')}
          value={details.award}
          onChange={(event) => set('award', event.target.value)}
          error={fault('award')}
        />
        <TextField
          label={say('apply.subject')}
          value={details.subject}
          onChange={(event) => set('subject', event.target.value)}
          error={fault('subject')}
        />
        <SelectField
          label={say('apply.level')}
          options={levels(details.level)}
          value={String(details.level)}
          disabled={chosen !== undefined}
          onChange={(event) => set('level', Number(event.target.value))}
        />
        <SelectField
          label={say('apply.field')}
          options={choicesOf(catalogue().fields, details.field)}
          empty={say('apply.choose')}
          error={fault('field')}
          value={details.field}
          disabled={chosen !== undefined}
          onChange={(event) => set('field', event.target.value)}
        />
        <SelectField
          label={say('apply.secondField')}
          empty={say('apply.secondNone')}
          options={(['second field', 'minor'] as const).map((value) => ({
            value,
            label: say(`apply.second.${value}`),
          }))}
          value={details.second?.as ?? ''}
          onChange={({ target: { value } }) => {
            const { second = { subject: '', field: details.field }, ...rest } = details
            const as = value as NonNullable<Study['second']>['as']
            setDetails(value ? { ...rest, second: { ...second, as } } : rest)
          }}
        />
        {details.second && (
          <>
            <TextField
              label={say('apply.secondSubject')}
              value={details.second.subject}
              onChange={(event) => set('second', { ...details.second!, subject: event.target.value })}
              error={fault('second/subject')}
            />
            <SelectField
              label={say('apply.secondFieldCode')}
              options={choicesOf(catalogue().fields, details.second.field)}
              empty={say('apply.choose')}
              value={details.second.field}
              onChange={(event) => set('second', { ...details.second!, field: event.target.value })}
              error={fault('second/field')}
            />
          </>
        )}
        <SelectField
          label={say('apply.languageOfInstruction')}
          empty={say('apply.choose')}
          options={languageOptions()}
          value={details.language ?? ''}
          onChange={(event) => {
            const { language: _before, ...rest } = details
            setDetails(event.target.value ? { ...rest, language: event.target.value } : rest)
          }}
          error={fault('language')}
        />
        <SelectField
          label={say('apply.howItStands')}
          options={outcomes()}
          value={outcome}
          onChange={(event) => {
            const next = event.target.value as NonNullable<Study['outcome']>
            setDetails((before) => ({
              ...before,
              outcome: next,
              ...(next === 'in progress' && { to: 'present' as const }),
            }))
          }}
        />
        <DateField
          label={say('apply.begun')}
          value={details.from}
          onChange={(value) => set('from', value)}
          error={fault('from')}
          help={say('apply.n2019OrSep2019Will')}
        />
        {outcome === 'in progress' ? (
          <DateField
            label={say('apply.expectedToBeFinished')}
            value={details.expected ?? ''}
            onChange={(value) => set('expected', value)}
            error={fault('expected')}
          />
        ) : (
          <DateField
            label={outcome === 'left' ? say('apply.left') : say('apply.awarded')}
            value={details.to === 'present' ? '' : details.to}
            onChange={(value) => set('to', value)}
            error={fault('to')}
          />
        )}
        {outcome === 'finished' && (
          <TextField
            label={say('apply.numberOfTheCertificate')}
            optional
            value={details.number}
            onChange={(event) => set('number', event.target.value)}
            help={numberHint ?? say('apply.asPrintedOnItWith')}
          />
        )}
        {outcome === 'in progress' && (
          <TextField
            label={say('apply.linkToTheProgramme')}
            optional
            type="url"
            value={details.link ?? ''}
            onChange={(event) => set('link', event.target.value.trim())}
            help={say('apply.itStandsInsteadOfPapers')}
            error={fault('link')}
          />
        )}
        <div className="sm:col-span-2">
          <MarksEditor marks={details.marks} onChange={(marks) => set('marks', marks)} />
        </div>
      </ClaimForm>
    </Sheet>
  )
}

const nameOf = ({ award, title }: SourceLine['programmes'][number]) => `${award}, ${title}`
