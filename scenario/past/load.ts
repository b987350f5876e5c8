import { v7 as uuid } from 'uuid'
import type { ClaimDetails } from '#contract/claims'
import { compareClaim } from '#core/comparison/compareClaim'
import { fieldsOf } from '#core/comparison/fields'
import { writeReference } from '#core/references/reference'
import { inTransaction } from '#server/platform/database/connection'
import { nextNumber } from '#server/platform/database/counter'
import { forgetCurves } from '#server/readiness/dayCurves'
import { refreshSummaries } from '#server/readiness/summaries'
import { Account, Candidate } from '#server/records/accounts/model'
import { watchedApplications } from '#server/records/applications/find'
import { Application } from '#server/records/applications/model'
import { FileOwner } from '#server/records/applications/owners'
import { Claim } from '#server/records/claims/model'
import { Enquiry, EnquiryStepRow, Finding } from '#server/records/enquiries/model'
import { claimedStatement } from '#server/records/enquiries/statement'
import { HeardOfUs } from '#server/records/heard/model'
import { FirstForecast } from '#server/records/hiring/forecasts'
import { GatePassage } from '#server/records/hiring/model'
import { Source } from '#server/records/sources/model'
import { addVacancy, type NewVacancy } from '#server/records/vacancies/vacancies'
import { vallorne } from '../organisation'
import { depsAt, isoIn, type World } from '../world'
import { type PastEnquiry, type PastFile, pastFiles } from './history'
import { rounds } from './rounds'

/**
 * Loads what was before the people of the demo: eighteen months of hiring that is over. Whoever was hired has a file; the others are
 * erased, as they would be by now, and leave what an erased file leaves.
 */
export async function loadPast(world: World, passwordHash: string, vacancies: readonly NewVacancy[]) {
  const { sequelize } = world.fixed
  const at = (day: number) => depsAt(world, day).clock.now()
  await inTransaction(sequelize, async () => {
    const rows = await Source.findAll({
      where: { state: 'checked', kind: ['university', 'school', 'employer'] },
      order: ['name'],
    })
    const sources = rows.map(({ id, name, kind, country, known }) => ({
      id,
      name,
      kind,
      country,
      channels: known.channels,
    }))
    const asked = sources.filter(({ channels }) =>
      channels.some((one) => one === 'link' || one === 'letter' || one === 'telephone'),
    )
    const vacancyIds = await pastVacancies(world, vacancies)
    const files = pastFiles(depsAt(world, 0).clock.today(), rounds, asked)
    const begun = await Promise.all(
      files.map(async (file, nth) => ({
        file,
        ids: { account: uuid(), candidate: uuid(), application: uuid() },
        mail: `past.${nth}@mail.example`,
        vacancyId: vacancyIds.get(file.round.slug)!,
        number: await nextNumber(world.fixed, 'applications'),
      })),
    )
    await Account.bulkCreate(
      begun.map(({ file, ids, mail }) => ({
        ...{ id: ids.account, mail, passwordHash, roles: ['candidate'], language: 'en' },
        name: file.end === 'cleared' ? `${file.given} ${file.family}` : 'Erased',
        ...{
          confirmedAt: at(file.sentOn),
          createdAt: at(file.sentOn),
          suspendedAt: file.end === 'cleared' ? null : at(file.endedOn),
        },
      })),
    )
    await Candidate.bulkCreate(
      begun.map(({ file, ids }) => ({
        ...{ id: ids.candidate, accountId: ids.account, born: null, otherNames: [], createdAt: at(file.sentOn) },
        ...(file.end === 'cleared'
          ? { name: `${file.given} ${file.family}` }
          : { name: 'Erased', erasedAt: at(Math.min(-1, file.endedOn + vallorne.keeping.endedDays)) }),
      })),
    )
    await Application.bulkCreate(
      begun.map(({ file, ids, vacancyId, number }) => ({
        ...{ id: ids.application, candidateId: ids.candidate, vacancyId, number },
        reference: writeReference(vallorne.referencePrefix, number),
        ...{ stage: file.end, answers: {}, version: 2, rulesVersion: 1 },
        targetStart: isoIn(world, file.endedOn + 30),
        ...{
          createdAt: at(file.sentOn - 2),
          savedAt: at(file.sentOn),
          sentAt: at(file.sentOn),
          endedAt: at(file.endedOn),
        },
      })),
    )
    await GatePassage.bulkCreate(
      begun.flatMap(({ file, ids }) =>
        (
          [
            ['shortlist', file.shortlistedOn],
            ['offer', file.offeredOn],
            ['start', file.end === 'cleared' ? file.endedOn : null],
          ] as const
        ).flatMap(([gate, day]) =>
          day === null
            ? []
            : [{ applicationId: ids.application, gate, passedBy: 'Ines Caldwell', passedAt: at(day), readiness: [] }],
        ),
      ),
    )
    await FirstForecast.bulkCreate(
      begun.map(({ file, ids }) => ({
        ...{ applicationId: ids.application, madeOn: isoIn(world, file.sentOn), days: file.days },
        readyOn: file.end === 'cleared' && file.readyOn !== null ? isoIn(world, file.readyOn) : null,
      })),
    )
    await HeardOfUs.bulkCreate(
      begun.flatMap(({ file, ids, vacancyId }) =>
        file.heard === null
          ? []
          : [
              {
                candidateId: ids.candidate,
                asked: vacancyId,
                source: file.heard,
                recommendedBy: '',
                saidAt: at(file.sentOn),
              },
            ],
      ),
    )
    const owners = await Account.findAll({
      where: { mail: ['ines@vallorne.example', 'tomas@vallorne.example'] },
      order: ['mail'],
    })
    await FileOwner.bulkCreate(
      begun.map(({ file, ids, number }) => ({
        ...{ applicationId: ids.application, accountId: owners[number % 3 === 0 ? 1 : 0]!.id, since: at(file.sentOn) },
      })),
    )
    const hired = begun.filter(({ file }) => file.end === 'cleared')
    await leaveWaits(
      world,
      begun.filter(({ file }) => file.end !== 'cleared'),
    )
    await proveClaims(world, hired)
    forgetCurves(world.fixed)
    await refreshSummaries(
      depsAt(world, 0),
      (await watchedApplications(undefined, files.length)).map(({ id }) => id),
    )
  })
}

type Begun = { file: PastFile; ids: { candidate: string; application: string }; vacancyId: string; number: number }

async function pastVacancies(world: World, vacancies: readonly NewVacancy[]): Promise<Map<string, string>> {
  const made = new Map<string, string>()
  for (const { like, slug, title, opened, closed, decides } of rounds) {
    const post = vacancies.find((one) => one.slug === like)!
    const vacancy = await addVacancy(depsAt(world, opened), {
      ...{ ...post, slug, title },
      ...{ opensAt: depsAt(world, opened).clock.now(), closesAt: depsAt(world, closed).clock.now() },
      ...{ targetStart: isoIn(world, decides + 60), decidesOn: isoIn(world, decides) },
    })
    await vacancy.update({ state: 'filled' })
    made.set(slug, vacancy.id)
  }
  return made
}

/** What an erased file leaves of the questions that were put for it. */
async function leaveWaits(world: World, begun: readonly Begun[]) {
  const at = (day: number) => depsAt(world, day).clock.now()
  await world.fixed.sequelize.getQueryInterface().bulkInsert(
    'enquiry_waits',
    begun.flatMap(({ file, vacancyId }) =>
      file.enquiries.map(({ source, channel, askedOn, endedOn, answered, answerByOn }) => ({
        ...{ id: uuid(), sourceId: source.id, vacancyId, channel, answered },
        ...{ askedAt: at(askedOn), calledAt: channel === 'telephone' ? at(askedOn) : null, endedAt: at(endedOn) },
        answerBy: isoIn(world, answerByOn),
      })),
    ),
  )
}

/** The claims of those who were hired, each confirmed by its source, or not where it never answered. */
async function proveClaims(world: World, hired: readonly Begun[]) {
  const at = (day: number) => depsAt(world, day).clock.now()
  const all = hired.flatMap(({ file, ids, number }) =>
    file.enquiries.map((enquiry, nth) => {
      const details = detailsOf(enquiry, nth, number)
      const claimed = claimedStatement(details, { name: `${file.given} ${file.family}`, born: null })
      return { file, ids, enquiry, details, claimed, claimId: uuid(), enquiryId: uuid(), batchId: uuid() }
    }),
  )
  await Claim.bulkCreate(
    all.map(({ file, ids, enquiry, details, claimId }) => ({
      ...{ id: claimId, candidateId: ids.candidate, kind: details.kind, details, sourceId: enquiry.source.id },
      number: details.kind === 'study' ? details.number : null,
      rung: enquiry.answered ? ('confirmed' as const) : ('unconfirmable' as const),
      ...{ credentialVersion: 1, version: 2, createdAt: at(file.sentOn - 1) },
    })),
  )
  await Enquiry.bulkCreate(
    all.map(({ ids, enquiry, claimed, claimId, enquiryId, batchId }) => ({
      ...{
        id: enquiryId,
        claimId,
        credentialVersion: 1,
        applicationId: ids.application,
        sourceId: enquiry.source.id,
        round: 1,
      },
      ...{
        channel: enquiry.channel,
        state: enquiry.answered ? ('answered' as const) : ('silent' as const),
        claimed,
        batchId,
      },
      ...{ askedAt: at(enquiry.askedOn), askedBy: 'Ines Caldwell', answerBy: isoIn(world, enquiry.answerByOn) },
      ...{ expiresAt: at(enquiry.askedOn + 60), country: enquiry.source.country, turn: null },
      ...(enquiry.answered
        ? { answeredAt: at(enquiry.endedOn), statement: claimed, respondent: enquiry.source.name }
        : {}),
    })),
  )
  await EnquiryStepRow.bulkCreate(
    all.flatMap(({ enquiry, enquiryId }) => {
      const step = { enquiryId, channel: enquiry.channel, by: '', details: {} }
      return [
        { ...step, id: uuid(), step: 'asked' as const, at: at(enquiry.askedOn) },
        {
          ...step,
          id: uuid(),
          step: enquiry.answered ? ('answered' as const) : ('silent' as const),
          at: at(enquiry.endedOn),
        },
      ]
    }),
  )
  await Finding.bulkCreate(
    all.map(({ enquiry, details, claimed, claimId, enquiryId }) => ({
      ...{ id: uuid(), claimId, credentialVersion: 1, enquiryId, note: '', rungBefore: 'asked' as const },
      decision: enquiry.answered ? ('confirmed' as const) : ('unconfirmable' as const),
      comparison: compareClaim(
        fieldsOf(details.kind, claimed),
        claimed,
        undefined,
        enquiry.answered ? claimed : undefined,
      ),
      ...{ decidedBy: 'Ines Caldwell', decidedAt: at(enquiry.endedOn + 1) },
    })),
  )
}

function detailsOf({ source, of }: PastEnquiry, nth: number, number: number): ClaimDetails {
  const named = { sourceId: source.id, sourceName: source.name }
  const from = 2004 + (number % 9)
  if (of === 'study')
    return {
      ...{ kind: 'study', ...named, award: 'BSc', subject: 'Mechanical Engineering', level: 6, field: '0715' },
      ...{
        number: `${source.name.slice(0, 2).toUpperCase()}-${from + 3}-${1000 + number}`,
        from: `${from}-10`,
        to: `${from + 3}-07`,
      },
    }
  return {
    ...{ kind: 'work', ...named, activity: 'employment', position: ['Mechanic', 'Shift lead', 'Technician'][nth % 3]! },
    ...{ from: `${from + 1 + nth * 3}-08`, to: `${from + 3 + nth * 3}-06`, fullTimeShare: 100, tags: ['mechanical'] },
    ...{ confirmBy: '', mayAsk: 'now' },
  }
}
