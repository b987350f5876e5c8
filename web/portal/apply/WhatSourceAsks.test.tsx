import { screen, waitFor, within } from '@testing-library/react'
import { v7 as uuid } from 'uuid'
import type { AskedBySource } from '#core/requirements/sourceCondition'
import { aClaim, aStudy } from '../../../test/draft'
import { showPage } from '../../../test/page'
import { WhatSourceAsks } from './WhatSourceAsks'

const id = uuid()
const study = aClaim(aStudy({ number: '' }), { label: 'Laurea' })
const one = (over: Partial<AskedBySource> = {}): AskedBySource => ({
  ...{ requirement: 'r', claim: study.id, condition: uuid(), kind: 'own form', state: 'missing' },
  ...{ because: 'Only on their form.', source: 'Lumira' },
  ...over,
})
const sheet = {
  ...{ number: 7, reference: 'CS-0007', claimId: study.id, part: 'release form' as const, title: 'Form', pages: 1 },
  ...{ state: 'waiting' as const, cameAt: null, postedAt: null, fault: null },
}
const listed = (...sheets: object[]) => ({ sheets, places: [], address: 'Here' }) as never
const show = (asked: AskedBySource[], more: object = {}) =>
  showPage(<WhatSourceAsks applicationId={id} claim={study} asked={asked} />, {
    roles: ['candidate'],
    listMyCoverSheets: listed(),
    ...more,
  } as never)

test('a form is printed filled in, and sent back by camera or by post with its cover sheet', async () => {
  const asked = one()
  const { user, sent } = await show([asked], { makeSourceSheet: { sheets: [{ number: 7, reference: 'CS-0007' }] } })
  const print = await screen.findByRole('link', { name: 'Print it, filled in' })
  expect(print.getAttribute('href')).toContain(`/claims/${study.id}/conditions/${asked.condition}/form.pdf`)
  expect(screen.getByText('Only on their form.')).toBeTruthy()
  expect(screen.getByLabelText(/^Add the signed form/)).toBeTruthy()
  await user.click(screen.getByRole('button', { name: 'Or send it by post' }))
  await waitFor(() =>
    expect(sent[0]).toMatchObject({
      name: 'makeSourceSheet',
      params: { id, claim: study.id, condition: asked.condition },
    }),
  )
})

test('its sheet is printed with it; what was posted says when, and what came is waited for no more', async () => {
  const { user, sent } = await show([one()], { listMyCoverSheets: listed(sheet), sayPosted: { done: true } })
  const print = await screen.findByRole('link', { name: 'Print it with its cover sheet CS-0007' })
  expect(print.getAttribute('href')).toContain('sheet=7')
  await user.click(screen.getByRole('button', { name: 'I have posted it' }))
  await waitFor(() => expect(sent[0]).toMatchObject({ name: 'sayPosted', params: { number: '7' } }))
})

test.each([
  ['posted', { ...sheet, postedAt: '2026-11-27T08:00:00.000Z' }, 'in the post', 'Posted on 27 Nov 2026.'],
  ['another claim’s', { ...sheet, claimId: uuid() }, 'missing', 'Or send it by post'],
  ['one that came', { ...sheet, state: 'came' }, 'sent back', 'Or send it by post'],
] as const)('a sheet that is %s', async (_, given, state, words) => {
  await show([one({ state })], { listMyCoverSheets: listed(given) })
  expect(await screen.findByText(words)).toBeTruthy()
  expect(screen.queryByRole('button', { name: 'I have posted it' })).toBeNull()
})

test('whoever writes for somebody puts the paper here, and prints and posts nothing', async () => {
  await show([one()], { roles: ['coordinator'] })
  expect(await screen.findByLabelText(/^Add the signed form/)).toBeTruthy()
  expect(screen.queryByRole('link', { name: 'Print it, filled in' })).toBeNull()
  expect(screen.queryByRole('button', { name: 'Or send it by post' })).toBeNull()
})

test('what is settled wants nothing more', async () => {
  await show([one({ state: 'to look at' }), one({ kind: 'fee', state: 'met', because: '' })])
  expect(await screen.findByText('here, we look at the signature')).toBeTruthy()
  expect(screen.queryByRole('link', { name: 'Print it, filled in' })).toBeNull()
  expect(screen.queryByText('still to be given')).toBeNull()
})

test('a number is given where it is asked for; of another claim nothing is shown', async () => {
  const { user, sent } = await show([one({ kind: 'number' }), one({ claim: uuid(), source: 'Arvelle' })], {
    changeClaim: study,
  })
  const region = within(await screen.findByRole('region', { name: 'Lumira asks for this before it answers' }))
  const keep = region.getByRole<HTMLButtonElement>('button', { name: 'Keep this' })
  expect(keep.disabled).toBe(true)
  await user.type(region.getByLabelText('The number printed on it'), 'PL/1')
  await user.click(keep)
  await waitFor(() =>
    expect(sent[0]?.body).toMatchObject({ version: study.version, details: { kind: 'study', number: 'PL/1' } }),
  )
  expect(screen.queryByText(/Arvelle/)).toBeNull()
})
