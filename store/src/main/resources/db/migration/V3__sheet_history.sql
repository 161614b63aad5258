-- What a sheet was before each change: who changed it, when, and why. Undo brings the newest back.
create table sheet_history (
  sheet_id text not null references sheet on delete cascade,
  revision int  not null,
  at       timestamptz not null default now(),
  who      text not null,
  what     text not null,
  body     jsonb not null,
  primary key (sheet_id, revision)
);

create index sheet_model on sheet ((body->>'make'), (body->>'model')) where kind = 'vehicle';
