import { fireEvent, screen, waitFor, within } from '@testing-library/react'
import { showPage } from '../../../test/page'
import { Behalf } from './Behalf'

const line = (at: number, over: object = {}) => ({
  ...{ id: `0190a3f0-0000-7000-8000-00000000002${at}`, name: `Person ${at}`, mail: `person${at}@mail.example` },
  ...{ title: 'Track engineer', closesAt: '2026-12-20T16:00:00.000Z', timeZone: 'Europe/Vienna', how: 'on paper' },
  ...{ by: 'Ines', at: '2026-11-20T08:00:00.000Z', askedAt: null, confirmedAt: null, theirs: false },
  ...over,
})
const vacancy = { slug: 'track-engineer', title: 'Track engineer', place: 'Oberfeld' }
const show = (lines: object[], more: object = {}) =>
  showPage(<Behalf />, {
    ...{ at: '/desk/behalf', listBehalf: lines, listVacancies: { vacancies: [vacancy], families: [], places: [] } },
    ...more,
  } as unknown as Parameters<typeof showPage>[1])
const rowOf = async (name: string) => within((await screen.findByText(name)).closest('tr')!)

test('each says how it stands; what is theirs is not opened or mailed from here', async () => {
  await show([
    line(1),
    line(2, { askedAt: '2026-11-22T08:00:00.000Z' }),
    line(3, { theirs: true }),
    line(4, { theirs: true, askedAt: '2026-11-22T08:00:00.000Z', confirmedAt: '2026-11-23T08:00:00.000Z' }),
  ])
  ;(await rowOf('Person 1')).getByText('Being written here')
  ;(await rowOf('Person 2')).getByText(/^Link sent on .*; not opened yet$/)
  ;(await rowOf('Person 3')).getByText('They write it themselves; not sent yet')
  ;(await rowOf('Person 4')).getByText(/^Taken over on/)
  expect((await rowOf('Person 2')).getByRole('button', { name: 'Send again' })).toBeTruthy()
  expect((await rowOf('Person 3')).queryByRole('button')).toBeNull()
  expect((await rowOf('Person 3')).queryByRole('link')).toBeNull()
  expect((await rowOf('Person 1')).getByRole('link').getAttribute('href')).toMatch(/^\/desk\/behalf\//)
})

test('a link goes by mail; forgetting is asked twice', async () => {
  const { user, sent } = await show([line(1)], { askToTakeOver: { done: true }, setAsideBehalf: { done: true } })
  const row = await rowOf('Person 1')
  await user.click(row.getByRole('button', { name: 'Send the link' }))
  await waitFor(() => expect(sent[0]).toMatchObject({ name: 'askToTakeOver', params: { id: line(1).id } }))
  await user.click(row.getByRole('button', { name: 'Set aside' }))
  await user.click(row.getByRole('button', { name: 'Keep it' }))
  expect(sent).toHaveLength(1)
  await user.click(row.getByRole('button', { name: 'Set aside' }))
  await user.click(row.getByRole('button', { name: 'Forget it' }))
  await waitFor(() => expect(sent.at(-1)?.name).toBe('setAsideBehalf'))
})

describe('beginning for somebody', () => {
  const fill = async (user: Awaited<ReturnType<typeof show>>['user']) => {
    fireEvent.change(await screen.findByLabelText('Given names'), { target: { value: 'Hedda' } })
    fireEvent.change(screen.getByLabelText('Family name'), { target: { value: 'Lund' } })
    fireEvent.change(screen.getByLabelText('Mail address'), { target: { value: 'hedda@mail.example' } })
    await screen.findByRole('option', { name: 'Track engineer, Oberfeld' })
    await user.selectOptions(screen.getByLabelText('Vacancy'), 'track-engineer')
    await user.selectOptions(screen.getByLabelText('It came'), 'by phone')
    await user.selectOptions(screen.getByLabelText('Write to them in'), 'de')
    await user.click(screen.getByRole('button', { name: 'Begin' }))
  }

  test('leads to writing it down', async () => {
    const { user, sent, where } = await show([], { beginFor: { id: line(7).id, theirs: false } })
    await fill(user)
    await waitFor(() => expect(where()).toBe(`/desk/behalf/${line(7).id}`))
    expect(sent[0]!.body).toEqual({
      ...{ slug: 'track-engineer', givenNames: 'Hedda', familyName: 'Lund', mail: 'hedda@mail.example' },
      ...{ language: 'de', how: 'by phone' },
    })
  })

  test('who has an account writes themselves: they are mailed the way, and the form is empty again', async () => {
    const { user, where } = await show([], { beginFor: { id: line(7).id, theirs: true } })
    await fill(user)
    await waitFor(() => expect(screen.getByLabelText<HTMLInputElement>('Given names').value).toBe(''))
    expect(where()).toBe('/desk/behalf')
  })

  test('what is missing is said beside it, before anything is sent', async () => {
    const { user, sent } = await show([])
    await user.click(await screen.findByRole('button', { name: 'Begin' }))
    expect((await screen.findAllByRole('alert')).length).toBeGreaterThan(2)
    expect(sent).toEqual([])
  })

  test('what a mail that came in says of its sender is filled in', async () => {
    await show([], { at: '/desk/behalf?givenNames=Bo&familyName=Nilsen&mail=bo%40mail.example' })
    expect((await screen.findByLabelText<HTMLInputElement>('Mail address')).value).toBe('bo@mail.example')
    expect(screen.getByLabelText<HTMLInputElement>('Family name').value).toBe('Nilsen')
  })
})
