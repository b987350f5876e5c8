import type { ClaimDetails } from '#contract/claims'
import type { FieldReply } from '#contract/verification'
import type { Statement } from '#core/comparison/compareClaim'
import { credentialKind } from '#core/requirements/catalogue'

export type Person = { name: string; born: string | null }

/** What a person claims, as the values that are compared with document and reply. */
export function claimedStatement(details: ClaimDetails, person: Person): Record<string, string> {
  const common = { name: person.name, ...(person.born ? { born: person.born } : {}) }
  const fields: Record<string, string> =
    details.kind === 'study'
      ? {
          ...common,
          award: details.award,
          subject: details.subject,
          number: details.number,
          ...(details.to === 'present' ? {} : { awarded: details.to }),
        }
      : details.kind === 'work'
        ? {
            ...common,
            position: details.position,
            from: details.from,
            ...(details.to === 'present' ? {} : { to: details.to }),
          }
        : details.kind === 'paper'
          ? { ...common, title: details.title }
          : details.kind === 'residence'
            ? { ...common, title: details.address }
            : details.kind === 'identity'
              ? {
                  ...common,
                  ...(details.familyName ? { name: `${details.givenNames} ${details.familyName}`.trim() } : {}),
                  ...(details.born ? { born: details.born } : {}),
                  number: details.number,
                  through: details.through,
                }
              : {
                  ...common,
                  title: credentialKind(details.credential)?.name ?? details.credential,
                  number: details.number,
                  issued: details.issued,
                  ...(/^\d/.test(details.through) ? { through: details.through } : {}),
                }
  return Object.fromEntries(Object.entries(fields).filter(([, value]) => value !== ''))
}

/** What a source said, as values: agreeing repeats what was claimed. */
export function repliedStatement(
  claimed: Readonly<Record<string, string>>,
  fields: Readonly<Record<string, FieldReply>>,
): Statement {
  return Object.fromEntries(
    Object.entries(fields).map(([key, reply]) => {
      if (reply.says === 'agrees') return [key, claimed[key]]
      return [key, reply.says === 'differs' ? reply.value : { cannotSay: true as const }]
    }),
  )
}
