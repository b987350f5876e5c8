import type { Section } from '#core/form/form'
import type { Requirement } from '#core/requirements/requirement'
import type { NewVacancy } from '#server/records/vacancies/vacancies'
import { equality, form, formWith, identity, vouching } from './form'

const boss = ['hiring manager', 'administrator']

const permission: Requirement = {
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
const history = (years: number): Requirement => ({
  key: 'history',
  title: `${years} years without a gap`,
  why: 'The transport authority asks us to know where safety staff have been.',
  translations: {
    de: { title: `${years} Jahre ohne Lücke`, why: 'Die Verkehrsbehörde will wissen, wo das Sicherheitspersonal war.' },
  },
  gate: 'send',
  asks: { kind: 'history', years, toleratedGapDays: 30 },
  rung: 'claimed',
  waivableBy: boss,
})
const homes = (years: number): Requirement => ({
  ...history(years),
  key: 'homes',
  title: `Homes of ${years} years`,
  why: 'The rescue authority looks people up where they lived.',
  translations: {
    de: { title: `Wohnungen von ${years} Jahren`, why: 'Die Rettungsbehörde fragt dort nach, wo jemand gewohnt hat.' },
  },
  asks: { kind: 'history', years, toleratedGapDays: 60, of: 'home' },
})
const identitySeen: Requirement = {
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
  asks: { kind: 'identity' },
  rung: 'evidenced',
  waivableBy: boss,
}
const vouchedFor: Requirement = {
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
const studySent = (levelAtLeast: number, fields?: string[]): Requirement => ({
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
const german: Readonly<Record<string, string>> = {
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
const inGerman = (title: string) => (german[title] ? { title: german[title] } : {})

const study = (title: string, levelAtLeast: number, fields?: string[]): Requirement => ({
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
const studySeen: Requirement = {
  ...study('Degree or diploma seen', 3),
  key: 'study-seen',
  gate: 'shortlist',
  rung: 'evidenced',
  why: 'Somebody has to have looked at it before the shortlist.',
  translations: {
    de: { ...inGerman('Degree or diploma seen'), why: 'Vor der engeren Wahl muss jemand sie angesehen haben.' },
  },
}
const credential = (key: string, title: string, more: Partial<Requirement> = {}): Requirement => ({
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
const firstAid = credential('first-aid', 'First aid at work', {
  rung: 'evidenced',
  validStartPlusDays: 0,
  why: 'On the mountain, help takes longer to arrive.',
  translations: {
    de: { ...inGerman('First aid at work'), why: 'Auf dem Berg dauert es länger, bis Hilfe kommt.' },
  },
  waivableBy: ['coordinator', ...boss],
})
const medical = credential('medical', 'Medical fitness', {
  rung: 'evidenced',
  why: 'The insurer asks for it, and so do we. Only the statement, never the findings.',
  translations: {
    de: {
      ...inGerman('Medical fitness'),
      why: 'Die Versicherung verlangt es, und wir auch. Nur die Bestätigung, nie die Befunde.',
    },
  },
})
const work: Requirement = {
  key: 'work',
  title: 'Jobs confirmed',
  why: 'We hear from every employer you allow us to ask.',
  translations: { de: { title: 'Stellen bestätigt', why: 'Wir hören von jeder Stelle, die wir fragen dürfen.' } },
  gate: 'start',
  asks: { kind: 'every work entry' },
  rung: 'confirmed',
  waivableBy: ['coordinator', ...boss],
}
const isolationCheck: Requirement = {
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
const offer: Requirement = {
  key: 'offer',
  title: 'Offer accepted',
  why: 'It takes both sides.',
  translations: { de: { title: 'Angebot angenommen', why: 'Es braucht beide Seiten.' } },
  gate: 'start',
  asks: { kind: 'offer accepted' },
  rung: 'claimed',
  waivableBy: [],
}
const handbook: Requirement = {
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
const experience = (years: number, tags: string[]): Requirement => ({
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

const onboarding = [
  {
    key: 'handbook',
    title: 'The safety handbook, edition 14',
    text: 'Stop the work when something is not as it should be; nobody will ever be blamed for it.\n\nIsolate, lock, tag, prove dead, earth. Your own lock, your own key, your own life.\n\nNobody goes out alone above the upper station in winter. Sign out, sign in.\n\nWind above 60 km/h, lightning within 8 km, or an avalanche bulletin of level 4 stops the installation. The dispatcher decides and is not overruled.\n\nReport what nearly happened. It is how the next person gets home.',
  },
]

type Post = Omit<NewVacancy, 'rules' | 'duties' | 'timeZone' | 'opensAt' | 'closesAt' | 'targetStart'> & {
  duties: string[]
  requirements: Requirement[]
  alsoAsks?: Section[]
  /** Sections that only this post asks. */
  asks?: Section
  opened: number
  closesIn: number
  startsIn: number
}

const rescueDuty: Section = {
  key: 'rescue',
  title: 'Being called',
  heading: 'When could you be called?',
  intro: 'Rescue happens at night and in bad weather. Tell us what is possible for you.',
  holds: 'questions',
  questions: [
    {
      key: 'rescue.minutes',
      label: 'How many minutes from your door to the valley station?',
      kind: 'number',
      unit: 'minutes',
      least: 0,
      most: 600,
      required: true,
      blanks: ['unknown'],
      help: 'If you would move here, say that you do not know yet.',
    },
    { key: 'rescue.winter', label: 'Would you lead in winter?', kind: 'yes or no', required: true },
    {
      key: 'rescue.seasons',
      label: 'How many winters have you led in the open?',
      kind: 'number',
      least: 0,
      most: 50,
      required: true,
      when: { fact: 'rescue.winter', is: 'yes' },
    },
    {
      key: 'rescue.dog',
      label: 'Papers of your rescue dog',
      kind: 'document',
      required: false,
      help: 'If you work with one.',
    },
    {
      key: 'rescue.video',
      label: 'In less than a minute: how would you get twenty people out of a stopped cabin?',
      kind: 'document',
      required: false,
      videoSeconds: 60,
      help: 'Say it to the camera, as you would say it to your crew. It is about what you say, not how you look.',
    },
  ],
}

const listItem = (text: string) => ({
  type: 'listItem',
  content: [{ type: 'paragraph', content: [{ type: 'text', text }] }],
})

const posts: Post[] = [
  {
    slug: 'cableway-electrical-supervisor',
    title: 'Cableway electrical supervisor',
    family: 'Electrical',
    place: 'Oberfeld',
    payFrom: 5_800_000,
    payTo: 7_100_000,
    contract: 'Permanent',
    hours: 'Full time, shifts',
    headcount: 2,
    summary:
      'Lead the electrical crew of three cableways between 900 and 2,850 metres, and answer for the high-voltage supply of two stations.',
    duties: [
      'Plan and supervise maintenance of drives, controls and the 20 kV supply',
      'Issue and withdraw switching authorisations',
      'Investigate faults with the control room, on the line if needed',
      'Train and assess technicians in isolation and lock-off',
    ],
    requirements: [
      permission,
      history(5),
      studySent(6, ['0713', '0714']),
      studySeen,
      experience(3, ['electrical']),
      study('Degree in electricity or electronics', 6, ['0713', '0714']),
      isolationCheck,
      credential('hv-switching', 'High-voltage switching authority'),
      credential('work-at-height', 'Work at height', { rung: 'evidenced' }),
      firstAid,
      work,
      offer,
      handbook,
    ],
    opened: -60,
    closesIn: 14,
    startsIn: 34,
  },
  {
    slug: 'rack-railway-driver',
    title: 'Rack-railway driver',
    family: 'Operations',
    place: 'Oberfeld depot',
    payFrom: 4_600_000,
    payTo: 5_400_000,
    contract: 'Permanent',
    hours: 'Full time, shifts',
    headcount: 4,
    summary:
      'Drive the rack railway from the valley to the glacier, in every season, with up to 240 people behind you.',
    duties: [
      'Drive to timetable and to the rule book',
      'Test brakes and rack engagement before each descent',
      'Inform passengers calmly when things stop',
    ],
    requirements: [
      permission,
      history(5),
      studySent(3),
      studySeen,
      study('Apprenticeship or higher', 3),
      credential('train-driving', 'Rack-railway driving licence', { gate: 'offer' }),
      medical,
      firstAid,
      work,
      offer,
      handbook,
    ],
    opened: -50,
    closesIn: 12,
    startsIn: 22,
  },
  {
    slug: 'rope-access-inspector',
    title: 'Rope-access inspector',
    family: 'Inspection',
    place: 'Vallorne valley station',
    payFrom: 5_200_000,
    payTo: 6_300_000,
    contract: 'Permanent',
    hours: 'Full time',
    headcount: 1,
    summary: 'Inspect towers, track ropes and grips on the rope, write what you find, and stop what is not safe.',
    duties: [
      'Inspect 41 towers twice a year',
      'Test track ropes magnetically',
      'Write findings that a court could read',
    ],
    requirements: [
      permission,
      history(5),
      studySent(4),
      studySeen,
      study('Technical training', 4, ['0715', '0732', '0713']),
      credential('rope-access', 'Rope access card', { gate: 'offer' }),
      credential('work-at-height', 'Work at height', { rung: 'evidenced' }),
      medical,
      work,
      offer,
      handbook,
    ],
    opened: -45,
    closesIn: 10,
    startsIn: 28,
  },
  {
    slug: 'control-room-dispatcher',
    title: 'Control-room dispatcher',
    family: 'Operations',
    place: 'Vallorne valley station',
    payFrom: 4_800_000,
    payTo: 5_700_000,
    contract: 'Permanent',
    hours: 'Full time, nights',
    headcount: 2,
    summary: 'Watch every installation of the valley at once, decide when to stop, and say so clearly.',
    duties: [
      'Run the day’s service with drivers and stations',
      'Decide on stops for wind, lightning and avalanche',
      'Lead the first hour of an evacuation',
    ],
    requirements: [
      permission,
      history(5),
      studySent(3),
      studySeen,
      study('Apprenticeship or higher', 3),
      credential('dispatcher', 'Control-room dispatcher licence', { gate: 'offer' }),
      isolationCheck,
      medical,
      work,
      offer,
      handbook,
    ],
    opened: -45,
    closesIn: 8,
    startsIn: 15,
  },
  {
    slug: 'track-engineer',
    title: 'Track engineer',
    family: 'Engineering',
    place: 'Oberfeld',
    payFrom: 6_000_000,
    payTo: 7_400_000,
    contract: 'Fixed term, three years',
    hours: 'Full time or 80 %',
    headcount: 1,
    summary: 'Renew nine kilometres of rack and rail between two winters, with the trains running.',
    duties: [
      'Design and supervise rack and track renewal',
      'Survey slopes and drainage after the thaw',
      'Sign off works trains',
    ],
    requirements: [
      permission,
      history(3),
      studySent(6, ['0732', '0715']),
      studySeen,
      study('Degree in civil or mechanical engineering', 6, ['0732', '0715']),
      experience(2, ['track']),
      credential('signalling', 'Signalling works authority', {
        alternatives: [{ kind: 'credential', credential: 'train-driving' }],
      }),
      firstAid,
      work,
      offer,
      handbook,
    ],
    opened: -40,
    closesIn: 20,
    startsIn: 40,
  },
  {
    slug: 'cableway-mechanic',
    title: 'Cableway mechanic',
    family: 'Workshop',
    place: 'Hochsattel',
    payFrom: 4_300_000,
    payTo: 5_100_000,
    contract: 'Permanent',
    hours: 'Full time',
    headcount: 3,
    summary: 'Keep grips, sheaves and brakes in order, in the workshop in summer and on the line in winter.',
    duties: [
      'Overhaul grips and carriers to schedule',
      'Replace sheave linings on the line',
      'Shorten and splice haul ropes',
    ],
    requirements: [
      permission,
      history(3),
      studySent(3, ['0715', '0713', '0716']),
      studySeen,
      study('Apprenticeship in a metal or electrical trade', 3, ['0715', '0713', '0716']),
      isolationCheck,
      credential('work-at-height', 'Work at height', { rung: 'evidenced' }),
      credential('welding', 'Welding qualification', { rung: 'evidenced', waivableBy: ['coordinator', ...boss] }),
      work,
      offer,
      handbook,
    ],
    opened: -40,
    closesIn: 14,
    startsIn: 30,
  },
  {
    slug: 'station-lead-oberfeld',
    title: 'Station lead',
    family: 'Operations',
    place: 'Oberfeld',
    payFrom: 4_400_000,
    payTo: 5_000_000,
    contract: 'Permanent',
    hours: 'Full time, weekends',
    headcount: 1,
    summary: 'Lead eight people at the middle station, and know every guest who comes twice.',
    duties: [
      'Plan shifts for eight people',
      'Open and close the station safely',
      'Speak for the valley when things stop',
    ],
    requirements: [permission, history(3), studySent(3), studySeen, firstAid, work, offer, handbook],
    opened: -20,
    closesIn: 22,
    startsIn: 70,
  },
  {
    slug: 'station-lead-hochsattel',
    title: 'Station lead',
    family: 'Operations',
    place: 'Hochsattel',
    payFrom: 4_600_000,
    payTo: 5_200_000,
    contract: 'Permanent',
    hours: 'Full time, weekends',
    headcount: 1,
    summary: 'Lead the top station at 2,850 metres, where the weather decides and you decide with it.',
    duties: [
      'Plan shifts for five people',
      'Decide with the control room on wind and visibility',
      'Keep the shelter ready',
    ],
    requirements: [permission, history(3), studySent(3), studySeen, firstAid, medical, work, offer, handbook],
    opened: -20,
    closesIn: 22,
    startsIn: 70,
  },
  {
    slug: 'rescue-lead',
    title: 'Rescue lead',
    family: 'Rescue',
    place: 'Vallorne valley station',
    payFrom: 5_400_000,
    payTo: 6_400_000,
    contract: 'Permanent',
    hours: 'Full time, on call',
    headcount: 1,
    summary: 'Lead evacuations of cabins and trains, train everyone for them, and be called at night.',
    duties: [
      'Keep evacuation plans and equipment ready',
      'Lead two full exercises a year',
      'Be on call one week in three',
    ],
    asks: rescueDuty,
    alsoAsks: [identity, vouching, equality],
    requirements: [
      permission,
      history(5),
      homes(3),
      identitySeen,
      vouchedFor,
      studySent(3),
      studySeen,
      credential('rope-access', 'Rope access or work at height', {
        gate: 'offer',
        alternatives: [{ kind: 'credential', credential: 'work-at-height' }],
      }),
      credential('blasting', 'Avalanche blasting permit', {
        when: { fact: 'rescue.winter', is: 'yes' },
        why: 'Who leads in winter clears slopes before the first train.',
      }),
      {
        ...isolationCheck,
        exempt: {
          when: {
            any: [
              { fact: 'file.accreditedFields', holds: '0713' },
              { fact: 'file.credentials', holds: 'hv-switching' },
            ],
          },
          because: 'an accredited programme or a switching authority has taught it',
        },
      },
      medical,
      firstAid,
      work,
      offer,
      handbook,
    ],
    opened: -10,
    closesIn: 24,
    startsIn: 80,
  },
]

/** The vacancies as they stand on the day the demo is loaded; closing is at 17:00 of the time zone. */
export function vacanciesOn(
  dayAt: (offset: number, hour: number) => Date,
  isoDay: (offset: number) => string,
  timeZone: string,
): NewVacancy[] {
  return posts.map(({ opened, closesIn, startsIn, duties, requirements, asks, alsoAsks = [], ...post }) => ({
    ...post,
    duties: { type: 'doc', content: [{ type: 'bulletList', content: duties.map(listItem) }] },
    decidedBy: 'bastian@vallorne.example',
    rules: { form: asks ? formWith(asks, ...alsoAsks) : form, requirements, onboarding },
    timeZone,
    opensAt: dayAt(opened, 8),
    closesAt: dayAt(closesIn, 17),
    targetStart: isoDay(startsIn),
  }))
}
