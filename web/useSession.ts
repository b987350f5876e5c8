import type { Contract } from '#contract/index'
import { type Right, worksHere } from '#core/rights/rights'
import { api, mayCallNamed } from './api'

/** Who is signed in; nothing is drawn that needs to know before this has answered. */
export function useSession() {
  // A machine that wakes up after half an hour finds its session over: the next act asks for the password and keeps what
  // was typed, where reading this anew would lead away from it.
  const { data } = api.endpoints.readSession.useQuery({}, { refetchOnReconnect: false })
  const roles = data?.account?.roles ?? []
  const rights = data?.account?.rights ?? []
  return {
    ready: data !== undefined,
    account: data?.account ?? null,
    demo: data?.demo ?? false,
    /** The organisation whose application this is. */
    organisation: data?.organisation,
    /** What the organisation's identity provider is called, where it has one. */
    provider: data?.provider ?? null,
    codesFirst: data?.codesFirst ?? false,
    roles,
    rights,
    staff: worksHere(roles),
    holds: (right: Right) => rights.includes(right),
    /** Whether their rights allow an act, by the contract itself. */
    may: (name: keyof Contract) => mayCallNamed(name, { roles, rights }),
  }
}
