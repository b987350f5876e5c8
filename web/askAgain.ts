/** What stands between somebody and what they were doing: a session that has ended, or an act that wants the password. */
export type Asked = 'sign-in-first' | 'password-again'

type Asking = (asked: Asked) => Promise<boolean>

let asking: Asking | undefined
let underWay: { asked: Asked; answer: Promise<boolean> } | undefined

/** Says who asks; a page without one shows the refusal as it came. */
export function askWith(next: Asking | undefined) {
  asking = next
}

/**
 * Asks once for all calls that were refused at the same moment.
 *
 * @returns whether it is worth calling again
 */
export async function askAgain(asked: string): Promise<boolean> {
  if (!asking || (asked !== 'sign-in-first' && asked !== 'password-again')) return false
  // Who signs in has just given the password.
  if (underWay && (underWay.asked === asked || underWay.asked === 'sign-in-first')) return underWay.answer
  const answer = asking(asked)
  underWay = { asked, answer }
  return answer.finally(() => {
    underWay = undefined
  })
}

/** For so long without a key, a click or a touch nobody is at the page. */
const idleMs = 60_000
let touchedAt = Date.now()
for (const event of ['keydown', 'pointerdown', 'wheel', 'touchstart'])
  window.addEventListener(
    event,
    () => {
      touchedAt = Date.now()
    },
    { passive: true, capture: true },
  )

/** What a page asks by itself keeps no session alive: the server is told where nobody is at it. */
export const idleHeader = (): Record<string, string> =>
  Date.now() - touchedAt > idleMs ? { 'X-Probatum-Idle': 'yes' } : {}
