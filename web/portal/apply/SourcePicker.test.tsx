import { screen, waitFor } from '@testing-library/react'
import { useState } from 'react'
import type { Reply } from '#contract/endpoint'
import type { findSources } from '#contract/sources'
import { showPage } from '../../../test/page'
import { SourcePicker } from './SourcePicker'
import { useNumberHint } from './useNumberHint'

type Found = Reply<typeof findSources>[number]
const found = (over: Partial<Found> = {}): Found => ({
  ...{ id: '0190a3f0-0000-7000-8000-000000000031', name: 'Technische Hochschule Tannberg', kind: 'university' },
  ...{ aliases: ['TH Tannberg', 'Tannberg Tech'], town: 'Tannberg', country: 'AT', programmes: [], why: null },
  numberFormats: [{ claim: 'study', pattern: 'TB-####-####', example: 'TB-2018-9034' }],
  conditions: [],
  ...over,
})
type Chosen = Parameters<typeof SourcePicker>[0]['value']

function Page({ number = '' }: { number?: string }) {
  const [value, setValue] = useState<Chosen>({ sourceId: null, sourceName: '' })
  const hint = useNumberHint(value, 'study', number, 'university')
  return (
    <>
      <SourcePicker label="Institution" kinds="university" claim="study" value={value} onChange={setValue} />
      <output>{JSON.stringify(value)}</output>
      <p>{hint}</p>
    </>
  )
}
const show = (sources: Found[], number?: string) =>
  showPage(<Page number={number} />, { roles: ['candidate'], findSources: sources })
const chosen = () => JSON.parse(screen.getByRole('status').textContent!) as Chosen

test('the name it was found by is said first', async () => {
  const why = { by: 'earlier' as const, how: 'slip' as const, name: 'Höhere Lehranstalt', town: false }
  const { user } = await show([found({ why })])
  await user.type(screen.getByLabelText('Institution'), 'Hohere Leranstalt')
  expect((await screen.findByRole('option', { name: /Tannberg, AT/ })).textContent).toBe(
    'Technische Hochschule TannbergTannberg, AT · also Höhere Lehranstalt, TH Tannberg, Tannberg Tech',
  )
})

test('of one that is not in the list, what is known of it can be said; choosing another forgets it', async () => {
  const { user } = await show([found()])
  await user.type(screen.getByLabelText('Institution'), 'Firnschule')
  await user.click(await screen.findByRole('option', { name: /is not in the list/ }))
  await user.click(await screen.findByText(/^Not in our directory yet/))
  await user.type(screen.getByLabelText(/^Its website/), 'firn.example')
  await waitFor(() =>
    expect(chosen()).toMatchObject({ sourceId: null, sourceName: 'Firnschule', sourceSaid: { site: 'firn.example' } }),
  )
  await user.type(screen.getByLabelText('Institution'), ' Tann')
  await user.click(await screen.findByRole('option', { name: /Tannberg, AT/ }))
  expect(chosen()).toEqual({ sourceId: found().id, sourceName: found().name })
})

test.each([
  ['', 'Numbers of Technische Hochschule Tannberg look like TB-2018-9034.'],
  ['TB-2018-9034', 'Numbers of Technische Hochschule Tannberg look like TB-2018-9034.'],
  [
    'TB-2018',
    'Numbers of Technische Hochschule Tannberg usually look like TB-2018-9034. Look again; if it is printed so, keep it.',
  ],
])('a number that is typed as “%s” is held against those of its source', async (number, said) => {
  const { user } = await show([found()], number)
  await user.type(screen.getByLabelText('Institution'), 'Tann')
  await user.click(await screen.findByRole('option', { name: /Tannberg, AT/ }))
  expect(await screen.findByText(said)).toBeTruthy()
})
