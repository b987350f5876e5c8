import cluster from 'node:cluster'
import { loadConfigFile, readConfig } from './platform/config'
import { prepare, start } from './start'

process.env.NODE_ENV ??= 'production'
loadConfigFile()
const config = readConfig()
if (config.processes > 1 && cluster.isPrimary) await watchOver(config.processes)
else {
  const running = await start(await prepare(config))
  onEnd(() => void running.stop().then(() => process.exit(0)))
}

/** Keeps so many copies running. The database is brought to its newest shape once, before the first of them begins. */
async function watchOver(copies: number) {
  await (await prepare(config)).sequelize.close()
  let ending = false
  cluster.on('exit', () => {
    if (!ending) cluster.fork()
  })
  for (let copy = 0; copy < copies; copy += 1) cluster.fork()
  onEnd(() => {
    ending = true
    for (const worker of Object.values(cluster.workers ?? {})) worker?.process.kill('SIGTERM')
  })
}

function onEnd(stop: () => void) {
  for (const signal of ['SIGINT', 'SIGTERM'] as const) process.once(signal, stop)
}
