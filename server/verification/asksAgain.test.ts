import type { Visitor } from '../../test/client'
import { aPaper, aPermit, applied, claimOf, type House, look, openHouse, tokenIn } from '../../test/house'
import { Enquiry, Finding } from '../records/enquiries/model'

let house: House
let desk: Visitor
beforeAll(async () => {
  house = await openHouse('asks_again')
  desk = await house.staff('coordinator')
}, 120_000)
afterAll(() => house.close())

const longAgo = 370 * 86_400_000

/** A licence that its issuer has confirmed, decided on so long ago. */
async function confirmedLicence(name: [string, string], agoMs: number) {
  const candidate = await house.candidate(name.join(' '))
  const { id } = await applied(house, candidate, name)
  const details = aPermit(house, 'hv-switching', 'grid', 'GSB-2-60112', '2027-12-31')
  const { id: claimId } = await candidate.done('addClaim', { body: { details } })
  await candidate.done('uploadDocument', {
    params: { id: claimId },
    query: { fileName: 'Card.pdf' },
    body: await aPaper(),
  })
  await look(desk, id, claimId)
  const answer = async () => {
    await desk.done('raiseEnquiry', { params: { id: claimId }, body: { applicationId: id } })
    await house.workOff()
    const claim = await claimOf(desk, id, claimId)
    const { mail } = await contactOf(claim.details.sourceId!)
    const token = tokenIn((await house.mailTo(mail, name[1])).text, 'reply')
    const { claimed } = await house.visitor().done('readEnquiry', { params: { token } })
    const fields = Object.fromEntries(Object.keys(claimed).map((key) => [key, { says: 'agrees' as const }]))
    const reply = { known: true, fields, note: '', respondent: 'Renate Amt', capacity: 'Register' }
    await house.visitor().done('replyToEnquiry', { params: { token }, body: reply })
  }
  const decide = async () => {
    const { version } = await claimOf(desk, id, claimId)
    return desk.call('decideClaim', { params: { id: claimId }, body: { version, decision: 'confirmed', note: '' } })
  }
  await answer()
  expect((await decide()).status).toBe(200)
  const then = new Date(Date.now() - agoMs)
  await Finding.update({ decidedAt: then }, { where: { claimId } })
  await Enquiry.update({ askedAt: then, answeredAt: then }, { where: { claimId } })
  return { candidate, id, claimId, answer, decide, claim: () => claimOf(desk, id, claimId) }
}
const contactOf = async (sourceId: string) => {
  const admin = await house.staff('administrator')
  return (await admin.done('readSource', { params: { id: sourceId } })).contacts[0]!
}
const dayOf = (moment: Date) => moment.toISOString().slice(0, 10)

test('what is confirmed serves the next application of the person, and says since when and until when', async () => {
  const { candidate, claimId, claim, id } = await confirmedLicence(['Freya', 'Fresh'], 30 * 86_400_000)
  const { confirmed } = await claim()
  const since = dayOf(new Date(Date.now() - 30 * 86_400_000))
  expect(confirmed).toMatchObject({ since: expect.any(String), until: expect.any(String) })
  expect(Math.abs(Date.parse(confirmed!.since) - Date.parse(since))).toBeLessThanOrEqual(86_400_000)
  // A second application finds it there, and nobody would be asked.
  const { id: next } = await candidate.done('beginApplication', { params: { slug: 'rope-access-inspector' } })
  const draft = await candidate.done('readDraft', { params: { id: next } })
  expect(draft.claims.find((own) => own.id === claimId)).toMatchObject({ rung: 'confirmed', confirmed })
  const { obstacles } = await desk.done('previewEnquiry', { params: { id: claimId }, query: { applicationId: id } })
  expect(obstacles).toContain('This has already been confirmed.')
})

test('what was confirmed too long ago is asked again, and the old answer does not confirm it anew', async () => {
  const { id, claimId, claim, decide, answer } = await confirmedLicence(['Stella', 'Stale'], longAgo)
  expect((await claim()).confirmed).toMatchObject({ stale: true })
  const reasons = async () =>
    (await desk.done('readFile', { params: { id } })).outcomes
      .filter(({ claims }) => claims.includes(claimId))
      .map(({ reason, steps }) => [reason.code, steps[0]?.what])
  expect(await reasons()).toEqual([['confirmed-long-ago', 'ask']])
  // Without a new answer nothing is confirmed, neither before asking nor while it is asked.
  await desk.done('raiseEnquiry', { params: { id: claimId }, body: { applicationId: id } })
  expect((await decide()).body.code).toBe('answer-from-before')
  // Its mail is on its way before the next one is, or the older link could come last.
  await house.workOff()
  await Enquiry.update({ state: 'silent', activeKey: null, turn: 'desk' }, { where: { claimId, state: 'open' } })
  await answer()
  expect((await decide()).status).toBe(200)
  expect((await claim()).confirmed?.stale).toBeUndefined()
  expect(await reasons()).toEqual([['confirmed-since', undefined]])
})

test('the house says for how long: what it says holds for what was confirmed before, too', async () => {
  const { claim } = await confirmedLicence(['Paula', 'Policy'], longAgo)
  const admin = await house.staff('administrator')
  const { organisation, version } = await admin.done('readOrganisation')
  const months = { ...organisation.freshMonths, licence: null, certificate: null }
  await admin.done('saveOrganisation', {
    body: { version, organisation: { ...organisation, freshMonths: months } },
  })
  expect((await claim()).confirmed).toEqual({ since: expect.any(String), until: null })
  const refused = await admin.call('saveOrganisation', {
    body: { version: version + 1, organisation: { ...organisation, freshMonths: { ...months, work: 0 } } },
  })
  expect(refused.body.faults?.[0]?.pointer).toBe('/body/organisation/freshMonths/work')
})
