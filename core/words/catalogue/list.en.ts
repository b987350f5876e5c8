export default {
  'list.applications': 'Applications',
  'list.queue': 'Queue',
  'list.behalf': 'On behalf',
  'list.tray': 'Paper tray',
  'list.imports': 'Imports',
  'list.duplicates': 'Duplicates',
  'list.sources': 'Sources',
  'list.vacancies': 'Vacancies',
  'list.outbox': 'Mails not delivered',
  'list.trail': 'Audit trail',
  'list.fingerprint': 'Fingerprint of the record',
  'list.access-log': 'Who saw what',
} as const
