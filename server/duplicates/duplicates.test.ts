import type { Visitor } from '../../test/client'
import { applied, type House, openHouse } from '../../test/house'
import { Application } from '../records/applications/model'
import { Claim } from '../records/claims/model'
import { Document } from '../records/documents/model'

let house: House
beforeAll(async () => {
  house = await openHouse('duplicates')
}, 60_000)
afterAll(() => house.close())

const fileOf = async (id: string) => (await Application.findByPk(id, { rejectOnEmpty: true })).candidateId

/** The same person twice, under two addresses and two spellings. */
async function twice(given: string, [one, other]: [string, string]) {
  const [first, second] = [await house.candidate(`${given} ${one}`), await house.candidate(`${given} ${other}`)]
  const a = await applied(house, first, [given, one])
  const b = await applied(house, second, [given, other])
  return { first, second, a, b, one: await fileOf(a.id), other: await fileOf(b.id) }
}

test('the same person under another mail is found, and shown side by side with what agrees', async () => {
  const { a, one, other } = await twice('Jürg', ['Müller', 'Mueller'])
  const desk = await house.staff('coordinator')
  const pair = (await desk.done('listDuplicates')).pairs.find(({ names }) => names.join().includes('Jürg'))!
  expect([pair.oneId, pair.otherId].sort()).toEqual([one, other].sort())
  expect(pair).toMatchObject({ likelihood: 'certain', agreeing: ['name', 'birth date', 'phone', 'paper number'] })
  const { sides, agreements } = await desk.done('readDuplicate', { params: { oneId: other, otherId: one } })
  expect(sides.map(({ name }) => name).sort()).toEqual(['Jürg Mueller', 'Jürg Müller'])
  expect(agreements.find(({ field }) => field === 'name')?.words).toBe('the same name, written differently')
  const queue = await desk.done('readQueue', { params: { queue: 'applications' } })
  expect(queue.people.find((row) => row.id === a.id)?.why).toBe('May have a second file')
  const { duplicates } = await desk.done('readFile', { params: { id: a.id } })
  expect(duplicates.map(({ name }) => name)).toContain('Jürg Mueller')
})

test('a name that is hidden until the shortlist, and a birth date the role does not need, are hidden here too', async () => {
  const { a, one, other } = await twice('Nora', ['Nameless', 'Nameless Xaver'])
  const [desk, administrator] = [await house.staff('coordinator'), await house.staff('administrator')]
  const { vacancyId } = await Application.findByPk(a.id, { rejectOnEmpty: true })
  const { version } = await desk.done('readScoreSheet', { params: { id: vacancyId } })
  const criteria = [{ key: 'care', title: 'Care', lookFor: '', most: 5, weight: 1 }]
  const params = { oneId: one, otherId: other }
  const sides = async (reader: Visitor) => (await reader.done('readDuplicate', { params })).sides
  expect((await sides(administrator)).map(({ born }) => born)).toEqual([null, null])
  await desk.done('saveScoreSheet', {
    params: { id: vacancyId },
    body: { version, criteria, reviewers: 2, hideNames: true },
  })
  const [first] = await sides(desk)
  expect(first).toMatchObject({ name: expect.stringMatching(/^VM-/), otherNames: [], mails: [] })
  expect(first!.born).not.toBeNull()
  const whole = JSON.stringify([
    await desk.done('readDuplicate', { params }),
    await desk.done('listDuplicates'),
    await desk.done('readTrail'),
  ])
  expect(whole).not.toMatch(/Nora|Nameless|Xaver/i)
  await desk.done('reveal', { params: { id: a.id }, body: { subject: 'name', reason: 'To see whether they are one' } })
  expect((await sides(desk)).map(({ name }) => name)).toContain('Nora Nameless')
  const { version: now } = await desk.done('readScoreSheet', { params: { id: vacancyId } })
  await desk.done('saveScoreSheet', {
    params: { id: vacancyId },
    body: { version: now, criteria, reviewers: 2, hideNames: false },
  })
})

test('a merge keeps everything, leads both accounts to one file, and is undone whole', async () => {
  const { first, second, a, b, one, other } = await twice('Merle', ['Kept', 'Kept'])
  const desk = await house.staff('coordinator')
  const counts = async (candidateId: string) => ({
    applications: await Application.count({ where: { candidateId } }),
    claims: await Claim.count({ where: { candidateId } }),
    documents: await Document.count({ where: { candidateId } }),
  })
  const before = await counts(one)
  const { id } = await desk.done('mergeFiles', {
    params: { keptId: one },
    body: { mergedId: other, reason: 'The same birth date, phone and degree' },
  })
  expect(await counts(one)).toEqual({
    applications: before.applications * 2,
    claims: before.claims * 2,
    documents: before.documents * 2,
  })
  expect(await counts(other)).toEqual({ applications: 0, claims: 0, documents: 0 })
  for (const person of [first, second])
    expect((await person.done('myApplications')).map((line) => line.id).sort()).toEqual([a.id, b.id].sort())
  expect((await desk.done('readFile', { params: { id: b.id } })).claims).toHaveLength(4)
  const found = await desk.done('find', { query: { text: 'merle kept' } })
  expect(found.people.map((person) => person.id).sort()).toEqual([a.id, b.id].sort())
  const again = await desk.call('mergeFiles', { params: { keptId: other }, body: { mergedId: one, reason: 'Again' } })
  expect(again.body.code).toBe('merged-already')

  await desk.done('undoMerge', { params: { id } })
  expect([await counts(one), await counts(other)]).toEqual([before, before])
  expect((await second.done('myApplications')).map((line) => line.id)).toEqual([b.id])
  expect((await desk.call('undoMerge', { params: { id } })).body.code).toBe('undone')
  expect((await desk.done('readFile', { params: { id: b.id } })).trail[0]?.what).toBe(
    'Separated two merged files again',
  )
})

test('two people set apart are not shown together again', async () => {
  const { a, one, other } = await twice('Greta', ['Apart', 'Apart'])
  const desk = await house.staff('coordinator')
  await desk.done('setApart', { params: { oneId: one, otherId: other } })
  const both = ({ oneId, otherId }: { oneId: string; otherId: string }) =>
    [oneId, otherId].includes(one) && [oneId, otherId].includes(other)
  expect((await desk.done('listDuplicates')).pairs.some(both)).toBe(false)
  expect((await desk.done('readFile', { params: { id: a.id } })).duplicates.some(both)).toBe(false)
  expect((await desk.call('setApart', { params: { oneId: one, otherId: other } })).status).toBe(409)
  expect((await (await house.staff('assessor')).call('listDuplicates')).status).toBe(403)
})

test('a file is not merged into itself', async () => {
  const { one } = await twice('Selma', ['Self', 'Self'])
  const desk = await house.staff('coordinator')
  const refused = await desk.call('mergeFiles', { params: { keptId: one }, body: { mergedId: one, reason: 'A slip' } })
  expect(refused.body.faults?.[0]?.pointer).toBe('/body/mergedId')
})

test('two who decide on one pair at once decide once, whichever way', async () => {
  const { one, other } = await twice('Zita', ['Atonce', 'Atonce'])
  const [first, second] = [await house.staff('coordinator'), await house.staff('coordinator')]
  const merge = (who: Visitor, keptId: string, mergedId: string) =>
    who.call('mergeFiles', { params: { keptId }, body: { mergedId, reason: 'The same birth date and phone' } })
  const merged = await Promise.all([merge(first, one, other), merge(second, other, one)])
  expect(merged.map(({ status }) => status).sort()).toEqual([200, 409])
  const id = merged.find(({ status }) => status === 200)!.body.id
  const undone = await Promise.all([first, second].map((who) => who.call('undoMerge', { params: { id } })))
  expect(undone.map(({ status }) => status).sort()).toEqual([200, 409])
  const [oneId, otherId] = [one, other].sort() as [string, string]
  const apart = await Promise.all([first, second].map((who) => who.call('setApart', { params: { oneId, otherId } })))
  expect(apart.map(({ status }) => status).sort()).toEqual([200, 409])
})
