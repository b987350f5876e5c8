import type { Deps } from '../../platform/deps'
import { describeError } from '../../platform/errors/describeError'
import { inThread } from '../../platform/jobs/threads'
import { DryRun } from '../../records/rules/model'
import { vacancyById } from '../../records/vacancies/vacancies'

export type DryRunAsked = { databaseUrl: string; dryRunId: string; currentVersion: number }

const thread = new URL('../../dryRunThread.ts', import.meta.url)

/** Loads the thread ahead of time: whoever edits rules is likely to ask for a dry run next. */
export const readyDryRun = () => void inThread<'get ready'>(thread, 'get ready').catch(() => undefined)

/** The job that computes a dry run. One that fails says so and is not tried again by itself. */
export async function runDryRun(deps: Deps, { dryRunId }: { dryRunId: string }) {
  const run = await DryRun.findByPk(dryRunId)
  if (!run || run.state === 'done') return
  const { rulesVersion } = await vacancyById(run.vacancyId)
  try {
    await inThread<DryRunAsked>(thread, {
      databaseUrl: deps.config.databaseUrl,
      dryRunId,
      currentVersion: rulesVersion,
    })
  } catch (error) {
    deps.log.error({ error: describeError(error), dryRunId }, 'a dry run failed')
    await run.update({ state: 'failed', error: String(error).slice(0, 2000), finishedAt: deps.clock.now() })
  }
}
