import type { Section } from '#core/form/form'

/** Bodies that register inspectors, of whom an inspector may choose several: what they need is asked once. */
export const registers: Section = {
  key: 'registers',
  title: 'Registers',
  heading: 'Which inspectorates are to register you?',
  intro:
    'Each receives what is proven of you once it is, and only with your permission. You can add another one later; then only what it needs beside is asked.',
  holds: 'questions',
  translations: {
    de: {
      title: 'Register',
      heading: 'Welche Aufsichtsstellen sollen Sie eintragen?',
      intro:
        'Jede bekommt, was über Sie nachgewiesen ist, sobald es so weit ist, und nur mit Ihrer Erlaubnis. Sie können später eine weitere hinzufügen; dann wird nur gefragt, was sie zusätzlich braucht.',
    },
  },
  questions: [
    {
      key: 'registers',
      label: 'Inspectorates',
      kind: 'recipients',
      required: false,
      translations: { de: { label: 'Aufsichtsstellen' } },
      recipients: [
        {
          key: 'lower-alps',
          name: 'Lower Alps Rail Inspectorate',
          mail: 'register@lari.example',
          language: 'en',
          about: 'Registers inspectors of funiculars and rack railways.',
          gate: 'shortlist',
          translations: { de: { about: 'Trägt Prüferinnen und Prüfer von Standseil- und Zahnradbahnen ein.' } },
        },
        {
          key: 'tannberg',
          name: 'Tannberg Cableway Inspectorate',
          mail: 'eintragung@tannberg-inspectorate.example',
          language: 'de',
          about: 'Registers inspectors of cableways by district.',
          gate: 'offer',
          translations: { de: { about: 'Trägt Prüferinnen und Prüfer von Seilbahnen nach Bezirken ein.' } },
        },
        {
          key: 'high-alps',
          name: 'High Alps Ropeway Registry',
          mail: 'registry@high-alps.example',
          language: 'en',
          about: 'Registers chief inspectors.',
          gate: 'offer',
          exclusions: [
            {
              when: { fact: 'file.studyLevel', atMost: 4 },
              because: 'It registers those who hold a technical diploma above an apprenticeship.',
              translations: {
                de: { because: 'Eingetragen wird, wer einen technischen Abschluss über einer Lehre hat.' },
              },
            },
          ],
          translations: { de: { about: 'Trägt leitende Prüferinnen und Prüfer ein.' } },
        },
      ],
    },
    {
      key: 'registers.winter',
      label: 'Have you inspected in winter?',
      kind: 'yes or no',
      required: true,
      when: {
        any: [
          { fact: 'registers', holds: 'lower-alps' },
          { fact: 'registers', holds: 'tannberg' },
        ],
      },
      translations: { de: { label: 'Haben Sie im Winter geprüft?' } },
    },
    {
      key: 'registers.district',
      label: 'District of Tannberg you would inspect in',
      kind: 'one of',
      options: ['North', 'South', 'Both'],
      required: true,
      when: { fact: 'registers', holds: 'tannberg' },
      translations: {
        de: { label: 'Bezirk von Tannberg, in dem Sie prüfen würden', options: ['Nord', 'Süd', 'Beide'] },
      },
    },
  ],
}
