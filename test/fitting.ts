import type { TSchema } from '@sinclair/typebox'
import fc from 'fast-check'

/** What stands in a schema, as far as the contract uses JSON Schema. */
type Schema = {
  type?: string
  enum?: unknown[]
  const?: unknown
  anyOf?: Schema[]
  format?: string
  pattern?: string
  minLength?: number
  maxLength?: number
  minimum?: number
  maximum?: number
  items?: Schema
  minItems?: number
  maxItems?: number
  uniqueItems?: boolean
  properties?: Record<string, Schema>
  required?: string[]
  patternProperties?: Record<string, Schema>
  $ref?: string
}

const words = fc.oneof(
  fc.constantFrom('', 'A word', '0', 'null', '“Ünïcödé” ☃', "Robert'); --", '<b>bold</b>', '{{count}}', '2026-02-30'),
  fc.string({ maxLength: 60 }),
)

/**
 * Values that have the shape a schema asks for, and are otherwise whatever they like.
 *
 * @param ids identifiers that lead somewhere; taken where one is asked for, beside some that lead nowhere
 */
export function fitting(schema: TSchema, ids: readonly string[]): fc.Arbitrary<unknown> {
  return anyOf(schema as Schema, ids, 0)
}

function anyOf(schema: Schema, ids: readonly string[], depth: number): fc.Arbitrary<unknown> {
  const inside = (one: Schema) => anyOf(one, ids, depth + 1)
  if (schema.const !== undefined) return fc.constant(schema.const)
  if (schema.enum) return fc.constantFrom(...schema.enum)
  if (schema.anyOf) return fc.oneof(...schema.anyOf.map(inside))
  if (schema.$ref)
    return fc.constantFrom({ fact: 'nothing', is: 'yes' }, { all: [] }, { not: { fact: 'x', atLeast: 1 } })
  switch (schema.type) {
    case 'object':
      return objectOf(schema, inside)
    case 'array': {
      const size = { minLength: schema.minItems ?? 0, maxLength: Math.min(schema.maxItems ?? 3, depth > 3 ? 1 : 3) }
      const items = inside(schema.items ?? {})
      const most = { ...size, maxLength: Math.max(size.minLength, size.maxLength) }
      return schema.uniqueItems ? fc.uniqueArray(items, most) : fc.array(items, most)
    }
    case 'integer':
    case 'number':
      return fc.integer({ min: schema.minimum ?? -5, max: schema.maximum ?? 1_000_000 })
    case 'boolean':
      return fc.boolean()
    case 'null':
      return fc.constant(null)
    case 'string':
      return textOf(schema, ids)
    default:
      return fc.oneof(fc.constant({}), words)
  }
}

function objectOf(schema: Schema, inside: (one: Schema) => fc.Arbitrary<unknown>): fc.Arbitrary<unknown> {
  const [values] = Object.values(schema.patternProperties ?? {})
  if (values) return fc.dictionary(fc.constantFrom('about.born', 'about.givenNames', 'winter', 'x'), inside(values))
  const made = Object.fromEntries(Object.entries(schema.properties ?? {}).map(([name, one]) => [name, inside(one)]))
  return fc.record(made, { requiredKeys: (schema.required ?? []).filter((name) => name in made) })
}

function textOf({ format, pattern, minLength = 0, maxLength = 200 }: Schema, ids: readonly string[]) {
  if (format === 'uuid') return fc.oneof(fc.constantFrom(...ids), fc.uuid())
  if (format === 'date') return fc.constantFrom('2026-11-25', '1970-01-01', '2099-12-31', '2024-02-29')
  if (format === 'date-time') return fc.constantFrom('2026-11-25T08:00:00.000Z', '1999-12-31T23:59:59.999Z')
  if (format === 'email') return fc.constantFrom('somebody@mail.test', 'a.b+c@sub.mail.test')
  if (pattern) return fc.stringMatching(new RegExp(pattern)).map((text) => text.slice(0, maxLength))
  return words.map((text) => text.slice(0, maxLength).padEnd(minLength, 'x'))
}
