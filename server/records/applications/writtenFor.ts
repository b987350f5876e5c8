import type { WhereOptions } from 'sequelize'
import { isSent } from '#core/hiring/stages'
import type { Account as Actor } from '../../platform/deps'
import { notFound } from '../../platform/errors/problems'
import { accountOfCandidate, candidateById } from '../accounts/candidate'
import { actorOf } from '../accounts/model'
import { sentApplication } from './find'
import { Application, type OnBehalf } from './model'

/** Applications that the desk writes for people who wrote on paper or rang: whose they are, and who may write in them. */

/** Who wrote an application down for its candidate, until it is sent. */
export async function behalfOf({ onBehalf, candidateId, stage }: Application) {
  if (!onBehalf || isSent({ stage })) return null
  const { how, by, at } = onBehalf
  return { how, by, at, person: (await candidateById(candidateId))?.name ?? '' }
}

/** What sending changes of it: whoever sends has taken it over. */
export const confirmedNow = ({ onBehalf }: Application, now: Date): { onBehalf?: OnBehalf } =>
  onBehalf && !onBehalf.confirmedAt ? { onBehalf: { ...onBehalf, confirmedAt: now.toISOString() } } : {}

/**
 * The person for whom somebody of the desk writes: the candidate of an application begun for them, as long as they have
 * no account of their own. Undefined where there is none, or the caller may not.
 */
export async function personWrittenFor(writer: Actor | undefined, applicationId: string): Promise<Actor | undefined> {
  if (!writer?.rights.includes('people.write-for')) return undefined
  const application = await Application.findByPk(applicationId)
  if (!application?.onBehalf || isSent(application)) return undefined
  const account = await accountOfCandidate(application.candidateId)
  if (account.confirmedAt) return undefined
  return { ...actorOf(account), by: { id: writer.id, name: writer.name } }
}

/** Whether its candidate can go on with it by themselves: they have an account. */
export const isTheirs = async ({ onBehalf, candidateId }: Application): Promise<boolean> =>
  !onBehalf || (await accountOfCandidate(candidateId)).confirmedAt !== null

/** The applications of candidates that the desk still writes for them. */
export async function writtenFor(candidateIds: readonly string[]): Promise<Application[]> {
  const where = { candidateId: [...candidateIds], stage: 'being written', begunHere: true } as WhereOptions
  const begun = await Application.findAll({ where, order: ['createdAt', 'id'] })
  const theirs = await Promise.all(begun.map(isTheirs))
  return begun.filter((_, nth) => !theirs[nth])
}

/**
 * An application the desk takes papers for: one that was sent, or one it still writes for somebody. A cover sheet finds its place
 * in one that its candidate writes as well. Throws not-found for others.
 */
export async function applicationForPapers(id: string, { bySheet = false } = {}): Promise<Application> {
  const application = await Application.findByPk(id)
  if (!application || isSent(application)) return sentApplication(id)
  if (!bySheet && (!application.onBehalf || (await isTheirs(application)))) throw notFound()
  return application
}
