import type { Contract } from '#contract/index'
import { api, mayCallNamed } from './api'

/** Who is signed in; nothing is drawn that needs to know before this has answered. */
export function useSession() {
  // A machine that wakes up after half an hour finds its session over: the next act asks for the password and keeps what
  // was typed, where reading this anew would lead away from it.
  const { data } = api.endpoints.readSession.useQuery({}, { refetchOnReconnect: false })
  const roles = data?.account?.roles ?? []
  const staff = roles.some((role) => role !== 'candidate')
  /** Whose work it is to keep the files: they write, decide and take lists along. */
  const isKeeper = roles.includes('coordinator') || roles.includes('administrator')
  return {
    ready: data !== undefined,
    account: data?.account ?? null,
    demo: data?.demo ?? false,
    /** The organisation whose application this is. */
    operator: data?.operator ?? '',
    codesFirst: data?.codesFirst ?? false,
    roles,
    staff,
    isKeeper,
    /** Whether their roles allow an act, by the contract itself. */
    may: (name: keyof Contract) => mayCallNamed(name, roles),
  }
}
