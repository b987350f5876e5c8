import 'fake-indexeddb/auto'
import { adoptAnswers, changeEntry, forgetEntry, keepAnswers, keepEntry, keptEntry } from './keep'

const waits = (value: string, basedOn = '') => ({ value, basedOn })

describe('answers waiting on this device', () => {
  test('outlive the window they were typed in, with what they were based on', async () => {
    await keepAnswers('a', 'gone', { 'about.born': waits('1990-01-01', '1990'), 'about.family': waits('Ho') })
    await keepAnswers('a', 'gone', { 'about.born': waits('1990-01-02', '1990') })
    expect(await adoptAnswers('a', 'new', new Set(['new']))).toEqual({
      waiting: { 'about.born': waits('1990-01-02', '1990') },
      older: {},
    })
    expect((await adoptAnswers('a', 'newer', new Set(['newer']))).waiting).toHaveProperty(['about.born'])
  })

  test('stay with a window that is open, and with their application', async () => {
    await keepAnswers('b', 'open', { x: waits('there') })
    await keepAnswers('c', 'gone', { x: waits('other') })
    expect((await adoptAnswers('b', 'here', new Set(['here', 'open']))).waiting).toEqual({})
    expect((await adoptAnswers('b', 'here', new Set(['here']))).waiting).toEqual({ x: waits('there') })
  })

  test('of two windows that are gone are both kept', async () => {
    await keepAnswers('d', 'first', { x: waits('one'), same: waits('s') })
    await new Promise((later) => setTimeout(later, 3))
    await keepAnswers('d', 'second', { x: waits('two'), same: waits('s') })
    expect(await adoptAnswers('d', 'here', new Set())).toEqual({
      waiting: { x: waits('two'), same: waits('s') },
      older: { x: 'one' },
    })
    expect((await adoptAnswers('d', 'here', new Set())).older).toEqual({})
  })
})

test('an entry half written is kept until it is forgotten', async () => {
  await keepEntry('claim', { award: 'MSc' })
  expect(await keptEntry('claim')).toEqual({ award: 'MSc' })
  await forgetEntry('claim')
  expect(await keptEntry('claim')).toBeUndefined()
})

test('of many changes of one entry at once none is lost', async () => {
  const letters = [...'abcdefghij']
  await Promise.all(letters.map((letter) => changeEntry('list', (before) => [...((before as string[]) ?? []), letter])))
  expect(await keptEntry('list')).toEqual(letters)
  await changeEntry('list', () => undefined)
  expect(await keptEntry('list')).toEqual(letters)
})
