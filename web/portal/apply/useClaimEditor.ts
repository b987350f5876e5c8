import type { Claim, ClaimDetails } from '#contract/claims'
import { useAct } from '../../useAct'
import { useAgain } from '../../useAgain'
import { useFreshAfterClash } from '../../useFreshAfterClash'
import { useKept } from '../useKept'

/** Editing one claim: what is typed is kept on this device until it is saved or given up. */
export function useClaimEditor<D extends ClaimDetails>(
  key: string,
  initial: D,
  claim: Claim | undefined,
  onDone: () => void,
) {
  const [details, setDetails, forget] = useKept<D>(`probatum-claim-${key}-${claim?.id ?? 'new'}`, initial)
  const adding = useAct('addClaim')
  const changing = useAct('changeClaim')
  const set = <K extends keyof D>(field: K, value: D[K]) => setDetails((before) => ({ ...before, [field]: value }))
  const save = async () => {
    const saved = claim
      ? await changing.act({ params: { id: claim.id }, body: { version: claim.version, details } })
      : await adding.act({ body: { details } })
    if (!saved) return
    forget()
    onDone()
  }
  const { busy, problem } = claim ? changing : adding
  // Without a connection it goes by itself when the connection is back.
  useAgain(problem, () => void save())
  useFreshAfterClash(problem, 'draft')
  const giveUp = () => {
    forget()
    onDone()
  }
  const fault = (field: string) => problem?.faults?.find(({ pointer }) => pointer === `/body/details/${field}`)?.message
  return { details, setDetails, set, save, giveUp, busy, problem, fault }
}
