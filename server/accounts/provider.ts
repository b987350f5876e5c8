import { Op, UniqueConstraintError } from 'sequelize'
import { v7 as uuid } from 'uuid'
import { type StaffRole, worksHere } from '#core/rights/rights'
import { recordEvent } from '../platform/audit/record'
import type { ProviderConfig } from '../platform/config'
import { changeWhere } from '../platform/database/compareAndSet'
import { inTransaction } from '../platform/database/connection'
import type { Account as Actor, Deps } from '../platform/deps'
import { changedMeanwhile } from '../platform/errors/problems'
import { languageOfAccount } from '../platform/http/language'
import { hashOf } from '../platform/http/tokens'
import {
  type IdentityProvider,
  type ProvidedPerson,
  ProviderRefused,
  returnAddress,
} from '../platform/outside/identityProvider'
import { Account, ProviderSignIn } from '../records/accounts/model'
import { actingColleague } from '../records/accounts/staff'
import { rolesValue } from './invite'
import { hasAdministrator, holdAdministrators } from './lastAdministrator'
import { voidLinks } from './links'
import { noPassword } from './password'
import { problems } from './problems'
import { confirmSession, openSession } from './session'

/** Sign-in through the organisation's own identity provider. Only who works here comes that way. */

/** For so long somebody may take to say at the provider who they are. */
const minutes = 15

type Provider = ProviderConfig & IdentityProvider

/** The provider with what was set of it. Throws not-found where the organisation has none. */
function providerOf({ identityProvider, config }: Pick<Deps, 'identityProvider' | 'config'>): Provider {
  if (!identityProvider || !config.identityProvider) throw problems.noProvider()
  return { ...config.identityProvider, ...identityProvider }
}

type Leaving = { browser: string; next?: string; actor?: Actor }

/**
 * Sends somebody to the provider: to sign in, or, where they are signed in, to confirm that it is still they.
 *
 * @param leaving.browser the secret of the browser; nobody can come back in another
 * @throws Problem `provider-unreachable`
 */
export async function leaveForProvider(deps: Deps, { browser, next, actor }: Leaving): Promise<{ address: string }> {
  const provider = providerOf(deps)
  const { address, checks } = await provider
    .begin({
      returnTo: returnAddress(deps.config.publicUrl),
      again: actor !== undefined,
      ...(actor ? { mail: actor.mail } : {}),
    })
    .catch((error: unknown) => {
      throw refused(deps, provider, error)
    })
  await ProviderSignIn.destroy({ where: { expiresAt: { [Op.lt]: new Date() } } })
  await ProviderSignIn.create({
    stateHash: hashOf(checks.state),
    browserHash: hashOf(browser),
    verifier: deps.vault.seal('provider', checks.verifier),
    nonce: checks.nonce,
    accountId: actor?.id ?? null,
    next: next ?? null,
    // Like sessions by the machine's clock.
    expiresAt: new Date(Date.now() + minutes * 60_000),
  })
  return { address }
}

type Returning = { search: string; browser: string | undefined; session: string | undefined }
type Returned =
  | { what: 'signed in'; next: string | null; actor: Actor; session: string }
  | { what: 'confirmed'; next: null; actor: Actor }

/**
 * Somebody who has come back from the provider. Each way there leads back once, in the browser it began in.
 *
 * @param returning.search what the provider added to the address
 * @throws Problem `sign-in-over`, `provider-refused`, `provider-unreachable`, `no-address`, `no-role`, `address-taken`,
 *   `suspended`, `somebody-else`
 */
export async function returnFromProvider(deps: Deps, returning: Returning): Promise<Returned> {
  const { search, browser } = returning
  const provider = providerOf(deps)
  const returned = new URL(`${returnAddress(deps.config.publicUrl)}?${search.replace(/^\?/, '')}`)
  const state = returned.searchParams.get('state') ?? ''
  const left = await takeSignIn(state, browser)
  const verifier = deps.vault.unseal('provider', left.verifier)
  if (verifier === undefined) throw problems.signInOver()
  const person = await provider
    .finish(returned, { state, nonce: left.nonce, verifier, again: left.accountId !== null })
    .catch((error: unknown) => {
      throw refused(deps, provider, error)
    })
  return inTransaction(deps.sequelize, () =>
    left.accountId === null
      ? comeIn(deps, provider, person, left.next)
      : confirm(left.accountId, person, returning.session ?? ''),
  )
}

async function comeIn(deps: Deps, provider: Provider, person: ProvidedPerson, next: string | null): Promise<Returned> {
  const account = await accountOf(deps, provider, person)
  await account.update({ signedInAt: new Date() })
  return { what: 'signed in', next, actor: await actingColleague(account), session: await openSession(account.id) }
}

/** They are who they were: what asks for a password again now has it. */
async function confirm(accountId: string, person: ProvidedPerson, session: string): Promise<Returned> {
  const account = await Account.findByPk(accountId)
  if (account?.providerSubject !== person.subject || !(await confirmSession(session, accountId)))
    throw problems.somebodyElse()
  return { what: 'confirmed', next: null, actor: await actingColleague(account) }
}

/** Takes a way back up, once, however often the address is opened at the same moment. */
async function takeSignIn(state: string, browser: string | undefined): Promise<ProviderSignIn> {
  const where = { stateHash: hashOf(state), browserHash: hashOf(browser ?? ''), expiresAt: { [Op.gt]: new Date() } }
  const left = await ProviderSignIn.findOne({ where })
  if (!left || (await ProviderSignIn.destroy({ where })) === 0) throw problems.signInOver()
  return left
}

/** The account of somebody whom the provider knows: theirs, the one they were invited to, or one that is made now. */
async function accountOf(deps: Deps, provider: Provider, person: ProvidedPerson): Promise<Account> {
  const known = await Account.findOne({ where: { providerSubject: person.subject } })
  const account = known ?? (await accountByMail(provider, person))
  if (account?.suspendedAt) throw problems.suspended()
  const roles = rolesOf(provider, person) ?? (account?.roles as StaffRole[] | undefined) ?? []
  if (roles.length === 0) throw problems.noRole(provider.name)
  const own = account ?? (await makeAccount(deps, provider, person, roles))
  if (account && !known) await join(deps, account, person)
  if (account) await takeRoles(deps, account, provider, roles)
  if (known) await takeMail(deps, known, person)
  return own
}

async function accountByMail({ name }: Provider, { mail, mailVerified }: ProvidedPerson): Promise<Account | null> {
  // An address that anybody may have typed at the provider opens nobody's account.
  if (mail === '' || !mailVerified) throw problems.noAddress(name)
  const account = await Account.findOne({ where: { mail } })
  if (account && (!worksHere(account.roles) || account.providerSubject !== null)) throw problems.addressTaken(mail)
  return account
}

/**
 * What the claim says of somebody's roles here, each once. A claim that is not there says none, as many providers leave it out
 * where it would be empty. Nothing where no roles are to come from the provider: then they are given at the desk.
 */
function rolesOf({ roles, rolesClaim }: ProviderConfig, person: ProvidedPerson): StaffRole[] | undefined {
  if (rolesClaim === '') return undefined
  return [...new Set((person.roles ?? []).flatMap((value) => (Object.hasOwn(roles, value) ? [roles[value]!] : [])))]
}

async function makeAccount(deps: Deps, { name: provider }: Provider, person: ProvidedPerson, roles: StaffRole[]) {
  const now = deps.clock.now()
  const account = await Account.create({
    id: uuid(),
    mail: person.mail,
    name: person.name || person.mail,
    passwordHash: noPassword,
    roles,
    confirmedAt: now,
    createdAt: now,
    language: languageOfAccount(),
    providerSubject: person.subject,
  }).catch((error: unknown) => {
    // Twice at the same moment: one of them makes it, the other is there with the next try.
    throw error instanceof UniqueConstraintError ? changedMeanwhile() : error
  })
  await recordEvent(deps, await actingColleague(account), {
    code: 'colleague-came',
    words: 'colleague-came.provider',
    values: { provider, roles: rolesValue(roles) },
    about: account.mail,
  })
  return account
}

/** From now on they come through the provider: a password of before opens nothing, nor does a link that was mailed. */
async function join(deps: Deps, account: Account, { subject }: ProvidedPerson) {
  const changed = await changeWhere(
    account,
    { providerSubject: null },
    {
      providerSubject: subject,
      confirmedAt: account.confirmedAt ?? deps.clock.now(),
      ...(account.breakGlass ? {} : { passwordHash: noPassword }),
    },
  )
  if (!changed) throw problems.signInOver()
  await voidLinks(account.id)
  await recordEvent(deps, await actingColleague(account), { code: 'provider-joined', about: account.mail })
}

/** Roles follow the claim. Whoever is the last to look after people and rights goes on doing so. */
async function takeRoles(deps: Deps, account: Account, { name: provider }: Provider, roles: StaffRole[]) {
  const before = account.roles
  if (sameRoles(before, roles)) return
  await holdAdministrators(deps)
  await account.update({ roles, version: account.version + 1 })
  if (!(await hasAdministrator())) {
    const kept = [...new Set([...roles, 'administrator' as const])]
    if (sameRoles(before, kept)) return void (await account.update({ roles: before }))
    await account.update({ roles: kept })
  }
  await recordEvent(deps, await actingColleague(account), {
    code: 'colleague-changed',
    words: 'colleague-changed.provider',
    values: { provider, before: rolesValue(before), roles: rolesValue(account.roles) },
    about: account.mail,
  })
}

/** Where mails go follows the provider as well, unless the address is somebody else's here. */
async function takeMail(deps: Deps, account: Account, { mail, mailVerified }: ProvidedPerson) {
  if (!mailVerified || mail === '' || mail === account.mail) return
  if (await Account.findOne({ where: { mail } })) return
  const before = account.mail
  await account.update({ mail })
  await recordEvent(deps, await actingColleague(account), { code: 'mail-changed', values: { before }, about: mail })
}

const sameRoles = (one: readonly string[], other: readonly string[]) =>
  one.length === other.length && one.every((role) => other.includes(role))

/** A refusal in words; what the provider could not say is on the log. */
function refused({ log }: Deps, { name }: Provider, error: unknown): Error {
  if (!(error instanceof ProviderRefused)) return error as Error
  log.warn({ reason: error.reason, cause: String(error.cause) }, 'sign-in through the identity provider')
  return error.reason === 'unreachable'
    ? problems.providerUnreachable(name)
    : problems.providerRefused(name, error.reason)
}
