import { PDFDocument, StandardFonts } from 'pdf-lib'
import type { SourceGiven } from '#contract/sources'
import { releaseForm } from '#scenario/sources/releaseForm'
import type { Visitor } from '../../test/client'
import { aDegree, aJob, aPaper, claimOf, type House, look, openHouse, personAnswers, until } from '../../test/house'
import { textOf } from '../../test/pdfText'
import { aContact, aSource } from '../../test/source'
import { tellOfMissed } from '../incoming/tray/tellOfMissed'
import { depsNow } from '../platform/clock'
import { CoverSheet } from '../records/tray/model'

let house: House
let desk: Visitor
let admin: Visitor
beforeAll(async () => {
  house = await openHouse('source_papers')
  desk = await house.staff('coordinator')
  admin = await house.staff('administrator')
}, 120_000)
afterAll(() => house.close())

type Condition = SourceGiven['conditions'][number]
const condition = (over: Partial<Condition> = {}): Condition => ({
  ...{ id: crypto.randomUUID(), kind: 'own form', claims: ['study'], reason: 'They answer on their form only.' },
  ...over,
})

/** A source with what it asks for, checked by a second person. */
async function source(
  name: string,
  conditions: Condition[],
  mail = `${crypto.randomUUID().slice(0, 8)}@lumira.example`,
) {
  const contact = aContact({ mail })
  const given = aSource({ name, kind: 'university', country: 'IT', contacts: [contact], conditions })
  const id = crypto.randomUUID()
  await desk.done('saveSource', { params: { id }, body: { version: 0, source: given } })
  const how = { [contact.id]: 'own website' as const }
  await admin.done('checkSource', { params: { id }, body: { version: 1, how } })
  return { id, name, mail, given }
}

async function form() {
  const kept = await desk.done('uploadSourceForm', {
    query: { fileName: 'Autorizzazione.pdf' },
    body: await releaseForm('Politecnico di Prova'),
  })
  const fill = {
    surname: 'family name',
    given_names: 'given names',
    date_of_birth: 'born',
    released_to: 'house',
  } as const
  return {
    kept,
    form: { sha256: kept.sha256, fileName: kept.fileName, fill: { ...fill, matriculation: 'number' as const } },
  }
}

/** An application that is written but for what its source asks for. */
async function written(
  name: [string, string],
  { id: sourceId, name: sourceName }: { id: string; name: string },
  more = {},
) {
  const candidate = await house.candidate(name.join(' '))
  const { id } = await candidate.done('beginApplication', { params: { slug: 'cableway-electrical-supervisor' } })
  await candidate.done('saveAnswers', { params: { id }, body: { version: 0, changes: personAnswers(...name) } })
  const details = { ...aDegree(house), sourceId, sourceName, ...more }
  const { id: degreeId } = await candidate.done('addClaim', { body: { details: details as never } })
  const give = async (
    fileName: string,
    part: 'certificate' | 'release form' | 'signed permission' | 'receipt of payment',
  ) =>
    candidate.done('uploadDocument', {
      params: { id: degreeId },
      query: { fileName, part },
      body: await aPaper(`${fileName} ${crypto.randomUUID()}`),
    })
  await give('Degree.pdf', 'certificate')
  await candidate.done('addClaim', { body: { details: aJob(house) } })
  const signature = { fullName: name.join(' '), password: 'a-long-enough-secret', agreed: true as const }
  await candidate.done('signPermission', { params: { id }, body: signature })
  const draft = () => candidate.done('readDraft', { params: { id } })
  const send = async () =>
    candidate.call('sendApplication', { params: { id }, body: { version: (await draft()).version } })
  const previewed = () => desk.done('previewEnquiry', { params: { id: degreeId }, query: { applicationId: id } })
  const ask = () => desk.call('raiseEnquiry', { params: { id: degreeId }, body: { applicationId: id } })
  const paper = (one: string, query = '') =>
    candidate.request(`/api/my/applications/${id}/claims/${degreeId}/conditions/${one}/form.pdf${query}`)
  const status = () => candidate.done('readStatus', { params: { id } })
  return { candidate, id, degreeId, give, draft, send, previewed, ask, paper, status }
}

test('a source’s own form is asked for before sending, filled from the file, and looked at before anybody is asked', async () => {
  const { kept, form: own } = await form()
  expect(kept).toMatchObject({ pages: 1, fields: expect.arrayContaining(['surname', 'matriculation']) })
  const one = condition({ form: own })
  const lumira = await source('Politecnico di Prova', [one])
  const { degreeId, give, draft, send, previewed, ask, paper, id } = await written(['Žofia', 'Łęcka'], lumira)

  const { askedBySources, left } = await draft()
  expect(askedBySources).toMatchObject([
    { kind: 'own form', state: 'missing', because: 'They answer on their form only.' },
  ])
  expect(left).toEqual([
    {
      section: 'study',
      title: 'Politecnico di Prova: release form',
      why: expect.stringContaining('before it answers. They answer on their form only.'),
    },
  ])
  expect(await send()).toMatchObject({ status: 409, body: { code: 'not-complete' } })

  // Letters that are rare come from a font of their own, and are read as a word of their own.
  const close = (text: string) => text.replace(/\s/g, '')
  const printed = close(await textOf(await (await paper(one.id)).arrayBuffer()))
  for (const filled of ['Łęcka', 'Žofia', 'TB-2018-9034', house.deps.organisation.name])
    expect(printed).toContain(close(filled))

  await give('Release.pdf', 'release form')
  expect((await draft()).left).toEqual([])
  expect((await send()).status).toBe(200)
  // The form is no paper that shows the degree, and the degree no form.
  expect((await previewed()).lacks).toHaveLength(2)
  const claim = await claimOf(desk, id, degreeId)
  const release = claim.documents.find(({ part }) => part === 'release form')!
  await look(desk, id, degreeId)
  expect((await previewed()).lacks).toEqual(['Look at the signature first: nobody has yet.'])
  await desk.done('seeDocument', { params: { id: release.id }, body: { version: release.version, reads: {} } })
  const { lacks, encloses } = await previewed()
  expect([lacks, encloses.at(-1)]).toEqual([[], 'Release.pdf'])
  // What was read off the degree stands; the form was seen later and says nothing.
  const { fields } = (await claimOf(desk, id, degreeId)).proof.comparison
  expect(fields.map(({ byDocument }) => byDocument.verdict)).toEqual(fields.map(() => 'same'))
  expect((await ask()).status).toBe(200)
  await house.workOff()
  expect((await house.mailTo(lumira.mail)).attachments).toHaveLength(2)
}, 60_000)

test('of whoever sends the form back and whoever asks at that moment only one does', async () => {
  const lumira = await source('Accademia Due', [condition({ form: (await form()).form })])
  const { degreeId, give, send, ask, id } = await written(['Dora', 'Due'], lumira)
  await give('Release.pdf', 'release form')
  await send()
  await look(desk, id, degreeId)
  const release = (await claimOf(desk, id, degreeId)).documents.find(({ part }) => part === 'release form')!
  await desk.done('seeDocument', { params: { id: release.id }, body: { version: release.version, reads: {} } })
  const [asked, back] = await Promise.all([
    ask(),
    desk.call('sendDocumentBack', {
      params: { id: release.id },
      body: { version: release.version + 1, reason: 'This is typed, not signed by hand' },
    }),
  ])
  expect([asked.status, back.status].filter((status) => status === 200)).toHaveLength(1)
  const { rung, documents } = await claimOf(desk, id, degreeId)
  const state = documents.find(({ part }) => part === 'release form')!.state
  expect([rung, state]).toEqual(asked.status === 200 ? ['asked', 'seen'] : ['evidenced', 'sent back'])
}, 60_000)

test('posted with its cover sheet it counts as under way, is filed when it comes, and missed when it does not', async () => {
  const one = condition({ kind: 'signature', reason: 'They compare it with the one of enrolment.' })
  const arlac = await source('Istituto Arlac', [one])
  const { candidate, id, degreeId, draft, send, paper, status } = await written(['Pia', 'Posted'], arlac)
  const params = { id, claim: degreeId, condition: one.id }
  const both = await Promise.all([1, 2].map(() => candidate.call('makeSourceSheet', { params })))
  const numbers = both.map(({ body }) => body.sheets[0]!.number)
  expect(numbers[0]).toBe(numbers[1])
  const sheet = String(numbers[0])
  const bytes = Buffer.from(await (await paper(one.id, `?sheet=${sheet}`)).arrayBuffer())
  const pages = (await PDFDocument.load(bytes)).getPageCount()
  const said = await textOf(Uint8Array.from(bytes).buffer)
  for (const text of ['Istituto Arlac', 'Signature, by hand', 'Pia Posted']) expect(said).toContain(text)

  expect((await draft()).askedBySources[0]!.state).toBe('missing')
  await candidate.done('sayPosted', { params: { number: sheet } })
  expect((await draft()).askedBySources[0]!.state).toBe('in the post')
  expect((await send()).status).toBe(200)

  const longAgo = new Date(Date.now() - 20 * 86_400_000)
  await CoverSheet.update({ postedAt: longAgo }, { where: { number: Number(sheet) } })
  const { toDo, askedBySources } = await status()
  expect(askedBySources[0]!.state).toBe('not come')
  expect(toDo.map(({ act, title }) => [act, title])).toContainEqual([
    'source paper',
    'Istituto Arlac: signature by hand',
  ])

  // They are told once.
  for (const _ of [1, 2]) expect(await tellOfMissed(await depsNow(house.fixed))).toBe(0)
  expect((await house.mailTo(candidate.mail, 'Not here')).text).toContain('send it again, or photograph it')
  await house.workOff()
  expect(house.mailbox.mails.filter(({ subject }) => subject.startsWith('Not here'))).toHaveLength(1)

  expect(pages).toBe(2)
  await house.scan(bytes)
  await until(async () => (await status()).askedBySources[0]!.state === 'to look at')
  const stranger = await house.candidate('Stan Stranger')
  expect((await stranger.call('sayPosted', { params: { number: sheet } })).status).toBe(404)
}, 120_000)

test('whoever sent before a source asked for more is told, has it to do, and can do it', async () => {
  const arlac = await source('Scuola Tarda', [])
  const { candidate, id, degreeId, send, status, previewed } = await written(['Lea', 'Later'], arlac, { number: '' })
  expect((await send()).status).toBe(200)
  const conditions = [
    condition({ kind: 'number', reason: 'They find people by it only.' }),
    condition({ kind: 'copy of the paper', reason: '' }),
  ]
  const { version } = await desk.done('readSource', { params: { id: arlac.id } })
  await desk.done('saveSource', { params: { id: arlac.id }, body: { version, source: { ...arlac.given, conditions } } })
  const mail = await house.mailTo(candidate.mail, 'Scuola Tarda')
  expect(mail.text).toContain('it asks for: the number.')
  const asked = async () => (await status()).toDo.filter(({ act }) => act === 'source paper').map(({ title }) => title)
  expect(await asked()).toEqual(['Scuola Tarda: number'])
  expect((await previewed()).lacks).toContain('This source asks for the number before it answers; it is not there yet.')
  // It is no reason to keep them from the short list.
  const { outcomes } = await desk.done('readFile', { params: { id } })
  expect(outcomes.find(({ title }) => title === 'Scuola Tarda')!.gate).toBe('start')

  const claim = (await status()).claims.find((own) => own.id === degreeId)!
  await candidate.done('changeClaim', {
    params: { id: degreeId },
    body: { version: claim.version, details: { ...claim.details, number: 'ST-1' } as never },
  })
  expect(await asked()).toEqual([])
}, 60_000)

test('a candidate who does not want it asked gives nothing for it', async () => {
  const arlac = await source('Scuola Vietata', [condition({ kind: 'signature', reason: '' })])
  const { candidate, degreeId, draft, send } = await written(['Nora', 'Never'], arlac)
  const claim = (await draft()).claims.find(({ id }) => id === degreeId)!
  await candidate.done('setAsking', {
    params: { id: degreeId },
    body: { version: claim.version, mayAsk: 'never', because: 'We parted in anger' },
  })
  expect((await draft()).askedBySources).toEqual([])
  expect((await send()).status).toBe(200)
})

describe('a form', () => {
  const upload = (bytes: Buffer, who = desk) =>
    who.call('uploadSourceForm', { query: { fileName: 'Form.pdf' }, body: bytes })

  test('is a PDF, kept once; and a condition takes no other file of the house for one', async () => {
    const picture = Buffer.from('89504e470d0a1a0a', 'hex')
    expect((await upload(picture)).status).toBe(422)
    const bytes = await releaseForm('Istituto')
    const both = await Promise.all([upload(bytes), upload(bytes)])
    expect(both.map(({ body }) => body.sha256)).toEqual([both[0]!.body.sha256, both[0]!.body.sha256])
    const other = { sha256: 'a'.repeat(64), fileName: 'Passport.pdf', fill: {} }
    const refused = await desk.call('saveSource', {
      params: { id: crypto.randomUUID() },
      body: { version: 0, source: aSource({ conditions: [condition({ form: other })] }) },
    })
    expect(refused.body.faults?.map(({ pointer }) => pointer)).toEqual(['/body/source/conditions/0/form'])
    expect((await desk.request(`/api/desk/source-forms/${other.sha256}`)).status).toBe(404)
    const tried = await desk.request(`/api/desk/source-forms/${both[0]!.body.sha256}?tried=yes`)
    expect(await textOf(await tried.arrayBuffer())).toContain('date_of_birth')
    expect((await upload(bytes, await house.candidate('Carl Candidate'))).status).toBe(403)
  })

  test('read in from a file it is the same; one that is not here is left out, and the row says so', async () => {
    const { form: own } = await form()
    const { id, given } = await source('Scuola Portata', [condition({ form: own })])
    const bring = (conditions: unknown) =>
      desk.done('importSources', {
        query: { fileName: 'sources.json', dry: 'no' },
        body: Buffer.from(JSON.stringify([{ id, ...given, conditions }])),
      })
    const { rows } = await bring(given.conditions)
    expect(rows).toMatchObject([{ becomes: 'same', message: '' }])
    const foreign = [{ ...given.conditions[0]!, form: { ...own, sha256: 'c'.repeat(64) } }]
    expect((await bring(foreign)).rows).toMatchObject([
      { becomes: 'changed', message: 'Its own form is a file of its own: add it again.' },
    ])
    const [left] = (await desk.done('readSource', { params: { id } })).source.conditions
    expect(left).toMatchObject({ kind: 'own form' })
    expect(left).not.toHaveProperty('form')
  })

  test('without fields is printed as it is; without the form nobody is asked for it, and the desk is told', async () => {
    const plain = await PDFDocument.create()
    plain.addPage().drawText('Fill in by hand', { font: await plain.embedFont(StandardFonts.Helvetica) })
    const kept = (await upload(Buffer.from(await plain.save()))).body
    expect(kept.fields).toEqual([])
    const one = condition({ form: { sha256: kept.sha256, fileName: 'Form.pdf', fill: {} } })
    const without = condition()
    const absent = await source('Scuola Assente', [without])
    const file = await written(['Olga', 'Own'], await source('Scuola Presente', [one]))
    expect(await textOf(await (await file.paper(one.id)).arrayBuffer())).toContain('Fill in by hand')
    const other = await written(['Omar', 'Own'], absent)
    expect((await other.paper(without.id)).status).toBe(404)
    expect((await other.send()).status).toBe(200)
    expect((await other.previewed()).lacks.join()).toContain('the form is not here yet')
  }, 60_000)
})
