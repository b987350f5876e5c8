import { isDeepStrictEqual } from 'node:util'
import { Op, QueryTypes } from 'sequelize'
import { v7 as uuid } from 'uuid'
import type { DryRunState } from '#contract/dryRuns'
import type { Change } from '#core/rules/effect'
import { say } from '#core/words/say'
import { recordEvent } from '../../platform/audit/record'
import type { Account, Deps } from '../../platform/deps'
import { notFound } from '../../platform/errors/problems'
import { queueJob } from '../../platform/jobs/queue'
import { inProgress } from '../../records/applications/find'
import { DryRun, DryRunRow } from '../../records/rules/model'
import { draftOf } from '../../records/rules/versions'
import { problems } from '../problems'

type Owner = { id: string; title: string; rulesVersion: number }

const page = 50

/** Begins to compute what the rules being edited would change. It goes on by itself and can be found again. */
export async function startDryRun(deps: Deps, actor: Account, owner: Owner) {
  const draft = await draftOf(owner.id, owner.rulesVersion)
  if (!draft.changed) throw problems.nothingToTry()
  const id = uuid()
  await DryRun.create({
    id,
    vacancyId: owner.id,
    rules: draft.rules,
    draftVersion: draft.version,
    today: deps.clock.today().toString(),
    state: 'waiting',
    done: 0,
    total: await inProgress(owner.id).count(),
    counts: [],
    affected: 0,
    startedBy: actor.name,
    startedAt: deps.clock.now(),
  })
  await queueJob('dry run', { dryRunId: id }, { uniqueKey: `dry run ${id}` })
  await recordEvent(deps, actor, { code: 'dry-run-started', values: { vacancy: owner.title }, about: owner.title })
  return { id }
}

/** The latest dry run of a vacancy. */
export async function latestDryRun(owner: Omit<Owner, 'title'>): Promise<DryRunState | null> {
  const run = await DryRun.findOne({ where: { vacancyId: owner.id }, order: [['startedAt', 'DESC']] })
  return run && stateOf(run, await draftOf(owner.id, owner.rulesVersion))
}

const stateOf = (run: DryRun, draft: { rules: unknown }): DryRunState => ({
  id: run.id,
  state: run.state,
  done: run.done,
  total: run.total,
  startedBy: run.startedBy,
  startedAt: run.startedAt.toISOString(),
  finishedAt: run.finishedAt?.toISOString() ?? null,
  outdated: !isDeepStrictEqual(run.rules, draft.rules),
})

type Filters = {
  requirement?: string
  effect?: Change['effect']
  gate?: Change['gate']
  text?: string
  after?: string
}

/** How far a dry run is and whom it concerns. Filters on changes hold for one and the same change. */
export async function readDryRun(id: string, rulesVersionOf: (vacancyId: string) => Promise<number>, filters: Filters) {
  const run = await DryRun.findByPk(id)
  if (!run) throw notFound()
  const ids = await matching(run, filters)
  const rows = await DryRunRow.findAll({
    where: { dryRunId: id, applicationId: ids.slice(0, page) },
    order: ['applicationId'],
  })
  return {
    ...stateOf(run, await draftOf(run.vacancyId, await rulesVersionOf(run.vacancyId))),
    vacancyId: run.vacancyId,
    affected: run.affected,
    counts: run.counts,
    people: rows.map(({ applicationId, candidate, reference, stage, rulesVersion, changes, gates }) => ({
      id: applicationId,
      candidate: candidate || say('composer.somebodyStillWriting'),
      reference,
      stage,
      rulesVersion,
      changes,
      gates,
    })),
    next: ids.length > page ? ids[page - 1]! : null,
  }
}

/** The applications of a page and one more, found in the database. */
async function matching(run: DryRun, { requirement, effect, gate, text, after }: Filters): Promise<string[]> {
  const like = text?.trim() && `%${text.trim().replace(/[\\%_]/g, '\\$&')}%`
  const wanted = Object.entries({ requirement, effect, gate }).filter(([, value]) => value)
  const replacements = {
    dryRunId: run.id,
    after: after ?? '',
    like,
    wanted: JSON.stringify(Object.fromEntries(wanted)),
    most: page + 1,
  }
  const rows = await run.sequelize.query<{ applicationId: string }>(
    `SELECT applicationId FROM dry_run_rows WHERE dryRunId = :dryRunId AND applicationId > :after
       ${wanted.length > 0 ? 'AND JSON_CONTAINS(changes, :wanted)' : ''}
       ${like ? 'AND (candidate LIKE :like OR reference LIKE :like)' : ''}
     ORDER BY applicationId LIMIT :most`,
    { replacements, type: QueryTypes.SELECT },
  )
  return rows.map(({ applicationId }) => applicationId)
}

/** What was computed longer ago than this is thrown away. */
const keptDays = 30

export async function forgetOldDryRuns(deps: Deps) {
  const before = new Date(deps.clock.now().getTime() - keptDays * 86_400_000)
  await DryRun.destroy({ where: { startedAt: { [Op.lt]: before } } })
}
