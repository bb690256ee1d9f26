import type { QueryInterface } from 'sequelize'

/** Pages place parts of the site among their sections. */
const tables = `
alter table bands add column kind text not null default 'band',
  add column hidden boolean not null default false;
alter table staged_bands add column kind text not null default 'band',
  add column hidden boolean not null default false;
create index bands_part on bands (site_id, section) where kind = 'part';
`

export async function up(query: QueryInterface): Promise<void> {
  await query.sequelize.query(tables)
}

export async function down(query: QueryInterface): Promise<void> {
  await query.sequelize.query('drop index bands_part')
  for (const table of ['bands', 'staged_bands']) {
    await query.sequelize.query(`alter table ${table} drop column kind, drop column hidden`)
  }
}
