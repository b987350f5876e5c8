const longest = 500
const address = /^https:\/\/(?<host>[^\s/?#@:\\]+)(?:[/?#]\S*)?$/i

/**
 * The host a link leads to, or nothing where it is none that is safe to follow: only by `https`, to a name (no bare number of a
 * machine, no other port), without a sign-in in it that makes it look like somewhere else. A name in other scripts is given
 * as the browser writes it in ASCII, so that letters that look alike are told apart.
 */
export function hostOf(link: string): string | undefined {
  if (link.length > longest || !address.test(link)) return undefined
  let host: string
  try {
    host = new URL(link).hostname
  } catch {
    return undefined
  }
  return /^(?:[a-z0-9-]+\.)+[a-z][a-z0-9-]*[a-z0-9]$/.test(host) ? host : undefined
}
