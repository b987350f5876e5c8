/** The people of the demo, as data. Days are counted from the day the demo is loaded; negative is before. */
import type { Role } from '#contract/roles'
import type { Language } from '#core/words/say'

export type StudyPlan = {
  source: string
  award: string
  subject: string
  level: number
  field: string
  number: string
  from: string
  to: string
  printedName?: string
  printedNumber?: string
  paper?: boolean
}
export type JobPlan = {
  source: string | null
  name?: string
  position: string
  from: string
  to: string
  tags: string[]
  mayAsk?: 'now' | 'after an offer' | 'never'
  activity?: 'employment' | 'care' | 'travel' | 'without work' | 'study or training' | 'military or civilian service'
  letter?: boolean
}
export type CredentialPlan = {
  credential: string
  source: string
  number: string
  issuedDays: number
  throughDays: number | 'does not expire'
  registered?: 'same' | 'other name' | 'absent'
  paper?: boolean
}

/** What is done with one of the claims, which are counted through studies, jobs and credentials in this order. */
export type Act =
  | { day: number; see: string }
  | { day: number; sendBack: string; reason: string }
  | { day: number; ask: string }
  | {
      day: number
      answer: string
      differs?: Record<string, string>
      cannotSay?: string[]
      unknown?: true
      note?: string
      by?: string
    }
  | { day: number; register: string }
  | {
      day: number
      decide: string
      as: 'confirmed' | 'confirmed with a note' | 'contradicted' | 'unconfirmable'
      note?: string
    }
  | { day: number; check: number }
  | { day: number; pass: 'shortlist' | 'offer' | 'start' }
  | { day: number; waive: string; reason: string }
  | { day: number; accept: true }
  | { day: number; acknowledge: string }
  | { day: number; shorten: string; to: string }

export type PersonPlan = {
  given: string
  family: string
  former?: string
  born: string
  town: string
  country: string
  phone: string
  vacancy: string
  studies: StudyPlan[]
  jobs: JobPlan[]
  credentials: CredentialPlan[]
  declares?: Record<string, string>
  /** Days before loading when it was sent; absent while it is still being written. */
  sent?: number
  acts: Act[]
}

const job = (
  source: string | null,
  position: string,
  from: string,
  to: string,
  tags: string[],
  more: Partial<JobPlan> = {},
): JobPlan => ({ source, position, from, to, tags, ...more })
const study = (
  source: string,
  award: string,
  subject: string,
  level: number,
  field: string,
  number: string,
  from: string,
  to: string,
  more: Partial<StudyPlan> = {},
): StudyPlan => ({ source, award, subject, level, field, number, from, to, ...more })
const paper = (
  credential: string,
  source: string,
  number: string,
  issuedDays: number,
  throughDays: CredentialPlan['throughDays'],
  more: Partial<CredentialPlan> = {},
): CredentialPlan => ({ credential, source, number, issuedDays, throughDays, ...more })

export const people: PersonPlan[] = [
  {
    given: 'Maëlle',
    family: 'Dréau-Okafor',
    former: 'Maëlle Dréau',
    born: '1997-02-03',
    town: '6100 Arvelle',
    country: 'France',
    phone: '+33 4 50 55 01 12',
    vacancy: 'cableway-electrical-supervisor',
    studies: [
      study('arvelle', 'MSc', 'Electrical Power Systems', 7, '0713', 'AR-2021-08417', '2019-09', '2021-07', {
        printedName: 'Maëlle Dréau',
      }),
      study('arlac', 'BSc', 'Mechanical Engineering', 6, '0715', 'UA-19-2254', '2016-09', '2019-06', {
        printedName: 'Maëlle Dréau',
      }),
    ],
    jobs: [
      job('trasse', 'Technician', '2021-08-01', '2023-05-31', ['electrical'], { letter: true }),
      job('nordrampe', 'Shift lead, electrical', '2023-06-01', 'present', ['electrical', 'lead'], {
        mayAsk: 'now',
        letter: true,
      }),
    ],
    credentials: [
      paper('hv-switching', 'grid', 'GSB-3-55810', -700, 445, { registered: 'same' }),
      paper('work-at-height', 'heights', 'HW-22-1907', -1057, 38),
      paper('first-aid', 'aid', 'FH-88213', -200, 530),
    ],
    sent: -16,
    acts: [
      { day: -14, see: 'study 2' },
      { day: -14, see: 'study 1' },
      { day: -14, see: 'hv-switching' },
      { day: -14, see: 'work-at-height' },
      { day: -14, see: 'job 1' },
      { day: -13, register: 'hv-switching' },
      { day: -13, decide: 'hv-switching', as: 'confirmed' },
      { day: -13, ask: 'study 2' },
      { day: -13, ask: 'study 1' },
      { day: -13, ask: 'job 1' },
      { day: -9, answer: 'study 2', by: 'Odile Marrec', differs: { awarded: '2019-06-28' } },
      { day: -8, decide: 'study 2', as: 'confirmed' },
      {
        day: -7,
        answer: 'job 1',
        by: 'Franz Ulmer',
        differs: { to: '2023-02-02' },
        note: 'Left on 2 February 2023 according to our payroll.',
      },
      { day: -7, pass: 'shortlist' },
      { day: -6, shorten: 'job 1', to: '2023-02-02' },
      {
        day: -6,
        decide: 'job 1',
        as: 'confirmed with a note',
        note: 'The candidate corrected the last day to 2 Feb 2023, which agrees with payroll.',
      },
      { day: -6, check: 9 },
      {
        day: 0,
        answer: 'study 1',
        by: 'Bureau du registraire',
        differs: { name: 'DREAU Maelle', award: 'Master of Science', number: 'AR-2021-06417', awarded: '2021-07-09' },
      },
      { day: -5, ask: 'job 2' },
    ],
  },
  {
    given: 'Tomasz',
    family: 'Wierzborski',
    born: '1988-07-19',
    town: '57-300 Zarowa',
    country: 'Poland',
    phone: '+48 74 555 01 88',
    vacancy: 'rack-railway-driver',
    studies: [study('zarova', 'Diploma', 'Railway Vehicle Operation', 3, '1041', 'ZST/07/311', '2004-09', '2007-06')],
    jobs: [
      job('karwen', 'Train driver', '2012-03-01', 'present', ['driving'], { mayAsk: 'after an offer', letter: true }),
    ],
    credentials: [
      paper('train-driving', 'rail', 'MRA-D-20718', -900, 190, { registered: 'other name' }),
      paper('medical', 'medical', 'VOH-5521', -60, 300),
      paper('first-aid', 'aid', 'FH-90112', -300, 430),
    ],
    sent: -25,
    acts: [
      { day: -22, see: 'study 1' },
      { day: -22, see: 'train-driving' },
      { day: -22, see: 'medical' },
      { day: -22, see: 'first-aid' },
      { day: -22, see: 'job 1' },
      { day: -21, pass: 'shortlist' },
      { day: -21, ask: 'study 1' },
      { day: -12, answer: 'study 1', by: 'Halina Struk' },
      { day: -11, decide: 'study 1', as: 'confirmed' },
      { day: -3, register: 'train-driving' },
      {
        day: -2,
        decide: 'train-driving',
        as: 'contradicted',
        note: 'The register holds this number for another person. Candidate to explain.',
      },
    ],
  },
  {
    given: 'Hanne',
    family: 'Sørlie',
    born: '1993-11-30',
    town: '5700 Fjellvik',
    country: 'Norway',
    phone: '+47 55 55 01 43',
    vacancy: 'rope-access-inspector',
    studies: [
      study(
        'fjellvik',
        'Higher technical diploma',
        'Mechanical Inspection',
        5,
        '0715',
        'FTF-2016-118',
        '2014-08',
        '2016-06',
      ),
    ],
    jobs: [job('brattlia', 'Lead inspector', '2019-03-01', 'present', ['inspection', 'rope access'], { letter: true })],
    credentials: [
      paper('rope-access', 'ropes', 'RG-3-40771', -500, 590),
      paper('work-at-height', 'heights', 'HW-23-0341', -400, 690),
      paper('medical', 'medical', 'VOH-6110', -20, 340),
    ],
    sent: -24,
    acts: [
      { day: -22, see: 'study 1' },
      { day: -22, see: 'rope-access' },
      { day: -22, see: 'work-at-height' },
      { day: -22, see: 'medical' },
      { day: -22, see: 'job 1' },
      { day: -21, pass: 'shortlist' },
      { day: -20, ask: 'study 1' },
      { day: -20, ask: 'rope-access' },
      { day: -20, ask: 'job 1' },
      { day: -14, answer: 'study 1', by: 'Kari Myhre' },
      { day: -13, decide: 'study 1', as: 'confirmed' },
    ],
  },
  {
    given: 'Rui',
    family: 'Alcântara',
    born: '1990-04-12',
    town: '6800 Vallorne',
    country: 'Austria',
    phone: '+43 512 555 0144',
    vacancy: 'control-room-dispatcher',
    studies: [
      study(
        'steinach',
        'Apprenticeship certificate',
        'Transport Operations',
        3,
        '1041',
        'BS-2009-77',
        '2006-09',
        '2009-07',
      ),
    ],
    jobs: [job('nordrampe', 'Dispatcher', '2017-05-01', 'present', ['dispatch'], { letter: true })],
    credentials: [
      paper('dispatcher', 'rail', 'MRA-C-11920', -600, 500, { registered: 'same' }),
      paper('medical', 'medical', 'VOH-4410', -100, 260),
    ],
    sent: -20,
    acts: [
      { day: -18, see: 'study 1' },
      { day: -18, see: 'dispatcher' },
      { day: -18, see: 'medical' },
      { day: -18, see: 'job 1' },
      { day: -17, register: 'dispatcher' },
      { day: -17, decide: 'dispatcher', as: 'confirmed' },
      { day: -17, pass: 'shortlist' },
      { day: -16, ask: 'study 1' },
      { day: -9, answer: 'study 1', by: 'Sekretariat' },
      { day: -8, decide: 'study 1', as: 'confirmed' },
      { day: -2, check: 7 },
    ],
  },
  {
    given: 'Adaeze',
    family: 'Nwosu',
    born: '1995-09-08',
    town: '39040 Lumira',
    country: 'Italy',
    phone: '+39 0471 55 0190',
    vacancy: 'track-engineer',
    studies: [study('lumira', 'MSc', 'Civil Engineering', 7, '0732', 'PL/2019/4471', '2017-10', '2019-12')],
    jobs: [job('gleisbau', 'Site engineer', '2020-02-01', 'present', ['track'], { letter: true })],
    credentials: [
      paper('signalling', 'rail', 'MRA-S-30081', -300, 700, { registered: 'same' }),
      paper('first-aid', 'aid', 'FH-92001', -90, 640),
    ],
    sent: -3,
    acts: [],
  },
  {
    given: 'Jonas',
    family: 'Brüderlin',
    born: '1998-01-25',
    town: '6150 Steinach',
    country: 'Austria',
    phone: '+43 512 555 0175',
    vacancy: 'cableway-mechanic',
    studies: [
      study(
        'steinach',
        'Apprenticeship certificate',
        'Metal Engineering',
        3,
        '0715',
        'BS-2017-204',
        '2013-09',
        '2017-07',
        { printedName: 'Jonas Bruederlin' },
      ),
    ],
    jobs: [
      job('trasse', 'Fitter', '2017-09-01', '2024-08-31', ['mechanical'], { letter: true }),
      job(null, 'Looked after my father', '2024-09-01', '2025-02-28', [], { activity: 'care' }),
      job('lift', 'Lift mechanic', '2025-03-10', 'present', ['mechanical'], { mayAsk: 'after an offer' }),
    ],
    credentials: [
      paper('work-at-height', 'heights', 'HW-24-0772', -300, 790),
      paper('welding', 'heights', 'HW-W-118', -800, 40),
    ],
    sent: -12,
    acts: [
      { day: -10, see: 'study 1' },
      { day: -10, see: 'work-at-height' },
      { day: -9, pass: 'shortlist' },
      { day: -9, ask: 'study 1' },
      { day: -4, answer: 'study 1', by: 'Sekretariat', differs: { name: 'Jonas Bruederlin' } },
    ],
  },
  {
    given: 'Sana',
    family: 'Mirzaei',
    born: '1991-06-14',
    town: '8010 Tannberg',
    country: 'Austria',
    phone: '+43 316 555 0121',
    vacancy: 'rack-railway-driver',
    studies: [study('tannberg', 'BSc', 'Transport Engineering', 6, '1041', 'TB-2014-5512', '2011-10', '2014-09')],
    jobs: [job('karwen', 'Train driver', '2015-01-01', 'present', ['driving'], { letter: true })],
    credentials: [
      paper('train-driving', 'rail', 'MRA-D-18855', -1200, 600, { registered: 'same' }),
      paper('medical', 'medical', 'VOH-3092', -337, 28),
      paper('first-aid', 'aid', 'FH-79440', -500, 230),
    ],
    sent: -28,
    acts: [
      { day: -26, see: 'study 1' },
      { day: -26, see: 'train-driving' },
      { day: -26, see: 'medical' },
      { day: -26, see: 'first-aid' },
      { day: -26, see: 'job 1' },
      { day: -25, register: 'train-driving' },
      { day: -25, decide: 'train-driving', as: 'confirmed' },
      { day: -25, register: 'study 1' },
      { day: -25, decide: 'study 1', as: 'confirmed' },
      { day: -25, pass: 'shortlist' },
      { day: -24, ask: 'job 1' },
      { day: -15, answer: 'job 1', by: 'Marek Dudek' },
      { day: -14, decide: 'job 1', as: 'confirmed' },
      { day: -12, pass: 'offer' },
      { day: -9, accept: true },
      { day: -8, acknowledge: 'handbook' },
    ],
  },
  {
    given: 'Kofi',
    family: 'Brenninkmeyer',
    born: '1989-12-02',
    town: '6800 Vallorne',
    country: 'Austria',
    phone: '+43 512 555 0166',
    vacancy: 'control-room-dispatcher',
    studies: [
      study(
        'steinach',
        'Apprenticeship certificate',
        'Transport Operations',
        3,
        '1041',
        'BS-2008-19',
        '2005-09',
        '2008-07',
      ),
    ],
    jobs: [
      job('nordrampe', 'Station attendant', '2014-04-01', '2019-10-31', ['station']),
      job('karwen', 'Dispatcher', '2019-11-01', 'present', ['dispatch'], { letter: true }),
    ],
    credentials: [
      paper('dispatcher', 'rail', 'MRA-C-10877', -900, 300, { registered: 'same' }),
      paper('medical', 'medical', 'VOH-5003', -80, 290),
    ],
    sent: -18,
    acts: [
      { day: -16, see: 'study 1' },
      { day: -16, see: 'dispatcher' },
      { day: -16, see: 'medical' },
      { day: -16, see: 'job 2' },
      { day: -15, register: 'dispatcher' },
      { day: -15, decide: 'dispatcher', as: 'confirmed' },
      { day: -15, pass: 'shortlist' },
      { day: -14, ask: 'study 1' },
      { day: -14, ask: 'job 2' },
      { day: -9, check: 10 },
      { day: -1, answer: 'study 1', by: 'Sekretariat' },
    ],
  },
  {
    given: 'Viktor',
    family: 'Halloran',
    born: '1985-05-05',
    town: '6150 Steinach',
    country: 'Austria',
    phone: '+43 512 555 0199',
    vacancy: 'cableway-mechanic',
    studies: [study('zarova', 'Diploma', 'Mechanics', 3, '0715', 'ZST/03/104', '2000-09', '2003-06')],
    jobs: [
      job('trasse', 'Head of maintenance', '2018-01-01', '2025-12-31', ['mechanical'], { letter: true }),
      job(null, 'Job seeking', '2026-01-01', 'present', [], { activity: 'without work' }),
    ],
    credentials: [
      paper('work-at-height', 'heights', 'HW-25-0090', -150, 900),
      paper('welding', 'heights', 'HW-W-140', -100, 600),
    ],
    sent: -19,
    acts: [
      { day: -17, see: 'study 1' },
      { day: -17, see: 'work-at-height' },
      { day: -17, see: 'welding' },
      { day: -17, see: 'job 1' },
      { day: -16, pass: 'shortlist' },
      { day: -16, ask: 'study 1' },
      { day: -16, ask: 'job 1' },
      { day: -10, answer: 'study 1', by: 'Halina Struk' },
      { day: -9, decide: 'study 1', as: 'confirmed' },
      {
        day: -1,
        answer: 'job 1',
        by: 'Franz Ulmer',
        unknown: true,
        note: 'This letter is not ours. The signature is not known to us and he was never employed here.',
      },
    ],
  },
  {
    given: 'Ilse',
    family: 'Vandermeer',
    born: '1994-08-21',
    town: '8010 Tannberg',
    country: 'Austria',
    phone: '+43 316 555 0155',
    vacancy: 'cableway-electrical-supervisor',
    studies: [study('tannberg', 'MSc', 'Electrical Engineering', 7, '0713', 'TB-2018-9034', '2015-10', '2018-03')],
    jobs: [job('nordrampe', 'Electrical engineer', '2018-05-01', 'present', ['electrical'], { letter: true })],
    credentials: [
      paper('hv-switching', 'grid', 'GSB-2-41007', -400, 800, { registered: 'same' }),
      paper('work-at-height', 'heights', 'HW-24-0411', -200, 890),
      paper('first-aid', 'aid', 'FH-91187', -60, 660),
    ],
    sent: -30,
    acts: [
      { day: -28, see: 'study 1' },
      { day: -28, see: 'hv-switching' },
      { day: -28, see: 'work-at-height' },
      { day: -28, see: 'first-aid' },
      { day: -28, see: 'job 1' },
      { day: -27, register: 'study 1' },
      { day: -27, decide: 'study 1', as: 'confirmed' },
      { day: -27, register: 'hv-switching' },
      { day: -27, decide: 'hv-switching', as: 'confirmed' },
      { day: -27, pass: 'shortlist' },
      { day: -22, check: 10 },
      { day: -20, pass: 'offer' },
      { day: -17, accept: true },
      { day: -17, ask: 'job 1' },
      { day: -11, answer: 'job 1', by: 'Personalabteilung' },
      { day: -10, decide: 'job 1', as: 'confirmed' },
    ],
  },
  {
    given: 'Mateo',
    family: 'Lindqvist',
    born: '1992-10-17',
    town: '6800 Vallorne',
    country: 'Austria',
    phone: '+43 512 555 0111',
    vacancy: 'rack-railway-driver',
    studies: [
      study(
        'steinach',
        'Apprenticeship certificate',
        'Vehicle Mechanics',
        3,
        '0716',
        'BS-2011-55',
        '2008-09',
        '2011-07',
      ),
    ],
    jobs: [job('karwen', 'Train driver', '2014-06-01', 'present', ['driving'], { letter: true })],
    credentials: [
      paper('train-driving', 'rail', 'MRA-D-19402', -700, 400, { registered: 'same' }),
      paper('medical', 'medical', 'VOH-5877', -30, 330),
      paper('first-aid', 'aid', 'FH-90980', -120, 610),
    ],
    sent: -34,
    acts: [
      { day: -32, see: 'study 1' },
      { day: -32, see: 'train-driving' },
      { day: -32, see: 'medical' },
      { day: -32, see: 'first-aid' },
      { day: -32, see: 'job 1' },
      { day: -31, register: 'train-driving' },
      { day: -31, decide: 'train-driving', as: 'confirmed' },
      { day: -31, pass: 'shortlist' },
      { day: -31, ask: 'study 1' },
      { day: -24, answer: 'study 1', by: 'Sekretariat' },
      { day: -23, decide: 'study 1', as: 'confirmed' },
      { day: -22, pass: 'offer' },
      { day: -20, accept: true },
      { day: -19, acknowledge: 'handbook' },
      { day: -19, ask: 'job 1' },
      { day: -12, answer: 'job 1', by: 'Marek Dudek' },
      { day: -11, decide: 'job 1', as: 'confirmed' },
      { day: -10, pass: 'start' },
    ],
  },
  {
    given: 'Noor',
    family: 'Adeyemi',
    born: '1996-03-28',
    town: '6100 Arlac',
    country: 'France',
    phone: '+33 4 50 55 01 77',
    vacancy: 'cableway-electrical-supervisor',
    studies: [study('arlac', 'BSc', 'Electrical Engineering', 6, '0713', 'UA-18-1190', '2015-09', '2018-06')],
    jobs: [
      job('lift', 'Electrical technician', '2018-09-01', '2022-03-31', ['electrical']),
      job(null, 'Travelled', '2022-04-01', '2022-09-30', [], { activity: 'travel' }),
      job('trasse', 'Electrical engineer', '2022-10-01', 'present', ['electrical'], { letter: true }),
    ],
    credentials: [
      paper('hv-switching', 'grid', 'GSB-2-60112', -100, 960, { registered: 'same' }),
      paper('first-aid', 'aid', 'FH-93111', -10, 720),
    ],
    sent: -6,
    acts: [
      { day: -5, see: 'study 1' },
      { day: -5, see: 'hv-switching' },
      {
        day: -4,
        sendBack: 'first-aid',
        reason: 'The lower third is cut off, so the date cannot be read. Please photograph the whole page.',
      },
    ],
  },
  {
    given: 'Łukasz',
    family: 'Pietrowski',
    born: '1987-02-11',
    town: '57-300 Zarowa',
    country: 'Poland',
    phone: '+48 74 555 01 34',
    vacancy: 'cableway-mechanic',
    studies: [
      study('zarova', 'Diploma', 'Mechatronics', 3, '0713', 'ZST/06/220', '2003-09', '2006-06', {
        printedName: 'LUKASZ PIETROWSKI',
      }),
    ],
    jobs: [job('karwen', 'Mechanic', '2010-01-01', 'present', ['mechanical'], { mayAsk: 'now' })],
    credentials: [
      paper('work-at-height', 'heights', 'HW-25-0233', -60, 1030),
      paper('welding', 'heights', 'HW-W-155', -40, 690),
    ],
    sent: -9,
    acts: [
      { day: -7, see: 'study 1' },
      { day: -7, see: 'work-at-height' },
      { day: -7, see: 'welding' },
      { day: -6, pass: 'shortlist' },
      { day: -6, ask: 'study 1' },
      { day: -6, ask: 'job 1' },
      { day: -3, check: 9 },
      { day: -2, answer: 'job 1', by: 'Marek Dudek', differs: { from: '2010-02-01' } },
    ],
  },
  {
    given: 'Bianca',
    family: 'Corvetti',
    born: '1990-01-09',
    town: '39040 Lumira',
    country: 'Italy',
    phone: '+39 0471 55 0133',
    vacancy: 'track-engineer',
    studies: [study('lumira', 'MSc', 'Mechanical Engineering', 7, '0715', 'PL/2014/2209', '2012-10', '2014-12')],
    jobs: [
      job('lift', 'Project engineer', '2015-02-01', '2021-06-30', ['mechanical']),
      job('gleisbau', 'Track engineer', '2021-07-01', 'present', ['track'], { letter: true }),
    ],
    credentials: [
      paper('signalling', 'rail', 'MRA-S-28817', -500, 500, { registered: 'same' }),
      paper('first-aid', 'aid', 'FH-84210', -400, 320),
    ],
    sent: -21,
    acts: [
      { day: -19, see: 'study 1' },
      { day: -19, see: 'signalling' },
      { day: -19, see: 'first-aid' },
      { day: -19, see: 'job 2' },
      { day: -18, register: 'signalling' },
      { day: -18, decide: 'signalling', as: 'confirmed' },
      { day: -18, pass: 'shortlist' },
      { day: -18, ask: 'study 1' },
      { day: -17, ask: 'job 1' },
      { day: -17, ask: 'job 2' },
      { day: -8, answer: 'job 2', by: 'Personalbüro' },
      { day: -7, decide: 'job 2', as: 'confirmed' },
    ],
  },
  {
    given: 'Emil',
    family: 'Castagna',
    born: '1999-07-07',
    town: '6800 Vallorne',
    country: 'Austria',
    phone: '+43 512 555 0122',
    vacancy: 'cableway-mechanic',
    studies: [
      study(
        'steinach',
        'Apprenticeship certificate',
        'Electrical Installation',
        3,
        '0713',
        'BS-2018-91',
        '2014-09',
        '2018-07',
      ),
    ],
    jobs: [job('trasse', 'Electrician', '2018-09-01', 'present', ['electrical'], { mayAsk: 'never' })],
    credentials: [paper('work-at-height', 'heights', 'HW-25-0301', -30, 1060)],
    sent: -7,
    acts: [
      { day: -6, see: 'study 1' },
      { day: -6, see: 'work-at-height' },
    ],
  },
  {
    given: 'Yara',
    family: 'Steinmetz',
    born: '1993-03-19',
    town: '6150 Steinach',
    country: 'Austria',
    phone: '+43 512 555 0187',
    vacancy: 'control-room-dispatcher',
    studies: [study('tannberg', 'BSc', 'Transport Management', 6, '1041', 'TB-2016-7201', '2013-10', '2016-09')],
    jobs: [job('nordrampe', 'Dispatcher', '2016-11-01', 'present', ['dispatch'], { letter: true })],
    credentials: [
      paper('dispatcher', 'rail', 'MRA-C-12003', -300, 780, { registered: 'absent' }),
      paper('medical', 'medical', 'VOH-6001', -40, 320),
    ],
    sent: -8,
    acts: [
      { day: -6, see: 'study 1' },
      { day: -6, see: 'dispatcher' },
      { day: -6, see: 'medical' },
      { day: -5, pass: 'shortlist' },
      { day: -5, register: 'study 1' },
      { day: -5, decide: 'study 1', as: 'confirmed' },
      { day: -1, register: 'dispatcher' },
    ],
  },
  {
    given: 'Oskar',
    family: 'Fjellheim',
    born: '1984-09-13',
    town: '5700 Fjellvik',
    country: 'Norway',
    phone: '+47 55 55 01 08',
    vacancy: 'rope-access-inspector',
    studies: [
      study(
        'fjellvik',
        'Vocational certificate',
        'Rigging and Lifting',
        4,
        '0715',
        'FTF-2004-33',
        '2002-08',
        '2004-06',
      ),
    ],
    jobs: [job('brattlia', 'Rope technician', '2009-01-01', 'present', ['rope access'], { mayAsk: 'after an offer' })],
    credentials: [
      paper('rope-access', 'ropes', 'RG-3-21560', -1000, 20),
      paper('work-at-height', 'heights', 'HW-21-0118', -1060, 35),
      paper('medical', 'medical', 'VOH-5750', -70, 290),
    ],
    sent: -11,
    acts: [
      { day: -9, see: 'study 1' },
      { day: -9, see: 'rope-access' },
      { day: -9, see: 'work-at-height' },
      { day: -9, see: 'medical' },
      { day: -8, pass: 'shortlist' },
      { day: -8, ask: 'study 1' },
      { day: -8, ask: 'rope-access' },
      { day: -4, answer: 'rope-access', by: 'Card office', differs: { through: '2028-12-14' } },
    ],
  },
  {
    given: 'Priya',
    family: 'Raghunathan',
    born: '1992-12-24',
    town: '8010 Tannberg',
    country: 'Austria',
    phone: '+43 316 555 0178',
    vacancy: 'track-engineer',
    studies: [study('tannberg', 'MSc', 'Civil Engineering', 7, '0732', 'TB-2017-8110', '2014-10', '2017-09')],
    jobs: [job('gleisbau', 'Track engineer', '2017-11-01', 'present', ['track'], { letter: true })],
    credentials: [
      paper('signalling', 'rail', 'MRA-S-29944', -250, 800, { registered: 'same' }),
      paper('first-aid', 'aid', 'FH-91550', -20, 700),
    ],
    sent: -26,
    acts: [
      { day: -24, see: 'study 1' },
      { day: -24, see: 'signalling' },
      { day: -24, see: 'first-aid' },
      { day: -24, see: 'job 1' },
      { day: -23, register: 'study 1' },
      { day: -23, decide: 'study 1', as: 'confirmed' },
      { day: -23, register: 'signalling' },
      { day: -23, decide: 'signalling', as: 'confirmed' },
      { day: -22, pass: 'shortlist' },
      { day: -15, pass: 'offer' },
    ],
  },
  {
    given: 'Dario',
    family: 'Benvenuti',
    born: '1991-11-11',
    town: '39040 Lumira',
    country: 'Italy',
    phone: '+39 0471 55 0102',
    vacancy: 'rack-railway-driver',
    studies: [study('lumira', 'BSc', 'Mechanical Engineering', 6, '0715', 'PL/2013/0871', '2010-10', '2013-10')],
    jobs: [
      job('lift', 'Lift operator', '2014-01-01', '2020-12-31', ['operations']),
      job('karwen', 'Train driver', '2021-01-01', 'present', ['driving'], { letter: true }),
    ],
    credentials: [
      paper('train-driving', 'rail', 'MRA-D-20331', -450, 620, { registered: 'same' }),
      paper('medical', 'medical', 'VOH-5902', -15, 350),
      paper('first-aid', 'aid', 'FH-92444', -45, 690),
    ],
    sent: -15,
    acts: [
      { day: -13, see: 'study 1' },
      { day: -13, see: 'train-driving' },
      { day: -13, see: 'medical' },
      { day: -13, see: 'first-aid' },
      { day: -12, register: 'train-driving' },
      { day: -12, decide: 'train-driving', as: 'confirmed' },
      { day: -12, pass: 'shortlist' },
      { day: -12, ask: 'study 1' },
    ],
  },
  {
    given: 'Greta',
    family: 'Aschenbach',
    born: '1997-05-16',
    town: '6150 Steinach',
    country: 'Austria',
    phone: '+43 512 555 0139',
    vacancy: 'cableway-electrical-supervisor',
    studies: [study('tannberg', 'BSc', 'Energy Engineering', 6, '0713', 'TB-2019-9920', '2016-10', '2019-09')],
    jobs: [job('trasse', 'Electrical engineer', '2019-11-01', 'present', ['electrical'], { letter: true })],
    credentials: [
      paper('hv-switching', 'grid', 'GSB-2-58090', -200, 860, { registered: 'same' }),
      paper('work-at-height', 'heights', 'HW-25-0114', -120, 970),
      paper('first-aid', 'aid', 'FH-92771', -30, 700),
    ],
    sent: -2,
    acts: [],
  },
  {
    given: 'Samir',
    family: 'Okonedo',
    born: '1986-08-30',
    town: '6800 Vallorne',
    country: 'Austria',
    phone: '+43 512 555 0148',
    vacancy: 'cableway-mechanic',
    studies: [
      study(
        'steinach',
        'Apprenticeship certificate',
        'Metal Engineering',
        3,
        '0715',
        'BS-2005-140',
        '2002-09',
        '2005-07',
      ),
    ],
    jobs: [job('nordrampe', 'Cableway mechanic', '2011-04-01', 'present', ['mechanical'], { letter: true })],
    credentials: [
      paper('work-at-height', 'heights', 'HW-24-0099', -420, 670),
      paper('welding', 'heights', 'HW-W-120', -300, 430),
    ],
    sent: -27,
    acts: [
      { day: -25, see: 'study 1' },
      { day: -25, see: 'work-at-height' },
      { day: -25, see: 'welding' },
      { day: -25, see: 'job 1' },
      { day: -24, pass: 'shortlist' },
      { day: -24, ask: 'study 1' },
      { day: -24, ask: 'job 1' },
      { day: -18, answer: 'study 1', by: 'Sekretariat' },
      { day: -17, decide: 'study 1', as: 'confirmed' },
      { day: -16, answer: 'job 1', by: 'Personalabteilung' },
      { day: -15, decide: 'job 1', as: 'confirmed' },
      { day: -14, check: 10 },
    ],
  },
  {
    given: 'Clara',
    family: 'Montserrat',
    born: '1995-02-22',
    town: '6100 Arvelle',
    country: 'France',
    phone: '+33 4 50 55 01 61',
    vacancy: 'cableway-electrical-supervisor',
    studies: [study('arvelle', 'MSc', 'Control Engineering', 7, '0714', 'AR-2019-05520', '2017-09', '2019-07')],
    jobs: [job('lift', 'Controls engineer', '2019-09-01', 'present', ['electrical', 'controls'], { letter: true })],
    credentials: [
      paper('hv-switching', 'grid', 'GSB-2-57733', -260, 300, { registered: 'same' }),
      paper('work-at-height', 'heights', 'HW-24-0590', -260, 830),
      paper('first-aid', 'aid', 'FH-90555', -210, 520),
    ],
    sent: -22,
    acts: [
      { day: -20, see: 'study 1' },
      { day: -20, see: 'hv-switching' },
      { day: -20, see: 'work-at-height' },
      { day: -20, see: 'first-aid' },
      { day: -20, see: 'job 1' },
      { day: -19, register: 'hv-switching' },
      { day: -19, decide: 'hv-switching', as: 'confirmed' },
      { day: -19, pass: 'shortlist' },
      { day: -19, ask: 'study 1' },
      { day: -10, answer: 'study 1', by: 'Bureau du registraire', differs: { awarded: '2019-07-05' } },
      { day: -9, decide: 'study 1', as: 'confirmed' },
      { day: -8, check: 8 },
    ],
  },
  {
    given: 'Henrik',
    family: 'Solberg-Nyström',
    born: '1988-06-06',
    town: '5700 Fjellvik',
    country: 'Norway',
    phone: '+47 55 55 01 91',
    vacancy: 'rope-access-inspector',
    studies: [
      study(
        'fjellvik',
        'Higher technical diploma',
        'Steel Construction',
        5,
        '0732',
        'FTF-2010-71',
        '2008-08',
        '2010-06',
      ),
    ],
    jobs: [job('brattlia', 'Inspector', '2013-08-01', 'present', ['inspection'])],
    credentials: [
      paper('rope-access', 'ropes', 'RG-2-33871', -200, 890),
      paper('work-at-height', 'heights', 'HW-25-0018', -190, 900),
      paper('medical', 'medical', 'VOH-6222', -5, 360),
    ],
    sent: -1,
    acts: [],
  },
  {
    given: 'Amara',
    family: 'Quint',
    born: '1994-04-04',
    town: '6800 Vallorne',
    country: 'Austria',
    phone: '+43 512 555 0104',
    vacancy: 'control-room-dispatcher',
    studies: [
      study(
        'steinach',
        'Apprenticeship certificate',
        'Transport Operations',
        3,
        '1041',
        'BS-2013-88',
        '2010-09',
        '2013-07',
      ),
    ],
    jobs: [job('nordrampe', 'Dispatcher', '2014-01-01', 'present', ['dispatch'], { letter: true })],
    credentials: [paper('dispatcher', 'rail', 'MRA-C-11555', -500, 560, { registered: 'same' })],
    sent: -4,
    acts: [{ day: -3, see: 'study 1' }],
  },
  {
    given: 'Felix',
    family: 'Rautner',
    born: '2000-10-10',
    town: '6150 Steinach',
    country: 'Austria',
    phone: '+43 512 555 0162',
    vacancy: 'cableway-mechanic',
    studies: [
      study(
        'steinach',
        'Apprenticeship certificate',
        'Metal Engineering',
        3,
        '0715',
        'BS-2019-12',
        '2015-09',
        '2019-07',
      ),
    ],
    jobs: [job('trasse', 'Fitter', '2019-09-01', '2025-03-31', ['mechanical'])],
    credentials: [],
    acts: [],
  },
  {
    given: 'Ingrid',
    family: 'Haugland',
    born: '1989-01-31',
    town: '5700 Fjellvik',
    country: 'Norway',
    phone: '+47 55 55 01 20',
    vacancy: 'rope-access-inspector',
    studies: [],
    jobs: [job('brattlia', 'Inspector', '2015-01-01', 'present', ['inspection'])],
    credentials: [],
    acts: [],
  },
  {
    given: 'Pavel',
    family: 'Novotný',
    born: '1990-05-23',
    town: '57-300 Zarowa',
    country: 'Poland',
    phone: '+48 74 555 01 99',
    vacancy: 'rack-railway-driver',
    studies: [study('zarova', 'Diploma', 'Railway Vehicle Operation', 3, '1041', 'ZST/09/118', '2006-09', '2009-06')],
    jobs: [job('karwen', 'Train driver', '2013-01-01', 'present', ['driving'], { letter: true })],
    credentials: [
      paper('train-driving', 'rail', 'MRA-D-20019', -380, 700, { registered: 'same' }),
      paper('medical', 'medical', 'VOH-5555', -120, 240),
      paper('first-aid', 'aid', 'FH-91001', -140, 580),
    ],
    sent: -17,
    acts: [
      { day: -15, see: 'study 1' },
      { day: -15, see: 'train-driving' },
      { day: -15, see: 'medical' },
      { day: -15, see: 'first-aid' },
      { day: -15, see: 'job 1' },
      { day: -14, register: 'train-driving' },
      { day: -14, decide: 'train-driving', as: 'confirmed' },
      { day: -14, pass: 'shortlist' },
      { day: -14, ask: 'study 1' },
      { day: -6, answer: 'study 1', by: 'Halina Struk' },
      { day: -5, decide: 'study 1', as: 'confirmed' },
    ],
  },
  {
    // The same person as the one before, under another mail and without the accent.
    given: 'Pavel Jan',
    family: 'Novotny',
    born: '1990-05-23',
    town: '57-300 Zarowa',
    country: 'Poland',
    phone: '+48 74 555 0199',
    vacancy: 'rack-railway-driver',
    studies: [study('zarova', 'Diploma', 'Railway Vehicle Operation', 3, '1041', 'ZST/09/118', '2006-09', '2009-06')],
    jobs: [job('karwen', 'Train driver', '2013-01-01', 'present', ['driving'])],
    credentials: [
      paper('train-driving', 'rail', 'MRA-D-20019', -380, 700, { registered: 'same' }),
      paper('medical', 'medical', 'VOH-5555', -120, 240),
    ],
    sent: -3,
    acts: [],
  },
]

/** Who works at the desk. The password of everybody in the demo is in the README. */
type Colleague = { name: string; mail: string; roles: readonly [Role]; language?: Language }

/** Who works at the desk; one of them in German. */
export const staff: readonly Colleague[] = [
  { name: 'Ines Caldwell', mail: 'ines@vallorne.example', roles: ['coordinator'] },
  { name: 'Bastian Roth', mail: 'bastian@vallorne.example', roles: ['hiring manager'], language: 'de' },
  { name: 'Mirela Tan', mail: 'mirela@vallorne.example', roles: ['assessor'] },
  { name: 'Anselm Okoye', mail: 'anselm@vallorne.example', roles: ['administrator'] },
]

export const demoPassword = 'glacier-lantern-42'
