/** What a kind of licence or certificate is called and needs. */
export type CredentialKind = {
  key: string
  name: string
  claim: 'licence' | 'certificate'
  expires: boolean
  /** Days a renewal usually takes; within them before its last day it counts as expiring. */
  leadDays: number
  papers: string
}

export const credentialKinds: readonly CredentialKind[] = [
  {
    key: 'hv-switching',
    name: 'High-voltage switching authority',
    claim: 'licence',
    expires: true,
    leadDays: 60,
    papers: 'both sides of the card',
  },
  {
    key: 'work-at-height',
    name: 'Work at height certificate',
    claim: 'certificate',
    expires: true,
    leadDays: 45,
    papers: 'the certificate',
  },
  {
    key: 'first-aid',
    name: 'First aid at work',
    claim: 'certificate',
    expires: true,
    leadDays: 30,
    papers: 'the certificate',
  },
  {
    key: 'medical',
    name: 'Medical fitness for mountain operations',
    claim: 'certificate',
    expires: true,
    leadDays: 30,
    papers: 'the fitness statement, without findings',
  },
  {
    key: 'rope-access',
    name: 'Rope access card',
    claim: 'certificate',
    expires: true,
    leadDays: 60,
    papers: 'both sides of the card',
  },
  {
    key: 'train-driving',
    name: 'Rack-railway driving licence',
    claim: 'licence',
    expires: true,
    leadDays: 90,
    papers: 'both sides of the licence',
  },
  {
    key: 'welding',
    name: 'Welding qualification',
    claim: 'certificate',
    expires: true,
    leadDays: 60,
    papers: 'the certificate',
  },
  {
    key: 'dispatcher',
    name: 'Control-room dispatcher licence',
    claim: 'licence',
    expires: true,
    leadDays: 60,
    papers: 'both sides of the licence',
  },
  {
    key: 'blasting',
    name: 'Avalanche blasting permit',
    claim: 'licence',
    expires: true,
    leadDays: 90,
    papers: 'the permit',
  },
  {
    key: 'signalling',
    name: 'Signalling works authority',
    claim: 'licence',
    expires: true,
    leadDays: 60,
    papers: 'the authority card',
  },
]

/** Levels of the International Standard Classification of Education, ISCED 2011. */
export const studyLevels: Readonly<Record<number, string>> = {
  3: 'upper secondary or apprenticeship',
  4: 'post-secondary certificate',
  5: 'higher technical diploma',
  6: 'bachelor',
  7: 'master',
  8: 'doctorate',
}

/** The narrow fields of ISCED-F 2013 that the posts ask for. */
export const studyFields: Readonly<Record<string, string>> = {
  '0311': 'Economics',
  '0413': 'Management and administration',
  '0532': 'Earth sciences',
  '0613': 'Software and applications',
  '0713': 'Electricity and energy',
  '0714': 'Electronics and automation',
  '0715': 'Mechanics and metal trades',
  '0716': 'Motor vehicles, ships and aircraft',
  '0732': 'Building and civil engineering',
  '1041': 'Transport services',
}

export const credentialKind = (key: string) => credentialKinds.find((kind) => kind.key === key)
