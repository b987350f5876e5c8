import type { IncomingMessage, ServerResponse } from 'node:http'

/** What the pages of the stand-ins have in common. */

export const escaped = (text: string) => text.replace(/[&<>"']/g, (character) => `&#${character.charCodeAt(0)};`)

export function html(response: ServerResponse, title: string, body: string) {
  const style =
    'body{font:15px/1.5 system-ui,sans-serif;max-width:60rem;margin:2rem auto;padding:0 1rem;color:#18211f}table{border-collapse:collapse;width:100%}td,th{text-align:left;padding:.4rem .8rem .4rem 0;border-bottom:1px solid #d9dfdc}pre{white-space:pre-wrap;font:inherit;background:#f7f9f8;padding:1rem;border:1px solid #d9dfdc}a{color:#17493f}'
  response
    .writeHead(200, { 'Content-Type': 'text/html; charset=utf-8' })
    .end(
      `<!doctype html><html lang="en"><title>${escaped(title)}</title><meta name="viewport" content="width=device-width"><style>${style}</style>${body}</html>`,
    )
}

export const notThere = (response: ServerResponse) =>
  void response.writeHead(404, { 'Content-Type': 'text/plain' }).end('There is nothing here.')

/** What was sent with a request, as text. */
export async function bodyOf(request: IncomingMessage): Promise<string> {
  const chunks: Buffer[] = []
  for await (const chunk of request) chunks.push(chunk as Buffer)
  return Buffer.concat(chunks).toString('utf8')
}
