-- A new sheet that was read and found sound waits here with all that its taking in needs, so that it is not read again.
alter table intake_row add column whole jsonb;
alter table intake_row add column listing jsonb;
