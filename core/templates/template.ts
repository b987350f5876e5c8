import { Liquid, type Template } from 'liquidjs'

/**
 * The one engine for what an organisation writes with merge fields: messages, letters, offers, statements. Liquid, without
 * whatever reaches beyond the text: fields stand in `{{ double braces }}`, `{% if field %}…{% endif %}` leaves out what there
 * is no value for, and a few filters change how a value is written.
 */
const allowedTags = new Set(['if', 'unless', 'case'])
const allowedFilters = new Set(['upcase', 'downcase', 'capitalize', 'default', 'strip', 'append', 'prepend'])

/** Whoever writes a template must not be able to hold up the house: characters, milliseconds, and characters made. */
const limits = { parseLimit: 20_000, renderLimit: 200, memoryLimit: 1_000_000 }

/** Characters of the longest value a field may have; what would grow beyond the limits with it is not kept. */
const longestValue = 300

const engine = new Liquid({
  strictVariables: true,
  strictFilters: true,
  // What there is no value for may be asked about, and only that.
  lenientIf: true,
  ownPropertyOnly: true,
  ...limits,
})
for (const tag of Object.keys(engine.tags)) if (!allowedTags.has(tag)) delete engine.tags[tag]
for (const filter of Object.keys(engine.filters)) if (!allowedFilters.has(filter)) delete engine.filters[filter]

export type TemplateFault =
  /** A field that nobody knows how to fill, as it is written. */
  | { code: 'unknown-field'; field: string }
  /** Braces that open or close nothing, a tag or a filter that is not there. */
  | { code: 'not-readable'; part: string }

/**
 * What is wrong with a template; found when it is saved, so that it cannot come up when it is sent.
 *
 * @param fields the names of what can be filled in
 * @example faultsOfTemplate('{{ nmae }}', ['name']) // [{ code: 'unknown-field', field: 'nmae' }]
 */
export function faultsOfTemplate(text: string, fields: readonly string[]): TemplateFault[] {
  const stray = /\{\{|\}\}|\{%|%\}/.exec(text.replace(/\{\{(?:[^{}]|\{(?!\{))*?\}\}|\{%[^{}]*?%\}/g, ''))
  if (stray) return [{ code: 'not-readable', part: stray[0] }]
  const parsed = parse(text)
  if ('fault' in parsed) return [parsed.fault]
  const unknown = engine.globalFullVariablesSync(parsed.template).filter((field) => !fields.includes(field))
  if (unknown.length > 0) return [...new Set(unknown)].map((field) => ({ code: 'unknown-field', field }))
  const longest = Object.fromEntries(fields.map((field) => [field, 'x'.repeat(longestValue)]))
  try {
    engine.renderSync(parsed.template, longest)
    return []
  } catch {
    return [{ code: 'not-readable', part: text.slice(0, 60) }]
  }
}

/**
 * A template with its fields filled in. A value is text and nothing else: braces in it stay braces.
 *
 * @param values what stands for each field; an empty text where there is none
 * @returns the text, or the field for which there is no value though the sentence needs one
 */
export function renderTemplate(
  text: string,
  values: Readonly<Record<string, string>>,
): { text: string } | { missing: string } {
  const parsed = parse(text)
  if ('fault' in parsed) return { missing: parsed.fault.part }
  const known = Object.fromEntries(Object.entries(values).filter(([, value]) => value !== ''))
  try {
    return { text: engine.renderSync(parsed.template, known) as string }
  } catch (error) {
    const { originalError } = error as { originalError?: { variableName?: string } }
    if (originalError?.variableName) return { missing: originalError.variableName }
    throw error
  }
}

type Parsed = { template: Template[] } | { fault: Extract<TemplateFault, { code: 'not-readable' }> }

function parse(text: string): Parsed {
  try {
    return { template: engine.parse(text) }
  } catch (error) {
    const { token } = error as { token?: { getText?: () => string } }
    return { fault: { code: 'not-readable', part: (token?.getText?.() ?? text).slice(0, 60) } }
  }
}
