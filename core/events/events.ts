/**
 * What an event makes out of date, beside what the use case itself wrote:
 * - `keys`: by what a person is found
 * - `identity`: the same, and with whom they are compared, if that is something else now
 * - `file`: the summaries of all applications of the candidate, since they share one file
 * - `application`: the summary of the one application
 * - `ended`: what is still asked on the application's behalf, of sources and of people who vouch
 * - `score sheet`: the summaries of the vacancy's applications that are still to be decided on
 * - `who waits`: the summaries of the vacancy's applications that wait to hear whether they are chosen
 * - `sources`: which sources candidates propose, since they name one that nobody knows
 * - `awards`: whether records confirm what somebody has studied
 * - `deciders`: nothing; whoever is to decide what was declared is told by mail
 * - `undelivered`: the questions to a source that a mail carried and that are asked by another way
 * - `charges`: what the application is charged by its rules
 * - `fee waived`: what is owed for what was waived
 * - `vacancy title`: the copies of the title in summaries
 * - `told`: nothing; the candidate is told of it by mail
 * - `owner told`: nothing; the owner of the account is told of it by mail
 */
export type Effect =
  | 'keys'
  | 'identity'
  | 'file'
  | 'application'
  | 'ended'
  | 'score sheet'
  | 'who waits'
  | 'deciders'
  | 'sources'
  | 'awards'
  | 'undelivered'
  | 'charges'
  | 'fee waived'
  | 'vacancy title'
  | 'told'
  | 'owner told'

const nothing = [] as const

/** Every event there is, by its code, with its effects. Whoever adds one says here what rests on it. */
export const events = {
  // Accounts
  'account-made': nothing,
  'address-confirmed': nothing,
  'mail-changed': ['owner told'],
  'password-changed': ['owner told'],
  'password-reset': ['owner told'],
  'codes-on': ['owner told'],
  'codes-off': ['owner told'],

  'notices-chosen': nothing,
  'phone-confirmed': nothing,
  'phone-removed': nothing,
  'general-mail-refused': nothing,

  // Who works here, and whose house it is
  'colleague-invited': nothing,
  'colleague-came': nothing,
  'provider-joined': nothing,
  'break-glass-used': nothing,
  'break-glass-changed': nothing,
  'administrator-made': nothing,
  'colleague-changed': nothing,
  'colleague-suspended': nothing,
  'colleague-restored': nothing,
  'colleague-signed-out': nothing,
  'invitation-removed': nothing,
  'absence-set': nothing,
  'absence-ended': nothing,
  'team-saved': nothing,
  'team-removed': nothing,
  'rights-changed': nothing,
  'policy-changed': nothing,
  'organisation-changed': nothing,
  'catalogue-changed': nothing,
  'logo-changed': nothing,
  'permission-text-changed': nothing,
  'source-entered': nothing,
  'source-changed': nothing,
  'source-checked': nothing,
  'source-retired': nothing,
  'source-proposed': ['file'],
  'claim-source-known': ['file', 'sources'],
  'sources-merged': nothing,
  'source-merge-undone': nothing,
  'awards-taken-in': nothing,
  'award-taken-out': nothing,
  'programme-research-opened': nothing,
  'programme-research-taken': nothing,
  'programme-research-concluded': nothing,
  'programme-research-read': nothing,
  'sources-apart': nothing,
  'sources-imported': nothing,
  'watchlist-changed': nothing,
  'job-retried': nothing,
  'file-taken': nothing,
  'file-handed-over': nothing,
  'file-left': nothing,

  // Applying
  'application-begun': nothing,
  'taken-over': nothing,
  'draft-deleted': nothing,
  'application-sent': ['identity', 'application', 'told', 'deciders', 'sources', 'awards', 'charges'],
  'contact-corrected': nothing,
  'answers-changed': ['identity', 'application'],
  'part-reopened': ['application', 'told'],
  'part-changed': ['application', 'deciders'],
  'part-called-off': ['application'],
  'change-seen': ['application'],
  'permission-signed': ['application'],
  'permission-withdrawn': ['application'],
  withdrawn: ['ended', 'application'],
  'begun-on-behalf': ['identity'],
  'asked-to-take-over': nothing,
  'behalf-set-aside': nothing,
  'voucher-named': ['application'],
  'voucher-called-off': ['application'],
  vouched: ['application'],

  // Claims and papers
  'claim-added': ['identity', 'file', 'sources'],
  'claim-changed': ['identity', 'file', 'sources'],
  'claim-asking-set': ['file'],
  'handling-chosen': ['file'],
  'award-stated': ['file', 'awards'],
  'claim-known': ['file'],
  'award-not-found': nothing,
  'claim-removed': ['identity', 'file'],
  'credential-renewed': ['identity', 'file'],
  'document-added': ['file'],
  'document-removed': ['file'],
  'document-seen': ['file'],
  'document-unseen': ['file'],
  'portrait-compared': ['file'],
  'document-sent-back': ['file', 'told'],
  'source-asks-more': ['file', 'told'],
  'document-discarded': ['file', 'told'],
  'final-paper-due': ['file', 'told'],
  'final-paper-missed': ['file', 'told'],
  'original-announced': nothing,
  'original-called-off': nothing,
  'original-received': ['told'],
  'original-moved': nothing,
  'original-same': nothing,
  'original-differs': nothing,
  'original-returned': ['told'],
  'paper-filed': ['file'],
  'paper-thrown-away': nothing,
  'cover-sheets-printed': nothing,
  'cover-sheet-not-right': ['told'],
  'paper-posted': ['file'],
  'posted-paper-missed': ['file', 'told'],

  // Verification
  'enquiry-raised': ['file'],
  'source-reminded': ['file'],
  'enquiry-answered': ['file'],
  'enquiry-prepared': ['file'],
  'credential-confirmed': ['file'],
  'credential-kept': ['file'],
  'credential-refused': nothing,
  'enquiry-escalated': ['file'],
  'enquiry-silent': ['file'],
  'enquiry-declined': ['file'],
  'enquiry-forwarded': nothing,
  'enquiry-paper-came': ['file'],
  'enquiry-cost-approved': nothing,
  'enquiry-expired': ['file'],
  'enquiry-called-off': ['file'],
  'register-asked': ['file'],
  'flag-raised': nothing,
  'flag-settled': nothing,
  'flag-kind-switched': nothing,
  'claim-decided': ['file'],
  'decision-undone': ['file'],
  'decision-proposed': ['file'],
  'decision-disputed': ['file'],
  'candidate-heard': ['file', 'told'],
  'hearing-answered': ['file'],
  'candidate-asked': nothing,

  // Reports
  'report-made': nothing,
  'report-revoked': nothing,
  'recipient-permitted': nothing,
  'recipient-permission-withdrawn': nothing,
  'record-opened': nothing,
  'signing-key-changed': nothing,

  // Skills checks and scores
  'check-begun': ['application'],
  'check-marked': ['application'],
  'resit-allowed': ['application', 'told'],
  'score-handed-in': ['application'],
  'score-sheet-saved': ['score sheet'],

  // Hiring
  waived: ['application', 'fee waived'],
  'matter-voted': ['application'],
  'matter-decided': ['application', 'told'],
  'matter-asked-back': nothing,
  'gate-send': ['application'],
  'gate-shortlist': ['application', 'told'],
  'gate-offer': ['application', 'told'],
  'gate-start': ['application', 'told'],
  'offer-accepted': ['application'],
  'offer-declined': ['ended', 'application'],
  'offer-extended': ['application', 'told'],
  'offer-withdrawn': ['application', 'told'],
  'offer-expired': ['application', 'told'],
  'start-changed': ['application', 'told'],
  'decision-day-told': ['application'],
  'decision-day-moved': ['application', 'told'],
  'decision-late': ['application', 'told'],
  'turned-down': ['ended', 'application'],
  'taken-up-again': ['application'],
  'set-aside': ['application'],
  'time-extended': ['application'],
  'task-done': ['application'],
  'fee-charged': ['application', 'told'],
  'fee-received': ['application', 'told'],
  'fee-refunded': ['application', 'told'],
  'fee-waived': ['application', 'told'],
  'fee-corrected': ['application', 'told'],
  'payer-asked': ['application'],
  'payer-withdrawn': ['application'],
  'payer-accepted': ['application', 'told'],
  'payer-declined': ['application', 'told'],
  'payer-lapsed': ['application', 'told'],
  'payer-returned': ['application', 'told'],
  'day-closed': nothing,
  'day-settled': nothing,
  'bookkeeping-changed': nothing,
  'bookkeeping-exported': nothing,
  'employer-added': nothing,
  'employer-changed': nothing,
  'employer-person-invited': nothing,
  'employer-person-came': nothing,
  'employer-person-removed': nothing,
  'vouchers-made': nothing,
  'statement-read': nothing,
  'voucher-withdrawn': nothing,
  'moved-to-rules': ['application', 'told', 'charges'],

  // Messages
  'message-written': nothing,
  'desk-asked': ['application'],
  'desk-answered': ['application'],
  'conversation-closed': ['application'],
  'conversation-reopened': ['application'],
  'mail-received': ['application'],
  'mail-settled': ['application'],
  'mail-filed': ['application'],
  'mail-again': ['application'],
  'mail-let-be': ['application'],
  'mail-refused': ['file', 'application', 'undelivered'],
  'template-saved': nothing,
  'template-removed': nothing,
  'source-text-saved': nothing,
  'source-text-reset': nothing,
  'sentences-saved': nothing,

  // Vacancies and rules
  'vacancy-created': nothing,
  'vacancy-changed': ['vacancy title'],
  'decision-day-set': nothing,
  'vacancy-draft': nothing,
  'vacancy-open': ['who waits'],
  'vacancy-closed': ['who waits'],
  'vacancy-filled': ['who waits'],
  'intake-saved': nothing,
  'section-saved': nothing,
  'rules-published': nothing,
  'dry-run-started': nothing,

  // Files of people
  'people-imported': nothing,
  'person-imported': ['keys', 'file'],
  'import-undone': ['keys', 'file'],
  'files-merged': ['keys', 'file'],
  'merge-undone': ['keys', 'file'],
  'doubles-apart': ['file'],
  'double-found': ['file'],
  'file-sealed': ['file'],
  'file-erased': nothing,
  'hidden-seen': nothing,
  'list-exported': nothing,
} as const satisfies Record<string, readonly Effect[]>

export type EventCode = keyof typeof events
/** The events with a certain effect. */
export type CodeWith<Sought extends Effect> = {
  [Code in EventCode]: Sought extends (typeof events)[Code][number] ? Code : never
}[EventCode]

export const effectsOf = (code: EventCode): readonly Effect[] => events[code]
