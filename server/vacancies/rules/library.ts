import { col, fn } from 'sequelize'
import type { SharedSection as SharedSectionView } from '#contract/sharedSections'
import type { Section } from '#core/form/form'
import type { Rules } from '#core/rules/rules'
import { recordEvent } from '../../platform/audit/record'
import type { Account, Deps } from '../../platform/deps'
import { notFound, requireVersion } from '../../platform/errors/problems'
import { SharedSection } from '../../records/rules/model'
import { draftOf, publishedRules, writeDraft } from '../../records/rules/versions'

type Owner = { id: string; title: string; rulesVersion: number }

/** Every shared section in its newest version, with the vacancies that use it and in which version. */
export async function sharedSections(vacancies: readonly Owner[]): Promise<SharedSectionView[]> {
  const newest = await newestSections()
  const used = (
    await Promise.all(
      vacancies.map(async ({ id, title, rulesVersion }) => {
        const published = await publishedRules(id, rulesVersion)
        const draft = await draftOf(id, rulesVersion)
        return [
          ...sharedIn(published).map((shared) => ({ ...shared, id, title, where: 'published' as const })),
          ...(draft.changed
            ? sharedIn(draft.rules).map((shared) => ({ ...shared, id, title, where: 'draft' as const }))
            : []),
        ]
      }),
    )
  ).flat()
  return newest.map(({ key, version, section, note, savedBy, savedAt }) => ({
    key,
    version,
    section,
    note,
    savedBy,
    savedAt: savedAt.toISOString(),
    usedBy: used
      .filter((use) => use.key === key)
      .map(({ id, title, where, version: usedVersion }) => ({ id, title, version: usedVersion, where })),
  }))
}

const sharedIn = ({ form }: Rules) => form.flatMap(({ shared }) => (shared ? [shared] : []))

async function newestSections(): Promise<SharedSection[]> {
  const newest = (await SharedSection.findAll({
    attributes: ['key', [fn('MAX', col('version')), 'version']],
    group: ['key'],
    order: ['key'],
  })) as SharedSection[]
  return Promise.all(
    newest.map(({ key, version }) => SharedSection.findOne({ where: { key, version }, rejectOnEmpty: true })),
  )
}

/** Saves a new version of a shared section. Vacancies keep the version they have until it is put into their drafts. */
export async function saveSharedSection(
  deps: Deps,
  actor: Account,
  key: string,
  { basedOn, section, note }: { basedOn: number; section: Section; note: string },
) {
  const newest = (await SharedSection.max<number, SharedSection>('version', { where: { key } })) ?? 0
  requireVersion(basedOn, newest, {})
  const version = newest + 1
  const { shared: _own, ...plain } = section
  await SharedSection.create({
    key,
    version,
    section: { ...plain, key },
    note: note.trim(),
    savedBy: actor.name,
    savedAt: deps.clock.now(),
  })
  await recordEvent(deps, actor, {
    code: 'section-saved',
    values: { version, section: section.title },
    about: section.title,
  })
  return { version }
}

/** Puts the newest version of a shared section in place of older copies in the drafts of vacancies. */
export async function spreadSharedSection(deps: Deps, actor: Account, key: string, vacancies: readonly Owner[]) {
  const newest = (await newestSections()).find((section) => section.key === key)
  if (!newest) throw notFound()
  let changed = 0
  for (const { id, rulesVersion } of vacancies) {
    const draft = await draftOf(id, rulesVersion)
    const older = draft.rules.form.some(({ shared }) => shared?.key === key && shared.version < newest.version)
    if (!older) continue
    const form = draft.rules.form.map((section) =>
      section.shared?.key === key
        ? { ...newest.section, key: section.key, when: section.when, shared: { key, version: newest.version } }
        : section,
    )
    await writeDraft(deps, actor, id, {
      rules: { ...draft.rules, form },
      basedOn: draft.basedOn,
      version: draft.version,
    })
    changed += 1
  }
  return { changed }
}
