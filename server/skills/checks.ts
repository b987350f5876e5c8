import { v7 as uuid } from 'uuid'
import { notFound } from '../http/problems'
import { BankQuestion, Check, Sitting } from './model'

export type NewCheck = Check['_creationAttributes'] & {
  bank: Omit<BankQuestion['_creationAttributes'], 'id' | 'check'>[]
}

/** Adds a skills check with its question bank. */
export async function addCheck({ bank, ...check }: NewCheck) {
  await Check.create(check)
  await BankQuestion.bulkCreate(bank.map((question) => ({ id: uuid(), check: check.key, ...question })))
}

export async function checkByKey(key: string): Promise<Check> {
  const check = await Check.findByPk(key)
  if (!check) throw notFound()
  return check
}

export const checkTitles = async (): Promise<Record<string, string>> =>
  Object.fromEntries((await Check.findAll()).map(({ key, title }) => [key, title]))

export const bankOf = (check: string): Promise<BankQuestion[]> =>
  BankQuestion.findAll({ where: { check }, order: ['id'] })

export const sittingsOf = (applicationId: string): Promise<Sitting[]> => sittingsOfAll([applicationId])

export const sittingsOfAll = (applicationIds: readonly string[]): Promise<Sitting[]> =>
  Sitting.findAll({ where: { applicationId: [...applicationIds] }, order: ['begunAt', 'id'] })
