import { UniqueConstraintError } from 'sequelize'
import type { Fault } from '#contract/faults'
import type { SourceGiven } from '#contract/sources'
import { faultsOfSource } from '#core/sources/faultsOfSource'
import type { Contact, ContactCheck, ContactGiven } from '#core/sources/source'
import { say } from '#core/words/say'
import { recordEvent } from '../platform/audit/record'
import { compareAndSet } from '../platform/database/compareAndSet'
import type { Account as Actor, Deps } from '../platform/deps'
import { changedMeanwhile, invalid, invalidField, requireVersion } from '../platform/errors/problems'
import { othersBeside } from '../records/accounts/policies'
import { formsKnown } from '../records/sources/forms'
import { Source } from '../records/sources/model'
import { columnsOf, factsOfSource, keepVersion, sourceEntry } from '../records/sources/sources'
import { soldBy } from '../records/sources/watchlist'
import { spellSources } from '../records/sources/words'
import { adoptProposed } from './adopt'
import { tellOfMore } from './askMore'
import { flagsOfContacts } from './flags'
import { problems } from './problems'
import { findTwins } from './twins'

/** Enters a source, or changes what is known of it. What changes where it is asked has to be checked by a second person. */
export async function saveSource(
  deps: Deps,
  actor: Actor,
  id: string,
  { version, source: given }: { version: number; source: SourceGiven },
) {
  const source = trimmed(given)
  const faults = [...faultsOfSource(source).map(faultInWords), ...(await unknownForms(source))]
  if (faults.length > 0) throw invalid(faults)
  if (version === 0) {
    const row = await Source.create({
      id,
      ...columnsOf({ ...source, contacts: source.contacts.map((contact) => entered(contact, actor)) }),
      ...{ enteredBy: actor.name, enteredById: actor.id, version: 1 },
    }).catch((error: unknown) => {
      throw error instanceof UniqueConstraintError ? changedMeanwhile() : error
    })
    await settle(deps, actor, row)
    await recordEvent(deps, actor, { code: 'source-entered', values: { source: row.name }, about: row.name })
    return { version: 1 }
  }
  const row = await sourceEntry(id)
  if (row.mergedIntoId) throw problems.merged()
  requireVersion(version, row.version, {})
  const before = factsOfSource(row)
  const contacts = source.contacts.map((contact) => {
    const known = before.contacts.find((one) => one.id === contact.id)
    return known && sameContact(known, contact) ? { ...known, ...contact } : entered(contact, actor)
  })
  // A proposal is entered by whoever first writes down what it is; a register is asked like a contact.
  const anew = row.enteredById === null && row.origin === 'candidate'
  const moved =
    row.register !== source.register ||
    JSON.stringify(row.known.issuer ?? null) !== JSON.stringify(source.issuer ?? null)
  await compareAndSet(row, version, {
    ...columnsOf({ ...source, contacts }),
    ...(anew || moved ? { enteredBy: actor.name, enteredById: actor.id, checkedBy: null, checkedAt: null } : {}),
  })
  await settle(deps, actor, row)
  await tellOfMore(deps, actor, row, before.conditions)
  const asked =
    moved || contacts.some(({ id: one }) => !before.contacts.some((known) => known.id === one && known.checked))
  await recordEvent(deps, actor, {
    code: 'source-changed',
    ...(asked ? { words: 'source-changed.address' as const } : {}),
    values: { source: row.name },
    about: row.name,
    details: { version: row.version },
  })
  return { version: row.version }
}

export const formAt = (nth: number) => `/body/source/conditions/${nth}/form`

/** A form is one that somebody has put here as a form, and no other paper of the house. */
export async function unknownForms({ conditions }: SourceGiven): Promise<Fault[]> {
  const known = await formsKnown(conditions.flatMap(({ form }) => form?.sha256 ?? []))
  return conditions.flatMap(({ form }, nth) =>
    form && !known.has(form.sha256) ? [{ pointer: formAt(nth), message: say('problem.source.form-not-here') }] : [],
  )
}

/** What follows every change: its version stays, it is found by its new names, and looked at for twins. */
export async function settle(deps: Deps, by: { name: string }, row: Source) {
  await keepVersion(row, by.name, deps.clock.now())
  await spellSources([row])
  await findTwins(row)
}

/** A contact nobody has made sure of yet. */
export const entered = (contact: ContactGiven, actor: { id: string; name: string }): Contact => ({
  ...contact,
  enteredBy: actor.name,
  enteredById: actor.id,
  checked: null,
})

/** Whoever could change it unseen could answer in the source's place. */
const sameContact = (one: ContactGiven, other: ContactGiven) =>
  one.mail === other.mail && one.phone === other.phone && one.address === other.address

export const trimmed = (given: SourceGiven): SourceGiven => ({
  ...given,
  name: given.name.trim(),
  town: given.town.trim(),
  contacts: given.contacts.map((contact) => ({
    ...contact,
    name: contact.name.trim(),
    mail: contact.mail.trim().toLowerCase(),
    phone: contact.phone.trim(),
    address: contact.address.trim(),
  })),
})

export const faultInWords = ({ pointer, code }: ReturnType<typeof faultsOfSource>[number]): Fault => ({
  pointer: `/body/source${pointer}`,
  message: say(`problem.source.${code}`),
})

/** Whoever entered what is not checked yet; a second person is somebody else. */
const enteredByOf = ({ checkedAt, enteredById, known }: Source): Set<string> =>
  new Set(
    [
      ...(checkedAt ? [] : [enteredById]),
      ...known.contacts.filter(({ checked }) => !checked).map((contact) => contact.enteredById),
    ].filter((id) => id !== null),
  )

/** Whether somebody may check a source, and whether only because there is nobody else. */
export function checkableBy(source: Source, actor: Actor, { two, others }: Awaited<ReturnType<typeof othersBeside>>) {
  if (!enteredByOf(source).has(actor.id) || !two) return { mayCheck: true, alone: false }
  return { mayCheck: !others, alone: !others }
}

type Check = { version: number; how?: Record<string, ContactCheck>; note?: string; alone?: string }

/**
 * Says that a source is what it says, and how each contact that is new was made sure of. A desk of one does it with a
 * reason; so does whoever checks a contact that has a red flag. Both stay on record.
 */
export async function checkSource(
  deps: Deps,
  actor: Actor,
  id: string,
  { version, how = {}, note, alone: reason }: Check,
) {
  const row = await sourceEntry(id)
  if (row.mergedIntoId) throw problems.merged()
  requireVersion(version, row.version, {})
  if (row.state === 'checked' || row.state === 'retired') throw problems.checkedAlready()
  if (row.known.contacts.length === 0 && !row.register) throw problems.nobodyToAsk()
  if (await soldBy(row)) throw problems.isASeller()
  const { mayCheck, alone } = checkableBy(row, actor, await othersBeside(actor, 'source-check', 'sources.keep'))
  if (!mayCheck) throw problems.twoPersons()
  if (alone && !reason) throw invalidField('/body/alone', say('problem.sayWhyAlone'))
  const open = row.known.contacts.filter(({ checked }) => !checked)
  const unsaid = open.find((contact) => !how[contact.id])
  if (unsaid) throw invalidField(`/body/how/${unsaid.id}`, say('problem.sayHowContactWasChecked'))
  const flags = await flagsOfContacts(row)
  const flagged = open.some((contact) => (flags.get(contact.id) ?? []).length > 0)
  if (flagged && !note) throw invalidField('/body/note', say('problem.sayWhyFlaggedContact'))
  const at = deps.clock.now()
  const same = enteredByOf(row).has(actor.id)
  const proposed = row.state === 'proposed'
  await compareAndSet(row, version, {
    known: {
      ...row.known,
      contacts: row.known.contacts.map((contact) =>
        contact.checked
          ? contact
          : { ...contact, checked: { how: how[contact.id]!, by: actor.name, at: at.toISOString() } },
      ),
    },
    ...(row.checkedAt ? {} : { checkedBy: actor.name, checkedAt: at }),
    proposalKey: null,
  })
  await settle(deps, actor, row)
  const words = alone ? 'source-checked.alone' : flagged ? 'source-checked.flagged' : undefined
  const about = { about: row.name, code: 'source-checked' as const, details: { how } }
  if (words)
    await recordEvent(deps, actor, {
      ...about,
      words,
      values: { source: row.name, reason: [reason, flagged ? note : ''].filter(Boolean).join(' ').trim() },
    })
  else
    await recordEvent(deps, actor, {
      ...about,
      ...(same ? { words: 'source-checked.same' as const } : {}),
      values: { source: row.name },
    })
  if (proposed) await adoptProposed(deps, actor, row)
  return { version: row.version }
}

/** Offers a source no more, or again. One that a candidate proposed is turned down with a reason. */
export async function retireSource(
  deps: Deps,
  actor: Actor,
  id: string,
  { version, retired, because }: { version: number; retired: boolean; because?: string },
) {
  const row = await sourceEntry(id)
  if (row.mergedIntoId) throw problems.merged()
  requireVersion(version, row.version, {})
  if (retired && row.state === 'proposed' && !because)
    throw invalidField('/body/because', say('problem.sayWhyTurnedDown'))
  await compareAndSet(row, version, {
    retiredAt: retired ? deps.clock.now() : null,
    retiredBecause: retired ? (because?.trim() ?? null) : null,
  })
  await settle(deps, actor, row)
  const about = { about: row.name, values: { source: row.name } }
  if (retired && because)
    await recordEvent(deps, actor, {
      ...about,
      code: 'source-retired',
      words: 'source-retired.because',
      values: { source: row.name, reason: because.trim() },
    })
  else if (retired) await recordEvent(deps, actor, { ...about, code: 'source-retired' })
  else await recordEvent(deps, actor, { ...about, code: 'source-retired', words: 'source-retired.again' })
  return { version: row.version }
}
