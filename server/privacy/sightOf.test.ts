import type { Endpoint } from '#contract/endpoint'
import { contract } from '#contract/index'
import { isRight } from '#contract/roles'
import { rightsOverAll } from '#core/rights/rights'
import { isInSight } from '../records/applications/sight'
import { subjectsByAddress, subjectsOf } from './sightOf'

const vacancy = '0190a3f0-0000-7000-8000-000000000001'
const other = '0190a3f0-0000-7000-8000-000000000002'

/** Addresses with a parameter that lead to no one file, and why whoever sees only their teams' vacancies may call them. */
const concernNoFile = [
  '/api/desk/vouchers',
  '/api/desk/transfers',
  // What is agreed with employers and what they were invoiced is of many files; what they were asked is narrowed itself.
  '/api/desk/employers/:id',
  '/api/desk/employer-invoices/:id',
  '/api/desk/closings/:day',
  // Settings.
  '/api/desk/red-flag-kinds/:kind',
  // Lists, which are narrowed themselves.
  '/api/desk/queues/:queue',
  // One's own.
  '/api/desk/views/:id',
  // What the whole house shares: words, sections, groups of vacancies, sources.
  '/api/desk/templates/:id',
  '/api/desk/sentences/:about',
  '/api/desk/sections/:key',
  '/api/desk/sources/:id',
  '/api/desk/source-merges/:id',
  '/api/desk/source-forms/:sha256',
  '/api/desk/source-texts/:name',
  '/api/desk/researched-programmes/:id',
  // The house itself.
  '/api/desk/colleagues/:id',
  '/api/desk/teams/:id',
  '/api/desk/first-steps/:step',
  '/api/desk/jobs/:id',
]

test('every address of the desk with a parameter leads to a file that is looked at first, or is known to lead to none', () => {
  const begins = [...subjectsByAddress.map(([begin]) => begin), ...concernNoFile]
  const unknown = (Object.values(contract) as unknown as Endpoint[]).filter(
    ({ path, access }) =>
      isRight(access) &&
      !rightsOverAll.includes(access) &&
      path.includes('/:') &&
      !begins.some((begin) => path === begin || path.startsWith(`${begin}/`)),
  )
  expect(unknown.map(({ path }) => path)).toEqual([])
})

test('an address that is spared is one of the contract', () => {
  const paths = (Object.values(contract) as unknown as Endpoint[]).map(({ path }) => path)
  const gone = concernNoFile.filter((begin) => !paths.some((path) => path === begin || path.startsWith(`${begin}/`)))
  expect(gone).toEqual([])
})

test('what a request is about is what its address names, and every application its body names', async () => {
  const of = (path: string, params: object, body: object = {}) =>
    subjectsOf({ path }, { params, query: {}, body } as never)
  expect(await of('/api/desk/vacancies/:id/state', { id: vacancy })).toEqual([{ of: 'vacancy', id: vacancy }])
  expect(await of('/api/desk/applications/turn-down', {}, { applications: [vacancy, 7, other] })).toEqual([
    { of: 'application', id: vacancy },
    { of: 'application', id: other },
  ])
  expect(await of('/api/desk/queues/:queue', { queue: 'today' })).toEqual([])
})

test('whoever sees every vacancy is asked nothing; others see theirs alone', async () => {
  expect(await isInSight({}, { of: 'vacancy', id: other })).toBe(true)
  expect(await isInSight({ vacancies: [vacancy] }, { of: 'vacancy', id: vacancy })).toBe(true)
  expect(await isInSight({ vacancies: [vacancy] }, { of: 'vacancy', id: other })).toBe(false)
  expect(await isInSight({ vacancies: [] }, { of: 'vacancy', id: vacancy })).toBe(false)
})
