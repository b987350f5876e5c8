export default {
  'role.coordinator': 'coordinator',
  'role.reviewer': 'reviewer',
  'role.assessor': 'assessor',
  'role.hiring manager': 'hiring manager',
  'role.administrator': 'administrator',
  'role.candidate': 'candidate',
} as const
