import { readdirSync, readFileSync } from 'node:fs'
import ts from 'typescript'

/** What a person reads, by the name of the attribute or the field that holds it. */
const read = /^(label|title|placeholder|alt|description|empty|hint|words|aria-label|aria-description)$/
const joining = new Set([
  ts.SyntaxKind.PlusToken,
  ts.SyntaxKind.BarBarToken,
  ts.SyntaxKind.QuestionQuestionToken,
  ts.SyntaxKind.AmpersandAmpersandToken,
])

/** Written alike in every language: the product, addresses, forms of references, the password of the demo. */
const alike = /^(Probatum|\S+@\S+\.example|((V[MO]|EQ)-[\d…-]+(, )?)+|glacier-lantern-42)$/

/** The texts in a source that would be shown as they stand, whatever language the reader has chosen. */
function literalsIn(name: string, text: string): string[] {
  const source = ts.createSourceFile(name, text, ts.ScriptTarget.Latest, true)
  const found: string[] = []
  const take = (node: ts.Node, said: string) => {
    if (!/\p{L}{2}/u.test(said) || alike.test(said.trim())) return
    const { line } = source.getLineAndCharacterOfPosition(node.getStart())
    found.push(`${name}:${line + 1} ${said.trim()}`)
  }
  const literals = (node: ts.Node | undefined): void => {
    if (!node) return
    if (ts.isStringLiteralLike(node)) take(node, node.text)
    else if (ts.isTemplateExpression(node))
      for (const part of [node.head, ...node.templateSpans.map(({ literal }) => literal)]) take(part, part.text)
    else if (ts.isConditionalExpression(node)) for (const one of [node.whenTrue, node.whenFalse]) literals(one)
    else if (ts.isJsxExpression(node) || ts.isParenthesizedExpression(node)) literals(node.expression)
    else if (ts.isBinaryExpression(node) && joining.has(node.operatorToken.kind))
      for (const one of [node.left, node.right]) literals(one)
  }
  const visit = (node: ts.Node) => {
    if (ts.isJsxText(node)) take(node, node.text)
    if (ts.isJsxExpression(node) && (ts.isJsxElement(node.parent) || ts.isJsxFragment(node.parent))) literals(node)
    if (ts.isJsxAttribute(node) && read.test(node.name.getText())) literals(node.initializer)
    if (ts.isPropertyAssignment(node) && read.test(node.name.getText())) literals(node.initializer)
    ts.forEachChild(node, visit)
  }
  visit(source)
  return found
}

test('a text that is shown as it stands is found, and what is looked up is not', () => {
  const shown = `
    const states = { label: 'open', key: 'open', words: say('state.open') }
    const page = <p title={late ? 'Too late' : say('x')} className="grid" aria-label="Notes">Hello {n} {done ? 'yes' : ''} {\`\${n} pages\`} {say('y')} · 3</p>
  `
  expect(literalsIn('page.tsx', shown).map((line) => line.replace(/^\S+ /, ''))).toEqual([
    'open',
    'Too late',
    'Notes',
    'Hello',
    'yes',
    'pages',
  ])
})

test('no page shows a text that is in no catalogue', () => {
  const files = readdirSync('web', { recursive: true, encoding: 'utf8' })
    .filter((name) => /\.tsx?$/.test(name) && !name.includes('.test.'))
    .map((name) => `web/${name}`)
  expect(files.length).toBeGreaterThan(150)
  expect(files.flatMap((name) => literalsIn(name, readFileSync(name, 'utf8')))).toEqual([])
})
