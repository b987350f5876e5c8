import type { Visitor } from '../../../test/client'
import { aPaidVacancy, aSchedule, whoOwes } from '../../../test/fees'
import { type House, openHouse } from '../../../test/house'
import { BankTransfer, FeePayment } from '../../records/fees/model'
import { checkLedger } from '../ledger'
import { readStatement } from './readStatement'

let house: House
let slug: string
let money: Visitor
beforeAll(async () => {
  house = await openHouse('statements')
  slug = await aPaidVacancy(house, [aSchedule()])
  money = await house.staff('money')
}, 60_000)
afterAll(async () => {
  expect(await checkLedger(house.deps)).toEqual([])
  await house.close()
})

type Entry = {
  amount?: string
  ccy?: string
  sign?: string
  status?: string
  ref?: string
  text?: string
  payer?: string
  id: string
}
const entry = ({
  amount = '45.00',
  ccy = 'EUR',
  sign = 'CRDT',
  status = 'BOOK',
  ref = '',
  text = '',
  payer = 'Somebody',
  id,
}: Entry) => `
  <Ntry><NtryRef>${id}</NtryRef><Amt Ccy="${ccy}">${amount}</Amt><CdtDbtInd>${sign}</CdtDbtInd><Sts><Cd>${status}</Cd></Sts>
    <BookgDt><Dt>2026-11-30</Dt></BookgDt><AcctSvcrRef>B${id}</AcctSvcrRef>
    <NtryDtls><TxDtls><Refs><EndToEndId>E${id}</EndToEndId></Refs>
      <RltdPties><Dbtr><Pty><Nm>${payer}</Nm></Pty></Dbtr></RltdPties>
      <RmtInf>${ref ? `<Strd><CdtrRefInf><Ref>${ref}</Ref></CdtrRefInf></Strd>` : ''}<Ustrd>${text}</Ustrd></RmtInf>
    </TxDtls></NtryDtls></Ntry>`
const camt = (...entries: Entry[]) =>
  `<?xml version="1.0" encoding="UTF-8"?><Document xmlns="urn:iso:std:iso:20022:tech:xsd:camt.053.001.08"><BkToCstmrStmt>
    <GrpHdr><MsgId>1</MsgId></GrpHdr><Stmt><Id>S1</Id>${entries.map(entry).join('')}</Stmt></BkToCstmrStmt></Document>`
const take = (text: string) => money.call('takeStatement', { body: Buffer.from(text) })
const waiting = async () => (await money.done('listTransfers', { query: { state: 'to look at' } })).transfers

describe('reading', () => {
  test('camt.053 in any version: what came in and is booked, with its reference; what went out is passed over', () => {
    const { transfers, passedOver } = readStatement(
      Buffer.from(
        camt(
          { id: '1', ref: 'RF18539007547034', payer: 'Ada &amp; Bo' },
          { id: '2', sign: 'DBIT' },
          { id: '3', status: 'PDNG' },
        ),
      ),
    )
    expect(passedOver).toBe(2)
    expect(transfers).toMatchObject([
      { amount: 4500, currency: 'EUR', on: '2026-11-30', reference: 'RF18539007547034', payer: 'Ada & Bo' },
    ])
  })
  test('an entry of several transactions is several transfers, each with its own amount', () => {
    const tx = (amount: string, id: string) =>
      `<TxDtls><Refs><TxId>${id}</TxId></Refs><Amt Ccy="EUR">${amount}</Amt></TxDtls>`
    const text = camt({ id: '9', amount: '30.00' }).replace(
      /<TxDtls>[\s\S]*<\/TxDtls>/,
      tx('10.00', 'a') + tx('20.00', 'b'),
    )
    expect(readStatement(Buffer.from(text)).transfers.map(({ amount }) => amount)).toEqual([1000, 2000])
  })
  test.each([
    ['1.250,00', 125_000],
    ['1,250.00', 125_000],
    ['45,5', 4550],
    ['+45', 4500],
  ])('a CSV amount %s is %s cents', (written, amount) =>
    expect(
      readStatement(Buffer.from(`Datum;Betrag;Verwendungszweck\n30.11.2026;${written};x`)).transfers,
    ).toMatchObject([{ amount, on: '2026-11-30', currency: 'EUR', text: 'x' }]),
  )
  test.each([
    ['broken XML', '<Document><BkToCstmrStmt>'],
    ['another message', '<Document><CstmrCdtTrfInitn/></Document>'],
    ['a CSV without amounts', 'date;text\n2026-11-30;x'],
    ['a row whose amount is no number', 'date;amount\n2026-11-30;10\n2026-11-30;much'],
    ['a row without a day', 'date;amount\n;10'],
    ['an entry of nothing', camt({ id: '1', amount: '0.00' })],
  ])('%s is refused, and nothing of it is taken', async (_what, text) => {
    const before = await BankTransfer.count()
    expect((await take(text)).status).toBe(422)
    expect(await BankTransfer.count()).toBe(before)
  })
  test('what an entity would stand for is not put in', () => {
    const text = `<!DOCTYPE a [<!ENTITY x "${'y'.repeat(50)}">]>${camt({ id: '1', text: '&x;' }).replace(/^<\?xml[^>]*>/, '')}`
    expect(JSON.stringify(readStatement(Buffer.from(text)))).not.toContain('yyy')
  })
})

test('one that names its reference is booked once, however often and by however many its statement is read', async () => {
  const owing = await whoOwes(house, slug, 'Tara Transfer')
  const { reference } = await owing.charge()
  const text = camt({ id: 't1', ref: reference })
  const all = await Promise.all([take(text), take(text), take(text)])
  expect(all.map(({ status }) => status)).toEqual([200, 200, 200])
  expect(all.reduce((sum, { body }) => sum + body.booked, 0)).toBe(1)
  expect(await owing.charge()).toMatchObject({
    owed: 0,
    state: 'settled',
    payments: [{ means: 'transfer', amount: 4500 }],
  })
  expect((await take(text)).body).toMatchObject({ booked: 0, known: 1 })
})

test('too little leaves the rest, too much is owed back, one for two people pays both', async () => {
  const [under, over, one, two] = await Promise.all(
    ['Ursel Under', 'Ove Over', 'Zoe One', 'Zoe Two'].map((name) => whoOwes(house, slug, name)),
  )
  const reference = async (owing: typeof under) => (await owing!.charge()).reference
  await take(
    camt(
      { id: 'p1', ref: await reference(under), amount: '20.00' },
      { id: 'p2', text: `Gebuehr ${await reference(over)} danke`, amount: '50.00' },
      { id: 'p3', text: `${await reference(one)} ${await reference(two)}`, amount: '90.00' },
    ),
  )
  expect((await under!.charge()).owed).toBe(2500)
  expect((await over!.charge()).owed).toBe(-500)
  expect([(await one!.charge()).owed, (await two!.charge()).owed]).toEqual([0, 0])
})

test('without a reference it waits with what it may be for; of two who lay it one does; what is set aside can be laid later', async () => {
  const owing = await whoOwes(house, slug, 'Nele Nameless')
  const { id: charge } = await owing.charge()
  await take(camt({ id: 'u1', payer: 'Nameless, Nele' }, { id: 'u2', payer: 'Gasthof Talblick', amount: '84.20' }))
  const found = await waiting()
  const own = found.find(({ payer }) => payer === 'Nameless, Nele')!
  expect(own.proposed).toMatchObject([{ pays: charge, kind: 'charge', name: 'Nele Nameless', owed: 4500 }])
  expect(await FeePayment.count({ where: { chargeId: charge } })).toBe(0)
  const lay = (amount: number) =>
    money.call('assignTransfer', { params: { id: own.id }, body: { parts: [{ pays: charge, amount }] } })
  expect((await lay(4400)).status).toBe(422)
  const both = await Promise.all([lay(4500), lay(4500)])
  expect(both.map(({ status }) => status).sort()).toEqual([200, 409])
  expect(await owing.charge()).toMatchObject({ owed: 0, state: 'settled' })

  const other = found.find(({ payer }) => payer === 'Gasthof Talblick')!
  const params = { id: other.id }
  await money.done('setTransferAside', { params, body: { reason: 'Not for us, sent back' } })
  expect((await waiting()).map(({ id }) => id)).not.toContain(other.id)
  const late = await whoOwes(house, slug, 'Later Laid')
  const parts = [{ pays: (await late.charge()).id, amount: 8420 }]
  await money.done('assignTransfer', { params, body: { parts } })
  expect((await late.charge()).owed).toBe(-3920)
})

test('a transfer is seen and laid by the money role alone; a fee is found by name or reference', async () => {
  const coordinator = await house.staff('coordinator')
  expect((await coordinator.call('listTransfers', { query: { state: 'booked' } })).status).toBe(403)
  expect((await coordinator.call('takeStatement', { body: Buffer.from('date;amount\n2026-11-30;1') })).status).toBe(403)
  const owing = await whoOwes(house, slug, 'Fiona Found')
  const { id, reference } = await owing.charge()
  for (const text of ['fiona', reference, reference.replace(/(.{4})/g, '$1 ')]) {
    const { charges } = await money.done('listCharges', { query: { queue: 'owed', text } })
    expect(charges.map((one) => one.id)).toEqual([id])
  }
  expect((await money.done('listCharges', { query: { queue: 'owed', text: '%' } })).charges).toEqual([])
})
