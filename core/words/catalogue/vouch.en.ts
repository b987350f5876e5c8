export default {
  'vouch.trust.yes': 'yes',
  'vouch.trust.with support': 'with support',
  'vouch.trust.no': 'no',
} as const
