import { readConfig } from './config'
import { prepare, start } from './start'

const running = await start(await prepare(readConfig()))
for (const signal of ['SIGINT', 'SIGTERM'] as const) {
  process.once(signal, () => void running.stop().then(() => process.exit(0)))
}
