import { Op, type WhereOptions } from 'sequelize'
import { Event } from './model'

const page = 50

/** Everything that was done about a candidate and one of their applications, newest first. */
export async function trailOf(about: { candidateIds: string[]; applicationId: string }, most = 60): Promise<Event[]> {
  const where = {
    candidateId: about.candidateIds,
    [Op.or]: [{ applicationId: about.applicationId }, { applicationId: null }],
  }
  return Event.findAll({ where: where as WhereOptions, order: [['id', 'DESC']], limit: most })
}

/** The whole trail a page at a time, newest first. */
export async function readTrail(input: { before?: string; text?: string }) {
  const like = input.text && `%${input.text.replace(/[\\%_]/g, '\\$&')}%`
  const where = {
    ...(input.before ? { id: { [Op.lt]: input.before } } : {}),
    ...(like
      ? { [Op.or]: [{ what: { [Op.like]: like } }, { who: { [Op.like]: like } }, { about: { [Op.like]: like } }] }
      : {}),
  }
  const events = await Event.findAll({ where: where as WhereOptions, order: [['id', 'DESC']], limit: page + 1 })
  return {
    events: events.slice(0, page).map(({ id, at, who, what, about, applicationId }) => ({
      id,
      at: at.toISOString(),
      who,
      what,
      about,
      applicationId,
    })),
    next: events.length > page ? events[page - 1]!.id : null,
  }
}
