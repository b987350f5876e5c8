/** Whoever has an account is a candidate, somebody who works here, or of an employer who pays; one person may hold several roles. */
export const roles = [
  'candidate',
  'employer',
  'coordinator',
  'reviewer',
  'assessor',
  'hiring manager',
  'administrator',
  'auditor',
  'money',
  'medical',
  'payroll',
  'it',
  'stores',
] as const
export type Role = (typeof roles)[number]

/** The roles of those who do not work here. */
export type OutsideRole = 'candidate' | 'employer'

/** The roles of those who work here. */
export type StaffRole = Exclude<Role, OutsideRole>
const isStaffRole = (role: Role): role is StaffRole => role !== 'candidate' && role !== 'employer'
export const staffRoles = roles.filter(isStaffRole)

/** Whether somebody with these roles works here. */
export const worksHere = (held: readonly Role[]): boolean => held.some(isStaffRole)

/** What somebody may see and do at the desk, in the order of the table. */
export const rights = [
  'files.read',
  'documents.read',
  'proof.settle',
  'flags.settle',
  'applications.move',
  'applications.turn-down',
  'offers.make',
  'requirements.waive',
  'matters.decide',
  'applications.score',
  'people.write-for',
  'people.import',
  'duplicates.settle',
  'people.erase',
  'messages.send',
  'tray.work',
  'lists.export',
  'vacancies.read',
  'vacancies.set-up',
  'sources.keep',
  'reports.make',
  'reports.send',
  'statistics.read',
  'trail.read',
  'equality.count',
  'names.reveal',
  'identity-numbers.reveal',
  'birth-dates.see',
  'birth-dates.reveal',
  'declarations.see',
  'declarations.reveal',
  'medical.see',
  'medical.reveal',
  'money.see',
  'money.record',
  'organisation.keep',
  'catalogue.keep',
  'colleagues.keep',
  'operation.read',
] as const
export type Right = (typeof rights)[number]

/** Who holds which right. */
export type RightsTable = Readonly<Record<Right, readonly StaffRole[]>>

const keepers = ['coordinator', 'administrator'] as const

/**
 * Who holds what until somebody decides otherwise. Money and health are closed to every role that is not named for them,
 * administrators included.
 */
export const usualRights: RightsTable = {
  'files.read': [
    'coordinator',
    'reviewer',
    'assessor',
    'hiring manager',
    'administrator',
    'auditor',
    'money',
    'medical',
  ],
  'documents.read': ['coordinator', 'reviewer', 'hiring manager', 'administrator', 'auditor', 'medical'],
  'proof.settle': ['coordinator', 'reviewer', 'administrator'],
  'flags.settle': ['coordinator', 'reviewer', 'administrator'],
  'applications.move': ['coordinator', 'hiring manager', 'administrator'],
  'applications.turn-down': keepers,
  'offers.make': ['hiring manager', 'administrator'],
  'requirements.waive': ['coordinator', 'reviewer', 'assessor', 'hiring manager', 'administrator', 'money', 'medical'],
  'matters.decide': ['coordinator', 'hiring manager', 'administrator'],
  'applications.score': ['coordinator', 'reviewer', 'assessor', 'hiring manager', 'administrator'],
  'people.write-for': keepers,
  'people.import': keepers,
  'duplicates.settle': keepers,
  'people.erase': ['administrator'],
  'messages.send': keepers,
  'tray.work': keepers,
  'lists.export': keepers,
  'vacancies.read': ['coordinator', 'reviewer', 'hiring manager', 'administrator', 'auditor'],
  'vacancies.set-up': keepers,
  'sources.keep': keepers,
  'reports.make': ['coordinator', 'administrator', 'auditor'],
  'reports.send': keepers,
  'statistics.read': ['coordinator', 'administrator', 'auditor'],
  'trail.read': ['coordinator', 'administrator', 'auditor'],
  'equality.count': ['administrator'],
  'names.reveal': keepers,
  'identity-numbers.reveal': keepers,
  'birth-dates.see': ['coordinator', 'reviewer'],
  'birth-dates.reveal': ['hiring manager', 'administrator'],
  'declarations.see': ['coordinator'],
  'declarations.reveal': ['hiring manager', 'administrator'],
  'medical.see': ['coordinator', 'medical'],
  'medical.reveal': [],
  'money.see': ['money'],
  'money.record': ['money'],
  'organisation.keep': ['administrator'],
  'catalogue.keep': ['administrator'],
  'colleagues.keep': ['administrator'],
  'operation.read': ['administrator'],
}

/** Whoever could take this from themselves could lock everybody out. */
export const lockedRights: Readonly<Partial<Record<Right, StaffRole>>> = { 'colleagues.keep': 'administrator' }

/** Rights that reach over all files, which whoever sees only the vacancies of their teams does not hold. */
export const rightsOverAll: readonly Right[] = [
  'flags.settle',
  'people.write-for',
  'people.import',
  'duplicates.settle',
  'people.erase',
  'tray.work',
  'lists.export',
  'reports.make',
  'reports.send',
  'statistics.read',
  'trail.read',
  'equality.count',
]

/**
 * What a person with these roles may see and do: the rights of each of their roles together.
 *
 * @param table what was decided; a right nobody has decided on yet is held as usual
 * @param options.teamsOnly whether they see only the vacancies of their teams
 */
export const rightsOf = (
  held: readonly Role[],
  table: Partial<RightsTable> = {},
  { teamsOnly = false }: { teamsOnly?: boolean } = {},
): Right[] =>
  rights.filter(
    (right) =>
      (table[right] ?? usualRights[right]).some((role) => held.includes(role)) &&
      !(teamsOnly && rightsOverAll.includes(right)),
  )

export type TableFault = { code: 'locked' | 'nobody'; right: Right; role?: StaffRole }

/** A right that nobody can do without, since work would lie where nobody sees it. */
const neededRights: readonly Right[] = ['files.read', 'proof.settle', 'vacancies.set-up', 'organisation.keep']

/** What is wrong with a table: a locked right taken away, or work that nobody could do any more. */
export function faultsOfTable(table: RightsTable): TableFault[] {
  const locked = (Object.entries(lockedRights) as [Right, StaffRole][]).flatMap(([right, role]): TableFault[] =>
    table[right].includes(role) ? [] : [{ code: 'locked', right, role }],
  )
  const nobody = neededRights.flatMap((right): TableFault[] =>
    table[right].length > 0 ? [] : [{ code: 'nobody', right }],
  )
  return [...locked, ...nobody]
}
