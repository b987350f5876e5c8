import { v7 as uuid } from 'uuid'
import type { EventCode } from '#core/events/events'
import { changed } from '../changes'
import { inTransaction } from '../database/connection'
import { type Actor, type Deps, nameOfActor } from '../deps'
import { addLink } from './addLink'

export type Happening = {
  code: EventCode
  /** What was done, for the desk: "Marked Degree.pdf as seen". */
  what: string
  /** The same for the candidate's status page; left out where it is none of their concern. */
  forCandidate?: string
  about?: string
  candidateId?: string
  applicationId?: string
  claimId?: string
  vacancyId?: string
  details?: Record<string, unknown>
}

/** The chain of what is about no file: vacancies, accounts, settings. */
const houseChain = 'house'

/**
 * Leaves an audit event, in the transaction of what happened, as the next link of its file's chain, and has what rests on
 * it brought up to date before the commit.
 */
export async function recordEvent(
  deps: Deps,
  actor: Actor,
  { code, what, forCandidate, about, candidateId, applicationId, claimId, vacancyId, details }: Happening,
) {
  await inTransaction(deps.sequelize, async () => {
    await addLink(deps.sequelize, candidateId ?? houseChain, {
      id: uuid({ msecs: deps.clock.now().getTime() }),
      at: deps.clock.now(),
      actorId: actor.kind === 'account' ? (actor.by?.id ?? actor.id) : null,
      who: nameOfActor(actor),
      code,
      what,
      // What the desk writes for somebody is theirs to read through, not something they did.
      forCandidate: (actor.kind === 'account' && actor.by ? undefined : forCandidate) ?? null,
      about: about ?? null,
      candidateId: candidateId ?? null,
      applicationId: applicationId ?? null,
      claimId: claimId ?? null,
      details: details ?? {},
    })
    await changed(deps, { code, actor, candidateId, applicationId, vacancyId })
  })
}
