import { screen, waitFor } from '@testing-library/react'
import type { Draft } from '#contract/applications'
import type { Capture } from '#contract/identity'
import type { Question } from '#core/form/form'
import { aClaim, aDraft, aSection, aWork } from '../../../test/draft'
import { showPage } from '../../../test/page'
import { Apply } from './Apply'
import { EqualitySection } from './EqualitySection'
import { FinishReopened } from './FinishReopened'
import { FromBefore } from './FromBefore'
import { IdentitySection } from './IdentitySection'
import { PermissionSection } from './PermissionSection'
import { QuestionsSection } from './QuestionsSection'
import { SendSection } from './SendSection'
import type { Autosave } from './useAutosave'
import { VouchingSection } from './VouchingSection'

type Showing = Parameters<typeof showPage>[1]
const show = (part: React.ReactElement, more: object = {}) =>
  showPage(part, { roles: ['candidate'], ...more } as Showing)

/** What is kept of answers, as the page sees it. */
const kept = (answers: Record<string, string> = {}, over: Partial<Autosave> = {}) =>
  ({
    version: 4,
    facts: { answers },
    answer: (key: string) => answers[key] ?? '',
    text: (key: string) => answers[key] ?? '',
    change: (key: string, value: string) => Object.assign(answers, { [key]: value }),
    ...over,
  }) as unknown as Autosave

const why: Question = { key: 'more.why', label: 'Why this post?', kind: 'text', required: true }
const questions = aSection('questions', { key: 'more', title: 'More', questions: [why] })

describe('those who vouch', () => {
  const vouching = (over: object = {}): Draft['vouchings'][number] =>
    ({
      ...{ id: '0190a3f0-0000-7000-8000-00000000000b', name: 'Hedda Lund', relation: 'supervisor', state: 'asked' },
      ...{ mail: '', reference: 'VB-1', code: 'K4T9PX', askedAt: '2026-11-20T08:00:00.000Z', doneAt: null },
      ...over,
    }) as Draft['vouchings'][number]

  test('somebody is named with or without an address', async () => {
    const { user, sent } = await show(<VouchingSection draft={aDraft()} />, { nameVoucher: vouching() })
    const ask = screen.getByRole<HTMLButtonElement>('button', { name: 'Ask them' })
    expect(ask.disabled).toBe(true)
    await user.type(screen.getByLabelText('Their name'), 'Hedda')
    await user.selectOptions(screen.getByLabelText('What they are to you'), 'A colleague')
    await user.click(ask)
    await waitFor(() => expect(sent).toHaveLength(1))
    expect(sent[0]!.body).toEqual({ name: 'Hedda', mail: '', relation: 'colleague' })
    // The form closes once it is done.
    await screen.findByRole('button', { name: 'Name somebody else' })
  })

  test('without an address the code is handed over; who has answered is no longer called off', async () => {
    const vouchings = [
      vouching(),
      vouching({ id: '0190a3f0-0000-7000-8000-00000000000c', name: 'Bo Nilsen', mail: 'bo@mail.example' }),
      vouching({
        ...{ id: '0190a3f0-0000-7000-8000-00000000000d', name: 'Ada Roth', state: 'done' },
        doneAt: '2026-11-22T08:00:00.000Z',
      }),
    ]
    const draft = aDraft({ vouchings })
    const { user, sent } = await show(<VouchingSection draft={draft} />, { callOffVoucher: { done: true } })
    screen.getByText(/^Give them this\. They enter it at .*\/vouch\.$/)
    screen.getByText('We have sent them a link. They can also use what stands here.')
    screen.getByText('Answered 22 Nov 2026')
    expect(screen.getAllByRole('button', { name: /^No longer ask/ })).toHaveLength(2)
    await user.click(screen.getByRole('button', { name: 'No longer ask Hedda Lund' }))
    await waitFor(() => expect(sent).toHaveLength(1))
    expect(sent[0]!.params).toEqual({ id: draft.id, vouching: vouchings[0]!.id })
  })
})

describe('sending', () => {
  const form = [questions, aSection('work'), aSection('permission'), aSection('equality'), aSection('vouching')]

  test('is shut while something is left, and says what and where', async () => {
    const left = [{ section: 'more', title: 'Why this post?', why: 'Not answered.' }]
    await show(<SendSection draft={aDraft({ form, left })} autosave={kept()} />)
    screen.getByText('Why this post?: Not answered.')
    screen.getByText('Sending opens when nothing is left: one thing to go.')
    expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Send my application' }).disabled).toBe(true)
    expect(screen.getByRole('link', { name: 'Change More' }).getAttribute('href')).toMatch(/\/more$/)
    screen.getByText('Not signed yet.')
    screen.getByText('Nobody named.')
    screen.getByText('Nothing given.')
  })

  test('shows all that goes, and sends the version that is on the page', async () => {
    const claims = [aClaim(aWork(), { label: 'Driver, Karwen Line' })]
    const draft = aDraft({ form, claims, permission: { signedAt: '2026-11-20T08:00:00.000Z', fullName: 'Ada Roth' } })
    const { user, sent } = await show(<SendSection draft={draft} autosave={kept({ 'more.why': 'Snow' })} />, {
      sendApplication: { reference: 'VM-EDMH-RK', sentAt: '2026-11-28T08:00:00.000Z' },
    })
    screen.getByText('Snow')
    screen.getByText('Driver, Karwen Line')
    screen.getByText('Signed by Ada Roth.')
    await user.click(screen.getByRole('button', { name: 'Send my application' }))
    await waitFor(() => expect(sent).toHaveLength(1))
    expect(sent[0]).toMatchObject({ params: { id: draft.id }, body: { version: 4 } })
  })

  test('is shut on a vacancy that has closed, and while an answer is in conflict', async () => {
    const { vacancy } = aDraft()
    const closed = await show(
      <SendSection draft={aDraft({ vacancy: { ...vacancy, open: false } })} autosave={kept()} />,
    )
    expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Send my application' }).disabled).toBe(true)
    closed.unmount()
    await show(<SendSection draft={aDraft()} autosave={kept({}, { version: undefined })} />)
    expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Send my application' }).disabled).toBe(true)
  })
})

describe('the permission to check', () => {
  test('is signed once it is agreed to, with the name and the password', async () => {
    const draft = aDraft()
    const { user, sent } = await show(<PermissionSection draft={draft} />, {
      signPermission: { signedAt: '2026-11-28T08:00:00.000Z', fullName: 'Ada Roth' },
    })
    screen.getByText('Until it is over.')
    const sign = screen.getByRole<HTMLButtonElement>('button', { name: 'Sign' })
    await user.type(screen.getByLabelText('Sign by typing your full name'), 'Ada Roth')
    await user.type(screen.getByLabelText('Your password'), 'secret-one')
    expect(sign.disabled).toBe(true)
    await user.click(screen.getByLabelText('I have read this and agree to it.'))
    expect(sign.disabled).toBe(false)
    await user.click(sign)
    await waitFor(() => expect(sent).toHaveLength(1))
    expect(sent[0]!.body).toEqual({ fullName: 'Ada Roth', password: 'secret-one', agreed: true })
  })

  test('a wrong password is said beside it; once it is signed the paper is there', async () => {
    const faults = [{ pointer: '/body/password', message: 'This is not your password.' }]
    const open = await show(<PermissionSection draft={aDraft()} />, {
      signPermission: { problem: { status: 422, faults } },
    })
    await open.user.type(screen.getByLabelText('Sign by typing your full name'), 'Ada')
    await open.user.type(screen.getByLabelText('Your password'), 'wrong')
    await open.user.click(screen.getByLabelText('I have read this and agree to it.'))
    await open.user.click(screen.getByRole('button', { name: 'Sign' }))
    await screen.findByText('This is not your password.')
    open.unmount()
    const draft = aDraft({ permission: { signedAt: '2026-11-20T08:00:00.000Z', fullName: 'Ada Roth' } })
    await show(<PermissionSection draft={draft} />)
    expect(screen.queryByRole('button', { name: 'Sign' })).toBeNull()
    expect(screen.getByRole('link', { name: 'Keep the signed PDF' }).getAttribute('href')).toContain(draft.id)
  })
})

test('voluntary answers go only when they are given, and are gone from the page afterwards', async () => {
  const options = ['Under 30', 'Over 30']
  const age: Question = { key: 'equality.age', label: 'Your age', kind: 'one of', required: false, options }
  const section = aSection('equality', { questions: [age] })
  const draft = aDraft()
  const { user, sent, unmount } = await show(<EqualitySection draft={draft} section={section} />, {
    giveEqualityAnswers: { done: true },
  })
  const give = screen.getByRole<HTMLButtonElement>('button', { name: 'Give these answers' })
  expect(give.disabled).toBe(true)
  await user.selectOptions(screen.getByLabelText(/^Your age/), 'Over 30')
  await user.click(give)
  await waitFor(() => expect(sent).toHaveLength(1))
  expect(sent[0]!.body).toEqual({ answers: { 'equality.age': 'Over 30' } })
  unmount()
  await show(<EqualitySection draft={{ ...draft, equalityGiven: true }} section={section} />)
  screen.getByText('Thank you. Your answers are counted.')
  expect(screen.queryByLabelText(/^Your age/)).toBeNull()
})

test('what was taken over from before is confirmed as a whole, with when it was last said', async () => {
  const draft = aDraft({ takenOver: { 'more.why': '2025-03-01T08:00:00.000Z' } })
  const { user, sent } = await show(<FromBefore draft={draft} section={questions} autosave={kept()} />, {
    confirmSection: { done: true },
  })
  screen.getByText(/last confirmed on 1 Mar 2025/)
  await user.click(screen.getByRole('button', { name: 'All of this is right' }))
  await waitFor(() => expect(sent).toHaveLength(1))
  expect(sent[0]!.params).toEqual({ id: draft.id, section: 'more' })
})

test('a part that was opened again is given back, and leads to where it stands', async () => {
  const draft = aDraft({ stage: 'sent' })
  const part = { id: '0190a3f0-0000-7000-8000-0000000000ee', title: 'More', reason: 'Say more.', dueOn: '2026-12-03' }
  const { user, where } = await show(
    <FinishReopened draft={draft} part={part as unknown as Draft['reopened'][number]} autosave={kept()} />,
    { finishReopened: { done: true } },
  )
  screen.getByText('Say more. Please do so by 3 Dec 2026.')
  await user.click(screen.getByRole('button', { name: 'This is done' }))
  await waitFor(() => expect(where()).toBe(`/applications/${draft.id}`))
})

describe('who somebody is', () => {
  const paper = (over: object = {}) =>
    aClaim(
      {
        ...{ kind: 'identity', sourceId: null, sourceName: '', paper: 'passport', number: '', issuer: '', zone: '' },
        ...{ familyName: '', givenNames: '', born: '', through: '' },
        ...over,
      } as never,
      { label: 'Passport' },
    )
  const offered = {
    ...{
      paper: 'passport',
      number: 'P7654321',
      issuer: 'AUT',
      familyName: 'ROTH',
      givenNames: 'ADA',
      born: '1990-05-01',
    },
    ...{ through: '2031-01-01', zone: 'P<AUTROTH' },
  }
  const capture = (over: Partial<Capture> = {}): Capture =>
    ({
      ...{ id: '0190a3f0-0000-7000-8000-0000000000cc', state: 'waiting', address: 'http://device.test/1' },
      ...{ why: null, offered: null, mended: [] },
      ...over,
    }) as Capture

  test('the paper is chosen first', async () => {
    const { user, sent } = await show(<IdentitySection draft={aDraft()} autosave={kept()} />, { addClaim: paper() })
    await user.click(screen.getByLabelText('None of these'))
    screen.getByText(/^Two other papers with your name will do/)
    await user.click(screen.getByLabelText('An identity card'))
    await user.click(screen.getByRole('button', { name: 'Go on with this' }))
    await waitFor(() => expect(sent).toHaveLength(1))
    expect(sent[0]!.body).toMatchObject({ details: { kind: 'identity', paper: 'identity card' } })
  })

  test('what a phone has read comes back by itself; doubtful characters are compared before it is right', async () => {
    const claim = paper()
    const mended = [{ field: 'number', read: 'P7O', as: 'P70' }] as never
    const { user, sent } = await show(<IdentitySection draft={aDraft({ claims: [claim] })} autosave={kept()} />, {
      beginCapture: capture(),
      takeCapture: capture({ state: 'read' as never, offered: offered as never, mended }),
      changeClaim: claim,
    })
    await user.click(screen.getByRole('button', { name: 'Hand it over to my phone' }))
    await screen.findByAltText('QR code that opens the camera on a phone')
    screen.getByText('Waiting for the picture…')
    const right = await screen.findByRole<HTMLButtonElement>(
      'button',
      { name: 'Yes, this is right' },
      { timeout: 5000 },
    )
    expect(right.disabled).toBe(true)
    await user.click(screen.getByLabelText('I have compared them, and put right what was wrong.'))
    await user.click(right)
    await waitFor(() => expect(sent.at(-1)?.name).toBe('changeClaim'))
    expect(sent.at(-1)!.body).toMatchObject({ details: { number: 'P7654321', familyName: 'ROTH', zone: 'P<AUTROTH' } })
  }, 15_000)

  test('a picture that is not clear, and one that never comes, say what to do', async () => {
    const claim = paper()
    const draft = aDraft({ claims: [claim] })
    const unclear = await show(<IdentitySection draft={draft} autosave={kept()} />, {
      beginCapture: capture({ state: 'unclear', why: 'Too dark.' }),
    })
    await unclear.user.click(screen.getByRole('button', { name: 'Hand it over to my phone' }))
    await screen.findByText('That was not clear enough. Too dark. Try again, or type it.')
    unclear.unmount()
    const gone = await show(<IdentitySection draft={draft} autosave={kept()} />, {
      beginCapture: capture({ state: 'gone' }),
    })
    await gone.user.click(screen.getByRole('button', { name: 'Hand it over to my phone' }))
    await screen.findByText('That took too long. Begin the capture again.')
  })

  test('what the paper says otherwise is offered for the answers, never taken over unasked', async () => {
    const about = aSection('questions', {
      key: 'about',
      questions: [
        { key: 'about.givenNames', label: 'Given names', kind: 'text', required: true },
        { key: 'about.familyName', label: 'Family name', kind: 'text', required: true },
      ],
    })
    const answers = { 'about.givenNames': 'Ada', 'about.familyName': 'Rot' }
    const draft = aDraft({ form: [about], claims: [paper(offered)] })
    const { user } = await show(<IdentitySection draft={draft} autosave={kept(answers)} />)
    screen.getByText('Your answers say something else:')
    expect(screen.getAllByRole('listitem').map(({ textContent }) => textContent)).toEqual(['Family name: Rot → Roth'])
    expect(answers['about.familyName']).toBe('Rot')
    await user.click(screen.getByRole('button', { name: 'Take it from the paper' }))
    expect(answers['about.familyName']).toBe('Roth')
  })
})

describe('the application as a whole', () => {
  const form = [questions, aSection('work'), aSection('send')]
  const open = (draft: Draft, section: string, more: object = {}) =>
    show(<Apply />, { readDraft: draft, at: `/apply/${draft.id}/${section}`, path: '/apply/:id/:section', ...more })

  test('shows each part with what is left of it, and leads on to the next', async () => {
    const left = [{ section: 'more', title: 'Why this post?', why: 'Not answered.' }]
    const draft = aDraft({ form, left })
    await open(draft, 'more')
    await screen.findByRole('heading', { name: 'Part of questions' })
    screen.getByText('What is left: one thing')
    expect(screen.getAllByRole('link', { name: 'More 1 left' }).length).toBeGreaterThan(0)
    expect(screen.getAllByRole('link', { name: 'Part of work nothing yet' }).length).toBeGreaterThan(0)
    expect(screen.getByRole('link', { name: 'Next: Part of work' }).getAttribute('href')).toBe(
      `/apply/${draft.id}/work`,
    )
    expect(screen.getByText(/^Not sent yet · closes/).textContent).toContain('Europe/Vienna')
  })

  test('a part nobody knows leads to the last one that was open', async () => {
    const draft = aDraft({ form, lastSection: 'work' })
    const { where } = await open(draft, 'nowhere')
    await waitFor(() => expect(where()).toBe(`/apply/${draft.id}/work`))
  })

  test('what was sent stays as it was: a part that is not open again leads to the status', async () => {
    const draft = aDraft({ form, stage: 'sent' })
    const { where } = await open(draft, 'more')
    await waitFor(() => expect(where()).toBe(`/applications/${draft.id}`))
  })

  test('what is to be finished by a day says so; what was set aside is taken up before anything is typed', async () => {
    const left = { endsOn: '2026-12-11', setAside: false, paysFirst: false, extraDays: 10 }
    const { unmount } = await open(aDraft({ form, completion: left }), 'more')
    expect(await screen.findByText(/To be finished by 11 Dec 2026/)).toBeTruthy()
    unmount()
    const aside = aDraft({ form, completion: { ...left, setAside: true } })
    const { user, sent } = await open(aside, 'more', { restoreApplication: { done: true } })
    await user.click(await screen.findByRole('button', { name: 'Take it up again' }))
    expect(sent).toMatchObject([{ name: 'restoreApplication', params: { id: aside.id } }])
    expect(screen.queryByRole('heading', { name: 'Part of questions' })).toBeNull()
    expect(screen.queryByRole('textbox')).toBeNull()
  })

  test('a vacancy that closed meanwhile says so and keeps what was written', async () => {
    const { vacancy } = aDraft()
    await open(aDraft({ form, vacancy: { ...vacancy, open: false } }), 'more')
    expect((await screen.findByRole('alert')).textContent).toContain('What you wrote is kept')
  })
})

test('a mail address at the employer one is leaving is warned of, and one of one’s own is not', async () => {
  const mailQuestion: Question = { key: 'contact.mail', label: 'Mail address', kind: 'mail', required: true }
  const section = aSection('questions', { questions: [mailQuestion] })
  const claims = [aClaim(aWork({ sourceName: 'Karwen Line' }))]
  const draw = (mail: string) =>
    showPage(
      <QuestionsSection
        draft={aDraft({ claims })}
        section={section}
        autosave={kept({ 'contact.mail': mail }, { fault: () => undefined, clashes: {} })}
      />,
      { roles: ['candidate'] },
    )
  const { unmount } = await draw('jo@karwen.example')
  expect(screen.getByRole('status').textContent).toContain('an address at Karwen Line')
  unmount()
  await draw('jo@mail.example')
  expect(screen.queryByRole('status')).toBeNull()
})
