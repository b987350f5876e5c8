import type english from './dates.en'
import type { Translated } from './translated'

export default {
  'dates.about': 'etwa ',
  'dates.years': '{{years}} J.',
  'dates.months': '{{months}} Mon.',
  'dates.days_one': '{{count}} Tag',
  'dates.days_other': '{{count}} Tage',
} satisfies Translated<typeof english>
