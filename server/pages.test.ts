import { readFileSync } from 'node:fs'
import { pages } from '#contract/pages'
import { type House, openHouse } from '../test/house'
import { Vacancy } from './records/vacancies/model'

let house: House
beforeAll(async () => {
  house = await openHouse('pages')
}, 60_000)
afterAll(() => house.close())

const get = (path: string, headers: Record<string, string> = { Accept: 'text/html' }) =>
  house.visitor().request(path, { headers })

test('the places that are served are those of the web client’s router', () => {
  const source = ['web/routes.tsx', 'web/desk/routes.tsx'].map((file) => readFileSync(file, 'utf8')).join('')
  const written = [...source.matchAll(/path: '([^']+)'/g)].map(([, path]) => path!)
  const places = written.filter((path) => path !== '*').map((path) => (path.startsWith('/') ? path : `/desk/${path}`))
  expect(new Set(pages)).toEqual(new Set(places))
})

test.each([
  '/',
  '/sign-in',
  '/vacancies/track-engineer',
  '/desk/today',
  '/desk/vacancies/sections',
  '/apply/x/about',
  '/vouch',
])('%s is there', async (path) => {
  const reply = await get(path)
  expect([reply.status, reply.headers.get('content-type')]).toEqual([200, 'text/html; charset=utf-8'])
})

test.each([
  '/healthz',
  '/favicon.ico',
  '/nowhere',
  '/desk/nowhere',
  '/vacancies/no-such-post',
  '/assets/none.js',
  '/robots.txt/x',
  '/sign-in/x',
  '/index.html.map',
])('%s is not, and says so', async (path) => {
  expect((await get(path)).status).toBe(404)
  expect((await get(path, { Accept: '*/*' })).status).toBe(404)
})

test('search engines find open vacancies, and nothing else', async () => {
  const robots = await (await get('/robots.txt')).text()
  expect(robots).toContain('Disallow: /desk\n')
  expect(robots).toContain('Sitemap: http://house.test/sitemap.xml')
  const sitemap = await (await get('/sitemap.xml')).text()
  expect(sitemap).toContain('<loc>http://house.test/vacancies/track-engineer</loc>')
  const vacancy = await Vacancy.findOne({ where: { slug: 'track-engineer' }, rejectOnEmpty: true })
  await vacancy.update({ state: 'closed' })
  expect(await (await get('/sitemap.xml')).text()).not.toContain('track-engineer')
  await vacancy.update({ state: 'open' })
})

test('a vacancy tells messengers and search engines what it is and where', async () => {
  const page = await (await get('/vacancies/track-engineer')).text()
  expect(page).toContain('<link rel="canonical" href="http://house.test/vacancies/track-engineer">')
  expect(page).toContain('hreflang="de" href="http://house.test/vacancies/track-engineer?lang=de"')
  expect(page).toMatch(/<meta name="description" content="[^"]{20,160}">/)
  expect(page).toMatch(/<meta property="og:title" content="Track engineer, Vallorne Mountain Lines">/)
  const [, data] = /<script type="application\/ld\+json">(.*?)<\/script>/s.exec(page)!
  expect(JSON.parse(data!).jobLocation.address).toMatchObject({
    postalCode: '6800',
    addressLocality: 'Vallorne',
    addressCountry: 'AT',
  })
  expect(page).not.toContain('property="og:description" content=""')
})
