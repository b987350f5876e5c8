/**
 * Loaded first in each process of the server's tests. Their runner (jest-light-runner) tells all processes what they are to do
 * as soon as the first of them asks, and none of them again: one that starts more slowly has no ear for it yet, and would
 * wait for ever. What is told is kept here until it is asked for.
 */
const asks = 'jest-light-runner-get-worker-data'
const tells = 'jest-light-runner-worker-data'

if (process.send) {
  const { send, on } = process
  let told
  let listening = false
  // Only once somebody else listens: before that, Node keeps what comes for the first who does.
  process.on = (event, listener) => {
    const result = on.call(process, event, listener)
    if (event === 'message' && !listening) {
      listening = true
      on.call(process, 'message', (message) => {
        if (message?.type === tells) told = message
      })
    }
    return result
  }
  process.send = (message, ...rest) => {
    if (message !== asks || !told) return send.call(process, message, ...rest)
    setImmediate(() => process.emit('message', told))
    return true
  }
}
