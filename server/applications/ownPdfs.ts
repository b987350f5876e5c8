import { say } from '#core/words/say'
import type { Account } from '../platform/deps'
import { notFound } from '../platform/errors/problems'
import type { FileToKeep } from '../platform/http/serve'
import { ownApplication } from '../records/applications/find'
import { Snapshot } from '../records/applications/model'
import { readBytes } from '../records/documents/bytes'
import { permissionOf } from '../records/permissions/permissions'

/** What a candidate can keep of an application: all of it as it was sent, and the permission as it was signed. */

export const readApplicationPdf = (actor: Account, id: string) =>
  readOwn(actor, id, say('status.pdf.application'), async () => (await Snapshot.findByPk(id))?.pdfSha256)

export const readPermissionPdf = (actor: Account, id: string) =>
  readOwn(actor, id, say('status.pdf.permission'), async () => (await permissionOf(id))?.sha256)

async function readOwn(
  actor: Account,
  id: string,
  name: string,
  sha256Of: () => Promise<string | null | undefined>,
): Promise<FileToKeep> {
  const { reference } = await ownApplication(actor, id)
  const sha256 = await sha256Of()
  if (!sha256) throw notFound()
  const { bytes, mediaType } = await readBytes(sha256)
  return { fileName: `${name}${reference ? `, ${reference}` : ''}.pdf`, mediaType, body: bytes }
}
