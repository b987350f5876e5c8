import type { PDFDocument, PDFPage } from 'pdf-lib'
import sharp from 'sharp'
import type { Field } from '#core/comparison/compareClaim'
import { writeWhen } from '#core/dates/write'
import type { Beyond } from '#core/enquiries/asks'
import { enquiryFormCode, enquirySheetCode } from '#core/tray/coverSheet'
import { say } from '#core/words/say'
import { drawLetterhead, type Letterhead } from '../platform/pdf/letterhead'
import { colour, draw, type Face, faceOf, widthOf, wrapped } from '../platform/pdf/pdfText'
import { drawSquare } from '../platform/pdf/square'

/** One person of a letter: what was stated, as the form asks it back. */
export type LetterPerson = {
  reference: string
  candidate: string
  claim: string
  claimed: Readonly<Record<string, string>>
  fields: readonly Field[]
  beyond: Beyond
  /** The permission and whatever else the source asks for, as PDF or pictures. */
  enclosed: readonly Enclosed[]
}

export type Enclosed = { mediaType: string; bytes: Uint8Array }

export type Letter = {
  from: Letterhead
  /** Ours, in lines; and whom we write to. */
  ownAddress: readonly string[]
  address: readonly string[]
  contact: string
  phone: string
  source: string
  kind: 'work' | 'issued'
  day: string
  answerBy: string
  /** Of a reminder: when we wrote before. */
  before?: string
  /** How it is said what we ask, in the words of the house. */
  question: string
  people: readonly LetterPerson[]
}

const mm = 72 / 25.4
const a4 = { width: 210 * mm, height: 297 * mm }
/** DIN 5008:2020, form B, in millimetres from the left and upper edge of the sheet. */
const formB = {
  left: 25,
  right: 20,
  address: { left: 25, top: 45, width: 80, ofAddress: 62.7, lines: 6 },
  info: { left: 125, top: 50, width: 65 },
  text: 98.46,
  folds: [105, 210],
  hole: 148.5,
}
const size = 10.5
const leading = 14.5
const grey = colour(0.35, 0.4, 0.38)

type Pen = { document: PDFDocument; page: PDFPage; plain: Face; bold: Face; y: number }

/**
 * Adds a letter to a document: the letter itself with its address where a window envelope shows it (DIN 5008, form B), a sheet to lay
 * on top of the answer, and for each person the form to answer on, the permission and what else is enclosed. In the language of the
 * moment.
 */
export async function addLetter(document: PDFDocument, letter: Letter) {
  const plain = await faceOf(document, 'atkinson-hyperlegible-next', 400)
  const bold = await faceOf(document, 'atkinson-hyperlegible-next', 700)
  const pen: Pen = { document, page: newPage(document), plain, bold, y: 0 }
  await drawFirstPage(pen, letter)
  drawTopSheet({ ...pen, page: newPage(document) }, letter)
  for (const person of letter.people) {
    drawForm({ ...pen, page: newPage(document), y: 0 }, letter, person)
    for (const { mediaType, bytes } of person.enclosed)
      await (mediaType === 'application/pdf' ? appendPdf(document, bytes) : appendPicture(document, bytes))
  }
}

const newPage = (document: PDFDocument) => document.addPage([a4.width, a4.height])
/** A place on the sheet by millimetres from its upper left, in points from its lower left. */
const at = (left: number, top: number) => ({ x: left * mm, y: a4.height - top * mm })

const subjectOf = ({ people, before }: Letter) => {
  const [first] = people
  const subject =
    people.length > 1 || !first
      ? say('letter.subject.several', { count: people.length })
      : say('letter.subject', { claim: first.claim, candidate: first.candidate })
  return before ? say('letter.subject.reminder', { subject }) : subject
}

async function drawFirstPage(pen: Pen, letter: Letter) {
  const { document, page, plain, bold } = pen
  await drawLetterhead(document, page, plain, letter.from, { right: a4.width - formB.right * mm, y: at(0, 22).y })
  drawAddress(pen, letter)
  drawInfo(pen, letter)
  for (const top of formB.folds) mark(page, top, 5)
  mark(page, formB.hole, 8)
  pen.y = at(0, formB.text).y
  paragraph(pen, subjectOf(letter), bold)
  pen.y -= leading
  for (const text of bodyOf(letter)) {
    paragraph(pen, text, plain)
    pen.y -= leading * 0.6
  }
  paragraph(pen, say('letter.regards'), plain)
  pen.y -= leading
  paragraph(pen, letter.from.name, plain)
  pen.y -= leading
  paragraph(pen, say('letter.enclosures'), plain, 9)
}

function bodyOf({ source, question, people, before, answerBy }: Letter): string[] {
  const [first] = people
  const asked =
    people.length > 1 || !first
      ? [question, ...people.map(({ candidate, claim, reference }) => `${candidate}: ${claim} (${reference})`)]
      : [question]
  return [
    say('letter.dear', { source }),
    ...(before ? [say('letter.text.reminder', { day: writeWhen(before) })] : []),
    ...asked,
    say('letter.text.how', { answerBy: writeWhen(answerBy) }),
    say('letter.text.permission'),
  ]
}

/** Where the window is: the sender in small type above, at most six lines of address below. */
function drawAddress({ page, plain }: Pen, { ownAddress, address }: Letter) {
  const { left, ofAddress, lines, width } = formB.address
  const sender = ownAddress.join(' · ')
  const small = Math.min(8, (8 * width * mm) / Math.max(1, widthOf(plain, sender, 8)))
  const above = at(left, ofAddress - 3)
  draw(page, plain, sender, above.x, above.y, small)
  page.drawLine({
    start: { x: above.x, y: above.y - 2.5 },
    end: { x: above.x + width * mm, y: above.y - 2.5 },
    thickness: 0.4,
    color: grey,
  })
  address.slice(0, lines).forEach((line, nth) => {
    const fitting = Math.min(size, (size * width * mm) / Math.max(1, widthOf(plain, line, size)))
    draw(page, plain, line, left * mm, at(0, ofAddress + 4).y - nth * 4.5 * mm, fitting)
  })
}

function drawInfo({ page, plain, bold }: Pen, { people, day, contact, phone }: Letter) {
  const { left, top, width } = formB.info
  const facts: [string, string][] = [
    [
      say('letter.reference'),
      people.length > 1 ? `${people[0]!.reference} +${people.length - 1}` : (people[0]?.reference ?? ''),
    ],
    [say('letter.date'), writeWhen(day)],
    [say('letter.contact'), contact],
    [say('letter.phone'), phone],
  ]
  const { x, y: first } = at(left, top + 4)
  let y = first
  for (const [name, value] of facts.filter(([, one]) => one !== '')) {
    draw(page, plain, name, x, y, 8)
    y -= 11
    for (const line of wrapped(bold, value, 10, width * mm)) {
      draw(page, bold, line, x, y, 10)
      y -= 13
    }
    y -= 3
  }
}

const mark = (page: PDFPage, top: number, length: number) =>
  page.drawLine({ start: at(0, top), end: at(length, top), thickness: 0.5, color: grey })

function paragraph(pen: Pen, text: string, face: Face, of = size, left = formB.left) {
  const width = (210 - left - formB.right) * mm
  for (const line of wrapped(face, text, of, width)) {
    room(pen, leading)
    draw(pen.page, face, line, left * mm, pen.y, of)
    pen.y -= of === size ? leading : of * 1.35
  }
}

/** Goes on on a new page where the rest of this one is too small. */
function room(pen: Pen, height: number) {
  if (pen.y - height > 20 * mm) return
  pen.page = newPage(pen.document)
  pen.y = at(0, 25).y
}

/** The sheet with the square: a scanner knows by it what lies beneath. */
function drawTopSheet({ page, plain, bold }: Pen, { people, ownAddress }: Letter) {
  const [first] = people
  if (!first) return
  const centred = (face: Face, lines: readonly string[], top: number, size: number) => {
    for (const [nth, line] of lines.entries())
      draw(page, face, line, (a4.width - widthOf(face, line, size)) / 2, at(0, top).y - nth * size * 1.4, size)
  }
  centred(bold, wrapped(bold, say('letter.sheet.title'), 20, 150 * mm), 40, 20)
  drawSquare(page, enquirySheetCode(first.reference), { x: a4.width / 2 - 100, y: at(0, 140).y, size: 200 })
  centred(bold, [first.reference], 155, 24)
  centred(plain, wrapped(plain, say('letter.sheet.why'), 11, 130 * mm), 172, 11)
  centred(plain, [say('letter.form.sendTo')], 200, 10)
  centred(plain, ownAddress, 207, 12)
}

const box = ({ page }: Pen, x: number, y: number) =>
  page.drawRectangle({ x, y: y - 1.5, width: 9, height: 9, borderWidth: 0.8, borderColor: colour(0, 0, 0) })

/** A page to be filled in by hand: line by line right, not so with the right value, or cannot say. */
function drawForm(pen: Pen, { ownAddress }: Letter, person: LetterPerson) {
  const { page, plain, bold } = pen
  const left = formB.left * mm
  const right = a4.width - formB.right * mm
  drawSquare(page, enquiryFormCode(person.reference), { x: right - 78, y: at(0, 17).y - 78, size: 78 })
  draw(page, plain, person.reference, right - 78, at(0, 17).y - 90, 9)
  pen.y = at(0, 25).y
  for (const line of wrapped(bold, say('letter.form.title', { candidate: person.candidate }), 16, right - left - 100)) {
    draw(page, bold, line, left, pen.y, 16)
    pen.y -= 21
  }
  for (const line of wrapped(plain, person.claim, size, right - left - 100)) {
    draw(page, plain, line, left, pen.y, size)
    pen.y -= leading
  }
  pen.y = Math.min(pen.y, at(0, 52).y)
  const columns = { claimed: left, right: left + 200, not: left + 250 }
  for (const { key, kind } of person.fields) {
    const claimed = person.claimed[key]
    if (claimed === undefined) continue
    draw(page, plain, say(`field.${key}` as 'field.name'), left, pen.y, 8.5)
    pen.y -= 12
    const words = kind === 'date' ? writeWhen(claimed) : claimed
    const lines = wrapped(bold, words, size, columns.right - columns.claimed - 12)
    lines.forEach((line, nth) => {
      draw(page, bold, line, left, pen.y - nth * leading, size)
    })
    choice(pen, columns.right, say('letter.form.right'))
    const after = choice(pen, columns.not, say('letter.form.notSo'))
    rule(pen, after, right)
    pen.y -= Math.max(lines.length, 1) * leading
    choice(pen, columns.not, say('letter.form.cannotSay'))
    pen.y -= 19
  }
  if (person.beyond.standing)
    options(
      pen,
      say('letter.form.standing'),
      (['good', 'restricted', 'suspended', 'revoked'] as const).map((one) => say(`reply.standing.${one}`)),
    )
  if (person.beyond.standing) writtenLine(pen, say('letter.form.terms'))
  if (person.beyond.hours)
    options(
      pen,
      say('letter.form.hours'),
      (['full time', 'part time', 'cannot say'] as const).map((one) => say(`reply.hours.${one}`)),
    )
  if (person.beyond.again)
    options(
      pen,
      say('letter.form.again'),
      (['yes', 'no', 'cannot say'] as const).map((one) => say(`reply.again.${one}`)),
    )
  choice(pen, left, say('letter.form.unknown'))
  pen.y -= 26
  for (const name of ['letter.form.add', 'letter.form.name', 'letter.form.office', 'letter.form.signed'] as const) {
    draw(page, plain, say(name), left, pen.y, 8.5)
    pen.y -= name === 'letter.form.signed' ? 34 : 22
    rule(pen, left, right)
    pen.y -= 14
  }
  draw(page, plain, `${say('letter.form.sendTo')}: ${ownAddress.join(', ')}`, left, pen.y, 9)
}

function options(pen: Pen, title: string, words: readonly string[]) {
  draw(pen.page, pen.plain, title, formB.left * mm, pen.y, 8.5)
  pen.y -= 14
  let x = formB.left * mm
  for (const word of words) x = choice(pen, x, word) + 14
  pen.y -= 22
}

/** A title with a line to write on. */
function writtenLine(pen: Pen, title: string) {
  draw(pen.page, pen.plain, title, formB.left * mm, pen.y, 8.5)
  pen.y -= 22
  rule(pen, formB.left * mm, formB.right * mm)
  pen.y -= 14
}

/** A box with its word; gives where the word ends. */
function choice(pen: Pen, x: number, word: string): number {
  box(pen, x, pen.y)
  draw(pen.page, pen.plain, word, x + 14, pen.y, 9.5)
  return x + 14 + widthOf(pen.plain, word, 9.5)
}

const rule = ({ page, y }: Pen, from: number, to: number) =>
  page.drawLine({ start: { x: from + 4, y: y - 2 }, end: { x: to, y: y - 2 }, thickness: 0.5, color: grey })

const pictureMargin = 15 * mm

/** A picture on a page of its own, upright, as large as the page lets it be. */
async function appendPicture(document: PDFDocument, bytes: Uint8Array) {
  const upright = await sharp(bytes).rotate().jpeg({ quality: 85 }).toBuffer()
  const picture = await document.embedJpg(upright)
  const { width, height } = picture.scaleToFit(a4.width - 2 * pictureMargin, a4.height - 2 * pictureMargin)
  newPage(document).drawImage(picture, { x: (a4.width - width) / 2, y: (a4.height - height) / 2, width, height })
}

async function appendPdf(document: PDFDocument, bytes: Uint8Array) {
  const { PDFDocument: Pdf } = await import('pdf-lib')
  const other = await Pdf.load(bytes, { updateMetadata: false })
  for (const page of await document.copyPages(other, other.getPageIndices())) document.addPage(page)
}
