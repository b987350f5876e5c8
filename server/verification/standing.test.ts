import { aPaper, aPermit, applied, claimOf, contradict, type House, look, openHouse, tokenIn } from '../../test/house'
import { ClaimReview } from '../records/decisions/model'
import { Enquiry, Finding } from '../records/enquiries/model'

/** What stands against a licence or ends a question, and decisions at the same moment. */
let house: House
beforeAll(async () => {
  house = await openHouse('standing')
}, 60_000)
afterAll(() => house.close())

type Standing = { standing?: string; standingFrom?: string; standingThrough?: string; standingTerms?: string[] }

/** Somebody who has sent an application with a switching authority that a person has looked at and its register knows. */
async function licensed(name: [string, string], number: string, standing: Standing, days = 400) {
  const candidate = await house.candidate(name.join(' '))
  const { id, degreeId } = await applied(house, candidate, name)
  const desk = await house.staff('coordinator')
  const details = aPermit(house, 'hv-switching', 'grid', number, house.day(days))
  const { id: licenceId } = await candidate.done('addClaim', { body: { details } })
  for (const part of ['front', 'back'] as const)
    await candidate.done('uploadDocument', {
      params: { id: licenceId },
      query: { fileName: `${part}.pdf`, part },
      body: await aPaper(part),
    })
  await look(desk, id, licenceId)
  enter(number, name, details as { issued: string; through: string }, standing)
  const lookUp = () => desk.done('askRegister', { params: { id: licenceId }, body: { applicationId: id } })
  await lookUp()
  const outcome = async () =>
    (await desk.done('readFile', { params: { id } })).outcomes.find(({ claims }) => claims.includes(licenceId))
  return { candidate, desk, id, degreeId, licenceId, lookUp, outcome, details }
}

const entries: Record<string, object> = {}
function enter(
  number: string,
  name: [string, string],
  { issued, through }: { issued: string; through: string },
  standing: Standing,
) {
  const plain = number.replace(/[\s.-]/g, '')
  entries[plain] = {
    fields: { name: name.join(' '), title: 'High-voltage switching authority', number, issued, through },
    ...standing,
  }
  house.enter({ grid: entries })
}

test('the file opens what the queue says, also where a paper that was answered for lapses too early', async () => {
  const { desk, id, licenceId, outcome } = await licensed(['Lapse', 'Answered'], 'GSB-2-57900', {}, 20)
  expect((await outcome())?.reason.code).toBe('lapses-early')
  const { people } = await desk.done('readQueue', { params: { queue: 'verification' } })
  expect(people.find((line) => line.id === id)?.why).toMatch(/: compare the reply$/)
  expect((await claimOf(desk, id, licenceId)).wants).toBe('You: compare reply')
})

describe('what a register says of a licence beyond its dates', () => {
  test('suspended: no field differs, and still it is not to be confirmed, and its requirement is not met', async () => {
    const { desk, id, licenceId, outcome } = await licensed(['Sina', 'Suspended'], 'GSB-2-57001', {
      standing: 'suspended',
      standingFrom: house.day(-20),
    })
    const { proof, version } = await claimOf(desk, id, licenceId)
    expect(proof.comparison.outcome).toBe('look')
    expect(proof.proposed).toBeNull()
    expect(proof.standing).toEqual({ state: 'suspended', from: house.day(-20) })
    expect(proof.sentence.head).toMatch(/^Its issuer says that it is suspended from /)
    const confirm = { version, decision: 'confirmed', note: '' } as const
    expect((await desk.call('decideClaim', { params: { id: licenceId }, body: confirm })).body.code).toBe(
      'not-the-same',
    )
    const noted = { version, decision: 'confirmed with a note', note: 'The register says it is suspended.' } as const
    await desk.done('decideClaim', { params: { id: licenceId }, body: noted })
    expect(await outcome()).toMatchObject({ state: 'unmet', reason: { code: 'standing', standing: 'suspended' } })
  })

  test('restricted: counts once somebody has confirmed it knowing that; and what was lifted counts after the next look', async () => {
    const { desk, id, licenceId, outcome, lookUp, details } = await licensed(['Rea', 'Restricted'], 'GSB-2-57002', {
      standing: 'restricted',
    })
    expect((await outcome())?.reason).toMatchObject({ code: 'standing', standing: 'restricted' })
    const { proof, version } = await claimOf(desk, id, licenceId)
    expect(proof.proposed).toBe('confirmed with a note')
    const body = { version, decision: 'confirmed with a note', note: 'Not above 30 kV; the post has 10.' } as const
    await desk.done('decideClaim', { params: { id: licenceId }, body })
    expect((await outcome())?.state).toBe('met')
    enter('GSB-2-57002', ['Rea', 'Restricted'], details as never, { standing: 'suspended' })
    await lookUp()
    expect((await outcome())?.reason).toMatchObject({ code: 'standing', standing: 'suspended' })
    enter('GSB-2-57002', ['Rea', 'Restricted'], details as never, { standing: 'good' })
    await lookUp()
    expect((await outcome())?.state).toBe('met')
  })

  test('on terms: they are at the claim before and after somebody confirms it, and with its requirement', async () => {
    const { desk, id, licenceId, outcome, lookUp, details } = await licensed(['Tea', 'Terms'], 'GSB-2-57012', {
      ...{ standing: 'restricted', standingTerms: ['not at night', 'supervised', 'up to 30 kV', 'not above 2000 m'] },
    })
    const terms = { terms: ['supervised', 'not at night'], termsSaid: 'up to 30 kV; not above 2000 m' }
    expect((await outcome())?.reason).toMatchObject({ code: 'standing', ...terms })
    const { proof, version, restricted } = await claimOf(desk, id, licenceId)
    expect([proof.standing, restricted]).toMatchObject([terms, terms])
    expect(proof.sentence.head).toContain('Terms: only under supervision, not at night, up to 30 kV')
    const body = { version, decision: 'confirmed with a note', note: 'Days only, beside a supervisor.' } as const
    await desk.done('decideClaim', { params: { id: licenceId }, body })
    expect(await outcome()).toMatchObject({ state: 'met', reason: { code: 'restricted', ...terms } })
    expect((await claimOf(desk, id, licenceId)).restricted).toMatchObject(terms)
    const { words } = await desk.done('readFile', { params: { id } })
    const told = words[(await outcome())!.requirement]?.why
    expect(told).toContain('holds, restricted: only under supervision, not at night, up to 30 kV; not above 2000 m.')
    // What was lifted stands there no more.
    enter('GSB-2-57012', ['Tea', 'Terms'], details as never, { standing: 'good' })
    await lookUp()
    expect((await claimOf(desk, id, licenceId)).restricted).toBeNull()
    expect((await outcome())?.reason.code).not.toBe('restricted')
  })

  test('a word nobody agreed on is no answer, and never good', async () => {
    const { desk, id, licenceId } = await licensed(['Oda', 'Odd'], 'GSB-2-57003', { standing: 'dormant' })
    const { proof } = await claimOf(desk, id, licenceId)
    expect(proof).toMatchObject({ standing: null, enquiries: [{ channel: 'register', state: 'open' }] })
  })

  test('a source says it with its reply, of licences and certificates only', async () => {
    const { desk, id, licenceId, degreeId } = await licensed(['Lea', 'Link'], 'GSB-2-57004', {})
    await look(desk, id, degreeId)
    const reply = async (claimId: string, to: string) => {
      await desk.done('raiseEnquiry', { params: { id: claimId }, body: { applicationId: id } })
      await house.workOff()
      const token = tokenIn((await house.mailTo(to, 'Lea Link')).text, 'reply')
      const { claimed } = await house.visitor().done('readEnquiry', { params: { token } })
      const fields = Object.fromEntries(Object.keys(claimed).map((key) => [key, { says: 'agrees' as const }]))
      const standing = { state: 'revoked' as const, from: house.day(-3) }
      const body = { known: true, fields, standing, note: '', respondent: 'Some Body', capacity: '' }
      await house.visitor().done('replyToEnquiry', { params: { token }, body })
      return (await claimOf(desk, id, claimId)).proof
    }
    const [licence, degree] = [(await Enquiry.findOne({ where: { claimId: licenceId } }))!, degreeId]
    expect(licence.standing).toEqual({ state: 'good' })
    expect(await reply(licenceId, 'licences@gridboard.example')).toMatchObject({
      proposed: 'contradicted',
      standing: { state: 'revoked' },
    })
    expect(await reply(degree, 'pruefungsamt@tannberg.example')).toMatchObject({
      proposed: 'confirmed',
      standing: null,
    })
  })
})

test('a contradiction is not shaken off: not by a renewal, not by another claim, not by taking either back', async () => {
  const { candidate, desk, id, licenceId, outcome, details } = await licensed(['Ludo', 'Lie'], 'GSB-2-57005', {})
  await contradict(house, desk, id, licenceId, 'The card is another person’s.')
  const { version } = await claimOf(desk, id, licenceId)
  await candidate.done('renewCredential', {
    params: { id: licenceId },
    body: { version, number: 'GSB-2-57999', issued: house.day(-1), through: house.day(900) },
  })
  expect((await outcome())?.reason.code).toBe('contradicted')
  const renewed = await claimOf(desk, id, licenceId)
  expect(
    (await candidate.call('removeClaim', { params: { id: licenceId }, query: { version: String(renewed.version) } }))
      .body.code,
  ).toBe('in-use')
  const other = await candidate.done('addClaim', { body: { details: { ...details, number: 'GSB-2-57998' } as never } })
  const reasons = (await desk.done('readFile', { params: { id } })).outcomes
  expect(reasons.find(({ claims }) => claims.includes(other.id) || claims.includes(licenceId))?.reason.code).toBe(
    'contradicted',
  )
  await candidate.done('uploadDocument', {
    params: { id: other.id },
    query: { fileName: 'other.pdf' },
    body: await aPaper('other'),
  })
  await look(desk, id, other.id)
  enter('GSB-2-57998', ['Ludo', 'Lie'], details as never, {})
  await desk.done('askRegister', { params: { id: other.id }, body: { applicationId: id } })
  const honest = await claimOf(desk, id, other.id)
  await desk.done('decideClaim', {
    params: { id: other.id },
    body: { version: honest.version, decision: honest.proof.proposed!, note: 'Looked up.' },
  })
  const after = (await desk.done('readFile', { params: { id } })).outcomes
  expect(after.find(({ claims }) => claims.includes(other.id))?.state).toBe('met')
})

describe('when an application ends', () => {
  async function asked(name: [string, string]) {
    const candidate = await house.candidate(name.join(' '))
    const file = await applied(house, candidate, name)
    const desk = await house.staff('coordinator')
    await look(desk, file.id, file.degreeId)
    await desk.done('raiseEnquiry', { params: { id: file.degreeId }, body: { applicationId: file.id } })
    await candidate.done('nameVoucher', {
      params: { id: file.id },
      body: { name: 'Vera Voucher', mail: 'vera@vouch.test', relation: 'colleague' },
    })
    await house.workOff()
    const token = tokenIn((await house.mailTo('pruefungsamt@tannberg.example', name.join(' '))).text, 'reply')
    const vouching = /\/vouch\/([\w-]+)/.exec((await house.mailTo('vera@vouch.test', name.join(' '))).text)![1]!
    return { candidate, desk, ...file, token, vouching }
  }
  const shownBy = async (token: string) =>
    JSON.stringify(await house.visitor().done('readEnquiry', { params: { token } }))
  const nothing = async ({ token, vouching }: Awaited<ReturnType<typeof asked>>, name: string) => {
    const question = await shownBy(token)
    expect(JSON.parse(question)).toMatchObject({ state: 'withdrawn', candidate: '', claimed: {}, fields: [] })
    expect(question).not.toContain(name)
    const body = { known: false, fields: {}, note: '', respondent: 'Renate Amt', capacity: '' }
    expect((await house.visitor().call('replyToEnquiry', { params: { token }, body })).body.code).toBe('called-off')
    const vouched = await house.visitor().done('readVouching', { params: { token: vouching } })
    expect(vouched).toMatchObject({ state: 'called off', candidate: '' })
  }

  test('withdrawn, nobody is asked any more, by link, by reminder or anew', async () => {
    const file = await asked(['Wim', 'Withdrawn'])
    await file.candidate.done('withdraw', { params: { id: file.id } })
    await nothing(file, 'Withdrawn')
    expect((await claimOf(file.desk, file.id, file.degreeId)).rung).toBe('evidenced')
    const again = await file.desk.call('raiseEnquiry', {
      params: { id: file.degreeId },
      body: { applicationId: file.id },
    })
    expect([again.status, again.body.title]).toEqual([409, expect.stringContaining('has ended')])
  })

  test('turned down, the same', async () => {
    const file = await asked(['Tom', 'Turned'])
    const written = { english: { subject: 'Others', text: 'We go on with others.' }, german: null }
    await file.desk.done('turnDown', {
      body: { applications: [file.id], reason: 'Others fit better', written } as never,
    })
    await nothing(file, 'Turned')
  })

  test('erased, the same, though nothing of it is left', async () => {
    const file = await asked(['Eva', 'Erased'])
    await file.candidate.done('eraseMe', { body: { password: 'a-long-enough-secret', agreed: true } })
    await nothing(file, 'Erased')
  })

  test('what another application of the person waits for goes on as that one’s', async () => {
    const file = await asked(['Otto', 'Other'])
    const enquiry = (await Enquiry.findOne({ where: { claimId: file.degreeId } }))!
    const { id: second } = await file.candidate.done('beginApplication', { params: { slug: 'rope-access-inspector' } })
    const { Application } = await import('../records/applications/model')
    await Application.update({ stage: 'sent', rulesVersion: 1 }, { where: { id: second } })
    await file.candidate.done('withdraw', { params: { id: file.id } })
    await enquiry.reload()
    expect([enquiry.state, enquiry.applicationId]).toEqual(['open', second])
    await file.candidate.done('withdraw', { params: { id: second } })
    expect((await enquiry.reload()).state).toBe('withdrawn')
  })
})

describe('at the same moment', () => {
  test('two coordinators decide on one claim: one decision stands, and the other is told', async () => {
    for (let round = 0; round < 6; round += 1) {
      const number = `GSB-2-5810${round}`
      const { id, licenceId } = await licensed(['Dana', `Double${'abcdef'[round]}`], number, {})
      const desks = await Promise.all([house.staff('coordinator'), house.staff('coordinator')])
      const { version } = await claimOf(desks[0], id, licenceId)
      const statuses = await Promise.all(
        desks.map(async (desk, nth) => {
          const decision = (['confirmed', 'contradicted'] as const)[nth]!
          const body = { version, decision, note: nth === 0 ? '' : 'Another person’s.' }
          return (await desk.call('decideClaim', { params: { id: licenceId }, body })).status
        }),
      )
      expect([...statuses].sort()).toEqual([200, 409])
      const [findings, reviews] = await Promise.all([
        Finding.count({ where: { claimId: licenceId } }),
        ClaimReview.count({ where: { claimId: licenceId } }),
      ])
      expect(findings + reviews).toBe(1)
    }
  }, 60_000)

  test('one question is raised, one answer taken, one document seen', async () => {
    const candidate = await house.candidate('Sam Same')
    const { id, degreeId } = await applied(house, candidate, ['Sam', 'Same'])
    const desks = await Promise.all([1, 2, 3].map(() => house.staff('coordinator')))
    const { documents, proof } = await claimOf(desks[0]!, id, degreeId)
    const seeing = await Promise.all(
      desks.map((desk) =>
        desk.call('seeDocument', { params: { id: documents[0]!.id }, body: { version: 0, reads: proof.claimed } }),
      ),
    )
    expect(seeing.map(({ status }) => status).sort()).toEqual([200, 409, 409])
    const raising = await Promise.all(
      desks.map((desk) => desk.call('raiseEnquiry', { params: { id: degreeId }, body: { applicationId: id } })),
    )
    expect(raising.map(({ status }) => status).sort()).toEqual([200, 409, 409])
    expect(await Enquiry.count({ where: { claimId: degreeId } })).toBe(1)
    await house.workOff()
    const token = tokenIn((await house.mailTo('pruefungsamt@tannberg.example', 'Sam Same')).text, 'reply')
    const body = { known: false, fields: {}, note: '', respondent: 'Renate Amt', capacity: '' }
    const replies = await Promise.all(
      [1, 2, 3].map(() => house.visitor().call('replyToEnquiry', { params: { token }, body })),
    )
    expect(replies.map(({ status }) => status).sort()).toEqual([200, 410, 410])
  })
})
