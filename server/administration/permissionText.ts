import type { PermissionTexts } from '#contract/organisation'
import { languages, say } from '#core/words/say'
import { recordEvent } from '../platform/audit/record'
import { versionsOfSetting, writeVersioned } from '../platform/database/settings'
import type { Account as Actor, Deps } from '../platform/deps'
import { invalid } from '../platform/errors/problems'
import { inLanguage } from '../platform/http/language'
import { signaturesByText } from '../records/permissions/permissions'
import { nameOfVersion, organisationField, ownPermissionText } from '../records/permissions/text'

/** The text that is signed, in every language, with its versions and how many signed each. */
export async function readPermissionText() {
  const [versions, signed] = await Promise.all([versionsOfSetting('permission text'), signaturesByText()])
  const own = Object.fromEntries(
    languages.map((language) => [language, inLanguage(language, () => ownPermissionText(organisationField))]),
  )
  const line = (version: number) => ({
    version,
    name: nameOfVersion(version),
    signed: signed.get(nameOfVersion(version)) ?? 0,
  })
  return {
    version: versions[0]?.version ?? 0,
    texts: (versions[0]?.value as PermissionTexts | undefined) ?? (own as PermissionTexts),
    versions: [
      ...versions.map(({ version, changedBy, changedAt }) => ({
        ...line(version),
        changedBy,
        changedAt: changedAt.toISOString(),
      })),
      { ...line(0), changedBy: '', changedAt: null },
    ],
  }
}

/** Writes the text anew, as its next version. Each language has to say who is given the permission. */
export async function savePermissionText(
  deps: Deps,
  actor: Actor,
  { version, texts }: { version: number; texts: PermissionTexts },
) {
  const faults = languages.flatMap((language) =>
    texts[language].includes(organisationField)
      ? []
      : [
          {
            pointer: `/body/texts/${language}`,
            message: say('problem.permissionNamesNobody', { field: organisationField }),
          },
        ],
  )
  if (faults.length > 0) throw invalid(faults)
  const next = await writeVersioned('permission text', version, texts, {
    id: actor.id,
    name: actor.name,
    at: deps.clock.now(),
  })
  await recordEvent(deps, actor, { code: 'permission-text-changed', values: { version: nameOfVersion(next) } })
  return { version: next }
}
