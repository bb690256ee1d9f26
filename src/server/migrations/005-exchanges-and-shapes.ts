import type { QueryInterface } from 'sequelize'

/**
 * A wide edit that puts decisions in the place of others keeps, beside the site,
 * what these come to alone; the rows of their uses stay. Without a number of uses
 * a record has as many as before. Work tells the shape of records that it is for.
 */
const tables = `
create unlogged table staged_decisions (
  job text not null,
  at integer not null,
  path text not null,
  color text,
  slot text,
  shade text,
  written text not null
);
create index staged_decisions_job on staged_decisions (job, at);
alter table staged_records alter column uses drop not null;
alter table jobs add column shape text;
`

export async function up(query: QueryInterface): Promise<void> {
  await query.sequelize.query(tables)
}

export async function down(query: QueryInterface): Promise<void> {
  await query.sequelize.query(`
    alter table jobs drop column shape;
    drop table staged_decisions;
    delete from staged_records where uses is null;
    alter table staged_records alter column uses set not null;`)
}
