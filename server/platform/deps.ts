import type { Logger } from 'pino'
import type { Sequelize } from 'sequelize'
import type { Temporal } from 'temporal-polyfill'
import type { Organisation } from '#core/organisation/organisation'
import { type Right, type Role, worksHere } from '#core/rights/rights'
import type { Config } from './config'
import type { CaptureDevice } from './outside/capture'
import type { IdentityProvider } from './outside/identityProvider'
import type { Mailer } from './outside/mail'
import type { PaymentProvider } from './outside/payments'
import type { Places } from './outside/places'
import type { Registers } from './outside/registers'
import type { Scanner } from './outside/scanner'
import type { StatusLists } from './outside/statusLists'
import type { TextGateway } from './outside/textMessages'
import type { Vault } from './vault'

export type Clock = { now: () => Date; today: () => Temporal.PlainDate }

/** What a use case may use: the clock, the ports, the settings. The transaction is around it (see database/connection). */
export type Deps = {
  clock: Clock
  /** Whose application this is, as it was last described. */
  organisation: Organisation
  config: Config
  sequelize: Sequelize
  log: Logger
  vault: Vault
  mailer: Mailer
  /** The organisation's own; absent where it has none. */
  identityProvider: IdentityProvider | undefined
  registers: Registers
  statusLists: StatusLists
  places: Places
  captureDevice: CaptureDevice
  /** Absent where no card is taken. */
  payments: PaymentProvider | undefined
  scanner: Scanner
  texts: TextGateway
}

/** Who acts. A link's bearer has no account; the system acts in jobs. */
export type Actor =
  | {
      kind: 'account'
      id: string
      name: string
      mail: string
      roles: readonly Role[]
      /** What their roles may see and do, by the table of rights. */
      rights: readonly Right[]
      /** The vacancies whose files they see, where those are not all. */
      vacancies?: readonly string[]
      /** Who of the desk writes for this person. */
      by?: { id: string; name: string }
    }
  | { kind: 'nobody' }
  | { kind: 'bearer'; name: string }
  | { kind: 'system' }

export type Account = Extract<Actor, { kind: 'account' }>

/** What does not change while it runs. */
export type Fixed = Omit<Deps, 'clock' | 'organisation'>

export const isStaff = ({ roles }: Pick<Account, 'roles'>) => worksHere(roles)

export const nameOfActor = (actor: Actor): string => {
  if (actor.kind === 'account' && actor.by) return `${actor.by.name} (${actor.name})`
  if (actor.kind === 'account' || actor.kind === 'bearer') return actor.name
  return actor.kind === 'system' ? 'Probatum' : 'Somebody not signed in'
}
