create extension if not exists pg_trgm;

-- What lists and searches need to know of a vehicle, radio or part. Sheets are listed from their documents;
-- a part known only from a price list has no sheet and cannot be built yet.
create table listing (
  id          text primary key,
  kind        text    not null check (kind in ('vehicle', 'radio', 'part')),
  name        text    not null,
  maker       text    not null,
  type        text    not null,
  families    text[]  not null,
  opening     text    not null,
  carries     text[]  not null,
  price_cents bigint,
  stock       int,
  days        int,
  buildable   boolean not null,
  words       text    not null
);
create index listing_words on listing using gin (words gin_trgm_ops);
create index listing_families on listing using gin (families);
create index listing_carries on listing using gin (carries);
create index listing_order on listing (kind, name, id);
create index listing_price on listing (kind, price_cents);

-- Something brought in that is read and checked here first; nothing of it counts before it is taken in.
create table intake (
  id    uuid primary key,
  kind  text not null check (kind in ('sheets', 'parts list')),
  name  text not null,
  who   text not null,
  at    timestamptz not null,
  state text not null check (state in ('reading', 'read', 'taking', 'taken', 'cancelled', 'failed')),
  done  bigint not null,
  total bigint not null,
  note  text not null
);

create table intake_row (
  intake_id uuid not null references intake on delete cascade,
  line      int  not null,
  place     text not null,
  item      text not null,
  name      text not null,
  verdict   text not null check (verdict in ('read', 'added', 'changed', 'unchanged', 'refused')),
  note      text not null,
  body      jsonb,
  primary key (intake_id, line)
);
create index intake_row_verdict on intake_row (intake_id, verdict, line);
create index intake_row_item on intake_row (intake_id, item);
create index listing_buildable on listing (kind) where buildable;
