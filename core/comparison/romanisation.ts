/** The standard by which a name was written in Latin letters. */
export type Romanisation = 'ICAO 9303' | 'ISO 9' | 'BGN/PCGN' | 'ISO 843' | 'ELOT 743' | 'ISO 233' | 'ISO 7098'

/** A name in Latin letters, and the standard it was read by. */
export type Reading = { standard: Romanisation; text: string }
