import { screen, waitFor, within } from '@testing-library/react'
import { v7 as uuid } from 'uuid'
import type { File } from '#contract/desk'
import type { Reply } from '#contract/endpoint'
import type { Role } from '#contract/roles'
import type { readScores } from '#contract/scoring'
import { aDocument, aFile, aLicence, aProof } from '../../../test/deskFile'
import { showPage } from '../../../test/page'
import { AskSource } from './AskSource'
import { LookAt } from './LookAt'
import { Resit } from './Resit'
import { ScoreProof } from './ScoreProof'

type Answers = Parameters<typeof showPage>[1]

describe('a document opened beside the claim', () => {
  const proof = aProof({
    fields: [
      { key: 'number', kind: 'number', weight: 'matters' },
      { key: 'through', kind: 'date', weight: 'matters' },
    ] as never,
    claimed: { number: 'RG-3-21560', through: '2026-12-18' },
  })
  const open = (state: 'to look at' | 'seen' = 'to look at', roles: Role[] = ['coordinator'], more: Answers = {}) => {
    const document = aDocument({ state, mediaType: 'image/png', reads: state === 'seen' ? { number: 'RG-3' } : {} })
    const claim = aLicence({ documents: [document] })
    return showPage(
      <LookAt
        file={aFile({ claims: [claim] })}
        claim={claim}
        proof={proof}
        documentId={document.id}
        onClose={() => {}}
      />,
      { roles, ...more },
    )
  }

  test.each([
    ['release form', 'Signed by hand, and whole', /Is it signed by hand, by this person/],
    ['signed permission', 'Signed by hand, and whole', /Is it signed by hand, by this person/],
    ['receipt of payment', 'Readable and right', /Does it show what the source asks for/],
  ] as const)('a %s for the source is looked at and not read', async (part, button, question) => {
    const document = aDocument({ part, mediaType: 'image/png' })
    const claim = aLicence({ documents: [document] })
    const file = aFile({ claims: [claim] })
    const { user, sent } = await showPage(
      <LookAt file={file} claim={claim} proof={proof} documentId={document.id} onClose={() => {}} />,
      { seeDocument: { done: true } },
    )
    expect(await screen.findByText(question)).toBeTruthy()
    expect(screen.queryByRole('textbox')).toBeNull()
    await user.click(screen.getByRole('button', { name: button }))
    await waitFor(() => expect(sent[0]?.body).toEqual({ version: document.version, reads: {} }))
  })

  test('begins empty: what was claimed stands beside it and is not copied', async () => {
    await open()
    const number = await screen.findByLabelText<HTMLInputElement>(/^Number/)
    expect(number.value).toBe('')
    expect(screen.getByText(/RG-3-21560/)).toBeTruthy()
  })

  test('what is typed is what was read, a day in whatever way people write it', async () => {
    const { user, sent } = await open('to look at', ['coordinator'], { seeDocument: { done: true } } as Answers)
    await screen.findByRole('button', { name: 'Readable and right' })
    await user.type(screen.getByLabelText(/^Number/), 'RG-3-21561')
    expect(screen.getByText(/paper says something else/i)).toBeTruthy()
    await user.type(screen.getByLabelText(/^Valid through/), '18 Dec 2026')
    await user.click(screen.getByRole('button', { name: 'Readable and right' }))
    await waitFor(() =>
      expect(sent.filter(({ name }) => name === 'seeDocument')).toMatchObject([
        { name: 'seeDocument', body: { version: 0, reads: { number: 'RG-3-21561', through: '2026-12-18' } } },
      ]),
    )
  })

  test('is sent back with a reason, and with none it is not', async () => {
    const { user, sent } = await open('to look at', ['coordinator'], { sendDocumentBack: { done: true } } as Answers)
    await user.click(await screen.findByRole('button', { name: 'Send back' }))
    const back = screen.getByRole<HTMLButtonElement>('button', { name: 'Send it back' })
    expect(back.disabled).toBe(true)
    await user.type(screen.getByLabelText(/What is wrong with it/), 'The lower third is cut off.')
    await user.click(back)
    await waitFor(() =>
      expect(sent.filter(({ name }) => name === 'sendDocumentBack')).toMatchObject([
        { body: { reason: 'The lower third is cut off.' } },
      ]),
    )
  })

  test('once seen it shows what was read and cannot be read anew', async () => {
    await open('seen')
    const number = await screen.findByLabelText<HTMLInputElement>(/^Number/)
    expect([number.value, number.disabled]).toEqual(['RG-3', true])
    expect(screen.queryByRole('button', { name: 'Readable and right' })).toBeNull()
  })
})

describe('asking a source', () => {
  const mail = { channel: 'link', contactId: 'cards', to: 'cards@ropeguild.example' }
  const letter = { channel: 'letter', contactId: 'cards', to: 'Ring 7\n6020 Innsbruck' }
  const handling = (answerWorkingDays: number, amount: number | null) => ({
    ...{ answerWorkingDays, cost: amount === null ? null : { amount, currency: 'EUR' }, answerBy: '2026-12-10' },
  })
  const preview = (over: object = {}) => ({
    ...{ way: mail, ways: [mail], source: 'Ropeguild International', language: 'en', subject: 'A licence' },
    ...{ encloses: ['Permission.pdf'], usual: handling(8, null), faster: null, toApprove: false },
    ...{ text: 'Is this right?', answerBy: '2026-12-10', obstacles: [] as string[], lacks: [] as string[] },
    ...over,
  })
  const show = (previewEnquiry: object, more: Answers = {}) => {
    const claim = aLicence()
    return showPage(<AskSource file={aFile({ claims: [claim] })} claim={claim} onClose={() => {}} />, {
      previewEnquiry,
      ...more,
    } as Answers)
  }

  test('shows the mail as it will go, then sends it once', async () => {
    const { user, sent } = await show(preview(), { raiseEnquiry: { id: uuid(), answerBy: '2026-12-10' } } as Answers)
    expect(await screen.findByText('Is this right?')).toBeTruthy()
    expect(screen.getByText(/cards@ropeguild.example/)).toBeTruthy()
    await user.click(screen.getByRole('button', { name: /^Send|^Ask/ }))
    await waitFor(() => expect(sent.map(({ name }) => name)).toEqual(['raiseEnquiry']))
  })

  test('what keeps it from going is said before, and then nothing can be sent', async () => {
    await show(preview({ obstacles: ['The permission was withdrawn.'] }))
    expect((await screen.findByRole('alert')).textContent).toBe('The permission was withdrawn.')
    const send = screen.queryByRole<HTMLButtonElement>('button', { name: /^Send|^Ask/ })
    expect(send === null || send.disabled).toBe(true)
  })

  test('what is missing is waited for, and said', async () => {
    const { user, sent } = await show(preview({ lacks: ['Look at the document first.'] }), {
      raiseEnquiry: { id: uuid(), state: 'prepared', answerBy: '2026-12-10' },
    } as Answers)
    expect((await screen.findByRole('alert')).textContent).toContain('Look at the document first.')
    await user.click(screen.getByRole('button', { name: 'Prepare the enquiry' }))
    await waitFor(() => expect(sent[0]?.body).toEqual({ applicationId: expect.any(String) }))
  })

  test('another way is chosen, and faster handling with what it costs beside the usual', async () => {
    const both = { ways: [mail, letter], usual: handling(8, null), faster: handling(2, 4500) }
    const { user, sent } = await show(preview(both), {
      raiseEnquiry: { id: uuid(), state: 'open', answerBy: '2026-12-10' },
    } as Answers)
    await user.selectOptions(await screen.findByLabelText('Way'), 'letter: Ring 7, 6020 Innsbruck')
    expect(screen.getByLabelText(/^Usual: 8 working days/)).toBeTruthy()
    await user.click(await screen.findByLabelText(/^Faster: 2 working days.*45/))
    await user.click(await screen.findByRole('button', { name: 'Send the enquiry' }))
    await waitFor(() => expect(sent[0]?.body).toMatchObject({ channel: 'letter', contactId: 'cards', faster: true }))
  })
})

describe('one’s own score', () => {
  const criteria = [
    { key: 'ropes', title: 'Rope work', lookFor: '', most: 4, weight: 2 },
    { key: 'calm', title: 'Calm', lookFor: 'When it storms', most: 4, weight: 1 },
  ]
  const scores = (over: Partial<Reply<typeof readScores>> = {}): Reply<typeof readScores> => ({
    ...{ criteria, reviewers: 2, handedIn: 0, own: null, others: [], summary: null, open: true },
    ...over,
  })
  const show = (told: Reply<typeof readScores>) =>
    showPage(<ScoreProof file={aFile()} />, {
      roles: ['assessor'],
      readScores: told,
      saveScore: { handedIn: true },
    } as Answers)

  test('is given by digits, criterion by criterion, saved at once and handed in when it is whole', async () => {
    const { user, sent } = await show(scores())
    const handIn = await screen.findByRole<HTMLButtonElement>('button', { name: /^Hand in/ })
    await user.keyboard('9')
    expect(sent).toEqual([])
    await user.keyboard('3')
    await waitFor(() => expect(sent).toMatchObject([{ body: { points: { ropes: 3 }, handIn: false } }]))
    expect(handIn.disabled).toBe(true)
    await user.keyboard('0')
    await waitFor(() => expect(sent.at(-1)?.body).toMatchObject({ points: { ropes: 3, calm: 0 }, handIn: false }))
    await user.click(handIn)
    await waitFor(() => expect(sent.at(-1)?.body).toMatchObject({ points: { ropes: 3, calm: 0 }, handIn: true }))
  })

  test('nobody sees another’s before enough are in; then where they are far apart is told', async () => {
    const score = (reviewer: string, ropes: number) => ({
      ...{ reviewer, points: { ropes, calm: 2 }, note: '', handedInAt: '2026-11-27T08:00:00.000Z' },
    })
    await show(
      scores({
        handedIn: 2,
        own: score('Anselm', 1),
        others: [score('Mirela', 4)],
        summary: {
          percent: 58,
          criteria: [
            { key: 'ropes', mean: 2.5, least: 1, most: 4, apart: true },
            { key: 'calm', mean: 2, least: 2, most: 2, apart: false },
          ],
        },
      }),
    )
    expect(await screen.findByText('58 %')).toBeTruthy()
    expect(screen.getAllByText(/You see this differently/)).toHaveLength(1)
    expect(screen.queryByRole('button', { name: /^Hand in/ })).toBeNull()
  })
})

describe('a check that was not passed', () => {
  const check = (over: Partial<File['checks'][number]> = {}): File['checks'][number] => ({
    ...{ check: 'isolation', title: 'Isolation', state: 'marked', percent: 60, passed: false, passPercent: 80 },
    ...{
      finishedAt: '2026-11-20T08:00:00.000Z',
      attempt: 1,
      attempts: 2,
      waitDays: 7,
      earlier: [],
      resit: null,
      wrong: [],
    },
    ...over,
  })
  const show = (own: File['checks'][number], roles: Role[] = ['coordinator']) =>
    showPage(<Resit file={aFile({ checks: [own] })} check={own} />, { roles, allowResit: { notBefore: '2026-11-27' } })

  test('may be sat again by leave, with a reason that stays', async () => {
    const { user, sent } = await show(check())
    await screen.findByRole('button', { name: /^Let them sit it again/ })
    await user.keyboard('r')
    const dialog = within(await screen.findByRole('dialog'))
    await user.type(dialog.getByRole('textbox'), 'The line broke down.')
    await user.click(dialog.getByRole('button', { name: 'Give leave' }))
    await waitFor(() => expect(sent).toMatchObject([{ body: { check: 'isolation', reason: 'The line broke down.' } }]))
  })

  test.each<[string, Partial<File['checks'][number]>, Role]>([
    ['as often as it may be', { attempt: 2 }, 'coordinator'],
    ['and leave is given already', { resit: { notBefore: '2026-12-01', by: 'Ines' } }, 'coordinator'],
    ['but passed', { passed: true, percent: 90 }, 'coordinator'],
    ['and who looks is an assessor', {}, 'assessor'],
  ])('is not given leave for where it was sat %s', async (_what, over, role) => {
    const { user } = await show(check(over), [role])
    await user.keyboard('r')
    expect(screen.queryByRole('button', { name: /^Let them sit it again/ })).toBeNull()
    expect(screen.queryByRole('dialog')).toBeNull()
  })
})
