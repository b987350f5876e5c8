import { Op, UniqueConstraintError } from 'sequelize'
import { v7 as uuid } from 'uuid'
import { isActive, isSent } from '#core/hiring/stages'
import { programmeOf } from '#core/sources/programmes'
import {
  assessedProgramme,
  type Consulted,
  faultsOfResearch,
  programmeKey,
  type ResearchOutcome,
} from '#core/sources/research'
import { say } from '#core/words/say'
import { recordEvent } from '../platform/audit/record'
import type { Change } from '../platform/changes'
import { compareAndSet } from '../platform/database/compareAndSet'
import type { Account, Actor, Deps } from '../platform/deps'
import { invalid, invalidField, requireVersion } from '../platform/errors/problems'
import { othersBeside } from '../records/accounts/policies'
import { applicationsOf } from '../records/applications/find'
import { Application } from '../records/applications/model'
import { Claim } from '../records/claims/model'
import { Source } from '../records/sources/model'
import { ProgrammeResearch, researchById } from '../records/sources/research'
import { sourceById } from '../records/sources/sources'
import { settle } from './keep'
import { problems } from './problems'

const most = 200

/** With what is sent, programmes that nobody knows are looked into: each once, whoever names it. */
export async function researchProgrammes(deps: Deps, changes: readonly Change[]) {
  for (const candidateId of new Set(changes.flatMap((change) => change.candidateId ?? []))) {
    const where = { candidateId, kind: 'study' as const, sourceId: { [Op.ne]: null }, removedAt: { [Op.is]: null } }
    const studies = await Claim.findAll({ where: { ...where, rung: ['claimed', 'evidenced', 'asked'] } })
    if (studies.length === 0) continue
    if (!(await applicationsOf(candidateId)).some((one) => isSent(one) && isActive(one))) continue
    for (const claim of studies) await openResearch(deps, { kind: 'system' }, claim)
  }
}

/**
 * Opens research into the programme of a study where nobody knows it. There is one for each programme of an institution, also
 * of two who open it at the same moment: its key is unique.
 *
 * @returns it, or what was found before; nothing where the programme is known
 */
export async function openResearch(deps: Deps, actor: Actor, claim: Claim): Promise<ProgrammeResearch | undefined> {
  const { details, sourceId } = claim
  if (details.kind !== 'study' || !sourceId || details.subject.trim() === '' || details.field === '') return undefined
  const source = await sourceById(sourceId)
  const educates = source.kind === 'university' || source.kind === 'school'
  if (!educates || !source.checkedAt || programmeOf(details, source.programmes)) return undefined
  const key = { sourceId: source.id, programmeKey: programmeKey(details) }
  const there = () => ProgrammeResearch.findOne({ where: key })
  const known = await there()
  if (known) return known
  const { subject, award, level, field, language = '', link = '' } = details
  try {
    const research = await ProgrammeResearch.create({
      ...{
        id: uuid(),
        ...key,
        programme: { title: subject.trim(), award: award.trim(), level, field, language, link },
      },
      ...{ state: 'open', consulted: [], openedAt: deps.clock.now(), version: 0 },
    })
    await recordEvent(deps, actor, {
      code: 'programme-research-opened',
      values: { programme: subject.trim(), source: source.name },
      about: source.name,
    })
    return research
  } catch (error) {
    if (!(error instanceof UniqueConstraintError)) throw error
    return (await there()) ?? undefined
  }
}

/** What there is to look into, or was: what is needed soonest first. */
export async function listResearch(actor: Account, state: ProgrammeResearch['state'] | undefined) {
  const found = await ProgrammeResearch.findAll({
    where: state ? { state } : { state: ['open', 'second reader'] },
    order: ['openedAt', 'id'],
    limit: most,
  })
  const counts = await ProgrammeResearch.count({ group: ['state'] })
  const countOf = (one: string) => counts.find((line) => line.state === one)?.count ?? 0
  const rows = await linesOf(actor, found)
  return {
    rows: rows.sort((a, b) => (a.neededBy ?? '9999').localeCompare(b.neededBy ?? '9999')),
    counts: { open: countOf('open'), 'second reader': countOf('second reader'), done: countOf('done') },
  }
}

async function linesOf(actor: Account, found: readonly ProgrammeResearch[]) {
  const sourceId = [...new Set(found.map((one) => one.sourceId))]
  const [sources, claims] = await Promise.all([
    Source.findAll({ where: { id: sourceId } }),
    Claim.findAll({ where: { sourceId, kind: 'study', removedAt: { [Op.is]: null } } }),
  ])
  const candidateId = [...new Set(claims.map((claim) => claim.candidateId))]
  const applications = (await Application.findAll({ where: { candidateId }, order: ['targetStart', 'id'] })).filter(
    (one) => isSent(one) && isActive(one),
  )
  return found.map((one) => {
    const asking = new Set(
      claims
        .filter(
          ({ details, sourceId: of }) =>
            of === one.sourceId && details.kind === 'study' && programmeKey(details) === one.programmeKey,
        )
        .map((claim) => claim.candidateId),
    )
    const files = applications.filter((application) => asking.has(application.candidateId))
    const shown = files.filter(({ vacancyId }) => !actor.vacancies || actor.vacancies.includes(vacancyId))
    return {
      ...{ id: one.id, programme: one.programme, state: one.state, owner: one.owner ?? null },
      source: { id: one.sourceId, name: sources.find(({ id }) => id === one.sourceId)?.name ?? '' },
      openedAt: one.openedAt.toISOString(),
      neededBy: files[0]?.targetStart ?? null,
      files: shown.map(({ id, reference }) => ({ id, reference: reference ?? null })),
      recognised: one.state === 'done' ? (one.outcome?.recognised ?? null) : null,
    }
  })
}

export async function readResearch(actor: Account, id: string) {
  const research = await researchById(id)
  const [line] = await linesOf(actor, [research])
  const { version, ownerId, consulted, outcome, concludedBy, concludedAt, readBy, readAt, note } = research
  return {
    ...line!,
    ...{ version, mine: ownerId === actor.id, consulted, outcome: outcome ?? null, note: note ?? '' },
    ...{ concludedBy: concludedBy ?? null, concludedAt: concludedAt?.toISOString() ?? null },
    ...{ readBy: readBy ?? null, readAt: readAt?.toISOString() ?? null },
    ...(await secondReader(research, actor)),
  }
}

/** Whether somebody may be the second reader: not who concluded it, unless nobody else could. */
async function secondReader({ concludedById }: ProgrammeResearch, actor: Account) {
  const { two, others } = await othersBeside(actor, 'programme-research', 'sources.keep')
  if (concludedById !== actor.id || !two) return { mayRead: true, alone: false }
  return { mayRead: !others, alone: !others }
}

const eventOf = async ({ programme, sourceId }: ProgrammeResearch) => {
  const { name } = await sourceById(sourceId)
  return { values: { programme: programme.title, source: name }, about: name }
}

export async function takeResearch(deps: Deps, actor: Account, id: string, version: number) {
  const research = await researchById(id)
  requireVersion(version, research.version, {})
  if (research.state === 'done') throw problems.researchDone()
  await compareAndSet(research, version, { ownerId: actor.id, owner: actor.name })
  await recordEvent(deps, actor, { code: 'programme-research-taken', ...(await eventOf(research)) })
  return { version: research.version }
}

type Found = { version: number; consulted: Consulted[]; outcome: ResearchOutcome | null; concluded: boolean }

/** Keeps what was found so far; whoever writes it down owns it. Concluded, it waits for a second reader. */
export async function saveResearch(deps: Deps, actor: Account, id: string, { version, concluded, ...found }: Found) {
  const research = await researchById(id)
  requireVersion(version, research.version, {})
  if (research.state !== 'open') throw problems.researchConcluded()
  if (concluded && !found.outcome) throw invalidField('/body/outcome', say('problem.sayWhatWasFound'))
  const faults = concluded ? faultsOfResearch(found.consulted, found.outcome!) : []
  if (faults.length > 0)
    throw invalid(
      faults.map(({ pointer, code }) => ({ pointer: `/body${pointer}`, message: say(`problem.research.${code}`) })),
    )
  const owns = { ownerId: actor.id, owner: actor.name }
  await compareAndSet(research, version, {
    ...found,
    ...owns,
    ...(concluded
      ? {
          state: 'second reader',
          concludedBy: actor.name,
          concludedById: actor.id,
          concludedAt: deps.clock.now(),
          note: null,
        }
      : {}),
  })
  if (concluded) await recordEvent(deps, actor, { code: 'programme-research-concluded', ...(await eventOf(research)) })
  return { version: research.version }
}

type Reading = { version: number; agrees: boolean; note?: string; alone?: string }

/**
 * A second person agrees with what was found, or sends it back. A recognised programme is one of its source from then on,
 * assessed by the house, so that the next person with it needs no research.
 */
export async function readAsSecond(
  deps: Deps,
  actor: Account,
  id: string,
  { version, agrees, note, alone: reason }: Reading,
) {
  const research = await researchById(id)
  requireVersion(version, research.version, {})
  if (research.state !== 'second reader' || !research.outcome) throw problems.researchNotConcluded()
  const { mayRead, alone } = await secondReader(research, actor)
  if (!mayRead) throw problems.twoPersons()
  if (alone && !reason) throw invalidField('/body/alone', say('problem.sayWhyAlone'))
  if (!agrees && !note) throw invalidField('/body/note', say('problem.sayWhySentBack'))
  await compareAndSet(research, version, {
    state: agrees ? 'done' : 'open',
    note: note?.trim() ?? null,
    ...(agrees ? { readBy: actor.name, readAt: deps.clock.now() } : {}),
  })
  if (agrees && research.outcome.recognised) await keepProgramme(deps, actor, research, research.outcome)
  const { values, about } = await eventOf(research)
  const said = [alone ? reason : '', note].filter(Boolean).join(' ').trim()
  const code = 'programme-research-read' as const
  if (!agrees)
    await recordEvent(deps, actor, {
      code,
      words: 'programme-research-read.back',
      values: { ...values, reason: said },
      about,
    })
  else if (alone)
    await recordEvent(deps, actor, {
      code,
      words: 'programme-research-read.alone',
      values: { ...values, reason: said },
      about,
    })
  else
    await recordEvent(deps, actor, {
      code,
      words: research.outcome.recognised ? 'programme-research-read.recognised' : 'programme-research-read.not',
      values,
      about,
    })
  return { version: research.version }
}

/** What was not recognised may be by now. A recognised programme is one of its source, and is changed there. */
export async function reopenResearch(deps: Deps, actor: Account, id: string, version: number) {
  const research = await researchById(id)
  requireVersion(version, research.version, {})
  if (research.state !== 'done' || research.outcome?.recognised) throw problems.researchNotConcluded()
  await compareAndSet(research, version, {
    ...{ state: 'open', ownerId: actor.id, owner: actor.name, note: null },
    ...{ concludedBy: null, concludedById: null, concludedAt: null, readBy: null, readAt: null },
  })
  await recordEvent(deps, actor, { code: 'programme-research-taken', ...(await eventOf(research)) })
  return { version: research.version }
}

async function keepProgramme(deps: Deps, actor: Account, research: ProgrammeResearch, outcome: ResearchOutcome) {
  const source = await sourceById(research.sourceId)
  const programme = assessedProgramme(research.programme, outcome, deps.organisation.name)
  await compareAndSet(source, source.version ?? 0, { programmes: [...source.programmes, programme] })
  await settle(deps, actor, source)
  await recordEvent(deps, actor, {
    code: 'source-changed',
    values: { source: source.name },
    about: source.name,
    details: { version: source.version },
  })
}
