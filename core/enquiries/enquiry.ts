/** Where an enquiry stands. Only one that is prepared or open goes on. */
export const enquiryStates = [
  /** It goes out by itself once nothing is missing. */
  'prepared',
  'open',
  'answered',
  /** The source says that it will not answer, and why. */
  'declined',
  /** Everything that could be tried was tried. */
  'silent',
  /** Called off: nobody needs the answer any more. */
  'withdrawn',
] as const
export type EnquiryState = (typeof enquiryStates)[number]

export const isLive = ({ state }: { state: EnquiryState }): boolean => state === 'prepared' || state === 'open'

/** What happens to an enquiry, each kept with its moment. */
export const enquirySteps = [
  'prepared',
  'asked',
  'printed',
  'called',
  'opened',
  'partly answered',
  'forwarded',
  'reminded',
  'escalated',
  'not delivered',
  'no answer',
  'paper came',
  'answered',
  'declined',
  'silent',
  'withdrawn',
] as const
export type EnquiryStep = (typeof enquirySteps)[number]

/** Whose turn it is with a live enquiry. */
export const turns = ['desk', 'source', 'candidate'] as const
export type Turn = (typeof turns)[number]

/** How an open enquiry got as far as it is, for a queue that says it in a word. */
export const stages = [
  'prepared',
  'to print',
  'to call',
  'asked',
  'opened',
  'partly answered',
  'forwarded',
  'reminded',
  'escalated',
  'paper came',
] as const
export type EnquiryStage = (typeof stages)[number]

/** What is looked at of an enquiry to say how far it is. */
export type Progress = {
  state: EnquiryState
  channel: string
  /** A letter, or a reminder of one, that waits for the printer. */
  toPrint: boolean
  opened: boolean
  partly: boolean
  forwarded: boolean
  reminders: number
  escalations: number
  /** A paper came that somebody has to read. */
  paper: boolean
}

/**
 * How far a live enquiry is: the furthest counts. What only a person can do (print, call, read a paper) goes before what the
 * source has done.
 */
export function stageOf(of: Progress): EnquiryStage {
  if (of.state === 'prepared') return 'prepared'
  if (of.paper) return 'paper came'
  if (of.toPrint) return 'to print'
  if (of.channel === 'telephone') return 'to call'
  if (of.partly) return 'partly answered'
  if (of.forwarded) return 'forwarded'
  if (of.opened) return 'opened'
  if (of.reminders > 0) return 'reminded'
  return of.escalations > 0 ? 'escalated' : 'asked'
}

/**
 * Whose turn it is with an enquiry; one that is prepared waits for whoever has to give what is missing, and how one ends is
 * looked at by the desk until it has decided.
 */
export function turnOf(of: Progress, candidateToGive: boolean): Turn | undefined {
  if (of.state === 'prepared') return candidateToGive ? 'candidate' : 'desk'
  if (of.state === 'withdrawn') return undefined
  if (of.state !== 'open') return 'desk'
  const stage = stageOf(of)
  return stage === 'paper came' || stage === 'to print' || stage === 'to call' ? 'desk' : 'source'
}

/** Why a source says that it will not answer. */
export const declineReasons = ['not ours', 'not allowed', 'no records', 'own way only', 'fee', 'other'] as const
export type DeclineReason = (typeof declineReasons)[number]

/** What is kept of a step beyond its moment. */
export type StepDetails = {
  /** Whom it went to, as it was then. */
  to?: string
  /** The address an answer came from. */
  from?: string
  /** Who was spoken to, and how it was made sure that it was them. */
  spoke?: string
  sure?: CallCheck
  note?: string
}

/** How it was made sure who is at the other end of a call; the number is the directory's own in any case. */
export const callChecks = ['called back through the switchboard', 'own number of the directory', 'known voice'] as const
export type CallCheck = (typeof callChecks)[number]
