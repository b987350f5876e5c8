export default {
  'claims.nothing': 'nothing',
  'claims.takenBack': 'taken back',
} as const
