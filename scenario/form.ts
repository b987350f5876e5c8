import type { Form, Section } from '#core/form/form'

const about: Section = {
  key: 'about',
  title: 'About you',
  heading: 'Who are you?',
  intro: 'As in your passport or identity card, so that papers can be matched to you.',
  holds: 'questions',
  translations: {
    de: {
      title: 'Über Sie',
      heading: 'Wer sind Sie?',
      intro: 'Wie in Ihrem Reisepass oder Personalausweis, damit Papiere Ihnen zugeordnet werden können.',
    },
  },
  questions: [
    {
      key: 'about.givenNames',
      label: 'Given names',
      kind: 'text',
      required: true,
      limit: 100,
      fill: 'given-name',
      translations: { de: { label: 'Vornamen' } },
    },
    {
      key: 'about.familyName',
      label: 'Family name',
      kind: 'text',
      required: true,
      limit: 100,
      fill: 'family-name',
      translations: { de: { label: 'Familienname' } },
    },
    {
      key: 'about.formerName',
      label: 'Full name you went by before',
      kind: 'text',
      required: false,
      limit: 120,
      help: 'If any of your papers shows another name. Leave it empty if none does.',
      translations: {
        de: {
          label: 'Voller Name, den Sie früher geführt haben',
          help: 'Falls eines Ihrer Papiere einen anderen Namen zeigt. Sonst leer lassen.',
        },
      },
    },
    {
      key: 'about.born',
      label: 'Date of birth',
      kind: 'date',
      required: true,
      fill: 'bday',
      translations: { de: { label: 'Geburtsdatum' } },
    },
  ],
}

const contact: Section = {
  key: 'contact',
  title: 'Contact',
  heading: 'How can we reach you?',
  intro: 'We write by mail, and call only when something is urgent.',
  holds: 'questions',
  translations: {
    de: {
      title: 'Kontakt',
      heading: 'Wie erreichen wir Sie?',
      intro: 'Wir schreiben Mails und rufen nur an, wenn etwas dringend ist.',
    },
  },
  questions: [
    {
      key: 'contact.mail',
      label: 'Mail address',
      kind: 'mail',
      required: true,
      fill: 'email',
      translations: { de: { label: 'Mailadresse' } },
    },
    {
      key: 'contact.phone',
      label: 'Phone',
      kind: 'phone',
      required: true,
      help: 'With the country, such as +43 512 555 0100.',
      fill: 'tel',
      translations: { de: { label: 'Telefon', help: 'Mit dem Land, etwa +43 512 555 0100.' } },
    },
    {
      key: 'contact.street',
      label: 'Street and number',
      kind: 'text',
      required: true,
      fill: 'street-address',
      translations: { de: { label: 'Straße und Hausnummer' } },
    },
    {
      key: 'contact.town',
      label: 'Postcode and town',
      kind: 'text',
      required: true,
      fill: 'address-level2',
      translations: { de: { label: 'Postleitzahl und Ort' } },
    },
    {
      key: 'contact.country',
      label: 'Country',
      kind: 'country',
      required: true,
      fill: 'country-name',
      translations: { de: { label: 'Land' } },
    },
  ],
}

const study: Section = {
  key: 'study',
  title: 'Study',
  heading: 'What have you studied or learnt?',
  intro: 'Degrees, diplomas, apprenticeships. Begin with the one that fits this post best.',
  holds: 'study',
  translations: {
    de: {
      title: 'Ausbildung',
      heading: 'Was haben Sie studiert oder gelernt?',
      intro: 'Studien, Diplome, Lehren. Beginnen Sie mit dem, was am besten zu dieser Stelle passt.',
    },
  },
  questions: [],
}

const work: Section = {
  key: 'work',
  title: 'Work',
  heading: 'What have you done in the last five years?',
  intro: 'Study, caring, travel and time without work count too, so nothing needs to be left blank.',
  holds: 'work',
  translations: {
    de: {
      title: 'Werdegang',
      heading: 'Was haben Sie in den letzten fünf Jahren getan?',
      intro: 'Ausbildung, Betreuung, Reisen und Zeit ohne Arbeit zählen auch, sodass nichts leer bleiben muss.',
    },
  },
  questions: [],
}

const papers: Section = {
  key: 'papers',
  title: 'Licences and certificates',
  heading: 'Which licences and certificates do you hold?',
  intro: 'Give the number as it is printed. A photo of both sides will do.',
  holds: 'credentials',
  translations: {
    de: {
      title: 'Lizenzen und Zeugnisse',
      heading: 'Welche Lizenzen und Zeugnisse haben Sie?',
      intro: 'Geben Sie die Nummer an, wie sie gedruckt ist. Ein Foto beider Seiten genügt.',
    },
  },
  questions: [],
}

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

const permission: Section = {
  key: 'permission',
  title: 'Permission to check',
  heading: 'May we check what you have told us?',
  intro: 'Without your permission nobody is asked. You can read all of it here.',
  holds: 'permission',
  translations: {
    de: {
      title: 'Erlaubnis zum Prüfen',
      heading: 'Dürfen wir prüfen, was Sie uns gesagt haben?',
      intro: 'Ohne Ihre Erlaubnis wird niemand gefragt. Sie können hier alles lesen.',
    },
  },
  questions: [],
}

const send: Section = {
  key: 'send',
  title: 'Read through and send',
  heading: 'Read through and send',
  intro: 'This is what will be sent. Nothing can be changed afterwards except what is asked for again.',
  holds: 'send',
  translations: {
    de: {
      title: 'Durchlesen und abschicken',
      heading: 'Durchlesen und abschicken',
      intro: 'Das wird abgeschickt. Danach kann nichts mehr geändert werden, außer worum noch einmal gebeten wird.',
    },
  },
  questions: [],
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

/** The sections of the common library. */
export const library: readonly Section[] = [about, contact, study, work, papers, declarations, permission]

/** A better version of one of them, saved since and not yet taken over by any vacancy. */
export const betterContact: Section = {
  ...contact,
  intro: 'We write by mail, and call only when something is urgent. Nobody else is given your number.',
  questions: [
    ...contact.questions.slice(0, 2),
    { key: 'contact.home', label: 'Where do you live?', kind: 'address', required: true, translations: { de: {} } },
  ],
}

const shared = (section: Section): Section => ({ ...section, shared: { key: section.key, version: 1 } })

/** The form every post of the demo asks with. */
export const form: Form = [...library.map(shared), send]

/** The same with questions of its own before the permission. */
export const formWith = (...own: Section[]): Form => [...form.slice(0, -2), ...own, ...form.slice(-2)]
