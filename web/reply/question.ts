import type { Reply } from '#contract/endpoint'
import type { readEnquiry } from '#contract/reply'

export type Question = Reply<typeof readEnquiry>

/** What is shown once something is done: an answer with its receipt, or that it was passed on. */
export type Done = { receivedAt: string; receipt: string; declined?: boolean } | { passedOn: 'sent' | 'to check' }
