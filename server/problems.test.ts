import { readdirSync, readFileSync } from 'node:fs'
import { dirname } from 'node:path'
import { sayCoded } from '#core/words/say'
import { Problem } from './platform/errors/problems'
import { inLanguage } from './platform/http/language'
import '#core/words/everything'

type List = Record<string, (...given: never[]) => Problem>

const root = new URL('.', import.meta.url).pathname
const source = (file: string) => readFileSync(root + file, 'utf8')
const files = readdirSync(root, { recursive: true, encoding: 'utf8' }).filter(
  (file) => file.endsWith('.ts') && !file.endsWith('.test.ts'),
)
/** The lists; `platform/errors/problems.ts` holds what they are made of. */
const lists = files.filter((file) => file.endsWith('problems.ts') && !file.includes('errors/'))

/** What each maker of a problem may be given, where it asks for something. */
const given: Record<string, readonly unknown[]> = {
  offerWasAnswered: ['accepted'],
  youAnswered: ['declined'],
  startPast: ['2026-11-20'],
  tooEarly: ['2026-11-20'],
  notThisGate: ['sent'],
  gateShut: [[{ requirement: 'licence', title: 'Licence', why: 'not there' }]],
  cannotAsk: [[{ code: 'problem.cannotAsk' }]],
  badRequest: [400],
  tooManyAttempts: [3],
  noMoreAttempts: [2],
  enough: [2],
  notReady: [['a closing day']],
  notComplete: [[]],
  unfitFile: ['empty-file', { code: 'problem.empty-file' }, { code: 'problem.empty-file.do' }],
  unreadable: [{ code: 'problem.import.nobody' }, { code: 'problem.import.noRows' }],
  notAFingerprint: [{ code: 'problem.fingerprint.noRows' }],
}

test('a problem is made in the list of its feature and nowhere else', () => {
  expect(lists.length).toBeGreaterThan(14)
  const elsewhere = files.filter(
    (file) => !file.endsWith('problems.ts') && /new Problem\(|\bconflict\(/.test(source(file)),
  )
  expect(elsewhere).toEqual([])
})

test.each(lists)(
  '%s: each has a code for a client, a title in both languages, and somebody who throws it',
  async (file) => {
    const { problems } = (await import(root + file)) as { problems: List }
    const readers = files.filter((other) => other !== file).map(source)
    const feature = dirname(file).split('/').at(-1)
    for (const [name, make] of Object.entries(problems)) {
      const problem = make(...((given[name] ?? ['Anton Aufgabe']) as never[]))
      expect(problem).toBeInstanceOf(Problem)
      expect([name, problem.code]).toEqual([name, expect.stringMatching(/^[a-z]+(-[a-z]+)*$/)])
      expect(problem.status).toBeGreaterThanOrEqual(400)
      const [english, german] = (['en', 'de'] as const).map((language) =>
        inLanguage(language, () => sayCoded(problem.words)),
      )
      expect([feature, name, english !== german, /^problem\.|{{/.test(english!)]).toEqual([feature, name, true, false])
      expect(readers.some((text) => text.includes(`problems.${name}(`))).toBe(true)
    }
  },
)
