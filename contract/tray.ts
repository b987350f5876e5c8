import { Type } from '@sinclair/typebox'
import { paperParts } from '#core/documents/papers'
import { endpoint } from './endpoint'
import { Done, Id, Moment, oneOf, ShortText } from './shapes'

export const printCoverSheets = endpoint({
  method: 'POST',
  path: '/api/desk/applications/:id/cover-sheets',
  summary: 'Make cover sheets for papers of a file; each has a number of its own and works once',
  access: 'tray.work',
  params: Type.Object({ id: Id }),
  body: Type.Object({
    papers: Type.Array(Type.Object({ claimId: Id, part: oneOf(paperParts) }), { minItems: 1, maxItems: 30 }),
  }),
  reply: Type.Object({ sheets: Type.Array(Type.Object({ number: Type.Integer(), reference: Type.String() })) }),
  idempotent: true,
  invalidates: ['tray'],
})

export const readCoverSheets = endpoint({
  method: 'GET',
  path: '/api/desk/applications/:id/cover-sheets',
  summary: 'Cover sheets as PDF, a page each, to be laid on top of the papers',
  access: 'tray.work',
  params: Type.Object({ id: Id }),
  query: Type.Object({ numbers: Type.String({ pattern: '^\\d+(,\\d+)*$', maxLength: 400 }) }),
  reply: Type.Any(),
  file: true,
})

const Place = Type.Object({
  applicationId: Id,
  claimId: Id,
  name: Type.String(),
  reference: Type.String(),
  label: Type.String(),
  because: Type.Array(Type.String()),
})

export const readTray = endpoint({
  method: 'GET',
  path: '/api/desk/tray',
  summary: 'Papers that wait for a person, with where they most likely belong, and what came and was filed lately',
  access: 'tray.work',
  reply: Type.Object({
    waiting: Type.Array(
      Type.Object({
        id: Id,
        fileName: Type.String(),
        came: oneOf(['scanner', 'dropped in', 'mail'] as const),
        /** Who sent it or laid it into the scanner. */
        broughtBy: Type.String(),
        cameAt: Moment,
        pages: Type.Integer(),
        why: Type.String(),
        guesses: Type.Array(Place),
      }),
    ),
    reading: Type.Array(Type.Object({ id: Id, fileName: Type.String() })),
    refused: Type.Array(Type.Object({ id: Id, fileName: Type.String(), fault: Type.String(), cameAt: Moment })),
    filed: Type.Array(
      Type.Object({
        id: Id,
        fileName: Type.String(),
        to: Type.String(),
        by: Type.String(),
        at: Moment,
      }),
    ),
  }),
  invalidates: ['tray'],
})

export const putInTray = endpoint({
  method: 'POST',
  path: '/api/desk/tray',
  summary: 'Put a scan into the tray: PDF, TIFF, JPEG or PNG, up to 10 MB',
  access: 'tray.work',
  query: Type.Object({ fileName: Type.String({ minLength: 1, maxLength: 200 }) }),
  body: Type.Any(),
  bytes: true,
  reply: Type.Object({ id: Id }),
  invalidates: ['tray'],
})

export const readTrayPaper = endpoint({
  method: 'GET',
  path: '/api/desk/tray/:id/paper',
  summary: 'A paper in the tray, as PDF',
  access: 'tray.work',
  params: Type.Object({ id: Id }),
  reply: Type.Any(),
  file: true,
})

export const placesFor = endpoint({
  method: 'GET',
  path: '/api/desk/applications/:id/places',
  summary: 'What of a file a paper may be put behind',
  access: 'tray.work',
  params: Type.Object({ id: Id }),
  reply: Type.Array(Type.Object({ claimId: Id, label: Type.String(), parts: Type.Array(oneOf(paperParts)) })),
  invalidates: ['desk'],
})

export const filePaper = endpoint({
  method: 'POST',
  path: '/api/desk/tray/:id/file',
  summary: 'File a waiting paper behind a claim',
  access: 'tray.work',
  params: Type.Object({ id: Id }),
  body: Type.Object({ applicationId: Id, claimId: Id, part: Type.Optional(oneOf(paperParts)) }),
  reply: Done,
  idempotent: true,
  invalidates: ['tray', 'desk'],
})

export const layWithQuestion = endpoint({
  method: 'POST',
  path: '/api/desk/tray/:id/answer',
  summary: 'Lay a waiting paper with the enquiry it answers, by its reference',
  access: 'tray.work',
  params: Type.Object({ id: Id }),
  body: Type.Object({ reference: ShortText }),
  reply: Done,
  idempotent: true,
  invalidates: ['tray', 'desk'],
})

export const takeOutOfTray = endpoint({
  method: 'DELETE',
  path: '/api/desk/tray/:id',
  summary: 'Take out of the tray what belongs nowhere, such as a blank form; its pages are kept for a month',
  access: 'tray.work',
  params: Type.Object({ id: Id }),
  reply: Done,
  invalidates: ['tray'],
})
