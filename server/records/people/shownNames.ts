import { candidatesById } from '../accounts/candidate'
import { ApplicationSummary } from '../hiring/model'

/** What people are called where several are listed: a name that a vacancy hides until its shortlist is hidden everywhere. */
export async function shownNames(candidateIds: readonly string[]): Promise<Map<string, string>> {
  const ids = [...new Set(candidateIds)]
  const [people, hidden] = await Promise.all([candidatesById(ids), namesHiddenIn(ids)])
  return new Map(people.map(({ id, name }) => [id, hidden.get(id)?.reference ?? name]))
}

/** The applications that hide a person's name, by the person. */
export async function namesHiddenIn(candidateIds: readonly string[]): Promise<Map<string, ApplicationSummary>> {
  const hiding = await ApplicationSummary.findAll({ where: { candidateId: [...candidateIds], hidesName: true } })
  return new Map(hiding.map((standing) => [standing.candidateId!, standing]))
}
