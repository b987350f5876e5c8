import { Ajv } from 'ajv'
import standaloneCode from 'ajv/dist/standalone/index.js'
import addFormats from 'ajv-formats'
import { contract } from '#contract/index'
import { ConditionSchema } from '#contract/ruleShapes'

/**
 * Prints, as JSON by endpoint, the program that checks what is sent to it: made by Ajv from the contract's own shape, so that
 * a form says what is wrong before anything is sent, and no field's rule is written twice. Compiled here because the pages'
 * policy lets no text become a program in the browser.
 */
const ajv = addFormats.default(
  new Ajv({ allErrors: true, coerceTypes: false, strict: false, messages: false, code: { source: true, esm: true } }),
)
ajv.addSchema(ConditionSchema)

/** Characters of the longest program that is worth a phone's while; what is larger is checked by the server alone. */
const longest = 60_000

const isForm = ({ method, bytes, body }: (typeof contract)[keyof typeof contract]) =>
  method !== 'GET' &&
  method !== 'DELETE' &&
  !bytes &&
  Object.keys((body as { properties?: object }).properties ?? {}).length > 0

const checks = Object.entries(contract).flatMap(([name, endpoint]) => {
  if (!isForm(endpoint)) return []
  // @ts-expect-error the package is CommonJS, whose default is what it exports
  const code = (standaloneCode.default ?? standaloneCode)(ajv, ajv.compile(endpoint.body)) as string
  return code.length > longest ? [] : [[name, imported(code)]]
})
process.stdout.write(JSON.stringify(Object.fromEntries(checks)))

/** The same program with `import` instead of `require`. */
function imported(code: string): string {
  const imports: string[] = []
  const body = code.replace(/require\("([^"]+)"\)/g, (_, path: string) => {
    const name = `needed${imports.length}`
    imports.push(`import * as ${name} from '${path}.js'`)
    return name
  })
  return `${imports.join('\n')}\n${body}`
}
