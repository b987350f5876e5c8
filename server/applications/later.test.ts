import type { Visitor } from '../../test/client'
import { aDegree, applied, type House, look, openHouse, personAnswers } from '../../test/house'
import { Snapshot } from '../records/applications/model'

let house: House
beforeAll(async () => {
  house = await openHouse('later')
}, 60_000)
afterAll(() => house.close())

describe('a second application', () => {
  test('knows the person already, asks to confirm it once, and changes nothing of the first', async () => {
    const candidate = await house.candidate('Ilse Again')
    const first = await applied(house, candidate, ['Ilse', 'Again'])
    const sent = await Snapshot.findByPk(first.id, { rejectOnEmpty: true })
    const { id } = await candidate.done('beginApplication', { params: { slug: 'cableway-mechanic' } })
    const read = () => candidate.done('readDraft', { params: { id } })
    const draft = await read()
    expect(draft.answers).toMatchObject({ 'about.familyName': 'Again', 'declare.dismissed': 'no' })
    expect(draft.claims).toHaveLength(2)
    expect(Object.keys(draft.takenOver)).toContain('about.born')
    expect(Date.parse(draft.takenOver['about.born']!)).toBeLessThan(Date.parse(draft.begunAt))
    const toConfirm = (left: { title: string }[]) =>
      left.filter(({ title }) => title.endsWith('what we have from before')).map(({ title }) => title.split(':')[0])
    expect(toConfirm(draft.left)).toEqual(['About you', 'Contact', 'Declarations'])

    await candidate.done('confirmSection', { params: { id, section: 'about' } })
    const { version } = await read()
    const { left } = await candidate.done('saveAnswers', {
      params: { id },
      body: { version, changes: { 'contact.phone': '+43 512 555 0199' } },
    })
    expect(toConfirm(left)).toEqual(['Contact', 'Declarations'])
    expect(Object.keys((await read()).takenOver)).not.toContain('contact.phone')

    await candidate.done('confirmSection', { params: { id, section: 'contact' } })
    await candidate.done('confirmSection', { params: { id, section: 'work' } })
    expect(toConfirm((await read()).left)).toEqual(['Declarations'])
    expect((await read()).claims.map(({ saidAt }) => Date.parse(saidAt) > Date.parse(draft.begunAt))).toEqual(
      expect.arrayContaining([true, false]),
    )
    expect((await Snapshot.findByPk(first.id, { rejectOnEmpty: true })).sha256).toBe(sent.sha256)
    expect((await candidate.call('confirmSection', { params: { id: first.id, section: 'about' } })).status).toBe(409)
    expect((await candidate.call('confirmSection', { params: { id, section: 'nowhere' } })).status).toBe(404)
  })
})

describe('after sending', () => {
  const save = async (candidate: Visitor, id: string, changes: Record<string, string>) =>
    candidate.call('saveAnswers', {
      params: { id },
      body: { version: (await candidate.done('readDraft', { params: { id } })).version, changes },
    })

  test('contact details can be corrected at any time, and the desk sees what was different', async () => {
    const candidate = await house.candidate('Moved House')
    const { id } = await applied(house, candidate, ['Moved', 'House'])
    expect((await save(candidate, id, { 'contact.phone': '+43 512 555 0177' })).status).toBe(200)
    expect((await save(candidate, id, { 'about.givenNames': 'Else' })).body.code).toBe('already-sent')
    const status = await candidate.done('readStatus', { params: { id } })
    expect(status.contact.answers['contact.phone']).toBe('+43 512 555 0177')
    expect(status.happenings.map(({ text }) => text)).toContain('You corrected your contact details.')
    const desk = await house.staff('coordinator')
    const file = await desk.done('readFile', { params: { id } })
    expect(file.changes).toEqual([
      { label: 'Phone', before: personAnswers('Moved', 'House')['contact.phone'], after: '+43 512 555 0177' },
    ])
  })

  test('what is opened again can be changed, and nothing else, until it is said to be done', async () => {
    const candidate = await house.candidate('Second Thought')
    const { id } = await applied(house, candidate, ['Second', 'Thought'])
    const desk = await house.staff('coordinator')
    const reopen = (over: object = {}) =>
      desk.call('reopenPart', {
        params: { id },
        body: {
          section: 'declarations',
          question: 'declare.withdrawn',
          reason: 'Your licensing body tells us of a suspension.',
          dueOn: house.day(5),
          ...over,
        },
      })
    expect((await reopen({ section: 'permission', question: null })).body.faults?.[0]?.pointer).toBe('/body/section')
    expect((await reopen({ question: 'about.born' })).body.faults?.[0]?.pointer).toBe('/body/question')
    expect((await reopen({ dueOn: house.day(-1) })).body.faults?.[0]?.pointer).toBe('/body/dueOn')
    expect((await reopen()).status).toBe(200)
    expect((await reopen({ question: null })).body.code).toBe('already-open')
    expect((await house.mailTo(candidate.mail, 'Please change')).text).toContain('tells us of a suspension')

    const [part] = (await candidate.done('readDraft', { params: { id } })).reopened
    expect(part).toMatchObject({ section: 'declarations', question: 'declare.withdrawn', state: 'open' })
    expect((await candidate.done('readStatus', { params: { id } })).toDo[0]).toMatchObject({
      act: 'go',
      target: 'declarations',
    })
    expect((await save(candidate, id, { 'declare.dismissed': 'yes' })).body.code).toBe('already-sent')
    expect((await save(candidate, id, { 'declare.withdrawn': 'yes' })).status).toBe(200)
    expect((await save(candidate, id, { 'declare.withdrawn.because': 'One month in 2021.' })).status).toBe(200)
    await candidate.done('finishReopened', { params: { id, reopening: part!.id } })
    expect((await save(candidate, id, { 'declare.withdrawn': 'no' })).body.code).toBe('already-sent')

    const queue = await desk.done('readQueue', { params: { queue: 'today' } })
    expect(queue.people.find((row) => row.id === id)?.why).toBe('Has changed what you asked for')
    const seen = (await desk.done('readFile', { params: { id } })).reopened[0]!
    expect(seen).toMatchObject({
      state: 'changed',
      differences: [{ before: 'No', after: 'Yes: One month in 2021.' }],
    })
    await desk.done('settleReopened', { params: { id, reopening: part!.id } })
    expect((await desk.call('settleReopened', { params: { id, reopening: part!.id } })).status).toBe(409)
    const other = await house.candidate('Some Body')
    expect((await other.call('finishReopened', { params: { id, reopening: part!.id } })).status).toBe(404)
  })

  test('a section of claims is opened again: also what a source was asked about can be corrected, and what differs is seen', async () => {
    const candidate = await house.candidate('Wrong Number')
    const { id, degreeId } = await applied(house, candidate, ['Wrong', 'Number'])
    const desk = await house.staff('coordinator')
    await look(desk, id, degreeId, { number: 'TB-2018-9034' })
    await desk.done('raiseEnquiry', { params: { id: degreeId }, body: { applicationId: id } })
    const draft = async () => candidate.done('readDraft', { params: { id } })
    const claim = async () => (await draft()).claims.find((own) => own.id === degreeId)!
    const correct = async () => {
      const { version } = await claim()
      return candidate.call('changeClaim', {
        params: { id: degreeId },
        body: { version, details: aDegree(house, { number: 'TB-2018-9043' }) },
      })
    }
    expect((await correct()).body.code).toBe('already-asked')

    const body = { section: 'study', question: null, reason: 'The number is not known there.', dueOn: house.day(5) }
    await desk.done('reopenPart', { params: { id }, body })
    expect((await desk.call('reopenPart', { params: { id }, body })).body.code).toBe('already-open')
    expect((await correct()).status).toBe(200)
    expect(await claim()).toMatchObject({ rung: 'claimed', credentialVersion: 2, documents: [{ state: 'to look at' }] })
    expect((await claim()).earlier).toMatchObject([{ rung: 'asked', details: { number: 'TB-2018-9034' } }])
    const another = await candidate.done('addClaim', {
      body: { details: aDegree(house, { award: 'BSc', number: 'TB-2015-1', from: '2012-10', to: '2015-07' }) },
    })
    const [part] = (await draft()).reopened
    await candidate.done('finishReopened', { params: { id, reopening: part!.id } })
    const seen = (await desk.done('readFile', { params: { id } })).reopened[0]!
    expect(seen.differences).toEqual([
      { label: 'MSc Electrical Engineering: Number', before: 'TB-2018-9034', after: 'TB-2018-9043' },
      { label: another.label, before: 'nothing', after: expect.stringContaining('TB-2015-1') },
    ])
  })
})
