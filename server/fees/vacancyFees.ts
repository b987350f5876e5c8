import { type Actor, type Deps, isStaff } from '../platform/deps'
import { rulesOfVacancy, vacancyBySlug } from '../records/vacancies/vacancies'

/** What applying for a vacancy costs, by the rules that hold now. */
export async function readVacancyFees({ clock }: Pick<Deps, 'clock'>, actor: Actor, slug: string) {
  const atTheDesk = actor.kind === 'account' && isStaff(actor)
  const vacancy = await vacancyBySlug(slug, { drafts: atTheDesk })
  const { fees = [] } = await rulesOfVacancy(vacancy)
  return { title: vacancy.title, fees: [...fees], today: clock.today().toString() }
}
