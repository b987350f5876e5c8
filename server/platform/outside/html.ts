const entities: Record<string, string> = { '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' }

/** A text as it stands in HTML or XML, also within quotation marks. */
export const escapeHtml = (text: string) => text.replace(/[&<>"]/g, (letter) => entities[letter]!)
