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
import { WhatSourceAsks, withoutSourcePapers } from './WhatSourceAsks'

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
          <p className="mt-2 text-[0.93em] text-ink-2">{say('apply.lightlyHatchedDaysThatMay')}</p>
        )}
        {[...coverage.certainOverlaps].slice(0, 3).map(({ between, days, from }) => (
          <p key={`${between}-${from}`} className="mt-1 text-[0.93em] text-ink-2">
            {say('apply.andOverlapByThatIs', {
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
            {jobs.length === 0 ? say('apply.addWhatYouDoNow') : say('apply.addAnotherEntry')}
          </Button>
        </p>
      )}
      {rows.map((row) =>
        'gap' in row && row.gap ? (
          <GapRow key={row.gap.from} gap={row.gap} question={say('apply.whatDidYouDo')} onFill={() => fill(row.gap)} />
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
            <WorkLine key={row.claim.id} claim={row.claim} draft={draft} onChange={() => setEditing(row.claim.id)} />
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

type FaceProps = { claim: Claim; draft: Draft; onChange: () => void }

function WorkLine({ claim, draft, onChange }: FaceProps) {
  if (claim.details.kind !== 'work') return null
  const { from, to, position, activity, mayAsk, fullTimeShare, confirmBy } = claim.details
  const asking = {
    now: say('apply.weMayWriteToThem'),
    'after an offer': say('apply.weMayWriteToThemAfter'),
    never: say('apply.weDoNotWriteTo'),
  }[mayAsk]
  const employed = activity === 'employment' || activity === 'self-employment'
  return (
    <Sheet>
      <div className="grid gap-x-5 gap-y-1 sm:grid-cols-[170px_1fr_auto]">
        <p>
          {say('apply.fromToTo', { from: writeWhen(from), to: to === 'present' ? say('apply.now') : writeWhen(to) })}
        </p>
        <div>
          <h2 className="font-sans font-semibold">{claim.label}</h2>
          <p className="text-[0.95em] text-ink-2">
            {employed
              ? `${position}, ${fullTimeShare === 100 ? say('apply.fullTime') : `${fullTimeShare} %`}. ${activity === 'employment' ? asking : ''}`
              : say(`names.activity.${activity}`).replace(/^./, (letter) => letter.toUpperCase())}
          </p>
          {confirmBy && <p className="text-[0.95em] text-ink-2">{say('apply.canConfirmIt', { confirmBy })}</p>}
        </div>
        <ClaimActions claim={claim} onChange={onChange} reopened={isOpenedAgain(draft, 'work')} />
      </div>
      {activity === 'employment' && (
        <div className="mt-2 sm:pl-[190px]">
          <Documents claim={withoutSourcePapers(claim)} prompt={say('apply.addAWorkCertificate')} />
          <WhatSourceAsks applicationId={draft.id} claim={claim} asked={draft.askedBySources} />
        </div>
      )}
    </Sheet>
  )
}

const activityOptions = () =>
  activities.map((value) => ({
    value,
    label: say(`names.activity.${value}`).replace(/^./, (letter) => letter.toUpperCase()),
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
      <ClaimForm editor={editor} saving={claim ? say('apply.save') : say('apply.addToMyHistory')}>
        <SelectField
          label={say('apply.whatWereYouDoing')}
          options={activityOptions()}
          value={details.activity}
          onChange={(event) => set('activity', event.target.value as Work['activity'])}
        />
        <TextField
          label={employed ? say('apply.position') : say('apply.inAFewWords')}
          value={details.position}
          onChange={(event) => set('position', event.target.value)}
          error={fault('position')}
        />
        {employed && (
          <div className="sm:col-span-2">
            <SourcePicker
              label={say('apply.employer')}
              kinds="employer"
              claim="work"
              value={details}
              onChange={(source) => setDetails((before) => ({ ...before, ...source }))}
              error={fault('sourceName')}
            />
          </div>
        )}
        <DateField
          label={say('apply.firstDay')}
          value={details.from}
          onChange={(value) => set('from', value)}
          error={fault('from')}
          help={say('apply.n2021Aug2021Or1')}
        />
        <DateField
          label={say('apply.lastDay')}
          value={details.to}
          onChange={(value) => set('to', value)}
          error={fault('to')}
          blanks={[{ value: 'present', label: say('apply.iStillDoThis') }]}
        />
        {employed && (
          <>
            <TextField
              label={say('apply.shareOfFullTimePer')}
              type="number"
              min={1}
              max={100}
              value={String(details.fullTimeShare)}
              onChange={(event) => set('fullTimeShare', Math.round(Number(event.target.value)) || 0)}
              error={fault('fullTimeShare')}
            />
            <TextField
              label={say('apply.whoThereCanConfirmIt')}
              optional
              help={say('apply.aPersonOrAnOffice')}
              value={details.confirmBy}
              onChange={(event) => set('confirmBy', event.target.value)}
              error={fault('confirmBy')}
            />
            <TextField
              label={say('apply.kindOfWork')}
              optional
              help={say('apply.oneOrTwoWordsSuch')}
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
                label={say('apply.mayWeAskThemAbout')}
                name="mayAsk"
                value={details.mayAsk}
                onChange={(value) => set('mayAsk', value as Work['mayAsk'])}
                options={[
                  { value: 'now', label: say('apply.now2') },
                  { value: 'after an offer', label: say('apply.afterAnOffer') },
                  { value: 'never', label: say('apply.notAtAll') },
                ]}
              />
            </div>
          </>
        )}
        {!employed && (
          <TextField
            label={say('apply.whoCouldConfirmIt')}
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
