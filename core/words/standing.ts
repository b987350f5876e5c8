import type { Standing } from '../validity/validity'
import { say } from './say'

/** The terms of a restriction, in words and as its body wrote them; empty where none were given. */
export const termsWords = ({ terms = [], termsSaid }: Pick<Standing, 'terms' | 'termsSaid'>): string =>
  [...terms.map((term) => say(`comparison.term.${term}`)), ...(termsSaid ? [termsSaid] : [])].join(', ')
