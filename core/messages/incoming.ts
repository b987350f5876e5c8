/** What a mail that came in is: written by a person, answered by a machine, or the report of a mail that did not arrive. */
export const incomingKinds = ['written', 'automatic', 'bounce'] as const
export type IncomingKind = (typeof incomingKinds)[number]

type Headers = Readonly<Record<string, string | undefined>>

/**
 * Tells what a person has written from what a machine sends by itself: `Auto-Submitted` (RFC 3834, 5), reports of delivery
 * (RFC 3464), the empty sender of both (RFC 5321, 4.5.5), lists (RFC 2919) and the older `Precedence`.
 *
 * @param headers by their names in lower case
 * @param sender the address of the envelope; empty for what wants no answer
 */
export function kindOfMail(headers: Headers, sender: string): IncomingKind {
  const has = (name: string, pattern: RegExp) => pattern.test(headers[name] ?? '')
  if (has('content-type', /multipart\/report/i) && has('content-type', /delivery-status/i)) return 'bounce'
  const automatic =
    sender === '' ||
    (headers['auto-submitted'] !== undefined && !has('auto-submitted', /^\s*no\b/i)) ||
    has('precedence', /^\s*(bulk|junk|list|auto_reply)\b/i) ||
    headers['list-id'] !== undefined ||
    headers['x-autoreply'] !== undefined ||
    headers['x-autorespond'] !== undefined
  return automatic ? 'automatic' : 'written'
}

/**
 * The mails of ours that a mail answers, by the identifiers we gave them: the newest first, as `References` ends with it.
 *
 * @param domain what stands behind the `@` of our identifiers
 */
export function answeredBy({ 'in-reply-to': inReplyTo = '', references = '' }: Headers, domain: string): string[] {
  const ours = [...`${references} ${inReplyTo}`.matchAll(/<([0-9a-f-]{36})@([\w.-]+)>/gi)].flatMap(([, id, at]) =>
    at!.toLowerCase() === domain.toLowerCase() ? [id!.toLowerCase()] : [],
  )
  return [...new Set(ours.reverse())]
}

export type DeliveryReport = { failed: boolean; because: string }

/** What a report of delivery says (RFC 3464): whether it failed for good, and in the words of the mail server. */
export function readDeliveryReport(status: string): DeliveryReport {
  const field = (name: string) => new RegExp(`^${name}:\\s*(.*(?:\\r?\\n[ \\t]+.*)*)`, 'im').exec(status)?.[1]
  const because = field('Diagnostic-Code') ?? field('Status') ?? ''
  return {
    failed: /^\s*failed/i.test(field('Action') ?? ''),
    because: because
      .replace(/^\s*[\w-]+;\s*/, '')
      .replace(/\s+/g, ' ')
      .trim(),
  }
}
