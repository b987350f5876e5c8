import { screen } from '@testing-library/react'
import { showPage } from '../../../test/page'
import { OutsideLinks } from './OutsideLinks'

test('where a link leads is read before it is followed, and it is told nothing of us', async () => {
  const { user } = await showPage(<OutsideLinks links={['https://pаypal.example/x', 'javascript:alert(1)']} />)
  expect(screen.getAllByRole('button')).toHaveLength(1)
  expect(screen.queryByRole('link')).toBeNull()
  await user.click(screen.getByRole('button', { name: /xn--pypal-4ve\.example/ }))
  const link = screen.getByRole<HTMLAnchorElement>('link', { name: 'Open it in a window of its own' })
  expect([link.target, link.rel, link.getAttribute('referrerpolicy')]).toEqual([
    '_blank',
    'noopener noreferrer nofollow',
    'no-referrer',
  ])
})

test('without one that can be followed there is nothing', async () => {
  await showPage(<OutsideLinks links={['http://plain.example/']} />)
  expect(screen.queryByRole('button')).toBeNull()
})
