import { screen, waitFor } from '@testing-library/react'
import type { ChosenRecipient } from '#contract/recipients'
import { showPage } from '../../../test/page'
import { aBody, aDelivery } from '../../../test/recipients'
import { ChosenRecipients } from './ChosenRecipients'

const show = (recipients: ChosenRecipient[], canAdd = true) =>
  showPage(<ChosenRecipients id="0190a3f0-0000-7000-8000-000000000001" canAdd={canAdd} />, {
    ...{ roles: ['candidate'], listChosenRecipients: { recipients } },
    chooseRecipients: { done: true },
  } as never)

test('each that was chosen says where it stands and what it still needs', async () => {
  const left = [{ title: 'Diploma seen', why: 'Look at the paper', who: 'desk' as const }]
  await show([
    aBody({ name: 'One', state: 'being proven', left }),
    aBody({ key: 'two', name: 'Two', state: 'ready' }),
    aBody({ key: 'three', name: 'Three', state: 'sent', sent: aDelivery() }),
    aBody({ key: 'four', name: 'Four', state: 'sent', sent: aDelivery({ state: 'revoked', because: 'decided anew' }) }),
    aBody({ key: 'five', name: 'Five', state: 'closed', because: 'too far' }),
  ])
  expect((await screen.findAllByRole('listitem')).map(({ textContent }) => textContent)).toEqual([
    'One1 thing still to be provenStill needed for it: Diploma seen',
    'Twoready to be sent',
    'Threesent 29 Nov 2026',
    'Fourdoes not hold any more: decided anew',
    'FiveNot open to you: too far',
  ])
})

test('another is added with a signature; one that is not open says why and cannot be', async () => {
  const { user, sent } = await show([
    aBody({ name: 'One' }),
    aBody({ key: 'two', name: 'Two', chosen: false, state: 'open' }),
    aBody({ key: 'three', name: 'Three', chosen: false, state: 'closed', because: 'too far' }),
  ])
  await user.click(await screen.findByRole('button', { name: 'Add another recipient' }))
  expect(screen.getByRole<HTMLInputElement>('checkbox', { name: /Three/ }).disabled).toBe(true)
  expect(screen.getByText('Not open to you: too far')).toBeTruthy()
  await user.click(screen.getByRole('checkbox', { name: /Two/ }))
  await user.click(screen.getByLabelText(/I have read this/))
  await user.type(screen.getByLabelText(/typing your full/), 'Rita Report')
  await user.type(screen.getByLabelText('Your password'), 'a-secret')
  await user.click(screen.getByRole('button', { name: 'Sign for it' }))
  await waitFor(() => expect(sent[0]!.body).toMatchObject({ choose: ['two'] }))
})

test('where a vacancy offers none there is nothing; where the application has ended nothing is added', async () => {
  const { unmount } = await show([])
  expect(screen.queryByRole('region')).toBeNull()
  unmount()
  await show([aBody({ name: 'One' }), aBody({ key: 'two', chosen: false })], false)
  expect(await screen.findByText('One')).toBeTruthy()
  expect(screen.queryByRole('button', { name: 'Add another recipient' })).toBeNull()
})
