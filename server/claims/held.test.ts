import type { ClaimDetails } from '#contract/claims'
import type { EnquiryReply } from '#contract/reply'
import type { Visitor } from '../../test/client'
import { aDegree, aPaper, aPermit, applied, claimOf, type House, look, openHouse, tokenIn } from '../../test/house'

let house: House
beforeAll(async () => {
  house = await openHouse('held')
}, 60_000)
afterAll(() => house.close())

const upload = async (candidate: Visitor, claimId: string, line: string) =>
  candidate.done('uploadDocument', {
    params: { id: claimId },
    query: { fileName: `${line}.pdf` },
    body: await aPaper(line),
  })

/** Has the source of a claim asked, which answers as it is told; gives the claim as the desk sees it. */
async function confirmedBy(
  file: { id: string; desk: Visitor; mail: string; about: string },
  claimId: string,
  says: EnquiryReply['fields'] = {},
) {
  const { desk, id } = file
  await desk.done('raiseEnquiry', { params: { id: claimId }, body: { applicationId: id } })
  await house.workOff()
  const token = tokenIn((await house.mailTo(file.mail, file.about)).text, 'reply')
  const source = house.visitor()
  const { claimed, fields } = await source.done('readEnquiry', { params: { token } })
  const agreed = Object.fromEntries(Object.keys(claimed).map((key) => [key, { says: 'agrees' as const }]))
  await source.done('replyToEnquiry', {
    params: { token },
    body: {
      ...{ known: true, note: '', respondent: 'Resi Amt', capacity: 'Office', fields: { ...agreed, ...says } },
      ...(fields.some(({ key }) => key === 'amount') ? { standing: { state: 'good' as const } } : {}),
    },
  })
  return { claimed, claim: await claimOf(desk, id, claimId) }
}

const cover = (sum: string): ClaimDetails => ({
  ...(aPermit(house, 'guide-insurance', 'cover', 'P-1', '2026-12-31') as Extract<ClaimDetails, { credential: string }>),
  issued: '2026-01-10',
  fields: { 'sum-insured': sum },
})

test('the insurer is asked for the sum, and an answer of another sum contradicts', async () => {
  const candidate = await house.candidate('Cora Cover')
  const file = { ...(await applied(house, candidate, ['Cora', 'Cover'])), desk: await house.staff('coordinator') }
  const { id: claimId } = await candidate.done('addClaim', { body: { details: cover('250000000') } })
  await upload(candidate, claimId, 'Cover of Cora')
  await look(file.desk, file.id, claimId)
  const { claimed, claim } = await confirmedBy({ ...file, mail: 'cover@gratwacht.example', about: 'Cover' }, claimId, {
    amount: { says: 'differs', value: '2,500 EUR' },
  })
  expect(claimed.amount).toBe('2500000.00 EUR')
  expect(claim.proof.comparison).toMatchObject({ outcome: 'contradicts' })
  expect(claim.proof.fields.map(({ key }) => key)).toContain('amount')
  // What asks for no money is not compared by it.
  const other = await candidate.done('addClaim', {
    body: { details: aPermit(house, 'first-aid', 'aid', 'FH-10001', '2027-10-01') },
  })
  expect((await claimOf(file.desk, file.id, other.id)).proof.fields.map(({ key }) => key)).not.toContain('amount')
})

test('cover that was raised before it ends is a renewal, the same again is not', async () => {
  const candidate = await house.candidate('Rhea Raised')
  const claim = await candidate.done('addClaim', { body: { details: cover('100000000') } })
  const renew = (version: number, sum: string) =>
    candidate.call('renewCredential', {
      params: { id: claim.id },
      body: { version, number: 'P-1', issued: '2026-01-10', through: '2026-12-31', fields: { 'sum-insured': sum } },
    })
  expect((await renew(claim.version, '100000000')).status).toBe(422)
  expect((await renew(claim.version, '250000000')).body).toMatchObject({
    details: { fields: { 'sum-insured': '250000000' } },
  })
})

describe('what is given in steps', () => {
  const dose = (steps: string[]): ClaimDetails => ({
    ...{ kind: 'certificate', credential: 'tick-vaccination', sourceId: null, sourceName: 'Valley practice' },
    ...{ number: '', issued: '2020-01-01', through: '2050-01-01', steps },
  })

  test('has the days of its steps, whatever else was said, and each too soon or to come is refused', async () => {
    const candidate = await house.candidate('Dora Dose')
    const add = (steps: string[]) => candidate.call('addClaim', { body: { details: dose(steps) } })
    const faultsOf = async (steps: string[]) =>
      ((await add(steps)).body as unknown as { faults: { pointer: string }[] }).faults.map(({ pointer }) => pointer)
    expect(await faultsOf([])).toEqual(['/body/details/steps'])
    expect(await faultsOf(['2026-02-02', '2026-02-20'])).toEqual(['/body/details/steps/1'])
    expect(await faultsOf(['2030-02-02'])).toEqual(['/body/details/steps/0'])
    const { body } = await add(['2026-03-05', '2026-02-02'])
    expect(body.details).toMatchObject({
      steps: ['2026-02-02', '2026-03-05'],
      issued: '2026-02-02',
      through: '2029-03-05',
    })
    const steps = ['2026-02-02', '2026-03-05', '2026-10-01']
    const renewed = await candidate.done('renewCredential', {
      params: { id: body.id },
      body: { version: body.version, number: '', issued: '2026-02-02', through: 'does not expire', steps },
    })
    expect(renewed.details).toMatchObject({ steps, through: '2029-10-01' })
  })

  test('and is read only by whom health is read', async () => {
    const candidate = await house.candidate('Hedy Health')
    const { id } = await applied(house, candidate, ['Hedy', 'Health'])
    const { id: claimId } = await candidate.done('addClaim', { body: { details: dose(['2026-02-02', '2026-03-05']) } })
    const seen = async (role: 'medical' | 'auditor') => {
      const { claims } = await (await house.staff(role)).done('readFile', { params: { id } })
      return JSON.stringify(claims.find((claim) => claim.id === claimId))
    }
    // When the next is due is planned by; what was given is nobody else’s.
    for (const day of ['2026-02-02', '2026-03-05']) expect(await seen('auditor')).not.toContain(day)
    expect(await seen('auditor')).toContain('2029-03-05')
    expect(await seen('medical')).toContain('2026-03-05')
  })
})

test('a language is one of the catalogue, and its certifier is asked', async () => {
  const candidate = await house.candidate('Lena Language')
  const file = { ...(await applied(house, candidate, ['Lena', 'Language'])), desk: await house.staff('coordinator') }
  const german = (over: object = {}): ClaimDetails => ({
    ...{ kind: 'language', ...house.source('heights'), language: 'de', level: 'C1', number: 'S-77' },
    ...{ issued: '2025-05-02', through: 'does not expire' },
    ...over,
  })
  expect((await candidate.call('addClaim', { body: { details: german({ language: 'xx' }) } })).status).toBe(422)
  const { id: claimId, label } = await candidate.done('addClaim', { body: { details: german() } })
  expect(label).toBe('German, C1')
  await upload(candidate, claimId, 'German of Lena')
  await look(file.desk, file.id, claimId)
  const about = { ...file, mail: 'certificates@hoehenwerk.example', about: 'Language' }
  const { claimed, claim } = await confirmedBy(about, claimId)
  expect(claimed).toMatchObject({ title: 'German C1', number: 'S-77', issued: '2025-05-02' })
  expect(claim.proof.comparison.outcome).toBe('agrees')
})

test('whoever vouches for a paper is named with the paper it is of, and asked like a source', async () => {
  const candidate = await house.candidate('Nora Notary')
  const file = { ...(await applied(house, candidate, ['Nora', 'Notary'])), desk: await house.staff('coordinator') }
  const attested = (over: object = {}): ClaimDetails => ({
    ...{
      kind: 'attestation',
      ...house.source('heights'),
      form: 'certified copy',
      capacity: 'Notary',
      on: '2026-11-02',
    },
    ...{ number: 'N 12/26', of: file.degreeId, title: 'MSc Electrical Engineering' },
    ...over,
  })
  const stranger = await house.candidate('Silva Stranger')
  const { id: theirs } = await stranger.done('addClaim', { body: { details: aDegree(house) } })
  for (const wrong of [{ of: theirs }, { capacity: ' ' }, { on: '' }, { sourceId: null, sourceName: '' }])
    expect((await candidate.call('addClaim', { body: { details: attested(wrong) } })).status).toBe(422)
  const { id: claimId } = await candidate.done('addClaim', { body: { details: attested() } })
  await upload(candidate, claimId, 'Certified copy of Nora')
  await look(file.desk, file.id, claimId)
  const about = { ...file, mail: 'certificates@hoehenwerk.example', about: 'Notary' }
  const { claimed, claim } = await confirmedBy(about, claimId)
  expect(claimed).toMatchObject({ title: 'certified copy: MSc Electrical Engineering', number: 'N 12/26' })
  expect(claim.label).toBe('Certified copy: MSc Electrical Engineering')
  expect(claim.proof.comparison.outcome).toBe('agrees')
})

describe('whoever vouches for a paper', () => {
  const vouched = (of: string): ClaimDetails => ({
    ...{ kind: 'attestation', sourceId: null, sourceName: 'Notary Lind', form: 'certified copy', capacity: 'Notary' },
    ...{ on: '2026-11-02', number: 'N 99/26', of, title: 'It' },
  })

  test('is as hidden as that paper, whatever was said of it', async () => {
    const candidate = await house.candidate('Hilde Hidden')
    const { id, degreeId } = await applied(house, candidate, ['Hilde', 'Hidden'])
    const { id: of } = await candidate.done('addClaim', {
      body: { details: aPermit(house, 'medical', 'medical', 'VOH-7001', '2027-06-01') },
    })
    const { id: claimId } = await candidate.done('addClaim', {
      body: { details: { ...vouched(of), paper: { kind: 'study' } } as ClaimDetails },
    })
    const copy = await upload(candidate, claimId, 'Certified findings')
    const bytesFor = async (role: 'medical' | 'auditor') =>
      (await (await house.staff(role)).request(`/api/documents/${copy.id}/bytes`)).status
    expect(await bytesFor('auditor')).not.toBe(200)
    expect(await bytesFor('medical')).toBe(200)
    const { claims } = await (await house.staff('auditor')).done('readFile', { params: { id } })
    const papersOf = (of: string) => claims.find((claim) => claim.id === of)!.documents
    expect([papersOf(claimId).length, papersOf(degreeId).length]).toEqual([0, 1])
  })

  test('goes with the claim it is of, and keeps it once it was worked on; nobody vouches for a vouching', async () => {
    const candidate = await house.candidate('Olga Orphan')
    const { id } = await applied(house, candidate, ['Olga', 'Orphan'])
    const pair = async (number: string) => {
      const original = await candidate.done('addClaim', {
        body: { details: aPermit(house, 'first-aid', 'aid', number, '2027-06-01') },
      })
      return { original, vouching: await candidate.done('addClaim', { body: { details: vouched(original.id) } }) }
    }
    const remove = ({ id: claimId, version }: { id: string; version: number }) =>
      candidate.call('removeClaim', { params: { id: claimId }, query: { version: String(version) } })
    const loose = await pair('FH-20001')
    expect((await candidate.call('addClaim', { body: { details: vouched(loose.vouching.id) } })).status).toBe(422)
    expect((await remove(loose.original)).status).toBe(200)
    expect(
      (
        await candidate.call('changeClaim', {
          params: { id: loose.vouching.id },
          body: { version: loose.vouching.version, details: vouched(loose.original.id) },
        })
      ).status,
    ).toBe(404)
    const kept = await pair('FH-20002')
    await upload(candidate, kept.vouching.id, 'Copy of Olga')
    await look(await house.staff('coordinator'), id, kept.vouching.id)
    expect((await remove(kept.original)).status).toBe(409)
  })
})
