create table service (
    id uuid constraint service_pk primary key,
    site_id bigint not null constraint service_site_fk references site (id),
    tank_id bigint not null constraint service_tank_fk references tank (id),
    done_on date not null,
    done_by text not null,
    minutes int,
    note text not null,
    recorded_at timestamptz not null,
    version int not null default 1,
    withdrawn_at timestamptz
);

create index service_site_idx on service (site_id, done_on desc);
create index service_tank_idx on service (tank_id, done_on desc);

create table service_task (
    service_id uuid not null constraint service_task_service_fk references service (id),
    task_id bigint not null constraint service_task_task_fk references care_task (id),
    site_id bigint not null constraint service_task_site_fk references site (id),
    finding text,
    constraint service_task_pk primary key (service_id, task_id)
);

create index service_task_task_idx on service_task (task_id);
create index service_task_site_idx on service_task (site_id);

create table service_flow (
    service_id uuid not null constraint service_flow_service_fk references service (id),
    filter_id bigint not null constraint service_flow_filter_fk references filter (id),
    site_id bigint not null constraint service_flow_site_fk references site (id),
    before_lph double precision,
    after_lph double precision,
    constraint service_flow_pk primary key (service_id, filter_id)
);

create index service_flow_filter_idx on service_flow (filter_id);
create index service_flow_site_idx on service_flow (site_id);

create table service_correction (
    id bigint generated always as identity constraint service_correction_pk primary key,
    site_id bigint not null constraint service_correction_site_fk references site (id),
    service_id uuid not null constraint service_correction_service_fk references service (id),
    corrected_at timestamptz not null,
    corrected_by text not null,
    was text not null
);

create index service_correction_service_idx on service_correction (service_id);
create index service_correction_site_idx on service_correction (site_id);
