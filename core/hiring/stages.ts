import type { Gate } from '../requirements/requirement'

/** Where an application stands. */
export const stages = [
  'being written',
  'sent',
  'shortlisted',
  'offered',
  'cleared',
  'withdrawn',
  'declined',
  'turned down',
  'set aside',
] as const
export type Stage = (typeof stages)[number]

type Standing = {
  /** Being written by the candidate; worked on by the desk; cleared to start; ended without that. */
  phase: 'draft' | 'active' | 'cleared' | 'ended'
  /** The gate it stands before. */
  nextGate: Gate | null
  /** It is still to be decided whether they are put on the shortlist: scores come in, and names may be hidden. */
  undecided?: true
}

const standings: Record<Stage, Standing> = {
  'being written': { phase: 'draft', nextGate: 'send' },
  sent: { phase: 'active', nextGate: 'shortlist', undecided: true },
  shortlisted: { phase: 'active', nextGate: 'offer' },
  offered: { phase: 'active', nextGate: 'start' },
  cleared: { phase: 'cleared', nextGate: null },
  withdrawn: { phase: 'ended', nextGate: null },
  declined: { phase: 'ended', nextGate: null },
  'turned down': { phase: 'ended', nextGate: null },
  /** Not finished in its time; taken up again by its candidate, or once it is paid. */
  'set aside': { phase: 'ended', nextGate: null },
}

/** Every way from one stage to another. What is not here does not happen. */
const transitions = {
  send: { from: ['being written'], to: 'sent' },
  shortlist: { from: ['sent'], to: 'shortlisted' },
  offer: { from: ['shortlisted'], to: 'offered' },
  start: { from: ['offered'], to: 'cleared' },
  decline: { from: ['offered'], to: 'declined' },
  'withdraw offer': { from: ['offered'], to: 'shortlisted' },
  'turn down': { from: ['sent', 'shortlisted'], to: 'turned down' },
  'set aside': { from: ['sent', 'shortlisted'], to: 'set aside' },
  'take up again, sent': { from: ['turned down', 'set aside'], to: 'sent' },
  'take up again, shortlisted': { from: ['turned down', 'set aside'], to: 'shortlisted' },
  withdraw: { from: ['sent', 'shortlisted', 'offered', 'set aside'], to: 'withdrawn' },
  'begin again': { from: ['withdrawn'], to: 'being written' },
} as const satisfies Record<Gate | string, { from: readonly Stage[]; to: Stage }>
export type Transition = keyof typeof transitions

/** Anything that has a stage: an application, or a line about one. */
type Staged = { stage: Stage }

export const isDraft = ({ stage }: Staged): boolean => standings[stage].phase === 'draft'
/** Whether it has been sent, whatever became of it. */
export const isSent = (application: Staged): boolean => !isDraft(application)
/** Whether the desk still works on it. */
export const isActive = ({ stage }: Staged): boolean => standings[stage].phase === 'active'
/** Whether it has ended without anybody being hired. */
export const hasEnded = ({ stage }: Staged): boolean => standings[stage].phase === 'ended'
export const isCleared = ({ stage }: Staged): boolean => standings[stage].phase === 'cleared'
export const isWithdrawn = ({ stage }: Staged): boolean => stage === 'withdrawn'
export const isUndecided = ({ stage }: Staged): boolean => standings[stage].undecided === true
export const nextGateOf = ({ stage }: Staged): Gate | null => standings[stage].nextGate

/** Whether no offer has been made yet. */
export const isBeforeOffer = ({ stage }: Staged): boolean =>
  ['shortlist', 'offer'].includes(standings[stage].nextGate ?? '')

/** The stages in which somebody waits to hear whether they are chosen, for a question to the database. */
export const waitingStages = stages.filter((stage) => isBeforeOffer({ stage }))

/** The stages the desk works on, for a question to the database. */
export const activeStages = stages.filter((stage) => isActive({ stage }))

/** Whether an application may go that way from where it stands. */
export const mayGo = (transition: Transition, { stage }: Staged): boolean =>
  (transitions[transition].from as readonly Stage[]).includes(stage)

/** Where a way leads. */
export const stageAfter = (transition: Transition): Stage => transitions[transition].to
