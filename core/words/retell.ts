import { readTyped, writeWhen } from '../dates/write'
import { say, spokenLanguage, textsOf } from './say'

type Template = { key: string; pattern: RegExp; names: string[] }
const templates = new Map<string, Template[]>()

/**
 * Says in the language of the moment what was put down in English before: a line of what happened, or what is wrong. The
 * text is found again among those of the catalogue, with its values; one that is not among them stays as it is.
 */
export function retell(text: string): string {
  const language = spokenLanguage()
  if (language === 'en') return text
  const plain = say(text)
  if (plain !== text) return plain
  for (const { key, pattern, names } of templatesOf(language)) {
    const match = pattern.exec(text)
    if (match) return say(key, Object.fromEntries(names.map((name, nth) => [name, retoldValue(match[nth + 1]!)])))
  }
  return text
}

/** A value in a text: a day is written anew, a name that is known is said, anything else stays. */
function retoldValue(value: string): string {
  const day = /[A-Z][a-z]{2} \d{4}$/.test(value) ? readTyped(value) : undefined
  return day ? writeWhen(day) : say(value)
}

/** Texts with values, the most telling first: those with the most letters of their own. */
function templatesOf(language: 'de'): Template[] {
  const known = templates.get(language)
  if (known) return known
  const own = (key: string) => key.replace(/\{\{\w+\}\}/g, '').length
  const made = Object.keys(textsOf(language))
    .filter((key) => key.includes('{{') && !/_(one|other)$/.test(key) && own(key) >= 8)
    .sort((a, b) => own(b) - own(a))
    .map((key) => ({
      key,
      names: [...key.matchAll(/\{\{(\w+)\}\}/g)].map((match) => match[1]!),
      pattern: new RegExp(
        `^${key
          .split(/\{\{\w+\}\}/)
          .map(literally)
          .join('(.+?)')}$`,
        's',
      ),
    }))
  templates.set(language, made)
  return made
}

const literally = (text: string) => text.replace(/[.*+?^${}()|[\]\\]/g, '\\$&')
