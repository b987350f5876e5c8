import type { Reply } from '#contract/endpoint'
import type { DeskOriginal, readSafe as safeContract } from '#contract/originals'
import { dayAt } from '#core/dates/zoned'
import { hasEnded, isCleared } from '#core/hiring/stages'
import type { Account, Deps } from '../platform/deps'
import { notFound } from '../platform/errors/problems'
import type { FileToKeep } from '../platform/http/serve'
import { candidateNames } from '../records/accounts/candidate'
import { applicationsById, ownApplication, sentApplication } from '../records/applications/find'
import { addressOfHouse } from '../records/organisation/letterhead'
import { Original } from '../records/originals/model'
import { hidesName } from '../records/scoring/find'
import { papersOf } from './announce'

const newestFirst: [string, 'DESC'][] = [['announcedAt', 'DESC']]

/** What one has announced, what lies here, and what could be announced. Where exactly it is kept is for the desk to know. */
export async function listMyOriginals({ organisation }: Deps, actor: Account, applicationId: string) {
  const application = await ownApplication(actor, applicationId)
  const originals = await Original.findAll({ where: { applicationId }, order: newestFirst })
  return {
    originals: originals.map((original) => {
      const { place: _, ...shown } = faceOf(original)
      return shown
    }),
    papers: freeOf(await papersOf(application.candidateId), originals),
    address: addressOfHouse(organisation),
  }
}

/** The same at the desk; papers tell who somebody is, so none are listed while names are hidden. */
export async function listOriginals(applicationId: string) {
  const application = await sentApplication(applicationId)
  if (await hidesName(application)) return { originals: [], papers: [] }
  const originals = await Original.findAll({ where: { applicationId }, order: newestFirst })
  return {
    originals: originals.map(
      (original): DeskOriginal => ({
        ...faceOf(original),
        receivedBy: original.receivedBy,
        pagesCompared: original.pagesCompared,
        comparedBy: original.comparedBy,
        comparedAt: original.comparedAt?.toISOString() ?? null,
        returnedBy: original.returnedBy,
        signed: Boolean(original.signature),
      }),
    ),
    papers: freeOf(await papersOf(application.candidateId), originals),
  }
}

/** Everything that lies in the safe, the longest there first. */
export async function readSafe(
  deps: Deps,
  { vacancies }: Pick<Account, 'vacancies'>,
): Promise<Reply<typeof safeContract>> {
  const originals = await Original.findAll({ where: { state: 'here' }, order: ['receivedAt', 'id'] })
  const applications = await applicationsById(originals.map(({ applicationId }) => applicationId))
  const names = await candidateNames(applications.map(({ candidateId }) => candidateId))
  const today = deps.clock.today()
  const rows = originals.map(async (original) => {
    const application = applications.find(({ id }) => id === original.applicationId)
    if (!application || (vacancies && !vacancies.includes(application.vacancyId))) return []
    const hidden = await hidesName(application)
    const reference = application.reference ?? ''
    const since = original.receivedAt!
    return [
      {
        id: original.id,
        title: hidden ? '' : original.title,
        name: hidden ? reference : (names.get(application.candidateId) ?? ''),
        application: { id: application.id, reference, ended: hasEnded(application) || isCleared(application) },
        place: original.place,
        since: since.toISOString(),
        days: dayAt(since, deps.organisation.timeZone).until(today, { largestUnit: 'day' }).days,
        compared: original.compared ?? null,
      },
    ]
  })
  return (await Promise.all(rows)).flat()
}

/** The signature of whoever took it back. */
export async function readReturnSignature(id: string): Promise<FileToKeep> {
  const original = await Original.findByPk(id)
  if (!original?.signature) throw notFound()
  await sentApplication(original.applicationId)
  const body = Buffer.from(original.signature.replace(/^data:image\/png;base64,/, ''), 'base64')
  return { fileName: `${original.title}.png`, mediaType: 'image/png', body, inline: true }
}

const freeOf = (papers: Awaited<ReturnType<typeof papersOf>>, originals: readonly Original[]) =>
  papers
    .filter(({ document }) => originals.every(({ underWay }) => underWay !== document))
    .map(({ document, title, fileName }) => ({ document, title, fileName }))

const faceOf = (original: Original) => ({
  id: original.id,
  document: original.documentId,
  title: original.title,
  fileName: original.fileName,
  pages: original.pages,
  state: original.state,
  way: original.way,
  tracking: original.tracking,
  announcedAt: original.announcedAt.toISOString(),
  receivedAt: original.receivedAt?.toISOString() ?? null,
  receivedFrom: original.receivedFrom,
  place: original.place,
  compared: original.compared ?? null,
  returnedAt: original.returnedAt?.toISOString() ?? null,
  returnedTo: original.returnedTo,
  returnTracking: original.returnTracking,
  version: original.version,
})
