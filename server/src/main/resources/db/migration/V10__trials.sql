create table trial (
    id uuid constraint trial_pk primary key,
    site_id bigint not null constraint trial_site_fk references site (id),
    tank_id bigint not null constraint trial_tank_fk references tank (id),
    task_id bigint not null constraint trial_task_fk references care_task (id),
    parameter text not null,
    began_on date not null,
    period_days int not null constraint trial_period_in_range check (period_days between 7 and 84),
    periods int not null constraint trial_periods_in_fours check (periods between 4 and 16 and periods % 4 = 0),
    first_days int not null constraint trial_first_in_range check (first_days between 1 and 84),
    other_days int not null constraint trial_other_in_range check (other_days between 1 and 84),
    started_by text not null,
    stopped_on date,
    removed_at timestamptz
);

create index trial_site_idx on trial (site_id);
create index trial_tank_idx on trial (tank_id);
create index trial_task_idx on trial (task_id);
