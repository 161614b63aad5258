-- What the board shows of a job, derived once when the job changes: the board itself computes nothing.
create table job_summary (
  job_id      uuid primary key references job on delete cascade,
  seq         bigint  not null, -- of the job when it was written
  shows       jsonb   not null,
  due         date,             -- by when the customer needs the car
  handed_over boolean not null,
  words       text    not null  -- what is searched; a blank before each word, the first included
);
create index job_summary_words on job_summary using gin (words gin_trgm_ops);
create index job_summary_open on job_summary (handed_over);
create index job_log_undo on job_log (job_id, undo_of) where undo_of is not null;
