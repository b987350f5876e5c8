import type { Reply } from '#contract/endpoint'
import type { readEnquiryAtDesk } from '#contract/enquiries'

/** One enquiry as the desk reads it. */
export type AtDesk = Reply<typeof readEnquiryAtDesk>
