/** What a window of its own tells the one it was opened from: somebody has signed in there, or shown that it is still they. */
const name = 'probatum-signed-in'

export function tellOtherWindows() {
  const channel = new BroadcastChannel(name)
  channel.postMessage('done')
  channel.close()
}

/** Calls back once that was told; gives what ends listening. */
export function whenToldByOtherWindow(told: () => void): () => void {
  const channel = new BroadcastChannel(name)
  channel.onmessage = told
  return () => channel.close()
}

/** Where a window ends that was opened only to sign in. */
export const windowDone = '/sign-in/done'
