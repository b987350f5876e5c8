import { phoneKey } from '../comparison/keys'
import { speaksFor } from '../enquiries/sender'
import type { FlagFacts } from './facts'
import type { RedFlag } from './redFlag'

/** An office needs longer, whatever it is asked. */
const mostMinutes = 10
/** How long a contact that has never answered is new. */
const newDays = 30
const fewestDigits = 6

/** Answers that came from somewhere else than the source, or quicker than anybody looks something up. */
export function oddAnswers({ answers, claims, freeMail }: FlagFacts): RedFlag[] {
  return answers.flatMap(
    ({ enquiryId, claimId, from, askedAt, answeredAt, contactSince, answeredBefore }): RedFlag[] => {
      const claim = claims.find(({ id }) => id === claimId)
      const source = claim?.source
      if (!claim || !source) return []
      const at = { claimId, enquiryId }
      const values = { claim: claim.label, source: source.name }
      const known = contactSince ? (Date.parse(askedAt) - Date.parse(contactSince)) / 86_400_000 : newDays
      const isNew = !answeredBefore && known < newDays
      const minutes = Math.floor((Date.parse(answeredAt) - Date.parse(askedAt)) / 60_000)
      return [
        ...(from && !speaksFor(from, source.contacts, freeMail)
          ? [{ kind: 'answer from elsewhere' as const, about: `${enquiryId} ${from}`, at, values: { ...values, from } }]
          : []),
        ...(isNew && minutes < mostMinutes
          ? [
              {
                kind: 'answer at once' as const,
                about: enquiryId,
                at,
                values: { ...values, count: Math.max(1, minutes) },
              },
            ]
          : []),
      ]
    },
  )
}

/** Whoever vouches for a candidate, or answers for their source, and is reached as they are themselves. */
export function ownContacts({ claims, vouchings, person }: FlagFacts): RedFlag[] {
  const mails = new Set(person.mails.map((mail) => mail.trim().toLowerCase()))
  const phones = new Set(person.phones.map(phoneKey).filter(({ length }) => length >= fewestDigits))
  const own = ({ mail, phone }: { mail: string; phone: string }): string | undefined => {
    if (mails.has(mail.trim().toLowerCase())) return mail
    return phones.has(phoneKey(phone)) ? phone : undefined
  }
  const ofClaims = claims.flatMap(({ id, source, sourceName, said }): RedFlag[] => {
    const contact = [...(source?.contacts ?? []), ...(said ? [said] : [])].map(own).find((value) => value !== undefined)
    if (contact === undefined) return []
    const values = { source: sourceName, contact }
    return [{ kind: 'own contact', about: `${id} ${contact}`, at: { claimId: id }, values }]
  })
  const referees = vouchings.flatMap(({ id, name, mail }): RedFlag[] => {
    const contact = own({ mail, phone: '' })
    return contact === undefined
      ? []
      : [{ kind: 'own contact', about: `${id} ${contact}`, at: {}, values: { source: name, contact } }]
  })
  return [...ofClaims, ...referees]
}

/** Claims whose source is on the list of those who sell papers. */
export const soldPapers = ({ claims }: FlagFacts): RedFlag[] =>
  claims.flatMap(({ id, label, sourceName, seller }): RedFlag[] =>
    seller
      ? [
          {
            ...{ kind: 'seller', about: `${id} ${seller.id} ${seller.value}`, at: { claimId: id } },
            values: { claim: label, source: sourceName, listed: seller.value },
          },
        ]
      : [],
  )
