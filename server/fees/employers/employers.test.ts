import { Op } from 'sequelize'
import type { Visitor } from '../../../test/client'
import { anEmployer } from '../../../test/employers'
import { aLine, aPaidVacancy, aSchedule, payAt, someTerms, whoOwes } from '../../../test/fees'
import { type House, openHouse, password, tokenIn } from '../../../test/house'
import { runDaily } from '../../daily'
import { depsNow } from '../../platform/clock'
import { Message } from '../../platform/mail/model'
import { Employer, EmployerInvoice, EmployerPerson, PayerRequest } from '../../records/fees/employers'
import { FeeDocument } from '../../records/fees/model'
import { checkLedger } from '../ledger'

let house: House
let slug: string
let money: Visitor
const exam = aLine()
const lodging = aLine({ key: 'lodging', title: 'Lodging', amount: { kind: 'fixed', amount: 5500 } })
beforeAll(async () => {
  house = await openHouse('employers')
  slug = await aPaidVacancy(house, [aSchedule({ lines: [exam, lodging], holds: true })])
  money = await house.staff('money')
}, 60_000)
afterAll(async () => {
  expect(await checkLedger(house.deps)).toEqual([])
  await house.close()
})

type Owing = Awaited<ReturnType<typeof whoOwes>>
const asking = async (
  owing: Owing,
  employer: string,
  more: { lines?: string[]; orderNumber?: string; code?: string } = {},
) =>
  owing.candidate.call('askEmployer', {
    params: { id: (await owing.charge()).id },
    body: { employer, lines: null, orderNumber: '', ...more },
  })
const turnOf = async ({ id }: Owing) => {
  const desk = await house.staff('coordinator')
  const { outcomes } = await desk.done('readFile', { params: { id } })
  return outcomes.find(({ requirement }) => requirement === 'pay-fees')?.steps[0]?.who
}

describe('asking', () => {
  test('an employer is found by name where it lets itself be found, and by its whole code; others are not there', async () => {
    const open = await anEmployer(house, { name: 'Hochjoch Seilbahnen' }, money)
    const hidden = await anEmployer(house, { name: 'Hochjoch Diskret', findable: false }, money)
    const owing = await whoOwes(house, slug, 'Fiona Finder')
    const find = async (text: string) =>
      (await owing.candidate.done('findEmployers', { query: { text } })).employers.map(({ id }) => id)
    expect(await find('hochjoch')).toEqual([open.id])
    const { code } = await hidden.read()
    expect(await find(code.toLowerCase())).toEqual([hidden.id])
    expect(await find(code.slice(0, 6))).toEqual([])
    expect(await find('%%%')).toEqual([])
    expect((await asking(owing, hidden.id)).status).toBe(404)
    expect((await asking(owing, hidden.id, { code })).status).toBe(200)
    // Another code, and the one before finds nothing.
    await hidden.payer.done('renewEmployerCode')
    expect(await find(code)).toEqual([])
  })

  test('it says whose turn it is; one at a time is asked, and it can be taken back', async () => {
    const { id, waiting } = await anEmployer(house, {}, money)
    const owing = await whoOwes(house, slug, 'Tilda Turn')
    expect(await turnOf(owing)).toBe('candidate')
    const both = await Promise.all([asking(owing, id), asking(owing, id)])
    expect(both.map(({ status }) => status).sort()).toEqual([200, 409])
    expect(await turnOf(owing)).toBe('employer')
    expect(await waiting()).toMatchObject([
      { name: 'Tilda Turn', amount: 10_000, lines: [{ title: 'Examination' }, { title: 'Lodging' }] },
    ])
    const charge = await owing.charge()
    const request = charge.requests[0]!
    expect(request).toMatchObject({ employer: 'Talwerk Bahnen', state: 'asked' })
    const back = { params: { id: charge.id, request: request.id } }
    await owing.candidate.done('takeRequestBack', back)
    expect(await turnOf(owing)).toBe('candidate')
    expect((await owing.candidate.call('takeRequestBack', back)).status).toBe(409)
    expect(await waiting()).toEqual([])
  })

  test('asked and paid at the same moment, nothing that is paid waits for an employer', async () => {
    const employer = await anEmployer(house, {}, money)
    const owing = await whoOwes(house, slug, 'Sina Samemoment')
    const { id, owed } = await owing.charge()
    const body = { amount: owed, receivedOn: house.day(0), note: '' }
    await Promise.all([asking(owing, employer.id), money.call('recordPayment', { params: { id }, body })])
    expect(await owing.charge()).toMatchObject({ state: 'settled', owed: 0 })
    expect(await employer.waiting()).toEqual([])
  })

  test('what the candidate pays meanwhile is asked of nobody any more', async () => {
    const employer = await anEmployer(house, {}, money)
    const owing = await whoOwes(house, slug, 'Pia Pays')
    await asking(owing, employer.id)
    const [request] = await employer.waiting()
    const { address } = await owing.candidate.done('payCharge', { params: { id: (await owing.charge()).id } })
    await payAt(address)
    expect((await owing.charge()).requests).toMatchObject([{ state: 'withdrawn' }])
    const late = employer.payer.call('decidePayerRequest', {
      params: { id: request!.id },
      body: { accepted: true, orderNumber: '' },
    })
    expect((await late).body.code).toBe('request-over')
    expect((await employer.read()).owes).toBe(0)
  })
})

describe('deciding', () => {
  test('taken over, nothing is owed by the candidate; the employer has an invoice, and its second address too', async () => {
    const employer = await anEmployer(house, { receiptMail: 'ledger@employer.test', orderNumberNeeded: true }, money)
    const owing = await whoOwes(house, slug, 'Otto Over')
    await asking(owing, employer.id)
    expect((await employer.accept()).body.faults?.[0]?.pointer).toBe('/body/orderNumber')
    const both = await Promise.all(
      [employer.accept('PO-77'), employer.accept('PO-77')].map((one) => one.catch(() => ({ status: 409 }))),
    )
    expect(both.map(({ status }) => status).sort()).toEqual([200, 409])
    const charge = await owing.charge()
    expect(charge).toMatchObject({ owed: 0, state: 'settled', requests: [{ state: 'accepted', amount: 10_000 }] })
    expect((await employer.read()).owes).toBe(10_000)
    const [invoice] = await employer.invoices()
    expect(invoice).toMatchObject({ total: 10_000, owed: 10_000, state: 'open' })
    const paper = await FeeDocument.findOne({ where: { invoiceId: invoice!.id }, rejectOnEmpty: true })
    expect(paper.content).toMatchObject({ orderNumber: 'PO-77', payer: { address: 'Am Speicher 3\n6020 Talwerk' } })
    expect(paper.content.lines).toEqual([
      { title: expect.stringMatching(/^Otto Over, .+: Examination fee$/), amount: 10_000 },
    ])
    const mails = await Message.findAll({ where: { toMail: ['ledger@employer.test', employer.mail] } })
    expect(
      mails
        .filter(({ attachments }) => attachments.length === 1)
        .map(({ toMail }) => toMail)
        .sort(),
    ).toEqual([employer.mail, 'ledger@employer.test'].sort())
    // Paid with a transfer that names the reference of the invoice.
    const statement = `date;amount;currency;payer;reference;text;id\n${house.day(0)};100,00;EUR;Talwerk;${invoice!.reference};;T-${invoice!.id}`
    expect(await money.done('takeStatement', { body: Buffer.from(statement) as never })).toMatchObject({ booked: 1 })
    expect(await employer.invoices()).toMatchObject([{ owed: 0, state: 'settled' }])
    expect((await employer.read()).owes).toBe(0)
    expect((await employer.invoices())[0]!.documents.map(({ kind }) => kind)).toEqual(['invoice', 'receipt'])
    expect(await turnOf(owing)).toBeUndefined()
  })

  test('by line: the employer pays one, the candidate the other', async () => {
    const employer = await anEmployer(house, {}, money)
    const owing = await whoOwes(house, slug, 'Lina Line')
    expect((await asking(owing, employer.id, { lines: ['nothing-of-the-kind'] })).status).toBe(422)
    await asking(owing, employer.id, { lines: ['lodging'] })
    expect(await employer.waiting()).toMatchObject([{ amount: 5500, lines: [{ title: 'Lodging' }] }])
    await employer.accept()
    expect(await owing.charge()).toMatchObject({ owed: 4500, state: 'open' })
    const { address } = await owing.candidate.done('payCharge', { params: { id: (await owing.charge()).id } })
    await payAt(address)
    expect(await owing.charge()).toMatchObject({ owed: 0, state: 'settled' })
  })

  test('declined with a reason the candidate reads; another one is asked', async () => {
    const employer = await anEmployer(house, {}, money)
    const owing = await whoOwes(house, slug, 'Dora Declined')
    await asking(owing, employer.id)
    const [request] = await employer.waiting()
    const body = { accepted: false as const, reason: 'You left in spring' }
    await employer.payer.done('decidePayerRequest', { params: { id: request!.id }, body })
    expect((await owing.charge()).requests).toMatchObject([{ state: 'declined', reason: 'You left in spring' }])
    expect(await turnOf(owing)).toBe('candidate')
    expect((await asking(owing, employer.id)).status).toBe(200)
    // Somebody of another employer has nothing to say here.
    const other = await anEmployer(house, { name: 'Anderswo' }, money)
    const [again] = await employer.waiting()
    const theirs = { params: { id: again!.id }, body: { accepted: true as const, orderNumber: '' } }
    expect((await other.payer.call('decidePayerRequest', theirs)).status).toBe(404)
  })

  test('of two taken over at the same moment that pass the limit together, one is', async () => {
    const employer = await anEmployer(house, { limit: 15_000 }, money)
    const owings = await Promise.all(['Lea Limit', 'Lou Limit'].map((name) => whoOwes(house, slug, name)))
    for (const owing of owings) await asking(owing, employer.id)
    const replies = await Promise.all(
      (await employer.waiting()).map(({ id }) =>
        employer.payer.call('decidePayerRequest', { params: { id }, body: { accepted: true, orderNumber: '' } }),
      ),
    )
    expect(replies.map(({ status }) => status).sort()).toEqual([200, 409])
    expect(replies.find(({ status }) => status === 409)!.body.code).toBe('over-limit')
    expect((await employer.read()).owes).toBe(10_000)
    expect(await employer.waiting()).toHaveLength(1)
  })

  test('who pays is changed: it goes back to the candidate, with a credit note to the employer', async () => {
    const employer = await anEmployer(house, {}, money)
    const owing = await whoOwes(house, slug, 'Cora Changed')
    await asking(owing, employer.id)
    await employer.accept()
    const { id } = (await owing.charge()).requests[0]!
    const back = () => money.call('returnToCandidate', { params: { id }, body: { reason: 'Agreed on the telephone' } })
    const both = await Promise.all([back(), back()])
    expect(both.map(({ status }) => status).sort()).toEqual([200, 409])
    expect(await owing.charge()).toMatchObject({ owed: 10_000, state: 'open', requests: [{ state: 'returned' }] })
    expect((await employer.read()).owes).toBe(0)
    const [invoice] = await employer.invoices()
    expect(invoice).toMatchObject({ total: 0, owed: 0, state: 'settled' })
    expect(invoice!.documents.map(({ kind }) => kind)).toEqual(['invoice', 'credit note'])
    const file = await employer.payer.request(
      `/api/employer/invoices/${invoice!.id}/documents/${invoice!.documents[1]!.id}`,
    )
    expect(file.status).toBe(200)
  })
})

describe('by itself', () => {
  const daily = async (days: number) => {
    const deps = await depsNow(house.fixed)
    const now = new Date(Date.now() + days * 86_400_000)
    const today = house.today.add({ days })
    await runDaily({ ...deps, clock: { now: () => now, today: () => today } })
  }

  test('one invoice a month of all that was taken over before it, made once', async () => {
    const employer = await anEmployer(house, { invoicing: 'monthly' }, money)
    for (const name of ['Mona Month', 'Max Month']) {
      const owing = await whoOwes(house, slug, name)
      await asking(owing, employer.id)
      await employer.accept('')
    }
    expect(await employer.invoices()).toEqual([])
    const lastMonth = new Date(`${house.today.with({ day: 1 }).subtract({ days: 3 }).toString()}T10:00:00Z`)
    await PayerRequest.update({ decidedAt: lastMonth }, { where: { employerId: employer.id } })
    await daily(0)
    await daily(0)
    const [invoice, ...others] = await employer.invoices()
    expect(others).toEqual([])
    expect(invoice).toMatchObject({ total: 20_000, month: lastMonth.toISOString().slice(0, 7) })
    await EmployerInvoice.update({ dueOn: house.day(-1) }, { where: { id: invoice!.id } })
    await daily(0)
    await daily(0)
    const subject = { [Op.like]: `Invoice ${invoice!.number} was due on%` }
    expect(await Message.count({ where: { toMail: employer.mail, subject } })).toBe(1)
    expect((await money.done('listEmployers')).employers.find(({ id }) => id === employer.id)).toMatchObject({
      late: 1,
    })
  })

  test('who does not answer is reminded once; after two weeks the fee is the candidate’s again', async () => {
    const employer = await anEmployer(house, {}, money)
    const owing = await whoOwes(house, slug, 'Sila Silent')
    await asking(owing, employer.id)
    const mails = () => Message.count({ where: { toMail: employer.mail } })
    const before = await mails()
    await daily(6)
    await daily(7)
    expect(await mails()).toBe(before + 1)
    await daily(15)
    expect((await owing.charge()).requests).toMatchObject([{ state: 'lapsed' }])
    expect(await turnOf(owing)).toBe('candidate')
    expect((await asking(owing, employer.id)).status).toBe(200)
  })
})

describe('the account', () => {
  test('its people invite others; the last one stays, and of two who remove each other one does', async () => {
    const employer = await anEmployer(house, {}, money)
    const { people } = await employer.read()
    const first = people[0]!
    expect((await employer.payer.call('removeOwnPerson', { params: { id: first.id } })).body.code).toBe('last-person')
    const body = { name: 'Second Person', mail: `second-${first.id.slice(-6)}@employer.test` }
    await employer.payer.done('inviteOwnPerson', { body })
    // Once more where they have not come yet; the link of before ends. Who decides for another employer is refused.
    await house.workOff()
    const before = tokenIn((await house.mailTo(body.mail)).text, 'join')
    await employer.payer.done('inviteOwnPerson', { body })
    expect((await house.visitor().call('readInvitation', { params: { token: before } })).status).toBe(410)
    const other = await anEmployer(house, { name: 'Another One' }, money)
    for (const mail of [body.mail, employer.mail])
      expect((await other.payer.call('inviteOwnPerson', { body: { ...body, mail } })).body.faults?.[0]?.pointer).toBe(
        '/body/mail',
      )
    expect((await employer.read()).people.map(({ state }) => state)).toEqual(['active', 'invited'])
    const second = (await employer.read()).people[1]!
    await house.workOff()
    const token = tokenIn((await house.mailTo(body.mail)).text, 'join')
    const came = house.visitor()
    await came.done('acceptInvitation', { params: { token }, body: { password } })
    expect((await came.done('readOwnEmployer')).people.map(({ state }) => state)).toEqual(['active', 'active'])
    // Of two who remove each other at the same moment one stays.
    const both = await Promise.all([
      employer.payer.call('removeOwnPerson', { params: { id: second.id } }),
      came.call('removeOwnPerson', { params: { id: first.id } }),
    ])
    expect(both.filter(({ status }) => status === 200)).toHaveLength(1)
    const [left] = await EmployerPerson.findAll({ where: { employerId: employer.id } })
    const stays = left!.accountId === first.id ? employer.payer : came
    const gone = left!.accountId === first.id ? came : employer.payer
    expect((await gone.call('readOwnEmployer')).status).toBe(401)
    // Whoever was removed can be invited again.
    const who = left!.accountId === first.id ? body : { name: 'Paula Payer', mail: employer.mail }
    await stays.done('inviteOwnPerson', { body: who })
    expect((await stays.done('readOwnEmployer')).people.map(({ state }) => state).sort()).toEqual(['active', 'invited'])
  })

  test('what is agreed is said by the money role alone; a closed one is asked by nobody, and its currency stays while it owes', async () => {
    const employer = await anEmployer(house, { name: 'Closing Cables' }, money)
    const coordinator = await house.staff('coordinator')
    expect((await coordinator.call('listEmployers')).status).toBe(403)
    expect((await employer.payer.call('listEmployers')).status).toBe(403)
    expect((await employer.payer.call('listPayerRequests', { query: { state: 'asked' } })).status).toBe(200)
    const owing = await whoOwes(house, slug, 'Cleo Closed')
    expect((await owing.candidate.call('readOwnEmployer')).status).toBe(403)
    await asking(owing, employer.id)
    await employer.accept()
    const { version } = await employer.read()
    const change = (body: object) =>
      money.call('changeEmployer', {
        params: { id: employer.id },
        body: { version, closed: false, terms: someTerms(), ...body } as never,
      })
    expect((await change({ terms: someTerms({ currency: 'CHF' }) })).body.faults?.[0]?.pointer).toBe(
      '/body/terms/currency',
    )
    const asked = await whoOwes(house, slug, 'Cora Closing')
    await asking(asked, employer.id)
    expect((await change({ closed: true })).status).toBe(200)
    // What it was asked and could not take over any more is the candidate's again at once.
    expect((await asked.charge()).requests).toMatchObject([{ state: 'lapsed' }])
    expect(await turnOf(asked)).toBe('candidate')
    expect((await change({ closed: false })).status).toBe(409)
    const other = await whoOwes(house, slug, 'Clara Closed')
    expect((await asking(other, employer.id)).body.code).toBe('employer-closed')
  })

  test('noted by hand: in parts, and what was paid too much is given back and no more', async () => {
    const employer = await anEmployer(house, {}, money)
    const owing = await whoOwes(house, slug, 'Hedi Hand')
    await asking(owing, employer.id)
    await employer.accept()
    const [invoice] = await employer.invoices()
    const note = (amount: number, givenBack = false) =>
      money.call('recordInvoicePayment', {
        params: { id: invoice!.id },
        body: { amount, receivedOn: house.day(0), note: 'by cheque', givenBack },
      })
    expect((await note(100, true)).status).toBe(409)
    await note(4000)
    await note(6500)
    expect(await employer.invoices()).toMatchObject([{ owed: -500, state: 'settled' }])
    const both = await Promise.all([note(500, true), note(500, true)])
    expect(both.map(({ status }) => status).sort()).toEqual([200, 409])
    expect(await Employer.findByPk(employer.id)).toMatchObject({ owes: 0 })
    const found = await money.done('listEmployerInvoices', { query: { text: 'Talwerk' } })
    expect(found.invoices.every(({ state }) => state === 'open')).toBe(true)
  })
})

test('who sees only the vacancies of their teams reads of an employer what those were asked for', async () => {
  const employer = await anEmployer(house, {}, money)
  await asking(await whoOwes(house, slug, 'Tess Team'), employer.id)
  const mine = await house.staff('money')
  const admin = await house.staff('administrator')
  const read = async () => (await mine.done('readEmployer', { params: { id: employer.id } })).requests.length
  expect(await read()).toBe(1)
  const { account } = await mine.done('readSession')
  const { version } = (await admin.done('listColleagues')).colleagues.find(({ id }) => id === account!.id)!
  await admin.done('changeColleague', { params: { id: account!.id }, body: { version, teamsOnly: true, teams: [] } })
  expect(await read()).toBe(0)
})

describe('who decides for an employer', () => {
  test('works nowhere here: is no colleague, is invited as none, and comes by no page of the desk', async () => {
    const employer = await anEmployer(house, {}, money)
    const admin = await house.staff('administrator')
    const { colleagues } = await admin.done('listColleagues')
    expect(colleagues.map(({ mail }) => mail)).not.toContain(employer.mail)
    const body = { name: 'Paula Payer', mail: employer.mail, roles: ['money' as const], language: 'en' as const }
    expect((await admin.call('inviteColleague', { body })).status).toBe(409)
    for (const name of ['readCounts', 'listVouchers', 'listClosings', 'listColleagues'] as const)
      expect((await employer.payer.call(name, { query: {} } as never)).status).toBe(403)
    expect((await employer.payer.call('beginApplication', { params: { slug } })).status).toBe(403)
    expect((await employer.payer.call('myApplications')).status).toBe(403)
  })

  test('reads of an application the name, the post and the lines, and nothing else of it', async () => {
    const employer = await anEmployer(house, {}, money)
    const owing = await whoOwes(house, slug, 'Vera Veiled')
    await asking(owing, employer.id)
    const [request] = await employer.waiting()
    expect(Object.keys(request!).sort()).toEqual(
      [
        ...['amount', 'askedAt', 'currency', 'decidedAt', 'decidedBy', 'employer', 'fee', 'id', 'lapsesOn', 'lines'],
        ...['name', 'orderNumber', 'reason', 'reference', 'state', 'vacancy'],
      ].sort(),
    )
    expect((await employer.payer.call('readFile', { params: { id: owing.id } })).status).toBe(403)
    expect((await employer.payer.call('readStatus', { params: { id: owing.id } })).status).toBe(403)
  })

  test('saves where invoices go; of two at the same moment one is refused, and nothing is lost', async () => {
    const employer = await anEmployer(house, {}, money)
    const { version, terms } = await employer.read()
    const { street, postcode, findable, orderNumberNeeded } = terms
    const save = (town: string) =>
      employer.payer.call('saveOwnEmployer', {
        body: {
          version,
          details: { street, postcode, town, receiptMail: 'Books@Talwerk.test', findable, orderNumberNeeded },
        },
      })
    const both = await Promise.all([save('Oberdorf'), save('Unterdorf')])
    expect(both.map(({ status }) => status).sort()).toEqual([200, 409])
    const after = (await employer.read()).terms
    expect(after).toMatchObject({ receiptMail: 'books@talwerk.test', name: terms.name, limit: terms.limit })
    expect(['Oberdorf', 'Unterdorf']).toContain(after.town)
  })

  test('comes by the password that was chosen, and is told where they began', async () => {
    const employer = await anEmployer(house, {}, money)
    const again = house.visitor()
    const session = await again.done('signIn', { body: { mail: employer.mail, password } })
    expect(session.account).toMatchObject({ roles: ['employer'], rights: [] })
    expect((await again.done('readOwnEmployer')).id).toBe(employer.id)
  })
})

describe('what goes wrong', () => {
  test('another currency, a charge that is somebody else’s, and what is no line of it are refused', async () => {
    const employer = await anEmployer(house, { currency: 'CHF' }, money)
    const owing = await whoOwes(house, slug, 'Olga Other')
    expect((await asking(owing, employer.id)).body.code).toBe('other-currency')
    const stranger = await house.applicant('Stefan Stranger')
    const body = { employer: employer.id, lines: null, orderNumber: '' }
    const { id } = await owing.charge()
    expect((await stranger.call('askEmployer', { params: { id }, body })).status).toBe(404)
    expect((await stranger.call('findEmployers', { query: { text: 'ab' } })).status).toBe(422)
  })

  test('what was paid in part meanwhile is not taken over a second time', async () => {
    const employer = await anEmployer(house, {}, money)
    const owing = await whoOwes(house, slug, 'Petra Part')
    await asking(owing, employer.id)
    const { id } = await owing.charge()
    await money.done('recordPayment', { params: { id }, body: { amount: 3000, receivedOn: house.day(0), note: '' } })
    await employer.accept()
    expect(await owing.charge()).toMatchObject({ owed: 0, state: 'settled', requests: [{ amount: 7000 }] })
    expect((await employer.read()).owes).toBe(7000)
  })

  test('an application that ends asks nobody any more; what was taken over before goes back and is called off', async () => {
    const employer = await anEmployer(house, {}, money)
    const owing = await whoOwes(house, slug, 'Wilma Withdrawn')
    await asking(owing, employer.id)
    await owing.candidate.done('withdraw', { params: { id: owing.id } })
    expect(await employer.waiting()).toEqual([])
    expect((await owing.charge()).requests).toMatchObject([{ state: 'withdrawn' }])

    const taken = await whoOwes(house, slug, 'Toni Taken')
    await asking(taken, employer.id, { lines: ['lodging'] })
    await employer.accept()
    await taken.candidate.done('withdraw', { params: { id: taken.id } })
    expect(await taken.charge()).toMatchObject({ state: 'called off', owed: 0 })
    const { id } = (await taken.charge()).requests[0]!
    await money.done('returnToCandidate', { params: { id }, body: { reason: 'The course does not take place' } })
    expect(await taken.charge()).toMatchObject({ state: 'called off', owed: 0, takenBack: 10_000 })
    expect((await employer.read()).owes).toBe(0)
  })

  test('what the employer has paid does not go back to the candidate', async () => {
    const employer = await anEmployer(house, {}, money)
    const owing = await whoOwes(house, slug, 'Nora Notback')
    await asking(owing, employer.id)
    await employer.accept()
    const [invoice] = await employer.invoices()
    await money.done('recordInvoicePayment', {
      params: { id: invoice!.id },
      body: { amount: 10_000, receivedOn: house.day(0), note: 'by cheque', givenBack: false },
    })
    const { id } = (await owing.charge()).requests[0]!
    const back = await money.call('returnToCandidate', { params: { id }, body: { reason: 'They changed their minds' } })
    expect(back.body.code).toBe('not-returnable')
    // Papers of one employer are not there for another.
    const other = await anEmployer(house, { name: 'Prying Eyes' }, money)
    const paper = invoice!.documents[0]!.id
    expect((await other.payer.request(`/api/employer/invoices/${invoice!.id}/documents/${paper}`)).status).toBe(404)
    expect((await other.payer.call('listCharges', { query: { queue: 'owed' } })).status).toBe(403)
  })

  test('a transfer without reference is proposed for an invoice of its amount and name, and laid with two by hand', async () => {
    const employer = await anEmployer(house, { name: 'Zirbental Lifte' }, money)
    for (const name of ['Zoe Zirbe', 'Zac Zirbe']) {
      await asking(await whoOwes(house, slug, name), employer.id)
      await employer.accept()
    }
    const [second, first] = await employer.invoices()
    const take = (line: string) =>
      money.done('takeStatement', {
        body: Buffer.from(`date;amount;currency;payer;reference;text;id\n${house.day(0)};${line}`) as never,
      })
    await take(`100,00;EUR;Zirbental Lifte GmbH;;Kurs;Z-${first!.id}`)
    const { transfers } = await money.done('listTransfers', { query: { state: 'to look at' } })
    const own = transfers.find(({ payer }) => payer.startsWith('Zirbental'))!
    expect(own.proposed.map(({ pays, kind }) => [pays, kind])).toEqual(
      expect.arrayContaining([
        [first!.id, 'employer invoice'],
        [second!.id, 'employer invoice'],
      ]),
    )
    const parts = [
      { pays: first!.id, amount: 4000 },
      { pays: second!.id, amount: 6000 },
    ]
    await money.done('assignTransfer', { params: { id: own.id }, body: { parts } })
    expect((await employer.invoices()).map(({ owed }) => owed).sort()).toEqual([4000, 6000])
    expect((await employer.read()).owes).toBe(10_000)
  })
})
