import { readFileSync } from 'node:fs'
import type { IncomingMessage, ServerResponse } from 'node:http'
import type Provider from 'oidc-provider'
import { bodyOf, escaped, html, notThere } from './page'

/** Somebody the identity provider knows. */
export type KnownPerson = { sub: string; name: string; mail: string; mailVerified?: boolean; roles?: readonly string[] }

export type IdentityStandIn = {
  provider: Provider
  people: () => readonly KnownPerson[]
}

export const identityClient = { id: 'probatum', secret: 'the-secret-of-the-stand-in' }

const path = '/identity'

/**
 * An identity provider that speaks OpenID Connect and asks nobody for a password: who comes chooses who they are.
 *
 * @param issuer its address, which ends with `/identity`
 * @param returnTo where the application has people sent back to
 * @param people whom it knows, asked each time
 */
export async function openIdentity(
  issuer: string,
  returnTo: string,
  people: IdentityStandIn['people'],
): Promise<IdentityStandIn> {
  return quietly(async () => ({ provider: await providerFor(issuer, returnTo, people), people }))
}

/** The package says on the console that it keeps nothing and would like a newer Node.js. For a stand-in neither matters. */
async function quietly<T>(act: () => Promise<T>): Promise<T> {
  const { warn, info } = console
  Object.assign(console, { warn: () => undefined, info: () => undefined })
  return act().finally(() => Object.assign(console, { warn, info }))
}

async function providerFor(issuer: string, returnTo: string, people: IdentityStandIn['people']): Promise<Provider> {
  const { default: Provider } = await import('oidc-provider')
  const provider: Provider = new Provider(issuer, {
    clients: [
      {
        client_id: identityClient.id,
        client_secret: identityClient.secret,
        redirect_uris: [returnTo],
        grant_types: ['authorization_code'],
        response_types: ['code'],
      },
    ],
    pkce: { required: () => true },
    claims: { openid: ['sub'], email: ['email', 'email_verified'], profile: ['name', 'roles'] },
    // Roles go into the token itself, as most do who give them at all.
    conformIdTokenClaims: false,
    cookies: { keys: ['only-for-the-stand-in'] },
    features: { devInteractions: { enabled: false } },
    interactions: { url: (_, { uid }) => `${path}/who/${uid}` },
    findAccount: (_, sub) => {
      const person = people().find((one) => one.sub === sub)
      return (
        person && {
          accountId: sub,
          claims: () => ({
            sub,
            name: person.name,
            email: person.mail,
            email_verified: person.mailVerified ?? true,
            ...(person.roles ? { roles: [...person.roles] } : {}),
          }),
        }
      )
    },
    // Nobody is asked whether the application may know who they are.
    loadExistingGrant: async ({ oidc }) => {
      const grant = new provider.Grant({ clientId: oidc.client!.clientId, accountId: oidc.session!.accountId! })
      grant.addOIDCScope('openid email profile')
      await grant.save()
      return grant
    },
  })
  return provider
}

/** People by a file that is read each time, so that the demo can be loaded while this runs. */
export const peopleIn =
  (file: string | undefined): IdentityStandIn['people'] =>
  () => {
    try {
      return file ? (JSON.parse(readFileSync(file, 'utf8')) as KnownPerson[]) : []
    } catch (error) {
      if ((error as NodeJS.ErrnoException).code === 'ENOENT') return []
      throw error
    }
  }

export async function answerIdentity(
  { provider, people }: IdentityStandIn,
  request: IncomingMessage & { originalUrl?: string },
  url: URL,
  response: ServerResponse,
) {
  if (url.pathname.startsWith(`${path}/who/`)) return who(provider, people(), request, response)
  request.originalUrl = request.url
  request.url = request.url!.slice(path.length)
  await provider.callback()(request, response)
}

async function who(
  provider: Provider,
  people: readonly KnownPerson[],
  request: IncomingMessage,
  response: ServerResponse,
) {
  if (request.method === 'POST') {
    const accountId = new URLSearchParams(await bodyOf(request)).get('sub') ?? ''
    if (accountId === '')
      return provider.interactionFinished(
        request,
        response,
        { error: 'access_denied' },
        { mergeWithLastSubmission: false },
      )
    const login = { accountId, remember: false }
    return provider.interactionFinished(request, response, { login }, { mergeWithLastSubmission: false })
  }
  const details = await provider.interactionDetails(request, response).catch(() => undefined)
  if (!details) return notThere(response)
  const hint = details.params.login_hint
  const choices = people
    .filter(({ mail }) => typeof hint !== 'string' || mail === hint)
    .map(
      ({ sub, name, mail, roles = [] }) =>
        `<p><button name="sub" value="${escaped(sub)}">${escaped(name)}</button> ${escaped(mail)}, ${escaped(roles.join(', ') || 'no role')}</p>`,
    )
  html(
    response,
    'Who are you?',
    `<h1>Who are you?</h1><p>The identity provider of the demo asks for no password.</p>
     <form method="post">${choices.join('')}<p><button name="sub" value="">None of them</button></p></form>`,
  )
}
