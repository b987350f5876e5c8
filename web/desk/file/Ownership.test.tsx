import { screen, waitFor } from '@testing-library/react'
import type { File } from '#contract/desk'
import { aFile } from '../../../test/deskFile'
import { showPage } from '../../../test/page'
import { Ownership } from './Ownership'

const ines = '0190a3f0-0000-7000-8000-000000000001'
const tomas = { id: '0190a3f0-0000-7000-8000-000000000002', name: 'Tomas Velde' }

const show = (over: Partial<File> = {}, others: { name: string; place: string }[] = [], place = 'claim a') =>
  showPage(<Ownership file={aFile(over)} place={place} />, {
    sayOpen: { others },
    setOwner: { owner: null },
    watchFile: { watching: true },
    listNames: { colleagues: [tomas, { id: ines, name: 'Ines Caldwell' }] },
  })
const acts = (sent: { name: string; body: unknown }[]) => sent.filter(({ name }) => name !== 'sayOpen')

test('what is nobody’s is taken with a key, as of whose it was seen to be', async () => {
  const { user, sent } = await show()
  await screen.findByText('Nobody’s yet')
  await user.keyboard('o')
  await waitFor(() => expect(acts(sent)).toMatchObject([{ name: 'setOwner', body: { from: null, to: ines } }]))
})

test('one’s own is not taken again, but handed over or left', async () => {
  const { user, sent } = await show({ owner: { id: ines, name: 'Ines Caldwell' } })
  await screen.findByText('Your file')
  expect(screen.queryByRole('button', { name: /Take it/ })).toBeNull()
  await user.keyboard('o')
  await user.click(screen.getByRole('button', { name: 'Hand over' }))
  const to = await screen.findByLabelText<HTMLSelectElement>('Hand over to')
  await waitFor(() => expect([...to.options].map(({ text }) => text)).toEqual(['choose somebody', 'Tomas Velde']))
  await user.selectOptions(to, 'Tomas Velde')
  await user.click(screen.getAllByRole('button', { name: 'Hand over' }).at(-1)!)
  await waitFor(() => expect(acts(sent)).toMatchObject([{ body: { from: ines, to: tomas.id } }]))
})

test('somebody else’s is watched, and who else has it open at the same line is said', async () => {
  const { user, sent } = await show({ owner: tomas }, [{ name: 'Mirela Tan', place: 'claim a' }])
  await screen.findByText('File of Tomas Velde')
  expect((await screen.findByText(/Also open at Mirela Tan/)).textContent).toContain('this very line')
  await user.click(screen.getByRole('button', { name: 'Watch' }))
  await waitFor(() => expect(acts(sent)).toMatchObject([{ name: 'watchFile', body: { watching: true } }]))
  expect(sent.find(({ name }) => name === 'sayOpen')!.body).toEqual({ place: 'claim a' })
})
