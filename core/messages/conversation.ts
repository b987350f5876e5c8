/** What a question to the desk is about; whatever it is of is told apart by a key of its own. */
export const conversationSubjects = ['nothing', 'claim', 'task', 'fee', 'matter'] as const
export type ConversationSubject = (typeof conversationSubjects)[number]

/** A question waits until it is answered; answered or closed, it waits again when somebody writes in it. */
export const conversationStates = ['waiting', 'answered', 'closed'] as const
export type ConversationState = (typeof conversationStates)[number]

/** So many working days the desk has for an answer. */
export const answerWorkingDays = 2
