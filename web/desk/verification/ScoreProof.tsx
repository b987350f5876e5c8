import { useState } from 'react'
import type { File } from '#contract/desk'
import type { Reply } from '#contract/endpoint'
import type { readScores } from '#contract/scoring'
import { isComplete } from '#core/scoring/score'
import { say } from '#core/words/say'
import { api } from '../../api'
import { Button } from '../../ui/Button'
import { LongField } from '../../ui/Field'
import { ProblemNote } from '../../ui/ProblemNote'
import { Waiting } from '../../ui/Waiting'
import { useAct } from '../../useAct'
import { useInTurn } from '../../useInTurn'
import { useKeys } from '../useKeys'
import { useToast } from '../useToast'

type Scores = Reply<typeof readScores>

/** One's own score, criterion by criterion; the others' once enough are in. Digits give points, and the next comes up. */
export function ScoreProof({ file }: { file: File }) {
  const {
    data: scores,
    error,
    refetch,
  } = api.endpoints.readScores.useQuery({ params: { id: file.id } }, { refetchOnMountOrArgChange: true })
  if (!scores) return <Waiting error={error} onRetry={refetch} />
  const given = scores.own?.handedInAt
  return (
    <div className="min-h-0 flex-1 overflow-auto p-3.5">
      <h2 className="text-[1.2rem]">{say('proof.scoreSheet')}</h2>
      <p className="mb-2 text-ink-2">
        {say('proof.ofHaveHandedIn', {
          handedIn: scores.handedIn,
          reviewers: scores.reviewers,
          value: scores.summary ? '' : say('proof.nobodySeesAnothersScoreUntil'),
        })}
      </p>
      {given || !scores.open ? <Compared scores={scores} /> : <Sheet key={file.id} file={file} scores={scores} />}
    </div>
  )
}

function Sheet({ file, scores }: { file: File; scores: Scores }) {
  const [points, setPoints] = useState<Record<string, number>>(scores.own?.points ?? {})
  const [note, setNote] = useState(scores.own?.note ?? '')
  const [at, setAt] = useState(() =>
    Math.max(
      0,
      scores.criteria.findIndex(({ key }) => points[key] === undefined),
    ),
  )
  const { act, busy, problem } = useAct('saveScore')
  const toast = useToast()
  const { criteria } = scores
  const give = (key: string, value: number) => {
    const next = { ...points, [key]: value }
    setPoints(next)
    setAt(Math.min(criteria.length - 1, criteria.findIndex((one) => one.key === key) + 1))
    keep(next)
  }
  // A digit pressed while another is being saved waits for it, and so does handing in.
  const inTurn = useInTurn()
  const keep = (kept: Record<string, number>) =>
    void inTurn(() => act({ params: { id: file.id }, body: { points: kept, note, handIn: false } }))
  const handIn = () =>
    inTurn(async () => {
      if (await act({ params: { id: file.id }, body: { points, note, handIn: true } }))
        toast(say('proof.yourScoreIsIn'))
    })
  const current = criteria[at]
  useKeys(
    Object.fromEntries(
      Array.from({ length: 10 }, (_, digit) => [
        String(digit),
        current && digit <= current.most ? () => give(current.key, digit) : undefined,
      ]),
    ),
  )
  return (
    <form
      className="grid gap-3"
      onSubmit={(event) => {
        event.preventDefault()
        void handIn()
      }}
    >
      {criteria.map(({ key, title, lookFor, most, weight }, nth) => (
        <fieldset key={key} className={`border-l-2 pl-2.5 ${nth === at ? 'border-confirmed' : 'border-line'}`}>
          <legend className="float-left w-full font-semibold">
            {title}{' '}
            {weight > 1 && <span className="font-normal text-ink-2">{say('proof.countsTimes', { weight })}</span>}
          </legend>
          {lookFor && <p className="clear-both text-[0.8333rem] text-ink-2">{lookFor}</p>}
          <div className="clear-both flex flex-wrap gap-1 pt-1">
            {Array.from({ length: most + 1 }, (_, value) => (
              <label
                key={value}
                className={`flex h-7 min-w-7 cursor-pointer items-center justify-center rounded-sheet border font-mono ${points[key] === value ? 'border-confirmed bg-confirmed text-on-confirmed' : 'border-line-strong bg-sheet'}`}
              >
                <input
                  type="radio"
                  name={key}
                  value={value}
                  checked={points[key] === value}
                  onChange={() => give(key, value)}
                  onFocus={() => setAt(nth)}
                  className="sr-only"
                />
                {value}
              </label>
            ))}
          </div>
        </fieldset>
      ))}
      <LongField
        label={say('proof.whyForThoseWhoDecide')}
        optional
        value={note}
        limit={2000}
        onChange={(event) => setNote(event.target.value)}
        onBlur={() => note !== (scores.own?.note ?? '') && keep(points)}
      />
      <ProblemNote problem={problem} />
      <div className="flex items-center gap-3">
        <Button kind="main" type="submit" busy={busy} disabled={!isComplete(criteria, points)}>
          {say('proof.handIn')}
        </Button>
        <p className="text-[0.8333rem] text-ink-2">{say('proof.itCannotBeChangedAfterwards')}</p>
      </div>
    </form>
  )
}

function Compared({ scores }: { scores: Scores }) {
  const all = [...(scores.own ? [scores.own] : []), ...scores.others]
  return (
    <>
      {scores.summary && (
        <p className="mb-2 text-[1rem]">
          <strong>{scores.summary.percent} %</strong> {say('proof.ofThePoints')}
        </p>
      )}
      <table className="w-full text-left">
        <thead>
          <tr className="border-line-strong border-b text-[0.8333rem] text-ink-2">
            <th scope="col" className="py-1 font-semibold">
              {say('proof.criterion')}
            </th>
            {all.map(({ reviewer }) => (
              <th key={reviewer} scope="col" className="px-1 py-1 text-right font-semibold">
                {reviewer}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {scores.criteria.map(({ key, title, most }) => {
            const apart = scores.summary?.criteria.find((one) => one.key === key)?.apart
            return (
              <tr key={key} className="border-line border-b">
                <th scope="row" className="py-1 font-normal">
                  {title} <span className="text-ink-2">{say('proof.ofMost', { most })}</span>
                  {apart && (
                    <span className="block text-[0.8333rem] text-soon-ink">
                      {say('proof.youSeeThisDifferentlyTalk')}
                    </span>
                  )}
                </th>
                {all.map(({ reviewer, points }) => (
                  <td key={reviewer} className={`px-1 text-right font-mono ${apart ? 'text-soon-ink' : ''}`}>
                    {points[key] ?? '—'}
                  </td>
                ))}
              </tr>
            )
          })}
        </tbody>
      </table>
      {all
        .filter(({ note }) => note !== '')
        .map(({ reviewer, note }) => (
          <p key={reviewer} className="mt-2">
            <span className="font-semibold">{reviewer}:</span> {note}
          </p>
        ))}
    </>
  )
}
