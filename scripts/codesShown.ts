import ts from 'typescript'

/** Fields of tables and lists that hold what a person reads. */
const read = new Set(['label', 'title', 'name', 'words'])

/** What turns a key and values into words. */
const saying = new Set(['say', 'coded', 'stored', 'sayStored'])

/** Whether a value can only be one of several code words, such as the stages of an application. */
function isCode(type: ts.Type): boolean {
  const parts = type.isUnion() ? type.types : [type]
  const words = parts.filter((part) => part.isStringLiteral())
  const nothing = ts.TypeFlags.Undefined | ts.TypeFlags.Null
  return (
    words.length > 1 &&
    parts.every((part) => part.isStringLiteral() || (part.flags & nothing) !== 0) &&
    words.every(({ value }) => /^[a-z][a-z -]*$/.test(value))
  )
}

/**
 * Places of a page where a code would be shown as it stands, in English to every reader: as a child of an element, as a
 * value in a text, as a label, or in the cell of a table. What reads the types finds what no search for literals can.
 */
export function codesShownIn(source: ts.SourceFile, checker: ts.TypeChecker): string[] {
  const found: string[] = []
  const take = (node: ts.Node, type: ts.Type) => {
    if (!isCode(type)) return
    const { line } = source.getLineAndCharacterOfPosition(node.getStart())
    found.push(`${source.fileName}:${line + 1} ${node.getText()}`)
  }
  const takeProperty = (property: ts.ObjectLiteralElementLike) => {
    if (ts.isPropertyAssignment(property)) take(property, checker.getTypeAtLocation(property.initializer))
    const short = ts.isShorthandPropertyAssignment(property) && checker.getShorthandAssignmentValueSymbol(property)
    if (short) take(property, checker.getTypeOfSymbolAtLocation(short, property))
  }
  const visit = (node: ts.Node) => {
    if (ts.isJsxExpression(node) && node.expression && (ts.isJsxElement(node.parent) || ts.isJsxFragment(node.parent)))
      take(node, checker.getTypeAtLocation(node.expression))
    if (ts.isCallExpression(node) && saying.has(node.expression.getText())) {
      const [, values] = node.arguments
      if (values && ts.isObjectLiteralExpression(values)) values.properties.forEach(takeProperty)
    }
    if (ts.isPropertyAssignment(node)) {
      const name = node.name.getText()
      if (read.has(name)) take(node, checker.getTypeAtLocation(node.initializer))
      const cell = name === 'of' && ts.isArrowFunction(node.initializer) && node.initializer
      const signature = cell && checker.getSignatureFromDeclaration(cell)
      if (signature) take(node, checker.getReturnTypeOfSignature(signature))
    }
    ts.forEachChild(node, visit)
  }
  visit(source)
  return found
}

/** All of the pages, and of what the server and the core say. */
function codesShown(): string[] {
  return ['web/tsconfig.json', 'tsconfig.json'].flatMap((config) => {
    const { fileNames, options } = ts.getParsedCommandLineOfConfigFile(config, {}, ts.sys as never)!
    const program = ts.createProgram(fileNames, options)
    const ours = config === 'tsconfig.json' ? /\/(server|core)\/[^.]*\.ts$/ : /\/web\/[^.]*\.tsx?$/
    return program
      .getSourceFiles()
      .filter(({ fileName }) => ours.test(fileName) && !fileName.includes('node_modules'))
      .flatMap((source) => codesShownIn(source, program.getTypeChecker()))
  })
}

if (process.argv[1]?.endsWith('codesShown.ts')) {
  const found = codesShown()
  for (const place of found) console.error(place)
  process.exit(found.length === 0 ? 0 : 1)
}
