import { type TSchema, Type } from '@sinclair/typebox'
import { shortestReason } from '#core/words/reason'
import { singleLine } from './singleLine'

/** Shapes that several features use. */

export const Id = Type.String({ format: 'uuid' })
/** Several of them in an address, between commas; at most a hundred. */
export const Ids = Type.String({ pattern: '^[0-9a-f-]{36}(,[0-9a-f-]{36})*$', maxLength: 37 * 100 - 1 })
export const Day = Type.String({ format: 'date' })
export const Moment = Type.String({ format: 'date-time' })
/** `2021`, `2021-03`, `2021-03-09`, each with an optional `~`. */
export const PartialDay = Type.String({ pattern: '^\\d{4}(-\\d{2}(-\\d{2})?)?~?$' })
export const LinkToken = Type.String({ pattern: '^[A-Za-z0-9_-]{32,64}$' })
export const Version = Type.Integer({ minimum: 0 })
export const ShortText = Type.String({ maxLength: 200, pattern: singleLine })
export const LongText = Type.String({ maxLength: 4000 })
export const Reason = Type.String({ minLength: shortestReason, maxLength: 1000 })
/** An amount in minor units of its currency. */
export const Minor = Type.Integer({ minimum: -1e12, maximum: 1e12 })
export const AmountToPay = Type.Integer({ minimum: 1, maximum: 1e11, description: 'Minor units' })
export const Done = Type.Object({ done: Type.Literal(true) })

export const orNull = <S extends TSchema>(schema: S) => Type.Union([schema, Type.Null()])
export const oneOf = <const T extends readonly string[]>(values: T) =>
  Type.Unsafe<T[number]>({ type: 'string', enum: [...values] })
/** A shape that core owns: its TypeScript type is the contract, its outline is checked. */
export const ofCore = <T>(outline: TSchema) => Type.Unsafe<T>(outline)
export const listOfCore = <T>() => ofCore<T[]>(Type.Array(Type.Object({})))
