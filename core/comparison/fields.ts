import type { ClaimKind } from '../requirements/claimKind'
import type { Field, Statement } from './compareClaim'

const name: Field = { key: 'name', kind: 'name', matters: true }
const born: Field = { key: 'born', kind: 'date', matters: false }

const credential: readonly Field[] = [
  name,
  { key: 'title', kind: 'words', matters: true },
  { key: 'number', kind: 'number', matters: true },
  { key: 'issued', kind: 'date', matters: false },
  { key: 'through', kind: 'date', matters: true },
  { key: 'amount', kind: 'amount', matters: true, ifClaimed: true },
  born,
]

const fields: Partial<Record<ClaimKind, readonly Field[]>> = {
  study: [
    name,
    { key: 'award', kind: 'words', matters: true },
    { key: 'subject', kind: 'words', matters: true },
    { key: 'second', kind: 'words', matters: false, ifClaimed: true },
    { key: 'number', kind: 'number', matters: true },
    { key: 'awarded', kind: 'date', matters: true },
    born,
  ],
  identity: [
    name,
    { key: 'number', kind: 'number', matters: true },
    { key: 'born', kind: 'date', matters: true },
    { key: 'through', kind: 'date', matters: true },
  ],
  licence: credential,
  certificate: credential,
  language: credential,
  attestation: [
    name,
    { key: 'title', kind: 'words', matters: true },
    { key: 'number', kind: 'number', matters: true },
    { key: 'issued', kind: 'date', matters: true },
  ],
  work: [
    name,
    { key: 'position', kind: 'words', matters: true },
    { key: 'from', kind: 'date', matters: true },
    { key: 'to', kind: 'date', matters: true },
  ],
}

/** What is compared between claim, document and reply for each kind of claim. */
export const fieldsOf = (kind: ClaimKind, claimed: Statement): readonly Field[] =>
  (fields[kind] ?? [name]).filter(({ key, ifClaimed }) => !ifClaimed || claimed[key] !== undefined)
