import type { Input } from '#contract/endpoint'
import type { saveSentences as sentencesContract, saveTemplate as templateContract } from '#contract/messages'
import { faultsOfTemplate, type TemplateFault } from '#core/templates/template'
import { say } from '#core/words/say'
import { recordEvent } from '../platform/audit/record'
import { putVersion } from '../platform/database/compareAndSet'
import type { Account, Deps } from '../platform/deps'
import { invalid, invalidField, notFound, requireVersion } from '../platform/errors/problems'
import { MessageTemplate, PreparedSentence } from '../records/messages/prepared'
import { fieldWords, messageFields } from './fields'

export async function listTemplates() {
  const templates = await MessageTemplate.findAll({ order: ['name', 'id'] })
  return {
    templates: templates.map(({ id, name, english, german, version, savedBy, savedAt }) => ({
      id,
      name,
      english,
      german,
      version,
      savedBy,
      savedAt: savedAt.toISOString(),
    })),
    placeholders: messageFields.map((name) => ({ name, is: fieldWords(name) })),
  }
}

/** Throws where a template cannot be filled in, so that nobody gets a mail with braces in it. */
export function requireTemplates(
  written: Input<typeof templateContract>['body'] | { english: Written; german: Written | null },
  at: string,
) {
  const faults = (['english', 'german'] as const).flatMap((language) =>
    (['subject', 'text'] as const).flatMap((part) =>
      faultsOfTemplate(written[language]?.[part] ?? '', messageFields).map((fault) => ({
        pointer: `${at}/${language}/${part}`,
        message: faultWords(fault),
      })),
    ),
  )
  if (faults.length > 0) throw invalid(faults)
}
const faultWords = (fault: TemplateFault): string =>
  fault.code === 'unknown-field'
    ? say('problem.nobodyKnowsWhatToPut', { unknown: `{{${fault.field}}}` })
    : say('problem.templateNotReadable', { part: fault.part })

type Written = { subject: string; text: string }

export async function saveTemplate(
  deps: Deps,
  actor: Account,
  id: string,
  { version, ...written }: Input<typeof templateContract>['body'],
) {
  requireTemplates(written as never, '/body')
  const before = await MessageTemplate.findByPk(id)
  requireVersion(version, before?.version ?? 0, { name: before?.name })
  await putVersion(MessageTemplate, { id }, version, { ...written, savedBy: actor.name, savedAt: deps.clock.now() })
  await recordEvent(deps, actor, { code: 'template-saved', values: { name: written.name } })
  return { version: version + 1 }
}

export async function removeTemplate(deps: Deps, actor: Account, id: string) {
  const template = await MessageTemplate.findByPk(id)
  if (!template) throw notFound()
  await template.destroy()
  await recordEvent(deps, actor, { code: 'template-removed', values: { name: template.name } })
  return { done: true as const }
}

export async function listSentences() {
  const sentences = await PreparedSentence.findAll({ order: ['about', 'place', 'id'] })
  return sentences.map(({ id, about, title, english, german, version }) => ({
    id,
    about,
    title,
    english,
    german,
    version,
  }))
}

/** Keeps the sentences of one kind in a new order; those that are not among them go. */
export async function saveSentences(
  deps: Deps,
  actor: Account,
  about: 'document' | 'answer' | 'question',
  { sentences }: Input<typeof sentencesContract>['body'],
) {
  await PreparedSentence.destroy({ where: { about } })
  const ids = sentences.map(({ id }) => id)
  const elsewhere = new Set((await PreparedSentence.findAll({ where: { id: ids } })).map(({ id }) => id))
  const taken = ids.findIndex((id, nth) => elsewhere.has(id) || ids.indexOf(id) < nth)
  if (taken >= 0) throw invalidField(`/body/sentences/${taken}/id`, say('problem.anotherSentenceHasThisIdentifier'))
  await PreparedSentence.bulkCreate(sentences.map((sentence, place) => ({ ...sentence, about, place })))
  await recordEvent(deps, actor, {
    code: 'sentences-saved',
    words: `sentences-saved.${about}`,
    values: { count: sentences.length },
  })
  return { done: true as const }
}
