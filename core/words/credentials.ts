import { type CredentialField, credentialKind } from '../catalogue/catalogue'
import type { CredentialFault } from '../catalogue/faultsOfCredential'
import { writeDays, writeWhen } from '../dates/write'
import { answerFaultWords, answerWords } from './form'
import { say } from './say'
import { translated } from './translations'

/** What is wrong with a licence or certificate, and how to put it right. */
export function credentialFaultWords(fault: CredentialFault): string {
  switch (fault.code) {
    case 'no-such-kind':
      return say('problem.chooseAKindFromTheList')
    case 'number-unusual':
      return say('problem.numbersOfThisKindLook', { example: fault.example })
    case 'region-missing':
      return say('problem.chooseWhereItHolds')
    case 'lasts-too-long':
      return say('problem.thisKindLastsThrough', { day: writeWhen(fault.through) })
    case 'step-too-soon':
      return say('problem.thisStepIsTooSoon', { days: writeDays(fault.days) })
    case 'step-to-come':
      return say('problem.thisStepIsToCome')
    case 'steps-missing':
    case 'field-missing':
      return say('problem.pleaseFillThisIn')
    case 'field-unknown':
      return say('problem.thisKindDoesNotAsk')
    case 'field':
      return answerFaultWords(fault.fault)
  }
}

/** What was given for the fields of a kind, each with its name; values of fields the catalogue does not know by their key. */
export function credentialFieldWords(
  credential: string,
  given: Readonly<Record<string, string>> = {},
): { key: string; label: string; words: string }[] {
  const fields = credentialKind(credential)?.fields ?? []
  const place = (key: string) => fields.findIndex((field) => field.key === key)
  return Object.entries(given)
    .filter(([, value]) => value !== '')
    .sort(([one], [other]) => place(one) - place(other))
    .map(([key, value]) => {
      const field: CredentialField | undefined = fields[place(key)]
      return { key, label: field ? translated(field).label : key, words: answerWords(field, value) }
    })
}
