import { setAbsence } from '#server/administration/absence'
import { changeColleague, inviteColleague } from '#server/administration/colleagues'
import { saveTeam } from '#server/administration/teams'
import { setOwner, watchFile } from '#server/desk/ownership'
import { inTransaction } from '#server/platform/database/connection'
import { Account, Candidate } from '#server/records/accounts/model'
import { Application } from '#server/records/applications/model'
import { newContact, unknownFacts } from '#server/records/sources/sources'
import { allVacancies } from '#server/records/vacancies/vacancies'
import { saveSource } from '#server/sources/keep'
import { office, short } from './sources/write'
import { depsAt, type World } from './world'

const cableways = ['cableway-electrical-supervisor', 'cableway-mechanic', 'rope-access-inspector']

/** Entered by one person, and not yet checked by a second. */
const fresh = {
  ...unknownFacts,
  name: 'Zarowa Technical Institute',
  names: short('ZTI'),
  kind: 'school' as const,
  town: 'Zarowa',
  country: 'PL',
  contacts: [newContact(office('office@zti.example'))],
}

/** How the desk has shared out its work: a team, whose files are whose, a new source, somebody who is away, somebody who was invited. */
export async function shareOut(world: World) {
  const deps = depsAt(world, -3)
  const { coordinator: ines, administrator: anselm } = world.desk
  const within = <T>(work: () => Promise<T>) => inTransaction(world.fixed.sequelize, work)
  const tomas = await Account.findOne({ where: { mail: 'tomas@vallorne.example' }, rejectOnEmpty: true })
  const teamId = '0190a3f0-7ea0-7000-8000-000000000001'
  const vacancies = (await allVacancies()).filter(({ slug }) => cableways.includes(slug))
  await within(() =>
    saveTeam(deps, anselm!, teamId, { version: 0, name: 'Cableways', vacancies: vacancies.map(({ id }) => id) }),
  )
  await within(() => changeColleague(deps, anselm!, tomas.id, { version: tomas.version, teams: [teamId] }))
  const give = async (name: string, to: { id: string }) => {
    const candidate = await Candidate.findOne({ where: { name }, rejectOnEmpty: true })
    const { id } = await Application.findOne({ where: { candidateId: candidate.id }, rejectOnEmpty: true })
    await within(() => setOwner(deps, ines!, id, { from: null, to: to.id }))
  }
  for (const name of ['Hanne Sørlie', 'Henrik Solberg-Nyström', 'Clara Montserrat', 'Greta Aschenbach'])
    await give(name, tomas)
  for (const name of ['Jonas Brüderlin', 'Ilse Vandermeer', 'Viktor Halloran']) await give(name, ines!)
  await within(() => saveSource(deps, ines!, '0190a3f0-7ea0-7000-8000-000000000002', { version: 0, source: fresh }))
  const watched = await Candidate.findOne({ where: { name: 'Kofi Brenninkmeyer' } })
  const file = watched && (await Application.findOne({ where: { candidateId: watched.id } }))
  if (file) await within(() => watchFile(ines!, file.id, true))
  const { version } = await Account.findByPk(tomas.id, { rejectOnEmpty: true })
  const day = (offset: number) => depsAt(world, offset).clock.today().toString()
  await within(() =>
    setAbsence(deps, anselm!, tomas.id, { version, absence: { from: day(5), through: day(12), standInId: ines!.id } }),
  )
  await within(() =>
    inviteColleague(deps, anselm!, {
      name: 'Lena Grothe',
      mail: 'lena@vallorne.example',
      roles: ['reviewer'],
      language: 'de',
    }),
  )
}
