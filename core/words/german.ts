import german from './german.json' with { type: 'json' }
import { learn } from './say'

/** Teaches the catalogue German; a page loads this only where it is spoken. */
export const learnGerman = () => learn('de', german)
