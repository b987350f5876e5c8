import type { Attributes } from 'sequelize'
import { isLive, type Progress, stageOf, turnOf } from '#core/enquiries/enquiry'
import type { StoredText } from '#core/words/stored'
import type { Enquiry } from './model'

type Values = Attributes<Enquiry>
type Looked = Pick<
  Values,
  | 'state'
  | 'channel'
  | 'toPrint'
  | 'openedAt'
  | 'forwardedAt'
  | 'draft'
  | 'reminders'
  | 'escalations'
  | 'paper'
  | 'claimId'
  | 'lacks'
  | 'dueOn'
>

export const progressOf = (enquiry: Looked): Progress => ({
  state: enquiry.state,
  channel: enquiry.channel,
  toPrint: Boolean(enquiry.toPrint),
  opened: Boolean(enquiry.openedAt),
  partly: Boolean(enquiry.draft),
  forwarded: Boolean(enquiry.forwardedAt),
  reminders: enquiry.reminders ?? 0,
  escalations: enquiry.escalations ?? 0,
  paper: Boolean(enquiry.paper),
})

export const enquiryStage = (enquiry: Looked) => stageOf(progressOf(enquiry))

/** What is missing that only its candidate can give. */
const ofCandidate: ReadonlySet<string> = new Set([
  'enquiry.obstacle.notSigned',
  'enquiry.obstacle.askedFirst',
  'enquiry.obstacle.noPaper',
  'enquiry.obstacle.notPaid',
])
export const lacksCandidate = (lacks: readonly Pick<StoredText, 'code'>[] | null | undefined): boolean =>
  (lacks ?? []).some(({ code }) => ofCandidate.has(code))

/**
 * Changes of an enquiry with what follows from them: whose turn it is, whether it holds its claim, and that nothing is due once it
 * has ended. Nobody writes these by hand, so that they never say something else than the rest.
 */
export function withStanding<C extends Partial<Values>>(before: Looked | Enquiry, changes: C): C & Partial<Values> {
  // A row of Sequelize bears its columns as accessors, which a spread leaves behind.
  const values: Looked = 'dataValues' in before ? (before as Enquiry).get() : before
  const next = { ...values, ...changes }
  const live = isLive(next)
  return {
    ...changes,
    turn: turnOf(progressOf(next), lacksCandidate(next.lacks)) ?? null,
    activeKey: live ? next.claimId : null,
    dueOn: next.state === 'open' ? (next.dueOn ?? null) : null,
    ...(live ? {} : { toPrint: null, draft: next.state === 'answered' ? (next.draft ?? null) : null }),
  }
}
