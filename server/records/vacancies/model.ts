import {
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  Model,
  type Sequelize,
} from 'sequelize'
import type { VacancyFields, VacancyState } from '#contract/vacancySetUp'
import {
  day,
  dayOrNull,
  define,
  id,
  json,
  longText,
  moment,
  text,
  uuidOrNull,
  whole,
} from '../../platform/database/columns'

export class Vacancy extends Model<InferAttributes<Vacancy>, InferCreationAttributes<Vacancy>> {
  declare id: string
  declare slug: string
  declare title: string
  declare family: string
  declare place: string
  /** Cents a year. */
  declare payFrom: number
  declare payTo: number
  declare payBand: string
  declare contract: string
  declare hours: string
  declare headcount: number
  declare summary: string
  declare duties: VacancyFields['duties']
  declare opensAt: Date
  declare closesAt: Date
  declare timeZone: string
  declare targetStart: string
  /** The day by which everybody who has applied is promised a decision. */
  declare decidesOn: CreationOptional<string | null>
  declare state: VacancyState
  /** Languages papers are read in, ISO 639-1; none means any. */
  declare paperLanguages: CreationOptional<string[]>
  /** Mail address of who decides. */
  declare decidedBy: string
  declare groupId: CreationOptional<string | null>
  /** The published version of its rules; 0 before the first. */
  declare rulesVersion: number
  declare version: number
  declare createdAt: Date
}

/** A group of vacancies for which one application ranks several posts. */
export class VacancyGroup extends Model<InferAttributes<VacancyGroup>, InferCreationAttributes<VacancyGroup>> {
  declare id: string
  declare title: string
  declare rankUpTo: number
  declare version: number
}

export function defineVacancies(sequelize: Sequelize) {
  define(VacancyGroup, sequelize, 'vacancy_groups', { id, title: text, rankUpTo: whole, version: whole })
  define(Vacancy, sequelize, 'vacancies', {
    id,
    slug: text,
    title: text,
    family: text,
    place: text,
    payFrom: whole,
    payTo: whole,
    payBand: text,
    contract: text,
    hours: text,
    headcount: whole,
    summary: longText,
    duties: json,
    opensAt: moment,
    closesAt: moment,
    timeZone: text,
    targetStart: day,
    decidesOn: dayOrNull,
    state: text,
    paperLanguages: { ...json, defaultValue: ['en', 'de'] },
    decidedBy: text,
    groupId: uuidOrNull,
    rulesVersion: whole,
    version: whole,
    createdAt: moment,
  })
}
