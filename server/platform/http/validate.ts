import type { TSchema } from '@sinclair/typebox'
import { Ajv, type ValidateFunction } from 'ajv'
import addFormats from 'ajv-formats'
import { type Fault, faultsIn } from '#contract/faults'
import { ConditionSchema } from '#contract/ruleShapes'
import { say } from '#core/words/say'
import { invalid } from '../errors/problems'

const ajv = addFormats.default(new Ajv({ allErrors: true, coerceTypes: false, strict: false }))
ajv.addSchema(ConditionSchema)
const compiled = new WeakMap<object, ValidateFunction>()

function validatorOf(schema: TSchema): ValidateFunction {
  const known = compiled.get(schema)
  if (known) return known
  const made = ajv.compile(schema)
  compiled.set(schema, made)
  return made
}

/** Compiles a shape, which is otherwise done when it is first needed. Throws where it is broken. */
export const compile = (schema: TSchema) => void validatorOf(schema)

/** Throws problem details that name every field at fault. What a shape does not name is not let in. */
export function requireShape(schema: TSchema, value: unknown, place: 'params' | 'query' | 'body') {
  const faults = [...unwritable(value, `/${place}`), ...faultsOf(closed(schema), value, `/${place}`)]
  if (faults.length > 0) throw invalid(faults)
}

const closedOnes = new WeakMap<object, TSchema>()

/** The same shape without room for anything it does not name, at any depth. */
function closed(schema: TSchema): TSchema {
  const known = closedOnes.get(schema)
  if (known) return known
  const made = close(schema) as TSchema
  closedOnes.set(schema, made)
  return made
}

function close(schema: unknown): unknown {
  if (Array.isArray(schema)) return schema.map(close)
  if (typeof schema !== 'object' || schema === null) return schema
  const part = schema as Record<string, unknown>
  // Parts that are one object together are closed together.
  if (Array.isArray(part.allOf)) return close(merged(part.allOf as ObjectShape[]))
  const inner = Object.fromEntries(Object.entries(part).map(([key, value]) => [key, close(value)]))
  const named = part.type === 'object' && Object.keys((part.properties as object | undefined) ?? {}).length > 0
  return named && part.additionalProperties === undefined && part.patternProperties === undefined
    ? { ...inner, additionalProperties: false }
    : inner
}

type ObjectShape = { properties?: Record<string, unknown>; required?: string[] }

const merged = (parts: readonly ObjectShape[]) => ({
  type: 'object',
  properties: Object.assign({}, ...parts.map(({ properties }) => properties)),
  required: parts.flatMap(({ required = [] }) => required),
})

/** What no database takes, wherever it stands: the character NUL, and half of a pair of surrogates. */
function unwritable(value: unknown, pointer: string): Fault[] {
  if (typeof value === 'string')
    return value.includes('\u0000') || !isWellFormed(value) ? [{ pointer, message: say('shape.character') }] : []
  if (typeof value !== 'object' || value === null) return []
  return Object.entries(value).flatMap(([key, inner]) => [
    ...unwritable(key, pointer),
    ...unwritable(inner, `${pointer}/${key}`),
  ])
}

const isWellFormed = (text: string) =>
  !/[\uD800-\uDBFF](?![\uDC00-\uDFFF])|(?<![\uD800-\uDBFF])[\uDC00-\uDFFF]/.test(text)

/** What is wrong with a reply of our own, or nothing. */
export const faultsOfReply = (schema: TSchema, value: unknown): Fault[] => faultsOf(schema, value, '/reply')

/** What is wrong with a value, each fault with a JSON pointer that begins with `place`. */
export function faultsOf(schema: TSchema, value: unknown, place: string): Fault[] {
  const validator = validatorOf(schema)
  return validator(value) ? [] : faultsIn(validator.errors ?? [], place)
}
