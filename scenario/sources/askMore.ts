import { PDFDocument, rgb } from 'pdf-lib'
import { uploadDocument } from '#server/claims/change'
import { readSourcePaper } from '#server/claims/sourcePapers'
import { inTransaction } from '#server/platform/database/connection'
import { Account, actorOf, Candidate } from '#server/records/accounts/model'
import { Application } from '#server/records/applications/model'
import { claimsOf } from '#server/records/claims/view'
import { keepForm } from '#server/records/sources/forms'
import { factsOfSource, sourceEntry } from '#server/records/sources/sources'
import { saveSource } from '#server/sources/keep'
import { given } from '#server/sources/read'
import { depsAt, type World } from '../world'
import { releaseForm } from './releaseForm'
import { condition } from './write'

/**
 * A registrar's office asks for its own form and a fee only after some have sent their applications: they have it to do, and
 * one of them has sent the form, signed by hand.
 */
export async function askForMore(world: World) {
  const deps = depsAt(world, -1)
  const ines = world.desk.coordinator!
  const within = <T>(work: () => Promise<T>) => inTransaction(world.fixed.sequelize, work)
  const lumira = await sourceEntry(world.sourceIds.get('lumira')!)
  const { sha256, fileName } = await keepForm(deps, ines, 'Autorizzazione.pdf', await releaseForm(lumira.name))
  const fill = {
    ...({ surname: 'family name', given_names: 'given names', date_of_birth: 'born', course: 'title' } as const),
    ...({ matriculation: 'number', released_to: 'house' } as const),
  }
  const form = condition('lumira', 'own form', ['study'], 'The secretariat answers on its own release form only.')
  const conditions = [
    { ...form, form: { sha256, fileName, fill } },
    condition('lumira-fee', 'fee', ['study'], 'A stamp duty of 16 euros is due with every question.'),
  ]
  const facts = { ...given(factsOfSource(lumira)), conditions }
  await within(() => saveSource(deps, ines, lumira.id, { version: lumira.version, source: facts }))

  const person = await Candidate.findOne({ where: { name: 'Adaeze Nwosu' }, rejectOnEmpty: true })
  const actor = actorOf(await Account.findByPk(person.accountId, { rejectOnEmpty: true }))
  const { id } = await Application.findOne({ where: { candidateId: person.id }, rejectOnEmpty: true })
  const degree = (await claimsOf(person.id)).find(({ sourceId }) => sourceId === lumira.id)!
  const printed = await readSourcePaper(deps, actor, { id, claim: degree.id, condition: form.id })
  const what = { fileName: 'Autorizzazione, signed.pdf', part: 'release form' as const }
  await uploadDocument(deps, actor, degree.id, what, await signedByHand(printed.body as Buffer))
}

/** The printed form with a day and a name on its last two lines, as a pen would draw them. */
async function signedByHand(printed: Buffer): Promise<Buffer> {
  const document = await PDFDocument.load(printed)
  const page = document.getPage(0)
  const strokes = [
    'M0 0 c4 -14 10 -22 13 -18 c3 6 -8 16 -4 18 c6 2 10 -12 14 -10 c3 3 -5 9 0 10 c8 1 9 -14 15 -13',
    'c2 4 -6 12 0 13 c9 0 8 -26 14 -24 c4 5 -12 20 -6 24 c10 3 16 -14 24 -12 c-8 4 -6 12 2 11 c14 -2 18 -12 40 -14',
  ]
  page.drawSvgPath(strokes.join(' '), { x: 90, y: 270, borderColor: rgb(0.1, 0.15, 0.45), borderWidth: 1.3 })
  page.drawText('Lumira, 27/11/2026', { x: 90, y: 322, size: 11, color: rgb(0.1, 0.15, 0.45) })
  return Buffer.from(await document.save())
}
