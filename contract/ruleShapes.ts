import { type TSchema, Type } from '@sinclair/typebox'
import { cefrLevels } from '#core/catalogue/cefr'
import type { Condition } from '#core/conditions/condition'
import { attestationForms } from '#core/documents/attestation'
import { videoLimits } from '#core/documents/limits'
import { feeFactKinds, surplusKinds } from '#core/fees/schedule'
import { blanks, questionKinds, sectionHolds } from '#core/form/form'
import { gates } from '#core/requirements/requirement'
import type { Rules as CoreRules } from '#core/rules/rules'
import { languages } from '#core/words/say'
import { roles } from './roles'
import { Day, ofCore, oneOf } from './shapes'

/** A vacancy's rules as data: the published JSON Schema of what is exported and imported is made from these. */

export const Key = Type.String({
  pattern: '^[A-Za-z0-9][A-Za-z0-9._-]{0,59}$',
  description: 'Short name, unique within its list',
})

const FactName = Type.String({ minLength: 1, maxLength: 90 })

export const strict = { additionalProperties: false }

const Value = Type.Union([Type.String({ maxLength: 200 }), Type.Number(), Type.Boolean()])

/** Conditions hold conditions: the one shape that others refer to by its name. */
export const ConditionSchema = {
  $id: 'https://probatum.example/schemas/condition-1.json',
  title: 'Condition over answers and facts',
  ...Type.Union([
    ...(['all', 'any', 'none'] as const).map((joint) =>
      Type.Object({ [joint]: Type.Array(Type.Unsafe({ $ref: '#' }), { maxItems: 12 }) }, strict),
    ),
    Type.Object({ fact: FactName, is: Value }, strict),
    Type.Object({ fact: FactName, oneOf: Type.Array(Value, { minItems: 1, maxItems: 60 }) }, strict),
    Type.Object({ fact: FactName, atLeast: Type.Number() }, strict),
    Type.Object({ fact: FactName, atMost: Type.Number() }, strict),
    Type.Object({ fact: FactName, holds: Type.String({ maxLength: 200 }) }, strict),
    Type.Object({ fact: FactName, onOrBefore: Day }, strict),
    Type.Object({ fact: FactName, onOrAfter: Day }, strict),
  ]),
}

const ConditionShape = Type.Unsafe<Condition>({ $ref: ConditionSchema.$id })

/** The same texts in other languages, as far as they were written. */
export const translated = (texts: Record<string, TSchema>) =>
  Type.Optional(
    Type.Object(
      Object.fromEntries(
        languages.map((language) => [language, Type.Optional(Type.Partial(Type.Object(texts, strict)))]),
      ),
      strict,
    ),
  )

const text = (most: number) => Type.String({ maxLength: most })

const YesNo = oneOf(['yes', 'no'] as const)

const RecipientShape = Type.Object(
  {
    key: Key,
    name: Type.String({ minLength: 2, maxLength: 120 }),
    mail: Type.String({ format: 'email', maxLength: 200 }),
    language: oneOf(languages),
    about: Type.Optional(text(500)),
    gate: oneOf(gates),
    exclusions: Type.Optional(
      Type.Array(
        Type.Object(
          {
            when: ConditionShape,
            because: Type.String({ minLength: 1, maxLength: 300 }),
            translations: translated({ because: text(300) }),
          },
          strict,
        ),
        { minItems: 1, maxItems: 8 },
      ),
    ),
    translations: translated({ name: text(120), about: text(500) }),
  },
  strict,
)

const question = {
  key: Key,
  label: Type.String({ minLength: 1, maxLength: 300 }),
  kind: oneOf(questionKinds),
  required: Type.Boolean(),
  help: Type.Optional(Type.String({ maxLength: 500 })),
  when: Type.Optional(ConditionShape),
  options: Type.Optional(
    Type.Array(Type.String({ minLength: 1, maxLength: 120 }), { maxItems: 60, uniqueItems: true }),
  ),
  recipients: Type.Optional(Type.Array(RecipientShape, { maxItems: 30 })),
  rankUpTo: Type.Optional(Type.Integer({ minimum: 1, maximum: 20 })),
  limit: Type.Optional(Type.Integer({ minimum: 1, maximum: 4000, description: 'Characters' })),
  least: Type.Optional(Type.Number()),
  most: Type.Optional(Type.Number()),
  unit: Type.Optional(Type.String({ maxLength: 20 })),
  explain: Type.Optional(YesNo),
  paper: Type.Optional(YesNo),
  documentKind: Type.Optional(Type.String({ maxLength: 40 })),
  videoSeconds: Type.Optional(Type.Integer({ minimum: 5, maximum: videoLimits.seconds })),
  blanks: Type.Optional(Type.Array(oneOf(blanks), { uniqueItems: true })),
  seenBy: Type.Optional(Type.Array(oneOf(roles), { uniqueItems: true })),
  nameless: Type.Optional(
    Type.Literal(true, { description: 'A written answer that is read also where names are hidden' }),
  ),
  street: Type.Optional(Type.Literal(true, { description: 'An address is asked with its street' })),
  public: Type.Optional(Type.Literal(true, { description: 'The answer will be read by everybody' })),
  fill: Type.Optional(Type.String({ maxLength: 40 })),
  translations: translated({
    label: text(300),
    help: text(500),
    unit: text(20),
    options: Type.Array(text(120), { maxItems: 60 }),
  }),
}

const Part = Type.Object(question, strict)

export const QuestionShape = Type.Object(
  { ...question, parts: Type.Optional(Type.Array(Part, { maxItems: 12 })) },
  strict,
)

export const SectionShape = Type.Object(
  {
    key: Key,
    title: Type.String({ minLength: 1, maxLength: 80 }),
    heading: Type.String({ maxLength: 160 }),
    intro: Type.String({ maxLength: 600 }),
    holds: oneOf(sectionHolds),
    questions: Type.Array(QuestionShape, { maxItems: 60 }),
    when: Type.Optional(ConditionShape),
    shared: Type.Optional(Type.Object({ key: Key, version: Type.Integer({ minimum: 1 }) }, strict)),
    translations: translated({ title: text(80), heading: text(160), intro: text(600) }),
  },
  strict,
)

const ask = <K extends string, P extends Parameters<typeof Type.Object>[0]>(kind: K, more: P) =>
  Type.Object({ kind: Type.Literal(kind), ...more }, strict)

const Years = Type.Integer({ minimum: 1, maximum: 100 })

const AskShape = Type.Union([
  ask('answer', { question: Key }),
  ask('study', {
    levelAtLeast: Type.Integer({ minimum: 0, maximum: 8, description: 'ISCED 2011' }),
    fields: Type.Optional(
      Type.Array(Type.String({ pattern: '^\\d{4}$', description: 'ISCED-F 2013' }), { minItems: 1 }),
    ),
    minor: Type.Optional(Type.Literal(true)),
  }),
  ask('credential', {
    credential: Key,
    atLeast: Type.Optional(
      Type.Object(
        { field: Key, amount: Type.Integer({ minimum: 1, maximum: 1e13, description: 'Money in hundredths' }) },
        strict,
      ),
    ),
  }),
  ask('language', {
    language: Type.String({ pattern: '^[a-z]{2}$', description: 'ISO 639-1' }),
    level: oneOf(cefrLevels),
  }),
  ask('age', {
    question: Key,
    least: Type.Optional(Years),
    most: Type.Optional(Years),
    on: Type.Optional(Day),
    allowances: Type.Optional(
      Type.Array(Type.Object({ years: Years, when: ConditionShape, document: Type.Optional(Key) }, strict), {
        minItems: 1,
        maxItems: 8,
      }),
    ),
  }),
  ask('history', {
    years: Type.Integer({ minimum: 1, maximum: 30 }),
    toleratedGapDays: Type.Integer({ minimum: 0, maximum: 366 }),
    of: Type.Optional(Type.Literal('home')),
    street: Type.Optional(Type.Literal(true)),
  }),
  ask('experience', {
    months: Type.Integer({ minimum: 1, maximum: 600 }),
    tags: Type.Array(Type.String({ minLength: 1, maxLength: 40 }), { maxItems: 8 }),
  }),
  ask('every work entry', { wholeLetter: Type.Optional(Type.Literal(true)) }),
  ask('skills check', { check: Key }),
  ask('permission', {}),
  ask('identity', { portrait: Type.Optional(Type.Literal(true)) }),
  ask('vouching', { count: Type.Integer({ minimum: 1, maximum: 6 }) }),
  ask('document', { question: Key }),
  ask('declaration', {
    question: Key,
    mustBe: Type.String({ minLength: 1, maxLength: 120 }),
    deciders: Type.Optional(
      Type.Array(Type.String({ maxLength: 120, description: 'Mail address' }), { maxItems: 8, uniqueItems: true }),
    ),
    together: Type.Optional(Type.Boolean()),
  }),
  ask('reference', { count: Type.Integer({ minimum: 1, maximum: 6 }) }),
  ask('fee', { schedule: Key }),
  ask('offer accepted', {}),
  ask('onboarding task', { task: Key }),
])

export const RequirementShape = Type.Object(
  {
    key: Key,
    title: Type.String({ minLength: 1, maxLength: 120 }),
    why: Type.String({ maxLength: 400 }),
    citation: Type.Optional(
      Type.Object(
        {
          text: Type.String({ minLength: 1, maxLength: 200 }),
          link: Type.Optional(
            Type.String({ maxLength: 500, description: 'https address; anything else is a fault of the rules' }),
          ),
        },
        strict,
      ),
    ),
    gate: oneOf(gates),
    asks: AskShape,
    alternatives: Type.Optional(Type.Array(AskShape, { maxItems: 6 })),
    rung: oneOf(['claimed', 'evidenced', 'confirmed'] as const),
    paper: Type.Optional(Type.Boolean()),
    interim: Type.Optional(Type.Object({ days: Type.Integer({ minimum: 1, maximum: 730 }) }, strict)),
    certified: Type.Optional(
      Type.Object(
        {
          forms: Type.Array(oneOf(attestationForms), { minItems: 1, uniqueItems: true }),
          by: Type.Optional(Type.String({ maxLength: 120 })),
        },
        strict,
      ),
    ),
    validStartPlusDays: Type.Optional(Type.Integer({ minimum: 0, maximum: 3660 })),
    when: Type.Optional(ConditionShape),
    exempt: Type.Optional(
      Type.Object({ when: ConditionShape, because: Type.String({ minLength: 1, maxLength: 300 }) }, strict),
    ),
    waivableBy: Type.Array(oneOf(roles), { uniqueItems: true }),
    translations: translated({ title: text(120), why: text(400), because: text(300) }),
  },
  strict,
)

const TaskShape = Type.Object(
  { key: Key, title: Type.String({ minLength: 1, maxLength: 200 }), text: Type.String({ maxLength: 10_000 }) },
  strict,
)

const Minor = Type.Integer({ minimum: 0, maximum: 1e11, description: 'Minor units of the currency' })
const BasisPoints = Type.Integer({ minimum: 1, maximum: 10_000, description: 'Hundredths of a per cent' })
const FeeText = Type.String({ minLength: 1, maxLength: 160 })

const FeeAmountShape = Type.Union([
  Type.Object({ kind: Type.Literal('fixed'), amount: Minor }, strict),
  Type.Object(
    { kind: Type.Literal('by number'), fact: FactName, first: Minor, further: Minor, most: Type.Optional(Minor) },
    strict,
  ),
  Type.Object(
    {
      kind: Type.Literal('by choice'),
      fact: FactName,
      amounts: Type.Record(Type.String({ maxLength: 120 }), Minor, { maxProperties: 60 }),
      otherwise: Type.Optional(Minor),
    },
    strict,
  ),
  Type.Object(
    {
      kind: Type.Literal('by day'),
      steps: Type.Array(Type.Object({ through: Day, amount: Minor }, strict), { minItems: 1, maxItems: 12 }),
      after: Minor,
    },
    strict,
  ),
  Type.Object(
    {
      kind: Type.Literal('share'),
      of: Type.Array(Key, { maxItems: 30, uniqueItems: true, description: 'All lines where none is named' }),
      basisPoints: BasisPoints,
      least: Type.Optional(Minor),
      most: Type.Optional(Minor),
    },
    strict,
  ),
])

const FeeFactShape = Type.Object(
  {
    key: Key,
    label: Type.String({ minLength: 1, maxLength: 300 }),
    help: Type.Optional(text(500)),
    kind: oneOf(feeFactKinds),
    options: Type.Optional(Type.Array(FeeText, { maxItems: 60, uniqueItems: true })),
    most: Type.Optional(Type.Integer({ minimum: 1, maximum: 999 })),
    proof: Type.Optional(FeeText),
    translations: translated({
      label: text(300),
      help: text(500),
      proof: text(160),
      options: Type.Array(text(160), { maxItems: 60 }),
    }),
  },
  strict,
)

const FeeLineShape = Type.Object(
  {
    key: Key,
    title: FeeText,
    why: text(400),
    amount: FeeAmountShape,
    when: Type.Optional(ConditionShape),
    optional: Type.Optional(Type.Literal(true, { description: 'A payer may leave it out' })),
    exempt: Type.Optional(
      Type.Array(
        Type.Object(
          {
            when: ConditionShape,
            because: FeeText,
            basisPoints: BasisPoints,
            translations: translated({ because: text(160) }),
          },
          strict,
        ),
        { minItems: 1, maxItems: 8 },
      ),
    ),
    tax: Type.Optional(Key),
    translations: translated({ title: text(160), why: text(400) }),
  },
  strict,
)

const FeeTaxShape = Type.Object(
  {
    key: Key,
    title: FeeText,
    basisPoints: BasisPoints,
    when: Type.Optional(ConditionShape),
    translations: translated({ title: text(160) }),
  },
  strict,
)

const FeeScheduleShape = Type.Object(
  {
    key: Key,
    title: FeeText,
    currency: Type.String({ pattern: '^[A-Z]{3}$', description: 'ISO 4217' }),
    facts: Type.Array(FeeFactShape, { maxItems: 12, description: 'Asked for the fee alone, read by the money role' }),
    lines: Type.Array(FeeLineShape, { maxItems: 30 }),
    taxes: Type.Array(FeeTaxShape, { maxItems: 8 }),
    taxIncluded: Type.Boolean(),
    most: Type.Optional(Minor),
    dueDays: Type.Integer({ minimum: 0, maximum: 365, description: 'From sending' }),
    holds: Type.Boolean({ description: 'Nothing is processed before it is paid' }),
    surplus: oneOf(surplusKinds),
    translations: translated({ title: text(160) }),
  },
  strict,
)

const RulesShape = Type.Object(
  {
    form: Type.Array(SectionShape, { maxItems: 40 }),
    requirements: Type.Array(RequirementShape, { maxItems: 200 }),
    onboarding: Type.Array(TaskShape, { maxItems: 40 }),
    fees: Type.Optional(Type.Array(FeeScheduleShape, { maxItems: 6 })),
    completeWithin: Type.Optional(
      Type.Object(
        {
          days: Type.Integer({ minimum: 1, maximum: 365 }),
          remindAt: Type.Array(Type.Integer({ minimum: 0, maximum: 364 }), { maxItems: 6, uniqueItems: true }),
          extraDays: Type.Integer({ minimum: 0, maximum: 365 }),
        },
        strict,
      ),
    ),
  },
  strict,
)

/** The type is core's, whose values are read-only; the shape is checked. */
export const Rules = ofCore<CoreRules>(RulesShape)

/** What is written to a file: the rules with the name and version of the format. */
export const RulesFile = Type.Object(
  {
    format: Type.Literal('probatum-rules'),
    formatVersion: Type.Literal(1),
    title: Type.Optional(Type.String({ maxLength: 200 })),
    rules: RulesShape,
  },
  { ...strict, $id: 'https://probatum.example/schemas/rules-1.json', title: 'Form and requirements of a vacancy' },
)
