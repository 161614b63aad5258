-- The vehicles that a part is made for, by id; empty where its plugs and opening alone decide.
alter table listing add column fits text[] not null default '{}';
update listing l set fits = array(select jsonb_array_elements_text(s.body->'vehicles')) from sheet s where s.id = l.id and s.kind = 'part' and s.body ? 'vehicles';
create index listing_fits on listing using gin (fits) where buildable and kind = 'part';
create index listing_anywhere on listing using gin (families) where buildable and kind = 'part' and fits = '{}';
