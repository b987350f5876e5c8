import { notFound } from '../../platform/errors/problems'
import { mergedWith } from '../accounts/candidate'
import { Report } from './model'

/** @throws Problem `not-found` */
export async function reportById(id: string): Promise<Report> {
  const report = await Report.findByPk(id)
  if (!report) throw notFound()
  return report
}

/** The reports of a file, the newest first; without what was signed, which is long. */
export const reportsOf = async (candidateId: string): Promise<Report[]> =>
  Report.findAll({
    where: { candidateId: await mergedWith(candidateId) },
    attributes: { exclude: ['jwt', 'sdJwt', 'stated'] },
    order: [['madeAt', 'DESC'], 'id'],
  })
