import fc from 'fast-check'
import {
  enquiryFormCode,
  enquiryReference,
  enquiryReferencesIn,
  enquirySheetCode,
  readSheetCode,
  sheetCode,
  sheetReference,
} from './coverSheet'
import { guessPlaces, type Place } from './guess'
import { faultOfSheet, sheetsLieBeneath } from './order'
import { type ScannedPage, splitScan } from './split'

test('what a cover sheet says is read back, and other people’s codes are not ours', () => {
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 900_000 }), (number) => {
      expect(readSheetCode(sheetCode(number))).toEqual({ ok: true, number, reference: sheetReference(number) })
    }),
  )
  expect(readSheetCode('https://somewhere.test')).toBeUndefined()
  expect(readSheetCode('WIFI:S:guests;;')).toBeUndefined()
})

test('a misread character is not believed, and what was likely meant is said', () => {
  const code = sheetCode(4711)
  const wrong = code.slice(0, -5) + (code.at(-5) === '7' ? '8' : '7') + code.slice(-4)
  expect(readSheetCode(wrong)).toEqual({ ok: false, likely: sheetReference(4711) })
})

const page: ScannedPage = { blank: false }
const blank: ScannedPage = { blank: true }
const sheet = (number: number, turned: ScannedPage['turned'] = 0): ScannedPage => ({
  blank: false,
  sheet: { ok: true, number, reference: sheetReference(number) },
  turned,
})

describe('splitting a scan', () => {
  test('pages follow their cover sheet, blank backs are left out', () => {
    expect(splitScan([sheet(1), blank, page, blank, page, sheet(2), page])).toEqual([
      { sheet: 1, pages: [2, 4], upright: 0 },
      { sheet: 2, pages: [6], upright: 0 },
    ])
  })
  test('what comes before any cover sheet belongs to nobody yet', () => {
    expect(splitScan([page, page, sheet(3), page])).toEqual([
      { pages: [0, 1], upright: 0 },
      { sheet: 3, pages: [3], upright: 0 },
    ])
  })
  test('the same sheet twice is one paper', () => {
    expect(splitScan([sheet(1), page, sheet(2), page, sheet(1), page])).toEqual([
      { sheet: 1, pages: [1, 5], upright: 0 },
      { sheet: 2, pages: [3], upright: 0 },
    ])
  })
  test('a sheet that lies on its head turns its pages back', () => {
    expect(splitScan([sheet(1, 2), page])[0]?.upright).toBe(2)
    expect(splitScan([sheet(1, 1), page])[0]?.upright).toBe(3)
  })
  test('a sheet that cannot be read for certain starts a paper all the same', () => {
    expect(splitScan([{ blank: false, sheet: { ok: false, likely: 'CS-0000-00' } }, page])).toEqual([
      { doubtful: { likely: 'CS-0000-00' }, pages: [1], upright: 0 },
    ])
  })
  test('no page is lost and none comes twice', () => {
    fc.assert(
      fc.property(fc.array(fc.constantFrom(page, blank, sheet(1), sheet(2, 1)), { maxLength: 30 }), (pages) => {
        const placed = splitScan(pages).flatMap((paper) => paper.pages)
        const wanted = pages.flatMap((one, nth) => (one.sheet || one.blank ? [] : [nth]))
        expect([...placed].sort((a, b) => a - b)).toEqual(wanted)
      }),
    )
  })
})

describe('guessing where a paper belongs', () => {
  const place = (over: Partial<Place>): Place => ({
    applicationId: 'a',
    claimId: 'c',
    wants: 'nothing yet',
    name: 'Maëlle Dréau-Okafor',
    reference: 'VM-H831-TD',
    label: 'MSc',
    source: 'Technische Hochschule Tannberg',
    number: 'TB-2018-9034',
    neighbour: false,
    ...over,
  })
  const words = 'TECHNISCHE HOCHSCHULE TANNBERG conferred on Maelle Dreau-Okafor N° TB 2018/9034'

  test('a number and a name on the page find the claim, in any spelling', () => {
    const [best, second] = guessPlaces(words, [place({}), place({ claimId: 'd', number: 'XX-1234', source: 'Else' })])
    expect(best).toMatchObject({ claimId: 'c', because: ['number', 'name', 'source', 'awaited'] })
    expect(second?.claimId).toBe('d')
  })
  test('a picture without words is guessed only by its neighbour', () => {
    expect(guessPlaces('', [place({})])).toEqual([])
    expect(guessPlaces('', [place({ neighbour: true })])).toMatchObject([{ because: ['neighbour', 'awaited'] }])
  })
  test('half a name is not a name', () => {
    expect(guessPlaces('Maelle', [place({ number: '' })])).toEqual([])
  })
})

describe('sheets that their sender printed', () => {
  const paper = (sheet: number | undefined, ...pages: number[]) => ({ sheet, pages, upright: 0 as const })
  test('a scan that begins with pages of nobody and ends with a sheet alone has its sheets beneath', () => {
    expect(sheetsLieBeneath([paper(undefined, 0), paper(1, 2), paper(2)])).toBe(true)
    expect(sheetsLieBeneath([paper(undefined, 0), paper(1, 2)])).toBe(false)
    expect(sheetsLieBeneath([paper(1, 1), paper(2)])).toBe(false)
    expect(sheetsLieBeneath([paper(1)])).toBe(false)
    expect(sheetsLieBeneath([])).toBe(false)
  })
  test.each([
    [[1, 2], 2, false, undefined],
    [[1], 2, false, 'pages'],
    [[1, 2, 3], 2, false, 'pages'],
    [[1, 2], null, false, undefined],
    [[], 2, false, 'alone'],
    [[1, 2], 2, true, 'beneath'],
  ] as const)('%j pages where %j were said, beneath %j: %j', (pages, said, beneath, fault) => {
    expect(faultOfSheet(paper(1, ...pages), said, beneath)).toBe(fault)
  })
})

describe('what comes back from a source', () => {
  const [one, other] = [enquiryReference(7), enquiryReference(8)]
  const page = (code?: string): ScannedPage => ({ blank: false, ...(code ? { sheet: readSheetCode(code)! } : {}) })

  test('is known by the sheet on top, which is no page of it', () => {
    expect(splitScan([page(enquirySheetCode(one)), page(), page()])).toEqual([
      { enquiry: one, pages: [1, 2], upright: 0 },
    ])
  })
  test('is known by its form, which is one', () => {
    expect(
      splitScan([page(enquirySheetCode(one)), page(enquiryFormCode(one)), page(), page(enquiryFormCode(other))]),
    ).toEqual([
      { enquiry: one, pages: [1, 2], upright: 0 },
      { enquiry: other, pages: [3], upright: 0 },
    ])
  })
  test('is not believed where its code was misread', () => {
    const code = enquirySheetCode(one)
    const wrong = code.slice(0, -4) + (code.at(-4) === '7' ? '8' : '7') + code.slice(-3)
    expect(readSheetCode(wrong)).toMatchObject({ ok: false })
  })
  test('is found by the references in a mail, however they are typed', () => {
    const typed = one.toLowerCase().replaceAll('-', ' ')
    expect(enquiryReferencesIn(`Re: ${typed}, your question (${other}), not EQ-0000-01`)).toEqual([one, other])
    expect(enquiryReferencesIn('no reference; EQUIPMENT')).toEqual([])
  })
})
