import {
  type CreationOptional,
  DataTypes,
  type InferAttributes,
  type InferCreationAttributes,
  Model,
  type Sequelize,
} from 'sequelize'
import { type RightsTable, type Role, rightsOf } from '#core/rights/rights'
import type { Language } from '#core/words/say'
import {
  define,
  flag,
  id,
  json,
  longText,
  moment,
  momentOrNull,
  text,
  textOrNull,
  uuid,
  uuidOrNull,
  whole,
} from '../../platform/database/columns'
import type { Account as Actor } from '../../platform/deps'

export class Account extends Model<InferAttributes<Account>, InferCreationAttributes<Account>> {
  declare id: string
  declare mail: string
  declare name: string
  declare passwordHash: string
  declare roles: Role[]
  declare confirmedAt: Date | null
  /** The language they last signed in with; mails are written in it. */
  declare language: CreationOptional<Language>
  declare createdAt: Date
  /** The secret of the authenticator app, sealed; it counts only since `otpOnSince`. */
  declare otpSecret: CreationOptional<string | null>
  declare otpOnSince: CreationOptional<Date | null>
  /** The time step of the last code that was used; none is taken twice. */
  declare otpStep: CreationOptional<number | null>
  /** Somebody who works here: when they were asked to come, and since when they may not sign in any more. */
  declare invitedAt: CreationOptional<Date | null>
  declare suspendedAt: CreationOptional<Date | null>
  declare signedInAt: CreationOptional<Date | null>
  /** They see the vacancies of their teams, and no others. */
  declare teamsOnly: CreationOptional<boolean>
  /** Days they are away, both included, and who stands in for them. */
  declare awayFrom: CreationOptional<string | null>
  declare awayThrough: CreationOptional<string | null>
  declare standInId: CreationOptional<string | null>
  declare version: CreationOptional<number>
  /** Who they are at the organisation's identity provider, once they have come from there. */
  declare providerSubject: CreationOptional<string | null>
  /** They sign in by password even where everybody else comes through the provider. */
  declare breakGlass: CreationOptional<boolean>
}

/** Somebody who has left for the identity provider and not come back yet. */
export class ProviderSignIn extends Model<InferAttributes<ProviderSignIn>, InferCreationAttributes<ProviderSignIn>> {
  declare stateHash: string
  /** The browser they left in. */
  declare browserHash: string
  declare verifier: string
  declare nonce: string
  /** Who is signed in and confirms that it is they; absent where somebody signs in. */
  declare accountId: string | null
  declare next: string | null
  declare expiresAt: Date
}

export class RecoveryCode extends Model<InferAttributes<RecoveryCode>, InferCreationAttributes<RecoveryCode>> {
  declare accountId: string
  declare codeHash: string
  declare usedAt: CreationOptional<Date | null>
}

export class AccountLink extends Model<InferAttributes<AccountLink>, InferCreationAttributes<AccountLink>> {
  declare tokenHash: string
  declare accountId: string
  declare purpose: 'confirm' | 'reset' | 'leave mail' | 'take mail' | 'take over' | 'invite'
  declare next: string | null
  declare newMail: CreationOptional<string | null>
  /** What was asked for with a link to confirm: nobody else's wish counts when it is opened. */
  declare name: CreationOptional<string | null>
  declare passwordHash: CreationOptional<string | null>
  /** The browser it was asked in. */
  declare browserHash: CreationOptional<string | null>
  declare expiresAt: Date
  declare usedAt: CreationOptional<Date | null>
}

export class Session extends Model<InferAttributes<Session>, InferCreationAttributes<Session>> {
  declare tokenHash: string
  declare accountId: string
  declare createdAt: Date
  /** When somebody was last at it, to the minute. */
  declare seenAt: Date
  /** When the password was last given. */
  declare confirmedAt: Date
  declare expiresAt: Date
}

/** The person behind an account who has a file. */
export class Candidate extends Model<InferAttributes<Candidate>, InferCreationAttributes<Candidate>> {
  declare id: string
  declare accountId: string
  declare name: string
  declare born: string | null
  /** Names the person went by before, as they say. */
  declare otherNames: string[]
  /** As last given in an application; the newest wins. */
  declare phone: CreationOptional<string | null>
  /** The file that this one was merged into. */
  declare mergedInto: CreationOptional<string | null>
  /** At whose wish or by which rule it is emptied on this day, or was. */
  declare erasedAt: CreationOptional<Date | null>
  declare eraseOn: CreationOptional<string | null>
  declare createdAt: Date
}

export function defineAccounts(sequelize: Sequelize) {
  const tokenHash = { type: DataTypes.STRING(64), primaryKey: true }
  define(Account, sequelize, 'accounts', {
    id,
    mail: text,
    name: text,
    passwordHash: text,
    roles: json,
    confirmedAt: momentOrNull,
    language: { ...text, defaultValue: 'en' },
    createdAt: moment,
    otpSecret: textOrNull,
    otpOnSince: momentOrNull,
    otpStep: { type: DataTypes.BIGINT, allowNull: true },
    invitedAt: momentOrNull,
    suspendedAt: momentOrNull,
    signedInAt: momentOrNull,
    teamsOnly: { ...flag, defaultValue: false },
    awayFrom: { type: DataTypes.DATEONLY, allowNull: true },
    awayThrough: { type: DataTypes.DATEONLY, allowNull: true },
    standInId: uuidOrNull,
    version: { ...whole, defaultValue: 0 },
    providerSubject: textOrNull,
    breakGlass: { ...flag, defaultValue: false },
  })
  define(ProviderSignIn, sequelize, 'provider_sign_ins', {
    stateHash: { type: DataTypes.STRING(64), primaryKey: true },
    browserHash: text,
    verifier: longText,
    nonce: text,
    accountId: uuidOrNull,
    next: textOrNull,
    expiresAt: moment,
  })
  define(RecoveryCode, sequelize, 'recovery_codes', {
    accountId: { type: DataTypes.UUID, primaryKey: true },
    codeHash: { type: DataTypes.STRING(64), primaryKey: true },
    usedAt: momentOrNull,
  })
  define(AccountLink, sequelize, 'account_links', {
    tokenHash,
    accountId: uuid,
    purpose: text,
    next: textOrNull,
    newMail: textOrNull,
    name: textOrNull,
    passwordHash: textOrNull,
    browserHash: textOrNull,
    expiresAt: moment,
    usedAt: momentOrNull,
  })
  define(Session, sequelize, 'sessions', {
    tokenHash,
    accountId: uuid,
    createdAt: moment,
    seenAt: moment,
    confirmedAt: moment,
    expiresAt: moment,
  })
  define(Team, sequelize, 'teams', { id, name: text, version: whole })
  const key = { type: DataTypes.UUID, primaryKey: true }
  define(TeamMember, sequelize, 'team_members', { teamId: key, accountId: key })
  define(TeamVacancy, sequelize, 'team_vacancies', { teamId: key, vacancyId: key })
  define(Candidate, sequelize, 'candidates', {
    id,
    accountId: uuid,
    name: longText,
    born: textOrNull,
    otherNames: json,
    phone: textOrNull,
    mergedInto: uuidOrNull,
    erasedAt: momentOrNull,
    eraseOn: textOrNull,
    createdAt: moment,
  })
}

type Acting = Pick<Account, 'id' | 'name' | 'mail'> & Pick<Actor, 'roles'>

/**
 * An account as somebody who acts.
 *
 * @param more.table the table of rights; the usual one where none is given
 * @param more.vacancies the only vacancies whose files they see
 */
export const actorOf = (
  { id, name, mail, roles }: Acting,
  { table, vacancies }: { table?: Partial<RightsTable>; vacancies?: readonly string[] } = {},
): Actor => ({
  kind: 'account',
  id,
  name,
  mail,
  roles,
  rights: rightsOf(roles, table, { teamsOnly: vacancies !== undefined }),
  ...(vacancies ? { vacancies } : {}),
})

/** People who work together, and the vacancies they work on. */
export class Team extends Model<InferAttributes<Team>, InferCreationAttributes<Team>> {
  declare id: string
  declare name: string
  declare version: number
}

export class TeamMember extends Model<InferAttributes<TeamMember>, InferCreationAttributes<TeamMember>> {
  declare teamId: string
  declare accountId: string
}

export class TeamVacancy extends Model<InferAttributes<TeamVacancy>, InferCreationAttributes<TeamVacancy>> {
  declare teamId: string
  declare vacancyId: string
}
