import type english from './claims.en'
import type { Translated } from './translated'

export default {
  'claims.nothing': 'nichts',
  'claims.takenBack': 'zurückgenommen',
} satisfies Translated<typeof english>
