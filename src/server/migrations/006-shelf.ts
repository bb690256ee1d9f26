import type { QueryInterface } from 'sequelize'

/** A site can be put away, and removed with some grace; when it was begun is told. */
const tables = `
alter table sites add column created_at timestamptz not null default now(),
  add column archived_at timestamptz, add column removed_at timestamptz;
`

export async function up(query: QueryInterface): Promise<void> {
  await query.sequelize.query(tables)
}

export async function down(query: QueryInterface): Promise<void> {
  await query.sequelize.query(
    'alter table sites drop column created_at, drop column archived_at, drop column removed_at',
  )
}
