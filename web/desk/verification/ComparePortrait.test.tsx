import { screen, waitFor } from '@testing-library/react'
import type { Role } from '#contract/roles'
import { aDocument, aFile, aLicence } from '../../../test/deskFile'
import { showPage } from '../../../test/page'
import { ComparePortrait } from './ComparePortrait'

const paper = aDocument({ part: 'data page', mediaType: 'image/jpeg', fileName: 'Passport.jpg', state: 'seen' })
const open = (over: Parameters<typeof aDocument>[0] = {}, roles: Role[] = ['coordinator'], documents = [paper]) => {
  const portrait = aDocument({
    ...{ part: 'portrait', live: true, mediaType: 'image/jpeg', fileName: 'portrait.jpg', likeness: 61, version: 2 },
    ...over,
  })
  const claim = aLicence({ label: 'Passport', documents: [...documents, portrait] })
  return showPage(
    <ComparePortrait file={aFile({ claims: [claim] })} claim={claim} documentId={portrait.id} onClose={() => {}} />,
    { roles, comparePortrait: { done: true }, sendDocumentBack: { done: true } },
  )
}

test('both pictures are side by side, with what the device says as advice; a person says it is the same', async () => {
  const { user, sent } = await open()
  expect(screen.getByRole('img', { name: /Passport\.jpg/ })).toBeTruthy()
  expect(screen.getByRole('img', { name: /portrait\.jpg/ })).toBeTruthy()
  expect(screen.getByText(/61 % alike/)).toBeTruthy()
  await user.click(screen.getByRole('button', { name: 'The same person' }))
  await waitFor(() => expect(sent.at(-1)).toMatchObject({ body: { version: 2, holder: 'same', note: '' } }))
})

test('somebody else needs a reason, taking it again a sentence for the candidate', async () => {
  const { user, sent } = await open({ likeness: null }, ['coordinator'], [])
  expect(screen.getByText('No page of the paper with a picture is there.')).toBeTruthy()
  expect(screen.getByText(/had no picture to compare with/)).toBeTruthy()
  await user.click(screen.getByRole('button', { name: 'Somebody else' }))
  expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Somebody else' }).disabled).toBe(true)
  await user.type(screen.getByLabelText('What you see'), 'The ears are others')
  await user.click(screen.getByRole('button', { name: 'Somebody else' }))
  await waitFor(() => expect(sent.at(-1)).toMatchObject({ body: { holder: 'other', note: 'The ears are others' } }))
})

test('it is sent back to be taken again', async () => {
  const { user, sent } = await open()
  await user.click(screen.getByRole('button', { name: 'To be taken again' }))
  await user.type(screen.getByLabelText('What is wrong with it?'), 'Your face is in the dark')
  await user.click(screen.getByRole('button', { name: 'To be taken again' }))
  await waitFor(() => expect(sent.at(-1)).toMatchObject({ body: { reason: 'Your face is in the dark' } }))
})

test('what was found stays to be read, and whoever may not settle proof is offered nothing', async () => {
  await open({ state: 'seen', holder: 'other' })
  expect(screen.getByText('Found to be somebody else.')).toBeTruthy()
  expect(screen.queryByRole('button', { name: 'The same person' })).toBeNull()
})

test('an auditor only looks', async () => {
  await open({}, ['auditor'])
  expect(screen.queryByRole('button', { name: 'The same person' })).toBeNull()
})
