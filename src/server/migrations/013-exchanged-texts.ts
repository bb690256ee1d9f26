import type { QueryInterface } from 'sequelize'

/**
 * A record in whose text decisions were exchanged without reading it: uses that were the
 * one come to the other, and so do looks and bands, whose texts hold decisions as that of
 * the record does. All are exchanged at once, by marks that no JSON holds: two that swap
 * do swap. Bands whose number does not change are not counted.
 */
const tables = `
create unlogged table staged_exchanges (
  job text not null,
  at integer not null,
  from_text text not null,
  to_text text not null,
  from_slot text,
  from_shade text,
  from_written text not null,
  color text,
  slot text,
  shade text,
  written text not null
);
create index staged_exchanges_job on staged_exchanges (job, at);
alter table staged_records alter column bands drop not null;
create function exchanged(body text, froms text[], tos text[]) returns text
  language plpgsql immutable strict as $$
begin
  for i in 1 .. cardinality(froms) loop
    body := replace(body, froms[i], chr(1) || i || chr(1));
  end loop;
  for i in 1 .. cardinality(froms) loop
    body := replace(body, chr(1) || i || chr(1), tos[i]);
  end loop;
  return body;
end $$;
`

export async function up(query: QueryInterface): Promise<void> {
  await query.sequelize.query(tables)
}

export async function down(query: QueryInterface): Promise<void> {
  await query.sequelize.query(`
    drop table staged_exchanges;
    drop function exchanged;
    delete from staged_records where bands is null;
    alter table staged_records alter column bands set not null;`)
}
