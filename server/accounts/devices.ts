import { randomUUID } from 'node:crypto'
import type { Deps } from '../platform/deps'

/** Browsers that have signed in before: a sealed cookie that names the accounts, and nothing else of anybody. */
type Device = { id: string; accounts: string[] }

const purpose = 'device'
const mostAccounts = 8
export const deviceDays = 365

/** The device of a cookie, where it has signed in to this account before. */
export function knownDevice({ vault }: Pick<Deps, 'vault'>, cookie: string | undefined, accountId: string) {
  const device = read(vault, cookie)
  return device?.accounts.includes(accountId) ? device : undefined
}

/** The cookie once somebody has signed in to an account in it. */
export function rememberAccount({ vault }: Pick<Deps, 'vault'>, cookie: string | undefined, accountId: string): string {
  const { id, accounts } = read(vault, cookie) ?? { id: randomUUID(), accounts: [] }
  const next: Device = {
    id,
    accounts: [accountId, ...accounts.filter((one) => one !== accountId)].slice(0, mostAccounts),
  }
  return vault.seal(purpose, JSON.stringify(next))
}

function read(vault: Deps['vault'], cookie: string | undefined): Device | undefined {
  const text = cookie && vault.unseal(purpose, cookie)
  return text ? (JSON.parse(text) as Device) : undefined
}
