import { applied, type House, openHouse } from '../../test/house'
import { contentHashOf, firstHash, linkHashOf } from '../platform/audit/chain'
import { ChainHead, Event } from '../platform/audit/model'
import { recordEvent } from '../platform/audit/record'
import { verifyTrail } from './verify'

let house: House
beforeAll(async () => {
  house = await openHouse('audit')
}, 60_000)
afterAll(() => house.close())

/** The chain of somebody who has just applied. */
async function aChain(name: string) {
  const candidate = await house.candidate(name)
  await applied(house, candidate, name.split(' ') as [string, string])
  const { candidateId } = (await Event.findOne({
    where: { who: name, code: 'application-sent' },
    rejectOnEmpty: true,
  }))!
  const links = () => Event.findAll({ where: { chain: candidateId! }, order: ['seq'] })
  return { chain: candidateId!, links }
}

test('what was done is chained without a gap, and holds', async () => {
  const { chain, links } = await aChain('Chana Whole')
  expect((await links()).map(({ seq }) => seq)).toEqual((await links()).map((_, nth) => nth + 1))
  const verified = await verifyTrail({ chain })
  expect(verified).toMatchObject({ chains: 1, broken: [] })
  expect(verified.links).toBeGreaterThan(3)
})

test('a changed word is found, and named as the first broken link', async () => {
  const { chain, links } = await aChain('Edda Edited')
  const third = (await links())[2]!
  await Event.update({ what: 'Nothing to see here' }, { where: { id: third.id } })
  expect((await verifyTrail({ chain })).broken).toMatchObject([{ seq: 3, id: third.id, fault: 'changed' }])
})

test('a link taken out, one put in, and a cut end are found', async () => {
  const out = await aChain('Olga Out')
  await Event.destroy({ where: { id: (await out.links())[1]!.id } })
  expect((await verifyTrail({ chain: out.chain })).broken).toMatchObject([{ seq: 2, fault: 'missing' }])

  const put = await aChain('Petra Put')
  const copied = (await put.links())[1]!
  await Event.create({ ...copied.get({ plain: true }), id: '018f0000-0000-7000-8000-00000000abcd' })
  expect((await verifyTrail({ chain: put.chain })).broken[0]?.fault).toMatch(/added|changed/)

  const cut = await aChain('Cara Cut')
  await Event.destroy({ where: { id: (await cut.links()).at(-1)!.id } })
  expect((await verifyTrail({ chain: cut.chain })).broken[0]?.fault).toBe('end cut off')
  await Event.destroy({ where: { chain: cut.chain } })
  expect((await verifyTrail({ chain: cut.chain })).broken[0]?.fault).toBe('end cut off')
})

test('even who knows the method and writes one link anew is found by the next', async () => {
  const { chain, links } = await aChain('Rena Rewritten')
  const [, second] = await links()
  const contentHash = contentHashOf(second!.salt, { ...second!.get({ plain: true }), what: 'Something else' })
  const previous = (await links())[0]!.hash
  const hash = linkHashOf({ ...second!.get({ plain: true }), contentHash }, previous)
  await second!.update({ what: 'Something else', contentHash, hash })
  expect((await verifyTrail({ chain })).broken).toMatchObject([{ seq: 3, fault: 'changed' }])
})

test('words may not be hidden as erased without a record of it', async () => {
  const { chain, links } = await aChain('Hilda Hidden')
  const second = (await links())[1]!
  await second.update({ what: 'Erased', salt: '', erasedAt: new Date() })
  expect((await verifyTrail({ chain })).broken).toMatchObject([{ seq: 2, fault: 'erased without a record' }])
})

test('who writes a whole chain anew is found by a fingerprint kept elsewhere, and by nothing else', async () => {
  const [{ chain, links }, cut] = [await aChain('Wanda Anew'), await aChain('Corin Cut')]
  const desk = await house.staff('administrator')
  const kept = Buffer.from(await (await desk.request('/api/desk/lists/fingerprint')).arrayBuffer())
  const honest = await desk.done('verifySince', { body: kept })
  expect(honest.broken.filter(({ chain: one }) => one === chain || one === cut.chain)).toEqual([])
  await recordEvent(
    house.deps,
    { kind: 'system' },
    { code: 'draft-deleted', values: { vacancy: 'Later' }, candidateId: chain },
  )

  let previous = firstHash
  for (const link of await links()) {
    const said = { ...link.get({ plain: true }), ...(link.seq === 2 ? { what: 'Something else' } : {}) }
    const contentHash = contentHashOf(link.salt, said)
    previous = linkHashOf({ ...said, contentHash }, previous)
    await link.update({ what: said.what, contentHash, hash: previous })
  }
  await ChainHead.update({ hash: previous }, { where: { chain } })
  const shorter = (await cut.links()).at(-2)!
  await Event.destroy({ where: { chain: cut.chain, seq: shorter.seq + 1 } })
  await ChainHead.update({ seq: shorter.seq, hash: shorter.hash }, { where: { chain: cut.chain } })
  expect((await verifyTrail({ chain })).broken).toEqual([])
  expect((await verifyTrail({ chain: cut.chain })).broken).toEqual([])

  const { broken } = await desk.done('verifySince', { body: kept })
  const faults = new Map(broken.map(({ chain: one, fault, seq }) => [one, { fault, seq }]))
  expect(faults.get(chain)).toEqual({ fault: 'written anew', seq: (await links()).length - 1 })
  expect(faults.get(cut.chain)).toEqual({ fault: 'end cut off', seq: shorter.seq + 1 })
  const nonsense = await desk.call('verifySince', { body: Buffer.from('Chain,Link,Hash\nhouse,1,abc\n') })
  expect(nonsense.body).toMatchObject({
    status: 422,
    code: 'not-a-fingerprint',
    detail: 'Row 1 is not a chain, a link and a hash.',
  })
})

test('many at once make one chain, not several', async () => {
  const chain = '018f0000-0000-7000-8000-0000000f0f0f'
  await Promise.all(
    Array.from({ length: 12 }, (_, nth) =>
      recordEvent(
        house.deps,
        { kind: 'system' },
        { code: 'draft-deleted', values: { vacancy: `Event ${nth}` }, candidateId: chain },
      ),
    ),
  )
  const head = await ChainHead.findByPk(chain, { rejectOnEmpty: true })
  expect(head.seq).toBe(12)
  expect(head.hash).not.toBe(firstHash)
  expect((await verifyTrail({ chain })).broken).toEqual([])
})

test('the page names the person, and only those who keep the record may ask', async () => {
  const { chain, links } = await aChain('Nadja Named')
  await Event.update({ who: 'Somebody else' }, { where: { id: (await links())[0]!.id } })
  const desk = await house.staff('administrator')
  const { broken } = await desk.done('verifyTrail', { body: { candidateId: chain } })
  expect(broken).toMatchObject([{ person: 'Nadja Named', seq: 1, fault: 'changed' }])
  const all = await desk.done('verifyTrail', { body: {} })
  expect(all.chains).toBeGreaterThan(5)
  expect(all.broken.some((link) => link.person === 'Nadja Named')).toBe(true)
  expect((await (await house.staff('hiring manager')).call('verifyTrail', { body: {} })).status).toBe(403)
})
