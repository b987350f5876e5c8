import { credentialKind, studyLevel } from '../catalogue/catalogue'
import type { KnownFact } from '../conditions/vocabulary'
import { writeDays, writeWhen } from '../dates/write'
import type { Ask, Gate, Requirement } from '../requirements/requirement'
import { conditionWords } from './conditions'
import { writeDecimal } from './decimals'
import { credentialName, languageName, studyFieldName, studyLevelName } from './names'
import { say, spokenLanguage } from './say'
import { translated } from './translations'

const byGate = (gate: Gate): string => say(`ask.byGate.${gate}`)

/**
 * A requirement as a sentence for a person who considers applying.
 *
 * @param nameOf titles of questions, checks and tasks by key
 * @param known what conditions look at, by name and label
 */
export function requirementSentence(
  requirement: Requirement,
  nameOf: (key: string) => string = (key) => key,
  known: readonly KnownFact[] = [],
): string {
  const asked = [requirement.asks, ...(requirement.alternatives ?? [])]
    .map((ask) => askWords(ask, nameOf))
    .join(say('ask.or'))
  const provable = [requirement.asks, ...(requirement.alternatives ?? [])].some(({ kind }) => hasProof.has(kind))
  const proof = {
    claimed: requirement.paper ? say('ask.paperAttached') : '',
    evidenced: provable ? say('ask.rung.evidenced') : '',
    confirmed: provable ? say('ask.rung.confirmed') : '',
  }
  const valid =
    requirement.validStartPlusDays === undefined
      ? ''
      : requirement.validStartPlusDays === 0
        ? say('ask.validThroughStart')
        : say('ask.validThroughStartAndMore', { days: writeDays(requirement.validStartPlusDays) })
  const when = requirement.when ? ` ${say('ask.onlyIf', { condition: conditionWords(requirement.when, known) })}` : ''
  const exempt = requirement.exempt
    ? ` ${say('ask.notNeededIf', { condition: conditionWords(requirement.exempt.when, known), because: translated({ because: requirement.exempt.because, translations: requirement.translations }).because })}`
    : ''
  const interim = requirement.interim ? ` ${say('ask.interimDoes', { days: writeDays(requirement.interim.days) })}` : ''
  const certified = requirement.certified
    ? say('ask.certified', {
        forms: requirement.certified.forms.map((form) => say(`names.attestation.${form}`)).join(say('condition.or')),
        by: requirement.certified.by ? say('ask.certifiedBy', { by: requirement.certified.by }) : '',
      })
    : ''
  return `${capital(asked)}${proof[requirement.rung]}${certified}${valid}, ${byGate(requirement.gate)}.${interim}${when}${exempt}`
}

/** What stands on the ladder; an answer, a check or a fee does not. */
const hasProof = new Set<Ask['kind']>(['study', 'credential', 'language', 'every work entry', 'document', 'identity'])

function askWords(ask: Ask, nameOf: (key: string) => string): string {
  switch (ask.kind) {
    case 'answer':
      return say('ask.answer', { question: nameOf(ask.question) })
    case 'study': {
      const fields = ask.fields?.map((field) => inSentence(studyFieldName(field))).join(say('condition.or'))
      return say('ask.study', {
        levelAtLeast: studyLevel(ask.levelAtLeast)
          ? studyLevelName(ask.levelAtLeast)
          : say('ask.studyLevel', { levelAtLeast: ask.levelAtLeast }),
        fields: fields ? say(ask.minor ? 'ask.studyFieldsOrMinor' : 'ask.studyFields', { fields }) : '',
      })
    }
    case 'credential':
      return ask.atLeast
        ? say('ask.credentialAtLeast', {
            credential: inSentence(credentialName(ask.credential)),
            amount: credentialAmountWords(ask.credential, ask.atLeast.field, ask.atLeast.amount),
          })
        : inSentence(credentialName(ask.credential))
    case 'language':
      return say('ask.language', { language: languageName(ask.language), level: ask.level })
    case 'age':
      return ageWords(ask)
    case 'history':
      if (ask.of === 'home')
        return say('ask.homes', {
          years: ask.years,
          toleratedGapDays: writeDays(ask.toleratedGapDays),
        })
      return say('ask.history', {
        years: ask.years,
        toleratedGapDays: writeDays(ask.toleratedGapDays),
      })
    case 'experience':
      return say('ask.experience', {
        years: Math.floor(ask.months / 12),
        kinds: ask.tags.join(say('condition.or')),
      })
    case 'every work entry':
      return say(ask.wholeLetter ? 'paper.wholeLetter' : 'ask.everyWorkEntry')
    case 'skills check':
      return say('ask.skillsCheck', { check: nameOf(ask.check) })
    case 'identity':
      return ask.portrait ? say('ask.identityAndPortrait') : say('ask.identity')
    case 'vouching':
      return ask.count === 1 ? say('ask.oneVouching') : say('ask.vouching', { count: ask.count })
    case 'permission':
      return say('ask.permission')
    case 'document':
      return say('ask.document', { question: nameOf(ask.question) })
    case 'declaration':
      return say('ask.declaration', { question: nameOf(ask.question), mustBe: ask.mustBe })
    case 'reference':
      return ask.count === 1 ? say('ask.oneReference') : say('ask.references', { count: ask.count })
    case 'fee':
      return say('ask.fee', { fee: nameOf(ask.schedule) })
    case 'offer accepted':
      return say('ask.offerAccepted')
    case 'onboarding task':
      return nameOf(ask.task)
    case 'source condition':
      return say('ask.sourceCondition')
    case 'recipients':
      return say('ask.recipients', { recipients: ask.recipients.map((one) => translated(one).name).join(', ') })
  }
}

function ageWords({ least, most, on, allowances = [] }: Extract<Ask, { kind: 'age' }>): string {
  const day = on ? writeWhen(on) : say('ask.theStart')
  const range =
    least !== undefined && most !== undefined
      ? say('ask.ageBetween', { least, most, day })
      : least !== undefined
        ? say('ask.ageLeast', { least, day })
        : say('ask.ageMost', { most: most ?? 0, day })
  const years = Math.max(0, ...allowances.map((allowance) => allowance.years))
  return years > 0 ? `${range}${say('ask.ageAllowance', { count: years })}` : range
}

/** Why a requirement is asked. What only a form asks for has no other reason. */
export const requirementWhy = (requirement: Requirement): string =>
  translated(requirement).why || say('ask.theFormAsks')

/** Which paper a requirement needs and in what form, or nothing where it needs none. */
export function paperWords(requirement: Requirement): string | undefined {
  if (!requirement.paper && requirement.rung === 'claimed') return undefined
  const papers = [requirement.asks, ...(requirement.alternatives ?? [])].flatMap((ask) => {
    if (ask.kind === 'study') return [say('paper.study')]
    if (ask.kind === 'credential') {
      const kind = credentialKind(ask.credential)
      return [kind ? translated(kind).papers : say('paper.certificate')]
    }
    if (ask.kind === 'language') return [say('paper.language')]
    if (ask.kind === 'identity') return [say('paper.identity')]
    if (ask.kind === 'document') return [say('paper.document')]
    if (ask.kind === 'every work entry') return [say(ask.wholeLetter ? 'paper.wholeLetter' : 'paper.work')]
    return []
  })
  return papers.length === 0 ? undefined : say('paper.form', { papers: capital(papers.join(say('ask.or'))) })
}

/** An amount that a credential is given for, in the words of its field: money in hundredths, numbers as they are. */
export function credentialAmountWords(credential: string, key: string, amount: number): string {
  const field = credentialKind(credential)?.fields.find((one) => one.key === key)
  if (!field) return String(amount)
  const { label, unit = '' } = translated(field)
  const written = field.kind === 'money' ? writeDecimal(amount, 2, unit) : `${amount} ${unit}`.trim()
  return `${written} (${label})`
}

/** A name within a sentence: small in English, as it is in a language that writes nouns large. */
const inSentence = (text: string) =>
  spokenLanguage() === 'en' ? text.replace(/^./, (letter) => letter.toLowerCase()) : text
const capital = (text: string) => text.replace(/^./, (letter) => letter.toUpperCase())
