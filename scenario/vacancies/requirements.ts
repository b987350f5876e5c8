import type { Requirement } from '#core/requirements/requirement'

/** What the vacancies of the demo require, each written once. */

export const boss = ['hiring manager', 'administrator']

export const permission: Requirement = {
  key: 'permission',
  title: 'Permission to check',
  why: 'We ask your schools, licensing bodies and employers, and need your word for it.',
  translations: {
    de: {
      title: 'Erlaubnis zum Prüfen',
      why: 'Wir fragen Ihre Schulen, Behörden und Arbeitgeber und brauchen dafür Ihr Wort.',
    },
  },
  gate: 'send',
  asks: { kind: 'permission' },
  rung: 'claimed',
  waivableBy: [],
}
export const history = (years: number): Requirement => ({
  key: 'history',
  title: `${years} years without a gap`,
  why: 'The transport authority asks us to know where safety staff have been.',
  citation: {
    text: 'Mountain Railways and Cableways Order, section 14 (2)',
    link: 'https://law.vallorne.example/mountain-railways-order#s14',
  },
  translations: {
    de: { title: `${years} Jahre ohne Lücke`, why: 'Die Verkehrsbehörde will wissen, wo das Sicherheitspersonal war.' },
  },
  gate: 'send',
  asks: { kind: 'history', years, toleratedGapDays: 30 },
  rung: 'claimed',
  waivableBy: boss,
})
export const homes = (years: number): Requirement => ({
  ...history(years),
  key: 'homes',
  title: `Homes of ${years} years`,
  why: 'The rescue authority looks people up where they lived.',
  translations: {
    de: { title: `Wohnungen von ${years} Jahren`, why: 'Die Rettungsbehörde fragt dort nach, wo jemand gewohnt hat.' },
  },
  asks: { kind: 'history', years, toleratedGapDays: 60, of: 'home', street: true },
})
export const identitySeen: Requirement = {
  key: 'identity',
  title: 'Identity',
  why: 'Who leads a rescue holds a badge of the authority, which is made out to a proven name.',
  translations: {
    de: {
      title: 'Identität',
      why: 'Wer eine Rettung leitet, trägt einen Ausweis der Behörde; er lautet auf einen belegten Namen.',
    },
  },
  gate: 'shortlist',
  asks: { kind: 'identity', portrait: true },
  rung: 'evidenced',
  waivableBy: boss,
}
export const vouchedFor: Requirement = {
  key: 'vouched-for',
  title: 'Vouched for by somebody who was there',
  why: 'A supervisor or instructor has seen what no paper shows: how you act when it matters.',
  translations: {
    de: {
      title: 'Jemand, der dabei war, bürgt',
      why: 'Eine vorgesetzte oder ausbildende Person hat gesehen, was kein Papier zeigt: wie Sie handeln, wenn es darauf ankommt.',
    },
  },
  gate: 'offer',
  asks: { kind: 'vouching', count: 1 },
  rung: 'claimed',
  waivableBy: boss,
}
export const studySent = (levelAtLeast: number, fields?: string[]): Requirement => ({
  key: 'study-sent',
  title: 'Degree or diploma, with its certificate',
  why: 'So that we can ask whoever awarded it.',
  translations: {
    de: {
      title: 'Studium oder Abschluss, mit Urkunde',
      why: 'Damit wir bei der verleihenden Stelle nachfragen können.',
    },
  },
  gate: 'send',
  asks: { kind: 'study', levelAtLeast, fields },
  rung: 'claimed',
  paper: true,
  waivableBy: [],
})
const germanTitles: Readonly<Record<string, string>> = {
  'Degree in civil or mechanical engineering': 'Studium in Bau oder Maschinenbau',
  'Rope access card': 'Karte für Seilzugang',
  'Work at height': 'Arbeiten in der Höhe',
  'Rope access or work at height': 'Seilzugang oder Arbeiten in der Höhe',
  'First aid at work': 'Erste Hilfe am Arbeitsplatz',
  'Technical training': 'Technische Ausbildung',
  'Rack-railway driving licence': 'Führerschein für Zahnradbahnen',
  'Apprenticeship or higher': 'Lehre oder höher',
  'Signalling works authority': 'Berechtigung für Arbeiten an Signalen',
  'Apprenticeship in a metal or electrical trade': 'Lehre in einem Metall- oder Elektroberuf',
  'Medical fitness': 'Gesundheitliche Eignung',
  'High-voltage switching authority': 'Schaltberechtigung für Hochspannung',
  'Degree in electricity or electronics': 'Studium in Elektrizität oder Elektronik',
  'Degree or diploma seen': 'Abschluss angesehen',
  'Welding qualification': 'Schweißprüfung',
  'Avalanche blasting permit': 'Sprengbefugnis für Lawinen',
  'Control-room dispatcher licence': 'Lizenz für die Leitstelle',
}
const inGerman = (title: string) => (germanTitles[title] ? { title: germanTitles[title] } : {})

export const study = (title: string, levelAtLeast: number, fields?: string[]): Requirement => ({
  key: 'study',
  title,
  why: 'The post needs this training by law or by the nature of the work.',
  translations: {
    de: {
      ...inGerman(title),
      why: 'Die Stelle verlangt diese Ausbildung nach dem Gesetz oder wegen der Arbeit selbst.',
    },
  },
  gate: 'offer',
  asks: { kind: 'study', levelAtLeast, fields },
  rung: 'confirmed',
  waivableBy: boss,
})
export const studySeen: Requirement = {
  ...study('Degree or diploma seen', 3),
  key: 'study-seen',
  gate: 'shortlist',
  rung: 'evidenced',
  why: 'Somebody has to have looked at it before the shortlist.',
  translations: {
    de: { ...inGerman('Degree or diploma seen'), why: 'Vor der engeren Wahl muss jemand sie angesehen haben.' },
  },
}
export const credential = (key: string, title: string, more: Partial<Requirement> = {}): Requirement => ({
  key,
  title,
  why: 'The work may not be done without it.',
  translations: { de: { ...inGerman(title), why: 'Ohne das darf die Arbeit nicht getan werden.' } },
  gate: 'start',
  asks: { kind: 'credential', credential: key },
  rung: 'confirmed',
  validStartPlusDays: 30,
  waivableBy: boss,
  ...more,
})
export const dismissed: Requirement = {
  key: 'dismissed',
  title: 'No dismissal for a breach of safety',
  why: 'Who works alone at night has to be trusted with the rules; a person reads what happened.',
  translations: {
    de: {
      title: 'Keine Entlassung wegen Sicherheitsverstoß',
      why: 'Wer nachts allein arbeitet, dem muss man die Regeln anvertrauen können; ein Mensch liest, was war.',
    },
  },
  gate: 'offer',
  asks: {
    kind: 'declaration',
    question: 'declare.dismissed',
    mustBe: 'no',
    deciders: ['ines@vallorne.example', 'bastian@vallorne.example'],
    together: true,
  },
  rung: 'claimed',
  waivableBy: ['administrator'],
}
export const firstAid = credential('first-aid', 'First aid at work', {
  rung: 'evidenced',
  interim: { days: 60 },
  validStartPlusDays: 0,
  why: 'On the mountain, help takes longer to arrive.',
  translations: {
    de: { ...inGerman('First aid at work'), why: 'Auf dem Berg dauert es länger, bis Hilfe kommt.' },
  },
  waivableBy: ['coordinator', ...boss],
})
export const medical = credential('medical', 'Medical fitness', {
  rung: 'evidenced',
  why: 'The insurer asks for it, and so do we. Only the statement, never the findings.',
  translations: {
    de: {
      ...inGerman('Medical fitness'),
      why: 'Die Versicherung verlangt es, und wir auch. Nur die Bestätigung, nie die Befunde.',
    },
  },
})
export const work: Requirement = {
  key: 'work',
  title: 'Jobs confirmed',
  why: 'We hear from every employer you allow us to ask.',
  translations: { de: { title: 'Stellen bestätigt', why: 'Wir hören von jeder Stelle, die wir fragen dürfen.' } },
  gate: 'start',
  asks: { kind: 'every work entry' },
  rung: 'confirmed',
  waivableBy: ['coordinator', ...boss],
}
export const isolationCheck: Requirement = {
  key: 'isolation',
  title: 'Isolation and lock-off',
  why: 'Nobody works on our installations who has not shown that they can make them safe.',
  translations: {
    de: {
      title: 'Freischalten und Sichern',
      why: 'An unseren Anlagen arbeitet nur, wer gezeigt hat, dass er sie sichern kann.',
    },
  },
  gate: 'offer',
  asks: { kind: 'skills check', check: 'isolation' },
  rung: 'claimed',
  waivableBy: boss,
}
export const offer: Requirement = {
  key: 'offer',
  title: 'Offer accepted',
  why: 'It takes both sides.',
  translations: { de: { title: 'Angebot angenommen', why: 'Es braucht beide Seiten.' } },
  gate: 'start',
  asks: { kind: 'offer accepted' },
  rung: 'claimed',
  waivableBy: [],
}
export const handbook: Requirement = {
  key: 'handbook',
  title: 'Safety handbook acknowledged',
  why: 'Everyone has read it before the first day.',
  translations: {
    de: { title: 'Sicherheitshandbuch zur Kenntnis genommen', why: 'Alle haben es vor dem ersten Tag gelesen.' },
  },
  gate: 'start',
  asks: { kind: 'onboarding task', task: 'handbook' },
  rung: 'claimed',
  waivableBy: [],
}
export const experience = (years: number, tags: string[]): Requirement => ({
  key: 'experience',
  title: `${years} years in ${tags.join(' or ')}`,
  why: 'The post leads others in this work.',
  translations: {
    de: { title: `${years} Jahre in ${tags.join(' oder ')}`, why: 'Die Stelle leitet andere in dieser Arbeit an.' },
  },
  gate: 'shortlist',
  asks: { kind: 'experience', months: years * 12, tags },
  rung: 'claimed',
  waivableBy: ['coordinator', ...boss],
})

export const onboarding = [
  {
    key: 'handbook',
    title: 'The safety handbook, edition 14',
    text: 'Stop the work when something is not as it should be; nobody will ever be blamed for it.\n\nIsolate, lock, tag, prove dead, earth. Your own lock, your own key, your own life.\n\nNobody goes out alone above the upper station in winter. Sign out, sign in.\n\nWind above 60 km/h, lightning within 8 km, or an avalanche bulletin of level 4 stops the installation. The dispatcher decides and is not overruled.\n\nReport what nearly happened. It is how the next person gets home.',
  },
]

export const ofAge: Requirement = {
  key: 'of-age',
  title: 'Of age on the first day',
  why: 'Nobody under age may be called at night.',
  translations: {
    de: { title: 'Volljährig am ersten Tag', why: 'Minderjährige dürfen nachts nicht gerufen werden.' },
  },
  gate: 'send',
  asks: { kind: 'age', question: 'about.born', least: 18 },
  rung: 'claimed',
  waivableBy: [],
}
export const speaksGerman: Requirement = {
  key: 'german',
  title: 'German',
  why: 'Passengers and the valley’s fire brigades are led in German.',
  translations: {
    de: { title: 'Deutsch', why: 'Fahrgäste und die Feuerwehren im Tal werden auf Deutsch geführt.' },
  },
  gate: 'shortlist',
  asks: { kind: 'language', language: 'de', level: 'B2' },
  rung: 'claimed',
  waivableBy: boss,
}
export const vaccinated: Requirement = {
  key: 'vaccinated',
  title: 'Vaccination against tick-borne encephalitis',
  why: 'Rescues lead through undergrowth; ticks there carry it.',
  citation: { text: 'Rescue authority, Order 7/2024, section 3' },
  translations: {
    de: {
      title: 'Impfung gegen Zeckenenzephalitis',
      why: 'Rettungen führen durchs Unterholz; Zecken tragen sie dort.',
    },
  },
  gate: 'start',
  asks: { kind: 'credential', credential: 'tick-vaccination' },
  rung: 'evidenced',
  validStartPlusDays: 0,
  waivableBy: boss,
}
export const covered: Requirement = {
  key: 'covered',
  title: 'Liability cover',
  why: 'Who leads strangers on a rope is liable for them.',
  translations: {
    de: { title: 'Haftpflichtdeckung', why: 'Wer Fremde am Seil führt, haftet für sie.' },
  },
  gate: 'start',
  asks: {
    kind: 'credential',
    credential: 'guide-insurance',
    atLeast: { field: 'sum-insured', amount: 200_000_000 },
  },
  rung: 'confirmed',
  validStartPlusDays: 0,
  waivableBy: boss,
}
/** The same, with somebody who vouches for its copy. */
export const certifiedCopy = (requirement: Requirement): Requirement => ({
  ...requirement,
  certified: { forms: ['certified copy', 'notarised'], by: 'a notary, a court or the school itself' },
})
