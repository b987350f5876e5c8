import { imageSize } from 'image-size'
import { col, fn } from 'sequelize'
import { v7 as uuid } from 'uuid'
import { isOwnName } from '#core/comparison/names'
import { writeMomentAt } from '#core/dates/zoned'
import { say } from '#core/words/say'
import { rowsOf } from '../../platform/database/rows'
import type { Deps } from '../../platform/deps'
import { invalidField } from '../../platform/errors/problems'
import { sheetPdf } from '../../platform/pdf/sheetPdf'
import { keepBytes } from '../documents/bytes'
import { letterheadOf } from '../organisation/letterhead'
import { problems } from '../problems'
import { Permission } from './model'
import { permissionText } from './text'

/** The permission that holds; one that was withdrawn does not. */
export const permissionOf = (applicationId: string): Promise<Permission | null> =>
  Permission.findOne({ where: { applicationId, withdrawnAt: null } })

/** Takes the permission back. Gives whether there was one. */
export async function withdrawPermission({ clock }: Deps, applicationId: string): Promise<boolean> {
  const [withdrawn] = await Permission.update(
    { withdrawnAt: clock.now() },
    { where: { applicationId, withdrawnAt: null } },
  )
  return withdrawn > 0
}

/** The permissions that hold, of applications. */
export const permissionsOf = (applicationId: string[]): Promise<Permission[]> =>
  rowsOf(Permission, { applicationId, withdrawnAt: null }, ['signedAt'])

/** How many permissions were signed under each text, by the name of its version. */
export async function signaturesByText(): Promise<Map<string, number>> {
  const rows = (await Permission.findAll({
    attributes: [
      [fn('SUBSTRING_INDEX', col('textVersion'), ' ', 1), 'name'],
      [fn('COUNT', col('id')), 'signed'],
    ],
    group: ['name'],
    raw: true,
  })) as unknown as { name: string; signed: number | string }[]
  return new Map(rows.map(({ name, signed }) => [name, Number(signed)]))
}

/** A signature: one's full name as it was typed, or as it was drawn (PNG). */
export type Signature = { fullName: string; drawing?: string }

/** Signs the permission to check; makes and keeps the signed PDF. */
export async function signPermission(
  deps: Deps,
  applicationId: string,
  person: { name: string; reference: string; sources: readonly string[] },
  { fullName: typed, drawing }: Signature,
): Promise<Permission> {
  if (await permissionOf(applicationId)) throw problems.alreadySigned()
  const fullName = drawing ? person.name : typed
  if (!drawing && (typed.length < 3 || !isOwnName(person.name, typed)))
    throw invalidField('/body/fullName', say('problem.typeYourFullNameAs', { name: person.name }))
  const { text, version } = await permissionText(deps)
  const signedAt = deps.clock.now()
  const pdf = await sheetPdf(
    {
      from: await letterheadOf(deps),
      title: say('permission.permissionToCheckStatements'),
      paragraphs: [
        ...text.split('\n\n'),
        ...(person.sources.length > 0 ? [`${say('permission.sources')}\n${person.sources.join('\n')}`] : []),
      ],
      facts: [
        [say('permission.givenTo'), deps.organisation.name],
        [say('permission.application'), person.reference],
        [drawing ? say('permission.signedByDrawing') : say('permission.signedByTyping'), fullName],
        [say('permission.signedAt'), writeMomentAt(signedAt, deps.organisation.timeZone)],
        [say('permission.text'), version],
      ],
      ...(drawing ? { picture: await pictureIn(drawing) } : {}),
    },
    signedAt,
  )
  return Permission.create({
    id: uuid(),
    applicationId,
    fullName,
    textVersion: version,
    drawn: drawing !== undefined,
    sha256: await keepBytes(pdf, 'application/pdf', signedAt),
    signedAt,
  })
}

const largest = { width: 3000, height: 1500 }

/** The picture in a data URL. Throws where it is no PNG, or larger than anybody signs. */
async function pictureIn(drawing: string): Promise<Buffer> {
  const bytes = Buffer.from(drawing.slice(drawing.indexOf(',') + 1), 'base64')
  try {
    const { type, width, height } = imageSize(bytes)
    if (type === 'png' && width <= largest.width && height <= largest.height) {
      // A picture that is not whole can still tell its size; what can be put into a PDF is whole.
      const { PDFDocument } = await import('pdf-lib')
      await (await PDFDocument.create()).embedPng(bytes)
      return bytes
    }
  } catch {
    // said below
  }
  throw invalidField('/body/drawing', say('problem.theDrawingDidNotArrive'))
}
