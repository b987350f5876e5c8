export default {
  'hidden.name': 'name and papers',
  'hidden.identity number': 'identity number',
  'hidden.birth date': 'date of birth',
  'hidden.declarations': 'declarations',
  'hidden.health': 'paper about health',
  'hidden.hidden': 'Hidden',
  'hidden.thisPerson': 'This person',
  'hidden.event': 'Hidden until the shortlist',
  'hidden.money': 'paper about money',
} as const
