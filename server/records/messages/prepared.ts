import { type InferAttributes, type InferCreationAttributes, Model, type Sequelize } from 'sequelize'
import type { InLanguages } from '#contract/messages'
import type { SourceText } from '#core/enquiries/texts'
import type { SourceLanguage } from '#core/words/say'
import { define, id, json, jsonOrNull, longText, moment, text, whole } from '../../platform/database/columns'

/** A message that is written once and sent to many. */
export class MessageTemplate extends Model<InferAttributes<MessageTemplate>, InferCreationAttributes<MessageTemplate>> {
  declare id: string
  declare name: string
  declare english: InLanguages['english']
  declare german: InLanguages['german']
  declare version: number
  declare savedBy: string
  declare savedAt: Date
}

/** A sentence that asks for a correction. */
export class PreparedSentence extends Model<
  InferAttributes<PreparedSentence>,
  InferCreationAttributes<PreparedSentence>
> {
  declare id: string
  declare about: 'document' | 'answer' | 'question'
  declare title: string
  declare english: string
  declare german: string
  declare place: number
  declare version: number
}

/** A text to sources that the house has written itself, in one language. */
export class OwnSourceText extends Model<InferAttributes<OwnSourceText>, InferCreationAttributes<OwnSourceText>> {
  declare name: SourceText
  declare language: SourceLanguage
  declare subject: string
  declare text: string
  declare version: number
  declare savedBy: string
  declare savedAt: Date
}

export function definePrepared(sequelize: Sequelize) {
  define(MessageTemplate, sequelize, 'message_templates', {
    id,
    name: text,
    english: json,
    german: jsonOrNull,
    version: whole,
    savedBy: text,
    savedAt: moment,
  })
  define(PreparedSentence, sequelize, 'prepared_sentences', {
    id,
    about: text,
    title: text,
    english: longText,
    german: longText,
    place: whole,
    version: whole,
  })
  define(OwnSourceText, sequelize, 'source_texts', {
    name: { ...text, primaryKey: true },
    language: { ...text, primaryKey: true },
    subject: text,
    text: longText,
    version: whole,
    savedBy: text,
    savedAt: moment,
  })
}
