-- A workshop's own sizes, limits and small goods: one document, as the catalogue of functions is one.
alter table sheet drop constraint sheet_kind_check;
alter table sheet add constraint sheet_kind_check check (kind in ('vehicle', 'radio', 'part', 'functions', 'tables'));
