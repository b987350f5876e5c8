import { jest } from '@jest/globals'
import { screen, waitFor } from '@testing-library/react'
import { aDocument } from '../../../test/deskFile'
import { showPage } from '../../../test/page'
import { Discard } from './Discard'

test('a paper goes for good only with a reason its candidate reads; what was changed meanwhile is told', async () => {
  const onDone = jest.fn()
  let fine = false
  const document = aDocument({ version: 3 })
  const { user, sent } = await showPage(<Discard document={document} onClose={() => undefined} onDone={onDone} />, {
    discardDocument: () =>
      fine
        ? { done: true }
        : { problem: { status: 409, code: 'changed-meanwhile', title: 'Somebody else changed this.' } },
  })
  const erase = screen.getByRole<HTMLButtonElement>('button', { name: 'Erase it' })
  screen.getByText(/this cannot be undone/)
  expect(erase.disabled).toBe(true)
  await user.type(screen.getByLabelText('Why it should not be here'), 'A social security card')
  await user.click(erase)
  expect(await screen.findByText(/Somebody else changed this/)).toBeTruthy()
  expect(onDone).not.toHaveBeenCalled()
  fine = true
  await user.click(erase)
  await waitFor(() => expect(onDone).toHaveBeenCalledTimes(1))
  expect(sent.at(-1)).toMatchObject({
    params: { id: document.id },
    body: { version: 3, reason: 'A social security card' },
  })
})
