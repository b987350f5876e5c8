export default {
  'completion.endsOn': 'To be finished by {{day}}; afterwards it is set aside, and all you gave is kept.',
  'completion.moreTime': 'I need {{count}} days more',
  'completion.why': 'Why you need {{count}} days more',
  'completion.extend': 'Take more time',
  'completion.setAside': 'The last day to finish was {{day}}, so it is set aside. All that you gave is kept.',
  'completion.takeUpAgain': 'Take it up again',
  'completion.listed': 'By {{day}}',
  'completion.listedAside': 'Set aside',
  'completion.oncePaid': 'It goes on by itself once what is owed is paid.',
} as const
