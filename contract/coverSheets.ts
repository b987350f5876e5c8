import { Type } from '@sinclair/typebox'
import { documentLimits } from '#core/documents/limits'
import { paperParts } from '#core/documents/papers'
import { sheetFaults } from '#core/tray/order'
import { endpoint } from './endpoint'
import { Done, Id, Moment, oneOf, orNull } from './shapes'

/** Cover sheets that candidates make for papers they send by post or fax. */

const Pages = Type.Integer({ minimum: 1, maximum: documentLimits.pages })

export const listMyCoverSheets = endpoint({
  method: 'GET',
  path: '/api/my/applications/:id/cover-sheets',
  summary: 'Cover sheets one has made, whether their papers came, and what a sheet can be made for',
  access: 'candidate',
  params: Type.Object({ id: Id }),
  reply: Type.Object({
    sheets: Type.Array(
      Type.Object({
        number: Type.Integer(),
        reference: Type.String(),
        claimId: Id,
        part: oneOf(paperParts),
        title: Type.String(),
        pages: orNull(Type.Integer()),
        state: oneOf(['waiting', 'came', 'not right'] as const),
        cameAt: orNull(Moment),
        postedAt: orNull(Moment),
        fault: orNull(oneOf(sheetFaults)),
      }),
    ),
    places: Type.Array(Type.Object({ claimId: Id, label: Type.String(), parts: Type.Array(oneOf(paperParts)) })),
    address: Type.String(),
  }),
  invalidates: ['status', 'draft'],
})

export const makeMyCoverSheets = endpoint({
  method: 'POST',
  path: '/api/my/applications/:id/cover-sheets',
  summary:
    'Make cover sheets for papers one sends by post or fax; one that still waits for the same paper is used again',
  access: 'candidate',
  params: Type.Object({ id: Id }),
  body: Type.Object({
    papers: Type.Array(Type.Object({ claimId: Id, part: oneOf(paperParts), pages: Pages }), {
      minItems: 1,
      maxItems: 20,
    }),
  }),
  reply: Type.Object({ sheets: Type.Array(Type.Object({ number: Type.Integer(), reference: Type.String() })) }),
  idempotent: true,
  invalidates: ['status'],
})

export const readMyCoverSheets = endpoint({
  method: 'GET',
  path: '/api/my/applications/:id/cover-sheets.pdf',
  summary: 'One’s cover sheets as PDF, a page each, with the order of the pages and the address',
  access: 'candidate',
  params: Type.Object({ id: Id }),
  query: Type.Object({ numbers: Type.String({ pattern: '^\\d{1,9}(,\\d{1,9})*$', maxLength: 200 }) }),
  reply: Type.Any(),
  file: true,
})

export const sayPosted = endpoint({
  method: 'POST',
  path: '/api/my/cover-sheets/:number/send',
  summary: 'Say that the paper behind a sheet of one’s own is in the post',
  access: 'candidate',
  params: Type.Object({ number: Type.String({ pattern: '^\\d{1,9}$' }) }),
  reply: Done,
  invalidates: ['status', 'draft'],
})

const ofSource = Type.Object({ id: Id, claim: Id, condition: Id })

export const makeSourceSheet = endpoint({
  method: 'POST',
  path: '/api/my/applications/:id/claims/:claim/conditions/:condition/cover-sheets',
  summary: 'Make the cover sheet for what a source wants signed by hand',
  access: 'candidate',
  params: ofSource,
  reply: Type.Object({ sheets: Type.Array(Type.Object({ number: Type.Integer(), reference: Type.String() })) }),
  idempotent: true,
  invalidates: ['status', 'draft'],
})

export const readSourcePaper = endpoint({
  method: 'GET',
  path: '/api/my/applications/:id/claims/:claim/conditions/:condition/form.pdf',
  summary: 'What a source wants signed by hand, filled in, to print; with a cover sheet of one’s own on top',
  access: 'candidate',
  params: ofSource,
  query: Type.Object({ sheet: Type.Optional(Type.String({ pattern: '^\\d{1,9}$' })) }),
  reply: Type.Any(),
  file: true,
})

export const callOffCoverSheet = endpoint({
  method: 'DELETE',
  path: '/api/my/cover-sheets/:number',
  summary: 'Do away with a cover sheet whose paper does not come',
  access: 'candidate',
  params: Type.Object({ number: Type.String({ pattern: '^\\d{1,9}$' }) }),
  reply: Done,
  invalidates: ['status'],
})
