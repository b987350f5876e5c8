import { screen, waitFor } from '@testing-library/react'
import { type Call, showPage } from '../test/page'
import { ProblemNote } from './ui/ProblemNote'
import { useAct } from './useAct'

const id = '0190a3f0-0000-7000-8000-0000000000aa'

function Waiving({ reason }: { reason: string }) {
  const { act, busy, problem } = useAct('waive')
  return (
    <>
      <button type="button" onClick={() => void act({ params: { id }, body: { requirement: 'first-aid', reason } })}>
        Waive
      </button>
      <span>{busy ? 'busy' : 'idle'}</span>
      <ProblemNote problem={problem} />
    </>
  )
}

const keys: (string | undefined)[] = []
/** Notes the key of each call that reaches the server. */
const watching = () => {
  const answered = globalThis.fetch
  globalThis.fetch = ((address: string, init: RequestInit = {}) => {
    if (init.method === 'POST') keys.push((init.headers as Record<string, string>)['Idempotency-Key'])
    return answered(address, init)
  }) as typeof fetch
}
beforeEach(() => void keys.splice(0))

test('a second press while the first is under way does nothing', async () => {
  let finish = () => {}
  const { user, sent } = await showPage(<Waiving reason="Heard by telephone" />, {
    waive: (() => new Promise((done) => (finish = () => done({ done: true })))) as never,
  })
  const press = () => user.click(screen.getByRole('button'))
  await press()
  await press()
  await waitFor(() => expect(sent).toHaveLength(1))
  expect(screen.getByText('busy')).toBeTruthy()
  finish()
  await screen.findByText('idle')
  await press()
  await waitFor(() => expect(sent).toHaveLength(2))
})

test('after a lost connection the next try carries the same key, after an answer another', async () => {
  let connected = false
  const { user } = await showPage(<Waiving reason="Heard by telephone" />, {
    waive: () => (connected ? { done: true as const } : 'no connection'),
  })
  watching()
  const press = async (times: number) => {
    await user.click(screen.getByRole('button'))
    await waitFor(() => expect(keys).toHaveLength(times))
    await screen.findByText('idle')
  }
  await press(1)
  expect(screen.getByRole('alert').textContent).toMatch(/no connection/i)
  connected = true
  await press(2)
  await press(3)
  expect(keys[1]).toBe(keys[0])
  expect(keys[2]).not.toBe(keys[0])
})

test('what the contract does not let in is said before it is sent, in the server’s words', async () => {
  const calls: Call[] = []
  const { user, sent } = await showPage(<Waiving reason="" />, {
    waive: (call) => {
      calls.push(call)
      return { done: true }
    },
  })
  await user.click(screen.getByRole('button'))
  expect((await screen.findByRole('alert')).textContent).toBe('One thing is not right.')
  expect(sent).toEqual([])
})

test('what the server refuses is told with what to do', async () => {
  const problem = { status: 409, title: 'Somebody was first.', detail: 'Look at it anew.' }
  const { user } = await showPage(<Waiving reason="Heard by telephone" />, { waive: { problem } })
  await user.click(screen.getByRole('button'))
  expect((await screen.findByRole('alert')).textContent).toBe('Somebody was first.Look at it anew.')
})
