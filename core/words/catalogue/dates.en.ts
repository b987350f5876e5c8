export default {
  'dates.about': 'about ',
  'dates.years': '{{years}} y',
  'dates.months': '{{months}} m',
  'dates.days_one': '{{count}} day',
  'dates.days_other': '{{count}} days',
} as const
