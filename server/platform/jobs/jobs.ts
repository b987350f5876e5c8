import type { Language } from '#core/words/say'

/** Every kind of job, with what it is given. Who does it, and in which lane, stands in `server/worker.ts`. */
export type Jobs = {
  mail: { messageId: string }
  text: { messageId: string }
  /** Asks the gateway what became of a text message it has taken. */
  'text delivery': { messageId: string }
  'sign up': {
    name: string
    mail: string
    passwordHash: string
    next: string | null
    browserHash: string
    language: Language
  }
  reset: { mail: string }
  /** Tells everybody who waits of a promised day of decision. */
  'decision day': { vacancyId: string; before: string | null; day: string; reason: string }
  /** Looks for records of the awards of an application. */
  'known awards': { applicationId: string }
  /** Asks a register for an enquiry that waits for it. */
  'look up': { enquiryId: string }
  /** Sends what was prepared about somebody and misses nothing any more. */
  'prepared enquiries': { candidateId: string }
  /** Asks the payment provider about a payment it has told nothing of. */
  'follow payment': { paymentId: string }
  /** Has the provider give something back. */
  refund: { refundId: string }
  daily: Record<never, never>
  summaries: { day: string; after?: string; because?: string }
  'dry run': { dryRunId: string }
  /** Reads a paper by machine. */
  'read paper': { sha256: string; mediaType: string }
  /** Looks for red flags in a file. */
  'red flags': { candidateId: string }
  'read scan': { scanId: string }
  import: { importId: string }
  'compare imported': { importId: string; after?: string }
}

export type JobKind = keyof Jobs
