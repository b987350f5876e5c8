import { isDeepStrictEqual } from 'node:util'
import type { Section } from '#core/form/form'
import { questionsOf } from '#core/form/form'
import { checksIn, type Rules } from '#core/rules/rules'
import { send } from '#core/rules/sections'
import { putVersion } from '../../platform/database/compareAndSet'
import { afterCommit } from '../../platform/database/connection'
import type { Account, Deps } from '../../platform/deps'
import { notFound } from '../../platform/errors/problems'
import { checkTitles } from '../skills/checks'
import { RulesDraft, RulesVersion } from './model'

/** A vacancy's rules before anybody has set any: a form that only sends. */
export const emptyRules: Rules = { form: [send], requirements: [], onboarding: [] }

/** Published versions never change, so those read last are kept: every page of an application needs one. */
const lately = new Map<string, Rules>()
const mostKept = 200

/** The rules of one published version; those of version 0, before the first, are empty. Nobody may change what is given. Throws not-found. */
export async function publishedRules(vacancyId: string, version: number): Promise<Rules> {
  if (version === 0) return emptyRules
  const key = `${vacancyId} ${version}`
  const known = lately.get(key)
  if (known) return known
  const published = await RulesVersion.findOne({ where: { vacancyId, version } })
  if (!published) throw notFound()
  const { form, requirements, onboarding, fees, completeWithin } = published
  const more = { ...(fees ? { fees } : {}), ...(completeWithin ? { completeWithin } : {}) }
  const rules: Rules = { form, requirements, onboarding, ...more }
  // What is read in the transaction that publishes it may yet be undone.
  afterCommit(() => {
    if (lately.size >= mostKept) lately.delete(lately.keys().next().value!)
    lately.set(key, rules)
  })
  return rules
}

/** Keeps rules as the next published version. */
export async function addRulesVersion(
  deps: Pick<Deps, 'clock'>,
  vacancyId: string,
  version: number,
  rules: Rules,
  { note, savedBy }: { note: string; savedBy: string },
) {
  await RulesVersion.create({ vacancyId, version, ...rules, note, savedBy, savedAt: deps.clock.now() })
}

export const versionsOf = (vacancyId: string): Promise<RulesVersion[]> =>
  RulesVersion.findAll({
    where: { vacancyId },
    attributes: ['vacancyId', 'version', 'note', 'savedBy', 'savedAt'],
    order: [['version', 'DESC']],
  })

export type Draft = Pick<RulesDraft, 'rules' | 'basedOn' | 'version' | 'savedBy' | 'savedAt'> & { changed: boolean }

/** The rules being edited: what somebody has saved since, or else the published ones. */
export async function draftOf(vacancyId: string, published: number): Promise<Draft> {
  const rules = await publishedRules(vacancyId, published)
  const draft = await RulesDraft.findByPk(vacancyId)
  // What was never published is all new, also where nobody has touched it.
  const unpublished = published === 0
  if (!draft) return { rules, basedOn: published, version: 0, savedBy: '', savedAt: new Date(0), changed: unpublished }
  const { basedOn, version, savedBy, savedAt } = draft
  return {
    rules: draft.rules,
    basedOn,
    version,
    savedBy,
    savedAt,
    changed: unpublished || !isDeepStrictEqual(draft.rules, rules),
  }
}

/** The vacancies whose rules are being edited beyond what is published. */
export async function vacanciesBeingEdited(): Promise<Set<string>> {
  const drafts = await RulesDraft.findAll()
  const changed = await Promise.all(
    drafts.map(async ({ vacancyId, basedOn, rules }) => {
      const published = await publishedRules(vacancyId, basedOn)
      return isDeepStrictEqual(rules, published) ? [] : [vacancyId]
    }),
  )
  return new Set(changed.flat())
}

/** Writes the rules being edited, and gives when. `version` is that of the draft before, 0 where there was none. */
export async function writeDraft(
  deps: Deps,
  actor: Account,
  vacancyId: string,
  { rules, basedOn, version }: Pick<Draft, 'rules' | 'basedOn' | 'version'>,
): Promise<Date> {
  const savedAt = deps.clock.now()
  await putVersion(RulesDraft, { vacancyId }, version, { rules, basedOn, savedBy: actor.name, savedAt })
  return savedAt
}

/** Names for keys that requirements mention: questions, checks, tasks. */
export async function namesFor(rules: Rules): Promise<Record<string, string>> {
  return {
    ...(await checkTitles(checksIn(rules.requirements))),
    ...Object.fromEntries(
      questionsOf(rules.form).flatMap(({ key, label }) => [
        [key, label],
        [`${key}.because`, `${label}, what happened`],
        [`${key}.country`, `${label}, country`],
        [`${key}.region`, `${label}, region`],
      ]),
    ),
    ...Object.fromEntries([...rules.onboarding, ...(rules.fees ?? [])].map(({ key, title }) => [key, title])),
  }
}

export const rankingKey = 'ranking.posts'

/** A post of a group, by the name it is ranked by, and what there is to know of it. */
type Post = { name: string; about: string }

/** The rules of a vacancy in a group ask, before the permission, for the posts in the order one would like them. */
export function withRanking(rules: Rules, posts: readonly Post[], rankUpTo: number): Rules {
  const section: Section = {
    key: 'ranking',
    title: 'Your order',
    heading: 'Which of these posts would you like most?',
    intro: 'This vacancy belongs to a group. One application counts for all of it; put the posts in your order.',
    holds: 'questions',
    translations: {
      de: {
        title: 'Ihre Reihung',
        heading: 'Welche dieser Stellen hätten Sie am liebsten?',
        intro:
          'Diese Stelle gehört zu einer Gruppe. Eine Bewerbung zählt für alle; reihen Sie die Stellen nach Ihrem Wunsch.',
      },
    },
    questions: [
      {
        key: rankingKey,
        translations: { de: { label: 'Stellen in Ihrer Reihung' } },
        label: 'Posts in your order',
        kind: 'ranked choice',
        required: true,
        options: posts.map(({ name }) => name),
        about: Object.fromEntries(posts.map(({ name, about }) => [name, about])),
        rankUpTo: Math.min(rankUpTo, Math.max(1, posts.length)),
      },
    ],
  }
  const at = rules.form.findIndex(({ holds }) => holds === 'permission' || holds === 'send')
  return { ...rules, form: [...rules.form.slice(0, at), section, ...rules.form.slice(at)] }
}
