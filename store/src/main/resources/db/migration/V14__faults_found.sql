-- What each finished job tells of how often things go wrong: the rates of faults learn from it.
create table job_fault (
  job_id        uuid not null references job on delete cascade,
  kind          text not null,
  found         double precision not null, -- mended, after which everything worked
  opportunities double precision not null,
  primary key (job_id, kind)
);
