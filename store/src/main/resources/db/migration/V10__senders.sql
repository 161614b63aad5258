-- Two devices of one person are two writers, and a change that is sent twice counts once.
alter table job_log add column device text not null default '';
alter table job_log add column change_id text;
create unique index job_log_change on job_log (job_id, change_id) where change_id is not null;
