import { screen, waitFor, within } from '@testing-library/react'
import { v7 as uuid } from 'uuid'
import type { Status } from '#contract/status'
import { aDocument, aLicence } from '../../../test/deskFile'
import { aClaim, aStudy } from '../../../test/draft'
import { showPage } from '../../../test/page'
import { StatusPage } from './StatusPage'

const id = uuid()
const aStatus = (over: Partial<Status> = {}): Status => ({
  ...{ id, reference: 'VM-EDMH-RK', title: 'Rope-access inspector', stage: 'sent', targetStart: '2026-12-26' },
  ...{
    completion: null,
    ball: 'It is with us.',
    likely: null,
    toDo: [],
    askedBySources: [],
    studies: [],
    withOthers: [],
    done: [],
    claims: [],
    reopened: [],
  },
  gates: [
    { gate: 'send', name: 'Sent', state: 'passed', passedAt: '2026-11-20T08:00:00.000Z' },
    { gate: 'shortlist', name: 'Shortlist', state: 'next', passedAt: null },
  ],
  contact: {
    version: 5,
    questions: [{ key: 'contact.town', label: 'Town', kind: 'text', required: true }],
    answers: { 'contact.town': 'Innsbruck' },
  },
  ...{
    permission: null,
    offer: null,
    tasks: [],
    happenings: [],
    decidesOn: null,
    matters: [],
    owed: [],
    again: null,
    today: '2026-11-28',
  },
  ...over,
})
const toDo = (
  act: Status['toDo'][number]['act'],
  over: Partial<Status['toDo'][number]> = {},
): Status['toDo'][number] => ({
  ...{ key: act, title: `To ${act}`, why: 'It is needed.', act, target: 'work', label: 'Go on', minutes: null },
  ...over,
})
const show = (status: Status, more: object = {}) =>
  showPage(<StatusPage />, {
    roles: ['candidate'],
    at: `/applications/${id}`,
    path: '/applications/:id',
    readStatus: status,
    ...more,
  } as Parameters<typeof showPage>[1])

test('says who has the ball, what comes next and what others are doing', async () => {
  await show(
    aStatus({
      withOthers: [{ title: 'Rope access card', why: 'Its issuer was asked.', who: 'Ropeguild' }],
      happenings: [{ at: '2026-11-20T08:00:00.000Z', text: 'You sent it.' }],
    }),
  )
  expect((await screen.findByTestId('ball')).textContent).toBe('It is with us.')
  expect(screen.getAllByRole('listitem').map(({ textContent }) => textContent)).toEqual([
    'Rope access card Its issuer was asked.with Ropeguild',
    'Sent20 Nov 2026',
    'Shortlistnext',
    '20 NovYou sent it.',
  ])
})

test.each<[Status['toDo'][number]['act'], string, string]>([
  ['finish', 'Go on', `/apply/${id}`],
  ['go', 'Go on', `/apply/${id}/work`],
  ['sit check', 'Sit the check', `/applications/${id}/checks/work`],
])('what is to be done by “%s” leads there', async (act, words, to) => {
  await show(aStatus({ toDo: [toDo(act, { minutes: 20 })] }))
  expect((await screen.findByRole('link', { name: new RegExp(`^${words}`) })).getAttribute('href')).toBe(to)
})

test('whoever vouches for a paper is named where that is to be done', async () => {
  const study = aClaim(aStudy(), { label: 'MSc' })
  const { user, sent } = await show(aStatus({ claims: [study], toDo: [toDo('certify', { target: study.id })] }), {
    addClaim: study,
    findSources: [],
  })
  await user.click(await screen.findByRole('button', { name: /certified, swore/ }))
  await user.type(screen.getByLabelText('Who vouches for it'), 'Notary Lind')
  await user.type(screen.getByLabelText('As whom'), 'Notary')
  await user.type(screen.getByLabelText('On which day'), '2 Nov 2026')
  await user.tab()
  await user.click(screen.getByRole('button', { name: 'Save' }))
  await waitFor(() => expect(sent).toMatchObject([{ name: 'addClaim', body: { details: { of: study.id } } }]))
})

test('what is to be paid leads to where it is paid', async () => {
  await show(aStatus({ toDo: [toDo('pay')] }))
  expect((await screen.findByRole<HTMLAnchorElement>('link', { name: 'Pay it' })).hash).toBe('#fees')
})

describe('an offer', () => {
  const offer = { salary: 4_560_000, startsOn: '2026-12-26', answerBy: '2026-12-10', answer: null }
  const offered = aStatus({ stage: 'offered', offer, toDo: [toDo('answer offer')] })

  test('is accepted with one press', async () => {
    const { user, sent } = await show(offered, { answerOffer: { stage: 'offered' } })
    expect(await screen.findByText(/45,600/)).toBeTruthy()
    await user.click(screen.getByRole('button', { name: 'Accept the offer' }))
    await waitFor(() => expect(sent).toMatchObject([{ name: 'answerOffer', body: { answer: 'accepted' } }]))
  })

  test('is declined only after what follows was said', async () => {
    const { user, sent } = await show(offered, { answerOffer: { stage: 'declined' } })
    await user.click(await screen.findByRole('button', { name: 'Decline' }))
    expect(sent).toEqual([])
    await user.click(within(await screen.findByRole('dialog')).getByRole('button', { name: 'Decline the offer' }))
    await waitFor(() => expect(sent).toMatchObject([{ body: { answer: 'declined' } }]))
  })
})

test('a paper that was sent back asks for a better copy, one that is missing for the paper', async () => {
  const claim = (state: 'sent back' | undefined) =>
    aLicence({ documents: state ? [aDocument({ state, sentBackBecause: 'The lower third is cut off.' })] : [] })
  const [bad, none] = [claim('sent back'), claim(undefined)]
  await show(
    aStatus({
      claims: [bad, none],
      toDo: [toDo('upload', { key: 'a', target: bad.id }), toDo('upload', { key: 'b', target: none.id })],
    }),
  )
  expect(await screen.findByLabelText(/better copy/)).toBeTruthy()
  expect(screen.getByLabelText(/Add the document/)).toBeTruthy()
  expect(screen.getByText(/The lower third is cut off/)).toBeTruthy()
})

test('how one can be reached is corrected at any time, by what was changed alone', async () => {
  const { user, sent } = await show(aStatus(), {
    saveAnswers: { version: 6, savedAt: '2026-11-28T08:00:00.000Z', answers: {}, left: [] },
  })
  await user.click(await screen.findByRole('button', { name: /Correct how we can reach you/ }))
  const town = screen.getByLabelText<HTMLInputElement>('Town')
  expect(town.value).toBe('Innsbruck')
  await user.click(screen.getByRole('button', { name: 'Save' }))
  expect(sent).toEqual([])
  await user.click(await screen.findByRole('button', { name: /Correct how we can reach you/ }))
  await user.clear(screen.getByLabelText('Town'))
  await user.type(screen.getByLabelText('Town'), 'Hall')
  await user.click(screen.getByRole('button', { name: 'Save' }))
  await waitFor(() => expect(sent).toMatchObject([{ body: { version: 5, changes: { 'contact.town': 'Hall' } } }]))
})

test('the permission can be withdrawn, knowing who is being asked', async () => {
  const { user, sent } = await show(aStatus({ permission: { signedAt: '2026-11-20T08:00:00.000Z', asked: 2 } }), {
    withdrawPermission: { done: true },
  })
  expect(await screen.findByText(/2 questions are open/)).toBeTruthy()
  await user.click(screen.getByText('Withdraw the permission to check'))
  await user.click(screen.getByRole('button', { name: 'Withdraw the permission' }))
  await waitFor(() => expect(sent.map(({ name }) => name)).toEqual(['withdrawPermission']))
})

test.each<[Status['stage'], boolean]>([
  ['sent', true],
  ['offered', true],
  ['withdrawn', false],
  ['turned down', false],
])('an application that is “%s” can be withdrawn: %s', async (stage, can) => {
  await show(aStatus({ stage, again: stage === 'withdrawn' ? 'rope-access-inspector' : null }))
  await screen.findByTestId('ball')
  expect(Boolean(screen.queryByRole('button', { name: 'Withdraw' }))).toBe(can)
  const again = screen.queryByRole('link', { name: /Apply again/ })
  expect(again?.getAttribute('href') ?? null).toBe(stage === 'withdrawn' ? '/vacancies/rope-access-inspector' : null)
})

test('a long story is told from its end, and whole when somebody asks', async () => {
  const happenings = Array.from({ length: 15 }, (_, nth) => ({
    at: `2026-11-${nth + 10}T08:00:00.000Z`,
    text: `Thing ${nth}`,
  }))
  const { user } = await show(aStatus({ happenings }))
  await screen.findByTestId('ball')
  expect(screen.getAllByText(/^Thing/)).toHaveLength(12)
  await user.click(screen.getByRole('button', { name: /Show the 3/ }))
  expect(screen.getAllByText(/^Thing/)).toHaveLength(15)
})

describe('asking us', () => {
  const claim = aLicence()
  const asked = {
    ...{ id: uuid(), about: { kind: 'nothing', label: null }, state: 'answered', answerBy: '2026-11-30', version: 2 },
    askedAt: '2026-11-26T08:00:00.000Z',
    entries: [
      { id: uuid(), by: 'desk', name: 'Ines Marquardt', via: 'portal', text: 'Yes.', at: '2026-11-26T09:00:00.000Z' },
    ],
  }

  test('a question is about one thing that was given, and goes out as it was typed', async () => {
    const { user, sent } = await show(aStatus({ claims: [claim] }), {
      listMyConversations: [],
      startConversation: { id: uuid(), answerBy: '2026-11-30' },
    })
    await user.click(await screen.findByRole('button', { name: 'Ask something' }))
    await user.selectOptions(screen.getByLabelText('What it is about'), claim.label)
    await user.type(screen.getByLabelText('Your question'), 'May I send it later?')
    await user.click(screen.getByRole('button', { name: 'Send it' }))
    await waitFor(() => expect(sent).toHaveLength(1))
    expect(sent[0]).toMatchObject({
      name: 'startConversation',
      body: { about: { kind: 'claim', key: claim.id }, text: 'May I send it later?' },
    })
  })

  test('an answer is read in its place, and more is written beneath it', async () => {
    const { user, sent } = await show(aStatus(), {
      listMyConversations: [asked],
      writeInConversation: { answerBy: '2026-12-01' },
    })
    const place = within((await screen.findByText('The application as a whole')).closest('article')!)
    expect(place.getByText('Answered')).toBeTruthy()
    expect(place.getByText('Yes.')).toBeTruthy()
    await user.type(place.getByLabelText('What you write'), 'And the copy?')
    await user.click(place.getByRole('button', { name: 'Send it', hidden: true }))
    await waitFor(() => expect(sent).toMatchObject([{ params: { id: asked.id }, body: { text: 'And the copy?' } }]))
  })

  test('before it is sent there is nobody to ask', async () => {
    await show(aStatus({ reference: null, stage: 'being written' }))
    await screen.findByText('Not sent yet')
    expect(screen.queryByText('Ask us')).toBeNull()
  })
})

test('the promised day, what was declared, and what is still to come stand there with their days', async () => {
  const claim = aClaim(aStudy(), { label: 'MSc' })
  await show(
    aStatus({
      decidesOn: '2026-12-24',
      claims: [claim],
      matters: [
        { title: 'No dismissal', state: 'waiting', on: null, reason: '' },
        { title: 'No withdrawal', state: 'conditions', on: '2026-11-20', reason: 'To be sure.' },
      ],
      owed: [{ claim: claim.id, title: 'MSc', finalBy: '2027-01-31' }],
    }),
  )
  screen.getByText('You hear from us by 24 Dec 2026, whichever way we decide.')
  screen.getByText('A person reads what you wrote and decides.')
  screen.getByText(/under conditions that you accept before the first day\. To be sure\.$/)
  screen.getByText('The final paper by 31 Jan 2027; until then the interim one does.')
  screen.getByText('Add the final paper')
})
