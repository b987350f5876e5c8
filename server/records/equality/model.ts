import { type InferAttributes, type InferCreationAttributes, Model, type Sequelize } from 'sequelize'
import { define, id, text, uuid } from '../../platform/database/columns'

/** One voluntary answer. It holds nobody's name, no application and no moment. */
export class EqualityAnswer extends Model<InferAttributes<EqualityAnswer>, InferCreationAttributes<EqualityAnswer>> {
  declare id: string
  declare vacancyId: string
  declare question: string
  declare answer: string
}

export const defineEquality = (sequelize: Sequelize) =>
  define(EqualityAnswer, sequelize, 'equality_answers', { id, vacancyId: uuid, question: text, answer: text })
