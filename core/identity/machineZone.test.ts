import fc from 'fast-check'
import { Temporal } from 'temporal-polyfill'
import { checkDigit, readZone, writeZone, type ZoneReading } from './machineZone'

const today = Temporal.PlainDate.from('2026-11-25')
const read = (text: string) => readZone(text, today) as ZoneReading

// The specimens of the standard: state UTO does not exist (ICAO 9303 parts 4, 5 and 6).
const passport = 'P<UTOERIKSSON<<ANNA<MARIA<<<<<<<<<<<<<<<<<<<\nL898902C36UTO7408122F1204159ZE184226B<<<<<10'
const card = 'I<UTOD231458907<<<<<<<<<<<<<<<\n7408122F1204159UTO<<<<<<<<<<<6\nERIKSSON<<ANNA<MARIA<<<<<<<<<<'
const large = 'I<UTOERIKSSON<<ANNA<MARIA<<<<<<<<<<<\nD231458907UTO7408122F1204159<<<<<<<6'

describe('the specimens of the standard', () => {
  test.each([
    ['passport', passport, 'TD3', 'L898902C3'],
    ['identity card', card, 'TD1', 'D23145890'],
    ['identity card', large, 'TD2', 'D23145890'],
  ])('%s', (paper, zone, layout, number) => {
    expect(read(zone)).toEqual({
      layout,
      paper,
      issuer: 'UTO',
      nationality: 'UTO',
      familyName: 'ERIKSSON',
      givenNames: 'ANNA MARIA',
      number,
      born: '1974-08-12',
      through: '2012-04-15',
      sex: 'female',
      wrong: [],
      mended: [],
    })
  })

  test('the check digits of the standard’s examples', () => {
    expect(checkDigit('520727')).toBe('3')
    expect(checkDigit('AB2134<<<')).toBe('5')
  })
})

describe('what a camera misreads', () => {
  test('letters in a date are the digits they look like', () => {
    const found = read(passport.replace('7408122F', '74O8I22F'))
    expect(found).toMatchObject({
      born: '1974-08-12',
      wrong: [],
      mended: [{ field: 'born', read: '74O8I2', as: '740812' }],
    })
  })
  test('digits in a name are letters', () => {
    expect(read(passport.replace('ERIKSSON', 'ER1K55ON'))).toMatchObject({
      familyName: 'ERIKSSON',
      wrong: [],
      mended: [{ field: 'names', read: 'ER1K55ON ANNA MARIA', as: 'ERIKSSON ANNA MARIA' }],
    })
  })
  test('a look-alike in the number is put right by its check digit', () => {
    expect(read(passport.replace('L898902C3', 'L8989O2C3'))).toMatchObject({
      number: 'L898902C3',
      wrong: [],
      mended: [{ field: 'number', read: 'L8989O2C3', as: 'L898902C3' }],
    })
  })
  test('a wrong figure that looks like no other is told', () => {
    expect(read(passport.replace('L898902C3', 'L897902C3'))).toMatchObject({ wrong: ['number', 'whole'] })
  })
  test('spaces and small letters do not matter', () => {
    expect(read(passport.toLowerCase().replace('eriksson<<', 'eriksson <<'))).toMatchObject({ wrong: [] })
  })
})

describe('what is no zone', () => {
  test.each([
    ['', { code: 'no-zone' }],
    ['P<UTO', { code: 'wrong-length', lines: [5] }],
    [passport.replace('<<<<<10', '<<<<<1'), { code: 'wrong-length', lines: [44, 43] }],
    [passport.replace('ANNA', 'ÄNNA'), { code: 'wrong-character', character: 'Ä' }],
  ])('%j', (text, fault) => expect(readZone(text, today)).toEqual(fault))
})

const letters = fc.string({ unit: fc.constantFrom(...'ABCDEFGHIJKLMNOPQRSTUVWXYZ'), minLength: 1, maxLength: 8 })
const aDay = (from: number, to: number) =>
  fc
    .record({
      year: fc.integer({ min: from, max: to }),
      month: fc.integer({ min: 1, max: 12 }),
      day: fc.integer({ min: 1, max: 28 }),
    })
    .map((parts) => Temporal.PlainDate.from(parts).toString())
const paper = fc.record({
  familyName: letters,
  givenNames: letters,
  number: fc.string({ unit: fc.constantFrom(...'ABCDEFGHJKLMNPRTUVWXY0123456789'), minLength: 1, maxLength: 9 }),
  issuer: fc.constant('UTO'),
  nationality: fc.constant('UTO'),
  born: aDay(1927, 2026).filter((day) => day <= '2026-11-25'),
  through: aDay(1990, 2070),
  sex: fc.constantFrom('female' as const, 'male' as const),
})

test('what is written is read again, in each layout', () => {
  fc.assert(
    fc.property(
      fc.constantFrom('TD1' as const, 'TD2' as const, 'TD3' as const, 'MRV-A' as const, 'MRV-B' as const),
      paper,
      (layout, given) => {
        const { wrong, mended, layout: _layout, paper: _paper, ...found } = read(writeZone(layout, given))
        expect({ wrong, mended }).toEqual({ wrong: [], mended: [] })
        expect(found).toEqual(given)
      },
    ),
  )
})

test('one changed digit of a date is always noticed', () => {
  fc.assert(
    fc.property(paper, fc.integer({ min: 57, max: 62 }), fc.integer({ min: 1, max: 9 }), (given, at, by) => {
      const zone = writeZone('TD3', given).replace('\n', '')
      const other = zone.slice(0, at) + ((Number(zone[at]) + by) % 10) + zone.slice(at + 1)
      expect(read(`${other.slice(0, 44)}\n${other.slice(44)}`).wrong).toContain('born')
    }),
  )
})

describe('numbers of more than nine characters', () => {
  test('go on in the optional data of a card, with their check digit behind', () => {
    // The example of ICAO 9303 part 5, 4.2.2.1: D23145890734 with check digit 9.
    const long = 'I<UTOD23145890<7349<<<<<<<<<<<\n3407127M9507122UTO<<<<<<<<<<<2\nSTEVENSON<<PETER<JOHN<<<<<<<<<'
    expect(read(long)).toMatchObject({ number: 'D23145890734', wrong: [], mended: [] })
    expect(read(long.replace('7349', '7379')).wrong).toContain('number')
  })

  test('are written and read again', () => {
    const number = fc.string({ unit: fc.constantFrom(...'ABCDEFGHJK0123456789'), minLength: 10, maxLength: 15 })
    fc.assert(
      fc.property(fc.constantFrom('TD1' as const, 'TD2' as const), paper, number, (layout, given, long) => {
        const text = layout === 'TD2' ? long.slice(0, 14) : long
        expect(read(writeZone(layout, { ...given, number: text }))).toMatchObject({ number: text, wrong: [] })
      }),
    )
  })
})

test('a visa has no check digit over the whole, and is one', () => {
  // The specimens of ICAO 9303 part 7.
  const large = 'V<UTOERIKSSON<<ANNA<MARIA<<<<<<<<<<<<<<<<<<<\nL8988901C4XXX4009078F96121096ZE184226B<<<<<<'
  const small = 'V<UTOERIKSSON<<ANNA<MARIA<<<<<<<<<<<\nL8988901C4XXX4009078F9612109<<<<<<<<'
  for (const visa of [large, small])
    expect(read(visa)).toMatchObject({ paper: 'visa', number: 'L8988901C', born: '1940-09-07', wrong: [], mended: [] })
})

test('one wrong character never becomes another value without a word', () => {
  const characters = [...'ABCDEFGHIJKLMNOPQRSTUVWXYZ0123456789']
  const checked = (reading: ZoneReading) => [reading.number, reading.born, reading.through]
  fc.assert(
    fc.property(
      fc.constantFrom('TD1' as const, 'TD2' as const, 'TD3' as const),
      paper,
      fc.nat(),
      fc.constantFrom(...characters),
      (layout, given, at, character) => {
        const zone = writeZone(layout, given)
        const place = at % zone.length
        fc.pre(zone[place] !== '\n' && zone[place] !== character)
        const truth = read(zone)
        const found = read(zone.slice(0, place) + character + zone.slice(place + 1))
        // A difference of ten in a place of weight one is what the check digits of the standard cannot see.
        const worth = (one: string) => (one === '<' ? 0 : Number.parseInt(one, 36))
        fc.pre((worth(zone[place]!) - worth(character)) % 10 !== 0)
        if (JSON.stringify(checked(found)) !== JSON.stringify(checked(truth)))
          expect(found.wrong.length + found.mended.length).toBeGreaterThan(0)
      },
    ),
    { numRuns: 2000 },
  )
})
