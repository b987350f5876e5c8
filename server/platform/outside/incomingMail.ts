import type { AddressInfo } from 'node:net'
import { SMTPServer } from 'smtp-server'

/** Megabytes of the largest mail that is taken, with what is enclosed. */
const mostMb = 25
/** Connections at once; a mail server that wants more waits. */
const mostClients = 20

type Envelope = { from: string }
type Take = (bytes: Buffer, envelope: Envelope) => Promise<void>

/**
 * The door for mail that comes in: the organisation's mail server hands it over by SMTP. A mail is acknowledged once it is
 * kept; where that fails the mail server keeps it and tries again (RFC 5321, 4.2.5), so that none is lost.
 *
 * @param take keeps one mail; what it throws is a failure for the moment
 * @returns the port, and how to close it
 */
export async function listenForMail(port: number, host: string, take: Take) {
  const server = new SMTPServer({
    authOptional: true,
    disabledCommands: ['STARTTLS', 'AUTH'],
    size: mostMb * 1024 * 1024,
    maxClients: mostClients,
    onData(stream, { envelope }, done) {
      const chunks: Buffer[] = []
      let size = 0
      stream.on('data', (chunk: Buffer) => {
        size += chunk.length
        if (!stream.sizeExceeded) chunks.push(chunk)
      })
      stream.on('end', () => {
        if (stream.sizeExceeded)
          return done(Object.assign(new Error(`Mails are taken up to ${mostMb} MB`), { responseCode: 552 }))
        const from = envelope.mailFrom ? envelope.mailFrom.address : ''
        take(Buffer.concat(chunks, size), { from }).then(
          () => done(),
          () => done(Object.assign(new Error('Not kept, please try again'), { responseCode: 451 })),
        )
      })
    },
  })
  // A client that breaks off is no fault of ours.
  server.on('error', () => undefined)
  await new Promise<void>((ready, fail) => {
    server.server.once('error', fail)
    server.listen(port, host, ready)
  })
  return {
    port: (server.server.address() as AddressInfo).port,
    close: () => new Promise<void>((done) => server.close(done)),
  }
}
