import type { Translated } from './translated'
import type english from './vouch.en'

export default {
  'vouch.trust.yes': 'ja',
  'vouch.trust.with support': 'mit Unterstützung',
  'vouch.trust.no': 'nein',
} satisfies Translated<typeof english>
