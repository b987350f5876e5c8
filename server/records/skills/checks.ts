import { v7 as uuid } from 'uuid'
import { rowOf, rowsOf } from '../../platform/database/rows'
import { notFound } from '../../platform/errors/problems'
import { BankQuestion, Check, Resit, Sitting } from './model'

export type NewCheck = Pick<Check, 'key' | 'title' | 'minutes' | 'passPercent' | 'blueprint'> & {
  attempts?: number
  waitDays?: number

  bank: Omit<BankQuestion['_creationAttributes'], 'id' | 'check'>[]
}

/** Adds a skills check with its question bank. */
export async function addCheck({ bank, ...check }: NewCheck) {
  await Check.create(check)
  await BankQuestion.bulkCreate(bank.map((question) => ({ id: uuid(), check: check.key, ...question })))
}

export async function checkByKey(key: string): Promise<Check> {
  const check = await rowOf(Check, { key })
  if (!check) throw notFound()
  return check
}

/** What checks are called, by their keys: those asked for, or all. */
export async function checkTitles(keys?: readonly string[]): Promise<Record<string, string>> {
  if (keys?.length === 0) return {}
  const checks = await rowsOf(Check, keys ? { key: [...keys] } : {})
  return Object.fromEntries(checks.map(({ key, title }) => [key, title]))
}

export const bankOf = (check: string): Promise<BankQuestion[]> =>
  BankQuestion.findAll({ where: { check }, order: ['id'] })

export const sittingsOf = (applicationId: string[]): Promise<Sitting[]> =>
  rowsOf(Sitting, { applicationId }, ['attempt', 'begunAt', 'id'])

/** Leave that was given to sit checks again. */
export const resitsOf = (applicationId: string[]): Promise<Resit[]> => rowsOf(Resit, { applicationId }, ['attempt'])
