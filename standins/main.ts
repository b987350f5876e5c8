import { createServer } from 'node:http'
import { answerCapture } from './capture'
import { answerIdentity, openIdentity, peopleIn } from './identity'
import { answerIssuers } from './issuers'
import { openMailbox } from './mailbox'
import { answerMailbox } from './mailboxPage'
import { answerPayments, openPayments } from './payments'
import { answerPlaces } from './places'
import { answerRegisters, demoRegisters } from './registers'
import { answerScanner } from './scanner'
import { answerTexts, openPhones } from './texts'

/** The outside world in one process: a mail server with a mailbox page, registers and a postcode directory over HTTP. */
const smtpPort = Number(process.env.SMTP_PORT ?? 4102)
const httpPort = Number(process.env.STANDINS_PORT ?? 4103)

const mailbox = await openMailbox(process.env.MAILBOX_FOLDER ?? '.data/mailbox', smtpPort)
const phones = openPhones(process.env.TEXTS_FILE ?? '.data/texts.json')
const payments = openPayments(process.env.PAYMENT_SECRET ?? 'stand-in')
const registers = demoRegisters(process.env.REGISTERS_FILE)

const identity = await openIdentity(
  `http://127.0.0.1:${httpPort}/identity`,
  process.env.RETURN_TO ?? 'http://127.0.0.1:4100/sign-in/return',
  peopleIn(process.env.PEOPLE_FILE),
)

const server = createServer((request, response) => {
  const url = new URL(request.url ?? '/', 'http://standins')
  const answered = url.pathname.startsWith('/registers')
    ? answerRegisters(registers, request, url, response)
    : url.pathname.startsWith('/issuers')
      ? answerIssuers(`http://127.0.0.1:${httpPort}`, url, response)
      : url.pathname.startsWith('/identity')
        ? answerIdentity(identity, request, url, response)
        : url.pathname.startsWith('/capture')
          ? answerCapture(request, url, response)
          : url.pathname.startsWith('/places')
            ? answerPlaces(url, response)
            : url.pathname.startsWith('/payments')
              ? answerPayments(payments, request, url, response)
              : url.pathname.startsWith('/scanner')
                ? answerScanner(process.env.SCAN_FOLDER ?? '.data/scans', request, url, response)
                : url.pathname.startsWith('/texts')
                  ? answerTexts(phones, request, url, response)
                  : answerMailbox(mailbox, request, url, response)
  answered.catch((error: unknown) => {
    response.writeHead(500, { 'Content-Type': 'text/plain; charset=utf-8' }).end(String(error))
  })
})
server.listen(httpPort, '127.0.0.1', () =>
  process.stdout.write(`stand-ins: mail on ${smtpPort}, mailbox and registers on ${httpPort}\n`),
)

for (const signal of ['SIGINT', 'SIGTERM'] as const) {
  process.once(signal, () => {
    server.closeAllConnections()
    server.close()
    mailbox.close()
    setTimeout(() => process.exit(0), 200).unref()
  })
}
