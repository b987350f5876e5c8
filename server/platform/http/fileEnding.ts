const endings: Readonly<Record<string, string>> = { 'application/pdf': 'pdf', 'image/jpeg': 'jpg', 'image/png': 'png' }

/** What the name of a paper ends in, by what it is. */
export const fileEnding = (mediaType: string): string => endings[mediaType] ?? 'pdf'
