import { Type } from '@sinclair/typebox'
import type { AnswerValue } from '#core/form/answer'
import { ofCore } from './shapes'

const Text = Type.String({ maxLength: 4000 })
const Parts = Type.Record(Type.String({ maxLength: 80 }), Text)

/** What core calls an answer: text, a list, parts, records, or an honest blank. */
const Answer = ofCore<AnswerValue>(
  Type.Union([Text, Type.Array(Text, { maxItems: 60 }), Parts, Type.Array(Parts, { maxItems: 60 })]),
)

export const Answers = Type.Record(Type.String({ maxLength: 80 }), Answer)
