export default {
  'field.name': 'Name',
  'field.born': 'Born',
  'field.title': 'Kind',
  'field.number': 'Number',
  'field.issued': 'Issued',
  'field.through': 'Valid through',
  'field.award': 'Award',
  'field.subject': 'Subject',
  'field.awarded': 'Awarded',
  'field.position': 'Position',
  'field.from': 'First day',
  'field.to': 'Last day',
} as const
