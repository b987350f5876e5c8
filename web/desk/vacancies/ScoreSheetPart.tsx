import { Trash2 } from 'lucide-react'
import { useState } from 'react'
import type { Reply } from '#contract/endpoint'
import type { readScoreSheet } from '#contract/scoring'
import { say } from '#core/words/say'
import { api } from '../../api'
import { Button } from '../../ui/Button'
import { LongField, SelectField, TextField } from '../../ui/Field'
import { ProblemNote } from '../../ui/ProblemNote'
import { Waiting } from '../../ui/Waiting'
import { useAct } from '../../useAct'
import { useToast } from '../useToast'
import { freshKey } from './freshKey'

type Sheet = Reply<typeof readScoreSheet>

/** What reviewers score applications by: agreed before anybody reads one. */
export function ScoreSheetPart({ id, mayEdit }: { id: string; mayEdit: boolean }) {
  const { data, error, refetch } = api.endpoints.readScoreSheet.useQuery({ params: { id } })
  if (!data) return <Waiting error={error} onRetry={refetch} />
  return <Editing key={data.version} id={id} sheet={data} mayEdit={mayEdit} />
}

const counting = (from: number, to: number) =>
  Array.from({ length: to - from + 1 }, (_, nth) => ({ value: String(from + nth), label: String(from + nth) }))

function Editing({ id, sheet, mayEdit }: { id: string; sheet: Sheet; mayEdit: boolean }) {
  const [criteria, setCriteria] = useState(sheet.criteria)
  const [reviewers, setReviewers] = useState(sheet.reviewers)
  const [hideNames, setHideNames] = useState(sheet.hideNames)
  const { act, busy, problem } = useAct('saveScoreSheet')
  const toast = useToast()
  const fixed = sheet.used > 0 || !mayEdit
  const change = (nth: number, over: Partial<Sheet['criteria'][number]>) =>
    setCriteria(criteria.map((criterion, at) => (at === nth ? { ...criterion, ...over } : criterion)))
  const save = async () => {
    const done = await act({ params: { id }, body: { version: sheet.version, criteria, reviewers, hideNames } })
    if (done) toast(say('composer.theScoreSheetIsAgreed'))
  }
  return (
    <form
      className="min-h-0 flex-1 overflow-auto px-5 py-4"
      onSubmit={(event) => {
        event.preventDefault()
        void save()
      }}
    >
      <p className="mb-3 max-w-[75ch] text-ink-2">
        {say('composer.agreeOnWhatCountsBefore', {
          used:
            sheet.used > 0
              ? say('composer.handedInOnTheseCriteria', {
                  value:
                    sheet.used === 1 ? say('composer.oneScoreWas') : say('composer.scoresWere', { used: sheet.used }),
                })
              : '',
        })}
      </p>
      <div className="mb-3 flex flex-wrap items-end gap-5">
        <SelectField
          label={say('composer.reviewersForEachApplication')}
          value={String(reviewers)}
          disabled={!mayEdit}
          onChange={(event) => setReviewers(Number(event.target.value))}
          options={counting(1, 5)}
        />
        <label className="flex min-h-8 items-center gap-2">
          <input
            type="checkbox"
            className="accent-confirmed"
            checked={hideNames}
            disabled={!mayEdit}
            onChange={(event) => setHideNames(event.target.checked)}
          />
          {say('composer.hideNamesPhotographsAndPapers')}
        </label>
      </div>
      {criteria.length === 0 && <p className="py-2">{say('composer.noCriteriaYetThreeTo')}</p>}
      <ol className="grid max-w-[980px] gap-3">
        {criteria.map((criterion, nth) => (
          <li
            key={criterion.key}
            className="grid grid-cols-[minmax(0,1fr)_minmax(0,1.4fr)_90px_90px_36px] items-start gap-3 border-line border-b pb-3"
          >
            <TextField
              label={say('composer.criterion')}
              value={criterion.title}
              limit={120}
              disabled={fixed}
              onChange={(event) => change(nth, { title: event.target.value })}
            />
            <LongField
              label={say('composer.whatToLookFor')}
              rows={2}
              value={criterion.lookFor}
              limit={500}
              disabled={fixed}
              onChange={(event) => change(nth, { lookFor: event.target.value })}
            />
            <SelectField
              label={say('composer.points')}
              value={String(criterion.most)}
              disabled={fixed}
              onChange={(event) => change(nth, { most: Number(event.target.value) })}
              options={counting(1, 10)}
            />
            <SelectField
              label={say('composer.counts')}
              value={String(criterion.weight)}
              disabled={fixed}
              onChange={(event) => change(nth, { weight: Number(event.target.value) })}
              options={[1, 2, 3, 4, 5].map((times) => ({
                value: String(times),
                label: times === 1 ? say('composer.countsOnce') : say('composer.timesTimes', { times }),
              }))}
            />
            {!fixed && (
              <button
                type="button"
                aria-label={say('composer.removeTitle', { title: criterion.title || say('composer.thisCriterion') })}
                className="mt-6 p-1.5 text-ink-2 hover:text-contradicted"
                onClick={() => setCriteria(criteria.filter((_, at) => at !== nth))}
              >
                <Trash2 size={16} />
              </button>
            )}
          </li>
        ))}
      </ol>
      {mayEdit && (
        <div className="mt-3 flex gap-2">
          <Button kind="main" type="submit" busy={busy}>
            {say('composer.agreeOnThisSheet')}
          </Button>
          {!fixed && criteria.length < 9 && (
            <Button
              onClick={() =>
                setCriteria([
                  ...criteria,
                  {
                    key: freshKey('criterion', new Set(criteria.map(({ key }) => key))),
                    title: '',
                    lookFor: '',
                    most: 5,
                    weight: 1,
                  },
                ])
              }
            >
              {say('composer.addACriterion')}
            </Button>
          )}
        </div>
      )}
      <div className="mt-2 max-w-[600px]">
        <ProblemNote problem={problem} />
      </div>
    </form>
  )
}
