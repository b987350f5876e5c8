import { isLive } from '#core/enquiries/enquiry'
import type { Deps } from '../platform/deps'
import { notFound } from '../platform/errors/problems'
import { hashOf } from '../platform/http/tokens'
import { Enquiry, EnquiryLink } from '../records/enquiries/model'
import { problems } from './problems'

/** What a link opens: the questions of its letter, or the one that was passed on by it. */
export type Behind = { link: EnquiryLink; questions: Enquiry[] }

/**
 * The questions of a link; none where they were erased with the files of their people. A link that the desk has not let go opens
 * nothing.
 *
 * @throws Problem 404 for a link of nobody's
 */
export async function behindLink(token: string): Promise<Behind> {
  const link = await EnquiryLink.findByPk(hashOf(token))
  if (link?.state !== 'open') throw notFound()
  const where = link.onlyEnquiryId ? { id: link.onlyEnquiryId } : { batchId: link.batchId }
  return { link, questions: await Enquiry.findAll({ where, order: ['id'] }) }
}

/** One of the questions: the one that is named, else the first that is open, else the last. */
export async function questionBehind(deps: Deps, token: string, part?: string) {
  const { link, questions } = await behindLink(token)
  if (part && questions.length > 0 && !questions.some(({ id }) => id === part)) throw notFound()
  const question =
    questions.find(({ id }) => id === part) ??
    questions.find((one) => stateFor(deps, one) === 'open') ??
    questions.at(-1)
  return { link, questions, question }
}

/** How a question stands for whoever was sent it. */
export function stateFor(deps: Deps, enquiry: Pick<Enquiry, 'state' | 'expiresAt'>) {
  const { state, expiresAt } = enquiry
  if (state === 'prepared') return 'withdrawn' as const
  if (state === 'silent') return 'expired' as const
  return isLive(enquiry) && expiresAt < deps.clock.now()
    ? ('expired' as const)
    : (state as Exclude<typeof state, 'prepared' | 'silent'>)
}

/** The question to be answered, while it is open. */
export async function openBehind(deps: Deps, token: string, part?: string) {
  const { link, question } = await questionBehind(deps, token, part)
  const state = question ? stateFor(deps, question) : 'withdrawn'
  if (!question || state === 'withdrawn') throw problems.calledOff()
  if (state === 'answered' || state === 'declined') throw problems.answered()
  if (state !== 'open') throw problems.expired()
  return { link, question }
}
