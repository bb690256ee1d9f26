import type { QueryInterface } from 'sequelize'

/** The looks beside a record have no order: each stands there once, under a key that its text gives. */
const keyed = `
drop trigger looks_changed on looks;
alter table looks drop constraint looks_pkey, drop column n, add column key text;
update looks set key = left(encode(sha256(convert_to(look, 'UTF8')), 'hex'), 32);
alter table looks alter column key set not null, add primary key (record, key);
create trigger looks_changed after update on looks
  referencing old table as before_looks new table as after_looks
  for each statement execute function count_site_looks();
delete from staged_looks;
alter table staged_looks drop column n, add column key text not null;
alter table staged_records drop column looks;
`

const numbered = `
drop trigger looks_changed on looks;
alter table looks drop constraint looks_pkey, add column n integer;
update looks l set n = s.n from (
  select record, key, row_number() over (partition by record order by key) - 1 as n from looks
) s where s.record = l.record and s.key = l.key;
alter table looks drop column key, alter column n set not null, add primary key (record, n);
create trigger looks_changed after update on looks
  referencing old table as before_looks new table as after_looks
  for each statement execute function count_site_looks();
delete from staged_looks;
alter table staged_looks drop column key, add column n integer not null;
delete from staged_records;
alter table staged_records add column looks integer not null;
`

export async function up(query: QueryInterface): Promise<void> {
  await query.sequelize.query(keyed)
}

export async function down(query: QueryInterface): Promise<void> {
  await query.sequelize.query(numbered)
}
