import type { IncomingMessage, ServerResponse } from 'node:http'
import { answerByMail } from './answer'
import type { Mailbox, ReceivedMail } from './mailbox'
import { bodyOf, escaped, html, notThere } from './page'

/** The mailbox as pages for people (`/`, `/mail/ID`) and as JSON for tests (`/mailbox.json?to=`). A mail is answered from its page. */
export async function answerMailbox({ mails }: Mailbox, request: IncomingMessage, url: URL, response: ServerResponse) {
  const [, place, id, attachment] = url.pathname.split('/')
  const to = url.searchParams.get('to')?.toLowerCase()
  const newestFirst = mails.filter((mail) => !to || mail.to.toLowerCase() === to).reverse()
  if (place === 'mailbox.json') {
    const listed = newestFirst.map(({ attachments, ...mail }) => ({
      ...mail,
      attachments: attachments.map(({ fileName, mediaType, bytes }) => ({ fileName, mediaType, size: bytes.length })),
    }))
    response.writeHead(200, { 'Content-Type': 'application/json' }).end(JSON.stringify(listed))
    return
  }
  if (place === 'mail' && id) {
    const mail = mails.find((candidate) => candidate.id === id)
    if (!mail) return notThere(response)
    if (request.method === 'POST') {
      await answerByMail(mail, new URLSearchParams(await bodyOf(request)).get('text') ?? '')
      return void response.writeHead(303, { Location: `/mail/${id}?answered=yes` }).end()
    }
    const file = attachment === undefined ? undefined : mail.attachments[Number(attachment)]
    if (file) return void response.writeHead(200, { 'Content-Type': file.mediaType }).end(file.bytes)
    return html(response, mail.subject, onePage(mail, url.searchParams.has('answered')))
  }
  if (url.pathname === '/') return html(response, 'Mailbox', listPage(newestFirst.slice(0, 300), to))
  return notThere(response)
}

const listPage = (mails: readonly ReceivedMail[], to: string | undefined) => `
  <h1>Mailbox</h1>
  <p><a href="/texts">Phones</a> · <a href="/issuers/fjellvik">Digital credentials</a></p>
  <p>Every mail the application sends arrives here${to ? `. Showing ${escaped(to)} only: <a href="/">show all</a>` : ''}.</p>
  ${mails.length === 0 ? '<p>No mail has arrived yet.</p>' : `<table><thead><tr><th>Arrived</th><th>To</th><th>Subject</th></tr></thead><tbody>${mails.map(row).join('')}</tbody></table>`}`

const row = ({ id, to, subject, receivedAt, attachments }: ReceivedMail) => `<tr>
  <td>${receivedAt.slice(0, 16).replace('T', ' ')}</td><td><a href="/?to=${encodeURIComponent(to)}">${escaped(to)}</a></td>
  <td><a href="/mail/${id}">${escaped(subject)}</a>${attachments.length > 0 ? ` · ${attachments.length} enclosed` : ''}</td></tr>`

const onePage = ({ id, from, to, subject, text, attachments }: ReceivedMail, answered: boolean) => `
  <p><a href="/">All mail</a></p><h1>${escaped(subject)}</h1><p>From ${escaped(from)}<br>To ${escaped(to)}</p>
  <pre>${linked(text)}</pre>
  ${attachments.map(({ fileName, bytes }, index) => `<p><a href="/mail/${id}/${index}">${escaped(fileName)}</a>, ${Math.ceil(bytes.length / 1024)} kB</p>`).join('')}
  <h2>Answer as ${escaped(to)}</h2>
  ${answered ? '<p role="status">The answer is on its way.</p>' : ''}
  <form method="post" action="/mail/${id}"><p><label>Text<br><textarea name="text" rows="5" cols="60" required></textarea></label></p><p><button>Send the answer</button></p></form>`

const linked = (text: string) =>
  escaped(text).replace(/https?:&?[^\s&]*(?:\/[^\s&]*)+/g, (address) => `<a href="${address}">${address}</a>`)
