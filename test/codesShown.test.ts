import ts from 'typescript'
import { codesShownIn } from '../scripts/codesShown'

/** A page on its own, with the types it needs and no library behind it. */
function foundIn(text: string): string[] {
  const file = ts.createSourceFile('page.tsx', text, ts.ScriptTarget.Latest, true)
  const host = {
    ...ts.createCompilerHost({}),
    getSourceFile: (name: string) => (name === 'page.tsx' ? file : undefined),
  }
  const options = { noLib: true, noResolve: true, strict: true, jsx: ts.JsxEmit.Preserve }
  const program = ts.createProgram(['page.tsx'], options, host)
  return codesShownIn(program.getSourceFile('page.tsx')!, program.getTypeChecker()).map((line) =>
    line.replace(/^\S+ /, ''),
  )
}

const types = `
  declare const stage: 'sent' | 'shortlisted' | undefined
  declare const name: string
  declare const language: 'en'
  declare function say(key: string, values?: object): string
`

test.each([
  ['as a child of an element', 'const page = <p>{stage}</p>', ['{stage}']],
  ['as a value in a text', "const words = say('x.y', { stage })", ['stage']],
  ['as a value under another name', "const words = say('x.y', { value: stage })", ['value: stage']],
  ['as a label', 'const option = { label: stage }', ['label: stage']],
  ['in the cell of a table', 'const column = { of: () => stage }', ['of: () => stage']],
])('a code is found %s', (_, text, places) => {
  expect(foundIn(types + text)).toEqual(places)
})

test.each([
  ['is said by its key', "const page = <p>{say('state.' + stage)}</p>"],
  ['is what somebody wrote', 'const page = <p title={name}>{name}</p>'],
  ['is an attribute nobody reads', 'const page = <p className={stage}>{say("x")}</p>'],
  ['is a value and not a label', 'const option = { value: stage, label: name }'],
])('what %s is not', (_, text) => {
  expect(foundIn(types + text)).toEqual([])
})
