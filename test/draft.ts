import { v7 as uuid } from 'uuid'
import type { Draft } from '#contract/applications'
import type { Claim, ClaimDetails } from '#contract/claims'
import type { Section } from '#core/form/form'

type Of<Kind extends ClaimDetails['kind']> = Extract<ClaimDetails, { kind: Kind }>

export const aWork = (over: Partial<Of<'work'>> = {}): ClaimDetails => ({
  ...{ kind: 'work', sourceId: null, sourceName: 'Karwen Line', activity: 'employment', position: 'Driver' },
  ...{ from: '2022-01-01', to: 'present', fullTimeShare: 100, tags: [], confirmBy: '', mayAsk: 'now' },
  ...over,
})

export const aStudy = (over: Partial<Of<'study'>> = {}): ClaimDetails => ({
  ...{ kind: 'study', sourceId: null, sourceName: 'Arvelle', award: 'MSc', subject: 'Power systems' },
  ...{ level: 7, field: '0713', number: 'AR-1', from: '2019-09', to: '2021-07' },
  ...over,
})

/** A claim as its candidate reads it. */
export const aClaim = (details: ClaimDetails, over: Partial<Claim> = {}): Claim => ({
  ...{ id: uuid(), version: 2, credentialVersion: 1, details, label: 'A claim', rung: 'claimed', confirmed: null },
  ...{ saidAt: '2026-11-01T08:00:00.000Z', documents: [], earlier: [] },
  ...over,
})

export const aSection = (holds: Section['holds'], over: Partial<Section> = {}): Section => ({
  ...{ key: holds, title: `Part of ${holds}`, heading: `Part of ${holds}`, intro: '', holds, questions: [] },
  ...over,
})

/** An application that is being written, with nothing in it. */
export const aDraft = (over: Partial<Draft> = {}): Draft => ({
  ...{ id: uuid(), version: 1, stage: 'being written', reference: null, form: [], requirements: [], answers: {} },
  askedBySources: [],
  studies: [],
  vacancy: {
    ...{ slug: 'track-engineer', title: 'Track engineer', closesAt: '2026-12-20T16:00:00.000Z' },
    ...{ timeZone: 'Europe/Vienna', targetStart: '2027-02-01', paperLanguages: ['en'], open: true },
  },
  ...{
    begunAt: '2026-11-20T08:00:00.000Z',
    behalf: null,
    takenOver: {},
    decided: {},
    reopened: [],
    fileFacts: {},
    claims: [],
  },
  ...{
    vouchings: [],
    equalityGiven: false,
    permission: null,
    authorised: [],
    permissionText: 'You may ask.\n\nUntil it is over.',
  },
  ...{ outcomes: [], left: [], lastSection: null, stillAsked: [], savedAt: '2026-11-28T08:00:00.000Z' },
  completion: null,
  today: '2026-11-28',
  ...over,
})
