import type { QueryInterface } from 'sequelize'

/** Sweeps that a workspace keeps under a name, for all of its sites. */
const tables = `
create table recipes (
  id text primary key,
  workspace_id text not null references workspaces (id) on delete cascade,
  name text not null,
  recipe jsonb not null,
  created_at timestamptz not null default now()
);
create unique index recipes_name on recipes (workspace_id, lower(name));
`

export async function up(query: QueryInterface): Promise<void> {
  await query.sequelize.query(tables)
}

export async function down(query: QueryInterface): Promise<void> {
  await query.sequelize.query('drop table recipes')
}
