import {
  type CreationOptional,
  DataTypes,
  type InferAttributes,
  type InferCreationAttributes,
  Model,
  type Sequelize,
} from 'sequelize'
import type { Section } from '#core/form/form'
import type { Stage } from '#core/hiring/stages'
import type { Change, Effect } from '#core/rules/effect'
import type { Rules } from '#core/rules/rules'
import {
  day,
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
  whole,
} from '../../platform/database/columns'

/** Rules as they were published; never changed afterwards. */
export class RulesVersion extends Model<InferAttributes<RulesVersion>, InferCreationAttributes<RulesVersion>> {
  declare vacancyId: string
  declare version: number
  declare form: Rules['form']
  declare requirements: Rules['requirements']
  declare onboarding: Rules['onboarding']
  declare fees: CreationOptional<Rules['fees'] | null>
  declare completeWithin: CreationOptional<Rules['completeWithin'] | null>
  declare note: string
  declare savedBy: string
  declare savedAt: Date
}

/** Rules being edited. There is none where nothing has been edited since the last version. */
export class RulesDraft extends Model<InferAttributes<RulesDraft>, InferCreationAttributes<RulesDraft>> {
  declare vacancyId: string
  declare rules: Rules
  declare basedOn: number
  declare version: number
  declare savedBy: string
  declare savedAt: Date
}

/** One version of a section of the common library. */
export class SharedSection extends Model<InferAttributes<SharedSection>, InferCreationAttributes<SharedSection>> {
  declare key: string
  declare version: number
  declare section: Section
  declare note: string
  declare savedBy: string
  declare savedAt: Date
}

export type DryRunCount = {
  requirement: string
  title: string
  gate: Change['gate']
  gains: number
  loses: number
  other: number
}

export class DryRun extends Model<InferAttributes<DryRun>, InferCreationAttributes<DryRun>> {
  declare id: string
  declare vacancyId: string
  declare rules: Rules
  declare draftVersion: number
  declare today: string
  declare state: 'waiting' | 'running' | 'done' | 'failed'
  declare done: number
  declare total: number
  declare counts: DryRunCount[]
  declare affected: number
  declare error: CreationOptional<string | null>
  declare startedBy: string
  declare startedAt: Date
  declare finishedAt: CreationOptional<Date | null>
}

/** One application that comes out differently. */
export class DryRunRow extends Model<InferAttributes<DryRunRow>, InferCreationAttributes<DryRunRow>> {
  declare dryRunId: string
  declare applicationId: string
  declare candidate: string
  declare reference: string | null
  declare stage: Stage
  declare rulesVersion: number
  declare changes: Change[]
  declare gates: Effect['gates']
}

export function defineRules(sequelize: Sequelize) {
  const partOfKey = { type: DataTypes.UUID, primaryKey: true }
  const versionOfKey = { type: DataTypes.INTEGER, primaryKey: true }
  const saved = { savedBy: text, savedAt: moment }
  define(RulesVersion, sequelize, 'rules_versions', {
    vacancyId: partOfKey,
    version: versionOfKey,
    form: json,
    requirements: json,
    onboarding: json,
    fees: jsonOrNull,
    completeWithin: jsonOrNull,
    note: text,
    ...saved,
  })
  define(RulesDraft, sequelize, 'rules_drafts', {
    vacancyId: partOfKey,
    rules: json,
    basedOn: whole,
    version: whole,
    ...saved,
  })
  define(SharedSection, sequelize, 'shared_sections', {
    key: { type: DataTypes.STRING(60), primaryKey: true },
    version: versionOfKey,
    section: json,
    note: text,
    ...saved,
  })
  define(DryRun, sequelize, 'dry_runs', {
    id,
    vacancyId: uuid,
    rules: json,
    draftVersion: whole,
    today: day,
    state: text,
    done: whole,
    total: whole,
    counts: json,
    affected: whole,
    error: longTextOrNull,
    startedBy: text,
    startedAt: moment,
    finishedAt: momentOrNull,
  })
  define(DryRunRow, sequelize, 'dry_run_rows', {
    dryRunId: partOfKey,
    applicationId: partOfKey,
    candidate: text,
    reference: textOrNull,
    stage: text,
    rulesVersion: whole,
    changes: json,
    gates: json,
  })
}
