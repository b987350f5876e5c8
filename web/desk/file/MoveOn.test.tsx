import { screen, waitFor } from '@testing-library/react'
import type { Role } from '#contract/roles'
import { aFile, asked } from '../../../test/deskFile'
import { showPage } from '../../../test/page'
import { MoveOn } from './MoveOn'

const show = (file: ReturnType<typeof aFile>, roles: Role[], more: Parameters<typeof showPage>[1] = {}) =>
  showPage(<MoveOn file={file} open onClose={() => undefined} />, { roles, ...more })

test('a gate stays shut while something is open, and says how much', async () => {
  const file = aFile({}, [asked('Permission'), asked('Degree seen', { state: 'met' })])
  await show(file, ['coordinator'])
  expect((await screen.findByText(/requirement is open/)).textContent).toMatch(/^One requirement is open/)
  expect((await screen.findByRole<HTMLButtonElement>('button', { name: 'Put on the shortlist' })).disabled).toBe(true)
})

test('what is open comes first in the list', async () => {
  await show(aFile({}, [asked('Degree seen', { state: 'met' }), asked('Permission')]), ['coordinator'])
  const lines = (await screen.findAllByRole('listitem')).map(({ textContent }) => textContent)
  expect(lines[0]).toContain('Permission')
})

test('with everything settled the gate is passed with the version that was seen', async () => {
  const file = aFile({}, [asked('Permission', { state: 'met' })])
  const { user, sent } = await show(file, ['coordinator'], { passGate: { stage: 'shortlisted' } })
  await user.click(await screen.findByRole('button', { name: 'Put on the shortlist' }))
  await waitFor(() =>
    expect(sent[0]).toMatchObject({ params: { id: file.id, gate: 'shortlist' }, body: { version: 5 } }),
  )
})

test.each<[Role, boolean]>([
  ['hiring manager', true],
  ['coordinator', false],
])('a requirement that hiring managers may waive is waived by a %s: %s', async (role, may) => {
  const file = aFile({}, [asked('High voltage', { waivableBy: ['hiring manager'] })])
  const { user, sent } = await show(file, [role], { waive: { done: true } })
  await screen.findByText(/requirement is open/)
  if (!may) {
    expect(screen.queryByRole('button', { name: 'Waive High voltage' })).toBeNull()
    expect(screen.getByText('May be waived by: hiring manager.')).toBeTruthy()
    return
  }
  await user.click(await screen.findByRole('button', { name: 'Waive High voltage' }))
  const waiveIt = screen.getByRole<HTMLButtonElement>('button', { name: 'Waive it' })
  expect(waiveIt.disabled).toBe(true)
  await user.type(screen.getByRole('textbox'), 'Issued by our own board.')
  await user.click(waiveIt)
  await waitFor(() =>
    expect(sent[0]?.body).toEqual({ requirement: 'High voltage', reason: 'Issued by our own board.' }),
  )
})

describe('an offer', () => {
  const file = () =>
    aFile({ stage: 'shortlisted', nextGate: 'offer' }, [asked('Permission', { state: 'met', gate: 'offer' })])
  const vacancy = { payFrom: 5_000_000, payTo: 7_000_000 } as never

  test('is made by the hiring manager, in cents, with a day to answer by', async () => {
    const { user, sent } = await show(file(), ['hiring manager'], {
      readVacancy: vacancy,
      passGate: { stage: 'offered' },
    })
    const make = await screen.findByRole<HTMLButtonElement>('button', { name: 'Make the offer' })
    expect(make.disabled).toBe(true)
    await user.type(screen.getByLabelText('Pay, EUR a year'), '62,000')
    expect(screen.getByLabelText<HTMLInputElement>('To be answered by').value).toBe('8 Dec 2026')
    await user.click(make)
    await waitFor(() => expect(sent[0]?.body).toEqual({ version: 5, salary: 6_200_000, answerBy: '2026-12-08' }))
  })

  test('a coordinator is told whose it is', async () => {
    await show(file(), ['coordinator'])
    expect(await screen.findByText(/offer is made by/i)).toBeTruthy()
    expect(screen.queryByRole('button', { name: 'Make the offer' })).toBeNull()
  })

  test('what the server says of the pay stands at the pay', async () => {
    const faults = [{ pointer: '/body/salary', message: 'Above the band.' }]
    const { user } = await show(file(), ['hiring manager'], {
      readVacancy: vacancy,
      passGate: { problem: { status: 422, faults } },
    })
    await user.type(await screen.findByLabelText('Pay, EUR a year'), '990000')
    await user.click(screen.getByRole('button', { name: 'Make the offer' }))
    expect((await screen.findByRole('alert')).textContent).toBe('Above the band.')
  })
})
