import type { Static } from '@sinclair/typebox'
import type { SourceLanguage } from '#core/words/say'
import type { Fault } from './faults'
import type { DraftReply, EnquiryReply, Question as QuestionShape } from './reply'

type Question = Static<typeof QuestionShape>

/** What was written into a form, by the names of its fields. */
export type Written = Readonly<Record<string, string>>

/** What is shown once something is done: an answer with its receipt, or that it was passed on. */
export type ReplyDone = { receivedAt: string; receipt: string; declined?: boolean } | { passedOn: 'sent' | 'to check' }

/** The page of a reply without script, as it is to be shown. */
export type PlainView = { language: SourceLanguage; address: string } & (
  | {
      shows: 'question'
      question: Question
      /** Nobody else can make it: without it a form is not taken. */
      formValue: string
      /** What was written before, where the form comes back. */
      written?: Written
      /** Whether it was to be sent, so that what is missing is told. */
      tried?: boolean
      kept?: boolean
      problem?: { title: string; detail?: string; faults?: Fault[] }
    }
  | { shows: 'over'; question: Question }
  | { shows: 'done'; done: ReplyDone; receiptAddress: string; next?: string }
  | { shows: 'nowhere'; problem?: { title: string } }
)

/** The program that is built from the page with script, and that the server loads: it renders the page, and reads its form. */
export type PlainReply = {
  render: (view: PlainView) => { title: string; body: string }
  /** @returns what was written as a draft and as an answer, and whether nothing that is needed is missing */
  read: (question: Question, written: Written) => { draft: DraftReply; reply: EnquiryReply; ready: boolean }
}
