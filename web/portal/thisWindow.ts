/** This window, for as long as it is open: a lock the browser lets go of when it is closed, reloaded or gone. */
export const thisWindow: string = crypto.randomUUID()

const lockOf = (window: string) => `probatum-window-${window}`
const isLock = (name: string | undefined): name is string => name?.startsWith(lockOf('')) ?? false

// Browsers have locks only on safe origins; elsewhere every window counts as gone, and its answers are taken over.
const locks: LockManager | undefined = navigator.locks
void locks?.request(lockOf(thisWindow), () => new Promise(() => {}))

/** The windows of this browser that are open. */
export async function openWindows(): Promise<Set<string>> {
  const { held = [] } = (await locks?.query()) ?? {}
  return new Set(held.flatMap(({ name }) => (isLock(name) ? [name.slice(lockOf('').length)] : [])))
}
