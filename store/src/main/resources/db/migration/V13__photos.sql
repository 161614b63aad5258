-- Photos taken at a step of a job. What the job says of one is an entry like others; here are its bytes.
create table job_photo (
    id uuid primary key,
    job_id uuid not null references job (id) on delete cascade,
    bytes bytea not null
);
create index job_photo_job on job_photo (job_id);
