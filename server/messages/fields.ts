import { say } from '#core/words/say'

/** What a message may hold of a person, by the field's name. */
export const messageFields = ['name', 'givenName', 'vacancy', 'place', 'reference', 'start', 'link', 'contact'] as const
export type MessageField = (typeof messageFields)[number]

/** What a field is filled with, for whoever writes a message. */
export const fieldWords = (field: MessageField): string => say(`messages.field.${field}`)
