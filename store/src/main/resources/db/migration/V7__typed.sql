-- What a person typed, where a sheet was typed short (text: the order in which plugs were typed is kept). "body" is
-- what the catalogue made of it, at the revision named.
alter table sheet add column typed text;
alter table sheet add column catalogue text;
alter table sheet add constraint typed_with_catalogue check ((typed is null) = (catalogue is null));
