export default {
  'completion.endsOn': 'To be finished by {{day}}; afterwards it is set aside, and all you gave is kept.',
  'completion.moreTime': 'I need {{count}} days more',
  'completion.why': 'Why you need {{count}} days more',
  'completion.extend': 'Take more time',
  'completion.setAside': 'This was not finished by {{day}} and is set aside. All that you gave is kept.',
  'completion.takeUpAgain': 'Take it up again',
  'completion.listed': 'By {{day}}',
  'completion.listedAside': 'Set aside',
} as const
