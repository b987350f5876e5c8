import { paperNeedWords } from '../words/papers'
import { counted, type FiledPaper, givenPapers, isTranslated, papersOfClaim } from './papers'

let number = 0
const filed = (over: Partial<FiledPaper> = {}): FiledPaper => ({
  id: `d${number++}`,
  part: 'certificate',
  pages: 1,
  translationOf: null,
  state: 'to look at',
  ...over,
})

test('a paper that was sent back or replaced stands for nothing', () => {
  const papers = [filed({ state: 'sent back' }), filed({ state: 'replaced' }), filed({ state: 'seen' })]
  expect(counted(papers)).toEqual([papers[2]])
  expect(papersOfClaim({ kind: 'study' }, papers.slice(0, 2), [])?.missing).toEqual(['certificate'])
  expect(papersOfClaim({ kind: 'study' }, papers, [])?.missing).toEqual([])
})

test('a translation belongs to one original; taken back, the original wants one again', () => {
  const original = filed()
  const translation = filed({ part: 'translation', translationOf: original.id })
  expect(isTranslated([original, translation], original.id)).toBe(true)
  expect(isTranslated([original, { ...translation, state: 'sent back' }], original.id)).toBe(false)
  const need = (papers: FiledPaper[]) => papersOfClaim({ kind: 'study', language: 'fr' }, papers, ['en'])!
  expect(need([original]).untranslated).toEqual(['certificate'])
  expect(need([original, translation]).untranslated).toEqual([])
  expect(givenPapers([original, translation]).map(({ translated }) => translated)).toEqual([true, false])
})

describe('papers of identity', () => {
  const need = (paper: 'passport' | 'identity card' | 'two others', papers: FiledPaper[]) =>
    papersOfClaim({ kind: 'identity', paper }, papers, [])!
  test('a passport by the page with the picture', () => {
    expect(need('passport', []).missing).toEqual(['data page'])
    expect(need('passport', [filed({ part: 'data page' })]).missing).toEqual([])
  })
  test('a card by both sides, on two pictures or on one scan of two pages', () => {
    expect(need('identity card', [filed({ part: 'front' })]).missing).toEqual(['back'])
    expect(need('identity card', [filed({ part: 'front' }), filed({ part: 'back' })]).missing).toEqual([])
    expect(need('identity card', [filed({ pages: 2 })]).missing).toEqual([])
  })
  test('without any of these, two others and a portrait', () => {
    expect(need('two others', []).missing).toEqual(['one other paper', 'second other paper', 'portrait'])
    expect(need('two others', [filed({ part: 'portrait' }), filed({ part: 'one other paper' })]).missing).toEqual([
      'second other paper',
    ])
  })
})

test('kinds of licences say whether their back matters; other claims need nothing in particular', () => {
  expect(papersOfClaim({ kind: 'licence', credential: 'hv-switching' }, [filed()], [])?.missing).toEqual(['back'])
  expect(papersOfClaim({ kind: 'certificate', credential: 'first-aid' }, [filed()], [])?.missing).toEqual([])
  expect(papersOfClaim({ kind: 'certificate', credential: 'nobody knows it' }, [], [])?.missing).toEqual([
    'certificate',
  ])
  expect(papersOfClaim({ kind: 'work' }, [], [])).toBeUndefined()
})

test('what is wanted is said in a sentence', () => {
  const study = papersOfClaim({ kind: 'study', language: 'fr' }, [], ['en'])!
  expect(paperNeedWords(study, 0)).toBe('Needed: certificate, or transcript of marks and letter of award.')
  const half = papersOfClaim({ kind: 'study', language: 'fr' }, [filed({ part: 'transcript' })], ['en'])!
  expect(paperNeedWords(half, 1)).toMatch(/^Still missing: .*\. Its language is not read here/)
  const whole = papersOfClaim({ kind: 'study' }, [filed()], ['en'])!
  expect(paperNeedWords(whole, 1)).toBe('')
})
