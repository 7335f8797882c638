create table tank (
    id bigint generated always as identity constraint tank_pk primary key,
    site_id bigint not null constraint tank_site_fk references site (id),
    name text not null,
    room text not null,
    net_volume_l double precision not null constraint tank_volume_positive check (net_volume_l > 0),
    water text not null,
    established_on date not null,
    stocking text not null,
    feeding text not null,
    bacteria_home text not null,
    tap_water text not null,
    opening_school text not null,
    sock_school text not null,
    version int not null default 1,
    deleted_at timestamptz
);

create index tank_site_idx on tank (site_id);

create table filter (
    id bigint generated always as identity constraint filter_pk primary key,
    site_id bigint not null constraint filter_site_fk references site (id),
    tank_id bigint not null constraint filter_tank_fk references tank (id),
    name text not null,
    kind text not null,
    direction text,
    rated_flow_lph double precision,
    power_w double precision,
    max_head_m double precision,
    lift_m double precision,
    fitted_on date,
    version int not null default 1,
    removed_on date
);

create index filter_site_idx on filter (site_id);
create index filter_tank_idx on filter (tank_id);

create table stage (
    id bigint generated always as identity constraint stage_pk primary key,
    site_id bigint not null constraint stage_site_fk references site (id),
    filter_id bigint not null constraint stage_filter_fk references filter (id),
    position int not null,
    kind text not null,
    label text not null,
    quantity int not null constraint stage_quantity_positive check (quantity > 0),
    mass_g double precision,
    make text not null,
    bagged boolean not null,
    fitted_on date,
    care_from date not null,
    removed_on date
);

create index stage_site_idx on stage (site_id);
create index stage_filter_idx on stage (filter_id);

create table care_task (
    id bigint generated always as identity constraint care_task_pk primary key,
    site_id bigint not null constraint care_task_site_fk references site (id),
    filter_id bigint not null constraint care_task_filter_fk references filter (id),
    stage_id bigint constraint care_task_stage_fk references stage (id),
    action text not null,
    care_from date not null,
    mode text not null constraint care_task_mode_known check (mode in ('LEARN', 'FIXED', 'OFF')),
    fixed_days int,
    version int not null default 1,
    constraint care_task_fixed_has_days check (mode <> 'FIXED' or fixed_days between 1 and 1825),
    constraint care_task_unique unique nulls not distinct (filter_id, stage_id, action)
);

create index care_task_site_idx on care_task (site_id);
create index care_task_stage_idx on care_task (stage_id);

create table context_change (
    id bigint generated always as identity constraint context_change_pk primary key,
    site_id bigint not null constraint context_change_site_fk references site (id),
    tank_id bigint not null constraint context_change_tank_fk references tank (id),
    filter_id bigint constraint context_change_filter_fk references filter (id),
    kind text not null,
    steps int not null constraint context_change_moves check (steps <> 0),
    changed_on date not null
);

create index context_change_site_idx on context_change (site_id);
create index context_change_tank_idx on context_change (tank_id);
create index context_change_filter_idx on context_change (filter_id);
