import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs'

/** What can be read in a PDF, page after page. */
export async function textOf(bytes: ArrayBuffer): Promise<string> {
  const document = await getDocument({ data: new Uint8Array(bytes), verbosity: 0 }).promise
  const pages = Array.from({ length: document.numPages }, async (_, nth) => {
    const { items } = await (await document.getPage(nth + 1)).getTextContent()
    return items.map((item) => ('str' in item ? item.str : '')).join(' ')
  })
  return (await Promise.all(pages)).join(' ')
}
