import type { Question, Section } from '../form/form'

/** What of a file not everybody at the desk needs. */
export const hiddenKinds = ['name', 'identity number', 'birth date', 'declarations', 'health'] as const
export type HiddenKind = (typeof hiddenKinds)[number]

type Needs = { sees: readonly string[]; mayReveal: readonly string[] }

/**
 * Who sees what without asking, because the work of the role needs it, and who may have it shown with a reason on record.
 * Birth dates are compared with what sources say; identity numbers only when an identity is settled. A name is hidden
 * only where a vacancy hides names until the shortlist.
 */
export const needs: Readonly<Record<HiddenKind, Needs>> = {
  name: { sees: [], mayReveal: ['coordinator', 'administrator'] },
  'identity number': { sees: [], mayReveal: ['coordinator', 'administrator'] },
  'birth date': { sees: ['coordinator'], mayReveal: ['hiring manager', 'administrator'] },
  declarations: { sees: ['coordinator'], mayReveal: ['hiring manager', 'administrator'] },
  health: { sees: ['coordinator'], mayReveal: ['administrator'] },
}

export const sees = (roles: readonly string[], kind: HiddenKind) =>
  roles.some((role) => needs[kind].sees.includes(role))
export const mayReveal = (roles: readonly string[], kind: HiddenKind) =>
  roles.some((role) => needs[kind].mayReveal.includes(role))

/** What is hidden, and of which claim; the text that asks for it to be shown. */
export const subjectOf = (kind: HiddenKind, claimId?: string) => (claimId ? `${kind} ${claimId}` : kind)

/** The kind a subject is of, or `undefined` where it is none. */
export const kindOfSubject = (subject: string): HiddenKind | undefined =>
  hiddenKinds.find((kind) => subject === kind || subject.startsWith(`${kind} `))

/** As what the answer to a question is hidden, if it is. */
export function hiddenKindOfQuestion(section: Section, question: Question): HiddenKind | undefined {
  if (question.kind === 'identity number') return 'identity number'
  if (question.fill === 'bday' || question.key === 'about.born') return 'birth date'
  if (section.key === 'declarations' || question.kind === 'declaration') return 'declarations'
  return undefined
}

/** Whether somebody could be known by the answer to a question: who they are, how they are reached, where they live. */
export const tellsWho = (section: Section, question: Question): boolean =>
  section.key === 'about' || section.key === 'contact' || question.fill !== undefined

/** As what a claim is hidden, if it is: papers of identity by their number, papers of health whole. */
export function hiddenKindOfClaim(details: { kind: string; credential?: string }): HiddenKind | undefined {
  if (details.kind === 'identity') return 'identity number'
  return details.credential === 'medical' ? 'health' : undefined
}

/** A number with all but its last two characters covered; short ones wholly. */
export const covered = (text: string) =>
  text.length < 5 ? '•'.repeat(text.length) : `${'•'.repeat(text.length - 2)}${text.slice(-2)}`

/**
 * A copy of a value in which the texts of some fields, wherever they are, and every text that holds a secret are covered.
 *
 * @param fields names of fields whose texts are covered, also where an object says by `key` which field it is of
 * @param cover what stands instead of the text of such a field
 */
export function coverIn<T>(value: T, fields: ReadonlySet<string>, secrets: readonly string[], cover = covered): T {
  const telling = secrets.filter((secret) => secret.length >= 4)
  const walk = (part: unknown, inside: boolean): unknown => {
    if (typeof part === 'string') {
      if (inside) return cover(part)
      return telling.reduce((text, secret) => text.split(secret).join(covered(secret)), part)
    }
    if (Array.isArray(part)) return part.map((each) => walk(each, inside))
    if (typeof part !== 'object' || part === null) return part
    const ofField = 'key' in part && typeof part.key === 'string' && fields.has(part.key)
    return Object.fromEntries(
      Object.entries(part).map(([name, own]) => {
        const covers = fields.has(name) || (ofField && ['claimed', 'document', 'source'].includes(name))
        return [name, walk(own, inside || (covers && typeof own === 'string'))]
      }),
    )
  }
  return walk(value, false) as T
}
