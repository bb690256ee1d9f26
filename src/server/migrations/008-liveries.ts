import type { QueryInterface } from 'sequelize'

/** Liveries are kept by a workspace under a name, for all of its sites. */
const tables = `
create table liveries (
  id text primary key,
  workspace_id text not null references workspaces (id) on delete cascade,
  name text not null,
  record jsonb not null,
  created_at timestamptz not null default now()
);
create unique index liveries_name on liveries (workspace_id, lower(name));
`

export async function up(query: QueryInterface): Promise<void> {
  await query.sequelize.query(tables)
}

export async function down(query: QueryInterface): Promise<void> {
  await query.sequelize.query('drop table liveries')
}
