import type { Draft } from '#contract/applications'
import type { Claim } from '#contract/claims'
import type { Section } from '#core/form/form'
import { say } from '#core/words/say'
import { Button } from '../../ui/Button'
import { ProblemNote } from '../../ui/ProblemNote'
import { writeDayOf } from '../../ui/write'
import { useAct } from '../../useAct'

const rungWords = (): Partial<Record<Claim['rung'], string>> => ({
  asked: say('apply.theSourceHasBeenAsked'),
  confirmed: say('apply.confirmed'),
  contradicted: say('apply.theSourceSaysOtherwise'),
  unconfirmable: say('apply.theSourceCannotConfirmIt'),
})

/** Whether the desk has opened a section again that holds this. */
export const isOpenedAgain = ({ form, reopened }: Draft, holds: Section['holds']) =>
  reopened.some(({ section }) => form.find(({ key }) => key === section)?.holds === holds)

/** Change (where there is something to change) or take back a claim while nobody has worked on it; otherwise why not. */
export function ClaimActions({
  claim,
  onChange,
  reopened,
}: {
  claim: Claim
  onChange?: () => void
  /** The desk asks to change something here, also what a source has been asked about. */
  reopened?: boolean
}) {
  const { act, busy, problem } = useAct('removeClaim')
  const settled = rungWords()[claim.rung]
  const given = say('apply.givenOrConfirmed', { day: writeDayOf(claim.saidAt) })
  if (settled && !reopened)
    return (
      <p className="text-[0.93em] text-ink-2">
        {settled} {given}
      </p>
    )
  return (
    <div>
      <p className="text-right text-[0.88em] text-ink-3">{given}</p>
      <div className="flex justify-end">
        {onChange && (
          <Button kind="quiet" onClick={onChange} aria-label={say('apply.changeLabel', { label: claim.label })}>
            {say('apply.change')}
          </Button>
        )}
        {claim.rung === 'claimed' && (
          <Button
            kind="quiet"
            busy={busy}
            onClick={() => void act({ params: { id: claim.id }, query: { version: String(claim.version) } })}
            aria-label={say('apply.takeBack', { label: claim.label })}
          >
            {say('apply.takeBack2')}
          </Button>
        )}
      </div>
      <ProblemNote problem={problem} />
    </div>
  )
}
