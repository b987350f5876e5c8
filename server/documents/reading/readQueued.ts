import { QueryTypes } from 'sequelize'
import type { PaperText } from '#core/reading/paperText'
import { inTransaction } from '../../platform/database/connection'
import type { Deps } from '../../platform/deps'
import { readBytes } from '../../records/documents/bytes'
import { Document } from '../../records/documents/model'
import { isReadable, PaperPicture, PaperReading, pictureRow, queueReading } from '../../records/documents/readings'
import { queueFlags } from '../../records/redFlags/flags'
import { readApart } from './readApart'
import type { PaperRead } from './readPaper'
import { canRecognise } from './recognise'

type Paper = { sha256: string; mediaType: string }

/** The job that reads a paper by machine. */
export async function readQueued(deps: Deps, { sha256 }: Paper) {
  const known = await PaperReading.findByPk(sha256)
  if (known && known.state !== 'no recognition') return
  const { bytes, mediaType } = await readBytes(sha256)
  const said = await readApart({ bytes, mediaType })
  if (!said || 'failed' in said) throw new Error(said?.failed ?? 'reading fell over or took too long')
  await keepReading(deps, sha256, said.read)
}

/** A paper that cannot be read by machine, however often it is tried, is read by a person. */
export const giveUpReading = (deps: Deps, { sha256 }: Paper) => keepReading(deps, sha256, undefined)

const keepReading = (deps: Deps, sha256: string, read: PaperRead | undefined) =>
  inTransaction(deps.sequelize, async () => {
    const state = !read ? 'failed' : read.text === 'no recognition' ? 'no recognition' : 'read'
    const text = state === 'read' ? (read!.text as PaperText) : null
    await PaperReading.upsert({ sha256, state, text, making: read?.making ?? null, readAt: deps.clock.now() })
    for (const [nth, bits] of (read?.pictures ?? []).entries())
      if (bits) await PaperPicture.upsert(pictureRow(sha256, nth + 1, bits))
    // What a paper shows may fit another file, or no file at all.
    const held = await Document.findAll({ where: { sha256 }, attributes: ['candidateId'], raw: true })
    for (const candidateId of new Set(held.map((document) => document.candidateId))) await queueFlags(candidateId)
  })

/** Papers somebody still has to look at, and that came before they were read by machine or while nothing could recognise. */
export async function queueUnread(deps: Deps): Promise<number> {
  const unread = await deps.sequelize.query<Paper>(
    `SELECT DISTINCT d.sha256, d.mediaType FROM documents d LEFT JOIN paper_readings r ON r.sha256 = d.sha256
     WHERE d.state = 'to look at' AND d.sha256 IS NOT NULL AND (r.sha256 IS NULL OR (:able AND r.state = 'no recognition'))
     LIMIT 500`,
    { replacements: { able: await canRecognise() }, type: QueryTypes.SELECT },
  )
  await inTransaction(deps.sequelize, async () => {
    for (const { sha256, mediaType } of unread.filter((paper) => isReadable(paper.mediaType)))
      await queueReading(sha256, mediaType)
  })
  return 0
}
