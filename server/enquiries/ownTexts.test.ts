import { askAbout, checkedSource, claimedOf, enquiryAbout, runDailyIn } from '../../test/asking'
import type { Visitor } from '../../test/client'
import { type House, openHouse } from '../../test/house'
import { textOf } from '../../test/pdfText'
import { aContact } from '../../test/source'
import { OwnSourceText } from '../records/messages/prepared'

let house: House
let desk: Visitor
beforeAll(async () => {
  house = await openHouse('source_texts')
  desk = await house.staff('coordinator')
}, 120_000)
afterAll(() => house.close())

type Name = Parameters<typeof write>[0]
const write = (
  name: 'mail.enquiry.work' | 'mail.enquiryReminder' | 'letter.text.work',
  language: 'en' | 'de' | 'fr' | 'it',
  text: string,
  { subject = 'Frage zu {{candidate}}', version = 0, key = undefined as string | undefined } = {},
) => desk.call('saveSourceText', { params: { name, language }, body: { version, subject, text }, key })
const readOne = async (name: Name, language: string) =>
  (await desk.done('listSourceTexts')).find((text) => text.name === name && text.language === language)!

test('a question and its reminder go out in the words of the house, in the language of the source; every other in ours', async () => {
  expect(
    (await write('mail.enquiry.work', 'de', 'Hat {{candidate}} bei Ihnen gearbeitet ({{claim}})?\n{{link}}')).status,
  ).toBe(200)
  expect((await write('mail.enquiryReminder', 'de', 'Noch einmal: {{link}}')).status).toBe(200)
  const [austrian, french] = [
    await checkedSource(house, { country: 'AT' }),
    await checkedSource(house, { country: 'FR' }),
  ]
  const file = await claimedOf(house, ['Uta', 'Unser'], austrian)
  const query = { applicationId: file.applicationId }
  const preview = await desk.done('previewEnquiry', { params: { id: file.claimId }, query })
  expect([preview.subject, preview.text.startsWith('Hat Uta Unser bei Ihnen gearbeitet')]).toEqual([
    'Frage zu Uta Unser',
    true,
  ])
  await askAbout(desk, file.claimId, file.applicationId)
  const other = await claimedOf(house, ['Fanny', 'Ferme'], french)
  await askAbout(desk, other.claimId, other.applicationId)
  await house.workOff()
  const mail = await house.mailTo(austrian.contacts[0]!.mail)
  expect([mail.subject, mail.text]).toEqual([
    'Frage zu Uta Unser',
    expect.stringMatching(/Hat Uta Unser[\s\S]*\/reply\//),
  ])
  expect((await house.mailTo(french.contacts[0]!.mail)).text).toContain('a postulé auprès')
  await runDailyIn(house, 30)
  await house.workOff()
  const mails = house.mailbox.mails.filter(({ to }) => to === austrian.contacts[0]!.mail)
  expect(mails.at(-1)!.text).toMatch(/Noch einmal: http\S+\/reply\//)
})

test('a letter asks in the words of the house', async () => {
  expect((await write('letter.text.work', 'en', 'Was {{candidate}} with you as {{claim}}?')).status).toBe(200)
  const source = await checkedSource(house, {
    ...{ country: 'PL', channels: ['letter'] },
    contacts: [aContact({ mail: '', address: 'ul. Nowa 1\n00-001 Warszawa' })],
  })
  const { claimId, applicationId } = await claimedOf(house, ['Lena', 'Letter'], source)
  await askAbout(desk, claimId, applicationId)
  const { batchId } = await enquiryAbout(claimId)
  const pdf = await desk.request(`/api/desk/letters/letters.pdf?batchIds=${batchId}`)
  expect((await textOf(await pdf.arrayBuffer())).replace(/\s+/g, ' ')).toContain('Was Lena Letter with you as')
})

test('what nobody could answer, or nobody knows how to fill, is refused, with its place', async () => {
  const pointers = async (text: string, subject?: string) => {
    const { status, body } = await write('mail.enquiry.work', 'it', text, { subject })
    return [status, ...(body.faults ?? []).map(({ pointer }) => pointer)]
  }
  expect(await pointers('Ha lavorato da voi?')).toEqual([422, '/body/text'])
  expect(await pointers('{% if source == "" %}{{link}}{% endif %}')).toEqual([422, '/body/text'])
  expect(await pointers('{{link}} {{salary}}', '{{nmae}}')).toEqual([422, '/body/subject', '/body/text'])
  expect(await pointers('{{link}} {{', 'x')).toEqual([422, '/body/text'])
  expect(await pointers('{{link}}', '  ')).toEqual([422, '/body/subject'])
  expect((await readOne('mail.enquiry.work', 'it')).own).toBeNull()
})

test('of two who write one text at the same moment the later is told; the first words come back', async () => {
  const first = await readOne('mail.enquiry.work', 'fr')
  expect([first.version, first.own, first.text.includes('{{link}}')]).toEqual([0, null, true])
  const both = await Promise.all(
    ['Un : {{link}}', 'Deux : {{link}}'].map((text) => write('mail.enquiry.work', 'fr', text)),
  )
  expect(both.map(({ status }) => status).sort()).toEqual([200, 409])
  expect(await OwnSourceText.count({ where: { name: 'mail.enquiry.work', language: 'fr' } })).toBe(1)
  const params = { name: 'mail.enquiry.work' as const, language: 'fr' as const }
  await desk.done('resetSourceText', { params })
  expect(await readOne('mail.enquiry.work', 'fr')).toEqual(first)
  expect((await desk.call('resetSourceText', { params })).status).toBe(404)
  expect((await (await house.staff('assessor')).call('listSourceTexts')).status).toBe(403)
})
