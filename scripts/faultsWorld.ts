import { hash } from '@node-rs/argon2'
import { pino } from 'pino'
import { v7 as uuid } from 'uuid'
import { isolationCheck } from '#scenario/isolationCheck'
import { vallorne } from '#scenario/organisation'
import { sources } from '#scenario/sources/sources'
import { vacanciesOn } from '#scenario/vacancies/vacancies'
import { openSession } from '#server/accounts/session'
import { clockAhead } from '#server/platform/clock'
import { readConfig } from '#server/platform/config'
import { Account, Candidate } from '#server/records/accounts/model'
import { Application } from '#server/records/applications/model'
import { addCheck } from '#server/records/skills/checks'
import { addSource } from '#server/records/sources/sources'
import { addVacancy, vacancyBySlug } from '#server/records/vacancies/vacancies'
import { prepare } from '#server/start'

export const faultsPassword = 'seven quiet marmots'

/** People who are signed in and have begun an application, straight into the tables: the run is about what comes after. */
export async function prepareFaults(databaseUrl: string, count: number) {
  const passwordHash = await hash(faultsPassword)
  const config = { ...readConfig({ SECOND_FACTOR: '', DATA_FOLDER: '.check/own' }), databaseUrl }
  const fixed = await prepare(config, pino({ level: 'silent' }))
  const deps = { ...fixed, organisation: vallorne, clock: clockAhead(0, vallorne.timeZone) }
  const day = (offset: number) => deps.clock.today().add({ days: offset })
  const at = (offset: number, hour: number) =>
    new Date(`${day(offset).toString()}T${String(hour).padStart(2, '0')}:00:00Z`)
  const [first] = vacanciesOn(at, (offset) => day(offset).toString(), vallorne.timeZone).filter(
    ({ slug }) => slug === 'cableway-electrical-supervisor',
  )
  const { key: _key, ...source } = sources.find(({ key }) => key === 'tannberg')!
  const { id: sourceId } = await addSource(source)
  await addCheck(isolationCheck)
  await addVacancy(deps, first!)
  const vacancy = await vacancyBySlug(first!.slug)
  const now = deps.clock.now()
  const people = Array.from({ length: count }, (_, nth) => ({
    accountId: uuid(),
    candidateId: uuid(),
    applicationId: uuid(),
    mail: `person-${nth}@mail.test`,
    name: `Person ${nth}`,
  }))
  await Account.bulkCreate(
    people.map(({ accountId, mail, name }) => ({
      id: accountId,
      mail,
      name,
      passwordHash,
      roles: ['candidate'],
      confirmedAt: now,
      createdAt: now,
    })),
  )
  await Candidate.bulkCreate(
    people.map(({ accountId, candidateId, name }) => ({
      id: candidateId,
      accountId,
      name,
      born: null,
      otherNames: [],
      createdAt: now,
    })),
  )
  await Application.bulkCreate(
    people.map(({ candidateId, applicationId }) => ({
      id: applicationId,
      candidateId,
      vacancyId: vacancy.id,
      stage: 'being written',
      answers: {},
      version: 0,
      targetStart: vacancy.targetStart,
      createdAt: now,
      savedAt: now,
    })),
  )
  const signedIn = []
  for (const person of people) signedIn.push({ ...person, session: await openSession(person.accountId) })
  const coordinator = await Account.create({
    id: uuid(),
    mail: 'desk@mail.test',
    name: 'The desk',
    passwordHash,
    roles: ['coordinator'],
    confirmedAt: now,
    createdAt: now,
  })
  const desk = await openSession(coordinator.id)
  await fixed.sequelize.close()
  return { accounts: signedIn, desk, source: { sourceId, sourceName: source.name } }
}
