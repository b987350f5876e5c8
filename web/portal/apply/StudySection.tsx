import { useState } from 'react'
import type { Draft } from '#contract/applications'
import type { Claim, ClaimDetails } from '#contract/claims'
import { writeWhen } from '#core/dates/write'
import { studyFields, studyLevels } from '#core/requirements/catalogue'
import { marksWords } from '#core/words/grades'
import { Button } from '../../ui/Button'
import { DateField } from '../../ui/DateField'
import { SelectField, TextField } from '../../ui/Field'
import { ProblemNote } from '../../ui/ProblemNote'
import { Sheet } from '../../ui/Sheet'
import { Documents } from '../documents/Documents'
import { ClaimActions } from './ClaimActions'
import { MarksEditor } from './MarksEditor'
import { SourcePicker } from './SourcePicker'
import { useClaimEditor } from './useClaimEditor'

type Study = Extract<ClaimDetails, { kind: 'study' }>

const levels = Object.entries(studyLevels).map(([value, label]) => ({
  value,
  label: label.replace(/^./, (letter) => letter.toUpperCase()),
}))
const fields = Object.entries(studyFields).map(([value, label]) => ({ value, label }))
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
              <StudyFace claim={claim} />
              <ClaimActions claim={claim} onChange={() => setEditing(claim.id)} />
            </div>
            <div className="mt-3">
              <Documents claim={claim} prompt="Add the certificate" />
            </div>
          </Sheet>
        ),
      )}
      {editing === 'new' ? (
        <StudyEditor draftId={draft.id} onDone={() => setEditing(undefined)} />
      ) : (
        <p>
          <Button onClick={() => setEditing('new')}>Add another degree or diploma</Button>
        </p>
      )}
    </div>
  )
}

function StudyFace({ claim }: { claim: Claim }) {
  if (claim.details.kind !== 'study') return null
  const { sourceName, from, to, number } = claim.details
  return (
    <div>
      <h2 className="font-sans font-semibold">{claim.label}</h2>
      <p className="text-ink-2">
        {sourceName}, {writeWhen(from)} to {to === 'present' ? 'now' : writeWhen(to)}
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
  const { details, setDetails, set, save, giveUp, busy, problem, fault } = useClaimEditor<Study>(
    `${draftId}-study`,
    initial,
    claim,
    onDone,
  )
  return (
    <Sheet>
      <form
        className="grid gap-4 sm:grid-cols-2"
        noValidate
        onSubmit={(event) => {
          event.preventDefault()
          void save()
        }}
      >
        <div className="sm:col-span-2">
          <SourcePicker
            label="Who awarded it?"
            kinds="university,school"
            value={details}
            onChange={(source) => setDetails((before) => ({ ...before, ...source }))}
            error={fault('sourceName')}
          />
        </div>
        <TextField
          label="Award"
          help="As printed, or short: MSc, BSc, Diploma"
          value={details.award}
          onChange={(event) => set('award', event.target.value)}
          error={fault('award')}
        />
        <TextField
          label="Subject"
          value={details.subject}
          onChange={(event) => set('subject', event.target.value)}
          error={fault('subject')}
        />
        <SelectField
          label="Level"
          options={levels}
          value={String(details.level)}
          onChange={(event) => set('level', Number(event.target.value))}
        />
        <SelectField
          label="Field"
          options={fields}
          value={details.field}
          onChange={(event) => set('field', event.target.value)}
        />
        <DateField
          label="Begun"
          value={details.from}
          onChange={(value) => set('from', value)}
          error={fault('from')}
          help="“2019” or “Sep 2019” will do."
        />
        <DateField
          label="Awarded"
          value={details.to}
          onChange={(value) => set('to', value)}
          error={fault('to')}
          blanks={[{ value: 'present', label: 'Still studying' }]}
        />
        <TextField
          label="Number of the certificate"
          optional
          value={details.number}
          onChange={(event) => set('number', event.target.value)}
          help="As printed on it, with letters and signs."
        />
        <div className="sm:col-span-2">
          <MarksEditor marks={details.marks} onChange={(marks) => set('marks', marks)} />
        </div>
        <div className="sm:col-span-2">
          <ProblemNote problem={problem} />
          <div className="mt-1 flex gap-3">
            <Button kind="main" type="submit" busy={busy}>
              {claim ? 'Save' : 'Add to my studies'}
            </Button>
            <Button kind="quiet" onClick={giveUp}>
              Cancel
            </Button>
          </div>
        </div>
      </form>
    </Sheet>
  )
}
