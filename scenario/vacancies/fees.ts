import type { FeeSchedule } from '#core/fees/schedule'
import type { Requirement } from '#core/requirements/requirement'

/** What the course for lift attendants costs, which whoever is taken on for the season gets through first. */
export const courseFees: FeeSchedule = {
  key: 'course',
  title: 'Course and examination',
  currency: 'EUR',
  facts: [
    {
      key: 'lift',
      label: 'Which lift would you be examined on?',
      kind: 'one of',
      options: ['Chairlift', 'Gondola'],
      translations: {
        de: { label: 'Auf welcher Bahn möchten Sie geprüft werden?', options: ['Sessellift', 'Gondelbahn'] },
      },
    },
    {
      key: 'apprentice',
      label: 'Are you an apprentice?',
      kind: 'yes or no',
      proof: 'your contract of apprenticeship',
      translations: { de: { label: 'Sind Sie in der Lehre?', proof: 'Ihr Lehrvertrag' } },
    },
    {
      key: 'copies',
      label: 'How many copies of the certificate would you like?',
      kind: 'number',
      most: 10,
      translations: { de: { label: 'Wie viele Ausfertigungen des Zeugnisses möchten Sie?' } },
    },
  ],
  lines: [
    {
      key: 'course',
      title: 'Two days of instruction',
      why: 'Six people to one instructor, on the lift itself.',
      amount: { kind: 'fixed', amount: 18_000 },
      exempt: [
        {
          when: { fact: 'fee.apprentice', is: 'yes' },
          because: 'you are an apprentice',
          basisPoints: 5000,
          translations: { de: { because: 'Sie sind in der Lehre' } },
        },
      ],
      tax: 'vat',
      translations: {
        de: { title: 'Zwei Tage Unterricht', why: 'Sechs Leute auf eine Lehrkraft, direkt an der Bahn.' },
      },
    },
    {
      key: 'exam',
      title: 'Examination',
      why: 'An examiner of the Cableway Safety Office comes for it.',
      amount: { kind: 'by choice', fact: 'fee.lift', amounts: { Chairlift: 6000, Gondola: 9000 } },
      translations: {
        de: { title: 'Prüfung', why: 'Dafür kommt jemand von der Behörde für Seilbahnsicherheit.' },
      },
    },
    {
      key: 'copies',
      title: 'Copies of the certificate',
      why: 'For other lifts and for your own papers.',
      amount: { kind: 'by number', fact: 'fee.copies', first: 1200, further: 800, most: 5000 },
      tax: 'vat',
      translations: {
        de: { title: 'Ausfertigungen des Zeugnisses', why: 'Für andere Bahnen und Ihre eigenen Unterlagen.' },
      },
    },
    {
      key: 'meals',
      title: 'Meals on both days',
      why: 'In the canteen at the valley station.',
      amount: { kind: 'fixed', amount: 2600 },
      optional: true,
      tax: 'vat',
      translations: { de: { title: 'Essen an beiden Tagen', why: 'In der Kantine an der Talstation.' } },
    },
    {
      key: 'card',
      title: 'Payment by card',
      why: 'What the payment provider takes.',
      amount: { kind: 'share', of: [], basisPoints: 150, least: 100 },
      when: { fact: 'payment.means', is: 'card' },
      translations: { de: { title: 'Zahlung mit Karte', why: 'Was der Zahlungsdienst dafür nimmt.' } },
    },
  ],
  taxes: [{ key: 'vat', title: 'Value added tax', basisPoints: 2000, translations: { de: { title: 'Umsatzsteuer' } } }],
  taxIncluded: true,
  dueDays: 14,
  holds: true,
  surplus: 'given back',
  translations: { de: { title: 'Kurs und Prüfung' } },
}

export const coursePaid: Requirement = {
  key: 'course-paid',
  title: 'Course and examination paid',
  why: 'A seat in the course is yours once it is paid.',
  gate: 'shortlist',
  asks: { kind: 'fee', schedule: 'course' },
  rung: 'claimed',
  waivableBy: ['money'],
  translations: {
    de: { title: 'Kurs und Prüfung bezahlt', why: 'Ein Platz im Kurs gehört Ihnen, sobald er bezahlt ist.' },
  },
}
