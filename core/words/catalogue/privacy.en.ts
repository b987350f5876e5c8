export default {
  'privacy.yourApplicationForNotSent': 'Your application for {{title}}, not sent',
  'privacy.yourApplicationFor': 'Your application for {{title}}',
  'privacy.keptWhileItIsUnder': 'Kept while it is under way.',
  'privacy.yourApplicationForEnded': 'Your application for {{title}}, ended',
  'privacy.yourApplicationForClearedTo': 'Your application for {{title}}, cleared to start',
  'privacy.thatSomethingWasDoneWhen': 'That something was done, when, and by which role',
  'privacy.exportFile': 'My data, {{name}}.zip',
  'privacy.keptAfterLastChange_one': 'Kept for {{count}} day after the last change, so that you can go on.',
  'privacy.keptAfterLastChange_other': 'Kept for {{count}} days after the last change, so that you can go on.',
  'privacy.keptAfterItsEnd_one':
    'Kept for {{count}} day after its end, because a claim for equal treatment can be made until then.',
  'privacy.keptAfterItsEnd_other':
    'Kept for {{count}} days after its end, because a claim for equal treatment can be made until then.',
  'privacy.keptOfWhoStarted_one': 'Kept for {{count}} year, because we must be able to show whom we let do this work.',
  'privacy.keptOfWhoStarted_other':
    'Kept for {{count}} years, because we must be able to show whom we let do this work.',
  'privacy.keptWithoutNames_one':
    'Kept for {{count}} year without names or contents, so that nobody can change the record.',
  'privacy.keptWithoutNames_other':
    'Kept for {{count}} years without names or contents, so that nobody can change the record.',
} as const
