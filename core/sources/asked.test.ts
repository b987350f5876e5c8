import { rungs } from '../requirements/requirement'
import { isAskedAbout, isStillAskedAbout } from './asked'

const degree = { kind: 'study', sourceName: 'Tannberg' }

test.each<[string, Parameters<typeof isAskedAbout>[0], boolean]>([
  ['a study', degree, true],
  ['a licence', { kind: 'licence', sourceName: 'Grid Board' }, true],
  ['a job', { kind: 'work', sourceName: 'Karwen', activity: 'employment' }, true],
  ['a job of no employer', { kind: 'work', sourceName: '  ', activity: 'employment' }, false],
  ['work for oneself', { kind: 'work', sourceName: 'Own firm', activity: 'self-employment' }, false],
  ['travel', { kind: 'work', sourceName: 'The world', activity: 'travel' }, false],
  ['a home', { kind: 'residence', sourceName: 'A landlord' }, false],
  ['a passport', { kind: 'identity', sourceName: 'A state' }, false],
  ['a paper a form asks for', { kind: 'paper', sourceName: 'Somebody' }, false],
])('somebody can be asked about %s', (_, details, asked) => expect(isAskedAbout(details)).toBe(asked))

test('nobody is asked about what is confirmed, unless it was so long ago that it is asked again', () => {
  const asked = rungs.filter((rung) => isStillAskedAbout({ rung, details: degree }))
  expect(asked).toEqual(rungs.filter((rung) => rung !== 'confirmed'))
  expect(isStillAskedAbout({ rung: 'confirmed', details: degree, confirmed: { stale: true } })).toBe(true)
  expect(isStillAskedAbout({ rung: 'confirmed', details: degree, confirmed: {} })).toBe(false)
  const home = { kind: 'residence', sourceName: 'A landlord' }
  expect(isStillAskedAbout({ rung: 'confirmed', details: home, confirmed: { stale: true } })).toBe(false)
})
