import { Op } from 'sequelize'
import { v7 as uuid } from 'uuid'
import { say } from '#core/words/say'
import { writeValue } from '#core/words/stored'
import { inTransaction } from '../../platform/database/connection'
import { type Account, type Deps, nameOfActor } from '../../platform/deps'
import { notFound, Problem } from '../../platform/errors/problems'
import type { FileToKeep } from '../../platform/http/serve'
import { queueJob } from '../../platform/jobs/queue'
import { labelOf } from '../../records/claims/label'
import { Claim } from '../../records/claims/model'
import { keepBytes, readBytes } from '../../records/documents/bytes'
import { Document } from '../../records/documents/model'
import { Scan, TrayPaper } from '../../records/tray/model'
import { problems } from '../problems'
import { guessLines } from './places'

const mostWaiting = 200
const mostFiled = 30
const keptDays = 30

/** What the first bytes of a scan say that it is. */
const kinds: { mediaType: string; begins: number[] }[] = [
  { mediaType: 'application/pdf', begins: [0x25, 0x50, 0x44, 0x46] },
  { mediaType: 'image/jpeg', begins: [0xff, 0xd8, 0xff] },
  { mediaType: 'image/png', begins: [0x89, 0x50, 0x4e, 0x47] },
  { mediaType: 'image/tiff', begins: [0x49, 0x49, 0x2a, 0x00] },
  { mediaType: 'image/tiff', begins: [0x4d, 0x4d, 0x00, 0x2a] },
]

/** How a scan came, by whom, and whose file it most likely belongs to. */
type Coming = Pick<Scan, 'came' | 'broughtBy'> & { candidateId?: string | null }

const fromScanner: Coming = { came: 'scanner', broughtBy: 'scanner' }

/** Takes a scan in; a job reads it. Throws a problem where it is of no kind that can be read. */
async function takeIn(deps: Deps, coming: Coming, fileName: string, bytes: Buffer) {
  const kind = kinds.find(({ begins }) => begins.every((byte, at) => bytes[at] === byte))
  if (!kind) throw problems.wrongKind()
  return inTransaction(deps.sequelize, async () => {
    const scan = await Scan.create({
      id: uuid(),
      fileName: fileName.slice(0, 200),
      sha256: await keepBytes(bytes, kind.mediaType, deps.clock.now()),
      ...coming,
      broughtBy: coming.broughtBy.slice(0, 120),
      cameAt: deps.clock.now(),
      state: 'waiting',
    })
    await queueJob('read scan', { scanId: scan.id })
    return { id: scan.id }
  })
}

/** Takes what the scanner has put down since. A file that cannot be taken is told in the tray and not lost. */
export async function takeFromScanner(deps: Deps) {
  for (const { fileName, bytes, done } of await deps.scanner.take()) {
    await takeOrTell(deps, fromScanner, fileName, bytes)
    await done()
  }
}

/** Takes a file in; one that cannot be taken is told in the tray and not lost. */
export const takeOrTell = (deps: Deps, coming: Coming, fileName: string, bytes: Buffer) =>
  takeIn(deps, coming, fileName, bytes).catch((error: Error) =>
    inTransaction(deps.sequelize, async () => {
      await Scan.create({
        id: uuid(),
        fileName: fileName.slice(0, 200),
        sha256: await keepBytes(bytes, 'application/octet-stream', deps.clock.now()),
        ...coming,
        broughtBy: coming.broughtBy.slice(0, 120),
        cameAt: deps.clock.now(),
        state: 'refused',
        fault: error instanceof Problem ? error.words : { code: 'problem.reader', values: { message: error.message } },
      })
    }),
  )

export async function readTray(deps: Deps) {
  const since = new Date(deps.clock.now().getTime() - keptDays * 86_400_000)
  const [waiting, reading, refused, filed] = await Promise.all([
    TrayPaper.findAll({ where: { state: 'waiting' }, order: ['cameAt', 'id'], limit: mostWaiting }),
    Scan.findAll({ where: { state: 'waiting' }, order: ['cameAt'], limit: mostWaiting }),
    Scan.findAll({ where: { state: 'refused', cameAt: { [Op.gt]: since } }, order: [['cameAt', 'DESC']], limit: 20 }),
    TrayPaper.findAll({ where: { state: 'filed' }, order: [['settledAt', 'DESC']], limit: mostFiled }),
  ])
  return {
    waiting: await Promise.all(
      waiting.map(async ({ id, fileName, came, broughtBy, cameAt, pages, why, guesses }) => ({
        id,
        fileName,
        came,
        broughtBy,
        cameAt: cameAt.toISOString(),
        pages,
        why: why ? writeValue(why) : '',
        guesses: await guessLines(guesses),
      })),
    ),
    reading: reading.map(({ id, fileName }) => ({ id, fileName })),
    refused: refused.map(({ id, fileName, fault, cameAt }) => ({
      id,
      fileName,
      fault: fault ? writeValue(fault) : '',
      cameAt: cameAt.toISOString(),
    })),
    filed: await Promise.all(filed.map(filedLine)),
  }
}

async function filedLine(paper: TrayPaper) {
  const document = paper.documentId ? await Document.findByPk(paper.documentId) : null
  const claim = document && (await Claim.findByPk(document.claimId))
  return {
    id: paper.id,
    fileName: paper.fileName,
    to: claim
      ? labelOf(claim.details)
      : paper.why?.code === 'tray.withQuestion'
        ? writeValue(paper.why)
        : say('tray.erasedFile'),
    by: paper.settledBy ?? '',
    at: (paper.settledAt ?? paper.cameAt).toISOString(),
  }
}

export async function readTrayPaper(id: string): Promise<FileToKeep> {
  const paper = await TrayPaper.findByPk(id)
  if (!paper) throw notFound()
  return {
    fileName: paper.fileName,
    ...(({ bytes, mediaType }) => ({ body: bytes, mediaType }))(await readBytes(paper.sha256)),
  }
}

export const putInTray = (deps: Deps, actor: Account, fileName: string, bytes: Buffer) =>
  takeIn(deps, { came: 'dropped in', broughtBy: nameOfActor(actor) }, fileName, bytes)
