export default {
  'role.coordinator': 'coordinator',
  'role.reviewer': 'reviewer',
  'role.assessor': 'assessor',
  'role.hiring manager': 'hiring manager',
  'role.administrator': 'administrator',
  'role.candidate': 'candidate',
  'role.auditor': 'auditor',
  'role.money': 'money',
  'role.medical': 'medical',
  'role.payroll': 'payroll',
  'role.it': 'IT',
  'role.stores': 'stores',
} as const
