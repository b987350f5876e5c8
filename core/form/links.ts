import { type AnswerValue, isBlank, type Parts } from './answer'
import type { Question } from './form'

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

/** The links in an answer: the answer itself, or those in the records of one. */
export function linksIn({ kind, parts = [] }: Question, answer: AnswerValue): string[] {
  if (kind === 'link') return typeof answer === 'string' ? [answer] : []
  if (kind !== 'records' || isBlank(answer) || !Array.isArray(answer)) return []
  const keys = parts.flatMap((part) => (part.kind === 'link' ? [part.key] : []))
  return (answer as readonly Parts[]).flatMap((record) => keys.flatMap((key) => record[key] || []))
}
