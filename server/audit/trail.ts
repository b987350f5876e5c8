import { Op, type WhereOptions } from 'sequelize'
import { covered, coverIn } from '#core/privacy/hidden'
import { keysHolding } from '#core/words/say'
import { Event } from '../platform/audit/model'
import { eventWords } from '../platform/audit/wording'
import { candidateNames, filesOfAccounts } from '../records/accounts/candidate'
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

/** Names that a vacancy hides until its shortlist are not told here either, nor the mail addresses beside them. */
async function withoutHiddenNames(events: readonly Event[]) {
  const files = await filesOfAccounts(events.flatMap(({ actorId }) => actorId ?? []))
  const fileOf = ({ candidateId, actorId }: Event) => candidateId ?? files.get(actorId ?? '') ?? ''
  const hiding = await namesHiddenIn([...new Set(events.map(fileOf))])
  const names = await candidateNames([...hiding.keys()])
  return events.map((event) => {
    const { id, at, applicationId, who, about } = event
    const what = eventWords(event)
    const standing = hiding.get(fileOf(event))
    if (!standing) return { id, at, applicationId, who, what, about }
    const { reference } = standing
    const candidate = names.get(standing.candidateId ?? '') ?? ''
    const told = coverIn({ who, what, about }, new Set(), [candidate, ...candidate.split(/\s+/)])
    return {
      id,
      at,
      applicationId,
      who: who === candidate ? (reference ?? told.who) : told.who,
      what: told.what,
      about: told.about?.includes('@') ? covered(told.about) : told.about,
    }
  })
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
