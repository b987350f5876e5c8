import fc from 'fast-check'
import { readReference, writeReference } from './reference'

const alphabet = '0123456789ABCDEFGHJKMNPQRSTVWXY'
const numbers = fc.integer({ min: 0, max: 40_000_000 })

describe('references', () => {
  test('a number comes back from its reference, however it is typed', () => {
    fc.assert(
      fc.property(numbers, (number) => {
        const written = writeReference('VM', number)
        const typed = written.toLowerCase().replace(/-/g, ' ').replace(/0/g, 'o').replace(/1/g, 'l')
        expect(readReference('VM', typed)).toEqual({ ok: true, reference: written, number })
      }),
    )
  })

  test('every single wrong character is caught, and the right reference is proposed', () => {
    fc.assert(
      fc.property(numbers, fc.nat(), fc.integer({ min: 1, max: 30 }), (number, place, shift) => {
        const written = writeReference('', number)
        const at = [...written].flatMap((character, index) => (character === '-' ? [] : [index]))[
          place % (written.length - 2)
        ]!
        const wrong = alphabet[(alphabet.indexOf(written[at]!) + shift) % 31]!
        const reading = readReference('', written.slice(0, at) + wrong + written.slice(at + 1))
        expect(reading.ok).toBe(false)
        expect(reading).toHaveProperty('code', 'check-failed')
      }),
    )
    const slip = readReference(
      'VM',
      writeReference('VM', 4711).replace(/.$/, (last) => (last === '7' ? '8' : '7')),
    )
    expect(slip).toEqual({ ok: false, code: 'check-failed', likely: writeReference('VM', 4711) })
  })

  test('every swap of neighbours is caught', () => {
    fc.assert(
      fc.property(numbers, fc.nat(), (number, place) => {
        const symbols = [...writeReference('', number).replace(/-/g, '')]
        const at = place % (symbols.length - 1)
        fc.pre(symbols[at] !== symbols[at + 1])
        ;[symbols[at], symbols[at + 1]] = [symbols[at + 1]!, symbols[at]!]
        expect(readReference('', symbols.join('')).ok).toBe(false)
      }),
    )
  })

  test('neighbouring numbers look different, and no two are alike', () => {
    const written = Array.from({ length: 5000 }, (_, number) => writeReference('VM', number))
    expect(new Set(written).size).toBe(5000)
    expect(written[1]!.slice(3, 5)).not.toBe(written[2]!.slice(3, 5))
  })

  test.each([
    ['VM-7', 'too-short'],
    ['VM-7K3Q-R!', 'strange-character'],
    ['XX-7K3Q-R9', 'wrong-prefix'],
  ])('%s is refused as %s', (typed, code) => expect(readReference('VM', typed)).toMatchObject({ ok: false, code }))
})
