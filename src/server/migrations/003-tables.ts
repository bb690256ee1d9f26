/** The tables of records, of what is kept beside them, of their history and of long work. */
export const recordTables = `
create table contents (
  site_id text not null references sites(id) on delete cascade,
  hash text not null,
  kind text not null,
  schema integer not null,
  body text not null,
  at timestamptz not null default now(),
  primary key (site_id, hash)
);
create table records (
  no bigint generated always as identity unique,
  site_id text not null references sites(id) on delete cascade,
  kind text not null,
  id text not null,
  hash text not null,
  revision integer not null,
  title text,
  path text,
  position text collate "C",
  readers integer not null default 0,
  index_hash text,
  primary key (site_id, kind, id),
  foreign key (site_id, hash) references contents (site_id, hash)
);
alter table records add constraint records_path unique (site_id, kind, path) deferrable initially deferred;
create index records_position on records (site_id, kind, position, id);
create index records_revision on records (site_id, revision);
create index records_hash on records (site_id, hash);
create table uses (
  record bigint not null references records(no) on delete cascade,
  n integer not null,
  site_id text not null,
  place text not null,
  color text,
  slot text,
  shade text,
  written text not null,
  css text,
  object text not null,
  property text not null,
  state text,
  paints text not null,
  path text not null,
  start integer,
  context text,
  context_at integer,
  label text not null,
  owner text not null,
  bindable boolean not null,
  primary key (record, n)
);
create index uses_color on uses (site_id, color) where color is not null;
create index uses_slot on uses (site_id, slot) where slot is not null;
create table bands (
  record bigint not null references records(no) on delete cascade,
  n integer not null,
  site_id text not null,
  section text not null,
  name text not null,
  theme text not null,
  fill text,
  primary key (record, n)
);
create index bands_theme on bands (site_id, theme);
create table looks (
  record bigint not null references records(no) on delete cascade,
  n integer not null,
  site_id text not null,
  look text not null,
  count integer not null,
  primary key (record, n)
);
create index looks_site on looks (site_id);
create table edit_records (
  site_id text not null,
  revision integer not null,
  n integer not null,
  kind text not null,
  id text not null,
  schema integer not null,
  changes text not null,
  primary key (site_id, revision, n),
  foreign key (site_id, revision) references edits (site_id, revision) on delete cascade
);
create table snapshot_records (
  snapshot text not null,
  site_id text not null references sites(id) on delete cascade,
  kind text not null,
  id text not null,
  hash text not null,
  primary key (snapshot, kind, id),
  foreign key (site_id, hash) references contents (site_id, hash)
);
create index snapshot_records_hash on snapshot_records (site_id, hash);
create table publication_files (
  site_id text not null references sites(id) on delete cascade,
  name text not null,
  hash text not null,
  source text,
  primary key (site_id, name)
);
alter table publications add column snapshot text;
create unlogged table staged_records (
  job text not null,
  at integer not null,
  kind text not null,
  id text not null,
  base_hash text,
  hash text,
  title text,
  path text,
  position text collate "C",
  readers integer not null,
  index_hash text,
  uses integer not null,
  bands integer not null,
  looks integer not null,
  changes text not null,
  counted integer not null,
  primary key (job, kind, id)
);
create unlogged table staged_uses (like uses);
alter table staged_uses drop column record, add column job text not null, add column at integer not null;
create index staged_uses_job on staged_uses (job, at);
create unlogged table staged_bands (like bands);
alter table staged_bands drop column record, add column job text not null, add column at integer not null;
create index staged_bands_job on staged_bands (job, at);
create unlogged table staged_looks (like looks);
alter table staged_looks drop column record, add column job text not null, add column at integer not null;
create index staged_looks_job on staged_looks (job, at);
create table plans (
  id text primary key,
  site_id text not null references sites(id) on delete cascade,
  actor_id text not null,
  revision integer not null,
  intent text not null,
  created_at timestamptz not null default now()
);
create table jobs (
  id text primary key,
  site_id text not null references sites(id) on delete cascade,
  actor_id text not null,
  kind text not null,
  data text not null,
  state text not null,
  cancelled boolean not null default false,
  progress real not null default 0,
  doing text not null default '',
  problem text,
  result text,
  created_at timestamptz not null default now(),
  ended_at timestamptz
);
create index jobs_site on jobs (site_id, created_at);
create unlogged table windows (
  id text primary key,
  site_id text not null,
  user_id text not null,
  page text,
  seen_at timestamptz not null
);
create index windows_site on windows (site_id);
`
