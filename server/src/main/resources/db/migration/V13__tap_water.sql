-- What tap water brings, for a whole site or one tank, and what was confirmed although it surprised.

create table tap_value (
    id bigint generated always as identity constraint tap_value_pk primary key,
    site_id bigint not null constraint tap_value_site_fk references site (id),
    tank_id bigint constraint tap_value_tank_fk references tank (id),
    parameter text not null,
    amount double precision not null constraint tap_value_range check (amount between 0 and 1000),
    constraint tap_value_unique unique nulls not distinct (site_id, tank_id, parameter)
);

create index tap_value_tank_idx on tap_value (tank_id);

alter table water_change add column confirmed text;
