import { timingSafeEqual } from 'node:crypto'
import { recordEvent } from '../platform/audit/record'
import { putVersion } from '../platform/database/compareAndSet'
import type { Deps } from '../platform/deps'
import { notFound } from '../platform/errors/problems'
import { Account } from '../records/accounts/model'
import { NoticeChoice, noticesOf } from '../records/messages/notices'

const purpose = 'stop general mailings'
const separator = '.'

/**
 * The page that ends general mailings to an account, for whoever holds the link: it needs nobody to sign in. A mail program posts
 * to the same address (RFC 8058).
 */
export const stopLink = ({ config, vault }: Pick<Deps, 'config' | 'vault'>, accountId: string) =>
  `${config.publicUrl}/notices/${accountId}${separator}${vault.sign(purpose, accountId)}`

/**
 * Refuses general mailings from then on; what is about an application still comes. Doing it twice is doing it once.
 *
 * @throws Problem `not-found` where the link is not one of ours
 */
export async function stopGeneralMail(deps: Deps, token: string) {
  const [accountId = '', signature = ''] = token.split(separator)
  if (!same(signature, deps.vault.sign(purpose, accountId))) throw notFound()
  const account = await Account.findByPk(accountId)
  if (!account) throw notFound()
  const { channels, version } = await noticesOf(accountId)
  if (channels.general.length > 0) {
    await putVersion(NoticeChoice, { accountId }, version, { channels: { ...channels, general: [] } })
    await recordEvent(
      deps,
      { kind: 'bearer', name: account.name },
      { code: 'general-mail-refused', about: account.mail },
    )
  }
  return { done: true as const }
}

function same(given: string, expected: string): boolean {
  const [a, b] = [Buffer.from(given), Buffer.from(expected)]
  return a.length === b.length && timingSafeEqual(a, b)
}
