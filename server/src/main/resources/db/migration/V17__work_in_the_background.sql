-- Work that any of the servers may do, and comparisons that can be followed on each of them.

create table scheduled_tasks (
    task_name text not null,
    task_instance text not null,
    task_data bytea,
    execution_time timestamptz not null,
    picked boolean not null,
    picked_by text,
    last_success timestamptz,
    last_failure timestamptz,
    consecutive_failures int,
    last_heartbeat timestamptz,
    version bigint not null,
    priority smallint,
    constraint scheduled_tasks_pk primary key (task_name, task_instance)
);

create index scheduled_tasks_execution_idx on scheduled_tasks (execution_time);
create index scheduled_tasks_heartbeat_idx on scheduled_tasks (last_heartbeat);

create table future_run (
    site_id bigint not null constraint future_run_site_fk references site (id),
    id uuid not null,
    begun_at timestamptz not null,
    asked text not null,
    state text not null constraint future_run_state_known check (state in ('RUNNING', 'DONE', 'CANCELLED', 'FAILED')),
    done int not null,
    ways text not null,
    constraint future_run_pk primary key (site_id, id)
);
