import { v7 as uuid } from 'uuid'
import { compareNames } from '#core/comparison/names'
import type { Deps } from '../deps'
import { keepBytes } from '../documents/bytes'
import { sheetPdf } from '../documents/sheetPdf'
import { conflict, invalidField } from '../http/problems'
import { Permission } from './model'
import { permissionText, permissionVersion } from './text'

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

export const permissionsOf = (applicationIds: readonly string[]): Promise<Permission[]> =>
  Permission.findAll({ where: { applicationId: [...applicationIds], withdrawnAt: null } })

/** Signs the permission to check by typing one's name; makes and keeps the signed PDF. */
export async function signPermission(
  deps: Deps,
  applicationId: string,
  person: { name: string; reference: string },
  fullName: string,
): Promise<Permission> {
  if (await permissionOf(applicationId)) throw conflict('already-signed', 'This is signed already.')
  const likeness = compareNames(person.name, fullName)
  if (likeness.verdict === 'different')
    throw invalidField('/body/fullName', `Type your full name as you gave it: ${person.name}.`)
  const signedAt = deps.clock.now()
  const pdf = await sheetPdf(
    {
      title: 'Permission to check statements',
      paragraphs: permissionText(deps.config.operator).split('\n\n'),
      facts: [
        ['Given to', deps.config.operator],
        ['Application', person.reference],
        ['Signed by typing', fullName],
        ['Signed at', `${signedAt.toISOString().slice(0, 16).replace('T', ' ')} UTC`],
        ['Text', permissionVersion],
      ],
    },
    signedAt,
  )
  return Permission.create({
    id: uuid(),
    applicationId,
    fullName,
    textVersion: permissionVersion,
    sha256: await keepBytes(pdf, 'application/pdf', signedAt),
    signedAt,
  })
}
