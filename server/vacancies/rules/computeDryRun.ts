import { setImmediate } from 'node:timers/promises'
import { isDeepStrictEqual } from 'node:util'
import type { InferCreationAttributes } from 'sequelize'
import { Temporal } from 'temporal-polyfill'
import { answeredKeys, factsOfAnswers } from '#core/form/answer'
import { isDraft } from '#core/hiring/stages'
import type { Gate, Requirement } from '#core/requirements/requirement'
import { effectOf, unchangedKeys } from '#core/rules/effect'
import { type Rules, requirementsIn } from '#core/rules/rules'
import { currentOrganisation } from '../../platform/clock'
import { type LoadedFile, loadFiles } from '../../readiness/facts'
import { candidateNames } from '../../records/accounts/candidate'
import { type InProgress, inProgress } from '../../records/applications/find'
import { DryRun, type DryRunCount, DryRunRow } from '../../records/rules/model'
import { publishedRules } from '../../records/rules/versions'

const page = 500
const breath = 50

/** A version that applications were sent under, and what it has in common with the new rules. */
type Before = { rules: Rules; requirements: Requirement[]; sameForm: boolean; unchanged: ReadonlySet<string> }
type Found = InferCreationAttributes<DryRunRow>
type Page = { rows: InProgress[]; files: Map<string, LoadedFile>; names: Map<string, string> }
/** Who is still writing is told to nobody. */
const stillWriting = ''

/**
 * Judges every application in progress by the rules it has and by those of a dry run, page by page, and keeps who comes
 * out differently. Meant for a thread of its own; progress is in the database, where anybody can read it.
 *
 * @param currentVersion the published version, by which drafts are judged
 */
export async function computeDryRun(id: string, currentVersion: number) {
  const run = await DryRun.findByPk(id, { rejectOnEmpty: true })
  await DryRunRow.destroy({ where: { dryRunId: id } })
  const applications = inProgress(run.vacancyId)
  await run.update({ state: 'running', done: 0, total: await applications.count() })
  const today = Temporal.PlainDate.from(run.today)
  const deps = { clock: { today: () => today, now: () => new Date() }, organisation: await currentOrganisation() }
  const after = { rules: run.rules, requirements: requirementsIn(run.rules) }
  const before = new Map<number, Before>()
  const versionOf = ({ stage, rulesVersion }: InProgress) => (isDraft({ stage }) ? currentVersion : rulesVersion)
  const counts = new Map<string, DryRunCount>()
  let affected = 0
  let done = 0
  let written: Promise<unknown> = Promise.resolve()
  const load = async (last: string): Promise<Page> => {
    const rows = await applications.page(last, page)
    for (const version of new Set(rows.map(versionOf)))
      if (!before.has(version)) {
        const rules = await publishedRules(run.vacancyId, version)
        const requirements = requirementsIn(rules)
        const sameForm = isDeepStrictEqual(rules.form, after.rules.form)
        const unchanged = sameForm ? unchangedKeys(requirements, after.requirements) : new Set<string>()
        before.set(version, { rules, requirements, sameForm, unchanged })
      }
    const [files, names] = await Promise.all([
      loadFiles(deps, rows, (application) => before.get(versionOf(application))!.rules),
      candidateNames(rows.map(({ candidateId }) => candidateId)),
    ])
    return { rows, files, names }
  }
  const rulesOf = (application: InProgress) => before.get(versionOf(application))!
  for (let next: Promise<Page> | undefined = load(''); next; ) {
    const { rows, files, names }: Page = await next
    // The database reads the next page while this one is judged.
    next = rows.length < page ? undefined : load(rows.at(-1)!.id)
    const judge = (application: InProgress) => {
      const { facts } = files.get(application.id)!
      const own = rulesOf(application)
      const readAnew = own.sameForm
        ? facts
        : {
            ...facts,
            answers: factsOfAnswers(after.rules.form, application.answers),
            blankAnswers: answeredKeys(after.rules.form, application.answers),
          }
      const effect = effectOf(
        { requirements: own.requirements, file: facts },
        { requirements: after.requirements, file: readAnew },
        own.unchanged,
      )
      if (effect.changes.length === 0) return []
      for (const change of effect.changes) {
        const count = counts.get(change.requirement) ?? newCount(change)
        count[change.effect] += 1
        counts.set(change.requirement, count)
      }
      const writing = isDraft(application)
      return [
        {
          dryRunId: id,
          applicationId: application.id,
          candidate: writing ? stillWriting : (names.get(application.candidateId) ?? ''),
          reference: application.reference ?? null,
          stage: application.stage,
          rulesVersion: versionOf(application),
          ...effect,
        },
      ]
    }
    const found: Found[] = []
    for (let from = 0; from < rows.length; from += breath) {
      found.push(...rows.slice(from, from + breath).flatMap(judge))
      // What the database has sent meanwhile is taken in.
      await setImmediate()
    }
    // The database writes this page while the next one is judged.
    await written
    written = DryRunRow.bulkCreate(found)
    affected += found.length
    done += rows.length
    await run.update({ done, affected })
  }
  await written
  await run.update({ state: 'done', counts: [...counts.values()], finishedAt: new Date() })
}

const newCount = ({ requirement, title, gate }: { requirement: string; title: string; gate: Gate }): DryRunCount => ({
  requirement,
  title,
  gate,
  gains: 0,
  loses: 0,
  other: 0,
})
