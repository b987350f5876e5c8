import { allRight, askAbout, checkedSource, claimedOf, enquiryAbout } from '../../test/asking'
import type { Visitor } from '../../test/client'
import { type House, openHouse, tokenIn } from '../../test/house'
import { Claim } from '../records/claims/model'
import { Enquiry } from '../records/enquiries/model'

let house: House
let desk: Visitor
beforeAll(async () => {
  house = await openHouse('handling')
  desk = await house.staff('coordinator')
}, 120_000)
afterAll(() => house.close())

const cost = { amount: 450, currency: 'EUR' }
const fast = { answerWorkingDays: 2, cost }
type File = Awaited<ReturnType<typeof claimedOf>>
async function given(name: [string, string], over: object = { faster: fast }) {
  const source = await checkedSource(house, { answerWorkingDays: 9, ...over })
  return { ...(await claimedOf(house, name, source)), source }
}
const versionOf = async ({ claimId }: File) => (await Claim.findByPk(claimId, { rejectOnEmpty: true })).version
const choose = async (file: File, speed: 'usual' | 'faster', by: Visitor = file.candidate, version?: number) =>
  by.call('chooseHandling', {
    params: { id: file.claimId },
    body: { version: version ?? (await versionOf(file)), speed },
  })

test('a candidate sees both with cost and days, chooses the faster, and whoever asks asks for it, unless they choose otherwise', async () => {
  const file = await given(['Fay', 'Faster'])
  const listed = { claim: file.claimId, usual: { answerWorkingDays: 9, cost: null }, faster: fast, chosen: 'usual' }
  expect(await file.candidate.done('listHandlings')).toEqual([listed])
  expect((await choose(file, 'faster')).status).toBe(200)
  expect(await file.candidate.done('listHandlings')).toEqual([{ ...listed, chosen: 'faster' }])
  const query = { applicationId: file.applicationId }
  const preview = await desk.done('previewEnquiry', { params: { id: file.claimId }, query })
  expect([preview.speed, preview.wished, preview.faster?.cost]).toEqual(['faster', true, cost])
  const otherwise = { params: { id: file.claimId }, query: { ...query, faster: 'no' as const } }
  expect((await desk.done('previewEnquiry', otherwise)).speed).toBe('usual')
  const items = [{ claimId: file.claimId, applicationId: file.applicationId }]
  await desk.done('raiseEnquiries', { body: { items } })
  expect(await enquiryAbout(file.claimId)).toMatchObject({ speed: 'faster', cost })
  expect(await file.candidate.done('listHandlings')).toEqual([])
  expect((await choose(file, 'usual')).body.code).toBe('already-asked')
})

test('a question that waits goes out at the speed that was chosen meanwhile', async () => {
  const conditions = [{ id: crypto.randomUUID(), kind: 'signature' as const, claims: [], reason: '' }]
  const source = await checkedSource(house, { kind: 'school', faster: fast, conditions })
  const file = await claimedOf(house, ['Wes', 'Waiting'], { ...source, kind: 'study' })
  expect((await askAbout(desk, file.claimId, file.applicationId)).state).toBe('prepared')
  expect((await choose(file, 'faster')).status).toBe(200)
  await house.workOff()
  expect(await enquiryAbout(file.claimId)).toMatchObject({ state: 'prepared', speed: 'faster' })
})

test('nobody chooses for another, with an old version, or where there is one speed alone; of two at once one does', async () => {
  const [file, slow] = [await given(['Nora', 'None']), await given(['Sven', 'Slow'], {})]
  const stranger = await house.candidate('Stan Stranger')
  expect((await choose(file, 'faster', stranger)).status).toBe(404)
  expect((await choose(slow, 'faster')).body.code).toBe('no-faster')
  expect(await slow.candidate.done('listHandlings')).toEqual([])
  const version = await versionOf(file)
  const both = await Promise.all([
    choose(file, 'faster', file.candidate, version),
    choose(file, 'usual', file.candidate, version),
  ])
  expect(both.map(({ status }) => status).sort()).toEqual([200, 409])
  expect(await Enquiry.count({ where: { claimId: file.claimId } })).toBe(0)
})

test('what was confirmed is not asked about, and no speed is offered for it', async () => {
  const file = await given(['Cora', 'Confirmed'])
  await askAbout(desk, file.claimId, file.applicationId)
  await house.workOff()
  const token = tokenIn((await house.mailTo(file.source.contacts[0]!.mail)).text, 'reply')
  const { claimed } = await house.visitor().done('readEnquiry', { params: { token } })
  await house.visitor().done('replyToEnquiry', { params: { token }, body: allRight(claimed) as never })
  await desk.done('decideClaim', {
    params: { id: file.claimId },
    body: { version: await versionOf(file), decision: 'confirmed', note: '' },
  })
  expect(await file.candidate.done('listHandlings')).toEqual([])
})
