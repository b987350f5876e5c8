import type { ClaimDetails, ClaimKind, DetailsOf } from '#contract/claims'
import { catalogue, credentialKind } from '#core/catalogue/catalogue'
import type { StoredValue } from '#core/words/stored'

/** What there is to know of one kind of claim. Whoever adds a kind is led here by the compiler. */
type Kind<Details> = {
  /** What it is called: typed words as they are, the house's own as codes. */
  label: (details: Details) => StoredValue
  /** What is compared with documents and sources, beside the name and the day of birth of whose it is. */
  statement: (details: Details) => Record<string, string>
  /** What is read of it where names are hidden; whatever is new is not, until it is named here. */
  nameless: (details: Details) => Details
  /** What claims of one file are about the same thing by: however a number or a source is written, it is no other thing. */
  thing: (details: Details) => string | undefined
}

const noSource = { sourceId: null, sourceName: '' }

/** A name somebody typed for a source may be their own firm's. */
const knownSource = ({ sourceId, sourceName }: Pick<ClaimDetails, 'sourceId' | 'sourceName'>) =>
  sourceId ? { sourceId, sourceName } : noSource

/** The first amount of money a kind asks for, as its issuer would write it. */
function amountOf(key: string, given: Readonly<Record<string, string>> = {}): Record<string, string> {
  const field = credentialKind(key)?.fields.find(({ kind, key: name }) => kind === 'money' && given[name])
  return field ? { amount: `${(Number(given[field.key]) / 100).toFixed(2)} ${field.unit ?? ''}`.trim() } : {}
}

const credential: Kind<DetailsOf<'licence'>> = {
  label: (details) => ({ credential: details.credential }),
  statement: ({ credential: key, number, issued, through, fields }) => ({
    title: credentialKind(key)?.name ?? key,
    number,
    issued,
    ...(/^\d/.test(through) ? { through } : {}),
    ...amountOf(key, fields),
  }),
  nameless: ({ kind, credential: key, issued, through, steps, ...details }) => ({
    ...{ kind, credential: key, issued, through, steps },
    ...knownSource(details),
    number: '',
  }),
  thing: (details) => `credential ${details.credential}`,
}

const languageNamed = (key: string) => catalogue().languages.find((one) => one.key === key)?.name ?? key

const kinds: { [K in ClaimKind]: Kind<DetailsOf<K>> } = {
  study: {
    label: ({ award, subject }) => [award, subject].filter(Boolean).join(' ') || { code: 'names.study' },
    statement: ({ award, subject, number, to, second }) => ({
      award,
      subject,
      number,
      ...(second ? { second: second.subject } : {}),
      ...(to === 'present' ? {} : { awarded: to }),
    }),
    nameless: ({ kind, award, subject, level, field, from, to, country, language, outcome, expected, ...details }) => ({
      ...{ kind, award, subject, level, field, from, to, country, language, outcome, expected, second: details.second },
      ...knownSource(details),
      number: '',
    }),
    thing: ({ level, field }) => `study ${level} ${field}`,
  },
  work: {
    label: ({ activity, sourceName, position }) =>
      activity === 'employment'
        ? sourceName || position || { code: 'names.work' }
        : position || { code: `names.activity.${activity}` },
    statement: ({ position, from, to }) => ({ position, from, ...(to === 'present' ? {} : { to }) }),
    nameless: ({ kind, activity, position, from, to, fullTimeShare, tags, mayAsk, ...details }) => ({
      ...{ kind, activity, position, from, to, fullTimeShare, tags, mayAsk },
      ...knownSource(details),
      confirmBy: '',
    }),
    thing: ({ sourceId, sourceName }) => `work ${sourceId ?? sourceName.trim().toLowerCase()}`,
  },
  residence: {
    label: ({ address }) => address || { code: 'names.home' },
    statement: ({ address }) => ({ title: address }),
    nameless: ({ kind, country, from, to }) => ({ kind, country, from, to, ...noSource, address: '' }),
    thing: () => undefined,
  },
  licence: credential,
  certificate: credential,
  language: {
    label: ({ language, level }) => ({ code: 'names.languageAt', values: { language: { language }, level } }),
    statement: ({ language, level, number, issued, through }) => ({
      title: `${languageNamed(language)} ${level}`,
      number,
      issued,
      ...(/^\d/.test(through) ? { through } : {}),
    }),
    nameless: ({ kind, language, level, issued, through, ...details }) => ({
      ...{ kind, language, level, issued, through },
      ...knownSource(details),
      number: '',
    }),
    thing: ({ language }) => `language ${language}`,
  },
  attestation: {
    label: ({ form, title }) => ({
      code: 'names.attestationOf',
      values: { form: { code: `names.attestation.${form}` }, title },
    }),
    statement: ({ form, title, number, on }) => ({ title: `${form}: ${title}`, number, issued: on }),
    nameless: ({ kind, form, capacity, on, of, title, paper, ...details }) => ({
      ...{ kind, form, capacity, on, of, title, paper },
      ...knownSource(details),
      number: '',
    }),
    thing: () => undefined,
  },
  identity: {
    label: ({ paper }) => ({ code: `names.identity.${paper}` }),
    statement: ({ familyName, givenNames, born, number, through }) => ({
      ...(familyName ? { name: `${givenNames} ${familyName}`.trim() } : {}),
      ...(born ? { born } : {}),
      number,
      through,
    }),
    nameless: ({ kind, paper, through }) => ({
      ...{ kind, paper, through },
      ...noSource,
      ...{ number: '', issuer: '', familyName: '', givenNames: '', born: '', zone: '' },
    }),
    thing: () => 'identity',
  },
  paper: {
    label: ({ title }) => title,
    statement: ({ title }) => ({ title }),
    nameless: ({ kind, question, title, documentKind, videoSeconds }) => ({
      ...{ kind, question, title, documentKind, videoSeconds },
      ...noSource,
    }),
    thing: ({ question }) => `paper ${question}`,
  },
}

/** What there is to know of the kind a claim is of; its functions take these details. */
export const kindOf = (details: ClaimDetails) => kinds[details.kind] as Kind<ClaimDetails>
