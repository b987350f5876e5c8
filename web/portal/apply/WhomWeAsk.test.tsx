import { screen, waitFor } from '@testing-library/react'
import { aClaim, aStudy, aWork } from '../../../test/draft'
import { showPage } from '../../../test/page'
import { WhomWeAsk } from './WhomWeAsk'

const study = aClaim(aStudy(), { label: 'MSc Power systems' })
const show = (claims = [study], more: object = {}) =>
  showPage(<WhomWeAsk claims={claims} />, { roles: ['candidate'], setAsking: study, ...more } as never)
const choice = (source: string) => screen.findByLabelText<HTMLSelectElement>(`May ${source} be asked?`)

test('only those are named that would be asked, each as it was said', async () => {
  await show([
    study,
    aClaim(aWork({ mayAsk: 'after an offer' })),
    aClaim(aWork({ activity: 'travel', sourceName: 'The world' })),
    aClaim(aStudy({ sourceName: ' ' })),
    aClaim(aStudy({ sourceName: 'Confirmed already' }), { rung: 'confirmed' }),
  ])
  expect((await choice('Arvelle')).value).toBe('now')
  expect((await choice('Karwen Line')).value).toBe('after an offer')
  expect(screen.getByText(/^It stays unconfirmed until there is an offer/)).toBeTruthy()
  expect(screen.getAllByRole('combobox')).toHaveLength(2)
})

test('after an offer is kept at once; not this one only with its reason, and its consequence is said', async () => {
  const { user, sent } = await show()
  await user.selectOptions(await choice('Arvelle'), 'not this one')
  expect(screen.getByText(/^It cannot be confirmed then/)).toBeTruthy()
  const keep = screen.getByRole<HTMLButtonElement>('button', { name: 'Keep this' })
  expect([keep.disabled, sent.length]).toEqual([true, 0])
  await user.type(screen.getByLabelText('Why not this one'), 'We parted in anger')
  await user.click(keep)
  await waitFor(() =>
    expect(sent[0]).toMatchObject({
      ...{ name: 'setAsking', params: { id: study.id } },
      body: { version: study.version, mayAsk: 'never', because: 'We parted in anger' },
    }),
  )
  await user.selectOptions(await choice('Arvelle'), 'only after an offer')
  await waitFor(() => expect(sent[1]?.body).toMatchObject({ mayAsk: 'after an offer', because: '' }))
})

test('where nobody would be asked, nothing is there', async () => {
  const { container } = await show([aClaim(aWork({ activity: 'care' }))])
  expect(container.querySelector('ul')).toBeNull()
})

test('where a source also answers faster, both stand side by side with cost and days, and one is chosen', async () => {
  const claim = aClaim(aWork())
  const fast = { answerWorkingDays: 2, cost: { amount: 4500, currency: 'EUR' } }
  const { user, sent } = await show([claim], {
    listHandlings: [{ claim: claim.id, usual: { answerWorkingDays: 9, cost: null }, faster: fast, chosen: 'usual' }],
    chooseHandling: claim,
  })
  expect(await screen.findByLabelText('As usual: about 9 working days, free of charge')).toBeTruthy()
  await user.click(screen.getByLabelText(/^Faster: about 2 working days, €45/))
  await waitFor(() =>
    expect(sent[0]).toMatchObject({ name: 'chooseHandling', body: { version: claim.version, speed: 'faster' } }),
  )
})
