import { type ComparedPage, comparisonOf } from './originals'

const page = (number: number, same = true, note = ''): ComparedPage => ({ page: number, same, note })

test.each<[string, ComparedPage[], number, ReturnType<typeof comparisonOf>]>([
  ['every page is the same', [page(2), page(1)], 2, { state: 'same', pages: [] }],
  ['one differs, and it is said how', [page(1), page(2, false, 'No seal')], 2, { state: 'differs', pages: [2] }],
  ['one differs, and nobody says how', [page(1, false, ' ')], 1, { state: 'incomplete', pages: [1] }],
  ['a page was left out', [page(1), page(3)], 3, { state: 'incomplete', pages: [2] }],
  ['a page was compared twice', [page(1), page(1)], 1, { state: 'incomplete', pages: [1] }],
  ['a page that the scan has not', [page(1), page(2)], 1, { state: 'incomplete', pages: [2] }],
])('%s', (_, compared, pages, expected) => expect(comparisonOf(compared, pages)).toEqual(expected))
