import { jest } from '@jest/globals'
import { fireEvent, screen, waitFor, within } from '@testing-library/react'
import { v7 as uuid } from 'uuid'
import type { File } from '#contract/desk'
import { aDocument, aFile, aLicence, asked } from '../../../test/deskFile'
import { showPage } from '../../../test/page'
import { ComposeMessage } from '../applications/ComposeMessage'
import { ChangeStart } from './ChangeStart'
import { Correct } from './Correct'
import { FilePane } from './FilePane'
import { Messages } from './Messages'
import { Reopened } from './Reopened'
import { rowsOf } from './rows'
import { TakeUpAgain } from './TakeUpAgain'
import { UnansweredOffer } from './UnansweredOffer'

const show = (part: React.ReactElement, more: object = {}) => showPage(part, more as Parameters<typeof showPage>[1])
const done = { done: true }
const type = (field: HTMLElement, value: string) => fireEvent.change(field, { target: { value } })
const button = (name: string | RegExp) => screen.getByRole<HTMLButtonElement>('button', { name })
const parts: File['parts'] = [
  {
    ...{ section: 'more', title: 'More' },
    questions: [{ key: 'more.why', label: 'Why this post?', kind: 'text', required: true }],
  } as never,
]

describe('asking for a correction', () => {
  const sentences = [
    {
      id: uuid(),
      about: 'document',
      title: 'Cut off',
      english: 'It is cut off.',
      german: 'Es fehlt ein Rand.',
      version: 1,
    },
    { id: uuid(), about: 'answer', title: 'Blank', english: 'Please answer this.', german: '', version: 1 },
  ]
  const licence = aLicence({ documents: [aDocument({ version: 2 })] })
  const file = (over: Partial<File> = {}) => aFile({ claims: [licence], parts, ...over })
  const rowOf = (of: File) =>
    rowsOf(of)
      .flatMap(({ rows }) => rows)
      .find(({ key }) => key.includes(licence.id))
  const open = (of: File, row: ReturnType<typeof rowOf> | null = rowOf(of)) =>
    show(<Correct file={of} row={row ?? undefined} onClose={() => undefined} />, {
      ...{ listSentences: sentences, sendDocumentBack: done, reopenPart: done },
    })

  test('one key sends the paper back with a sentence in the candidate’s language', async () => {
    const of = file({ candidate: { ...aFile().candidate, language: 'de' } })
    const { user, sent } = await open(of)
    await screen.findByText('Es fehlt ein Rand.')
    await user.keyboard('1')
    await waitFor(() => expect(sent).toHaveLength(1))
    expect(sent[0]).toMatchObject({
      ...{ name: 'sendDocumentBack', params: { id: licence.documents[0]!.id } },
      body: { version: 2, reason: 'Es fehlt ein Rand.' },
    })
  })

  test('without a line that says what is meant, nothing is asked by a slip of a finger', async () => {
    const { user, sent } = await open(file(), null)
    await screen.findByText('What is it about?')
    await user.keyboard('1')
    expect(sent).toEqual([])
    await user.selectOptions(screen.getByLabelText('What is it about?'), 'Why this post?')
    await user.click(await screen.findByRole('button', { name: 'Edit first' }))
    const own = screen.getByLabelText<HTMLTextAreaElement>(/^Or in your own words/)
    expect(own.value).toBe('Please answer this.')
    type(own, 'Please say more about the winter.')
    await user.click(await screen.findByRole('button', { name: 'Ask them' }))
    await waitFor(() => expect(sent).toHaveLength(1))
    expect(sent[0]).toMatchObject({
      name: 'reopenPart',
      body: { section: 'more', question: 'more.why', reason: 'Please say more about the winter.', dueOn: '2026-12-05' },
    })
  })

  test('where there is nothing to ask about, that is said', async () => {
    await open(aFile(), null)
    expect((await screen.findByRole('dialog')).textContent).toMatch(/There is nothing in this/)
  })
})

describe('what was changed since', () => {
  const part = (over: object = {}): File['reopened'][number] =>
    ({
      ...{ id: uuid(), section: 'more', question: null, title: 'More', reason: 'Say more.', dueOn: '2026-12-03' },
      ...{ askedBy: 'Ines', askedAt: '2026-11-20T08:00:00.000Z', state: 'open', doneAt: null, differences: [] },
      ...over,
    }) as never

  test('is shown beside what it was, and noted', async () => {
    const changed = part({ state: 'changed', doneAt: '2026-11-25T08:00:00.000Z' })
    const changes = [{ label: 'Why this post?', before: 'Snow', after: 'Snow and rope' }]
    const { user, sent } = await show(<Reopened file={aFile({ reopened: [changed], changes })} />, {
      settleReopened: done,
    })
    expect((await screen.findByText('Snow and rope')).tagName).toBe('INS')
    screen.getByText('They left it as it was.')
    await user.click(await screen.findByRole('button', { name: 'Noted' }))
    await waitFor(() => expect(sent[0]).toMatchObject({ params: { reopening: changed.id } }))
  })

  test('what nobody has changed yet is called off; somebody who reads does neither', async () => {
    const reader = await show(<Reopened file={aFile({ reopened: [part()] })} />, { roles: ['assessor'] })
    await reader.user.click(await screen.findByText(/^Changed since it was sent/))
    expect(screen.queryByRole('button', { name: 'Call it off' })).toBeNull()
    expect(screen.queryByRole('button', { name: 'Ask them to change something' })).toBeNull()
    reader.unmount()
    const { user } = await show(<Reopened file={aFile({ reopened: [part()], parts })} />, {
      settleReopened: done,
      reopenPart: done,
    })
    await user.click(await screen.findByText(/^Changed since it was sent/))
    screen.getByRole('button', { name: 'Call it off' })
  })

  test('one question is opened with a reason and a day; refused where it is open already', async () => {
    const problem = { status: 409, code: 'already-open', title: 'They have been asked to change this.' }
    const { user, sent } = await show(<Reopened file={aFile({ parts })} />, { reopenPart: { problem } })
    await user.click(await screen.findByText(/^Changed since it was sent/))
    await user.click(await screen.findByRole('button', { name: 'Ask them to change something' }))
    const dialog = within(await screen.findByRole('dialog'))
    const ask = dialog.getByRole<HTMLButtonElement>('button', { name: 'Ask them' })
    expect(ask.disabled).toBe(true)
    await user.selectOptions(dialog.getByLabelText('Question'), 'Why this post?')
    type(dialog.getByLabelText(/^Why\?/), 'It was cut off in the middle.')
    await user.click(ask)
    await dialog.findByText(problem.title)
    expect(sent[0]!.body).toMatchObject({ section: 'more', question: 'more.why', dueOn: '2026-12-05' })
  })
})

describe('an offer nobody has answered', () => {
  const offer = (over: object = {}) =>
    ({ salary: 5_500_000, startsOn: '2027-02-01', answerBy: '2026-12-05', answer: null, ...over }) as never
  const open = (of: File, more: object = {}, onDone = jest.fn()) =>
    show(<UnansweredOffer file={of} onDone={onDone} />, { roles: ['hiring manager'], ...more })

  test('is given more time, by a week unless it is said otherwise', async () => {
    const { user, sent } = await open(aFile({ offer: offer() }), { extendOffer: done })
    await screen.findByText('It awaits an answer until 5 Dec 2026.')
    await user.click(await screen.findByRole('button', { name: 'Give more time' }))
    expect(screen.getByLabelText<HTMLInputElement>('To be answered by').value).toBe('5 Dec 2026')
    await user.click(await screen.findByRole('button', { name: 'Give more time' }))
    await waitFor(() => expect(sent[0]).toMatchObject({ name: 'extendOffer', body: { answerBy: '2026-12-05' } }))
  })

  test('is withdrawn for a reason; answered meanwhile, that is said', async () => {
    const title = 'The offer was accepted.'
    const { user, sent } = await open(aFile({ offer: offer() }), {
      withdrawOffer: { problem: { status: 409, code: 'answered', title } },
    })
    await user.click(await screen.findByRole('button', { name: 'Withdraw the offer' }))
    expect(button('Withdraw the offer').disabled).toBe(true)
    type(screen.getByLabelText(/^Why\?/), 'The post is not filled this season.')
    await user.click(await screen.findByRole('button', { name: 'Withdraw the offer' }))
    await screen.findByText(title)
    expect(sent[0]!.body).toEqual({ reason: 'The post is not filled this season.' })
  })

  test('expired, a coordinator reads who can do something about it', async () => {
    await open(aFile({ offer: offer({ answerBy: '2026-11-20' }) }), { roles: ['coordinator'] })
    await screen.findByText('It was to be answered by 20 Nov 2026 and was not.')
    screen.getByText('A hiring manager can give more time, or withdraw it.')
    expect(screen.queryByRole('button')).toBeNull()
  })

  test('one that was answered is not here any more', async () => {
    const { container } = await open(aFile({ offer: offer({ answer: 'accepted' }) }))
    expect(container.textContent).toBe('')
  })
})

test('another first day wants a reason, and a day that is another', async () => {
  const of = aFile()
  const { user, sent } = await show(<ChangeStart file={of} onClose={() => undefined} />, {
    changeStart: { version: 6 },
  })
  type(await screen.findByLabelText(/^Why\?/), 'The season begins later.')
  expect(button('Change the start').disabled).toBe(true)
  const day = screen.getByLabelText('Target start')
  await user.clear(day)
  await user.type(day, '7 Jan 2027')
  await user.click(await screen.findByRole('button', { name: 'Change the start' }))
  await waitFor(() =>
    expect(sent[0]!.body).toEqual({ version: 5, targetStart: '2027-01-07', reason: 'The season begins later.' }),
  )
})

test('somebody turned down is taken up again for a reason', async () => {
  const { user, sent } = await show(<TakeUpAgain file={aFile({ stage: 'turned down' })} onClose={() => undefined} />, {
    takeUpAgain: done,
  })
  const take = await screen.findByRole<HTMLButtonElement>('button', { name: /^Take them up again/ })
  expect(take.disabled).toBe(true)
  type(screen.getByLabelText(/^Why\?/), 'The first choice has declined.')
  await user.click(take)
  await waitFor(() => expect(sent[0]!.body).toEqual({ reason: 'The first choice has declined.' }))
})

describe('mails about a file', () => {
  const mail = (over: object = {}) => ({
    ...{
      id: uuid(),
      channel: 'mail',
      subject: 'You are on the shortlist',
      to: 'oskar@mail.example',
      state: 'accepted',
    },
    ...{ at: '2026-11-20T08:00:00.000Z', text: 'Good news.', encloses: [], refusedBecause: null },
    ...over,
  })
  const came = {
    ...{ id: uuid(), kind: 'written', state: 'waiting', subject: 'A question', from: 'oskar@mail.example' },
    ...{ text: 'May I bring a dog?', encloses: ['dog.jpg'], receivedAt: '2026-11-21T08:00:00.000Z' },
  }

  test('one that was refused is open at once, with why, and goes again', async () => {
    const refused = mail({ state: 'refused', refusedBecause: 'no such mailbox' })
    const { user, sent } = await show(<Messages id={uuid()} />, {
      ...{ readMessages: [refused, mail()], readMailsAbout: [], resendMessage: done },
    })
    await screen.findByText('The mail server said: no such mailbox')
    await user.click(await screen.findByRole('button', { name: 'Send again' }))
    await waitFor(() => expect(sent[0]).toMatchObject({ name: 'resendMessage', params: { id: refused.id } }))
  })

  test('one that came in waits with its words, until it is done', async () => {
    const { user, sent } = await show(<Messages id={uuid()} />, {
      ...{ readMessages: [mail()], readMailsAbout: [came], settleIncomingMail: done },
    })
    await screen.findByText('May I bring a dog?')
    screen.getByText('waits for you')
    await user.click(await screen.findByRole('button', { name: /^You are on the shortlist/ }))
    screen.getByText('Good news.')
    await user.click(await screen.findByRole('button', { name: 'Mark as done' }))
    await waitFor(() => expect(sent[0]).toMatchObject({ name: 'settleIncomingMail', params: { id: came.id } }))
  })

  test('who may not act on them reads them', async () => {
    await show(<Messages id={uuid()} />, {
      ...{
        roles: ['assessor'],
        readMessages: [mail({ state: 'refused', refusedBecause: 'full' })],
        readMailsAbout: [came],
      },
    })
    await screen.findByText('The mail server said: full')
    expect(screen.queryByRole('button', { name: 'Send again' })).toBeNull()
    expect(screen.queryByRole('button', { name: 'Mark as done' })).toBeNull()
  })
})

describe('writing to several', () => {
  const [one, two] = [uuid(), uuid()]
  const preview = (application: string, over: object = {}) => ({
    ...{ application, name: 'Ada Roth', to: 'ada@mail.example', language: 'en', subject: 'Soon', text: 'Dear Ada' },
    ...{ phone: null, obstacle: null },
    ...over,
  })
  const template = {
    ...{ id: uuid(), name: 'Still waiting', english: { subject: 'We wait', text: 'A little longer.' }, german: null },
    ...{ version: 1, savedBy: 'Ines', savedAt: '2026-11-20T08:00:00.000Z' },
  }
  const open = (turningDown: boolean, more: object, onDone = jest.fn()) =>
    show(
      <ComposeMessage applications={[one, two]} turningDown={turningDown} onClose={() => undefined} onDone={onDone} />,
      {
        listTemplates: { templates: [template], placeholders: [] },
        ...more,
      },
    )

  test('begins with what is prepared, and shows what each will get and who gets nothing', async () => {
    const { user, sent } = await open(false, {
      previewMessages: [
        preview(one, { phone: '+43 660 1' }),
        preview(two, { name: 'Bo Nilsen', obstacle: 'Has no address.', subject: '', text: '' }),
      ],
      sendMessages: { queued: 1, left: 1, texts: 1 },
    })
    const look = await screen.findByRole<HTMLButtonElement>('button', { name: 'See what each will get' })
    expect(look.disabled).toBe(true)
    await screen.findByRole('option', { name: 'Still waiting' })
    await user.selectOptions(screen.getByLabelText('Begin with'), 'Still waiting')
    await user.click(look)
    await screen.findByText('Dear Ada')
    screen.getByText('Has no address.')
    await user.click(screen.getByLabelText('Also tell them by text message (1 of 1 have a number)'))
    await user.click(await screen.findByRole('button', { name: 'Send to 1' }))
    await waitFor(() => expect(sent.at(-1)).toMatchObject({ name: 'sendMessages', body: { alsoByText: true } }))
    expect(sent[0]!.body).toMatchObject({ written: { english: { subject: 'We wait' }, german: null } })
  })

  test('nobody is turned down without a reason, and the words can be changed before', async () => {
    const { user, sent } = await open(true, {
      previewMessages: [preview(one), preview(two, { name: 'Bo Nilsen' })],
      turnDown: { turnedDown: 2, left: 0 },
    })
    await screen.findByRole('option', { name: 'Still waiting' })
    await user.selectOptions(screen.getByLabelText('Begin with'), 'Still waiting')
    expect(button('See what each will get').disabled).toBe(true)
    type(screen.getByLabelText(/^Why\? This stays on record/), 'Others had more years.')
    await user.click(await screen.findByRole('button', { name: 'See what each will get' }))
    await user.click(await screen.findByRole('button', { name: 'Change the words' }))
    await user.click(await screen.findByRole('button', { name: 'See what each will get' }))
    await user.click(await screen.findByRole('button', { name: 'Turn down and write to 2' }))
    await waitFor(() => expect(sent.at(-1)?.name).toBe('turnDown'))
    expect(sent.at(-1)!.body).toMatchObject({ applications: [one, two], reason: 'Others had more years.' })
  })

  test('where nobody can be reached there is nothing to send', async () => {
    const { user } = await open(false, {
      previewMessages: [preview(one, { obstacle: 'Has no address.' }), preview(two, { obstacle: 'Has no address.' })],
    })
    await screen.findByRole('option', { name: 'Still waiting' })
    await user.selectOptions(screen.getByLabelText('Begin with'), 'Still waiting')
    await user.click(await screen.findByRole('button', { name: 'See what each will get' }))
    expect((await screen.findByRole<HTMLButtonElement>('button', { name: 'Send to 0' })).disabled).toBe(true)
  })
})

describe('the keys of a file', () => {
  const open = (of: File, roles: string[]) =>
    show(<FilePane queue="today" id={of.id} chosen={undefined} />, {
      ...{ roles, at: `/desk/today/${of.id}`, readFile: of, readMessages: [], readMailsAbout: [], listSentences: [] },
    })

  test('M moves on and A asks, for those who may', async () => {
    const of = aFile({ parts }, [asked('Permission')])
    const { user } = await open(of, ['coordinator'])
    await screen.findByRole('heading', { name: 'Oskar Fjellheim' })
    await user.keyboard('a')
    await screen.findByText('Ask to correct something')
    await user.keyboard('{Escape}')
    await waitFor(() => expect(screen.queryByRole('dialog')).toBeNull())
    await user.keyboard('m')
    await screen.findByRole('dialog')
  })

  test('an assessor has neither the buttons nor the keys', async () => {
    const { user } = await open(aFile({ parts }, [asked('Permission')]), ['assessor'])
    await screen.findByRole('heading', { name: 'Oskar Fjellheim' })
    await user.keyboard('am')
    expect(screen.queryByRole('dialog')).toBeNull()
    expect(screen.queryByRole('button', { name: /Move on/ })).toBeNull()
  })

  test('somebody who was turned down is taken up again by the same key', async () => {
    const { user } = await open(aFile({ stage: 'turned down', nextGate: null }), ['coordinator'])
    await screen.findByRole('heading', { name: 'Oskar Fjellheim' })
    await user.keyboard('a')
    expect((await screen.findByRole('dialog')).textContent).toMatch(/up again/)
  })
})
