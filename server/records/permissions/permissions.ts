import { col, fn } from 'sequelize'
import { v7 as uuid } from 'uuid'
import { say } from '#core/words/say'
import { rowsOf } from '../../platform/database/rows'
import type { Deps } from '../../platform/deps'
import { problems } from '../problems'
import { Permission } from './model'
import { type Signature, sign } from './signature'
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

/** Signs the permission to check; makes and keeps the signed PDF. */
export async function signPermission(
  deps: Deps,
  applicationId: string,
  person: { name: string; reference: string; sources: readonly string[] },
  signature: Signature,
): Promise<Permission> {
  if (await permissionOf(applicationId)) throw problems.alreadySigned()
  const { text, version } = await permissionText(deps)
  const signed = await sign(deps, person.name, signature, {
    title: say('permission.permissionToCheckStatements'),
    paragraphs: [
      ...text.split('\n\n'),
      ...(person.sources.length > 0 ? [`${say('permission.sources')}\n${person.sources.join('\n')}`] : []),
    ],
    before: [
      [say('permission.givenTo'), deps.organisation.name],
      [say('permission.application'), person.reference],
    ],
    after: [[say('permission.text'), version]],
  })
  return Permission.create({ id: uuid(), applicationId, textVersion: version, ...signed })
}
