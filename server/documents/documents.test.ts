import { rm, symlink, writeFile } from 'node:fs/promises'
import { join } from 'node:path'
import { setTimeout as wait } from 'node:timers/promises'
import { deflateSync } from 'node:zlib'
import { createCanvas } from '@napi-rs/canvas'
import { PDFDocument, PDFName, PDFString } from 'pdf-lib'
import { QueryTypes } from 'sequelize'
import type { Visitor } from '../../test/client'
import { aDegree, aPaper, type House, openHouse } from '../../test/house'
import { forgetUnheldBytes } from '../privacy/erase'
import { keepBytes, readBytes } from '../records/documents/bytes'
import { BlobChunk, Document } from '../records/documents/model'
import { forgetOldUploads } from './uploads'

let house: House
let candidate: Visitor
let claimId: string
type Answered = {
  status: number
  body: {
    code?: string
    title?: string
    mediaType?: string
    pages?: number
    fileName?: string
    alsoBehind?: string | null
  }
}
let upload: (bytes: Buffer, fileName?: string) => Promise<Answered>
beforeAll(async () => {
  house = await openHouse('documents')
  candidate = await house.candidate('Uma Upload')
  claimId = (await candidate.done('addClaim', { body: { details: aDegree(house) } })).id
  upload = (body, fileName = 'Paper.pdf') =>
    candidate.call('uploadDocument', { params: { id: claimId }, query: { fileName }, body })
}, 60_000)
afterAll(() => house.close())

/** A WebM (RFC 9559) that says how long it runs, and is otherwise empty. */
function webmOf(size: number, seconds: number): Buffer {
  const element = (id: string, ...parts: Buffer[]) => {
    const content = Buffer.concat(parts)
    const length = Buffer.alloc(8)
    length.writeBigUInt64BE(2n ** 56n + BigInt(content.length))
    return Buffer.concat([Buffer.from(id, 'hex'), length, content])
  }
  const milliseconds = Buffer.alloc(8)
  milliseconds.writeDoubleBE(seconds * 1000)
  const head = element('1a45dfa3', element('4282', Buffer.from('webm')))
  const info = element('1549a966', element('2ad7b1', Buffer.from([15, 66, 64])), element('4489', milliseconds))
  return Buffer.concat([head, element('18538067', info, element('ec', Buffer.alloc(size, 7)))])
}

const pdfOf = async (pages: number) => {
  const pdf = await PDFDocument.create()
  for (let page = 0; page < pages; page += 1) pdf.addPage()
  return Buffer.from(await pdf.save())
}

test('a kind is told from the content, whatever the name says', async () => {
  const png = createCanvas(20, 20).toBuffer('image/png')
  expect((await upload(png, 'Scan.pdf')).body).toMatchObject({ mediaType: 'image/png', pages: 1 })
  expect((await upload(createCanvas(21, 20).toBuffer('image/jpeg'), 'Photo.jpg')).body).toMatchObject({
    mediaType: 'image/jpeg',
  })
  expect((await upload(await pdfOf(3))).body).toMatchObject({ mediaType: 'application/pdf', pages: 3 })
  expect((await upload(Buffer.from('just words'), 'Degree.pdf')).body).toMatchObject({ code: 'wrong-kind' })
})

test('what cannot be taken says why and what to do', async () => {
  expect((await upload(Buffer.alloc(0))).body.code).toBe('empty-file')
  expect((await upload(await pdfOf(21))).body).toMatchObject({
    code: 'too-many-pages',
    title: 'The file has 21 pages; at most 20 are accepted.',
  })
  expect((await upload(Buffer.concat([Buffer.from('%PDF-1.7\n'), Buffer.alloc(500, 7)]))).body.code).toBe('broken-pdf')
  const tooLarge = await upload(Buffer.concat([await pdfOf(1), Buffer.alloc(10 * 1024 * 1024)]))
  expect([tooLarge.status, tooLarge.body.code]).toEqual([413, 'file-too-large'])
})

test('the same bytes are noticed, and strange names tidied', async () => {
  const paper = await aPaper('Twice')
  expect((await upload(paper, '../../etc/pass:wd?.pdf')).body.fileName).toBe('.. .. etc pass wd .pdf')
  expect((await upload(paper, 'Again.pdf')).body.code).toBe('same-bytes')
})

test('bytes come back as they were, in chunks; changed ones are noticed', async () => {
  const bytes = Buffer.from(Array.from({ length: 1_300_000 }, (_, index) => index % 251))
  const sha256 = await keepBytes(bytes, 'application/pdf', new Date())
  expect(await keepBytes(bytes, 'application/pdf', new Date())).toBe(sha256)
  expect(await BlobChunk.count({ where: { sha256 } })).toBe(3)
  expect((await readBytes(sha256)).bytes.equals(bytes)).toBe(true)
  await BlobChunk.update({ bytes: Buffer.from('other') }, { where: { sha256, nth: 1 } })
  await expect(readBytes(sha256)).rejects.toThrow('not what they were')
})

describe('files that do harm', () => {
  const withObject = async (change: (pdf: PDFDocument) => void) => {
    const pdf = await PDFDocument.create()
    pdf.addPage()
    change(pdf)
    return Buffer.from(await pdf.save())
  }
  test.each<[string, (pdf: PDFDocument) => void, string]>([
    [
      'a program',
      (pdf) => pdf.addJavaScript('greet', 'app.alert(1)'),
      'The PDF contains a program, which a paper does not need.',
    ],
    [
      'a command',
      (pdf) => pdf.catalog.set(PDFName.of('OpenAction'), pdf.context.obj({ S: 'Launch', F: PDFString.of('a.exe') })),
      'The PDF contains a command to start a program, which a paper does not need.',
    ],
    [
      'an address a page sends itself to',
      (pdf) =>
        pdf.getPage(0).node.set(PDFName.of('AA'), pdf.context.obj({ O: { S: 'SubmitForm', F: PDFString.of('x') } })),
      'The PDF contains a form that submits itself, which a paper does not need.',
    ],
  ])('a PDF that carries %s', async (_what, change, title) => {
    expect((await upload(await withObject(change))).body).toMatchObject({ code: 'active-pdf', title })
  })

  test('a program forty-five arrays down, and under the trailer', async () => {
    const nested = await withObject((pdf) => {
      let within = pdf.context.obj([{ S: 'JavaScript', JS: PDFString.of('app.alert(1)') }])
      for (let depth = 0; depth < 45; depth += 1) within = pdf.context.obj([within])
      pdf.catalog.set(PDFName.of('PieceInfo'), within)
    })
    expect((await upload(nested)).body.code).toBe('active-pdf')
  })

  test('a way to another file, and a file in a file specification', async () => {
    const remote = await withObject((pdf) =>
      pdf.catalog.set(PDFName.of('OpenAction'), pdf.context.obj({ S: 'GoToR', F: PDFString.of('//far/away.pdf') })),
    )
    expect((await upload(remote)).body.title).toContain('a link to another file')
    const carried = await withObject((pdf) =>
      pdf.catalog.set(PDFName.of('PieceInfo'), pdf.context.obj({ Type: 'Filespec', EF: { F: 1 } })),
    )
    expect((await upload(carried)).body.title).toContain('other files')
  })

  test('where links lead is taken out, and the paper is taken', async () => {
    const linked = await withObject((pdf) => {
      const link = {
        Type: 'Annot',
        Subtype: 'Link',
        Rect: [0, 0, 90, 20],
        A: { S: 'URI', URI: PDFString.of('https://far.example/') },
      }
      pdf.getPage(0).node.set(PDFName.of('Annots'), pdf.context.obj([link]))
    })
    const { id, ...line } = await candidate.done('uploadDocument', {
      params: { id: claimId },
      query: { fileName: 'Linked.pdf' },
      body: linked,
    })
    const kept = await candidate.request(`/api/documents/${id}/bytes`)
    const bytes = Buffer.from(await kept.arrayBuffer())
    expect([line.pages, line.size]).toEqual([1, bytes.length])
    const read = await PDFDocument.load(bytes)
    expect(
      read.context
        .enumerateIndirectObjects()
        .map(([, object]) => object.toString())
        .join(),
    ).not.toContain('far.example')
  })

  test('two kilobytes that unfold to gigabytes are refused, and nobody else waits', async () => {
    const zeros = deflateSync(Buffer.alloc(400 * 1024 * 1024), { level: 9 })
    const twice = deflateSync(zeros, { level: 9 })
    const bomb = Buffer.concat([
      Buffer.from(
        `%PDF-1.7\n1 0 obj\n<< /Type /ObjStm /N 1 /First 4 /Filter [/FlateDecode /FlateDecode] /Length ${twice.length} >>\nstream\n`,
      ),
      twice,
      Buffer.from('\nendstream\nendobj\ntrailer\n<< /Root 2 0 R >>\n%%EOF\n'),
    ])
    expect(bomb.length).toBeLessThan(4096)
    const sent = upload(bomb, 'Bomb.pdf')
    const begun = performance.now()
    let longest = 0
    for (let done = false; !done; ) {
      const asked = performance.now()
      await candidate.done('readSession')
      longest = Math.max(longest, performance.now() - asked)
      done = await Promise.race([sent.then(() => true), wait(20).then(() => false)])
    }
    expect((await sent).body.code).toBe('too-much-inside')
    // It is what it unfolds to that ends it, not the time it would take.
    expect(performance.now() - begun).toBeLessThan(5000)
    expect(longest).toBeLessThan(500)
  })

  test('a PNG whose data unfold to more than its pixels', async () => {
    const small = createCanvas(10, 10).toBuffer('image/png')
    const data = deflateSync(Buffer.alloc(1_000_000))
    const length = Buffer.alloc(4)
    length.writeUInt32BE(data.length)
    const bomb = Buffer.concat([
      small.subarray(0, 33),
      length,
      Buffer.from('IDAT'),
      data,
      Buffer.alloc(4),
      small.subarray(-12),
    ])
    expect((await upload(bomb)).body.code).toBe('broken-picture')
  })

  test('a PDF that carries other files', async () => {
    const pdf = await PDFDocument.create()
    pdf.addPage()
    await pdf.attach(Buffer.from('hidden'), 'hidden.txt')
    expect((await upload(Buffer.from(await pdf.save()))).body.code).toBe('active-pdf')
  })

  test('a PDF locked with a password', async () => {
    const plain = await PDFDocument.create()
    plain.addPage()
    const text = Buffer.from(await plain.save({ useObjectStreams: false })).toString('latin1')
    const answer = await upload(
      Buffer.from(text.replace('/Root', '/Encrypt << /Filter /Standard /V 1 /R 2 >> /Root'), 'latin1'),
    )
    expect(answer.body.code).toBe('locked-pdf')
  })

  test('five hundred pages', async () => {
    expect((await upload(await pdfOf(500))).body).toMatchObject({
      code: 'too-many-pages',
      title: 'The file has 500 pages; at most 20 are accepted.',
    })
  })

  test('half a picture', async () => {
    const canvas = createCanvas(400, 300)
    for (const kind of ['image/png', 'image/jpeg'] as const) {
      const whole = kind === 'image/png' ? canvas.toBuffer('image/png') : canvas.toBuffer('image/jpeg')
      expect((await upload(whole.subarray(0, Math.floor(whole.length * 0.6)))).body.code).toBe('broken-picture')
    }
  })

  test('a picture that unfolds to more than can be opened', async () => {
    const small = createCanvas(10, 10).toBuffer('image/png')
    small.writeUInt32BE(60_000, 16)
    small.writeUInt32BE(60_000, 20)
    expect((await upload(small)).body).toMatchObject({
      code: 'picture-too-large',
      title: 'The picture measures 60000 by 60000 pixels, more than can be opened.',
    })
  })
})

test('the same bytes behind another claim are taken, and said', async () => {
  const paper = await aPaper('For two')
  expect((await upload(paper)).body.alsoBehind).toBeNull()
  const other = await candidate.done('addClaim', { body: { details: { ...aDegree(house), award: 'BSc' } } })
  const again = await candidate.done('uploadDocument', {
    params: { id: other.id },
    query: { fileName: 'Again.pdf' },
    body: paper,
  })
  expect(again.alsoBehind).toContain('MSc')
})

test('a translation is tied to its original, and to no other paper', async () => {
  const query = { fileName: 'Original.pdf', part: 'certificate' }
  const original = await candidate.done('uploadDocument', {
    params: { id: claimId },
    query,
    body: await aPaper('Original'),
  })
  const translated = {
    params: { id: claimId },
    query: { fileName: 'Translation.pdf', part: 'translation', translationOf: original.id },
  }
  expect(await candidate.done('uploadDocument', { ...translated, body: await aPaper('Translation') })).toMatchObject({
    part: 'translation',
    translationOf: original.id,
  })
  const other = await candidate.done('addClaim', { body: { details: { ...aDegree(house), award: 'PhD' } } })
  const astray = await candidate.call('uploadDocument', {
    ...translated,
    params: { id: other.id },
    body: await aPaper('Astray'),
  })
  expect(astray.status).toBe(404)
})

describe('uploads in pieces', () => {
  const begin = async (who: Visitor, length: number) => {
    const { csrf } = await who.done('readSession')
    const headers = { 'Tus-Resumable': '1.0.0', 'X-Probatum-Form': csrf }
    const made = await who.request('/api/my/uploads', {
      method: 'POST',
      headers: { ...headers, 'Upload-Length': String(length) },
    })
    const place = made.headers.get('Location') ?? ''
    const answer = (bytes: Buffer, offset: number, by = who, token = csrf) =>
      by.request(place, {
        method: 'PATCH',
        headers: {
          ...headers,
          'X-Probatum-Form': token,
          'Upload-Offset': String(offset),
          'Content-Type': 'application/offset+octet-stream',
        },
        body: bytes as Buffer<ArrayBuffer>,
      })
    return {
      status: made.status,
      name: place.split('/').at(-1)!,
      place,
      offset: async (by = who) => (await by.request(place, { method: 'HEAD', headers })).headers.get('Upload-Offset'),
      answer,
      send: async (...sent: Parameters<typeof answer>) => (await answer(...sent)).status,
    }
  }

  test('go on where they stopped, and are then put behind a claim', async () => {
    const bytes = await aPaper('In pieces')
    const half = Math.floor(bytes.length / 2)
    const piecewise = await begin(candidate, bytes.length)
    expect(piecewise.status).toBe(201)
    expect(await piecewise.send(bytes.subarray(0, half), 0)).toBe(204)
    const attach = { params: { id: claimId, upload: piecewise.name }, body: { fileName: 'In pieces.pdf' } }
    expect((await candidate.call('attachUpload', attach)).body.code).toBe('not-whole')
    expect(await piecewise.offset()).toBe(String(half))
    expect(await piecewise.send(bytes.subarray(half), 0)).toBe(409)
    expect(await piecewise.send(bytes.subarray(half), half)).toBe(204)
    expect(await candidate.done('attachUpload', attach)).toMatchObject({
      size: bytes.length,
      fileName: 'In pieces.pdf',
    })
    expect((await candidate.call('attachUpload', attach)).status).toBe(404)
  })

  test('are their owner’s alone, and come from our own page', async () => {
    const piecewise = await begin(candidate, 100)
    const other = await house.candidate('Olga Other')
    const { csrf } = await other.done('readSession')
    expect(await piecewise.send(Buffer.alloc(100), 0, other, csrf)).toBe(404)
    expect(await piecewise.send(Buffer.alloc(100), 0, candidate, 'x'.repeat(32))).toBe(403)
    const claim = await other.done('addClaim', { body: { details: aDegree(house) } })
    const taken = await other.call('attachUpload', {
      params: { id: claim.id, upload: piecewise.name },
      body: { fileName: 'Taken.pdf' },
    })
    expect(taken.status).toBe(404)
    expect(await forgetOldUploads(house.fixed)).toBe(0)
  })

  test('a video of 55 MB is kept piece by piece, whatever a packet may hold, and comes back as it was', async () => {
    const [{ packet }] = (await house.fixed.sequelize.query<{ packet: number }>(
      'SELECT @@max_allowed_packet AS packet',
      { type: QueryTypes.SELECT },
    )) as [{ packet: number }]
    expect(packet).toBe(16 * 1024 * 1024)
    const { id } = await candidate.done('addClaim', {
      body: {
        details: {
          kind: 'paper',
          sourceId: null,
          sourceName: 'Myself',
          question: 'hello',
          title: 'Say hello',
          videoSeconds: 60,
        },
      },
    })
    const video = webmOf(55 * 1024 * 1024, 30)
    const piecewise = await begin(candidate, video.length)
    expect(await piecewise.send(video, 0)).toBe(204)
    const line = await candidate.done('attachUpload', {
      params: { id, upload: piecewise.name },
      body: { fileName: 'Hello.webm' },
    })
    expect(line).toMatchObject({ mediaType: 'video/webm', seconds: 30, size: video.length })
    const kept = await candidate.request(`/api/documents/${line.id}/bytes`)
    expect(kept.headers.get('Content-Length')).toBe(String(video.length))
    expect(Buffer.from(await kept.arrayBuffer()).equals(video)).toBe(true)
  }, 60_000)

  test('put behind a claim three times at once lie there once', async () => {
    const bytes = await aPaper('Attached at once')
    const piecewise = await begin(candidate, bytes.length)
    expect(await piecewise.send(bytes, 0)).toBe(204)
    const attach = { params: { id: claimId, upload: piecewise.name }, body: { fileName: 'At once.pdf' } }
    const attached = await Promise.all([1, 2, 3].map(() => candidate.call('attachUpload', attach)))
    expect(attached.filter(({ status }) => status === 200)).toHaveLength(1)
    expect(await Document.count({ where: { claimId, fileName: 'At once.pdf' } })).toBe(1)
  })

  test('a full disk is said, keeps nothing, and the same piece goes on once there is room', async () => {
    const bytes = await aPaper('No room')
    const piecewise = await begin(candidate, bytes.length)
    const file = join(house.fixed.config.uploadFolder, piecewise.name)
    // The device that is always full: the kernel itself says that there is no space.
    await rm(file)
    await symlink('/dev/full', file)
    const refused = await piecewise.answer(bytes, 0)
    expect([refused.status, await refused.text()]).toEqual([507, expect.stringMatching(/no room/)])
    await rm(file)
    await writeFile(file, '')
    expect(await piecewise.offset()).toBe('0')
    expect(await piecewise.send(bytes, 0)).toBe(204)
    const attach = { params: { id: claimId, upload: piecewise.name }, body: { fileName: 'No room.pdf' } }
    expect(await candidate.done('attachUpload', attach)).toMatchObject({ size: bytes.length })
  })

  test('nobody begins more than can wait', async () => {
    const eager = await house.candidate('Edda Eager')
    const begun = []
    for (let nth = 0; nth < 4; nth += 1) begun.push((await begin(eager, 60 * 1024 * 1024)).status)
    expect(begun).toEqual([201, 201, 201, 429])
  })

  test('what was sent and put behind nothing goes after two days', async () => {
    const bytes = await aPaper('Behind nothing')
    const sha256 = await keepBytes(bytes, 'application/pdf', new Date(Date.now() - 3 * 86_400_000))
    await forgetUnheldBytes(house.deps)
    await expect(readBytes(sha256)).rejects.toThrow()
    expect(await BlobChunk.count({ where: { sha256 } })).toBe(0)
  })

  test('of more than a video may be are refused at once', async () => {
    expect((await begin(candidate, 61 * 1024 * 1024)).status).toBe(413)
  })
})
