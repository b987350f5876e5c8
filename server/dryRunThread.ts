import { defineModels } from './models'
import { goByNewestCatalogue } from './platform/catalogue'
import { connect } from './platform/database/connection'
import { computeDryRun } from './vacancies/rules/computeDryRun'
import type { DryRunAsked } from './vacancies/rules/runDryRun'

/** What runs in the worker thread: it has a connection of its own, so that requests are answered meanwhile. */
export default async function dryRunThread(asked: DryRunAsked | 'get ready') {
  if (asked === 'get ready') return
  const { databaseUrl, dryRunId, currentVersion } = asked
  const sequelize = connect(databaseUrl, { most: 3 })
  try {
    defineModels(sequelize)
    // A thread has a catalogue of its own to go by.
    await goByNewestCatalogue()
    await computeDryRun(dryRunId, currentVersion)
  } finally {
    await sequelize.close()
  }
}
