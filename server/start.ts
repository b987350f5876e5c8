import type { Server } from 'node:http'
import type { AddressInfo } from 'node:net'
import { type Logger, pino } from 'pino'
import { makeApp, type Watched } from './app'
import { receiveMail } from './incoming/mail/receiveMail'
import { defineModels } from './models'
import { subscribe } from './platform/changes'
import { depsNow } from './platform/clock'
import type { Config } from './platform/config'
import { connect } from './platform/database/connection'
import type { Fixed } from './platform/deps'
import { describeError } from './platform/errors/describeError'
import { makeMetrics, serveMetrics } from './platform/http/metrics'
import { longestRequestMs } from './platform/http/patience'
import { stopThreads } from './platform/jobs/threads'
import { migrate } from './platform/migrations/migrate'
import { httpCaptureDevice } from './platform/outside/capture'
import { openidProvider } from './platform/outside/identityProvider'
import { listenForMail } from './platform/outside/incomingMail'
import { smtpMailer } from './platform/outside/mail'
import { httpPaymentProvider } from './platform/outside/payments'
import { httpPlaces } from './platform/outside/places'
import { httpRegisters } from './platform/outside/registers'
import { folderScanner } from './platform/outside/scanner'
import { httpStatusLists } from './platform/outside/statusLists'
import { httpTextGateway } from './platform/outside/textMessages'
import { openVault } from './platform/vault'
import { spellUnspelled } from './records/sources/words'
import { subscribers } from './subscribers'
import { startWorking } from './worker'

/** Connects to the database, brings it to the newest shape, and gives what use cases need. */
export async function prepare(config: Config, log: Logger = pino({ level: config.logLevel })): Promise<Fixed> {
  const sequelize = connect(config.databaseUrl)
  defineModels(sequelize)
  subscribe(subscribers)
  await migrate(sequelize)
  await spellUnspelled()
  return {
    config,
    sequelize,
    log,
    vault: openVault({ key: config.secretKey, file: config.secretFile }),
    mailer: smtpMailer(config),
    identityProvider: config.identityProvider && openidProvider(config.identityProvider),
    statusLists: httpStatusLists(config.registerPatienceMs),
    registers: httpRegisters(config.registerUrl, { tryMs: config.registerPatienceMs }),
    places: httpPlaces(config.placesUrl),
    captureDevice: httpCaptureDevice(config.captureUrl),
    payments: config.paymentSecret ? httpPaymentProvider(config.paymentUrl, config.paymentSecret) : undefined,
    scanner: folderScanner(config.scanFolder),
    texts: httpTextGateway(config.textUrl),
  }
}

/** Serves the application and works through its jobs until stopped. */
export async function start(fixed: Fixed): Promise<{ port: number; stop: () => Promise<void> }> {
  const { config } = fixed
  let ending = false
  const metrics = config.metricsPort > 0 ? makeMetrics(fixed) : undefined
  const server = await listen(fixed, { metrics, isEnding: () => ending })
  const worker = startWorking(fixed)
  const mails = config.mailInPort > 0 ? await takeMails(fixed) : undefined
  const measured = metrics && (await serveMetrics(metrics, config.metricsPort, config.host))
  const port = (server.address() as AddressInfo).port
  fixed.log.info({ port }, 'Probatum is up')
  return {
    port,
    stop: async () => {
      ending = true
      const patienceMs = config.endPatienceSeconds * 1000
      await mails?.close()
      await Promise.all([finishRequests(server, patienceMs), worker.stop(patienceMs)])
      measured?.close()
      await stopThreads()
      fixed.mailer.close()
      await fixed.sequelize.close()
    },
  }
}

/** Takes no new connections, and lets whatever is under way be answered; what takes longer than that is cut off. */
async function finishRequests(server: Server, patienceMs: number) {
  const closed = new Promise((done) => server.close(done))
  // A connection that is kept for another request would hold up the end for as long as it may be kept.
  const idle = setInterval(() => server.closeIdleConnections(), 50)
  const over = setTimeout(() => server.closeAllConnections(), patienceMs)
  await closed
  clearInterval(idle)
  clearTimeout(over)
}

/** Takes the mail that comes in. Of several copies on one machine the first has the port. */
async function takeMails(fixed: Fixed) {
  const { mailInPort, host } = fixed.config
  const take = async (bytes: Buffer, { from }: { from: string }) =>
    receiveMail(await depsNow(fixed), bytes, from).catch((error: unknown) => {
      fixed.log.error({ error: describeError(error) }, 'a mail that came in could not be kept')
      throw error
    })
  return listenForMail(mailInPort, host, take).catch((error: NodeJS.ErrnoException) => {
    if (error.code !== 'EADDRINUSE') throw error
    if (fixed.config.processes === 1)
      throw new Error(`Port ${mailInPort}, for mail that comes in, is taken. Set MAIL_IN_PORT to another.`)
    return undefined
  })
}

const idleConnectionMs = 75_000

const listen = (fixed: Fixed, watched: Watched): Promise<Server> =>
  new Promise((done, fail) => {
    const server = makeApp(fixed, watched).listen(fixed.config.port, fixed.config.host)
    server.requestTimeout = longestRequestMs
    // Longer than proxies keep a connection they mean to use again, so that none is closed under a request.
    server.keepAliveTimeout = idleConnectionMs
    server.once('listening', () => done(server))
    server.once('error', (error: NodeJS.ErrnoException) =>
      fail(error.code === 'EADDRINUSE' ? new Error(`Port ${fixed.config.port} is taken. Set PORT to another.`) : error),
    )
  })
