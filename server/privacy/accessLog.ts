import { Op } from 'sequelize'
import { v7 as uuid } from 'uuid'
import { type HiddenKind, kindOfSubject, mayReveal } from '#core/privacy/hidden'
import { coded, isKnown, say, sayCoded } from '#core/words/say'
import { AccessLogEntry } from '../platform/audit/model'
import { recordEvent } from '../platform/audit/record'
import { inTransaction } from '../platform/database/connection'
import { rowOf, rowsOf } from '../platform/database/rows'
import type { Account, Deps } from '../platform/deps'
import { invalidField, notAllowed, notFound } from '../platform/errors/problems'
import { sentApplication } from '../records/applications/find'
import { shownNames } from '../records/people/shownNames'

const shownMinutes = 15
const page = 50

export const hiddenWords = (kind: HiddenKind): string => say(`hidden.${kind}`)

/** Has something hidden shown to somebody for a quarter of an hour. Leaves a link in the file's chain. */
export async function reveal(
  deps: Deps,
  actor: Account,
  applicationId: string,
  { subject, reason }: { subject: string; reason: string },
) {
  const application = await sentApplication(applicationId)
  const kind = kindOfSubject(subject)
  if (!kind) throw invalidField('/body/subject', say('problem.thereIsNothingHiddenBy'))
  if (!mayReveal(actor.rights, kind))
    throw notAllowed(coded('problem.yourRoleMayNotHave', { words: hiddenWords(kind) }))
  const at = deps.clock.now()
  await AccessLogEntry.create({
    id: uuid({ msecs: at.getTime() }),
    candidateId: application.candidateId,
    applicationId,
    actorId: actor.id,
    who: actor.name,
    subject,
    what: kind,
    reason: reason.trim(),
    at,
  })
  await recordEvent(deps, actor, {
    code: 'hidden-seen',
    words: `hidden-seen.${kind}`,
    values: { reason: reason.trim() },
    about: application.reference ?? undefined,
    candidateId: application.candidateId,
    applicationId,
    details: { subject },
  })
  return { until: new Date(at.getTime() + shownMinutes * 60_000).toISOString() }
}

/** The subjects that are shown to somebody at the moment. */
export async function shownTo(deps: Deps, actor: Account, candidateId: string): Promise<ReadonlySet<string>> {
  const since = new Date(deps.clock.now().getTime() - shownMinutes * 60_000)
  const sights = await rowsOf(AccessLogEntry, {
    actorId: actor.id,
    candidateId,
    at: { [Op.gt]: since },
    reason: { [Op.not]: null },
  })
  return new Set(sights.map(({ subject }) => subject))
}

/** Remembers that somebody has opened a file, or a paper in it; once a day for each, also when opened twice at once. */
export async function logAccess(
  deps: Deps,
  actor: Account,
  seen: { candidateId: string; applicationId: string | null; subject: string; what: string },
) {
  const at = deps.clock.now()
  const once = `${seen.candidateId} ${seen.subject} ${deps.clock.today()}`
  // Most looks are not the first of the day: reading is cheaper than trying to write.
  if (await rowOf(AccessLogEntry, { actorId: actor.id, once })) return
  await AccessLogEntry.bulkCreate(
    [{ id: uuid({ msecs: at.getTime() }), ...seen, actorId: actor.id, who: actor.name, reason: null, at, once }],
    { ignoreDuplicates: true },
  )
}

/** What was seen, by its kept name; what was written down in words before stands as it was. */
function accessWords(what: string): string {
  const code = `access.${what}`
  return isKnown(code) ? sayCoded({ code }) : what
}

/** Who saw what of a person, newest first. */
export async function readAccessLog(candidateId: string, before: string | undefined) {
  const name = (await shownNames([candidateId])).get(candidateId)
  if (name === undefined) throw notFound()
  const rows = await AccessLogEntry.findAll({
    where: { candidateId, ...(before ? { id: { [Op.lt]: before } } : {}) },
    order: [['id', 'DESC']],
    limit: page + 1,
  })
  return {
    name,
    entries: rows.slice(0, page).map(({ id, at, who, what, reason, subject }) => ({
      id,
      at: at.toISOString(),
      who,
      what: accessWords(what),
      reason,
      hidden: kindOfSubject(subject) !== undefined,
    })),
    next: rows.length > page ? rows[page - 1]!.id : null,
  }
}

/** A paper that is hidden from most roles was opened: by whom the work needs, or after it was asked for. */
export const recordPaperSight = (
  deps: Deps,
  actor: Account,
  { candidateId, claimId, kind }: { candidateId: string; claimId: string; kind: HiddenKind },
) =>
  inTransaction(deps.sequelize, () =>
    logAccess(deps, actor, {
      candidateId,
      applicationId: null,
      subject: `${kind} ${claimId} paper`,
      what: `paper ${kind}`,
    }),
  )
