import { useState } from 'react'
import type { Draft } from '#contract/applications'
import { type Claim, type ClaimDetails, identityPapers } from '#contract/claims'
import type { Mended, Offered } from '#contract/identity'
import { writeWhen } from '#core/dates/write'
import { questionsOf } from '#core/form/form'
import { isSent } from '#core/hiring/stages'
import type { Requirement } from '#core/requirements/requirement'
import { say } from '#core/words/say'
import { translated } from '#core/words/translations'
import { Button } from '../../ui/Button'
import { DateField } from '../../ui/DateField'
import { Choice, TextField } from '../../ui/Field'
import { MendedList } from '../../ui/MendedList'
import { ProblemNote } from '../../ui/ProblemNote'
import { Sheet } from '../../ui/Sheet'
import { useAct } from '../../useAct'
import { CaptureDevice } from './CaptureDevice'
import { ClaimActions } from './ClaimActions'
import { ClaimForm } from './ClaimForm'
import { ClaimPapers } from './ClaimPapers'
import { LivePortrait } from './LivePortrait'
import type { Autosave } from './useAutosave'
import { useClaimEditor } from './useClaimEditor'

type Identity = Extract<ClaimDetails, { kind: 'identity' }>
type Paper = Identity['paper']

const paperNames = (): Record<Paper, string> => ({
  passport: say('apply.aPassport'),
  'identity card': say('apply.anIdentityCard'),
  'residence permit': say('apply.aResidencePermit'),
  'two others': say('apply.noneOfThese'),
})

const blank: Identity = {
  kind: 'identity',
  sourceId: null,
  sourceName: '',
  paper: 'passport',
  number: '',
  issuer: '',
  familyName: '',
  givenNames: '',
  born: '',
  through: '',
  zone: '',
}

/** The paper that shows who somebody is: chosen, captured here or on a phone, and what it says confirmed. */
export function IdentitySection({ draft, autosave }: { draft: Draft; autosave: Autosave }) {
  const claim = draft.claims.find(({ details }) => details.kind === 'identity')
  if (!claim) return <ChoosePaper />
  return <OnePaper key={claim.id} claim={claim} draft={draft} autosave={autosave} />
}

function ChoosePaper() {
  const [paper, setPaper] = useState<Paper>('passport')
  const { act, busy, problem } = useAct('addClaim')
  return (
    <Sheet className="grid max-w-[720px] gap-4">
      <Choice
        label={say('apply.whichDoYouHaveAt')}
        name="identity-paper"
        value={paper}
        onChange={(value) => setPaper(value as Paper)}
        options={identityPapers.map((value) => ({ value, label: paperNames()[value] }))}
      />
      {paper === 'two others' && <p className="text-ink-2">{say('apply.twoOtherPapersWithYour')}</p>}
      <ProblemNote problem={problem} />
      <p>
        <Button kind="main" busy={busy} onClick={() => void act({ body: { details: { ...blank, paper } } })}>
          {say('apply.goOnWithThis')}
        </Button>
      </p>
    </Sheet>
  )
}

const asksPortrait = ({ asks, alternatives = [] }: Requirement) =>
  [asks, ...alternatives].some((ask) => ask.kind === 'identity' && ask.portrait)

type OneProps = { claim: Claim; draft: Draft; autosave: Autosave }

function OnePaper({ claim, draft, autosave }: OneProps) {
  const [editing, setEditing] = useState<Read | 'typing'>()
  const details = claim.details as Identity
  const isGiven = details.paper === 'two others' || details.number !== ''
  return (
    <div className="grid max-w-[760px] gap-3">
      <Sheet className="grid gap-3">
        <div className="flex flex-wrap items-start justify-between gap-2">
          <div>
            <h2 className="font-sans font-semibold">{claim.label}</h2>
            {details.number !== '' && (
              <p className="text-ink-2">
                {details.givenNames} {details.familyName}, <span className="font-mono">{details.number}</span>
                {details.through && `, ${say('apply.validThrough', { day: writeWhen(details.through) })}`}
              </p>
            )}
          </div>
          <ClaimActions
            claim={claim}
            onChange={details.paper === 'two others' ? undefined : () => setEditing('typing')}
          />
        </div>
        {editing ? (
          <ConfirmFields
            key={editing === 'typing' ? 'typing' : editing.offered.zone}
            claim={claim}
            draftId={draft.id}
            read={editing === 'typing' ? undefined : editing}
            onDone={() => setEditing(undefined)}
          />
        ) : (
          !isGiven && <CapturePaper claim={claim} onRead={setEditing} onType={() => setEditing('typing')} />
        )}
        {!editing && details.number !== '' && <TakeIntoAnswers details={details} draft={draft} autosave={autosave} />}
        <ClaimPapers claim={claim} draft={draft} />
        {!editing && isGiven && details.paper !== 'two others' && draft.requirements.some(asksPortrait) && (
          <LivePortrait claim={claim} />
        )}
      </Sheet>
    </div>
  )
}

type Read = { offered: Offered; mended: readonly Mended[] }
type CaptureProps = { claim: Claim; onRead: (read: Read) => void; onType: () => void }

/** The paper before the device; what it has read comes back here by itself. */
const CapturePaper = ({ claim, onRead, onType }: CaptureProps) => (
  <CaptureDevice
    claimId={claim.id}
    what="paper"
    here={say('apply.captureItOnThisScreen')}
    onTaken={({ offered, mended }) => offered && onRead({ offered, mended })}
    more={
      <Button kind="quiet" onClick={onType}>
        {say('apply.typeItInstead')}
      </Button>
    }
  >
    {say('apply.captureItWithTheCamera')}
  </CaptureDevice>
)

type ConfirmProps = { claim: Claim; draftId: string; read?: Read; onDone: () => void }

function ConfirmFields({ claim, draftId, read, onDone }: ConfirmProps) {
  const offered = read?.offered
  const doubtful = read?.mended ?? []
  const [lookedAt, setLookedAt] = useState(false)
  const editor = useClaimEditor<Identity>(
    `${draftId}-identity-${offered?.number ?? 'typed'}`,
    { ...(claim.details as Identity), ...offered },
    claim,
    onDone,
  )
  const { details, set, fault } = editor
  const text = (field: 'familyName' | 'givenNames' | 'number' | 'issuer') => ({
    value: details[field],
    onChange: (event: { target: { value: string } }) =>
      set(field, field === 'issuer' ? event.target.value.toUpperCase().slice(0, 3) : event.target.value),
    error: fault(field),
  })
  return (
    <ClaimForm
      editor={editor}
      saving={offered ? say('apply.yesThisIsRight') : say('apply.save')}
      ready={details.number.trim() !== '' && details.familyName.trim() !== '' && (doubtful.length === 0 || lookedAt)}
      className="rounded-sheet border border-line bg-sheet-2 p-4"
    >
      <p className="font-semibold sm:col-span-2">
        {offered ? say('apply.thisStandsOnYourPaper') : say('apply.typeWhatStandsOnYour')}
      </p>
      {doubtful.length > 0 && <Doubtful mended={doubtful} lookedAt={lookedAt} onLook={setLookedAt} />}
      <TextField label={say('apply.familyName')} {...text('familyName')} />
      <TextField label={say('apply.givenNames')} {...text('givenNames')} />
      <TextField label={say('apply.number')} {...text('number')} />
      <TextField label={say('apply.issuedByAsTheThree')} optional {...text('issuer')} />
      <DateField
        label={say('apply.dateOfBirth')}
        value={details.born}
        onChange={(value) => set('born', value)}
        error={fault('born')}
      />
      <DateField
        label={say('apply.validThrough2')}
        value={details.through}
        onChange={(value) => set('through', value)}
        error={fault('through')}
      />
    </ClaimForm>
  )
}

type DoubtfulProps = { mended: readonly Mended[]; lookedAt: boolean; onLook: (looked: boolean) => void }

/** What the camera took for something else: to be compared with the paper before it is said to be right. */
function Doubtful({ mended, lookedAt, onLook }: DoubtfulProps) {
  return (
    <div className="rounded-sheet bg-soon-wash px-3 py-2 text-soon-ink sm:col-span-2">
      <p>{say('apply.theCameraWasNotSure')}</p>
      <MendedList mended={mended} />
      <label className="flex items-center gap-2">
        <input type="checkbox" checked={lookedAt} onChange={(event) => onLook(event.target.checked)} />
        {say('apply.iHaveComparedThemAnd')}
      </label>
    </div>
  )
}

/** Names are printed in capitals: HALDE becomes Halde. */
const written = (name: string) =>
  name === name.toUpperCase() ? name.toLowerCase().replace(/(^|[\s'’-])\p{L}/gu, (start) => start.toUpperCase()) : name

/** What the paper says and the answers about the person do not: offered, never taken over unasked. */
function TakeIntoAnswers({ details, draft, autosave }: { details: Identity; draft: Draft; autosave: Autosave }) {
  const asked = new Set(questionsOf(draft.form).map(({ key }) => key))
  const offers = [
    ['about.givenNames', written(details.givenNames)],
    ['about.familyName', written(details.familyName)],
    ['about.born', details.born],
  ].filter(([key, value]) => asked.has(key!) && value && autosave.text(key!).toLowerCase() !== value.toLowerCase()) as [
    string,
    string,
  ][]
  if (offers.length === 0 || isSent(draft)) return null
  const label = (key: string) => {
    const question = questionsOf(draft.form).find((each) => each.key === key)
    return question ? translated(question).label : key
  }
  return (
    <div className="rounded-sheet bg-soon-wash px-3 py-2 text-soon-ink">
      <p>{say('apply.yourAnswersSaySomethingElse')}</p>
      <ul className="my-1">
        {offers.map(([key, value]) => (
          <li key={key}>
            {label(key)}: {autosave.text(key) ? writeWhen(autosave.text(key)) : say('apply.nothing')} →{' '}
            <strong>{writeWhen(value)}</strong>
          </li>
        ))}
      </ul>
      <Button onClick={() => offers.forEach(([key, value]) => void autosave.change(key, value))}>
        {say('apply.takeItFromThePaper')}
      </Button>
    </div>
  )
}
