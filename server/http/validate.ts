import type { TSchema } from '@sinclair/typebox'
import { Ajv, type ErrorObject, type ValidateFunction } from 'ajv'
import addFormats from 'ajv-formats'
import { ConditionSchema } from '#contract/rules'
import { type Fault, invalid } from './problems'

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

/** Throws problem details that name every field at fault. */
export function insistOnShape(schema: TSchema, value: unknown, place: 'params' | 'query' | 'body') {
  const faults = faultsOf(schema, value, `/${place}`)
  if (faults.length > 0) throw invalid(faults)
}

/** What is wrong with a reply of our own, or nothing. */
export const faultsOfReply = (schema: TSchema, value: unknown): Fault[] => faultsOf(schema, value, '/reply')

/** What is wrong with a value, each fault with a JSON pointer that begins with `place`. */
export function faultsOf(schema: TSchema, value: unknown, place: string): Fault[] {
  const validator = validatorOf(schema)
  return validator(value) ? [] : faultsIn(validator.errors ?? [], place)
}

function faultsIn(errors: readonly ErrorObject[], place: string): Fault[] {
  // A union reports every branch that did not fit; the deepest complaints are the ones about what was meant.
  const deepest = Math.max(...errors.map(({ instancePath }) => instancePath.split('/').length))
  const useful = errors.filter(
    ({ keyword, instancePath }) =>
      keyword !== 'anyOf' && keyword !== 'const' && (errors.length < 4 || instancePath.split('/').length === deepest),
  )
  const chosen = useful.length > 0 ? useful : errors
  return chosen.map((error) => {
    const missing =
      error.keyword === 'required' ? `/${(error.params as { missingProperty: string }).missingProperty}` : ''
    return { pointer: `${place}${error.instancePath}${missing}`, message: wordsFor(error) }
  })
}

const formats: Record<string, string> = {
  email: 'This is not a mail address.',
  date: 'This is not a day, such as 2026-11-24.',
  uuid: 'This is not an identifier.',
  'date-time': 'This is not a moment in time.',
}

function wordsFor({ keyword, params, message }: ErrorObject): string {
  if (keyword === 'required') return 'This is missing.'
  if (keyword === 'minLength')
    return params.limit === 1 ? 'This is empty.' : `At least ${params.limit} characters are needed.`
  if (keyword === 'maxLength') return `At most ${params.limit} characters fit here.`
  if (keyword === 'format') return formats[params.format] ?? 'This has another form than expected.'
  if (keyword === 'enum') return `This is none of: ${params.allowedValues.join(', ')}.`
  if (keyword === 'minimum') return `This must be at least ${params.limit}.`
  if (keyword === 'maximum') return `This must be at most ${params.limit}.`
  if (keyword === 'additionalProperties') return `"${params.additionalProperty}" is not known here.`
  return `This ${message ?? 'is not right'}.`
}
