import { v7 as uuid } from 'uuid'
import { applied, type House, openHouse } from '../../test/house'
import { Vacancy, VacancyGroup } from '../records/vacancies/model'

let house: House
beforeAll(async () => {
  house = await openHouse('heard')
}, 60_000)
afterAll(() => house.close())

const slug = 'cableway-electrical-supervisor'

test('it is asked once, may be changed and taken back, is read at the desk, and counted by gate', async () => {
  const desk = await house.staff('coordinator')
  const people = await Promise.all(
    ['Hanna', 'Hedda', 'Hugo'].map(async (given) => {
      const candidate = await house.candidate(`${given} Heard`)
      return { candidate, ...(await applied(house, candidate, [given, 'Heard'])) }
    }),
  )
  const [one, two, three] = people
  const say = ({ candidate, id }: (typeof people)[number], source: string | null, recommendedBy = '') =>
    candidate.done('saveHeard', { params: { id }, body: { source, recommendedBy } })
  const read = ({ candidate, id }: (typeof people)[number]) => candidate.done('readHeard', { params: { id } })
  expect(await read(one!)).toEqual({ source: null, recommendedBy: '' })
  await say(one!, 'fair')
  await say(one!, 'somebody', ' Otto Quist ')
  await say(two!, 'somebody')
  await say(three!, 'fair')
  await say(three!, null)
  expect(await read(one!)).toEqual({ source: 'somebody', recommendedBy: 'Otto Quist' })
  expect(await read(three!)).toMatchObject({ source: null })
  expect(await desk.done('readHeardOf', { params: { id: one!.id } })).toMatchObject({ recommendedBy: 'Otto Quist' })
  await desk
    .done('passGate', { params: { id: one!.id, gate: 'shortlist' }, body: { version: 2 } })
    .catch(() => undefined)
  const { id } = await Vacancy.findOne({ where: { slug }, rejectOnEmpty: true })
  const { rows } = await desk.done('countHeard', { params: { id } })
  expect(rows.map(({ source, counts }) => [source, counts.sent])).toEqual([
    ['somebody', 2],
    [null, 1],
  ])
  expect(Object.values(rows[0]!.counts)).toEqual([2, expect.any(Number), 0, 0])
})

test('in a group it is asked once for all its vacancies; a stranger’s is not there', async () => {
  const candidate = await house.candidate('Greta Group')
  const group = await VacancyGroup.create({ id: uuid(), title: 'Together', rankUpTo: 2, version: 1 })
  await Vacancy.update({ groupId: group.id }, { where: { slug: ['track-engineer', 'rope-access-inspector'] } })
  const begin = async (where: string) => (await candidate.done('beginApplication', { params: { slug: where } })).id
  const [first, second] = [await begin('track-engineer'), await begin('rope-access-inspector')]
  await candidate.done('saveHeard', { params: { id: first }, body: { source: 'school', recommendedBy: '' } })
  expect(await candidate.done('readHeard', { params: { id: second } })).toMatchObject({ source: 'school' })
  const stranger = await house.candidate('Sven Stranger')
  expect((await stranger.call('readHeard', { params: { id: first } })).status).toBe(404)
})
