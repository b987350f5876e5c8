import { aRequirement } from '../../test/requirements'
import { knownFacts } from '../conditions/vocabulary'
import type { Ask, OutcomeReason, Requirement, Step } from '../requirements/requirement'
import { rightsOf } from '../rights/rights'
import { ballWords, outcomeWords } from './outcomes'
import { paperWords, requirementSentence } from './requirements'

const names: Record<string, string> = {
  isolation: 'Isolation and lock-off',
  handbook: 'The safety handbook',
  winter: 'Would you lead in winter?',
  dog: 'Papers of your dog',
}
const nameOf = (key: string) => names[key] ?? key

test.each<[Ask, string]>([
  [{ kind: 'answer', question: 'winter' }, 'An answer about Would you lead in winter?, before an offer.'],
  [{ kind: 'study', levelAtLeast: 6 }, 'A degree or diploma at the level of bachelor or above, before an offer.'],
  [
    { kind: 'study', levelAtLeast: 7, fields: ['0713', '0732'] },
    'A degree or diploma at the level of master or above in electricity and energy or building and civil engineering, before an offer.',
  ],
  [{ kind: 'credential', credential: 'medical' }, 'Medical fitness for mountain operations, before an offer.'],
  [
    { kind: 'history', years: 5, toleratedGapDays: 30 },
    'What you did in the last 5 years, with no gap longer than 30 days, before an offer.',
  ],
  [{ kind: 'experience', months: 36, tags: ['track', 'rack'] }, '3 years of work in track or rack, before an offer.'],
  [{ kind: 'every work entry' }, 'Every job you give, before an offer.'],
  [{ kind: 'skills check', check: 'isolation' }, 'The skills check “Isolation and lock-off”, before an offer.'],
  [{ kind: 'permission' }, 'Your permission to check what you say, signed, before an offer.'],
  [{ kind: 'document', question: 'dog' }, 'The document “Papers of your dog”, before an offer.'],
  [
    { kind: 'declaration', question: 'winter', mustBe: 'yes' },
    '“Would you lead in winter?” answered with yes, before an offer.',
  ],
  [{ kind: 'reference', count: 1 }, 'A reference from an employer, before an offer.'],
  [{ kind: 'reference', count: 3 }, 'References from 3 employers, before an offer.'],
  [{ kind: 'fee', schedule: 'exam' }, 'A fee: exam, before an offer.'],
  [{ kind: 'offer accepted' }, 'Your acceptance of the offer, before an offer.'],
  [{ kind: 'onboarding task', task: 'handbook' }, 'The safety handbook, before an offer.'],
])('%j reads “%s”', (asks, sentence) => expect(requirementSentence(aRequirement(asks), nameOf)).toBe(sentence))

test('gate, proof, validity, alternatives, condition and exemption all stand in the sentence', () => {
  const known = knownFacts(
    [
      {
        key: 's',
        title: '',
        heading: '',
        intro: '',
        holds: 'questions',
        questions: [{ key: 'winter', label: 'Winter?', kind: 'yes or no', required: true }],
      },
    ],
    {},
  )
  const full = aRequirement(
    { kind: 'credential', credential: 'rope-access' },
    {
      gate: 'start',
      rung: 'confirmed',
      validStartPlusDays: 1,
      alternatives: [{ kind: 'credential', credential: 'work-at-height' }],
      when: { fact: 'winter', is: 'yes' },
      exempt: { when: { fact: 'file.workMonths', atLeast: 60 }, because: 'five years on the rope have shown it' },
    },
  )
  expect(requirementSentence(full, nameOf, known)).toBe(
    'Rope access card, or work at height certificate, confirmed by whoever issued it, valid through the start and 1 day more, before the first day. Only if “Winter” is yes. Not needed if “months of work in all” is at least 60: five years on the rope have shown it.',
  )
})

test.each<[Ask, Partial<Requirement>, string | undefined]>([
  [
    { kind: 'credential', credential: 'rope-access' },
    { rung: 'evidenced' },
    'Both sides of the card: PDF, JPEG, PNG or Word, up to 10 MB and 20 pages',
  ],
  [
    { kind: 'study', levelAtLeast: 6 },
    { paper: true },
    'The degree certificate: PDF, JPEG, PNG or Word, up to 10 MB and 20 pages',
  ],
  [{ kind: 'study', levelAtLeast: 6 }, {}, undefined],
  [{ kind: 'skills check', check: 'isolation' }, { rung: 'confirmed' }, undefined],
])('the paper of %j, %j is “%s”', (asks, over, words) => expect(paperWords(aRequirement(asks, over))).toBe(words))

test.each<[OutcomeReason, string]>([
  [{ code: 'met', claim: 'MSc' }, 'Met by MSc.'],
  [{ code: 'waived', by: 'Ines', reason: 'known for years' }, 'Waived by Ines: known for years'],
  [{ code: 'exempt', because: 'accredited' }, 'Exempt: accredited.'],
  [
    { code: 'condition-undecided', deciding: ['winter'] },
    'Depends on an answer not given yet: Would you lead in winter?.',
  ],
  [{ code: 'to-ask', claim: 'MSc', source: 'TH Tannberg' }, 'MSc: TH Tannberg has not been asked yet.'],
  [{ code: 'asked', claim: 'MSc' }, 'MSc: the source has been asked and has not answered.'],
  [
    { code: 'lapses-early', claim: 'First aid', lastDay: '2027-01-05', needed: '2027-02-10', shortBy: 36 },
    'First aid lapses 5 Jan 2027, 36 days short of 10 Feb 2027.',
  ],
  [{ code: 'standing', claim: 'Licence', standing: 'revoked' }, 'Licence is revoked.'],
  [
    { code: 'standing', claim: 'Licence', standing: 'restricted', terms: ['supervised'], termsSaid: 'up to 30 kV' },
    'Licence is restricted: only under supervision, up to 30 kV.',
  ],
  [{ code: 'restricted', claim: 'Licence' }, 'Licence holds, restricted.'],
  [
    { code: 'restricted', claim: 'Licence', terms: ['supervised', 'not at night'] },
    'Licence holds, restricted: only under supervision, not at night.',
  ],
  [
    { code: 'gaps', days: 118, count: 2, first: { from: '2023-02-03', through: '2023-05-31' } },
    '118 days to account for, 3 Feb 2023 to 31 May 2023 and 1 more.',
  ],
  [{ code: 'too-little-experience', months: 14, needed: 36 }, '1 y 2 m of 3 y asked.'],
  [
    { code: 'work-open', open: 2, of: 3, claim: 'Karwen Linie' },
    '2 of 3 jobs still to be confirmed, Karwen Linie first.',
  ],
  [{ code: 'check-failed', percent: 60 }, '60 %, below the pass mark.'],
  [{ code: 'answer-other', question: 'winter', answer: 'no', needed: 'yes' }, 'Answered “no”; yes is needed.'],
  [{ code: 'too-few-references', confirmed: 1, needed: 2, asked: 1 }, '1 of 2 employers have confirmed, 1 asked.'],
  [{ code: 'fee-open', charged: true }, 'Not paid yet.'],
])('%j reads “%s”', (reason, words) => expect(outcomeWords({ reason, title: 'T' }, nameOf)).toBe(words))

test.each<[Step, string]>([
  [{ who: 'candidate', what: 'renew' }, 'Candidate: renew'],
  [{ who: 'desk', what: 'compare' }, 'You: compare reply'],
  [{ who: 'desk', what: 'look' }, 'You: look at document'],
  [{ who: 'source', what: 'reply' }, 'Source: answer'],
  [{ who: 'candidate', what: 'pay' }, 'Candidate: pay'],
  [{ who: 'hiring manager', what: 'make offer' }, 'Hiring manager: offer'],
])('the ball of %j is “%s”', (step, words) => expect(ballWords(step, rightsOf(['coordinator']))).toBe(words))

test('it is not “you” for whose role it is not', () => {
  expect(ballWords({ who: 'desk', what: 'compare' }, rightsOf(['assessor']))).toBe('Coordinator: compare reply')
  expect(ballWords({ who: 'hiring manager', what: 'make offer' }, rightsOf(['hiring manager']))).toBe('You: offer')
})
