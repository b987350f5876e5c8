import { useState } from 'react'
import { Link, useNavigate } from 'react-router'
import type { SingleField } from '#core/sources/merge'
import { say } from '#core/words/say'
import { Button } from '../../ui/Button'
import { Dialog } from '../../ui/Dialog'
import { Choice } from '../../ui/Field'
import { ProblemNote } from '../../ui/ProblemNote'
import { writeMoney } from '../../ui/write'
import { useAct } from '../../useAct'
import { useFreshAfterClash } from '../../useFreshAfterClash'
import { useToast } from '../useToast'
import type { SourceRead } from './sourceTypes'
import { twinWords } from './sourceWords'

type Twin = SourceRead['twins'][number]
type Side = Pick<Twin, 'id' | 'version' | 'source' | 'claims'>

/** Other entries that may be of the same source: two are merged, or said to be two. */
export function Twins({ read }: { read: SourceRead }) {
  const [merging, setMerging] = useState<Twin>()
  const apart = useAct('setSourcesApart')
  return (
    <section aria-label={say('sources.twins')} className="border-line border-b pb-4">
      <h2 className="mb-1 text-[1.1333rem]">{say('sources.twins')}</h2>
      <ul className="grid gap-3">
        {read.twins.map((twin) => (
          <li key={twin.id}>
            <Link to={`/desk/sources/${twin.id}`} className="font-semibold text-confirmed">
              {twin.name}
            </Link>{' '}
            <span className="text-ink-2">
              {[[twin.town, twin.country].filter(Boolean).join(', '), say(`sources.is.${twin.state}`)]
                .filter(Boolean)
                .join(' · ')}
            </span>
            {twin.reasons.map((reason) => (
              <p key={reason.code}>{twinWords(reason)}</p>
            ))}
            <p className="mt-1 flex flex-wrap gap-2">
              <Button onClick={() => setMerging(twin)}>{say('sources.merge')}</Button>
              <Button
                busy={apart.busy}
                onClick={() => void apart.act({ params: { id: read.id }, body: { otherId: twin.id } })}
              >
                {say('sources.areTwo')}
              </Button>
            </p>
          </li>
        ))}
      </ul>
      <ProblemNote problem={apart.problem} />
      {merging && <MergeDialog one={read} other={merging} onClose={() => setMerging(undefined)} />}
    </section>
  )
}

/** Which of two stays, and of what they know differently, which is kept. */
function MergeDialog({ one, other, onClose }: { one: SourceRead; other: Twin; onClose: () => void }) {
  const { act, busy, problem } = useAct('mergeSources')
  useFreshAfterClash(problem, 'desk')
  const navigate = useNavigate()
  const toast = useToast()
  // What is in the directory stays; what somebody proposed goes into it.
  const [keptId, setKeptId] = useState(one.state === 'proposed' || other.state === 'checked' ? other.id : one.id)
  const [take, setTake] = useState<SingleField[]>([])
  const sides: [Side, Side] = [one, other]
  const [kept, gone] = keptId === one.id ? sides : [sides[1], sides[0]]
  const merge = async () => {
    const body = { goneId: gone.id, version: kept.version, goneVersion: gone.version, take }
    if (!(await act({ params: { id: kept.id }, body }))) return
    toast(say('sources.merged', { gone: gone.source.name, kept: kept.source.name }))
    navigate(`/desk/sources/${kept.id}`)
    onClose()
  }
  return (
    <Dialog open onClose={onClose} wide title={say('sources.mergeTitle')} description={say('sources.mergeMeans')}>
      <div className="grid gap-4">
        <Choice
          name="kept"
          label={say('sources.whichStays')}
          inline={false}
          value={keptId}
          onChange={(id) => {
            setKeptId(id)
            setTake([])
          }}
          options={sides.map(({ id, source, claims }) => ({
            value: id,
            label: say('sources.sideOf', {
              name: [source.name, source.town, source.country].filter(Boolean).join(', '),
              count: claims,
            }),
          }))}
        />
        {other.lost.length > 0 && (
          <fieldset className="grid gap-2">
            <legend className="mb-1 font-semibold text-[0.93em]">{say('sources.differ')}</legend>
            {other.lost.map((field) => (
              <Choice
                key={field}
                name={field}
                label={say(`sources.single.${field}`)}
                value={take.includes(field) ? 'gone' : 'kept'}
                onChange={(whose) => setTake(whose === 'gone' ? [...take, field] : take.filter((one) => one !== field))}
                options={[
                  { value: 'kept', label: valueWords(kept, field) },
                  { value: 'gone', label: valueWords(gone, field) },
                ]}
              />
            ))}
          </fieldset>
        )}
        <ProblemNote problem={problem} />
        <Button kind="main" busy={busy} onClick={() => void merge()} className="justify-self-start">
          {say('sources.mergeInto', { gone: gone.source.name, kept: kept.source.name })}
        </Button>
      </div>
    </Dialog>
  )
}

function valueWords({ source }: Side, field: SingleField): string {
  if (field === 'kind') return say(`names.sourceKind.${source.kind}`)
  if (field === 'cost') return source.cost ? writeMoney(source.cost.amount, source.cost.currency) : '–'
  if (field === 'faster') {
    const { faster } = source
    if (!faster) return '–'
    return say('sources.handlesFaster', {
      days: faster.answerWorkingDays,
      cost: writeMoney(faster.cost.amount, faster.cost.currency),
    })
  }
  if (field === 'together') return source.together ? say('sources.yes') : '–'
  if (field === 'language') return source.language ? say(`sources.language.${source.language}`) : '–'
  if (field === 'issuer') return source.issuer?.id ?? '–'
  return String(source[field] ?? '–') || '–'
}
