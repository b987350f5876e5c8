export default {
  'hidden.name': 'name and papers',
  'hidden.identity number': 'identity number',
  'hidden.birth date': 'date of birth',
  'hidden.declarations': 'declarations',
  'hidden.health': 'paper about health',
} as const
