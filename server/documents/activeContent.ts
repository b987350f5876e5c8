import { PDFArray, PDFDict, type PDFDocument, PDFName, type PDFObject, PDFStream } from 'pdf-lib'

/** Entries of PDF dictionaries that run, fetch or carry something (ISO 32000-1: 12.6.4, 7.11.4, 12.7.8, 13.6). */
const activeKeys: Record<string, string> = {
  JS: 'a program',
  JavaScript: 'a program',
  XFA: 'a form that runs programs',
  EmbeddedFiles: 'other files',
  RichMedia: 'moving content',
}
const activeActions: Record<string, string> = {
  JavaScript: 'a program',
  Launch: 'a command to start a program',
  SubmitForm: 'a form that sends itself',
  ImportData: 'a command to fetch data',
  Rendition: 'moving content',
}
const deepest = 40

/** What in a PDF is more than pages to look at, in words that follow "holds", or `undefined`. */
export function activeContentIn(document: PDFDocument): string | undefined {
  for (const [, object] of document.context.enumerateIndirectObjects()) {
    const found = lookThrough(object, 0)
    if (found) return found
  }
  return undefined
}

/** References are not followed: what they lead to is an object of its own and is looked at there. */
function lookThrough(object: PDFObject, depth: number): string | undefined {
  if (depth > deepest) return undefined
  if (object instanceof PDFStream) return lookThrough(object.dict, depth)
  if (object instanceof PDFArray) return firstOf(object.asArray(), depth)
  if (!(object instanceof PDFDict)) return undefined
  for (const [key, value] of object.entries()) {
    const name = key.decodeText()
    if (activeKeys[name]) return activeKeys[name]
    if (name === 'S' && value instanceof PDFName && activeActions[value.decodeText()])
      return activeActions[value.decodeText()]
  }
  return firstOf(object.values(), depth)
}

function firstOf(objects: readonly PDFObject[], depth: number): string | undefined {
  for (const object of objects) {
    const found = lookThrough(object, depth + 1)
    if (found) return found
  }
  return undefined
}
