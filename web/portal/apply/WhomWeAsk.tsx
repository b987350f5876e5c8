import { useState } from 'react'
import { askingWhen, type Claim } from '#contract/claims'
import type { Reply } from '#contract/endpoint'
import type { listHandlings } from '#contract/handling'
import { isStillAskedAbout } from '#core/sources/asked'
import { say } from '#core/words/say'
import { api } from '../../api'
import { Button } from '../../ui/Button'
import { Choice, SelectField, TextField } from '../../ui/Field'
import { faultAt, ProblemNote } from '../../ui/ProblemNote'
import { writeMoney } from '../../ui/write'
import { useAct } from '../../useAct'
import { useFreshAfterClash } from '../../useFreshAfterClash'
import { useSession } from '../../useSession'

/** Every source that would be asked; each may be asked now, only after an offer, or not at all. */
export function WhomWeAsk({ claims }: { claims: readonly Claim[] }) {
  const { may } = useSession()
  const asked = claims.filter(isStillAskedAbout)
  const { data: handlings } = api.endpoints.listHandlings.useQuery(
    {},
    { skip: !may('listHandlings') || asked.length === 0 },
  )
  if (asked.length === 0) return null
  return (
    <section aria-label={say('apply.whomWeAsk')} className="mb-4">
      <h2 className="mb-1 text-[1.4em]">{say('apply.whomWeAsk')}</h2>
      <p className="mb-2 text-ink-2">{say('apply.whomWeAskMeans')}</p>
      <ul className="grid gap-3">
        {asked.map((claim) => (
          <Source
            key={`${claim.id} ${claim.version}`}
            claim={claim}
            handling={handlings?.find((one) => one.claim === claim.id)}
          />
        ))}
      </ul>
    </section>
  )
}

type Handling = Reply<typeof listHandlings>[number]
type When = (typeof askingWhen)[number]

function Source({ claim, handling }: { claim: Claim; handling: Handling | undefined }) {
  const { details } = claim
  const said: When = ('mayAsk' in details && details.mayAsk) || 'now'
  const because = ('mayNotBecause' in details && details.mayNotBecause) || ''
  const { act, busy, problem } = useAct('setAsking')
  useFreshAfterClash(problem, 'draft')
  const [when, setWhen] = useState(said)
  const [why, setWhy] = useState(because)
  const save = (mayAsk: When, reason: string) =>
    act({ params: { id: claim.id }, body: { version: claim.version, mayAsk, because: reason } })
  const choose = (next: When) => {
    setWhen(next)
    // Never needs a reason, which is still to be said.
    if (next !== 'never') void save(next, '')
  }
  return (
    <li className="grid gap-2 sm:grid-cols-[minmax(0,1fr)_15rem]">
      <p>
        <strong>{details.sourceName}</strong>
        <span className="block text-[0.93em] text-ink-2">
          {details.kind === 'work' ? details.position : claim.label}
        </span>
      </p>
      <SelectField
        label={say('apply.mayBeAsked', { source: details.sourceName })}
        hidden
        options={askingWhen.map((value) => ({ value, label: say(`apply.mayBeAsked.${value}`) }))}
        value={when}
        disabled={busy}
        onChange={(event) => choose(event.target.value as When)}
      />
      {when !== 'now' && (
        <p className="text-[0.93em] text-soon-ink sm:col-span-2">{say(`apply.notAskedMeans.${when}`)}</p>
      )}
      {when === 'never' && (
        <div className="flex flex-wrap items-end gap-2 sm:col-span-2">
          <div className="min-w-0 flex-1">
            <TextField
              label={say('apply.whyNotThisOne')}
              value={why}
              maxLength={200}
              onChange={(event) => setWhy(event.target.value)}
              error={faultAt(problem, 'because')}
            />
          </div>
          <Button busy={busy} disabled={why.trim() === ''} onClick={() => void save('never', why)}>
            {say('apply.keepThis')}
          </Button>
        </div>
      )}
      {handling && when !== 'never' && <Speed claim={claim} handling={handling} />}
      <ProblemNote problem={problem?.faults ? undefined : problem} />
    </li>
  )
}

/** How fast a source that offers it is to answer, with what either costs and how long it usually takes. */
function Speed({ claim, handling: { usual, faster, chosen } }: { claim: Claim; handling: Handling }) {
  const { act, problem } = useAct('chooseHandling')
  useFreshAfterClash(problem, 'draft')
  const words = (speed: 'usual' | 'faster', { answerWorkingDays: days, cost }: Handling['usual']) => ({
    value: speed,
    label: say(`apply.speed.${speed}`, {
      days,
      cost: cost && cost.amount > 0 ? writeMoney(cost.amount, cost.currency) : say('apply.speed.free'),
    }),
  })
  return (
    <div className="sm:col-span-2">
      <Choice
        name={`speed ${claim.id}`}
        inline={false}
        label={say('apply.howFast', { source: claim.details.sourceName })}
        options={[words('usual', usual), words('faster', faster)]}
        value={chosen}
        onChange={(speed) =>
          void act({ params: { id: claim.id }, body: { version: claim.version, speed: speed as Handling['chosen'] } })
        }
      />
      <p className="text-[0.93em] text-ink-2">{say('apply.speed.means')}</p>
      <ProblemNote problem={problem} />
    </div>
  )
}
