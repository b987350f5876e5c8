import { useMemo, useState } from 'react'
import { Temporal } from 'temporal-polyfill'
import type { Draft } from '#contract/applications'
import { activities, type Claim, type ClaimDetails } from '#contract/claims'
import { partialDate, spanOf } from '#core/dates/partialDate'
import { writeDays, writeWhen } from '#core/dates/write'
import { say } from '#core/words/say'
import { Button } from '../../ui/Button'
import { DateField } from '../../ui/DateField'
import { Choice, SelectField, TextField } from '../../ui/Field'
import { LifeChart } from '../../ui/LifeChart'
import { layOutLife } from '../../ui/lifeChartLayout'
import { barsOf } from '../../ui/lifeOfClaims'
import { Sheet } from '../../ui/Sheet'
import { Documents } from '../documents/Documents'
import { ClaimActions, isOpenedAgain } from './ClaimActions'
import { ClaimForm } from './ClaimForm'
import { GapRow } from './GapRow'
import { Homes } from './Homes'
import { SourcePicker } from './SourcePicker'
import { useClaimEditor } from './useClaimEditor'

type Work = Extract<ClaimDetails, { kind: 'work' }>
type Gap = { from: string; through: string }

const blank: Work = {
  kind: 'work',
  sourceId: null,
  sourceName: '',
  activity: 'employment',
  position: '',
  from: '',
  to: '',
  fullTimeShare: 100,
  tags: [],
  confirmBy: '',
  mayAsk: 'now',
}

/** The history: the life chart, the entries newest first with the gaps between them, and the next entry. */
export function WorkSection({ draft }: { draft: Draft }) {
  const [editing, setEditing] = useState<string | undefined>()
  const [begun, setBegun] = useState<Partial<Work>>({})
  const history = draft.requirements.flatMap(({ asks }) => (asks.kind === 'history' && !asks.of ? [asks] : []))[0] ?? {
    years: 5,
    toleratedGapDays: 30,
  }
  const bars = useMemo(() => barsOf(draft.claims), [draft.claims])
  const chart = { bars, today: draft.today, years: history.years, toleratedGapDays: history.toleratedGapDays }
  const { coverage } = layOutLife({ ...chart, papers: [], width: 100 })
  const jobs = draft.claims.filter(({ details }) => details.kind === 'work')
  const fill = ({ from, through }: Gap) => {
    setBegun({ from, to: through, activity: 'without work' })
    setEditing('new')
  }
  const addNext = () => {
    setBegun(nextEntry(jobs, draft.today))
    setEditing('new')
  }
  const rows = [
    ...jobs.map((claim) => ({ at: startOf(claim), claim })),
    ...coverage.certainGaps.map((gap) => ({
      at: gap.from.toString(),
      gap: { from: gap.from.toString(), through: gap.through.toString(), days: gap.days },
    })),
  ].sort((a, b) => (a.at < b.at ? 1 : -1))
  return (
    <div className="grid gap-3 [&>*]:min-w-0">
      <Sheet>
        <LifeChart
          {...chart}
          onGap={(from, through) => fill({ from, through })}
          onChoose={(id) => jobs.some((job) => job.id === id) && setEditing(id)}
        />
        {coverage.possibleGaps.length > 0 && (
          <p className="mt-2 text-[0.93em] text-ink-2">
            {say(
              'Lightly hatched: days that may be missing, since only months or years were given. Give days if you know them.',
            )}
          </p>
        )}
        {[...coverage.certainOverlaps].slice(0, 3).map(({ between, days, from }) => (
          <p key={`${between}-${from}`} className="mt-1 text-[0.93em] text-ink-2">
            {say('{{one}} and {{other}} overlap by {{days}}. That is fine if you did both.', {
              one: labelOf(draft.claims, between[0]),
              other: labelOf(draft.claims, between[1]),
              days: writeDays(days),
            })}
          </p>
        ))}
      </Sheet>
      {editing === 'new' ? (
        <WorkEditor key={JSON.stringify(begun)} draftId={draft.id} begun={begun} onDone={() => setEditing(undefined)} />
      ) : (
        <p>
          <Button kind={jobs.length === 0 ? 'main' : 'plain'} onClick={addNext}>
            {jobs.length === 0 ? say('Add what you do now') : say('Add another entry')}
          </Button>
        </p>
      )}
      {rows.map((row) =>
        'gap' in row && row.gap ? (
          <GapRow key={row.gap.from} gap={row.gap} question={say('What did you do?')} onFill={() => fill(row.gap)} />
        ) : 'claim' in row && row.claim ? (
          editing === row.claim.id ? (
            <WorkEditor
              key={row.claim.id}
              draftId={draft.id}
              begun={{}}
              claim={row.claim}
              onDone={() => setEditing(undefined)}
            />
          ) : (
            <WorkLine
              key={row.claim.id}
              claim={row.claim}
              reopened={isOpenedAgain(draft, 'work')}
              onChange={() => setEditing(row.claim.id)}
            />
          )
        ) : null,
      )}
      <Homes draft={draft} />
    </div>
  )
}

const startOf = ({ details }: Claim) => ('from' in details ? details.from : '')
const labelOf = (claims: readonly Claim[], id: string) => claims.find((claim) => claim.id === id)?.label ?? ''

/** The next entry ends where the earliest one so far begins, the day before; the first runs to the present. */
function nextEntry(jobs: readonly Claim[], today: string): Partial<Work> {
  const starts = jobs.flatMap(({ details }) =>
    details.kind === 'work' && details.from ? [spanOf(partialDate(details.from)).earliest] : [],
  )
  if (starts.length === 0) return { to: 'present' }
  const earliest = starts.sort(Temporal.PlainDate.compare)[0]!
  const fresh = Temporal.PlainDate.compare(earliest, Temporal.PlainDate.from(today)) <= 0
  return fresh ? { to: earliest.subtract({ days: 1 }).toString() } : {}
}

type FaceProps = { claim: Claim; reopened: boolean; onChange: () => void }

function WorkLine({ claim, reopened, onChange }: FaceProps) {
  if (claim.details.kind !== 'work') return null
  const { from, to, position, activity, mayAsk, fullTimeShare, confirmBy } = claim.details
  const asking = {
    now: say('We may write to them.'),
    'after an offer': say('We may write to them after an offer.'),
    never: say('We do not write to them.'),
  }[mayAsk]
  const employed = activity === 'employment' || activity === 'self-employment'
  return (
    <Sheet>
      <div className="grid gap-x-5 gap-y-1 sm:grid-cols-[170px_1fr_auto]">
        <p>{say('{{from}} to {{to}}', { from: writeWhen(from), to: to === 'present' ? say('now') : writeWhen(to) })}</p>
        <div>
          <h2 className="font-sans font-semibold">{claim.label}</h2>
          <p className="text-[0.95em] text-ink-2">
            {employed
              ? `${position}, ${fullTimeShare === 100 ? say('full time') : `${fullTimeShare} %`}. ${activity === 'employment' ? asking : ''}`
              : say(activity).replace(/^./, (letter) => letter.toUpperCase())}
          </p>
          {confirmBy && (
            <p className="text-[0.95em] text-ink-2">{say('Can confirm it: {{confirmBy}}', { confirmBy })}</p>
          )}
        </div>
        <ClaimActions claim={claim} onChange={onChange} reopened={reopened} />
      </div>
      {activity === 'employment' && (
        <div className="mt-2 sm:pl-[190px]">
          <Documents claim={claim} prompt={say('Add a work certificate')} />
        </div>
      )}
    </Sheet>
  )
}

const activityOptions = activities.map((value) => ({
  value,
  label: say(value).replace(/^./, (letter) => letter.toUpperCase()),
}))

function WorkEditor({
  draftId,
  claim,
  begun,
  onDone,
}: {
  draftId: string
  claim?: Claim
  begun: Partial<Work>
  onDone: () => void
}) {
  const initial = claim?.details.kind === 'work' ? claim.details : { ...blank, ...begun }
  const editor = useClaimEditor<Work>(`${draftId}-work-${begun.from ?? ''}${begun.to ?? ''}`, initial, claim, onDone)
  const { details, setDetails, set, fault } = editor
  const employed = details.activity === 'employment'
  return (
    <Sheet>
      <ClaimForm editor={editor} saving={claim ? say('Save') : say('Add to my history')}>
        <SelectField
          label={say('What were you doing?')}
          options={activityOptions}
          value={details.activity}
          onChange={(event) => set('activity', event.target.value as Work['activity'])}
        />
        <TextField
          label={employed ? say('Position') : say('In a few words')}
          value={details.position}
          onChange={(event) => set('position', event.target.value)}
          error={fault('position')}
        />
        {employed && (
          <div className="sm:col-span-2">
            <SourcePicker
              label={say('Employer')}
              kinds="employer"
              value={details}
              onChange={(source) => setDetails((before) => ({ ...before, ...source }))}
              error={fault('sourceName')}
            />
          </div>
        )}
        <DateField
          label={say('First day')}
          value={details.from}
          onChange={(value) => set('from', value)}
          error={fault('from')}
          help={say('“2021”, “Aug 2021” or “1 Aug 2021” will do.')}
        />
        <DateField
          label={say('Last day')}
          value={details.to}
          onChange={(value) => set('to', value)}
          error={fault('to')}
          blanks={[{ value: 'present', label: say('I still do this') }]}
        />
        {employed && (
          <>
            <TextField
              label={say('Share of full time, per cent')}
              type="number"
              min={1}
              max={100}
              value={String(details.fullTimeShare)}
              onChange={(event) => set('fullTimeShare', Math.round(Number(event.target.value)) || 0)}
              error={fault('fullTimeShare')}
            />
            <TextField
              label={say('Who there can confirm it?')}
              optional
              help={say('A person or an office, with a mail address if you know one.')}
              value={details.confirmBy}
              onChange={(event) => set('confirmBy', event.target.value)}
              error={fault('confirmBy')}
            />
            <TextField
              label={say('Kind of work')}
              optional
              help={say('One or two words, such as electrical or track.')}
              value={details.tags.join(', ')}
              onChange={(event) =>
                set(
                  'tags',
                  event.target.value
                    .split(',')
                    .map((tag) => tag.trimStart().toLowerCase())
                    .slice(0, 8),
                )
              }
              error={fault('tags')}
            />
            <div className="sm:col-span-2">
              <Choice
                label={say('May we ask them about you?')}
                name="mayAsk"
                value={details.mayAsk}
                onChange={(value) => set('mayAsk', value as Work['mayAsk'])}
                options={[
                  { value: 'now', label: say('Now') },
                  { value: 'after an offer', label: say('After an offer') },
                  { value: 'never', label: say('Not at all') },
                ]}
              />
            </div>
          </>
        )}
        {!employed && (
          <TextField
            label={say('Who could confirm it?')}
            optional
            value={details.confirmBy}
            onChange={(event) => set('confirmBy', event.target.value)}
            error={fault('confirmBy')}
          />
        )}
      </ClaimForm>
    </Sheet>
  )
}
