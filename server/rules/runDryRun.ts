import type { Deps } from '../deps'
import { inThread } from '../jobs/threads'
import { vacancyById } from '../vacancies/vacancies'
import { DryRun } from './model'

/** The job that computes a dry run. One that fails says so and is not tried again by itself. */
export async function runDryRun(deps: Deps, { dryRunId }: { dryRunId: string }) {
  const run = await DryRun.findByPk(dryRunId)
  if (!run || run.state === 'done') return
  const { rulesVersion } = await vacancyById(run.vacancyId)
  try {
    await inThread(new URL('./dryRunThread.ts', import.meta.url), {
      databaseUrl: deps.config.databaseUrl,
      dryRunId,
      currentVersion: rulesVersion,
    })
  } catch (error) {
    deps.log.error({ error: String(error), dryRunId }, 'a dry run failed')
    await run.update({ state: 'failed', error: String(error).slice(0, 2000), finishedAt: deps.clock.now() })
  }
}
