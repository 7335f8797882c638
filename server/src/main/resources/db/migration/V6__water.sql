alter table site
    add column temperature_unit text not null default 'CELSIUS',
    add column concentration_unit text not null default 'MG_PER_L',
    add column hardness_unit text not null default 'DH',
    add constraint site_temperature_unit_known check (temperature_unit in ('CELSIUS', 'FAHRENHEIT')),
    add constraint site_concentration_unit_known check (concentration_unit in ('MG_PER_L', 'PPM')),
    add constraint site_hardness_unit_known check (hardness_unit in ('DH', 'PPM'));

alter table stage add column size text not null default '';

alter table service
    add column filter_off_minutes int constraint service_off_not_negative check (filter_off_minutes >= 0),
    add column override_reason text;

alter table guided_service
    add column override_reason text,
    add column media text;

create table service_part (
    service_id uuid not null constraint service_part_service_fk references service (id),
    thing text not null,
    site_id bigint not null constraint service_part_site_fk references site (id),
    quantity int not null constraint service_part_positive check (quantity > 0),
    constraint service_part_pk primary key (service_id, thing)
);

create index service_part_site_idx on service_part (site_id);

create table own_parameter (
    id bigint generated always as identity constraint own_parameter_pk primary key,
    site_id bigint not null constraint own_parameter_site_fk references site (id),
    name text not null,
    unit text not null,
    constraint own_parameter_unique unique (site_id, name)
);

create table test_method (
    id bigint generated always as identity constraint test_method_pk primary key,
    site_id bigint not null constraint test_method_site_fk references site (id),
    parameter text not null,
    name text not null,
    limit_value double precision not null constraint test_method_limit_not_negative check (limit_value >= 0),
    steps text not null,
    constraint test_method_unique unique (site_id, parameter, name)
);

create table reading (
    id uuid constraint reading_pk primary key,
    site_id bigint not null constraint reading_site_fk references site (id),
    tank_id bigint not null constraint reading_tank_fk references tank (id),
    parameter text not null,
    amount double precision not null,
    below_detection boolean not null,
    noise double precision not null,
    taken_at timestamptz not null,
    early boolean not null,
    method text not null,
    moment text not null constraint reading_moment_known check (moment in ('PLAIN', 'BEFORE', 'AFTER')),
    taken_by text not null,
    removed_at timestamptz
);

create index reading_site_idx on reading (site_id);
create index reading_tank_idx on reading (tank_id, parameter, taken_at desc);

create table water_change (
    id uuid constraint water_change_pk primary key,
    site_id bigint not null constraint water_change_site_fk references site (id),
    tank_id bigint not null constraint water_change_tank_fk references tank (id),
    changed_at timestamptz not null,
    litres double precision not null constraint water_change_positive check (litres > 0),
    bucket_litres double precision not null constraint water_change_buckets check (bucket_litres >= 0),
    conditioner_ml double precision,
    dosed_for text constraint water_change_dosed_known check (dosed_for in ('NEW_WATER', 'WHOLE_TANK')),
    new_water_c double precision,
    done_by text not null,
    note text not null,
    removed_at timestamptz
);

create index water_change_site_idx on water_change (site_id);
create index water_change_tank_idx on water_change (tank_id, changed_at desc);

create table medication (
    id bigint generated always as identity constraint medication_pk primary key,
    site_id bigint not null constraint medication_site_fk references site (id),
    tank_id bigint not null constraint medication_tank_fk references tank (id),
    product text not null,
    first_day date not null,
    last_day date,
    written_by text not null,
    constraint medication_ends_after check (last_day >= first_day)
);

create index medication_site_idx on medication (site_id);
create index medication_tank_idx on medication (tank_id);

create table media_replacement (
    id uuid constraint media_replacement_pk primary key,
    site_id bigint not null constraint media_replacement_site_fk references site (id),
    tank_id bigint not null constraint media_replacement_tank_fk references tank (id),
    stage_id bigint not null constraint media_replacement_stage_fk references stage (id),
    replaced_on date not null,
    grams double precision not null constraint media_replacement_positive check (grams > 0),
    told text not null,
    override_reason text,
    done_by text not null,
    removed_at timestamptz
);

create index media_replacement_site_idx on media_replacement (site_id);
create index media_replacement_tank_idx on media_replacement (tank_id);
create index media_replacement_stage_idx on media_replacement (stage_id);

create table condition_check (
    id uuid constraint condition_check_pk primary key,
    site_id bigint not null constraint condition_check_site_fk references site (id),
    tank_id bigint not null constraint condition_check_tank_fk references tank (id),
    checked_at timestamptz not null,
    amiss text not null,
    note text not null,
    done_by text not null
);

create index condition_check_site_idx on condition_check (site_id);
create index condition_check_tank_idx on condition_check (tank_id, checked_at desc);
