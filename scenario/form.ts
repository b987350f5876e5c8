import type { Form, Section } from '#core/form/form'
import { about, contact, papers, permission, send, study, work } from '#core/rules/sections'

const declarations: Section = {
  key: 'declarations',
  title: 'Declarations',
  heading: 'A few yes or no questions',
  intro: 'A yes does not rule you out. It asks you to explain, and a person reads what you write.',
  holds: 'questions',
  translations: {
    de: {
      title: 'Erklärungen',
      heading: 'Ein paar Fragen mit Ja oder Nein',
      intro: 'Ein Ja schließt Sie nicht aus. Es bittet um eine Erklärung, und ein Mensch liest, was Sie schreiben.',
    },
  },
  questions: [
    {
      key: 'declare.dismissed',
      label: 'Were you ever dismissed for a breach of safety rules?',
      kind: 'yes or no',
      required: true,
      explain: 'yes',
      translations: { de: { label: 'Wurden Sie je wegen eines Verstoßes gegen Sicherheitsregeln entlassen?' } },
    },
    {
      key: 'declare.withdrawn',
      label: 'Was a licence of yours ever suspended or withdrawn?',
      kind: 'yes or no',
      required: true,
      explain: 'yes',
      translations: { de: { label: 'Wurde Ihnen je eine Lizenz ausgesetzt oder entzogen?' } },
    },
    {
      key: 'declare.heights',
      label: 'Can you work at heights and in winter weather?',
      kind: 'yes or no',
      required: true,
      explain: 'no',
      translations: { de: { label: 'Können Sie in der Höhe und bei Winterwetter arbeiten?' } },
    },
    {
      key: 'declare.permit',
      label: 'May you work in this country without a further permit?',
      kind: 'yes or no',
      required: true,
      explain: 'no',
      translations: { de: { label: 'Dürfen Sie in diesem Land ohne weitere Bewilligung arbeiten?' } },
    },
  ],
}

export const identity: Section = {
  key: 'identity',
  title: 'Identity',
  heading: 'Which paper shows who you are?',
  intro: 'It is captured here or on your phone. What it says is offered to you to confirm.',
  holds: 'identity',
  translations: {
    de: {
      title: 'Identität',
      heading: 'Welches Papier zeigt, wer Sie sind?',
      intro: 'Es wird hier oder auf Ihrem Telefon aufgenommen. Was darauf steht, wird Ihnen zum Bestätigen angeboten.',
    },
  },
  questions: [],
}

export const vouching: Section = {
  key: 'vouching',
  title: 'People who vouch for you',
  heading: 'Who has seen you do this work?',
  intro: 'A supervisor or instructor. They answer a few questions, by a link or with a code you give them.',
  holds: 'vouching',
  translations: {
    de: {
      title: 'Personen, die für Sie bürgen',
      heading: 'Wer hat Sie bei dieser Arbeit gesehen?',
      intro:
        'Eine vorgesetzte oder ausbildende Person. Sie beantwortet ein paar Fragen, über einen Link oder mit einem Code von Ihnen.',
    },
  },
  questions: [],
}

export const equality: Section = {
  key: 'equality',
  title: 'Voluntary questions',
  heading: 'Questions you need not answer',
  intro: 'They are counted, and never shown with your name or to anybody who decides about you.',
  holds: 'equality',
  translations: {
    de: {
      title: 'Freiwillige Fragen',
      heading: 'Fragen, die Sie nicht beantworten müssen',
      intro: 'Sie werden gezählt und nie mit Ihrem Namen oder denen gezeigt, die über Sie entscheiden.',
    },
  },
  questions: [
    {
      key: 'equality.gender',
      label: 'How do you describe your gender?',
      kind: 'one of',
      required: false,
      options: ['Woman', 'Man', 'Another'],
      translations: { de: { label: 'Wie beschreiben Sie Ihr Geschlecht?', options: ['Frau', 'Mann', 'Ein anderes'] } },
    },
    {
      key: 'equality.disability',
      label: 'Do you live with a disability or a lasting illness?',
      kind: 'yes or no',
      required: false,
      translations: { de: { label: 'Leben Sie mit einer Behinderung oder einer dauernden Krankheit?' } },
    },
    {
      key: 'equality.age',
      label: 'How old are you?',
      kind: 'one of',
      required: false,
      options: ['Under 25', '25 to 34', '35 to 44', '45 to 54', '55 or older'],
      translations: {
        de: {
          label: 'Wie alt sind Sie?',
          options: ['Unter 25', '25 bis 34', '35 bis 44', '45 bis 54', '55 oder älter'],
        },
      },
    },
  ],
}

/** Offers go by post as well, so that the street is asked. */
const withStreet: Section = {
  ...contact,
  questions: contact.questions.map((question) =>
    question.kind === 'address' ? { ...question, street: true } : question,
  ),
}

/** The sections of the common library. */
export const library: readonly Section[] = [about, withStreet, study, work, papers, declarations, permission]

/** A better version of one of them, saved since and not yet taken over by any vacancy. */
export const betterContact: Section = {
  ...withStreet,
  intro: 'We write by mail, and call only when something is urgent. Nobody else is given your number.',
}

const shared = (section: Section): Section => ({ ...section, shared: { key: section.key, version: 1 } })

/** The form every post of the demo asks with. */
export const form: Form = [...library.map(shared), send]

/** The same with questions of its own before the permission. */
export const formWith = (...own: Section[]): Form => [...form.slice(0, -2), ...own, ...form.slice(-2)]
