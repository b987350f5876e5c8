import { Op, type WhereOptions } from 'sequelize'
import { keysHolding } from '#core/words/say'
import { Event } from '../platform/audit/model'
import { eventWords, namelessEventWords } from '../platform/audit/wording'
import { nameOfActor } from '../platform/deps'
import { filesOfAccounts } from '../records/accounts/candidate'
import { namesHiddenIn } from '../records/people/shownNames'

const page = 50

/** Everything that was done about a candidate and one of their applications, newest first. */
export async function trailOf(about: { candidateIds: string[]; applicationId: string }, most = 60): Promise<Event[]> {
  const where = {
    candidateId: about.candidateIds,
    [Op.or]: [{ applicationId: about.applicationId }, { applicationId: null }],
  }
  return Event.findAll({ where: where as WhereOptions, order: [['id', 'DESC']], limit: most })
}

/**
 * What is told of events; of people whose names a vacancy hides until its shortlist only what was done by whom at the desk,
 * not what anybody wrote or what it was about.
 */
async function withoutHiddenNames(events: readonly Event[]) {
  const files = await filesOfAccounts(events.flatMap(({ actorId }) => actorId ?? []))
  const fileOf = ({ candidateId, actorId }: Event) => candidateId ?? files.get(actorId ?? '') ?? ''
  const hiding = await namesHiddenIn([...new Set(events.map(fileOf))])
  return events.map((event) => {
    const { id, at, applicationId, who, about, actorId } = event
    const standing = hiding.get(fileOf(event))
    if (!standing) return { id, at, applicationId, who, what: eventWords(event), about }
    const reference = standing.reference ?? ''
    return {
      id,
      at,
      applicationId,
      who: whoNameless(event, files.has(actorId ?? ''), reference),
      what: namelessEventWords(event),
      about: about === reference ? about : null,
    }
  })
}

/** Who did it: colleagues by their names, the candidate by the reference; who acted by a link may be known by theirs. */
function whoNameless({ who, actorId }: Event, isCandidate: boolean, reference: string): string {
  if (isCandidate) return reference
  return actorId !== null || who === nameOfActor({ kind: 'system' }) ? who : '…'
}

/** The whole trail a page at a time, newest first. */
export async function readTrail(input: { before?: string; text?: string }) {
  const where = {
    ...(input.before ? { id: { [Op.lt]: input.before } } : {}),
    ...(input.text ? { [Op.and]: input.text.trim().split(/\s+/).map(holding) } : {}),
  }
  const events = await Event.findAll({ where: where as WhereOptions, order: [['id', 'DESC']], limit: page + 1 })
  // What is hidden is not searched either: that a word was found would tell it.
  const wanted = input.text?.toLowerCase()
  const shown = (await withoutHiddenNames(events.slice(0, page))).filter(
    ({ what, who, about }) => !wanted || [what, who, about].some((told) => told?.toLowerCase().includes(wanted)),
  )
  return {
    events: shown.map((event) => ({ ...event, at: event.at.toISOString() })),
    next: events.length > page ? events[page - 1]!.id : null,
  }
}

/** What is kept of an event is codes and values: a word stands in either, or in whom and what it is about. */
function holding(word: string) {
  const like = { [Op.like]: `%${word.replace(/[\\%_]/g, '\\$&')}%` }
  const words = keysHolding('event.', word).map((key) => key.slice('event.'.length).replace(/_(one|other)$/, ''))
  return { [Op.or]: [{ what: like }, { who: like }, { about: like }, { wordValues: like }, { words }] }
}
