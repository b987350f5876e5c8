import { useCallback, useRef, useState } from 'react'
import { useDispatch } from 'react-redux'
import type { Reply } from '#contract/endpoint'
import type { Fault } from '#contract/faults'
import type { Contract } from '#contract/index'
import { say } from '#core/words/say'
import { type Argument, api, type Problem } from './api'
import type { store } from './store'

type Writes = { [Name in keyof Contract]: Contract[Name]['method'] extends 'GET' ? never : Name }[keyof Contract]

/** What is wrong with what is about to be sent; what checks it is fetched with the first act. */
const faultsIn = (name: string, body: unknown): Promise<Fault[]> =>
  import('./faultsOfBody').then(
    ({ faultsOfBody }) => faultsOfBody(name, body),
    () => [],
  )

/** The same problem the server would answer with. */
const notRight = (faults: Fault[]): Problem => ({
  status: 422,
  code: 'invalid',
  title: say('shape.invalid', { count: faults.length }),
  faults,
})

/**
 * One act of a person: a second click while it is under way does nothing, and trying again after a lost connection
 * carries the same key, so that the server does it once. What is not right by the contract is said before it is sent.
 */
export function useAct<Name extends Writes>(name: Name) {
  const dispatch = useDispatch<typeof store.dispatch>()
  const [state, setState] = useState<{ busy: boolean; problem?: Problem }>({ busy: false })
  const underWay = useRef(false)
  const key = useRef<string | undefined>(undefined)

  const act = useCallback(
    async (argument: Argument<Contract[Name]>): Promise<Reply<Contract[Name]> | undefined> => {
      if (underWay.current) return undefined
      underWay.current = true
      setState({ busy: true })
      const faults = argument.body === undefined ? [] : await faultsIn(name, argument.body)
      if (faults.length > 0) {
        underWay.current = false
        setState({ busy: false, problem: notRight(faults) })
        return undefined
      }
      key.current ??= crypto.randomUUID()
      const endpoint = api.endpoints[name] as unknown as {
        initiate: (given: unknown) => (d: unknown) => Promise<{ data?: Reply<Contract[Name]>; error?: Problem }>
      }
      const result = (await dispatch(endpoint.initiate({ ...argument, key: key.current }) as never)) as {
        data?: Reply<Contract[Name]>
        error?: Problem
      }
      underWay.current = false
      // Without an answer nobody knows whether it was done: the key stays for the next try.
      if (result.error?.code !== 'no-connection') key.current = undefined
      setState({ busy: false, problem: result.error })
      return result.error ? undefined : result.data
    },
    [dispatch, name],
  )
  const clear = useCallback(() => setState({ busy: false }), [])
  return { act, busy: state.busy, problem: state.problem, clear }
}
