import { useState } from 'react'
import type { Draft } from '#contract/applications'
import type { Claim, ClaimDetails } from '#contract/claims'
import type { SourceLine } from '#contract/sources'
import { writeWhen } from '#core/dates/write'
import { studyFields, studyLevels } from '#core/requirements/catalogue'
import { marksWords } from '#core/words/grades'
import { say } from '#core/words/say'
import { api } from '../../api'
import { countryCodes } from '../../ui/answers/countries'
import { Button } from '../../ui/Button'
import { DateField } from '../../ui/DateField'
import { SelectField, TextField } from '../../ui/Field'
import { Sheet } from '../../ui/Sheet'
import { ClaimActions, isOpenedAgain } from './ClaimActions'
import { ClaimForm } from './ClaimForm'
import { ClaimPapers } from './ClaimPapers'
import { languageOptions } from './languages'
import { MarksEditor } from './MarksEditor'
import { SourcePicker } from './SourcePicker'
import { useClaimEditor } from './useClaimEditor'

type Study = Extract<ClaimDetails, { kind: 'study' }>

const levels = () =>
  Object.entries(studyLevels).map(([value, label]) => ({
    value,
    label: say(label).replace(/^./, (letter) => letter.toUpperCase()),
  }))
const fields = () => Object.entries(studyFields).map(([value, label]) => ({ value, label: say(label) }))
const outcomes = () => [
  { value: 'finished', label: say('Finished') },
  { value: 'in progress', label: say('In progress') },
  { value: 'left', label: say('Left without finishing') },
]
const blank: Study = {
  kind: 'study',
  sourceId: null,
  sourceName: '',
  award: '',
  subject: '',
  level: 6,
  field: '0713',
  number: '',
  from: '',
  to: '',
}

/** Degrees, diplomas and apprenticeships, each with its certificate. */
export function StudySection({ draft }: { draft: Draft }) {
  const studies = draft.claims.filter(({ details }) => details.kind === 'study')
  const [editing, setEditing] = useState<string | undefined>(studies.length === 0 ? 'new' : undefined)
  return (
    <div className="grid gap-3">
      {studies.map((claim) =>
        editing === claim.id ? (
          <StudyEditor key={claim.id} draftId={draft.id} claim={claim} onDone={() => setEditing(undefined)} />
        ) : (
          <Sheet key={claim.id}>
            <div className="flex flex-wrap items-start justify-between gap-2">
              <StudyLine claim={claim} />
              <ClaimActions
                claim={claim}
                onChange={() => setEditing(claim.id)}
                reopened={isOpenedAgain(draft, 'study')}
              />
            </div>
            <div className="mt-3">
              <ClaimPapers claim={claim} accepted={draft.vacancy.paperLanguages} />
            </div>
          </Sheet>
        ),
      )}
      {editing === 'new' ? (
        <StudyEditor draftId={draft.id} onDone={() => setEditing(undefined)} />
      ) : (
        <p>
          <Button onClick={() => setEditing('new')}>{say('Add another degree or diploma')}</Button>
        </p>
      )}
    </div>
  )
}

function StudyLine({ claim }: { claim: Claim }) {
  if (claim.details.kind !== 'study') return null
  const { sourceName, from, to, number, outcome, expected, language } = claim.details
  const until =
    outcome === 'in progress' && expected
      ? say('expected {{when}}', { when: writeWhen(expected) })
      : to === 'present'
        ? say('now')
        : writeWhen(to)
  return (
    <div>
      <h2 className="font-sans font-semibold">{claim.label}</h2>
      <p className="text-ink-2">
        {sourceName}, {say('{{from}} to {{to}}', { from: writeWhen(from), to: until })}
        {outcome === 'left' && `, ${say('left without finishing')}`}
        {language && `, ${languageOptions().find(({ value }) => value === language)?.label ?? language}`}
        {number && (
          <>
            , <span className="font-mono">{number}</span>
          </>
        )}
      </p>
      {claim.details.marks && <p className="text-ink-2">{marksWords(claim.details.marks)}</p>}
    </div>
  )
}

function StudyEditor({ draftId, claim, onDone }: { draftId: string; claim?: Claim; onDone: () => void }) {
  const initial = claim?.details.kind === 'study' ? claim.details : blank
  const editor = useClaimEditor<Study>(`${draftId}-study`, initial, claim, onDone)
  const { details, setDetails, set, fault } = editor
  const { data: found = [] } = api.endpoints.findSources.useQuery(
    { query: { text: details.sourceName, kind: 'university,school' } },
    { skip: !details.sourceId },
  )
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
        language: programme.language,
        link: programme.link ?? '',
      }),
    }))
  }
  const outcome = details.outcome ?? 'finished'
  return (
    <Sheet>
      <ClaimForm editor={editor} saving={claim ? say('Save') : say('Add to my studies')}>
        <SelectField
          label={say('Country')}
          empty={say('Any')}
          options={countryCodes}
          value={details.country ?? ''}
          onChange={(event) => set('country', event.target.value)}
        />
        <SourcePicker
          label={say('Who awarded it?')}
          kinds="university,school"
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
              label={say('Programme')}
              help={say('One that is known there fills in the rest.')}
              empty={say('Not in this list')}
              options={programmes.map((programme) => ({ value: nameOf(programme), label: nameOf(programme) }))}
              value={details.programme ?? ''}
              onChange={(event) => takeProgramme(event.target.value)}
            />
          </div>
        )}
        <TextField
          label={say('Award')}
          help={say('As printed, or short: MSc, BSc, Diploma')}
          value={details.award}
          onChange={(event) => set('award', event.target.value)}
          error={fault('award')}
        />
        <TextField
          label={say('Subject')}
          value={details.subject}
          onChange={(event) => set('subject', event.target.value)}
          error={fault('subject')}
        />
        <SelectField
          label={say('Level')}
          options={levels()}
          value={String(details.level)}
          disabled={chosen !== undefined}
          onChange={(event) => set('level', Number(event.target.value))}
        />
        <SelectField
          label={say('Field')}
          options={fields()}
          value={details.field}
          disabled={chosen !== undefined}
          onChange={(event) => set('field', event.target.value)}
        />
        <SelectField
          label={say('Language of instruction')}
          empty={say('Choose')}
          options={languageOptions()}
          value={details.language ?? ''}
          onChange={(event) => {
            const { language: _before, ...rest } = details
            setDetails(event.target.value ? { ...rest, language: event.target.value } : rest)
          }}
          error={fault('language')}
        />
        <SelectField
          label={say('How it stands')}
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
          label={say('Begun')}
          value={details.from}
          onChange={(value) => set('from', value)}
          error={fault('from')}
          help={say('“2019” or “Sep 2019” will do.')}
        />
        {outcome === 'in progress' ? (
          <DateField
            label={say('Expected to be finished')}
            value={details.expected ?? ''}
            onChange={(value) => set('expected', value)}
            error={fault('expected')}
          />
        ) : (
          <DateField
            label={outcome === 'left' ? say('Left') : say('Awarded')}
            value={details.to === 'present' ? '' : details.to}
            onChange={(value) => set('to', value)}
            error={fault('to')}
          />
        )}
        {outcome === 'finished' && (
          <TextField
            label={say('Number of the certificate')}
            optional
            value={details.number}
            onChange={(event) => set('number', event.target.value)}
            help={say('As printed on it, with letters and signs.')}
          />
        )}
        {outcome === 'in progress' && (
          <TextField
            label={say('Link to the programme')}
            optional
            type="url"
            value={details.link ?? ''}
            onChange={(event) => set('link', event.target.value.trim())}
            help={say('It stands instead of papers until you have finished.')}
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
