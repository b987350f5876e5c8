import { screen, waitFor, within } from '@testing-library/react'
import { aDraft, aSection } from '../../../test/draft'
import { aCharge, aFee, aLine, aPayment, aSchedule } from '../../../test/fees'
import { showPage } from '../../../test/page'
import type { Autosave } from '../apply/useAutosave'
import { FeeEstimate } from './FeeEstimate'
import { Fees } from './Fees'
import { FeesBeside, FeesToSend } from './OwnFees'
import { PaymentReturn } from './PaymentReturn'

const id = '0190a3f0-0000-7000-8000-000000000001'
const charge = '0190a3f0-0000-7000-8000-0000000000c1'
const apprentice = {
  key: 'apprentice',
  label: 'Are you an apprentice?',
  kind: 'yes or no' as const,
  proof: 'your contract',
}
const schedule = aSchedule({
  facts: [apprentice],
  lines: [
    aLine({
      exempt: [{ when: { fact: 'fee.apprentice', is: 'yes' }, because: 'you are an apprentice', basisPoints: 5000 }],
      when: { fact: 'winter', is: 'yes' },
    }),
    aLine({ key: 'meals', title: 'Meals', why: '', amount: { kind: 'fixed', amount: 1000 }, optional: true }),
    aLine({
      ...{ key: 'card', title: 'By card', why: '', amount: { kind: 'share', of: [], basisPoints: 200 } },
      when: { fact: 'payment.means', is: 'card' },
    }),
  ],
})
const form = [
  aSection('questions', {
    questions: [{ key: 'winter', label: 'Would you work in winter?', kind: 'yes or no', required: true }],
  }),
]
const amountOf = (title: RegExp) => within(screen.getByRole('row', { name: title })).getByRole('cell').textContent

test('before anything is filled in it says from what to what, and changes with each answer', async () => {
  const vacancy = {
    ...{
      id,
      slug: 'lift',
      title: 'Lift attendant',
      family: '',
      place: '',
      payFrom: 1,
      payTo: 2,
      payBand: '',
      contract: '',
    },
    ...{
      hours: '',
      closesAt: '2026-12-20T16:00:00.000Z',
      timeZone: 'Europe/Vienna',
      targetStart: '2027-01-01',
      summary: '',
    },
    ...{
      duties: { type: 'doc', content: [] },
      state: 'open',
      opensAt: '2026-11-01T08:00:00.000Z',
      decidesOn: null,
      group: null,
    },
    ...{ headcount: 1, open: true, requirements: [], names: {}, named: {}, form, mine: null },
  }
  const { user } = await showPage(<FeeEstimate />, {
    ...{ roles: [], at: '/vacancies/lift/fees', path: '/vacancies/:slug/fees' },
    readVacancy: vacancy,
    readVacancyFees: { title: 'Lift attendant', fees: [schedule], today: '2026-11-28' },
  } as never)
  await screen.findByRole('heading', { name: 'What it costs' })
  expect(amountOf(/^In all/)).toBe('10.00 to 55.00 EUR')
  expect(amountOf(/^By card/)).toMatch(/^\+ /)
  await user.click(within(screen.getByRole('group', { name: /winter/ })).getByText(/^yes$/i))
  await user.click(within(screen.getByRole('group', { name: /apprentice/ })).getByText('yes'))
  expect(amountOf(/^In all/)).toBe('32.50 EUR')
  expect(screen.getByText(/50 % less: you are an apprentice/)).toBeTruthy()
  expect(screen.getAllByText('changed just now').length).toBeGreaterThan(0)
  await user.click(screen.getByRole('checkbox', { name: 'I want this' }))
  expect(amountOf(/^In all/)).toBe('22.50 EUR')
})

const autosave = (winter: string) => ({ facts: { winter } }) as unknown as Autosave

describe('in an application', () => {
  const draft = aDraft({ id, form })
  const give = (over: object = {}) => ({ fees: [aFee({ schedule, ...over })], sent: false, cards: true })

  test('the sum beside the form goes by what was typed', async () => {
    const answers = {
      roles: ['candidate'],
      listOwnFees: give({ given: { apprentice: { value: 'no', proof: 'none' } } }),
    }
    const { unmount } = await showPage(<FeesBeside draft={draft} autosave={autosave('yes')} />, answers as never)
    expect(await screen.findByText('55.00 EUR')).toBeTruthy()
    unmount()
    await showPage(<FeesBeside draft={draft} autosave={autosave('no')} />, answers as never)
    expect(await screen.findByText('10.00 EUR')).toBeTruthy()
  })

  test('what is asked for the fee alone is kept as it is said, with its paper; an option can be left out', async () => {
    const { user, sent } = await showPage(<FeesToSend draft={draft} autosave={autosave('yes')} />, {
      roles: ['candidate'],
      listOwnFees: give({ given: { apprentice: { value: 'yes', proof: 'none' } }, version: 3 }),
      saveFeeAnswers: { version: 4 },
      addFeeProof: { done: true },
    } as never)
    // Without its paper it does not count.
    expect(await screen.findByText(/Not counted yet/)).toBeTruthy()
    expect(amountOf(/^In all/)).toBe('55.00 EUR')
    await user.upload(
      screen.getByLabelText('Paper: your contract'),
      new File(['x'], 'contract.pdf', { type: 'application/pdf' }),
    )
    await user.click(within(screen.getByRole('group', { name: /apprentice/ })).getByText('no'))
    await user.click(screen.getByRole('checkbox', { name: 'I want this' }))
    await waitFor(() => expect(sent).toHaveLength(3))
    expect(sent).toMatchObject([
      { name: 'addFeeProof', params: { id, schedule: 'fees', fact: 'apprentice' } },
      { name: 'saveFeeAnswers', body: { version: 3, facts: { apprentice: 'no' } } },
      { name: 'saveFeeAnswers', body: { version: 4, leftOut: ['meals'] } },
    ])
    expect(screen.getByText(/read by those who look after money/)).toBeTruthy()
  })

  test('what is typed while the last is being kept is kept after it; what was refused goes with the next', async () => {
    const nights = { key: 'nights', label: 'How many nights?', kind: 'number' as const }
    let version = 0
    const { user, sent } = await showPage(<FeesToSend draft={draft} autosave={autosave('no')} />, {
      roles: ['candidate'],
      listOwnFees: give({ schedule: aSchedule({ facts: [nights], lines: schedule.lines.slice(1, 2) }), version }),
      saveFeeAnswers: () => {
        version += 1
        return version === 1 ? { problem: { status: 409, code: 'changed-meanwhile' } } : { version }
      },
    } as never)
    await user.type(await screen.findByLabelText('How many nights?'), '123')
    await user.click(screen.getByRole('checkbox', { name: 'I want this' }))
    // Whatever was not refused holds all of it, in the order it was typed.
    const kept = () => Object.assign({}, ...sent.slice(1).map(({ body }) => body))
    await waitFor(() => expect(kept()).toMatchObject({ facts: { nights: '123' }, leftOut: ['meals'] }))
    expect(sent[0]).toMatchObject({ body: { facts: { nights: '1' } } })
  })
})

describe('after sending', () => {
  const show = (over: object, more: object = {}) =>
    showPage(<Fees id={id} />, {
      roles: ['candidate'],
      listOwnFees: { fees: [aFee({ charge: aCharge(over), ...more })], sent: true, cards: true },
      redeemVoucher: { covered: 2000 },
    } as never)

  test.each([
    [{}, '45.00 EUR to pay by 11 Dec 2026'],
    [{ late: true }, '45.00 EUR was due on 11 Dec 2026'],
    [{ state: 'settled', owed: 0 }, 'Paid'],
    [{ state: 'settled', owed: 0, total: 0 }, 'Nothing to pay'],
    [{ state: 'called off', owed: 0 }, 'Called off'],
  ])('%j is said as: %s', async (over, words) => {
    await show(over)
    expect(await screen.findByText(words)).toBeTruthy()
    expect(screen.queryAllByRole('button', { name: /by card/ })).toHaveLength(words.includes('45') ? 1 : 0)
  })
  test('paying by card says what it adds, and where cards are not taken there is no button', async () => {
    await show({}, { surcharges: [{ means: 'card', title: 'By card', amount: 90 }] })
    expect(await screen.findByRole('button', { name: 'Pay 45.90 EUR by card' })).toBeTruthy()
    expect(screen.getByText('0.90 EUR of that: By card')).toBeTruthy()
  })
  test('what was paid, declined and given back stands there with its papers', async () => {
    const payments = [
      aPayment({ id: '0190a3f0-0000-7000-8000-0000000000c3', state: 'declined' }),
      aPayment({ givenBack: 1000 }),
    ]
    const documents = [{ id, kind: 'receipt', number: 'R-2026-00001', issuedAt: '2026-11-29T08:01:00.000Z' }]
    await show({ state: 'settled', owed: -500, payments, documents })
    expect(await screen.findByText(/by card, declined/)).toBeTruthy()
    expect(screen.getByText(/by card, 10.00 EUR given back/)).toBeTruthy()
    expect(screen.getByText(/You paid 5.00 EUR more/)).toBeTruthy()
    expect(screen.getByRole<HTMLAnchorElement>('link', { name: 'Receipt R-2026-00001' }).href).toContain(
      `/charges/${charge}/documents/${id}`,
    )
  })
  test('a transfer is offered where there is an account for it, with its reference and a code', async () => {
    const { unmount } = await show({})
    await screen.findByRole('button', { name: /by card/ })
    expect(screen.queryByText('Or pay by bank transfer')).toBeNull()
    unmount()
    const transfer = { holder: 'The Valley', iban: 'BE72000000001616', bic: '', code: 'BCD\n002' }
    const { user } = await show({ transfer })
    await user.click(await screen.findByText('Or pay by bank transfer'))
    expect(screen.getByText('BE72 0000 0000 1616')).toBeTruthy()
    expect(screen.getByText('RF18 5390 0754 7034')).toBeTruthy()
    expect(await screen.findByRole('img', { name: 'A code your bank’s app reads' })).toBeTruthy()
  })
  test('an employer is found, asked for some of the lines, and named while it is their turn', async () => {
    const two = aSchedule({ lines: [aLine(), aLine({ key: 'meals', title: 'Meals' })] })
    const over = { total: 9000, owed: 9000 }
    const { user, sent } = await showPage(<Fees id={id} />, {
      roles: ['candidate'],
      listOwnFees: { fees: [aFee({ schedule: two, charge: aCharge(over) })], sent: true, cards: true },
      findEmployers: ({ query }: { query: { text: string } }) => ({
        employers: query.text === 'talwerk' ? [{ id, name: 'Talwerk Bahnen', town: 'Talwerk' }] : [],
      }),
      askEmployer: { done: true },
    } as never)
    await user.click(await screen.findByRole('button', { name: 'Somebody else pays: ask an employer' }))
    await user.type(screen.getByLabelText('Name of the employer, or its code'), 'nob')
    expect(await screen.findByText(/No employer with an account is called so/)).toBeTruthy()
    await user.clear(screen.getByLabelText('Name of the employer, or its code'))
    await user.type(screen.getByLabelText('Name of the employer, or its code'), 'talwerk')
    await user.click(await screen.findByRole('button', { name: 'Talwerk Bahnen, Talwerk' }))
    await user.click(screen.getByRole('checkbox', { name: 'Meals, 45.00 EUR' }))
    await user.type(screen.getByLabelText(/^Order number/), 'PO-3')
    await user.click(screen.getByRole('button', { name: 'Ask Talwerk Bahnen' }))
    expect(sent).toMatchObject([
      { name: 'askEmployer', body: { employer: id, lines: ['exam'], orderNumber: 'PO-3', code: 'talwerk' } },
    ])
  })

  test.each([
    ['asked', /Talwerk was asked to pay 45.00 EUR. It is their turn./],
    ['accepted', /Talwerk pays 45.00 EUR./],
    ['declined', /Talwerk does not pay./],
    ['lapsed', /Talwerk has not answered in time./],
    ['returned', /Talwerk does not pay after all./],
  ] as const)('an employer who was asked, %s', async (state, words) => {
    const request = {
      id,
      employer: 'Talwerk',
      employerId: id,
      state,
      lines: null,
      amount: 4500,
      orderNumber: '',
      reason: null,
    }
    const times = { askedAt: '2026-11-29T08:00:00.000Z', decidedAt: null }
    const { user, sent } = await showPage(<Fees id={id} />, {
      roles: ['candidate'],
      listOwnFees: {
        fees: [aFee({ charge: aCharge({ requests: [{ ...request, ...times }] }) })],
        ...{ sent: true, cards: true },
      },
      takeRequestBack: { done: true },
    } as never)
    expect(await screen.findByText(words)).toBeTruthy()
    const back = screen.queryByRole('button', { name: 'Take it back' })
    if (state !== 'asked') return expect(back).toBeNull()
    await user.click(back!)
    expect(sent).toMatchObject([{ name: 'takeRequestBack' }])
  })

  test('a voucher says what it covers', async () => {
    const { user, sent } = await show({})
    await user.click(await screen.findByRole('button', { name: 'I have a voucher' }))
    await user.type(screen.getByLabelText('Code of the voucher'), 'AAAAA-AAAAA-AAAA')
    await user.click(screen.getByRole('button', { name: 'Use it' }))
    expect(await screen.findByText('The voucher covers 20.00 EUR.')).toBeTruthy()
    expect(sent).toMatchObject([{ name: 'redeemVoucher', body: { code: 'AAAAA-AAAAA-AAAA' } }])
  })
})

test.each([
  ['started', /We are waiting/],
  ['paid', /Thank you. 45.00 EUR/],
  ['declined', /was declined.*not enough on the card/],
  ['abandoned', /came back without paying/],
  ['odd', /do not pay again/],
] as const)('who comes back from the provider reads of a payment that is %s', async (state, words) => {
  const payment = aPayment({ state, because: state === 'declined' ? 'not-enough' : null })
  await showPage(<PaymentReturn />, {
    ...{ roles: ['candidate'], at: `/my/fees/${charge}/paid/${payment.id}`, path: '/my/fees/:charge/paid/:payment' },
    readPayment: { payment, charge: aCharge(), application: id },
  } as never)
  expect((await screen.findByRole('status')).textContent).toMatch(words)
})
