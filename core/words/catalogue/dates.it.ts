import type english from './dates.en'
import type { Translated } from './translated'

export default {
  'dates.about': 'circa ',
  'dates.years': '{{years}} a',
  'dates.months': '{{months}} m',
  'dates.days_one': '{{count}} giorno',
  'dates.days_other': '{{count}} giorni',
} satisfies Translated<typeof english>
