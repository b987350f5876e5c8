import { v7 as uuid } from 'uuid'
import type { EventCode } from '#core/events/events'
import type { StoredValues } from '#core/words/stored'
import { changed } from '../changes'
import { inTransaction } from '../database/connection'
import { type Actor, type Deps, nameOfActor } from '../deps'
import { addLink, addLinks } from './addLink'
import { concernsCandidate, type EventValues, type EventWord, type PlainWord } from './wording'

type About = {
  about?: string
  candidateId?: string
  applicationId?: string
  claimId?: string
  vacancyId?: string
  details?: Record<string, unknown>
}

/** The chain of what is about no file: vacancies, accounts, settings. */
const houseChain = 'house'

/** Words without values say nothing more; all others have exactly theirs. */
type Said<Word extends EventWord> = Word extends PlainWord ? { values?: undefined } : { values: EventValues<Word> }

/**
 * Leaves an audit event, in the transaction of what happened, as the next link of its file's chain, and has what rests on
 * it brought up to date before the commit.
 *
 * @param happening `words` where they are not those of its code; `values` what they need
 */
export function recordEvent<Code extends EventCode, Word extends EventWord = Extract<Code, EventWord>>(
  deps: Deps,
  actor: Actor,
  happening: About & { code: Code; words?: Word } & Said<Word>,
): Promise<void> {
  return keep(deps, actor, happening as About & { code: EventCode })
}

type Happening = About & { code: EventCode; words?: EventWord; values?: StoredValues }

async function keep(deps: Deps, actor: Actor, happening: Happening) {
  const { code, values, about, candidateId, applicationId, vacancyId, details } = happening
  await inTransaction(deps.sequelize, async () => {
    await addLink(deps.sequelize, candidateId ?? houseChain, linkOf(deps, actor, happening))
    await changed(deps, { code, actor, candidateId, applicationId, vacancyId, about, values, details })
  })
}

function linkOf(deps: Deps, actor: Actor, happening: Happening) {
  const { code, values, about, candidateId, applicationId, claimId, details } = happening
  const words = happening.words ?? (code as EventWord)
  return {
    id: uuid({ msecs: deps.clock.now().getTime() }),
    at: deps.clock.now(),
    actorId: actor.kind === 'account' ? (actor.by?.id ?? actor.id) : null,
    who: nameOfActor(actor),
    code,
    what: '',
    forCandidate: null,
    words,
    wordValues: values ?? {},
    // What the desk writes for somebody is theirs to read through, not something they did.
    shownToCandidate: concernsCandidate(words) && !(actor.kind === 'account' && actor.by),
    about: about ?? null,
    candidateId: candidateId ?? null,
    applicationId: applicationId ?? null,
    claimId: claimId ?? null,
    details: details ?? {},
  }
}

/** What happened to many by itself, as it is recorded by `recordManyQuietly`. */
export type ManyHappened = About & { code: EventCode; values: StoredValues }

/**
 * Leaves many events of what went on by itself. Nothing is brought up to date by it: whoever calls sees to what rests on them, as the
 * nightly pass does by computing every standing anew.
 */
export const recordManyQuietly = (deps: Deps, happened: readonly ManyHappened[]): Promise<void> =>
  addLinks(
    deps.sequelize,
    happened.map((one) => ({ chain: one.candidateId ?? houseChain, said: linkOf(deps, { kind: 'system' }, one) })),
  )
