import { Op } from 'sequelize'
import { phoneKey } from '#core/comparison/keys'
import { type ContactFlag, contactFlags, domainOf } from '#core/sources/lookalikes'
import { Account, Candidate } from '../records/accounts/model'
import { Claim } from '../records/claims/model'
import { applicationsOfCandidates } from '../records/claims/subquery'
import type { Source } from '../records/sources/model'
import { currentWatchlist } from '../records/sources/watchlist'
import { domainsLike } from '../records/sources/words'
import { Vouching } from '../records/vouching/model'

const mostClaims = 200

/** The claims that name a source, or propose it. */
export const claimsNaming = (sourceId: string): Promise<Claim[]> =>
  Claim.findAll({
    where: { removedAt: { [Op.is]: null }, [Op.or]: [{ sourceId }, { proposedSourceId: sourceId }] },
    order: [['saidAt', 'DESC']],
    limit: mostClaims,
  })

/**
 * The red flags of each contact of a source, by its id: addresses that only look like a known one, and what stands in the
 * file of somebody whose claim it would confirm.
 */
export async function flagsOfContacts(source: Source): Promise<Map<string, ContactFlag[]>> {
  const { contacts } = source.known
  if (contacts.length === 0) return new Map()
  const [known, claims, { watchlist }] = await Promise.all([
    domainsLike(
      contacts.flatMap(({ mail }) => (mail ? [domainOf(mail)] : [])),
      source.id,
    ),
    claimsNaming(source.id),
    currentWatchlist(),
  ])
  const own = await contactsOf([...new Set(claims.map(({ candidateId }) => candidateId))])
  const said = claims.flatMap(({ details }) =>
    'sourceSaid' in details && details.sourceSaid ? [details.sourceSaid] : [],
  )
  const free = new Set(watchlist.freeMail)
  return new Map(
    contacts.map((contact) => [
      contact.id,
      [...contactFlags(contact, source.kind, known, own, free), ...saidFlags(contact, said)],
    ]),
  )
}

/** What a candidate said of a source is no way to make sure of it. */
function saidFlags(
  { mail, phone }: { mail: string; phone: string },
  said: readonly { mail?: string; phone?: string }[],
): ContactFlag[] {
  const value = said.some((one) => mail !== '' && one.mail?.trim().toLowerCase() === mail)
    ? mail
    : said.some((one) => phoneKey(phone).length >= 6 && phoneKey(one.phone ?? '') === phoneKey(phone))
      ? phone
      : undefined
  return value ? [{ code: 'said-by-candidate', value }] : []
}

/** How candidates are reached themselves, with those they have named to vouch for them. */
async function contactsOf(candidateIds: readonly string[]) {
  if (candidateIds.length === 0) return { mails: [], phones: [] }
  const people = await Candidate.findAll({ where: { id: [...candidateIds] }, attributes: ['accountId', 'phone'] })
  const [accounts, vouchings] = await Promise.all([
    Account.findAll({ where: { id: people.flatMap(({ accountId }) => accountId ?? []) }, attributes: ['mail'] }),
    Vouching.findAll({
      where: { applicationId: { [Op.in]: applicationsOfCandidates(candidateIds) } },
      attributes: ['mail'],
    }),
  ])
  return {
    mails: [...accounts.map(({ mail }) => mail), ...vouchings.map(({ mail }) => mail)],
    phones: people.flatMap(({ phone }) => phone ?? []),
  }
}
