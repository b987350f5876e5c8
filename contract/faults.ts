import type { ErrorObject } from 'ajv'
import { say } from '#core/words/say'
import { singleLine } from './singleLine'

/** Something wrong with one field: where, as a JSON pointer, and what, in the reader's language. */
export type Fault = { pointer: string; message: string }

/** What Ajv found wrong with a value, in words; the same here and at the server, since both check by the same shapes. */
export function faultsIn(errors: readonly ErrorObject[], place: string): Fault[] {
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

const formats = ['email', 'date', 'uuid', 'date-time'] as const

function wordsFor({ keyword, params }: ErrorObject): string {
  const { limit } = params as { limit: number }
  switch (keyword) {
    case 'required':
      return say('shape.missing')
    case 'minLength':
      return limit === 1 ? say('shape.empty') : say('shape.tooShort', { limit })
    case 'maxLength':
      return say('shape.tooLong', { limit })
    case 'format': {
      const format = formats.find((known) => known === params.format)
      return say(format ? `shape.${format}` : 'shape.form')
    }
    case 'enum':
      return say('shape.oneOf', { values: params.allowedValues.join(', ') })
    case 'pattern':
      return say(params.pattern === singleLine ? 'shape.oneLine' : 'shape.form')
    case 'minimum':
      return say('shape.atLeast', { limit })
    case 'maximum':
      return say('shape.atMost', { limit })
    case 'additionalProperties':
      return say('shape.unknown', { property: params.additionalProperty })
    default:
      return say('shape.wrong')
  }
}
