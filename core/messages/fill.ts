/** What a prepared message may hold of a person, by placeholder. */
export const placeholders = {
  name: 'the full name',
  givenName: 'the given name',
  vacancy: 'what was applied for',
  place: 'where the post is',
  reference: 'the reference of the application',
  start: 'the target start, as a date',
  link: 'the address of their status page',
  contact: 'how to reach us',
} as const
export type Placeholder = keyof typeof placeholders

const pattern = /\{\{\s*([^{}]*?)\s*\}\}/g

/** The placeholders in a text that nobody knows how to fill, and braces left open, as they stand there. */
export function unknownIn(text: string): string[] {
  const unknown = [...text.matchAll(pattern)].flatMap(([whole, name]) => (name! in placeholders ? [] : [whole]))
  const rest = text.replace(pattern, '')
  return [...unknown, ...(rest.match(/\{\{|\}\}/g) ?? [])]
}

/**
 * A text with its placeholders filled in. One that is not known stays as it is.
 *
 * @param values what stands for each; an empty text where there is none
 */
export const fill = (text: string, values: Readonly<Record<Placeholder, string>>): string =>
  text.replace(pattern, (whole, name: string) => (name in values ? values[name as Placeholder] : whole))

/** The placeholders a text uses for which there is no value, so that nobody gets a sentence with a hole. */
export const missingIn = (text: string, values: Readonly<Record<Placeholder, string>>): Placeholder[] => [
  ...new Set(
    [...text.matchAll(pattern)].flatMap(([, name]) =>
      name! in values && values[name as Placeholder] === '' ? [name as Placeholder] : [],
    ),
  ),
]
