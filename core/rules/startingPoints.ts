import type { Section } from '../form/form'
import type { Requirement } from '../requirements/requirement'
import type { Rules } from './rules'
import { about, contact, papers, permission, send, study, work } from './sections'

export const startingPoints = ['licensed', 'apprenticeship', 'seasonal', 'office'] as const
export type StartingPoint = (typeof startingPoints)[number]

/** What a vacancy is begun with: its rules, and what is usual to say of such a post. */
export type Begun = { rules: Rules; contract: string; hours: string }

const deciders = ['hiring manager', 'administrator']

const mayCheck: Requirement = {
  key: 'permission',
  title: 'Permission to check',
  why: 'We ask those who issued your papers, and need your word for it.',
  translations: {
    de: { title: 'Erlaubnis zum Prüfen', why: 'Wir fragen die ausstellenden Stellen und brauchen dafür Ihr Wort.' },
  },
  gate: 'send',
  asks: { kind: 'permission' },
  rung: 'claimed',
  waivableBy: [],
}

const fiveYears: Requirement = {
  key: 'history',
  title: 'Five years without a gap',
  why: 'Whoever carries responsibility for others is known to us for five years.',
  translations: {
    de: {
      title: 'Fünf Jahre ohne Lücke',
      why: 'Von allen, die Verantwortung für andere tragen, kennen wir die letzten fünf Jahre.',
    },
  },
  gate: 'send',
  asks: { kind: 'history', years: 5, toleratedGapDays: 30 },
  rung: 'claimed',
  waivableBy: deciders,
}

const oneJob: Requirement = {
  key: 'reference',
  title: 'One job confirmed',
  why: 'An earlier employer tells us that you worked there.',
  translations: {
    de: { title: 'Eine Stelle bestätigt', why: 'Ein früherer Arbeitgeber sagt uns, dass Sie dort gearbeitet haben.' },
  },
  gate: 'offer',
  asks: { kind: 'reference', count: 1 },
  rung: 'claimed',
  waivableBy: deciders,
}

const taken: Requirement = {
  key: 'offer',
  title: 'Offer accepted',
  why: 'You start once you have said yes.',
  translations: { de: { title: 'Angebot angenommen', why: 'Sie beginnen, sobald Sie zugesagt haben.' } },
  gate: 'start',
  asks: { kind: 'offer accepted' },
  rung: 'claimed',
  waivableBy: [],
}

const learnt = (level: number, title: string, titleDe: string): Requirement => ({
  key: 'study',
  title,
  why: 'The work rests on what is taught there.',
  translations: { de: { title: titleDe, why: 'Die Arbeit baut auf dem auf, was dort gelehrt wird.' } },
  gate: 'shortlist',
  asks: { kind: 'study', levelAtLeast: level },
  rung: 'evidenced',
  paper: true,
  waivableBy: deciders,
})

const schoolReport: Section = {
  key: 'school',
  title: 'School',
  heading: 'What does your school say?',
  intro: 'A photo of each page will do.',
  holds: 'questions',
  translations: {
    de: { title: 'Schule', heading: 'Was sagt Ihre Schule?', intro: 'Ein Foto jeder Seite genügt.' },
  },
  questions: [
    {
      key: 'school.report',
      label: 'Your latest school report',
      kind: 'document',
      required: true,
      translations: { de: { label: 'Ihr letztes Schulzeugnis' } },
    },
    {
      key: 'school.why',
      label: 'Why do you want to learn this trade?',
      kind: 'long text',
      required: true,
      limit: 1500,
      translations: { de: { label: 'Warum wollen Sie diesen Beruf lernen?' } },
    },
  ],
}

const season: Section = {
  key: 'season',
  title: 'Season',
  heading: 'When can you work?',
  intro: 'From the first day to the last; days off in between are agreed later.',
  holds: 'questions',
  translations: {
    de: {
      title: 'Saison',
      heading: 'Wann können Sie arbeiten?',
      intro: 'Vom ersten bis zum letzten Tag; freie Tage dazwischen werden später vereinbart.',
    },
  },
  questions: [
    {
      key: 'season.from',
      label: 'First day',
      kind: 'date',
      required: true,
      translations: { de: { label: 'Erster Tag' } },
    },
    {
      key: 'season.through',
      label: 'Last day',
      kind: 'date',
      required: true,
      translations: { de: { label: 'Letzter Tag' } },
    },
    {
      key: 'season.lodging',
      label: 'Do you need a place to stay?',
      kind: 'yes or no',
      required: true,
      translations: { de: { label: 'Brauchen Sie eine Unterkunft?' } },
    },
  ],
}

/** The licence a post stands on, valid through the start; which one is chosen from the catalogue. */
const licence = (credential: string): Requirement => ({
  key: 'licence',
  title: 'Licence for this work',
  why: 'Without it the work may not be done.',
  translations: { de: { title: 'Lizenz für diese Arbeit', why: 'Ohne sie darf die Arbeit nicht getan werden.' } },
  gate: 'offer',
  asks: { kind: 'credential', credential },
  rung: 'confirmed',
  paper: true,
  validStartPlusDays: 30,
  waivableBy: [],
})

/**
 * What a vacancy of a certain sort is begun with, so that nobody begins with nothing.
 *
 * @param credential the licence to begin with, a key of the catalogue; none where there is no licence in it yet
 */
export function beginWith(start: StartingPoint, credential: string | undefined): Begun {
  return begun[start](credential)
}

const begun: Record<StartingPoint, (credential: string | undefined) => Begun> = {
  licensed: (credential) => ({
    contract: 'Permanent',
    hours: 'Full time',
    rules: {
      form: [about, contact, study, work, papers, permission, send],
      requirements: [mayCheck, fiveYears, ...(credential ? [licence(credential)] : []), oneJob, taken],
      onboarding: [],
    },
  }),
  apprenticeship: () => ({
    contract: 'Apprenticeship',
    hours: 'Full time',
    rules: {
      form: [about, contact, schoolReport, study, permission, send],
      requirements: [mayCheck, taken],
      onboarding: [],
    },
  }),
  seasonal: () => ({
    contract: 'Seasonal',
    hours: 'Full time',
    rules: {
      form: [about, contact, season, work, papers, permission, send],
      requirements: [mayCheck, { ...oneJob, gate: 'start' }, taken],
      onboarding: [],
    },
  }),
  office: () => ({
    contract: 'Permanent',
    hours: 'Full time or part time',
    rules: {
      form: [about, contact, study, work, permission, send],
      requirements: [mayCheck, learnt(4, 'School leaving or higher', 'Reifeprüfung oder höher'), oneJob, taken],
      onboarding: [],
    },
  }),
}
