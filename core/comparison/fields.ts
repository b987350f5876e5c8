import type { ClaimKind } from '../requirements/claimKind'
import type { Field, Statement } from './compareClaim'

const name: Field = { key: 'name', kind: 'name', matters: true, weight: 3 }
const born: Field = { key: 'born', kind: 'date', matters: false, weight: 2 }

const credential: readonly Field[] = [
  name,
  { key: 'title', kind: 'words', matters: true, weight: 2 },
  { key: 'number', kind: 'number', matters: true, weight: 4 },
  { key: 'issued', kind: 'date', matters: false, weight: 1 },
  { key: 'through', kind: 'date', matters: true, weight: 2 },
  { key: 'amount', kind: 'amount', matters: true, ifClaimed: true, weight: 2 },
  born,
]

/** Weights are in points: a number belongs to one paper and says most; names and awards say much, days and positions less. */
const fields: Partial<Record<ClaimKind, readonly Field[]>> = {
  study: [
    name,
    { key: 'award', kind: 'words', matters: true, weight: 3 },
    { key: 'subject', kind: 'words', matters: true, weight: 2 },
    { key: 'second', kind: 'words', matters: false, ifClaimed: true, weight: 1 },
    { key: 'number', kind: 'number', matters: true, weight: 3 },
    { key: 'awarded', kind: 'date', matters: true, weight: 2 },
    born,
  ],
  identity: [
    name,
    { key: 'number', kind: 'number', matters: true, weight: 4 },
    { key: 'born', kind: 'date', matters: true, weight: 3 },
    { key: 'through', kind: 'date', matters: true, weight: 1 },
  ],
  licence: credential,
  certificate: credential,
  language: credential,
  attestation: [
    name,
    { key: 'title', kind: 'words', matters: true, weight: 2 },
    { key: 'number', kind: 'number', matters: true, weight: 3 },
    { key: 'issued', kind: 'date', matters: true, weight: 2 },
  ],
  work: [
    name,
    { key: 'position', kind: 'words', matters: true, weight: 2 },
    { key: 'from', kind: 'date', matters: true, weight: 2 },
    { key: 'to', kind: 'date', matters: true, weight: 2 },
  ],
}

/** What is compared between claim, document and reply for each kind of claim. */
export const fieldsOf = (kind: ClaimKind, claimed: Statement): readonly Field[] =>
  (fields[kind] ?? [name]).filter(({ key, ifClaimed }) => !ifClaimed || claimed[key] !== undefined)
