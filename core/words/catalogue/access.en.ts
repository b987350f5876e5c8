export default {
  'access.file': 'the file',
  'access.imported': 'what was imported',
  'access.name': 'name and papers',
  'access.identity number': 'identity number',
  'access.birth date': 'date of birth',
  'access.declarations': 'declarations',
  'access.health': 'paper about health',
  'access.paper name': 'name and papers, on the paper',
  'access.paper identity number': 'identity number, on the paper',
  'access.paper birth date': 'date of birth, on the paper',
  'access.paper declarations': 'declarations, on the paper',
  'access.paper health': 'paper about health, on the paper',
} as const
