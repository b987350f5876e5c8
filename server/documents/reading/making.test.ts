import { execFileSync } from 'node:child_process'
import { mkdtempSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { PDFDocument, type PDFFont, StandardFonts, setTextRenderingMode, TextRenderingMode } from 'pdf-lib'
import sharp from 'sharp'
import { imageEditorIn } from '#core/redFlags/making'
import { readPaper } from './readPaper'
import { signedAs } from './signed'

const folder = mkdtempSync(join(tmpdir(), 'probatum-signed-'))
const at = (name: string) => join(folder, name)
const openssl = (...given: string[]) =>
  execFileSync('openssl', given, { cwd: folder, stdio: ['ignore', 'pipe', 'ignore'] })

beforeAll(() => {
  const subject = ['-subj', '/CN=Registrar', '-keyout', at('key.pem'), '-out', at('cert.pem')]
  openssl('req', '-x509', '-newkey', 'rsa:2048', '-nodes', '-days', '2', ...subject)
})

/** A PDF with room for a signature, signed by OpenSSL over what its `ByteRange` says. */
function signed(): Buffer {
  const room = 8000
  const before = `%PDF-1.7\n1 0 obj << /Type /Sig /Filter /Adobe.PPKLite /SubFilter /adbe.pkcs7.detached /Contents `
  const rest = (from: number) =>
    ` /ByteRange [0 ${before.length} ${from} RANGE] >> endobj\nThe award is of 2016.\n%%EOF\n`
  const from = before.length + room + 2
  let after = rest(from)
  // As many digits as it comes to.
  after = after.replace('RANGE', String(after.length - 'RANGE'.length + 3).padStart(3, '0'))
  writeFileSync(at('what'), before + after)
  const signature = openssl(
    'cms',
    '-sign',
    '-binary',
    '-in',
    'what',
    '-signer',
    'cert.pem',
    '-inkey',
    'key.pem',
    '-outform',
    'DER',
  )
  const hex = signature.toString('hex').padEnd(room, '0')
  return Buffer.from(`${before}<${hex}>${after}`, 'latin1')
}

describe('a signature', () => {
  test('covers what it was made of, whole', () => {
    expect(signedAs(signed())).toBe('whole')
    expect(signedAs(Buffer.from('%PDF-1.7 nothing is signed'))).toBe('not')
  })
  test('does not cover a digit that was changed, nor what was added behind it', () => {
    const changed = Buffer.from(signed().toString('latin1').replace('of 2016', 'of 2019'), 'latin1')
    expect(signedAs(changed)).toBe('changed')
    const added = Buffer.concat([signed(), Buffer.from('2 0 obj << /Type /Annot /Contents (2019) >> endobj\n%%EOF\n')])
    expect(signedAs(added)).toBe('changed')
  })
  test('is still whole where proofs of it were added later', () => {
    const added = Buffer.from('3 0 obj << /Type /Catalog /DSS << /OCSPs [4 0 R] >> >> endobj\n%%EOF\n')
    expect(signedAs(Buffer.concat([signed(), added]))).toBe('whole')
  })
})

const blank = () => sharp({ create: { width: 600, height: 800, channels: 3, background: '#f8f8f4' } })

describe('what a file says it was made with', () => {
  const softwareOf = async (bytes: Buffer, mediaType: string) => (await readPaper(bytes, mediaType)).making.software
  test('stands in the Exif of a photograph', async () => {
    const edited = await blank()
      .jpeg()
      .withExif({ IFD0: { Software: 'GIMP 2.10.34' } })
      .toBuffer()
    expect(imageEditorIn(await softwareOf(edited, 'image/jpeg'))).toBe('GIMP 2.10.34')
    expect(await softwareOf(await blank().jpeg().toBuffer(), 'image/jpeg')).toEqual([])
  })
  test('stands in a PDF', async () => {
    const pdf = await PDFDocument.create()
    pdf.addPage()
    pdf.setProducer('Krita 5.1')
    pdf.setCreator('Office of the registrar')
    const software = await softwareOf(Buffer.from(await pdf.save()), 'application/pdf')
    expect(software).toEqual(['Krita 5.1', 'Office of the registrar'])
    expect(imageEditorIn(software)).toBe('Krita 5.1')
  })
})

/** A page of which a picture takes a share, with words laid over it or under it. */
async function pageWith(how: { share: number; mode?: TextRenderingMode; words?: number; under?: true }) {
  const pdf = await PDFDocument.create()
  const page = pdf.addPage([595, 842])
  const font = await pdf.embedFont(StandardFonts.Helvetica)
  const scan = await pdf.embedPng(await blank().png().toBuffer())
  const draw = () => page.drawImage(scan, { x: 0, y: 0, width: 595, height: 842 * how.share })
  const write = () => {
    for (let nth = 0; nth < (how.words ?? 3); nth += 1) {
      if (how.mode !== undefined) page.pushOperators(setTextRenderingMode(how.mode))
      page.drawText(nth === 0 ? 'KP-2019-0042' : `word${nth}`, { x: 60, y: 400 - nth * 8, size: 7, font })
    }
  }
  for (const step of how.under ? [write, draw] : [draw, write]) step()
  return readPaper(await pdf.save(), 'application/pdf')
}

describe('text over the picture of a page', () => {
  test('is found with its place', async () => {
    const { making } = await pageWith({ share: 1 })
    expect(making.overPicture).toHaveLength(1)
    expect(making.overPicture[0]).toMatchObject({ text: 'KP-2019-0042 word1 word2', place: { page: 1 } })
    expect(making.overPicture[0]!.place.x).toBeCloseTo(60 / 595, 1)
  })
  test.each([
    ['recognition has put there, unseen', { share: 1, mode: TextRenderingMode.Invisible }],
    ['lies under it', { share: 1, under: true as const }],
    ['stands on a form with a picture behind', { share: 1, words: 45 }],
    ['stands beside a small picture', { share: 0.3 }],
  ])('is not what %s', async (_, how) => {
    expect((await pageWith(how)).making.overPicture).toEqual([])
  })
})

describe('the fonts of a number', () => {
  async function numberIn(first: StandardFonts, second: StandardFonts) {
    const pdf = await PDFDocument.create()
    const page = pdf.addPage()
    const [one, other] = [await pdf.embedFont(first), await pdf.embedFont(second)]
    const put = (text: string, font: PDFFont, x: number) => page.drawText(text, { x, y: 500, size: 14, font })
    put('Certificate number of the award', one, 60)
    put('KP-20', one, 400)
    put('16-0042', other, 400 + one.widthOfTextAtSize('KP-20', 14))
    return (await readPaper(await pdf.save(), 'application/pdf')).making.mixedFonts.map(({ text }) => text)
  }
  test('are mixed where digits were set again', async () => {
    expect(await numberIn(StandardFonts.Helvetica, StandardFonts.TimesRoman)).toEqual(['KP-2016-0042'])
  })
  test('are one where it is only drawn in two pieces', async () => {
    expect(await numberIn(StandardFonts.Helvetica, StandardFonts.Helvetica)).toEqual([])
  })
})
