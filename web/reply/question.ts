import type { Reply } from '#contract/endpoint'
import type { readEnquiry } from '#contract/reply'

export type Question = Reply<typeof readEnquiry>
export type { ReplyDone as Done } from '#contract/plainReply'
