import { v7 as uuid } from 'uuid'
import type { File, FileClaim } from '#contract/desk'
import type { Proof } from '#contract/verification'
import type { Rung } from '#core/requirements/requirement'

export type DeskRequirement = File['requirements'][number]
export type DeskOutcome = File['outcomes'][number]

/** A licence as the desk reads it, claimed and nothing more. */
export const aLicence = (over: Partial<FileClaim> = {}): FileClaim => ({
  id: uuid(),
  version: 3,
  credentialVersion: 1,
  label: 'Rope access card',
  rung: 'claimed' as Rung,
  confirmed: null,
  saidAt: '2026-11-01T08:00:00.000Z',
  details: {
    ...{ kind: 'licence', sourceId: null, sourceName: 'Ropeguild International', credential: 'rope-access' },
    ...{ number: 'RG-3-21560', issued: '2024-03-03', through: '2026-12-18' },
  } as FileClaim['details'],
  documents: [],
  earlier: [],
  wants: '',
  by: 'start',
  asked: null,
  restricted: null,
  flags: 0,
  ...over,
})

/** What stands behind a claim nobody has asked about. */
export const aProof = (over: Partial<Proof> = {}): Proof => ({
  version: 3,
  fields: [],
  claimed: {},
  standing: null,
  comparison: { fields: [], explanations: [], outcome: 'no reply' },
  sentence: { head: 'The source has not answered yet.', detail: '' },
  enquiries: [],
  findings: [],
  review: null,
  flags: [],
  proposed: null,
  register: false,
  source: null,
  seller: null,
  research: null,
  programme: null,
  zone: null,
  ...over,
})

export const aDocument = (over: Partial<FileClaim['documents'][number]> = {}): FileClaim['documents'][number] => ({
  id: uuid(),
  fileName: 'Card.pdf',
  mediaType: 'application/pdf',
  size: 11_000,
  pages: 1,
  finalBy: null,
  part: 'certificate',
  translationOf: null,
  ...{ seconds: null, live: false, likeness: null, holder: null, fromWord: false },
  state: 'to look at',
  sentBackBecause: null,
  ...{ reads: {}, readBy: {}, letter: null },
  uploadedAt: '2026-11-02T08:00:00.000Z',
  seenBy: null,
  seenAt: null,
  version: 0,
  ...over,
})

export const anEnquiry = (over: Partial<Proof['enquiries'][number]> = {}): Proof['enquiries'][number] => ({
  ...{ id: uuid(), reference: null, lacks: [], paper: false },
  steps: [
    {
      ...{ step: 'asked', channel: 'link', at: '2026-11-20T08:00:00.000Z', by: 'Ines Caldwell' },
      ...{ to: 'cards@ropeguild.example', note: '' },
    },
  ],
  round: 1,
  channel: 'link',
  state: 'answered',
  source: 'Ropeguild International',
  askedAt: '2026-11-20T08:00:00.000Z',
  askedBy: 'Ines Caldwell',
  answerBy: '2026-12-04',
  answeredAt: '2026-11-24T08:00:00.000Z',
  respondent: 'Card office',
  note: null,
  ...over,
})

/** A requirement of a file, and how it comes out. */
export function asked(
  key: string,
  {
    state = 'unmet',
    gate = 'shortlist',
    waivableBy = [] as string[],
    ...over
  }: Partial<DeskOutcome & DeskRequirement> = {},
): { requirement: DeskRequirement; outcome: DeskOutcome } {
  const title = over.title ?? key
  return {
    requirement: { key, title, why: 'It is needed.', gate, asks: { kind: 'permission' }, rung: 'claimed', waivableBy },
    outcome: {
      ...{ requirement: key, title, gate, state, claims: [] },
      reason: over.reason ?? { code: state === 'met' ? 'met' : 'not-signed' },
      steps: state === 'met' ? [] : [{ who: 'candidate', what: 'sign' }],
    },
  }
}

/** The file of somebody who has sent an application. */
export const aFile = (over: Partial<File> = {}, all: ReturnType<typeof asked>[] = []): File => ({
  id: uuid(),
  version: 5,
  candidate: {
    id: uuid(),
    name: 'Oskar Fjellheim',
    mail: 'oskar@mail.example',
    born: '1984-09-13',
    language: 'en',
  },
  firstLook: { eligible: 'yes', because: [], blanks: [], settled: { done: 1, of: 3 } },
  scoring: null,
  duplicates: [],
  onBehalf: null,
  owner: null,
  watching: false,
  hidden: [],
  reference: 'VM-EDMH-RK',
  vacancy: { id: uuid(), slug: 'rope-access-inspector', title: 'Rope-access inspector', place: 'Vallorne' },
  stage: 'sent',
  today: '2026-11-28',
  targetStart: '2026-12-26',
  likely: { early: '2026-12-11', likely: '2027-01-05', late: '2027-02-23', chance: 70 },
  slack: -10,
  heldUpBy: { title: 'Rope access card', share: 80 },
  help: null,
  nextGate: 'shortlist',
  met: { done: 1, of: 3 },
  claims: [],
  answers: [],
  changes: [],
  reopened: [],
  vouchings: [],
  parts: [],
  requirements: all.map(({ requirement }) => requirement),
  outcomes: all.map(({ outcome }) => outcome),
  words: Object.fromEntries(
    all.map(({ outcome }) => [outcome.requirement, { why: 'Not signed yet.', ball: 'Candidate: sign' }]),
  ),
  historyYears: 5,
  toleratedGapDays: 30,
  checks: [],
  waivers: [],
  offer: null,
  gatesPassed: [],
  trail: [],
  ...over,
})
