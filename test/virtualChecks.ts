import { Ajv, type ValidateFunction } from 'ajv'
import addFormats from 'ajv-formats'
import { contract } from '#contract/index'
import { ConditionSchema } from '#contract/ruleShapes'

const ajv = addFormats.default(new Ajv({ allErrors: true, coerceTypes: false, strict: false }))
ajv.addSchema(ConditionSchema)

/** What the build makes of the contract's shapes, made here for the tests of pages. */
export const checks: Record<string, (() => Promise<{ validate: ValidateFunction }>) | undefined> = Object.fromEntries(
  Object.entries(contract).flatMap(([name, { body, bytes }]) =>
    bytes ? [] : [[name, async () => ({ validate: ajv.compile(body) })]],
  ),
)
