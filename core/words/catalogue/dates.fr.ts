import type english from './dates.en'
import type { Translated } from './translated'

export default {
  'dates.about': 'environ ',
  'dates.years': '{{years}} a',
  'dates.months': '{{months}} m',
  'dates.days_one': '{{count}} jour',
  'dates.days_other': '{{count}} jours',
} satisfies Translated<typeof english>
