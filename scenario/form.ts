import type { Form, Section } from '#core/form/form'

const about: Section = {
  key: 'about',
  title: 'About you',
  heading: 'Who are you?',
  intro: 'As in your passport or identity card, so that papers can be matched to you.',
  holds: 'questions',
  questions: [
    { key: 'about.givenNames', label: 'Given names', kind: 'text', required: true, limit: 100, fill: 'given-name' },
    { key: 'about.familyName', label: 'Family name', kind: 'text', required: true, limit: 100, fill: 'family-name' },
    {
      key: 'about.formerName',
      label: 'Full name you went by before',
      kind: 'text',
      required: false,
      limit: 120,
      help: 'If any of your papers shows another name. Leave it empty if none does.',
    },
    { key: 'about.born', label: 'Date of birth', kind: 'date', required: true, fill: 'bday' },
  ],
}

const contact: Section = {
  key: 'contact',
  title: 'Contact',
  heading: 'How can we reach you?',
  intro: 'We write by mail, and call only when something is urgent.',
  holds: 'questions',
  questions: [
    { key: 'contact.mail', label: 'Mail address', kind: 'mail', required: true, fill: 'email' },
    {
      key: 'contact.phone',
      label: 'Phone',
      kind: 'phone',
      required: true,
      help: 'With the country, such as +43 512 555 0100.',
      fill: 'tel',
    },
    { key: 'contact.street', label: 'Street and number', kind: 'text', required: true, fill: 'street-address' },
    { key: 'contact.town', label: 'Postcode and town', kind: 'text', required: true, fill: 'address-level2' },
    { key: 'contact.country', label: 'Country', kind: 'country', required: true, fill: 'country-name' },
  ],
}

const study: Section = {
  key: 'study',
  title: 'Study',
  heading: 'What have you studied or learnt?',
  intro: 'Degrees, diplomas, apprenticeships. Begin with the one that fits this post best.',
  holds: 'study',
  questions: [],
}

const work: Section = {
  key: 'work',
  title: 'Work',
  heading: 'What have you done in the last five years?',
  intro: 'Study, caring, travel and time without work count too, so nothing needs to be left blank.',
  holds: 'work',
  questions: [],
}

const papers: Section = {
  key: 'papers',
  title: 'Licences and certificates',
  heading: 'Which licences and certificates do you hold?',
  intro: 'Give the number as it is printed. A photo of both sides will do.',
  holds: 'credentials',
  questions: [],
}

const declarations: Section = {
  key: 'declarations',
  title: 'Declarations',
  heading: 'A few yes or no questions',
  intro: 'A yes does not rule you out. It asks you to explain, and a person reads what you write.',
  holds: 'questions',
  questions: [
    {
      key: 'declare.dismissed',
      label: 'Were you ever dismissed for a breach of safety rules?',
      kind: 'yes or no',
      required: true,
      explain: 'yes',
    },
    {
      key: 'declare.withdrawn',
      label: 'Was a licence of yours ever suspended or withdrawn?',
      kind: 'yes or no',
      required: true,
      explain: 'yes',
    },
    {
      key: 'declare.heights',
      label: 'Can you work at heights and in winter weather?',
      kind: 'yes or no',
      required: true,
      explain: 'no',
    },
    {
      key: 'declare.permit',
      label: 'May you work in this country without a further permit?',
      kind: 'yes or no',
      required: true,
      explain: 'no',
    },
  ],
}

const permission: Section = {
  key: 'permission',
  title: 'Permission to check',
  heading: 'May we check what you have told us?',
  intro: 'Without your permission nobody is asked. You can read all of it here.',
  holds: 'permission',
  questions: [],
}

const send: Section = {
  key: 'send',
  title: 'Read through and send',
  heading: 'Read through and send',
  intro: 'This is what will be sent. Nothing can be changed afterwards except what is asked for again.',
  holds: 'send',
  questions: [],
}

export const identity: Section = {
  key: 'identity',
  title: 'Identity',
  heading: 'Which paper shows who you are?',
  intro: 'It is captured here or on your phone. What it says is offered to you to confirm.',
  holds: 'identity',
  questions: [],
}

export const vouching: Section = {
  key: 'vouching',
  title: 'People who vouch for you',
  heading: 'Who has seen you do this work?',
  intro: 'A supervisor or instructor. They answer a few questions, by a link or with a code you give them.',
  holds: 'vouching',
  questions: [],
}

export const equality: Section = {
  key: 'equality',
  title: 'Voluntary questions',
  heading: 'Questions you need not answer',
  intro: 'They are counted, and never shown with your name or to anybody who decides about you.',
  holds: 'equality',
  questions: [
    {
      key: 'equality.gender',
      label: 'How do you describe your gender?',
      kind: 'one of',
      required: false,
      options: ['Woman', 'Man', 'Another'],
    },
    {
      key: 'equality.disability',
      label: 'Do you live with a disability or a lasting illness?',
      kind: 'yes or no',
      required: false,
    },
    {
      key: 'equality.age',
      label: 'How old are you?',
      kind: 'one of',
      required: false,
      options: ['Under 25', '25 to 34', '35 to 44', '45 to 54', '55 or older'],
    },
  ],
}

/** The sections of the common library. */
export const library: readonly Section[] = [about, contact, study, work, papers, declarations, permission]

/** A better version of one of them, saved since and not yet taken over by any vacancy. */
export const betterContact: Section = {
  ...contact,
  intro: 'We write by mail, and call only when something is urgent. Nobody else is given your number.',
  questions: [
    ...contact.questions.slice(0, 2),
    { key: 'contact.home', label: 'Where do you live?', kind: 'address', required: true },
  ],
}

const shared = (section: Section): Section => ({ ...section, shared: { key: section.key, version: 1 } })

/** The form every post of the demo asks with. */
export const form: Form = [...library.map(shared), send]

/** The same with questions of its own before the permission. */
export const formWith = (...own: Section[]): Form => [...form.slice(0, -2), ...own, ...form.slice(-2)]
