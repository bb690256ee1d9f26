import { DataTypes, type QueryInterface } from 'sequelize'

const text = { type: DataTypes.TEXT, allowNull: false }
const whole = { type: DataTypes.INTEGER, allowNull: false }
const json = { type: DataTypes.JSONB, allowNull: false }
const moment = { type: DataTypes.DATE, allowNull: false }
const key = { ...text, primaryKey: true }

const site = {
  ...text,
  references: { model: 'sites', key: 'id' },
  onDelete: 'CASCADE',
}

export async function up(query: QueryInterface): Promise<void> {
  await query.createTable('workspaces', { id: key, name: text })
  await query.createTable('users', { id: key, name: text })
  await query.createTable('members', {
    workspace_id: { ...key, references: { model: 'workspaces', key: 'id' }, onDelete: 'CASCADE' },
    user_id: { ...key, references: { model: 'users', key: 'id' }, onDelete: 'CASCADE' },
    role: text,
  })
  await query.createTable('sites', {
    id: key,
    workspace_id: { ...text, references: { model: 'workspaces', key: 'id' }, onDelete: 'CASCADE' },
    name: text,
    position: whole,
    frame: json,
    summary: json,
    revision: whole,
  })
  await query.createTable('pages', {
    site_id: { ...site, primaryKey: true },
    id: key,
    position: whole,
    document: json,
    summary: json,
  })
  await query.createTable('edits', {
    site_id: { ...site, primaryKey: true },
    revision: { ...whole, primaryKey: true },
    client_id: { type: DataTypes.TEXT },
    actor_id: text,
    kind: text,
    target: { type: DataTypes.INTEGER },
    standing: { type: DataTypes.TEXT },
    told: text,
    command: json,
    patches: json,
    inverse: json,
    created_at: moment,
  })
  await query.addIndex('edits', ['site_id', 'client_id'], {
    unique: true,
    name: 'edits_client_id',
  })
  await query.addIndex('edits', ['site_id', 'standing', 'revision'], { name: 'edits_standing' })
  await query.createTable('checkpoints', {
    id: key,
    site_id: site,
    name: text,
    revision: whole,
    frame: json,
    pages: json,
    created_at: moment,
  })
  await query.createTable('assets', {
    site_id: { ...site, primaryKey: true },
    id: key,
    details: json,
    storage_key: text,
  })
  await query.createTable('publications', {
    site_id: { ...site, primaryKey: true },
    revision: whole,
    storage_key: text,
    files: json,
    created_at: moment,
  })
}

export async function down(query: QueryInterface): Promise<void> {
  const tables = [
    'publications',
    'assets',
    'checkpoints',
    'edits',
    'pages',
    'sites',
    'members',
    'users',
    'workspaces',
  ]
  for (const table of tables) await query.dropTable(table)
}
