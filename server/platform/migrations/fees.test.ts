import { aPaidVacancy, aSchedule, whoOwes } from '../../../test/fees'
import { type House, openHouse } from '../../../test/house'
import { checkLedger } from '../../fees/ledger'
import { FeeCharge } from '../../records/fees/model'
import { RulesDraft, RulesVersion } from '../../records/rules/model'
import { fromAmounts } from './037-fees'

let house: House
beforeAll(async () => {
  house = await openHouse('fees_before')
}, 60_000)
afterAll(() => house.close())

/** The database as it was when a fee was one amount that somebody noted. */
test('a fee that was one amount becomes a schedule; what was noted stays paid, what was not is owed', async () => {
  const { sequelize } = house.fixed
  const slug = await aPaidVacancy(house, [aSchedule()])
  const [paid, open] = [await whoOwes(house, slug, 'Noted Before'), await whoOwes(house, slug, 'Open Before')]
  const { vacancyId } = (await RulesVersion.findOne({ order: [['savedAt', 'DESC']], rejectOnEmpty: true }))!
  for (const table of ['ledger_postings', 'ledger_entries', 'fee_documents', 'fee_charges'])
    await sequelize.query(`DELETE FROM ${table}`)
  const asks = { kind: 'fee', amount: 6200, currency: 'EUR' }
  const before = [
    { key: 'exam', title: 'Examination', why: '', gate: 'shortlist', rung: 'claimed', waivableBy: [], asks },
  ]
  const requirements = before as unknown as RulesVersion['requirements']
  await RulesVersion.update({ requirements, fees: null }, { where: { vacancyId } })
  await RulesDraft.update({ rules: { form: [], requirements, onboarding: [] } }, { where: { vacancyId } })
  await sequelize.query(
    `CREATE TABLE fees_received (applicationId CHAR(36) BINARY NOT NULL, requirement VARCHAR(60) NOT NULL, receivedOn DATE NOT NULL,
       note VARCHAR(200) NOT NULL, recordedBy VARCHAR(120) NOT NULL, recordedAt DATETIME(3) NOT NULL)`,
  )
  await sequelize.query(
    "INSERT INTO fees_received VALUES (:id, 'exam', '2026-11-20', 'line 4', 'Ottilie', '2026-11-20 08:00:00')",
    { replacements: { id: paid.id } },
  )

  await fromAmounts(sequelize)
  // Where it stops in the middle it is run again.
  await fromAmounts(sequelize)

  const after = await RulesVersion.findOne({ where: { vacancyId }, order: [['version', 'DESC']], rejectOnEmpty: true })
  expect(after.requirements).toMatchObject([{ asks: { kind: 'fee', schedule: 'exam' } }])
  expect(after.fees).toMatchObject([
    { key: 'exam', currency: 'EUR', lines: [{ amount: { kind: 'fixed', amount: 6200 } }] },
  ])
  const draft = await RulesDraft.findByPk(vacancyId)
  if (draft) expect(draft.rules.fees).toMatchObject([{ key: 'exam' }])
  const chargeOf = (applicationId: string) => FeeCharge.findOne({ where: { applicationId }, rejectOnEmpty: true })
  expect(await chargeOf(paid.id)).toMatchObject({ state: 'settled', owed: 0, total: 6200 })
  expect(await chargeOf(open.id)).toMatchObject({ state: 'open', owed: 6200, total: 6200 })
  expect(await FeeCharge.count()).toBe(2)
  expect(await checkLedger(house.deps)).toEqual([])
})
