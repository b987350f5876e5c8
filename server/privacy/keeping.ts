import { dayAt } from '#core/dates/zoned'
import { isActive, isCleared, isDraft } from '#core/hiring/stages'
import { boundBy, type KeptApplication, keepingsOf } from '#core/privacy/retention'
import { keepingWords } from '#core/words/retention'
import type { Account, Deps } from '../platform/deps'
import { candidateOf } from '../records/accounts/candidate'
import { applicationsOf } from '../records/applications/find'
import type { Application } from '../records/applications/model'
import { titlesOfVacancies } from '../records/vacancies/vacancies'

/** The applications of a file as retention knows them. */
export async function keptApplications(
  { organisation }: Pick<Deps, 'organisation'>,
  candidateId: string,
): Promise<KeptApplication[]> {
  const applications = await applicationsOf(candidateId)
  const titles = await titlesOfVacancies(applications.map(({ vacancyId }) => vacancyId))
  return applications.map((application) => ({
    title: titles.get(application.vacancyId) ?? '',
    ...stateOf(application, (moment) => dayAt(moment, organisation.timeZone).toString()),
  }))
}

function stateOf(
  { stage, savedAt, sentAt, endedAt, targetStart }: Application,
  dayOf: (moment: Date) => string,
): Pick<KeptApplication, 'state' | 'day'> {
  if (isDraft({ stage })) return { state: 'not sent', day: dayOf(savedAt) }
  if (isCleared({ stage })) return { state: 'cleared', day: targetStart }
  if (isActive({ stage })) return { state: 'under way', day: dayOf(sentAt ?? savedAt) }
  return { state: 'ended', day: dayOf(endedAt ?? savedAt) }
}

/** What is kept of one's own file, and what would be left of it after erasing. */
export async function readKeeping(deps: Deps, actor: Account) {
  const { id } = await candidateOf(deps, actor)
  const applications = await keptApplications(deps, id)
  const shown = (keepings: ReturnType<typeof keepingsOf>) =>
    keepings.map((keeping) => ({ ...keepingWords(keeping, deps.organisation.keeping), until: keeping.until }))
  return {
    kept: shown(keepingsOf(applications, deps.clock.today(), deps.organisation.keeping)),
    left: shown(boundBy(applications, deps.clock.today(), deps.organisation.keeping)),
  }
}
