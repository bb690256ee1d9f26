import {
  DataTypes,
  Model,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type ModelStatic,
  type Sequelize,
} from 'sequelize'
import { database } from './connection'

class Row<R extends Model> extends Model<InferAttributes<R>, InferCreationAttributes<R>> {}

export class WorkspaceRow extends Row<WorkspaceRow> {
  declare id: string
  declare name: string
}

export class UserRow extends Row<UserRow> {
  declare id: string
  declare name: string
}

export type MemberRole = 'owner' | 'designer' | 'reader'

export class MemberRow extends Row<MemberRow> {
  declare workspaceId: string
  declare userId: string
  declare role: MemberRole
}

export class SiteRow extends Row<SiteRow> {
  declare id: string
  declare workspaceId: string
  declare name: string
  declare position: number
  declare revision: number
  /** Put away: not on the shelf, and otherwise as before. */
  declare archivedAt: CreationOptional<Date | null>
  /** Removed: nobody finds it, and once the grace is over it is gone for good. */
  declare removedAt: CreationOptional<Date | null>
}

/**
 * `do` is a change, `undo` and `redo` point at the change they take back or bring again.
 * What stands `closed` was made in a shape of the site that cannot be gone back to.
 */
export class EditRow extends Row<EditRow> {
  declare siteId: string
  declare revision: number
  declare clientId: string | null
  declare actorId: string
  declare kind: 'do' | 'undo' | 'redo'
  declare target: number | null
  declare standing: 'live' | 'undone' | 'abandoned' | 'closed' | null
  declare told: string
  declare createdAt: CreationOptional<Date>
}

export class CheckpointRow extends Row<CheckpointRow> {
  declare id: string
  declare siteId: string
  declare name: string
  declare revision: number
  declare createdAt: CreationOptional<Date>
}

export class PublicationRow extends Row<PublicationRow> {
  declare siteId: string
  declare revision: number
  /** The records that it was made from, as a list of hashes. */
  declare snapshot: string | null
  declare createdAt: CreationOptional<Date>
}

export class ShareRow extends Row<ShareRow> {
  declare id: string
  declare siteId: string
  declare title: string
  declare palette: unknown
  declare createdAt: CreationOptional<Date>
  declare revokedAt: Date | null
}

/** How a site looks, kept under a name for the sites of a workspace. */
export class LiveryRow extends Row<LiveryRow> {
  declare id: string
  declare workspaceId: string
  declare name: string
  declare record: unknown
  declare createdAt: CreationOptional<Date>
}

const text = DataTypes.TEXT
const whole = DataTypes.INTEGER
const json = DataTypes.JSONB
/** A new object each time: Sequelize writes the column's name into what it is given. */
const key = () => ({ type: text, primaryKey: true, allowNull: false })

function initialize(sequelize: Sequelize): void {
  const options = (tableName: string, createdAt = false) => ({
    sequelize,
    tableName,
    underscored: true,
    timestamps: createdAt,
    updatedAt: false as const,
  })
  const created = () => ({ type: DataTypes.DATE, defaultValue: DataTypes.NOW })
  WorkspaceRow.init({ id: key(), name: text }, options('workspaces'))
  UserRow.init({ id: key(), name: text }, options('users'))
  MemberRow.init({ workspaceId: key(), userId: key(), role: text }, options('members'))
  SiteRow.init(
    {
      id: key(),
      workspaceId: text,
      name: text,
      position: whole,
      revision: whole,
      archivedAt: DataTypes.DATE,
      removedAt: DataTypes.DATE,
    },
    options('sites'),
  )
  EditRow.init(
    {
      siteId: key(),
      revision: { type: whole, primaryKey: true },
      clientId: text,
      actorId: text,
      kind: text,
      target: whole,
      standing: text,
      told: text,
      createdAt: created(),
    },
    options('edits', true),
  )
  CheckpointRow.init(
    {
      id: key(),
      siteId: text,
      name: text,
      revision: whole,
      createdAt: created(),
    },
    options('checkpoints', true),
  )
  PublicationRow.init(
    { siteId: key(), revision: whole, snapshot: text, createdAt: created() },
    options('publications', true),
  )
  ShareRow.init(
    {
      id: key(),
      siteId: text,
      title: text,
      palette: json,
      createdAt: created(),
      revokedAt: DataTypes.DATE,
    },
    options('shares', true),
  )
  LiveryRow.init(
    { id: key(), workspaceId: text, name: text, record: json, createdAt: created() },
    options('liveries', true),
  )
}

/** The models, bound to the open database; bound anew when the database was opened anew. */
export function models() {
  const sequelize = database()
  const bound = WorkspaceRow as ModelStatic<WorkspaceRow>
  if (bound.sequelize !== sequelize) initialize(sequelize)
  return {
    sequelize,
    Workspace: WorkspaceRow,
    User: UserRow,
    Member: MemberRow,
    Site: SiteRow,
    Edit: EditRow,
    Checkpoint: CheckpointRow,
    Publication: PublicationRow,
    Share: ShareRow,
    Livery: LiveryRow,
  }
}
