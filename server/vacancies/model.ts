import { type InferAttributes, type InferCreationAttributes, Model, type Sequelize } from 'sequelize'
import type { Form } from '#core/form/form'
import type { Requirement } from '#core/requirements/requirement'
import { day, define, id, json, longText, moment, text, whole } from '../database/columns'

export type OnboardingTask = { key: string; title: string; text: string }

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
  declare duties: string[]
  declare opensAt: Date
  declare closesAt: Date
  declare timeZone: string
  declare targetStart: string
  declare form: Form
  declare requirements: Requirement[]
  declare onboarding: OnboardingTask[]
}

export const defineVacancies = (sequelize: Sequelize) =>
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
    form: json,
    requirements: json,
    onboarding: json,
  })
