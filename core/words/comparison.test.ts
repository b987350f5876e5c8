import { compareClaim } from '../comparison/compareClaim'
import { fieldsOf } from '../comparison/fields'
import type { Reason } from '../comparison/verdict'
import { comparisonSentence, reasonOfDifference } from './comparison'

test.each<[Reason, string]>([
  [{ code: 'accents' }, 'only accents differ'],
  [{ code: 'initials', initial: 'm', name: 'maria' }, '“M.” can stand for Maria'],
  [
    { code: 'known-name', name: 'Maëlle Dréau', evidencedBy: 'BSc' },
    'also known as Maëlle Dréau, evidenced by the document of BSc',
  ],
  [{ code: 'part-missing', parts: ['okafor'] }, 'Okafor appears on one side only'],
  [{ code: 'misread', pairs: [{ ours: '8', theirs: '6' }] }, 'one character, 8 against 6, easily misread in a scan'],
  [
    {
      code: 'misread',
      pairs: [
        { ours: '0', theirs: 'O' },
        { ours: '1', theirs: 'I' },
      ],
    },
    '2 characters, 0 against O, 1 against I, easily misread in a scan',
  ],
  [{ code: 'swapped', ours: '84', theirs: '48' }, 'two neighbouring characters swapped, 84 against 48'],
  [{ code: 'off-by', unit: 'day', count: 1 }, '1 day apart'],
  [{ code: 'off-by', unit: 'month', count: 2 }, '2 months apart'],
  [{ code: 'abbreviation', short: 'MSc', long: 'Master of Science' }, 'MSc is short for Master of Science'],
])('%j reads “%s”', (reason, words) => expect(reasonOfDifference(reason)).toBe(words))

const claimed = { name: 'Tomasz Wierzborski', award: 'MSc', subject: 'Railways', number: 'TB-80', awarded: '2018-03' }
const sentence = (reply?: Parameters<typeof compareClaim>[3]) =>
  comparisonSentence(compareClaim(fieldsOf('study', claimed), claimed, undefined, reply, []))

test('the sentence above the decision says how it comes out and what a difference most likely is', () => {
  expect(sentence().head).toBe('The source has not answered yet.')
  expect(sentence(claimed)).toEqual({ head: 'The source agrees in every field that matters.', detail: '' })
  expect(sentence({ ...claimed, number: 'TB-60' })).toEqual({
    head: 'One field is close, not the same.',
    detail: 'Number: one character, 8 against 6, easily misread in a scan.',
  })
  expect(sentence({ ...claimed, name: 'Tadeusz Wrona', subject: 'Botany' }).head).toBe('2 fields contradict.')
  expect(sentence({ ...claimed, number: { cannotSay: true } }).head).toBe('The source left one field blank.')
})

test.each<[Reason, string]>([
  [
    { code: 'nickname', ours: 'Bob', theirs: 'Robert' },
    'Bob and Robert can be one person’s names, as a short form or in another language',
  ],
  [{ code: 'variant', ours: 'Sara', theirs: 'Sarah' }, 'Sara and Sarah are two spellings of one name'],
  [{ code: 'other-name', ours: 'Petra', theirs: 'Peter' }, 'Petra and Peter are two different names'],
  [{ code: 'romanised', standard: 'ISO 9', reading: 'Ûliâ' }, 'in Latin letters Ûliâ, by ISO 9'],
  [
    { code: 'romanisations', ours: 'BGN/PCGN', theirs: 'ICAO 9303' },
    'the same Cyrillic name, written by BGN/PCGN and by ICAO 9303',
  ],
  [{ code: 'titles', titles: ['Dr'] }, 'the title Dr is set aside'],
  [{ code: 'titles', titles: ['Prof', 'Dr'] }, 'the titles Prof Dr are set aside'],
  [{ code: 'generation', ours: 'junior', theirs: 'senior' }, 'one is junior, the other senior'],
  [{ code: 'too-little', part: 'Maria' }, 'only Maria is shared, and many people are called that'],
  [{ code: 'one-more', character: '7' }, 'one character more, 7'],
  [{ code: 'prefix-missing', prefix: 'VTA' }, 'VTA in front is left out on one side'],
  [{ code: 'other-length', ours: 11, theirs: 8 }, '11 characters against 8, and more than one is missing'],
  [{ code: 'other-characters', count: 1, of: 11 }, '1 of 11 characters is another, and not one that is easily misread'],
  [{ code: 'other-words', ours: ['driver'], theirs: ['cook'] }, '“driver” against “cook”'],
  [{ code: 'other-words', ours: ['driver'], theirs: [] }, 'driver appears on one side only'],
  [{ code: 'other-amount' }, 'another amount'],
])('%j reads “%s”', (reason, words) => expect(reasonOfDifference(reason)).toBe(words))

test('a sentence for each kind of difference, each with its number', () => {
  const said = {
    ...claimed,
    name: 'Tadeusz Wrona',
    subject: 'Botany',
    number: 'TB-60',
    awarded: { cannotSay: true as const },
  }
  expect(sentence(said).head).toBe(
    '2 fields contradict. One field is close, not the same. The source left one field blank.',
  )
})
