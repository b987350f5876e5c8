import {
  type CreationOptional,
  DataTypes,
  type InferAttributes,
  type InferCreationAttributes,
  Model,
  type Sequelize,
} from 'sequelize'
import type { SourceState } from '#contract/sources'
import type { AwardRecord } from '#core/sources/knownAward'
import type { Contact, Programme, SourceFacts, SourceKind } from '#core/sources/source'
import type { TwinReason } from '#core/sources/twins'
import {
  define,
  flag,
  id,
  json,
  longTextOrNull,
  moment,
  momentOrNull,
  text,
  textOrNull,
  uuid,
  uuidOrNull,
  whole,
} from '../../platform/database/columns'

/** What is known of a source beyond what it is looked up by. */
export type KnownOfSource = Omit<
  SourceFacts,
  'name' | 'kind' | 'town' | 'country' | 'register' | 'answerWorkingDays' | 'programmes' | 'contacts'
> & { contacts: Contact[] }

export class Source extends Model<InferAttributes<Source>, InferCreationAttributes<Source>> {
  declare id: string
  declare name: string
  declare kind: SourceKind
  declare town: string
  declare country: string
  declare register: string | null
  declare answerWorkingDays: number
  declare programmes: CreationOptional<Programme[]>
  declare known: KnownOfSource
  declare version: CreationOptional<number>
  declare origin: CreationOptional<'desk' | 'candidate' | 'import'>
  /** What a proposal is the only one of; null once it has been settled. */
  declare proposalKey: CreationOptional<string | null>
  /** Who entered it, or last changed which register is asked. */
  declare enteredBy: CreationOptional<string>
  declare enteredById: CreationOptional<string | null>
  /** Who has checked that it is what it says; nobody is asked there before. */
  declare checkedBy: CreationOptional<string | null>
  declare checkedAt: CreationOptional<Date | null>
  /** It is not offered any more; what it has confirmed stays. */
  declare retiredAt: CreationOptional<Date | null>
  declare retiredBecause: CreationOptional<string | null>
  /** The one it was merged into, where claims and enquiries are now. */
  declare mergedIntoId: CreationOptional<string | null>
  /** Where it stands, as it was last written down. */
  declare state: CreationOptional<SourceState>
  /** Whether it is found by the names it has now. */
  declare spelled: CreationOptional<boolean>
}

/** Every version of a source, whole. */
export class SourceVersion extends Model<InferAttributes<SourceVersion>, InferCreationAttributes<SourceVersion>> {
  declare sourceId: string
  declare version: number
  declare source: SourceFacts
  declare changedBy: string
  declare changedAt: Date
}

/** Two entries that may be of one source. */
export class SourcePair extends Model<InferAttributes<SourcePair>, InferCreationAttributes<SourcePair>> {
  declare oneId: string
  declare otherId: string
  declare score: number
  declare reasons: TwinReason[]
  declare state: 'open' | 'apart' | 'merged'
  declare decidedBy: CreationOptional<string | null>
  declare decidedAt: CreationOptional<Date | null>
}

type Stored = Omit<SourceFacts, 'contacts'> & { contacts: Contact[] }

export class SourceMerge extends Model<InferAttributes<SourceMerge>, InferCreationAttributes<SourceMerge>> {
  declare id: string
  declare keptId: string
  declare goneId: string
  /** The source that went, while it is merged: it goes once. */
  declare goneOpen: string | null
  declare keptBefore: Stored
  declare merged: Stored
  declare goneBefore: { retiredAt: string | null; retiredBecause: string | null }
  declare mergedBy: string
  declare mergedAt: Date
  declare undoneBy: CreationOptional<string | null>
  declare undoneAt: CreationOptional<Date | null>
}

/** What followed in a merge, row by row. */
export class SourceMergeMove extends Model<InferAttributes<SourceMergeMove>, InferCreationAttributes<SourceMergeMove>> {
  declare mergeId: string
  declare kind: 'claim' | 'proposed' | 'enquiry' | 'award' | 'research'
  declare rowId: string
}

/** A form that a source has sent us, as it is: whoever changes it sends another. */
export class SourceFormFile extends Model<InferAttributes<SourceFormFile>, InferCreationAttributes<SourceFormFile>> {
  declare sha256: string
  declare fileName: string
  declare pages: number
  /** The names of the fields that can be filled. */
  declare fields: string[]
  declare uploadedBy: string
  declare uploadedAt: Date
}

/** What an institution has told us it awarded; under one number there is one. */
export class AwardRecordRow extends Model<InferAttributes<AwardRecordRow>, InferCreationAttributes<AwardRecordRow>> {
  declare id: string
  declare sourceId: string
  declare numberKey: string
  declare said: AwardRecord
  declare enteredBy: string
  declare enteredAt: Date
}

export function defineSources(sequelize: Sequelize) {
  define(Source, sequelize, 'sources', {
    id,
    name: text,
    kind: text,
    town: text,
    country: text,
    register: textOrNull,
    answerWorkingDays: whole,
    programmes: { ...json, defaultValue: [] },
    known: json,
    version: { ...whole, defaultValue: 1 },
    origin: { ...text, defaultValue: 'desk' },
    proposalKey: textOrNull,
    enteredBy: { ...text, defaultValue: '' },
    enteredById: uuidOrNull,
    checkedBy: textOrNull,
    checkedAt: momentOrNull,
    retiredAt: momentOrNull,
    retiredBecause: longTextOrNull,
    mergedIntoId: uuidOrNull,
    state: { ...text, defaultValue: 'to check' },
    spelled: { ...flag, defaultValue: false },
  })
  define(SourceVersion, sequelize, 'source_versions', {
    sourceId: id,
    version: { ...whole, primaryKey: true },
    source: json,
    changedBy: text,
    changedAt: moment,
  })
  define(SourcePair, sequelize, 'source_pairs', {
    oneId: id,
    otherId: id,
    score: { type: DataTypes.DOUBLE, allowNull: false },
    reasons: json,
    state: text,
    decidedBy: textOrNull,
    decidedAt: momentOrNull,
  })
  define(SourceMerge, sequelize, 'source_merges', {
    id,
    keptId: uuid,
    goneId: uuid,
    goneOpen: uuidOrNull,
    keptBefore: json,
    merged: json,
    goneBefore: json,
    mergedBy: text,
    mergedAt: moment,
    undoneBy: textOrNull,
    undoneAt: momentOrNull,
  })
  define(SourceFormFile, sequelize, 'source_forms', {
    sha256: { type: DataTypes.STRING(64), primaryKey: true },
    fileName: text,
    pages: whole,
    fields: json,
    uploadedBy: text,
    uploadedAt: moment,
  })
  define(AwardRecordRow, sequelize, 'award_records', {
    id,
    sourceId: uuid,
    numberKey: text,
    said: json,
    enteredBy: text,
    enteredAt: moment,
  })
  define(SourceMergeMove, sequelize, 'source_merge_moves', {
    mergeId: id,
    kind: { ...text, primaryKey: true },
    rowId: id,
  })
}
