import type { Section } from '../form/form'

/** Sections that most forms have, as they are begun with; each vacancy makes of them what it needs. */

export const about: Section = {
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

export const contact: Section = {
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
      key: 'contact.home',
      label: 'Where do you live?',
      kind: 'address',
      required: true,
      translations: { de: { label: 'Wo wohnen Sie?' } },
    },
  ],
}

export const study: Section = {
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

export const work: Section = {
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

export const papers: Section = {
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

export const permission: Section = {
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

export const send: Section = {
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
