import {
  DataTypes,
  Model,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type ModelStatic,
  type Sequelize,
} from 'sequelize'
import type { DocPatch } from '@/core/edit'
import type { Asset } from '@/core/site'
import type { Summary } from '@/core/uses'
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
  declare frame: unknown
  declare summary: Summary
  declare revision: number
}

export class PageRow extends Row<PageRow> {
  declare siteId: string
  declare id: string
  declare position: number
  declare document: unknown
  declare summary: Summary
}

/** `do` is a change, `undo` and `redo` point at the change they take back or bring again. */
export class EditRow extends Row<EditRow> {
  declare siteId: string
  declare revision: number
  declare clientId: string | null
  declare actorId: string
  declare kind: 'do' | 'undo' | 'redo'
  declare target: number | null
  declare standing: 'live' | 'undone' | 'abandoned' | null
  declare told: string
  declare command: unknown
  declare patches: DocPatch[]
  declare inverse: DocPatch[]
  declare createdAt: CreationOptional<Date>
}

export class CheckpointRow extends Row<CheckpointRow> {
  declare id: string
  declare siteId: string
  declare name: string
  declare revision: number
  declare frame: unknown
  declare pages: unknown[]
  declare createdAt: CreationOptional<Date>
}

export class AssetRow extends Row<AssetRow> {
  declare siteId: string
  declare id: string
  declare details: Asset
  declare storageKey: string
}

export class PublicationRow extends Row<PublicationRow> {
  declare siteId: string
  declare revision: number
  declare storageKey: string
  declare files: string[]
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
      frame: json,
      summary: json,
      revision: whole,
    },
    options('sites'),
  )
  PageRow.init(
    { siteId: key(), id: key(), position: whole, document: json, summary: json },
    options('pages'),
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
      command: json,
      patches: json,
      inverse: json,
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
      frame: json,
      pages: json,
      createdAt: created(),
    },
    options('checkpoints', true),
  )
  AssetRow.init({ siteId: key(), id: key(), details: json, storageKey: text }, options('assets'))
  PublicationRow.init(
    { siteId: key(), revision: whole, storageKey: text, files: json, createdAt: created() },
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
    Page: PageRow,
    Edit: EditRow,
    Checkpoint: CheckpointRow,
    Asset: AssetRow,
    Publication: PublicationRow,
    Share: ShareRow,
  }
}
