import { topics } from '#contract/endpoint'
import { contract } from '#contract/index'

/** Prints what a client needs to call every endpoint, as JSON: the shapes are checked by the server and stay there. */
const endpoints = Object.fromEntries(
  Object.entries(contract).map(([name, { method, path, access, idempotent, bytes, behalf, invalidates }]) => [
    name,
    { method, path, access, idempotent, bytes, behalf, invalidates },
  ]),
)
process.stdout.write(JSON.stringify({ endpoints, topics }))
