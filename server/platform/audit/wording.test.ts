import '../../../test/words'
import { events } from '#core/events/events'
import english from '#core/words/catalogue/event.en'
import { contentHashOf } from './chain'
import { concernsCandidate, eventWords, eventWordsForCandidate } from './wording'

const recorded = (over: Partial<Parameters<typeof eventWords>[0]>) => ({
  what: '',
  forCandidate: null,
  words: null,
  wordValues: null,
  shownToCandidate: false,
  erasedAt: null,
  ...over,
})

test('what was sealed as a sentence is shown as it was sealed, whatever stands beside it', () => {
  const event = recorded({ what: 'Signed the permission to check', forCandidate: 'You signed.', words: 'withdrawn' })
  expect(eventWords(event)).toBe('Signed the permission to check')
  expect(eventWordsForCandidate({ ...event, words: null })).toBe('You signed.')
})

test('an event is told to the candidate only where it is meant for them', () => {
  const event = recorded({ words: 'enquiry-raised', wordValues: { source: 'The school', claim: 'MSc', round: 1 } })
  expect(eventWords(event)).toBe('Asked The school about MSc')
  expect(eventWordsForCandidate(event)).toBeUndefined()
  expect(eventWordsForCandidate({ ...event, shownToCandidate: true })).toBe('We asked The school about MSc.')
  expect(eventWordsForCandidate({ ...event, shownToCandidate: true, erasedAt: new Date() })).toBeUndefined()
  expect(concernsCandidate('claim-decided.contradicted')).toBe(false)
  expect(concernsCandidate('claim-decided.confirmed')).toBe(true)
})

test('every text of an event belongs to an event there is', () => {
  const codes = Object.keys(events)
  const strange = Object.keys(english)
    .map((key) => key.slice('event.'.length))
    .filter(
      (word) =>
        word !== 'erased' &&
        !codes.some((code) => word === code || word.startsWith(`${code}.`) || word.startsWith(`${code}_`)),
    )
  expect(strange).toEqual([])
})

test('the words of an event and their values are sealed, and a sentence of before keeps its seal', () => {
  const content = {
    who: 'Ines',
    what: '',
    forCandidate: null,
    about: null,
    candidateId: null,
    applicationId: null,
    claimId: null,
    details: {},
  }
  const coded = { ...content, words: 'withdrawn', wordValues: {}, shownToCandidate: true }
  const seal = contentHashOf('salt', coded)
  expect(contentHashOf('salt', { ...coded, words: 'permission-signed' })).not.toBe(seal)
  expect(contentHashOf('salt', { ...coded, wordValues: { reason: 'x' } })).not.toBe(seal)
  expect(contentHashOf('salt', { ...coded, shownToCandidate: false })).not.toBe(seal)
  const before = { ...content, what: 'Withdrew the application' }
  expect(contentHashOf('salt', { ...before, words: null, wordValues: null })).toBe(contentHashOf('salt', before))
})
