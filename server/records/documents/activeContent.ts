import { PDFArray, PDFDict, type PDFDocument, PDFName, type PDFObject, PDFStream } from 'pdf-lib'

export type ActiveContent =
  | 'program'
  | 'formProgram'
  | 'files'
  | 'moving'
  | 'launch'
  | 'submit'
  | 'import'
  | 'otherFile'

/** Entries of PDF dictionaries that run, fetch or carry something (ISO 32000-1: 12.6.4, 7.11.4, 12.7.8, 13.6). */
const activeKeys: Record<string, ActiveContent> = {
  JS: 'program',
  JavaScript: 'program',
  XFA: 'formProgram',
  EmbeddedFiles: 'files',
  EF: 'files',
  RichMedia: 'moving',
}
const activeActions: Record<string, ActiveContent> = {
  JavaScript: 'program',
  Launch: 'launch',
  SubmitForm: 'submit',
  ImportData: 'import',
  Rendition: 'moving',
  GoToR: 'otherFile',
  GoToE: 'otherFile',
}
const [action, address] = [PDFName.of('S'), PDFName.of('URI')]

/** What in a PDF is more than pages to look at, or `undefined`. */
export function activeContentIn(document: PDFDocument): ActiveContent | undefined {
  for (const dictionary of dictionariesOf(document)) {
    const does = dictionary.get(action)
    const found =
      (does instanceof PDFName && activeActions[does.decodeText()]) ||
      dictionary
        .keys()
        .map((key) => activeKeys[key.decodeText()])
        .find(Boolean)
    if (found) return found
  }
  return undefined
}

/**
 * Takes out where links lead: many a certificate carries the address of its issuer, and nothing here follows it.
 *
 * @returns whether there were any
 */
export function takeLinksOut(document: PDFDocument): boolean {
  let taken = false
  for (const dictionary of dictionariesOf(document))
    if (dictionary.delete(address)) {
      dictionary.delete(action)
      taken = true
    }
  return taken
}

/**
 * Every dictionary of a PDF, however deep it lies. References are not followed: what they lead to is an object of its own
 * and comes by itself.
 */
function* dictionariesOf(document: PDFDocument): Generator<PDFDict> {
  for (const [, object] of document.context.enumerateIndirectObjects()) {
    const waiting: PDFObject[] = [object]
    for (let next = waiting.pop(); next; next = waiting.pop()) {
      const within = next instanceof PDFStream ? next.dict : next
      if (within instanceof PDFArray) for (const part of within.asArray()) waiting.push(part)
      if (!(within instanceof PDFDict)) continue
      yield within
      for (const part of within.values()) waiting.push(part)
    }
  }
  // The trailer is no object of its own.
  const { Root, Info } = document.context.trailerInfo
  for (const part of [Root, Info]) if (part instanceof PDFDict) yield part
}
