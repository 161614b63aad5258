-- People are names picked from a list; no passwords yet.
create table person (
  id    text primary key,
  name  text not null,
  place int  not null
);

-- Sheets are documents; kind and name are for lists.
create table sheet (
  id       text primary key,
  kind     text not null check (kind in ('vehicle', 'radio', 'part', 'functions')),
  name     text not null,
  revision int  not null,
  body     jsonb not null
);
create index sheet_kind on sheet (kind, name);

-- A job is its fields; last_seq is the version people edit against.
create table job (
  id       uuid primary key,
  number   int  not null unique,
  title    text not null,
  last_seq bigint not null
);
create sequence job_number start 214;

create table job_field (
  job_id      uuid not null references job on delete cascade,
  field       text not null,
  value       text not null,
  changed_seq bigint not null,
  primary key (job_id, field)
);

-- Append-only: who, when, what, before, after. Undo and history come from it.
create table job_log (
  job_id  uuid not null references job on delete cascade,
  seq     bigint not null,
  at      timestamptz not null,
  who     text not null,
  what    text not null,
  undo_of bigint,
  primary key (job_id, seq)
);
create table job_log_field (
  job_id uuid not null,
  seq    bigint not null,
  field  text not null,
  before text,
  after  text,
  primary key (job_id, seq, field),
  foreign key (job_id, seq) references job_log on delete cascade
);

-- Sheets that came with an imported job and differ from the library's: they hold for that job alone.
create table job_sheet (
  job_id   uuid not null references job on delete cascade,
  sheet_id text not null,
  kind     text not null,
  body     jsonb not null,
  primary key (job_id, sheet_id)
);
