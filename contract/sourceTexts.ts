import { Type } from '@sinclair/typebox'
import { sourceTextNames } from '#core/enquiries/texts'
import { sourceLanguages } from '#core/words/say'
import { endpoint } from './endpoint'
import { Done, Moment, oneOf, orNull, Version } from './shapes'

const byName = Type.Object({ name: oneOf(sourceTextNames), language: oneOf(sourceLanguages) })

/** What sources are written, each text in each of their languages. */
export const listSourceTexts = endpoint({
  method: 'GET',
  path: '/api/desk/source-texts',
  summary:
    'What sources are written: each text in four languages, as the house has it or as it is where nobody has written one',
  access: 'messages.send',
  reply: Type.Array(
    Type.Object({
      name: oneOf(sourceTextNames),
      language: oneOf(sourceLanguages),
      subject: Type.String(),
      text: Type.String(),
      version: Version,
      own: orNull(Type.Object({ savedBy: Type.String(), savedAt: Moment })),
    }),
  ),
  invalidates: ['settings'],
})

export const saveSourceText = endpoint({
  method: 'PUT',
  path: '/api/desk/source-texts/:name/:language',
  summary: 'Write a text to sources in words of one’s own; without the link or the reference it needs it is refused',
  access: 'messages.send',
  params: byName,
  body: Type.Object({
    version: Version,
    subject: Type.String({ maxLength: 150 }),
    text: Type.String({ minLength: 1, maxLength: 4000 }),
  }),
  reply: Type.Object({ version: Version }),
  invalidates: ['settings'],
})

export const resetSourceText = endpoint({
  method: 'DELETE',
  path: '/api/desk/source-texts/:name/:language',
  summary: 'Go back to the words that are there without ones of one’s own',
  access: 'messages.send',
  params: byName,
  reply: Done,
  invalidates: ['settings'],
})
