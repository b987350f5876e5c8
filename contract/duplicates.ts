import { Type } from '@sinclair/typebox'
import { type Agreement, comparedFields } from '#core/comparison/samePerson'
import { stages } from '#core/hiring/stages'
import { rungs } from '#core/requirements/requirement'
import { endpoint } from './endpoint'
import { HiddenPart } from './privacy'
import { Done, Id, listOfCore, Moment, oneOf, orNull, Reason } from './shapes'

/** One side of a pair, as far as it is compared. */
const Side = Type.Object({
  candidateId: Id,
  name: Type.String(),
  otherNames: Type.Array(Type.String()),
  born: orNull(Type.String()),
  phone: orNull(Type.String()),
  mails: Type.Array(Type.String()),
  /** What is hidden from the reader, to be had shown by one of the applications. */
  hidden: Type.Array(HiddenPart),
  since: Moment,
  applications: Type.Array(
    Type.Object({ id: Id, reference: orNull(Type.String()), title: Type.String(), stage: oneOf(stages) }),
  ),
  claims: Type.Array(Type.Object({ label: Type.String(), number: Type.String(), rung: oneOf(rungs) })),
})

export const listDuplicates = endpoint({
  method: 'GET',
  path: '/api/desk/duplicates',
  summary: 'Files that may be of one person, the likeliest first, and merges of the last days',
  access: 'duplicates.settle',
  reply: Type.Object({
    pairs: Type.Array(
      Type.Object({
        oneId: Id,
        otherId: Id,
        names: Type.Tuple([Type.String(), Type.String()]),
        likelihood: oneOf(['certain', 'likely', 'possible'] as const),
        agreeing: Type.Array(oneOf(comparedFields)),
      }),
    ),
    merged: Type.Array(
      Type.Object({ id: Id, kept: Type.String(), merged: Type.String(), by: Type.String(), at: Moment }),
    ),
  }),
  invalidates: ['desk'],
})

export const readDuplicate = endpoint({
  method: 'GET',
  path: '/api/desk/duplicates/:oneId/:otherId',
  summary: 'Two files side by side, with what agrees and what does not',
  access: 'duplicates.settle',
  params: Type.Object({ oneId: Id, otherId: Id }),
  reply: Type.Object({
    sides: Type.Tuple([Side, Side]),
    likelihood: oneOf(['certain', 'likely', 'possible', 'unlike'] as const),
    agreements: listOfCore<Agreement & { words: string }>(),
    state: oneOf(['open', 'apart'] as const),
  }),
  invalidates: ['desk'],
})

export const setApart = endpoint({
  method: 'POST',
  path: '/api/desk/duplicates/:oneId/:otherId/set-apart',
  summary: 'Record that two files are of two people; they are not shown together again',
  access: 'duplicates.settle',
  params: Type.Object({ oneId: Id, otherId: Id }),
  reply: Done,
  idempotent: true,
  invalidates: ['desk'],
})

export const mergeFiles = endpoint({
  method: 'POST',
  path: '/api/desk/people/:keptId/merges',
  summary: 'Merge another file into this one. Everything is kept; it can be undone',
  access: 'duplicates.settle',
  params: Type.Object({ keptId: Id }),
  body: Type.Object({ mergedId: Id, reason: Reason }),
  reply: Type.Object({ id: Id }),
  idempotent: true,
  invalidates: ['desk'],
})

export const undoMerge = endpoint({
  method: 'POST',
  path: '/api/desk/merges/:id/undo',
  summary: 'Take two files apart again, each with what it brought',
  access: 'duplicates.settle',
  params: Type.Object({ id: Id }),
  reply: Done,
  idempotent: true,
  invalidates: ['desk'],
})
