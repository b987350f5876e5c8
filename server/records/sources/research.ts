import {
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  Model,
  Op,
  type Sequelize,
} from 'sequelize'
import {
  type Consulted,
  programmeKey,
  type ResearchedProgramme,
  type ResearchOutcome,
  type researchStates,
} from '#core/sources/research'
import {
  define,
  id,
  json,
  jsonOrNull,
  longTextOrNull,
  moment,
  momentOrNull,
  text,
  textOrNull,
  uuid,
  uuidOrNull,
  whole,
} from '../../platform/database/columns'
import { rowsOf } from '../../platform/database/rows'
import { notFound } from '../../platform/errors/problems'
import type { Claim } from '../claims/model'
import { ofClaims } from '../claims/subquery'

/** Research into a programme of an institution; there is one for each, however many ask. */
export class ProgrammeResearch extends Model<
  InferAttributes<ProgrammeResearch>,
  InferCreationAttributes<ProgrammeResearch>
> {
  declare id: string
  declare sourceId: string
  declare programmeKey: string
  declare programme: ResearchedProgramme
  declare state: (typeof researchStates)[number]
  declare ownerId: CreationOptional<string | null>
  declare owner: CreationOptional<string | null>
  declare consulted: Consulted[]
  declare outcome: CreationOptional<ResearchOutcome | null>
  declare concludedBy: CreationOptional<string | null>
  declare concludedById: CreationOptional<string | null>
  declare concludedAt: CreationOptional<Date | null>
  declare readBy: CreationOptional<string | null>
  declare readAt: CreationOptional<Date | null>
  /** Why the second reader sent it back. */
  declare note: CreationOptional<string | null>
  declare openedAt: Date
  declare version: number
}

export const defineResearch = (sequelize: Sequelize) =>
  define(ProgrammeResearch, sequelize, 'programme_research', {
    id,
    sourceId: uuid,
    programmeKey: text,
    programme: json,
    state: text,
    ownerId: uuidOrNull,
    owner: textOrNull,
    consulted: json,
    outcome: jsonOrNull,
    concludedBy: textOrNull,
    concludedById: uuidOrNull,
    concludedAt: momentOrNull,
    readBy: textOrNull,
    readAt: momentOrNull,
    note: longTextOrNull,
    openedAt: moment,
    version: whole,
  })

export async function researchById(researchId: string): Promise<ProgrammeResearch> {
  const research = await ProgrammeResearch.findByPk(researchId)
  if (!research) throw notFound()
  return research
}

/** Research at the sources that candidates name. */
export const researchOfCandidates = (candidateIds: readonly string[]): Promise<ProgrammeResearch[]> =>
  rowsOf(ProgrammeResearch, { sourceId: { [Op.in]: ofClaims('sourceId', candidateIds) } }, ['openedAt', 'id'])

/** What was, or is being, found of the programme of a study. */
export const researchFor = (
  { sourceId, details }: Pick<Claim, 'sourceId' | 'details'>,
  all: readonly ProgrammeResearch[],
) =>
  details.kind === 'study' && sourceId
    ? all.find((one) => one.sourceId === sourceId && one.programmeKey === programmeKey(details))
    : undefined
