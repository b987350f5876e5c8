import { screen, waitFor, within } from '@testing-library/react'
import type { SourceGiven } from '#contract/sources'
import { showPage } from '../../../test/page'
import { aContact, aSource } from '../../../test/source'
import { SourceForm } from './SourceForm'

const id = '0190a3f0-0000-7000-8000-000000000031'
const show = (source: SourceGiven, more: object = {}) =>
  showPage(<SourceForm id={id} version={4} source={source} onSaved={() => undefined} onCancel={() => undefined} />, {
    saveSource: { version: 5 },
    ...more,
  } as never)
const full = aSource({
  kind: 'university',
  names: [{ name: 'SSG', use: 'short' }],
  contacts: [aContact({ mail: 'a@ssg.example' }), aContact({ mail: 'b@ssg.example', purposes: ['disputes'] })],
  channels: ['register', 'link'],
  cost: { amount: 1250, currency: 'NOK' },
})
const part = (name: string) => within(screen.getByRole('group', { name }))

test('saved without a change, it is what it was', async () => {
  const { user, sent } = await show(full)
  await user.click(await screen.findByRole('button', { name: 'Save' }))
  await waitFor(() => expect(sent).toHaveLength(1))
  expect(sent[0]).toMatchObject({ params: { id }, body: { version: 4, source: full } })
})

test('names, years and successors are added, changed and taken out', async () => {
  const { user, sent } = await show(full)
  await user.click(await screen.findByRole('button', { name: 'Add a name' }))
  await user.type(screen.getByLabelText('Other name 2'), 'Alte Schule')
  await user.selectOptions(part('Other names').getAllByRole('combobox')[1]!, 'called before')
  await user.type(part('Other names').getByPlaceholderText('until'), '19x74')
  await user.click(part('Other names').getAllByRole('button', { name: 'Remove' })[0]!)
  await user.type(screen.getByLabelText('There since (year)'), '1906')
  await user.click(screen.getByRole('button', { name: 'Add a body it was merged into' }))
  await user.type(screen.getByLabelText('Body 1 it was merged into'), 'TU Oberwald')
  await user.click(screen.getByRole('button', { name: 'Save' }))
  await waitFor(() => expect(sent).toHaveLength(1))
  expect(sent[0]!.body).toMatchObject({
    source: {
      names: [{ name: 'Alte Schule', use: 'earlier', until: 1974 }],
      existedFrom: 1906,
      successors: [{ name: 'TU Oberwald', year: null }],
    },
  })
})

test('ways are preferred in the order in which they are chosen, and what it costs is money or nothing', async () => {
  const { user, sent } = await show(full)
  expect(await screen.findByText('In this order: register, secure link by mail')).toBeTruthy()
  await user.click(screen.getByLabelText('register'))
  await user.click(screen.getByLabelText('telephone'))
  await user.click(screen.getByLabelText('register'))
  expect(screen.getByText('In this order: secure link by mail, telephone, register')).toBeTruthy()
  const cost = screen.getByLabelText<HTMLInputElement>(/^Costs/)
  expect(cost.value).toBe('12.5')
  await user.clear(cost)
  expect(screen.queryByLabelText('Currency')).toBeNull()
  await user.type(cost, '7.25')
  await user.click(screen.getByRole('button', { name: 'Save' }))
  await waitFor(() => expect(sent).toHaveLength(1))
  expect(sent[0]!.body).toMatchObject({
    source: { channels: ['link', 'telephone', 'register'], cost: { amount: 725, currency: 'EUR' } },
  })
})

test('conditions, patterns and closures are written down, each for what it holds', async () => {
  const { user, sent } = await show(full)
  await user.click(await screen.findByRole('button', { name: 'Add a condition' }))
  await user.selectOptions(screen.getByLabelText('It asks for'), 'a handwritten signature')
  await user.type(part('What it asks for before it answers').getByLabelText('Why'), 'They compare it')
  expect(screen.getByText('for every claim')).toBeTruthy()
  await user.click(part('For which claims').getByLabelText('degrees'))
  await user.click(screen.getByRole('button', { name: 'Add a pattern' }))
  await user.type(screen.getByLabelText('Pattern'), 'TB-##')
  await user.type(screen.getByLabelText('Example'), 'TB-12')
  await user.click(screen.getByRole('button', { name: 'Add days' }))
  const closed = part('When it is closed')
  await user.type(closed.getByLabelText('From'), '1 Feb 2027')
  await user.type(closed.getByLabelText('To'), '7 Feb 2027')
  await user.type(closed.getByLabelText('Why'), 'Ski week')
  await user.click(screen.getByRole('button', { name: 'Save' }))
  await waitFor(() => expect(sent).toHaveLength(1))
  expect(sent[0]!.body).toMatchObject({
    source: {
      conditions: [{ kind: 'signature', claims: ['study'], reason: 'They compare it' }],
      numberFormats: [{ claim: 'study', pattern: 'TB-##', example: 'TB-12' }],
      closures: [{ from: '2027-02-01', to: '2027-02-07', why: 'Ski week' }],
    },
  })
})

test('an employer has no programmes; what is wrong by the contract is said before anything is sent', async () => {
  const { user, sent } = await show(aSource({ kind: 'employer', name: '' }))
  expect(screen.queryByText('Programmes')).toBeNull()
  await user.click(await screen.findByRole('button', { name: 'Save' }))
  await screen.findAllByRole('alert')
  expect(sent).toEqual([])
})

test('one that somebody else has changed meanwhile keeps what was typed', async () => {
  const { user } = await show(full, {
    saveSource: { problem: { status: 409, code: 'changed-meanwhile', title: 'Changed.' } },
  })
  await user.type(await screen.findByLabelText('Notes'), 'Rings back')
  await user.click(screen.getByRole('button', { name: 'Save' }))
  expect(await screen.findByText('Changed.')).toBeTruthy()
  expect(screen.getByLabelText<HTMLTextAreaElement>('Notes').value).toBe('Rings back')
})
