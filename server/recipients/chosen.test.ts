import type { Question } from '#core/form/form'
import { openAt } from '#core/requirements/evaluate'
import { aDegree, aJob, aPaper, aPermit, claimOf, type House, look, openHouse, personAnswers } from '../../test/house'
import { Event } from '../platform/audit/model'
import { clockAhead } from '../platform/clock'
import { inTransaction } from '../platform/database/connection'
import { readinessOf } from '../readiness/readiness'
import { accountOfCandidate } from '../records/accounts/candidate'
import { actorOf } from '../records/accounts/model'
import { Application } from '../records/applications/model'
import { RecipientPermission } from '../records/recipients/model'
import { ReportDelivery } from '../records/reports/model'
import { chooseRecipients } from './choose'
import { chosenRecipients } from './chosen'
import { sendReady } from './send'

let house: House
beforeAll(async () => {
  house = await openHouse('chosen')
}, 60_000)
afterAll(() => house.close())

const password = 'a-long-enough-secret'
type Visitor = Awaited<ReturnType<House['candidate']>>

/** Somebody who writes an application as inspector, with a diploma of a level. */
async function writing(given: string, level = 5) {
  const candidate = await house.candidate(`${given} Inspector`)
  const { id } = await candidate.done('beginApplication', { params: { slug: 'rope-access-inspector' } })
  const answers = personAnswers(given, 'Inspector')
  await candidate.done('saveAnswers', { params: { id }, body: { version: 0, changes: answers } })
  const { id: degreeId } = await candidate.done('addClaim', {
    body: { details: aDegree(house, { level, field: '0715' }) },
  })
  const query = { fileName: 'Diploma.pdf' }
  await candidate.done('uploadDocument', { params: { id: degreeId }, query, body: await aPaper(given) })
  await candidate.done('addClaim', { body: { details: aJob(house) } })
  const signed = { fullName: `${given} Inspector`, password, agreed: true as const }
  await candidate.done('signPermission', { params: { id }, body: signed })
  const choose = (...keys: string[]) =>
    candidate.call('chooseRecipients', { params: { id }, body: { choose: keys, ...signed } })
  return { candidate, id, degreeId, choose }
}
const bodies = async (candidate: Visitor, id: string) => {
  const { recipients } = await candidate.done('listChosenRecipients', { params: { id } })
  return Object.fromEntries(recipients.map((one) => [one.key, one]))
}
const states = async (candidate: Visitor, id: string) =>
  Object.fromEntries(Object.values(await bodies(candidate, id)).map(({ key, state }) => [key, state]))
const answer = async (candidate: Visitor, id: string, changes: Record<string, string>) => {
  const { version } = await candidate.done('readDraft', { params: { id } })
  return candidate.call('saveAnswers', { params: { id }, body: { version, changes } })
}
const send = async (candidate: Visitor, id: string) => {
  const { version } = await candidate.done('readDraft', { params: { id } })
  return candidate.call('sendApplication', { params: { id }, body: { version } })
}

test('who it is not open to is told why before choosing, and cannot choose it in any way', async () => {
  const { candidate, id, choose } = await writing('Anna', 4)
  const { 'high-alps': high, tannberg } = await bodies(candidate, id)
  expect([high!.state, high!.because]).toEqual(['closed', expect.stringMatching(/technical diploma/)])
  expect([tannberg!.state, tannberg!.chosen]).toEqual(['open', false])
  const refused = await choose('tannberg', 'high-alps')
  expect([refused.status, refused.body.faults?.[0]?.message]).toEqual([
    422,
    expect.stringMatching(/is not open to you/),
  ])
  const saved = await answer(candidate, id, { registers: ['high-alps'] } as never)
  expect([saved.status, saved.body.faults?.[0]?.pointer]).toEqual([422, '/body/changes/registers'])
  expect(await states(candidate, id)).toEqual({ 'lower-alps': 'open', tannberg: 'open', 'high-alps': 'closed' })
  expect((await candidate.done('readDraft', { params: { id } })).answers.registers).toBeUndefined()
  expect((await choose('nobody')).status).toBe(422)
})

test('two are chosen in one act: what both need is asked once, each has its permission, and it is sent once all is there', async () => {
  const { candidate, id, choose } = await writing('Berta')
  const asked = async () => {
    const { outcomes, form } = await candidate.done('readDraft', { params: { id } })
    const titles = new Map(
      form.flatMap(({ questions }) => questions.map(({ key, label }: Question) => [`answer:${key}`, label])),
    )
    return outcomes
      .filter(({ requirement, state }) => requirement.startsWith('answer:registers') && state === 'unmet')
      .map(({ requirement }) => titles.get(requirement))
  }
  expect(await asked()).toEqual([])
  expect((await choose('lower-alps', 'tannberg')).status).toBe(200)
  expect(await asked()).toEqual(['Have you inspected in winter?', 'District of Tannberg you would inspect in'])
  expect((await send(candidate, id)).body.code).toBe('not-complete')
  await answer(candidate, id, { 'registers.winter': 'yes', 'registers.district': 'North' })
  expect((await send(candidate, id)).status).toBe(200)
  const permissions = await RecipientPermission.findAll({ where: { applicationId: id }, order: ['name'] })
  expect(permissions.map(({ name, recipientKey, claims }) => [name, recipientKey, claims])).toEqual([
    ['Lower Alps Rail Inspectorate', 'lower-alps', null],
    ['Tannberg Cableway Inspectorate', 'tannberg', null],
  ])
  expect(new Set(permissions.map(({ sha256 }) => sha256)).size).toBe(2)
  expect(await states(candidate, id)).toMatchObject({ 'lower-alps': 'being proven', tannberg: 'being proven' })
})

test('one chosen without a signature is asked for it; a choice that closed meanwhile says why and holds the sending up', async () => {
  const { candidate, id, degreeId, choose } = await writing('Carla')
  await answer(candidate, id, { registers: ['high-alps'] } as never)
  expect((await bodies(candidate, id))['high-alps']).toMatchObject({ state: 'to sign', chosen: true })
  const refused = await send(candidate, id)
  expect(JSON.stringify(refused.body)).toMatch(/High Alps Ropeway Registry may not be told yet/)
  expect((await choose('high-alps')).status).toBe(200)
  const { details, version } = (await candidate.done('readDraft', { params: { id } })).claims.find(
    (claim) => claim.id === degreeId,
  )!
  await candidate.done('changeClaim', {
    params: { id: degreeId },
    body: { version, details: { ...details, level: 3 } as never },
  })
  expect(JSON.stringify((await send(candidate, id)).body)).toMatch(/High Alps Ropeway Registry is not open to you/)
})

describe('once it is sent', () => {
  async function sent(given: string, ...keys: string[]) {
    const one = await writing(given)
    await one.choose(...keys)
    await answer(one.candidate, one.id, { 'registers.winter': 'no', 'registers.district': 'South' })
    expect((await send(one.candidate, one.id)).status).toBe(200)
    return { ...one, desk: await house.staff('coordinator') }
  }

  test('another is added, and only what it needs beside is asked', async () => {
    const { candidate, id, choose } = await writing('Dora')
    await choose('lower-alps')
    await answer(candidate, id, { 'registers.winter': 'yes' })
    await send(candidate, id)
    expect((await choose('tannberg')).status).toBe(200)
    const { toDo } = await candidate.done('readStatus', { params: { id } })
    const added = toDo.filter(({ key }) => key.startsWith('answer:registers'))
    expect(added.map(({ key, act, target }) => [key, act, target])).toEqual([
      ['answer:registers.district', 'go', 'registers'],
    ])
    expect((await candidate.done('readDraft', { params: { id } })).stillAsked).toContain('registers.district')
    // It holds up nothing but what goes to that body.
    const { outcomes } = await readinessOf(house.deps, await Application.findByPk(id, { rejectOnEmpty: true }))
    expect(openAt(outcomes, 'shortlist').map(({ requirement }) => requirement)).not.toContain(
      'answer:registers.district',
    )
    expect((await answer(candidate, id, { 'registers.winter': 'no' })).status).toBe(409)
    expect((await answer(candidate, id, { 'registers.district': 'Both' })).status).toBe(200)
    const after = (await candidate.done('readStatus', { params: { id } })).toDo
    expect(after.filter(({ key }) => key.startsWith('answer:registers'))).toEqual([])
  })

  test('each is sent its record when what it needs is proven, and not before; the other waits for its own', async () => {
    const { candidate, id, degreeId, desk } = await sent('Emil', 'lower-alps', 'tannberg')
    await candidate.done('addClaim', {
      body: { details: aPermit(house, 'first-aid', 'aid', 'FH-90001', house.day(400)) },
    })
    const { 'lower-alps': lower, tannberg } = await bodies(candidate, id)
    expect(lower!.left.length).toBeGreaterThan(0)
    expect(tannberg!.left.length).toBeGreaterThan(lower!.left.length)
    const by = (permission: string) => desk.call('sendRecord', { params: { id, permission }, body: { way: 'link' } })
    const early = await by(lower!.permission!)
    expect([early.status, early.body.code]).toEqual([409, 'not-ready'])
    expect(
      (await candidate.call('sendOwnRecord', { params: { id: lower!.permission! }, body: { way: 'pdf' } })).status,
    ).toBe(409)
    await look(desk, id, degreeId)
    for (const { details, id: claimId } of (await candidate.done('readDraft', { params: { id } })).claims)
      if (details.kind === 'work') await claimOf(desk, id, claimId)
    expect((await states(candidate, id))['lower-alps']).toBe('ready')
    expect((await by(lower!.permission!)).status).toBe(200)
    const after = await bodies(candidate, id)
    expect([after['lower-alps']!.state, after['lower-alps']!.sent?.state]).toEqual(['sent', 'open'])
    // A certificate that it has not asked for is none of its business.
    expect(after['lower-alps']!.sent?.claims.sort()).toEqual(
      ['MSc Electrical Engineering', 'Nordrampe Seilbahnen'].sort(),
    )
    expect(after.tannberg!.state).toBe('being proven')
    const atDesk = await desk.done('listRecipients', { params: { id } })
    expect(atDesk.chosen.map(({ key, state }) => [key, state])).toEqual([
      ['lower-alps', 'sent'],
      ['tannberg', 'being proven'],
      ['high-alps', 'open'],
    ])
  })

  test('what is ready goes by itself in the night, once; what is not stays, and so does what a person has sent', async () => {
    const { id, degreeId, desk, candidate } = await sent('Heidi', 'lower-alps', 'tannberg')
    await sendReady(house.deps)
    expect(await states(candidate, id)).toMatchObject({ 'lower-alps': 'being proven', tannberg: 'being proven' })
    await look(desk, id, degreeId)
    expect(await Promise.all([sendReady(house.deps), sendReady(house.deps)])).toEqual([0, 0])
    await sendReady(house.deps)
    const after = await bodies(candidate, id)
    expect([after['lower-alps']!.sent?.sentBy, after.tannberg!.state]).toEqual([
      house.deps.organisation.name,
      'being proven',
    ])
    const { candidateId } = await Application.findByPk(id, { rejectOnEmpty: true })
    expect(await ReportDelivery.count({ where: { permissionId: after['lower-alps']!.permission! } })).toBe(1)
    expect(await Event.count({ where: { candidateId, code: 'report-made' } })).toBe(1)
    await house.workOff()
    expect((await house.mailTo('register@lari.example', 'Heidi')).text).toMatch(/shared/)
  })

  test('a permission that is withdrawn takes the body off, with what it alone had asked; it can be chosen anew', async () => {
    const { candidate, id, choose } = await sent('Fritz', 'lower-alps', 'tannberg')
    const { tannberg } = await bodies(candidate, id)
    await candidate.done('withdrawRecipient', { params: { id: tannberg!.permission! } })
    expect(await states(candidate, id)).toMatchObject({ 'lower-alps': 'being proven', tannberg: 'open' })
    const application = await Application.findByPk(id, { rejectOnEmpty: true })
    const { outcomes } = await readinessOf(house.deps, application)
    expect(outcomes.find(({ requirement }) => requirement === 'answer:registers.district')?.state).toBe('not needed')
    expect((await choose('tannberg')).status).toBe(200)
    expect((await states(candidate, id)).tannberg).toBe('being proven')
  })

  test('a permission whose year is over is signed anew; of two windows at once one signs', async () => {
    const { id } = await sent('Gerda', 'lower-alps')
    const application = await Application.findByPk(id, { rejectOnEmpty: true })
    const actor = actorOf(await accountOfCandidate(application.candidateId))
    const later = { ...house.deps, clock: clockAhead(400 * 86_400_000, house.deps.organisation.timeZone) }
    expect((await chosenRecipients(later, application)).find(({ key }) => key === 'lower-alps')?.state).toBe('to sign')
    const signature = { fullName: 'Gerda Inspector', choose: ['lower-alps'] }
    const again = () => inTransaction(house.deps.sequelize, () => chooseRecipients(later, actor, id, signature))
    await Promise.allSettled([again(), again()])
    expect(await RecipientPermission.count({ where: { applicationId: id } })).toBe(2)
    expect(await RecipientPermission.count({ where: { holdsFor: `${id} lower-alps` } })).toBe(1)
  })
})
