export default {
  'privacy.yourApplicationForNotSent': 'Your application for {{title}}, not sent',
  'privacy.keptFor180DaysAfter': 'Kept for 180 days after the last change, so that you can go on.',
  'privacy.yourApplicationFor': 'Your application for {{title}}',
  'privacy.keptWhileItIsUnder': 'Kept while it is under way.',
  'privacy.yourApplicationForEnded': 'Your application for {{title}}, ended',
  'privacy.keptFor183DaysAfter':
    'Kept for 183 days after its end, because a claim for equal treatment can be made until then.',
  'privacy.yourApplicationForClearedTo': 'Your application for {{title}}, cleared to start',
  'privacy.keptForSevenYearsBecause':
    'Kept for seven years, because we must be able to show who was let near passengers and ropes.',
  'privacy.thatSomethingWasDoneWhen': 'That something was done, when, and by which role',
  'privacy.keptForSevenYearsWithout':
    'Kept for seven years without names or contents, so that nobody can change the record.',
  'privacy.exportFile': 'My data, {{name}}.zip',
} as const
