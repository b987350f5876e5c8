import { RegisterSilent, readerOf } from './registerShapes'

const fields = { name: 'Ada Kern', number: 'GSB-2-1' }
const json = (value: unknown) => ({ status: 200, text: JSON.stringify(value) })
const entry = (more: object) => readerOf('grid').read(json({ fields, ...more }), 'GSB-2-1')
const listed = (status: object) =>
  readerOf('list:degrees').read(
    json({ results: [{ number: 'GSB-2-1', holder: { given: 'Ada', family: 'Kern' }, status }] }),
    'GSB-2-1',
  )
const lines = (text: string) =>
  readerOf('lines:heights').read({ status: 200, text: `name: Ada Kern\nnumber: GSB-2-1\n${text}` }, 'GSB-2-1')

const restricted = { state: 'restricted', from: '2026-10-01' }

test('an entry says on which terms a licence is restricted: the agreed ones by name, others as they were written', () => {
  const standingTerms = ['not at night', 'supervised', 'up to 30 kV']
  expect(entry({ standing: 'restricted', standingFrom: '2026-10-01', standingTerms })).toMatchObject({
    standing: { ...restricted, terms: ['supervised', 'not at night'], termsSaid: 'up to 30 kV' },
  })
  expect(entry({ standing: 'good' })).toEqual({ found: true, fields, standing: { state: 'good' } })
})

test('so do a list and lines of text, each in its own way', () => {
  expect(listed({ code: 'restricted', since: '2026-10-01', terms: ['listed places'] })).toMatchObject({
    standing: { ...restricted, terms: ['listed places'] },
  })
  const said = 'Standing: restricted\nStanding from: 01.10.2026\nStanding terms: supervised; only lift 4;  '
  expect(lines(said)).toMatchObject({ standing: { ...restricted, terms: ['supervised'], termsSaid: 'only lift 4' } })
})

test.each([
  ['nothing', undefined, {}],
  ['an empty list', [], {}],
  ['numbers', [7], { termsSaid: '7' }],
  ['an endless text', ['x'.repeat(500)], { termsSaid: 'x'.repeat(300) }],
])('terms that are %s are taken for no more than they say', (_, standingTerms, terms) => {
  const { standing } = entry({ standing: 'restricted', standingTerms }) as { standing: object }
  expect(standing).toEqual({ state: 'restricted', from: undefined, through: undefined, ...terms })
})

test('a word that was not agreed, two under one number, and what is no answer are silence', () => {
  expect(() => entry({ standing: 'dormant' })).toThrow(RegisterSilent)
  const one = { number: 'GSB-2-1', holder: {} }
  expect(() => readerOf('list:x').read(json({ results: [one, one] }), 'GSB-2-1')).toThrow('several entries')
  expect(() => readerOf('grid').read({ status: 200, text: '<html>' }, 'GSB-2-1')).toThrow(RegisterSilent)
  expect(() => readerOf('smoke:grid')).toThrow('nobody knows how to read')
  expect(readerOf('lines:x').read({ status: 200, text: 'No record under this number' }, '1')).toEqual({ found: false })
})
