import { Op, type WhereOptions } from 'sequelize'
import type { Account } from '../../platform/deps'
import { Application } from './model'

/** Which rows with a `vacancyId` somebody may see: all, or those of their teams' vacancies. */
export const whereInSight = ({ vacancies }: Pick<Account, 'vacancies'>): WhereOptions =>
  vacancies ? { vacancyId: [...vacancies] } : {}

/** What a request is about: an application, somebody's file, a vacancy. */
export type Subject = { of: 'application' | 'candidate' | 'vacancy'; id: string }

/** Whether somebody may see what a request is about. What is not there is told by whoever looks for it. */
export async function isInSight({ vacancies }: Pick<Account, 'vacancies'>, { of, id }: Subject): Promise<boolean> {
  if (!vacancies) return true
  if (of === 'vacancy') return vacancies.includes(id)
  const where = of === 'application' ? { id } : { candidateId: id, stage: { [Op.ne]: 'being written' } }
  const applications = await Application.findAll({ where: where as WhereOptions, attributes: ['vacancyId'] })
  return applications.length === 0 || applications.some(({ vacancyId }) => vacancies.includes(vacancyId))
}
