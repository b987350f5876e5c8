import PDFKit from 'pdfkit'
import { fontFile, fontParts } from './pdfText'

const margin = 56
const size = { body: 10.5, small: 8.5, h1: 19, h2: 14, h3: 11.5 }
const ink = '#17211f'
const quiet = '#5b6663'
const line = '#c9d0cd'
/** Of a facts table; the rest is for the values. */
const nameShare = 0.3

export type Attached = { name: string; type: string; bytes: Buffer; description: string }
type Structure = PDFKit.PDFStructureElement
type Given = {
  title: string
  language: string
  madeAt: Date
  author: string
  foot: (page: number, pages: number) => string
}
type Font = { name: string; characters: ReadonlySet<number> }
type Face = readonly Font[]

/**
 * A PDF that is read aloud as it is read by eye: headings, paragraphs, tables and figures are tagged in their order, its
 * language and title are said, and what only decorates is not read (made to ISO 14289-1; its structure is checked, not certified).
 */
export async function taggedPdf({ title, language, madeAt, author, foot }: Given) {
  const [plainFonts, boldFonts] = await Promise.all(
    ([400, 700] as const).map((weight) =>
      Promise.all(fontParts(weight).map((part) => fontFile('atkinson-hyperlegible-next', part))),
    ),
  )
  const first = Buffer.from(plainFonts![0]!)
  const document = new PDFKit({
    ...{ size: 'A4', margins: { top: margin, bottom: margin + 16, left: margin, right: margin } },
    ...{ bufferPages: true, tagged: true, subset: 'PDF/UA', pdfVersion: '1.7', lang: language, displayTitle: true },
    info: { Title: title, Author: author, CreationDate: madeAt, ModDate: madeAt },
    font: first,
  } as unknown as PDFKit.PDFDocumentOptions)
  const chunks: Buffer[] = []
  document.on('data', (chunk: Buffer) => chunks.push(chunk))
  const ended = new Promise<Buffer>((done) => document.on('end', () => done(Buffer.concat(chunks))))
  const face = (name: string, fonts: readonly Uint8Array[]): Face =>
    fonts.map((font, nth) => {
      document.registerFont(`${name} ${nth}`, Buffer.from(font))
      document.font(`${name} ${nth}`)
      const own = document as unknown as { _font: { font: { characterSet: number[] } } }
      return { name: `${name} ${nth}`, characters: new Set(own._font.font.characterSet) }
    })
  const [plain, bold] = [face('plain', plainFonts!), face('bold', boldFonts!)]
  const root = document.struct('Document')
  document.addStructure(root)
  const width = document.page.width - 2 * margin

  const write = (
    text: string,
    own: Face,
    at: { x: number; y: number; width: number; size: number; colour?: string },
  ) => {
    document.fontSize(at.size).fillColor(at.colour ?? ink)
    document.x = at.x
    document.y = at.y
    const runs = runsOf(own, text === '' ? ' ' : text)
    runs.forEach((run, nth) => {
      const options = { width: at.width, continued: nth < runs.length - 1, lineGap: 1.5 }
      document.font(run.font.name)
      if (nth === 0) document.text(run.text, at.x, at.y, options)
      else document.text(run.text, options)
    })
  }
  const heightOf = (text: string, own: Face, within: number, points: number) =>
    document
      .font(own[0]!.name)
      .fontSize(points)
      .heightOfString(text || ' ', { width: within, lineGap: 1.5 })
  const room = (height: number) => {
    if (document.y + height > document.page.height - margin - 16) document.addPage()
  }
  const block = (parent: Structure, tag: string, text: string, own: Face, points: number, gap: number) => {
    room(heightOf(text, own, width, points))
    const { y } = document
    const element = document.struct(tag as never, {}, [() => write(text, own, { x: margin, y, width, size: points })])
    parent.add(element)
    element.end()
    document.y += gap
  }
  /** Rows of cells over so much of the width each; the first column, or the first row, are their headers. */
  const table = (
    parent: Structure,
    rows: readonly (readonly string[])[],
    shares: readonly number[],
    heads: 'row' | 'column',
  ) => {
    const element = document.struct('Table')
    parent.add(element)
    const gap = 8
    rows.forEach((cells, nth) => {
      const isHead = (column: number) => (heads === 'row' ? nth === 0 : column === 0)
      const own = (column: number) => (isHead(column) ? bold : plain)
      const points = heads === 'row' ? size.small + 0.5 : size.body
      const within = (column: number) => width * shares[column]! - gap
      // The heads of columns stand with the first row beneath them.
      const together = heads === 'row' && nth === 0 ? rows.slice(0, 2) : [cells]
      const heights = together.map((row) =>
        Math.max(...row.map((text, column) => heightOf(text, own(column), within(column), points))),
      )
      room(heights.reduce((sum, height) => sum + height + 3, 0))
      const row = document.struct('TR')
      element.add(row)
      const top = document.y
      let bottom = top
      let x = margin
      cells.forEach((text, column) => {
        const left = x
        const cell = document.struct(isHead(column) ? 'TH' : 'TD', {}, [
          () => write(text, own(column), { x: left, y: top, width: within(column), size: points }),
        ])
        if (isHead(column)) scoped(document, cell, heads === 'row' ? 'Column' : 'Row')
        row.add(cell)
        cell.end()
        bottom = Math.max(bottom, document.y)
        x += width * shares[column]!
      })
      row.end()
      document.y = bottom + 3
      if (heads === 'row') rule(document, margin, document.y - 1.5, width)
    })
    element.end()
    document.x = margin
    document.y += 5
  }
  return {
    heading: (level: 1 | 2 | 3, text: string) => {
      // A heading stands with what it is of.
      room(level === 1 ? 60 : 90)
      document.y += level === 1 ? 0 : 8
      block(root, `H${level}`, text, bold, size[`h${level}`], level === 1 ? 6 : 4)
    },
    paragraph: (text: string) => block(root, 'P', text, plain, size.body, 6),
    facts: (facts: readonly (readonly [string, string])[]) => {
      if (facts.length > 0) table(root, facts, [nameShare, 1 - nameShare], 'column')
    },
    table: (rows: readonly (readonly string[])[], shares: readonly number[]) => table(root, rows, shares, 'row'),
    figure: (png: Buffer, alt: string, side: number) => {
      room(side)
      const { y } = document
      const element = document.struct('Figure', { alt }, [
        () => void document.image(png, margin, y, { width: side, height: side }),
      ])
      root.add(element)
      element.end()
      document.y = y + side + 6
    },
    attach: ({ bytes, name, type, description }: Attached) =>
      (document as unknown as { file: (src: Buffer, options: object) => void }).file(bytes, {
        ...{ name, type, description, relationship: 'Source', creationDate: madeAt, modifiedDate: madeAt },
      }),
    end: () => {
      root.end()
      const { count } = document.bufferedPageRange()
      for (let nth = 0; nth < count; nth += 1) {
        document.switchToPage(nth)
        // Beneath the bottom margin nothing would be drawn without beginning another page.
        document.page.margins.bottom = 0
        document.markContent('Artifact', { type: 'Pagination' } as never)
        write(foot(nth + 1, count), plain, {
          ...{ x: margin, y: document.page.height - margin + 6, width, size: size.small, colour: quiet },
        })
        document.endMarkedContent()
      }
      document.end()
      return ended
    },
  }
}

function runsOf(face: Face, text: string): { font: Font; text: string }[] {
  const runs: { font: Font; text: string }[] = []
  for (const character of text) {
    const font = face.find(({ characters }) => characters.has(character.codePointAt(0)!)) ?? face[0]!
    const last = runs.at(-1)
    if (last?.font === font) last.text += character
    else runs.push({ font, text: character })
  }
  return runs
}

/** A thin line; it only decorates. */
function rule(document: PDFKit.PDFDocument, x: number, y: number, width: number) {
  document.markContent('Artifact', { type: 'Layout' } as never)
  document
    .save()
    .lineWidth(0.5)
    .strokeColor(line)
    .moveTo(x, y)
    .lineTo(x + width, y)
    .stroke()
    .restore()
  document.endMarkedContent()
}

/** Says of which cells a header cell is the header (ISO 32000-1, table 349). */
function scoped(document: PDFKit.PDFDocument, cell: Structure, scope: 'Row' | 'Column') {
  const own = cell as unknown as { dictionary: { data: Record<string, unknown> } }
  const attributes = document.ref({ O: 'Table', Scope: scope })
  own.dictionary.data.A = attributes
  attributes.end(undefined as never)
}
