import type { ClaimKind } from '../requirements/requirement'
import type { Field } from './compareClaim'

const name: Field = { key: 'name', label: 'Name', kind: 'name', matters: true }
const born: Field = { key: 'born', label: 'Born', kind: 'date', matters: false }

const credential: readonly Field[] = [
  name,
  { key: 'title', label: 'Kind', kind: 'words', matters: true },
  { key: 'number', label: 'Number', kind: 'number', matters: true },
  { key: 'issued', label: 'Issued', kind: 'date', matters: false },
  { key: 'through', label: 'Valid through', kind: 'date', matters: true },
  born,
]

const fields: Partial<Record<ClaimKind, readonly Field[]>> = {
  study: [
    name,
    { key: 'award', label: 'Award', kind: 'words', matters: true },
    { key: 'subject', label: 'Subject', kind: 'words', matters: true },
    { key: 'number', label: 'Number', kind: 'number', matters: true },
    { key: 'awarded', label: 'Awarded', kind: 'date', matters: true },
    born,
  ],
  identity: [
    name,
    { key: 'number', label: 'Number', kind: 'number', matters: true },
    { key: 'born', label: 'Born', kind: 'date', matters: true },
    { key: 'through', label: 'Valid through', kind: 'date', matters: true },
  ],
  licence: credential,
  certificate: credential,
  work: [
    name,
    { key: 'position', label: 'Position', kind: 'words', matters: true },
    { key: 'from', label: 'First day', kind: 'date', matters: true },
    { key: 'to', label: 'Last day', kind: 'date', matters: true },
  ],
}

/** What is compared between claim, document and reply for each kind of claim. */
export const fieldsOf = (kind: ClaimKind): readonly Field[] => fields[kind] ?? [name]
