import type { QueryInterface } from 'sequelize'

/**
 * The looks of a whole site, counted: a window opens with them, however many
 * pages there are. The database itself keeps them equal to the sum of the looks
 * beside the records, by statement. What wide edits put beside sites has an age.
 */
const tables = `
create table site_looks (
  site_id text not null references sites(id) on delete cascade,
  key bytea not null,
  look text not null,
  count integer not null,
  primary key (site_id, key)
);
create function count_site_looks() returns trigger language plpgsql as $$
begin
  if TG_OP = 'INSERT' then
    insert into site_looks as s (site_id, key, look, count)
      select site_id, sha256(convert_to(look, 'UTF8')), look, sum(count) from after_looks
      group by site_id, look order by 1, 2
      on conflict (site_id, key) do update set count = s.count + excluded.count;
  elsif TG_OP = 'DELETE' then
    update site_looks s set count = s.count - d.count
      from (select site_id, look, sum(count) as count from before_looks group by site_id, look) d
      where s.site_id = d.site_id and s.key = sha256(convert_to(d.look, 'UTF8'));
  else
    insert into site_looks as s (site_id, key, look, count)
      select site_id, sha256(convert_to(look, 'UTF8')), look, sum(count)
      from (select site_id, look, count from after_looks
            union all select site_id, look, -count from before_looks) d
      group by site_id, look having sum(count) <> 0 order by 1, 2
      on conflict (site_id, key) do update set count = s.count + excluded.count;
  end if;
  return null;
end $$;
delete from looks l using records r where r.no = l.record and r.kind = 'frame';
insert into site_looks (site_id, key, look, count)
  select site_id, sha256(convert_to(look, 'UTF8')), look, sum(count) from looks group by site_id, look;
create trigger looks_added after insert on looks
  referencing new table as after_looks for each statement execute function count_site_looks();
create trigger looks_gone after delete on looks
  referencing old table as before_looks for each statement execute function count_site_looks();
create trigger looks_changed after update on looks
  referencing old table as before_looks new table as after_looks
  for each statement execute function count_site_looks();
alter table staged_records add column begun timestamptz not null default now();
`

export async function up(query: QueryInterface): Promise<void> {
  await query.sequelize.query(tables)
}

export async function down(query: QueryInterface): Promise<void> {
  await query.sequelize.query(`
    drop trigger looks_added on looks;
    drop trigger looks_gone on looks;
    drop trigger looks_changed on looks;
    drop function count_site_looks;
    drop table site_looks;
    alter table staged_records drop column begun;`)
}
