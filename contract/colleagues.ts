import { type TBoolean, Type } from '@sinclair/typebox'
import { type TwoPersonPolicy, twoPersonPolicies } from '#core/rights/policies'
import { type RightsTable, rights, roles, type StaffRole, staffRoles } from '#core/rights/rights'
import { languages } from '#core/words/say'
import { Mail } from './accounts'
import { endpoint } from './endpoint'
import { Day, Done, Id, LinkToken, Moment, ofCore, oneOf, orNull, Version } from './shapes'
import { singleLine } from './singleLine'

const byId = Type.Object({ id: Id })
const Name = Type.String({ minLength: 1, maxLength: 120, pattern: singleLine })
const Roles = Type.Unsafe<StaffRole[]>(Type.Array(oneOf(staffRoles), { minItems: 1, uniqueItems: true }))

export const colleagueStates = ['invited', 'invitation over', 'active', 'suspended'] as const

const Absence = Type.Object({ from: Day, through: Day, standInId: orNull(Id) })

const Colleague = Type.Object({
  id: Id,
  name: Type.String(),
  mail: Type.String(),
  roles: Roles,
  language: oneOf(languages),
  state: oneOf(colleagueStates),
  version: Version,
  teams: Type.Array(Id),
  teamsOnly: Type.Boolean({ description: 'Sees the vacancies of their teams, and no others' }),
  absence: orNull(Absence),
  signedInAt: orNull(Moment),
  sessions: Type.Integer({ description: 'Places where they are signed in now' }),
  codesOn: Type.Boolean(),
  throughProvider: Type.Boolean({ description: 'Signs in through the identity provider' }),
  breakGlass: Type.Boolean({ description: 'Signs in by password even where there is an identity provider' }),
  files: Type.Integer({ description: 'Files under way that are theirs' }),
})

const Team = Type.Object({ id: Id, name: Type.String(), version: Version, vacancies: Type.Array(Id) })

export const listColleagues = endpoint({
  method: 'GET',
  path: '/api/desk/colleagues',
  summary: 'Everybody who works here, and their teams',
  access: 'colleagues.keep',
  reply: Type.Object({
    colleagues: Type.Array(Colleague),
    teams: Type.Array(Team),
    vacancies: Type.Array(Type.Object({ id: Id, title: Type.String(), place: Type.String() })),
    rolesFromProvider: Type.Boolean({ description: 'Roles follow what the identity provider says at each sign-in' }),
  }),
  invalidates: ['colleagues'],
})

export const inviteColleague = endpoint({
  method: 'POST',
  path: '/api/desk/colleagues',
  summary: 'Invite somebody who works here; a link is mailed by which they choose a password',
  access: 'colleagues.keep',
  body: Type.Object({ name: Name, mail: Mail, roles: Roles, language: oneOf(languages) }),
  reply: Type.Object({ id: Id }),
  idempotent: true,
  passwordAgain: true,
  invalidates: ['colleagues'],
})

export const inviteAgain = endpoint({
  method: 'POST',
  path: '/api/desk/colleagues/:id/invite-again',
  summary: 'Mail a new link to somebody who has not come yet; the one before ends',
  access: 'colleagues.keep',
  params: byId,
  reply: Done,
  invalidates: ['colleagues'],
})

export const changeColleague = endpoint({
  method: 'PATCH',
  path: '/api/desk/colleagues/:id',
  summary: 'Change somebody’s name, roles, teams, or what they see',
  access: 'colleagues.keep',
  params: byId,
  body: Type.Object({
    version: Version,
    name: Type.Optional(Name),
    roles: Type.Optional(Roles),
    teams: Type.Optional(Type.Array(Id, { maxItems: 50, uniqueItems: true })),
    teamsOnly: Type.Optional(Type.Boolean()),
  }),
  reply: Type.Object({ version: Version }),
  passwordAgain: { with: 'roles' },
  invalidates: ['colleagues', 'session', 'desk'],
})

export const setBreakGlass = endpoint({
  method: 'PUT',
  path: '/api/desk/colleagues/:id/break-glass',
  summary: 'Let somebody sign in by password even where everybody comes through the identity provider, or no longer',
  access: 'colleagues.keep',
  params: byId,
  body: Type.Object({ version: Version, breakGlass: Type.Boolean() }),
  reply: Type.Object({ version: Version }),
  passwordAgain: true,
  invalidates: ['colleagues'],
})

export const suspendColleague = endpoint({
  method: 'POST',
  path: '/api/desk/colleagues/:id/suspend',
  summary: 'Let somebody sign in no more, and sign them out everywhere; their files can go to somebody else at once',
  access: 'colleagues.keep',
  params: byId,
  body: Type.Object({ version: Version, filesTo: Type.Optional(Id) }),
  reply: Type.Object({ version: Version }),
  invalidates: ['colleagues', 'desk'],
})

export const restoreColleague = endpoint({
  method: 'POST',
  path: '/api/desk/colleagues/:id/restore',
  summary: 'Let somebody sign in again',
  access: 'colleagues.keep',
  params: byId,
  body: Type.Object({ version: Version }),
  reply: Type.Object({ version: Version }),
  passwordAgain: true,
  invalidates: ['colleagues'],
})

export const removeInvitation = endpoint({
  method: 'DELETE',
  path: '/api/desk/colleagues/:id',
  summary: 'Take an invitation back that nobody has followed',
  access: 'colleagues.keep',
  params: byId,
  reply: Done,
  invalidates: ['colleagues'],
})

export const signOutColleague = endpoint({
  method: 'POST',
  path: '/api/desk/colleagues/:id/sign-out',
  summary: 'Sign somebody out everywhere',
  access: 'colleagues.keep',
  params: byId,
  reply: Type.Object({ ended: Type.Integer() }),
  invalidates: ['colleagues'],
})

export const setAbsence = endpoint({
  method: 'PUT',
  path: '/api/desk/colleagues/:id/absence',
  summary: 'Say when somebody is away and who stands in for them',
  access: 'colleagues.keep',
  params: byId,
  body: Type.Object({ version: Version, absence: orNull(Absence) }),
  reply: Type.Object({ version: Version }),
  invalidates: ['colleagues', 'desk'],
})

export const readOwnAbsence = endpoint({
  method: 'GET',
  path: '/api/desk/absence',
  summary: 'When one is away oneself',
  access: 'files.read',
  reply: Type.Object({ absence: orNull(Absence), version: Version }),
  invalidates: ['colleagues'],
})

export const setOwnAbsence = endpoint({
  method: 'PUT',
  path: '/api/desk/absence',
  summary: 'Say when one is away oneself, and who stands in',
  access: 'files.read',
  body: Type.Object({ version: Version, absence: orNull(Absence) }),
  reply: Type.Object({ version: Version }),
  invalidates: ['colleagues', 'desk'],
})

export const saveTeam = endpoint({
  method: 'PUT',
  path: '/api/desk/teams/:id',
  summary: 'Make a team or change it: its name and the vacancies it works on. Version 0 makes it',
  access: 'colleagues.keep',
  params: byId,
  body: Type.Object({
    version: Version,
    name: Name,
    vacancies: Type.Array(Id, { maxItems: 500, uniqueItems: true }),
  }),
  reply: Type.Object({ version: Version }),
  invalidates: ['colleagues', 'desk'],
})

export const removeTeam = endpoint({
  method: 'DELETE',
  path: '/api/desk/teams/:id',
  summary: 'Dissolve a team',
  access: 'colleagues.keep',
  params: byId,
  reply: Done,
  invalidates: ['colleagues', 'desk'],
})

export const readInvitation = endpoint({
  method: 'GET',
  path: '/api/invitations/:token',
  summary: 'Who is invited by a link, and as what',
  access: 'bearer-of-link',
  params: Type.Object({ token: LinkToken }),
  reply: Type.Object({
    name: Type.String(),
    mail: Type.String(),
    roles: Type.Array(oneOf(roles)),
    organisation: Type.String(),
    throughProvider: orNull(Type.String({ description: 'Where there is no password, who they sign in through' })),
  }),
})

export const acceptInvitation = endpoint({
  method: 'POST',
  path: '/api/invitations/:token',
  summary: 'Choose a password by the link of an invitation, and be signed in',
  access: 'bearer-of-link',
  params: Type.Object({ token: LinkToken }),
  body: Type.Object({ password: Type.String({ minLength: 12, maxLength: 200 }) }),
  reply: Done,
  invalidates: ['session'],
})

const Table = ofCore<RightsTable>(
  Type.Object(
    Object.fromEntries(rights.map((right) => [right, Type.Array(oneOf(staffRoles), { uniqueItems: true })])),
    { additionalProperties: false },
  ),
)

const PoliciesShape = Type.Object(
  Object.fromEntries(twoPersonPolicies.map((policy) => [policy, Type.Boolean()])) as Record<TwoPersonPolicy, TBoolean>,
  { description: 'What takes two persons' },
)

export const readPolicies = endpoint({
  method: 'GET',
  path: '/api/desk/policies',
  summary: 'What takes two persons here',
  access: 'colleagues.keep',
  reply: Type.Object({ version: Version, policies: PoliciesShape }),
  invalidates: ['colleagues'],
})

export const savePolicies = endpoint({
  method: 'PUT',
  path: '/api/desk/policies',
  summary: 'Decide what takes two persons; it holds with the next request of everybody',
  access: 'colleagues.keep',
  body: Type.Object({ version: Version, policies: PoliciesShape }),
  reply: Type.Object({ version: Version }),
  passwordAgain: true,
  invalidates: ['colleagues', 'desk'],
})

export const readRights = endpoint({
  method: 'GET',
  path: '/api/desk/rights',
  summary: 'The table of rights: which role may see and do what',
  access: 'colleagues.keep',
  reply: Type.Object({
    version: Version,
    table: Table,
    changedBy: orNull(Type.String()),
    changedAt: orNull(Moment),
    people: Type.Record(Type.String(), Type.Integer(), { description: 'How many people have a role, by role' }),
  }),
  invalidates: ['colleagues'],
})

export const saveRights = endpoint({
  method: 'PUT',
  path: '/api/desk/rights',
  summary: 'Change the table of rights; it holds with the next request of everybody',
  access: 'colleagues.keep',
  body: Type.Object({ version: Version, table: Table }),
  reply: Type.Object({ version: Version }),
  passwordAgain: true,
  invalidates: ['colleagues', 'session', 'desk'],
})
