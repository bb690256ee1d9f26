import type { QueryInterface } from 'sequelize'

/** What uses are told apart by, wherever in their record they are. */
const alike = `place, object, property, state, paints, bindable, css, escape,
  color, slot, shade, written`
/** Where each of them is. */
const spot = 'path, start, context, context_at, label, owner'
/** Uses as they were kept before, whatever lies beneath them. */
const uses = `record, n, site_id, ${alike}, ${spot}`

/**
 * Uses of a record that are alike are kept as one group, apart from where each of them is: they
 * are counted, and exchanged, by groups. \`uses\` shows both in one.
 */
export async function up(query: QueryInterface): Promise<void> {
  await query.sequelize.query(`
    create table use_groups (
      record bigint not null references records(no) on delete cascade,
      g integer not null,
      site_id text not null,
      count integer not null,
      is_text boolean not null,
      place text not null,
      object text not null,
      property text not null,
      state text,
      paints text not null,
      bindable boolean not null,
      css text,
      escape text,
      color text,
      slot text,
      shade text,
      written text not null,
      primary key (record, g)
    );
    create table use_spots (
      record bigint not null references records(no) on delete cascade,
      n integer not null,
      g integer not null,
      path text not null,
      start integer,
      context text,
      context_at integer,
      label text not null,
      owner text not null,
      primary key (record, n)
    );
    create temporary table grouped on commit drop as
      select u.*, start is not null as is_text, dense_rank() over (
        partition by record order by start is not null, ${alike})::int as g
      from uses u;
    insert into use_groups (record, g, site_id, count, is_text, ${alike})
      select record, g, site_id, count(*), is_text, ${alike} from grouped
      group by record, g, site_id, is_text, ${alike};
    insert into use_spots (record, n, g, ${spot}) select record, n, g, ${spot} from grouped;
    create index use_groups_color on use_groups (site_id, color) where color is not null;
    create index use_groups_slot on use_groups (site_id, slot) where slot is not null;
    create index use_spots_group on use_spots (record, g);
    drop table uses;
    create view uses as select ${uses} from use_groups join use_spots using (record, g);
    analyze use_groups, use_spots;
    alter table staged_exchanges drop column from_color;`)
}

export async function down(query: QueryInterface): Promise<void> {
  await query.sequelize.query(`
    alter table staged_exchanges add column from_color text;
    create table old_uses as select ${uses} from uses;
    drop view uses;
    drop table use_spots, use_groups;
    alter table old_uses rename to uses;
    alter table uses
      add primary key (record, n),
      add foreign key (record) references records(no) on delete cascade,
      alter site_id set not null, alter place set not null, alter written set not null,
      alter object set not null, alter property set not null, alter paints set not null,
      alter path set not null, alter label set not null, alter owner set not null,
      alter bindable set not null;
    create index uses_color on uses (site_id, color) where color is not null;
    create index uses_slot on uses (site_id, slot) where slot is not null;`)
}
