import { SDJwtInstance } from '@sd-jwt/core'
import { digest, ES256, generateSalt } from '@sd-jwt/crypto-nodejs'
import type { Report } from '#core/report/report'
import type { Deps } from '../platform/deps'
import type { Signer } from './signing'
import { statusEntryOf } from './statusList'

export const credentialType = 'VerificationReportCredential'

type Ours = Pick<Deps, 'config'>

export const schemaAddress = ({ config }: Ours) => `${config.publicUrl}/api/schemas/report-1.json`
export const contextAddress = ({ config }: Ours) => `${config.publicUrl}/api/schemas/report-1.context.json`

type Given = { id: string; report: Report; endsAt: Date; statusIndex: number }

/** A report as a credential (W3C, Verifiable Credentials Data Model v2.0, 2025). */
export const credentialOf = (deps: Ours, { did }: Pick<Signer, 'did'>, { id, report, endsAt, statusIndex }: Given) => ({
  '@context': ['https://www.w3.org/ns/credentials/v2', contextAddress(deps)],
  id: `urn:uuid:${id}`,
  type: ['VerifiableCredential', credentialType],
  issuer: { id: did, name: report.issuer },
  validFrom: report.madeAt,
  validUntil: endsAt.toISOString(),
  credentialSchema: { id: schemaAddress(deps), type: 'JsonSchema' },
  credentialStatus: statusEntryOf(deps, statusIndex),
  credentialSubject: report,
})

/** Signed whole (W3C, Securing Verifiable Credentials using JOSE and COSE, 2025). */
export const signCredential = (signer: Signer, credential: object) => signer.sign('vc+jwt', credential)

/**
 * The same with each claim, and what else is not for everybody, to be shown or hidden one by one (RFC 9901, Selective Disclosure
 * for JWTs): whoever holds it leaves out the disclosures of what it is not to show.
 */
export async function signDisclosable(signer: Signer, credential: ReturnType<typeof credentialOf>): Promise<string> {
  const instance = new SDJwtInstance<Record<string, unknown>>({
    signer: await ES256.getSigner(signer.privateJwk),
    ...{ signAlg: signer.alg, hasher: digest, hashAlg: 'sha-256', saltGenerator: generateSalt },
  })
  const { claims, flags, waived, declared, notChecked, withheld } = credential.credentialSubject
  const apart = (rows: readonly unknown[]) => ({ _sd: rows.map((_row, nth) => nth) })
  const frame = {
    credentialSubject: {
      ...{ claims: apart(claims), waived: apart(waived), declared: apart(declared) },
      ...{ notChecked: apart(notChecked), withheld: apart(withheld), flags: apart(flags) },
      person: { _sd: ['born'].filter((key) => key in credential.credentialSubject.person) },
      ...('application' in credential.credentialSubject ? { _sd: ['application'] } : {}),
    },
  }
  return instance.issue(credential as unknown as Record<string, unknown>, frame as never, {
    header: { typ: 'vc+sd-jwt', kid: `${signer.did}#${signer.kid}` },
  })
}

/** What shows some claims alone, by their place, and hides everything else that can be hidden. */
export const showOnly = (sdJwt: string, claims: readonly number[]): Promise<string> =>
  new SDJwtInstance({ hasher: digest }).present(sdJwt, {
    credentialSubject: { claims: Object.fromEntries(claims.map((nth) => [nth, true])) },
  } as never)
