alter table tank
    add column rinse_water text not null default 'TANK_WATER',
    add column thoroughness text not null default 'LIGHT';

create table guided_service (
    id uuid constraint guided_service_pk primary key,
    site_id bigint not null constraint guided_service_site_fk references site (id),
    tank_id bigint not null constraint guided_service_tank_fk references tank (id),
    filter_id bigint not null constraint guided_service_filter_fk references filter (id),
    tasks text not null,
    chores text not null,
    steps text not null,
    started_at timestamptz not null,
    started_by text not null,
    off_since timestamptz,
    finished_at timestamptz,
    left_off_reason text
);

create index guided_service_site_idx on guided_service (site_id);
create index guided_service_tank_idx on guided_service (tank_id);
create index guided_service_filter_idx on guided_service (filter_id);

create table guided_event (
    id uuid constraint guided_event_pk primary key,
    seq bigint generated always as identity,
    site_id bigint not null constraint guided_event_site_fk references site (id),
    guided_id uuid not null constraint guided_event_guided_fk references guided_service (id),
    happened_at timestamptz not null,
    done_by text not null,
    kind text not null,
    step text not null,
    value text not null
);

create index guided_event_guided_idx on guided_event (guided_id, seq);
create index guided_event_site_idx on guided_event (site_id);
