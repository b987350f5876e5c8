import type { ClaimDetails } from '#contract/claims'
import { addClaim } from '#server/claims/change'
import { inTransaction } from '#server/platform/database/connection'
import { Account, actorOf, Candidate } from '#server/records/accounts/model'
import { Source } from '#server/records/sources/model'
import { factsOfSource, newContact, sourceEntry, unknownFacts } from '#server/records/sources/sources'
import { saveSource } from '#server/sources/keep'
import { mergeSources } from '#server/sources/merge'
import { given } from '#server/sources/read'
import { depsAt, type World } from '../world'
import { office, other } from './write'

const said = (mail: string, more: object = {}) => ({
  sourceId: null,
  sourceSaid: { ...{ town: '', country: '', phone: '', site: '' }, mail, ...more },
})
const formerJob = (sourceName: string, position: string, from: string, to: string, mail: string): ClaimDetails => ({
  ...{ kind: 'work', sourceName, activity: 'employment', position, from, to, fullTimeShare: 100 },
  ...{ tags: [], confirmBy: '', mayAsk: 'now' },
  ...said(mail),
})

/** What people name who is not in the directory: one that is there under another spelling, one that is new, one that sells degrees. */
const named: [string, ClaimDetails][] = [
  [
    'Greta Aschenbach',
    formerJob('Seilwerkstatt Bruckner', 'Summer help', '2013-06', '2013-08', 'chef@seilwerkstatt.example'),
  ],
  ['Clara Montserrat', formerJob('Gratbahn Oberwalt', 'Intern', '2010-07', '2010-09', 'personal@gratbahm.example')],
  ['Jonas Brüderlin', formerJob('Valsanta Bergbahn', 'Winter help', '2010-12', '2011-02', '')],
  [
    'Viktor Halloran',
    {
      ...{ kind: 'study', sourceName: 'Norwick Royal Institute of Technolgy', award: 'MBA', subject: 'Management' },
      ...{ level: 7, field: '0413', number: 'NR-88120', from: '2016', to: '2016', outcome: 'finished' },
      ...said('diplomas@norwick-royal.example', { site: 'norwick-royal.example' }),
    },
  ],
]

/** Sources that candidates have proposed, one of which waits for its second person, one with an address that only looks right. */
export async function proposeSources(world: World) {
  const deps = depsAt(world, -1)
  const ines = world.desk.coordinator!
  const within = <T>(work: () => Promise<T>) => inTransaction(world.fixed.sequelize, work)
  for (const [name, details] of named) {
    const { accountId } = await Candidate.findOne({ where: { name }, rejectOnEmpty: true })
    const account = await Account.findByPk(accountId, { rejectOnEmpty: true })
    await within(() => addClaim(deps, actorOf(account), details))
  }
  const writeDown = async (name: string, country: string, town: string, mail: string) => {
    const source = await Source.findOne({ where: { name }, rejectOnEmpty: true })
    const facts = { ...given(factsOfSource(source)), country, town, contacts: [newContact(office(mail))] }
    await within(() => saveSource(deps, ines, source.id, { version: source.version, source: facts }))
  }
  await writeDown('Seilwerkstatt Bruckner', 'AT', 'Steinach', 'buero@seilwerkstatt-bruckner.example')
  await writeDown('Valsanta Bergbahn', 'CH', 'Valsanta', 'hr@valsantabahnem.example')
  await mergeDouble(world)
}

/** A second entry of a railway that was merged, and can be taken apart. */
async function mergeDouble(world: World) {
  const deps = depsAt(world, -12)
  const ines = world.desk.coordinator!
  const id = '0190a3f0-7ea0-7000-8000-000000000003'
  const source = {
    ...{ ...unknownFacts, name: 'Karwen Railway Company', names: other('Koleje Karwen'), kind: 'employer' as const },
    ...{ town: 'Zarowa', country: 'PL', contacts: [newContact(office('personnel@karwen.example'))] },
  }
  const keptId = world.sourceIds.get('karwen')!
  await inTransaction(world.fixed.sequelize, () => saveSource(deps, ines, id, { version: 0, source }))
  const kept = await sourceEntry(keptId)
  await inTransaction(world.fixed.sequelize, () =>
    mergeSources(depsAt(world, -11), ines, keptId, { goneId: id, version: kept.version, goneVersion: 1, take: [] }),
  )
}
