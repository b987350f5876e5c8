import { screen, waitFor } from '@testing-library/react'
import { v7 as uuid } from 'uuid'
import type { Heard } from '#contract/heard'
import { showPage } from '../../../test/page'
import { HeardCounts } from '../../desk/vacancies/HeardCounts'
import { HeardOfUs } from './HeardOfUs'

test('it is kept as soon as it is chosen, and who recommended us is asked where somebody did', async () => {
  let heard: Heard = { source: null, recommendedBy: '' }
  const { user, sent } = await showPage(<HeardOfUs id={uuid()} />, {
    roles: ['candidate'],
    readHeard: () => heard,
    saveHeard: ({ body }) => {
      heard = body as Heard
      return { done: true }
    },
  })
  await user.selectOptions(screen.getByLabelText(/^Where did you hear of us/), 'somebody told me')
  await waitFor(() => expect(sent[0]?.body).toEqual({ source: 'somebody', recommendedBy: '' }))
  await user.type(await screen.findByLabelText(/^Who recommended us/), 'Otto Quist')
  await user.tab()
  await waitFor(() => expect(sent[1]?.body).toEqual({ source: 'somebody', recommendedBy: 'Otto Quist' }))
  await user.selectOptions(screen.getByLabelText(/^Where did you hear of us/), 'I would rather not say')
  await waitFor(() => expect(sent[2]?.body).toEqual({ source: null, recommendedBy: '' }))
})

test('the vacancy says where they heard of it, and how far they came', async () => {
  const counts = { sent: 12, shortlist: 4, offer: 1, start: 1 }
  await showPage(<HeardCounts id={uuid()} />, {
    countHeard: {
      rows: [
        { source: 'fair', counts },
        { source: null, counts: { ...counts, sent: 3 } },
      ],
    },
  })
  const rows = screen.getAllByRole('row').map(({ textContent }) => textContent)
  expect(rows).toEqual(['Whereappliedshortlistedofferedcleared', 'a fair12411', 'not said3411'])
})
