import { Op } from 'sequelize'
import { readReference } from '#core/references/reference'
import { candidatesNamed } from '../accounts/candidate'
import { Candidate } from '../accounts/model'
import { Application } from '../applications/model'
import { labelOf } from '../claims/label'
import { Claim } from '../claims/model'
import { Vacancy } from '../vacancies/model'

const most = 12

/** Finds people by reference (with the likely one where a slip was made), by a number on a paper, or by name. */
export async function find(text: string) {
  const reading = readReference('VM', text)
  const reference = reading.ok ? reading.reference : undefined
  const likely = !reading.ok && reading.code === 'check-failed' ? (reading.likely ?? null) : null
  const because = new Map<string, string>()
  if (!reference) {
    for (const { id, name } of await candidatesNamed(text, most)) because.set(id, name)
    if (/\d/.test(text)) {
      const claims = await Claim.findAll({
        where: { number: { [Op.like]: `%${text.replace(/[\\%_]/g, '\\$&')}%` } },
        limit: most,
      })
      for (const claim of claims) because.set(claim.candidateId, `${labelOf(claim.details)}, ${claim.number}`)
    }
  }
  const wanted = [reference, likely].filter((value) => value != null)
  const applications = await Application.findAll({
    where: {
      stage: { [Op.ne]: 'being written' },
      [Op.or]: [{ reference: wanted }, { candidateId: [...because.keys()] }],
    },
    limit: most,
    order: ['reference'],
  })
  const names = new Map(
    (await Candidate.findAll({ where: { id: applications.map(({ candidateId }) => candidateId) } })).map(
      ({ id, name }) => [id, name],
    ),
  )
  const titles = new Map(
    (
      await Vacancy.findAll({
        where: { id: applications.map(({ vacancyId }) => vacancyId) },
        attributes: ['id', 'title'],
      })
    ).map(({ id, title }) => [id, title]),
  )
  return {
    people: applications.map(({ id, candidateId, vacancyId, reference: own }) => ({
      id,
      candidate: names.get(candidateId) ?? '',
      vacancy: titles.get(vacancyId) ?? '',
      reference: own ?? null,
      because: own === likely ? `Likely meant: ${own}` : (because.get(candidateId) ?? own ?? ''),
    })),
    likely,
  }
}
