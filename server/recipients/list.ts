import type { PermissionLine, Recipients } from '#contract/recipients'
import { permissionState } from '#core/recipients/delivery'
import type { Account, Deps } from '../platform/deps'
import { fileEnding } from '../platform/http/fileEnding'
import type { FileToKeep } from '../platform/http/serve'
import { logAccess } from '../privacy/accessLog'
import { isNameless } from '../privacy/nameless'
import { candidateOf } from '../records/accounts/candidate'
import { sentApplication } from '../records/applications/find'
import { labelOf } from '../records/claims/label'
import { Claim } from '../records/claims/model'
import { readBytes } from '../records/documents/bytes'
import { deliveriesBy, permissionFor, permissionsFor, reportsSent } from '../records/recipients/find'
import type { RecipientPermission } from '../records/recipients/model'
import { chosenRecipients } from './chosen'
import { deliveryLine } from './deliveryLine'
import { problems } from './problems'
import { reportable } from './reportable'

/** One’s own recipients, what each received, and of what one may have them told. */
export async function listOwnRecipients(deps: Deps, actor: Account) {
  const { id } = await candidateOf(deps, actor)
  return recipientsOf(deps, id)
}

/** The same at the desk. */
export async function listRecipients(deps: Deps, actor: Account, applicationId: string): Promise<Recipients> {
  const application = await sentApplication(applicationId)
  const { candidateId } = application
  const [own, chosen] = await Promise.all([recipientsOf(deps, candidateId), chosenRecipients(deps, application)])
  const listed = { ...own, chosen }
  if (!(await isNameless(deps, actor, candidateId))) return listed
  return { ...listed, permissions: listed.permissions.map((one) => ({ ...one, fullName: '', hasPaper: false })) }
}

async function recipientsOf(deps: Deps, candidateId: string): Promise<Omit<Recipients, 'chosen'>> {
  const [claims, permissions] = await Promise.all([reportable(candidateId), permissionsFor(candidateId)])
  const deliveries = await deliveriesBy(permissions.map(({ id }) => id))
  const [reports, named] = await Promise.all([
    reportsSent(deliveries.map(({ reportId }) => reportId)),
    Claim.findAll({ where: { id: [...new Set(permissions.flatMap((one) => one.claims ?? []))] } }),
  ])
  const titles = new Map(named.map(({ id, details }) => [id, labelOf(details)]))
  const today = deps.clock.today()
  return {
    today: today.toString(),
    claims: claims.map(({ id, details, rung }) => ({ id, title: labelOf(details), rung })),
    permissions: permissions.map((permission) => ({
      ...lineOf(permission, today.toString()),
      claims: (permission.claims ?? []).flatMap((id) => titles.get(id) ?? []),
      deliveries: deliveries
        .filter(({ permissionId }) => permissionId === permission.id)
        .map((delivery) => deliveryLine(deps, delivery, reports.get(delivery.reportId)!)),
    })),
  }
}

function lineOf(permission: RecipientPermission, today: string): Omit<PermissionLine, 'claims' | 'deliveries'> {
  const { id, name, mail, language, purpose, given, fullName, signedOn, through, sha256, withdrawnAt } = permission
  const { applicationId } = permission
  const state = { through, withdrawnAt: withdrawnAt?.toISOString() ?? null, signed: Boolean(sha256) }
  return {
    ...{ id, recipient: { name, mail, language }, purpose, given, fullName, signedOn, through },
    ...{ inApplication: Boolean(applicationId), hasPaper: Boolean(sha256), state: permissionState(state, today) },
  }
}

/** What one has signed. */
export async function readOwnPermission(deps: Deps, actor: Account, id: string): Promise<FileToKeep> {
  const candidate = await candidateOf(deps, actor)
  return fileOf(await permissionFor(candidate.id, id))
}

/** The same at the desk, which shows whose it is. */
export async function readPermission(
  deps: Deps,
  actor: Account,
  { id, permission }: { id: string; permission: string },
): Promise<FileToKeep> {
  const { candidateId } = await sentApplication(id)
  if (await isNameless(deps, actor, candidateId)) throw problems.namesHidden()
  const found = await permissionFor(candidateId, permission)
  await logAccess(deps, actor, { candidateId, applicationId: id, subject: 'file', what: 'file' })
  return fileOf(found)
}

async function fileOf({ sha256 }: RecipientPermission): Promise<FileToKeep> {
  if (!sha256) throw problems.notPermitted()
  const { bytes, mediaType } = await readBytes(sha256)
  return { fileName: `permission.${fileEnding(mediaType)}`, mediaType, body: bytes }
}
