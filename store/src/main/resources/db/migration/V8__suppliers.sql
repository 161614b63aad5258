-- Suppliers head their columns as they please; what a heading stands for is asked once per supplier.
create table supplier_heading (
  supplier text not null,
  heading  text not null,
  meaning  text not null, -- a column of a price list, or '' for one that is left out
  primary key (supplier, heading)
);

alter table intake add column supplier text not null default '';
alter table intake drop constraint intake_kind_check;
update intake set kind = 'price list' where kind = 'parts list';
alter table intake add constraint intake_kind_check check (kind in ('sheets', 'price list'));
alter table intake drop constraint intake_state_check;
alter table intake add constraint intake_state_check
  check (state in ('reading', 'headings', 'read', 'taking', 'taken', 'cancelled', 'failed'));
alter table intake_row drop constraint intake_row_verdict_check;
alter table intake_row add constraint intake_row_verdict_check
  check (verdict in ('read', 'heading', 'added', 'changed', 'unchanged', 'refused'));
