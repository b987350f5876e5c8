import type { Input } from '#contract/endpoint'
import type { saveSourceText as saveContract } from '#contract/sourceTexts'
import { type SourceText, sourceTextNames, sourceTexts } from '#core/enquiries/texts'
import { faultsOfTemplate, renderTemplate } from '#core/templates/template'
import { type SourceLanguage, say, sourceLanguages } from '#core/words/say'
import { type StoredValues, sayStored, writeValue } from '#core/words/stored'
import { recordEvent } from '../platform/audit/record'
import { putVersion } from '../platform/database/compareAndSet'
import type { Account, Deps } from '../platform/deps'
import { invalid, notFound } from '../platform/errors/problems'
import { inLanguage } from '../platform/http/language'
import { OwnSourceText } from '../records/messages/prepared'

type Key = { name: SourceText; language: SourceLanguage }
type Said = { subject: string; text: string }

/** What the house has written itself; a text of another version of us is left where it is. */
export type OwnTexts = ReadonlyMap<string, Said>

const keyOf = ({ name, language }: Key) => `${name} ${language}`

export const readOwnTexts = async (): Promise<OwnTexts> =>
  new Map((await OwnSourceText.findAll()).map((row) => [keyOf(row), { subject: row.subject, text: row.text }]))

/**
 * A text to a source in its language: in the words of the house where it has its own, else in ours. Words that need a value there is
 * none for are left aside, so that nobody gets a sentence with a hole.
 */
export function saySourceText(own: OwnTexts, key: Key, values: StoredValues): Said {
  return inLanguage(key.language, () => {
    const written = own.get(keyOf(key))
    return (written && filledIn(written, values)) ?? ours(key.name, values)
  })
}

function filledIn(written: Said, values: StoredValues): Said | undefined {
  const fields = Object.fromEntries(Object.entries(values).map(([name, value]) => [name, writeValue(value ?? '')]))
  const [subject, text] = [written.subject, written.text].map((part) => renderTemplate(part, fields))
  if (!subject || !text || !('text' in subject) || !('text' in text)) return undefined
  return { subject: subject.text.replace(/\s+/g, ' ').trim(), text: text.text }
}

/** The words that are there from the start, in the language of the moment. */
function ours(name: SourceText, values: StoredValues): Said {
  const said = (part: string) => sayStored(`${name}${part}`, values)
  return sourceTexts[name].subject
    ? { subject: said('.subject'), text: said('.text') }
    : { subject: '', text: said('') }
}

/** Every text in every language, as it is written: with its fields in braces. */
export async function listSourceTexts() {
  const rows = new Map((await OwnSourceText.findAll()).map((row) => [keyOf(row), row]))
  return sourceTextNames.flatMap((name) =>
    sourceLanguages.map((language) => {
      const row = rows.get(keyOf({ name, language }))
      const braces = Object.fromEntries(sourceTexts[name].fields.map((field) => [field, `{{${field}}}`]))
      const { subject, text } = row ?? inLanguage(language, () => ours(name, braces))
      const own = row ? { savedBy: row.savedBy, savedAt: row.savedAt.toISOString() } : null
      return { name, language, subject, text, version: row?.version ?? 0, own }
    }),
  )
}

/**
 * Writes a text in words of the house's own.
 *
 * @throws Problem `invalid` where it names a field there is nothing for, or lacks one it cannot be without
 */
export async function saveSourceText(
  deps: Deps,
  actor: Account,
  key: Key,
  { version, subject, text }: Input<typeof saveContract>['body'],
) {
  const { fields, needs, subject: hasSubject } = sourceTexts[key.name]
  const written = { subject: hasSubject ? subject.trim() : '', text: text.trim() }
  const faults = (['subject', 'text'] as const).flatMap((part) =>
    faultsOfTemplate(written[part], fields).map((fault) => ({
      pointer: `/body/${part}`,
      message:
        fault.code === 'unknown-field'
          ? say('problem.nobodyKnowsWhatToPut', { unknown: `{{${fault.field}}}` })
          : say('problem.templateNotReadable', { part: fault.part }),
    })),
  )
  // Filled in with words that stand nowhere else, it shows whether what it needs is in it, whatever it leaves out.
  const marks = Object.fromEntries(fields.map((field) => [field, `⟦${field}⟧`]))
  const shown = faults.length === 0 ? renderTemplate(written.text, marks) : { text: '' }
  const missing = needs.filter(
    (field) => faults.length === 0 && !('text' in shown && shown.text.includes(`⟦${field}⟧`)),
  )
  faults.push(
    ...missing.map((field) => ({
      pointer: '/body/text',
      message: say('problem.textNeedsField', { field: `{{${field}}}` }),
    })),
    ...(hasSubject && written.subject === '' ? [{ pointer: '/body/subject', message: say('shape.empty') }] : []),
  )
  if (faults.length > 0) throw invalid(faults)
  await putVersion(OwnSourceText, key, version, { ...written, savedBy: actor.name, savedAt: deps.clock.now() })
  await recordEvent(deps, actor, { code: 'source-text-saved', values: valuesOf(key) })
  return { version: version + 1 }
}

export async function resetSourceText(deps: Deps, actor: Account, key: Key) {
  if ((await OwnSourceText.destroy({ where: key })) === 0) throw notFound()
  await recordEvent(deps, actor, { code: 'source-text-reset', values: valuesOf(key) })
  return { done: true as const }
}

const valuesOf = ({ name, language }: Key) => ({
  text: { code: `sourceText.${name}` as const },
  language: { language },
})
