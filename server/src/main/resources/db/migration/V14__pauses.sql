-- When a filter stood still, or its keeper was away.

create table pause (
    id uuid constraint pause_pk primary key,
    site_id bigint not null constraint pause_site_fk references site (id),
    tank_id bigint not null constraint pause_tank_fk references tank (id),
    filter_id bigint constraint pause_filter_fk references filter (id),
    cause text not null constraint pause_cause_known check (cause in ('OFF', 'AWAY')),
    first_day date not null,
    until_day date,
    constraint pause_ends_later check (until_day > first_day)
);

create index pause_site_idx on pause (site_id);
create index pause_tank_idx on pause (tank_id);
create index pause_filter_idx on pause (filter_id);
