import * as oidc from 'openid-client'

/** Who somebody is, as the identity provider of the organisation says. */
export type ProvidedPerson = {
  /** Who issued the statement and the person's name there, which never changes. */
  subject: string
  mail: string
  mailVerified: boolean
  name: string
  /** The values of the claim that holds roles; absent where there is no such claim. */
  roles?: readonly string[]
}

/** What is kept between leaving for the provider and coming back; the state comes back in the address. */
export type SignInChecks = { state: string; nonce: string; verifier: string; again: boolean }

/** The provider did not answer, answered with an error, or with what cannot be trusted; `reason` is a word of the protocol. */
export class ProviderRefused extends Error {
  constructor(
    readonly reason: string,
    options?: ErrorOptions,
  ) {
    super(`the identity provider refused: ${reason}`, options)
  }
}

export type IdentityProvider = {
  /** Where the browser is sent, and what has to fit when it comes back. */
  begin: (given: {
    returnTo: string
    again: boolean
    mail?: string
  }) => Promise<{ address: string; checks: SignInChecks }>
  /**
   * Who has come back.
   *
   * @param returned the whole address the browser came back with
   * @throws ProviderRefused
   */
  finish: (returned: URL, checks: SignInChecks) => Promise<ProvidedPerson>
}

export type ProviderSettings = { issuer: string; clientId: string; clientSecret: string; rolesClaim: string }

/** Where the provider sends people back to; it has to be told so as well. */
export const returnAddress = (publicUrl: string) => `${publicUrl}/sign-in/return`

const patienceSeconds = 10
/** Somebody who confirms who they are has done so within these seconds, not once this morning. */
const freshSeconds = 120

/**
 * An identity provider over OpenID Connect: authorization code with proof key (RFC 7636), state and nonce. Its description is
 * read when it is first needed and kept; where it could not be read it is tried again with the next person.
 */
export function openidProvider({ issuer, clientId, clientSecret, rolesClaim }: ProviderSettings): IdentityProvider {
  const server = new URL(issuer)
  let known: Promise<oidc.Configuration> | undefined
  const described = () => {
    known ??= oidc
      .discovery(server, clientId, clientSecret, undefined, {
        timeout: patienceSeconds,
        // The stand-in of the demo and of tests, on this machine; settings refuse it anywhere else.
        ...(server.protocol === 'http:' ? { execute: [oidc.allowInsecureRequests] } : {}),
      })
      .catch((error: unknown) => {
        known = undefined
        throw refusal(error)
      })
    return known
  }
  return {
    begin: async ({ returnTo, again, mail }) => {
      const configuration = await described()
      const verifier = oidc.randomPKCECodeVerifier()
      const checks = { state: oidc.randomState(), nonce: oidc.randomNonce(), verifier, again }
      const address = oidc.buildAuthorizationUrl(configuration, {
        redirect_uri: returnTo,
        scope: 'openid email profile',
        state: checks.state,
        nonce: checks.nonce,
        code_challenge: await oidc.calculatePKCECodeChallenge(verifier),
        code_challenge_method: 'S256',
        ...(again ? { prompt: 'login', max_age: '0' } : {}),
        ...(mail ? { login_hint: mail } : {}),
      })
      return { address: address.href, checks }
    },
    finish: async (returned, { state, nonce, verifier, again }) => {
      const configuration = await described()
      try {
        const tokens = await oidc.authorizationCodeGrant(configuration, returned, {
          expectedState: state,
          expectedNonce: nonce,
          pkceCodeVerifier: verifier,
          idTokenExpected: true,
          ...(again ? { maxAge: freshSeconds } : {}),
        })
        const claims = tokens.claims()!
        const stated = { ...claims }
        // Some say who somebody is only when they are asked for it.
        if (typeof claims.email !== 'string' || valueAt(claims, rolesClaim) === undefined)
          Object.assign(stated, await moreOf(configuration, tokens.access_token, claims.sub), claims)
        return personOf(stated, rolesClaim)
      } catch (error) {
        throw refusal(error)
      }
    },
  }
}

async function moreOf(configuration: oidc.Configuration, token: string, subject: string): Promise<object> {
  if (!configuration.serverMetadata().userinfo_endpoint) return {}
  return oidc.fetchUserInfo(configuration, token, subject)
}

function personOf(claims: Record<string, unknown> & { iss: string; sub: string }, rolesClaim: string): ProvidedPerson {
  const text = (name: string) => (typeof claims[name] === 'string' ? (claims[name] as string).trim() : '')
  const roles = valueAt(claims, rolesClaim)
  return {
    subject: `${claims.iss} ${claims.sub}`,
    mail: text('email').toLowerCase(),
    mailVerified: claims.email_verified === true,
    name: text('name') || [text('given_name'), text('family_name')].filter(Boolean).join(' '),
    ...(roles === undefined
      ? {}
      : { roles: [roles].flat().filter((role): role is string => typeof role === 'string') }),
  }
}

/** A claim by its name, or inside another by a path with dots: `access.roles`. */
function valueAt(claims: object, path: string): unknown {
  let value: unknown = claims
  for (const name of path in claims ? [path] : path.split('.'))
    value = (value as Record<string, unknown> | null)?.[name]
  return value
}

/** What the protocol calls it, where it says so; whatever else went wrong is a provider that cannot be reached. */
function refusal(error: unknown): ProviderRefused {
  if (error instanceof oidc.AuthorizationResponseError || error instanceof oidc.ResponseBodyError)
    return new ProviderRefused(error.error, { cause: error })
  const { code } = error as { code?: unknown }
  return new ProviderRefused(typeof code === 'string' ? code : 'unreachable', { cause: error })
}
