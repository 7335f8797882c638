create table chore (
    id bigint generated always as identity constraint chore_pk primary key,
    site_id bigint not null constraint chore_site_fk references site (id),
    tank_id bigint not null constraint chore_tank_fk references tank (id),
    kind text not null,
    every_days int not null constraint chore_every_days_in_range check (every_days between 1 and 365),
    counted_from date not null,
    constraint chore_unique unique (tank_id, kind)
);

create index chore_site_idx on chore (site_id);

insert into chore (site_id, tank_id, kind, every_days, counted_from)
select site_id, id, 'WATER_CHANGE', 7, current_date
from tank;

create table chore_done (
    id uuid constraint chore_done_pk primary key,
    site_id bigint not null constraint chore_done_site_fk references site (id),
    tank_id bigint not null constraint chore_done_tank_fk references tank (id),
    kind text not null,
    done_on date not null,
    done_by text not null,
    removed_at timestamptz
);

create index chore_done_tank_idx on chore_done (tank_id, kind, done_on);
create index chore_done_site_idx on chore_done (site_id);

create table person_hours (
    account_id bigint not null constraint person_hours_account_fk references account (id),
    site_id bigint not null constraint person_hours_site_fk references site (id),
    weekday int not null constraint person_hours_weekday_known check (weekday between 1 and 7),
    minutes int not null constraint person_hours_minutes_in_range check (minutes between 0 and 1440),
    constraint person_hours_pk primary key (account_id, weekday)
);

create index person_hours_site_idx on person_hours (site_id);

create table day_exception (
    id bigint generated always as identity constraint day_exception_pk primary key,
    site_id bigint not null constraint day_exception_site_fk references site (id),
    account_id bigint constraint day_exception_account_fk references account (id),
    first_day date not null,
    last_day date not null,
    minutes int not null constraint day_exception_minutes_in_range check (minutes between 0 and 1440),
    note text not null,
    constraint day_exception_in_order check (first_day <= last_day)
);

create index day_exception_site_idx on day_exception (site_id);
create index day_exception_account_idx on day_exception (account_id);

create table keeper_only (
    site_id bigint not null constraint keeper_only_site_fk references site (id),
    work text not null,
    constraint keeper_only_pk primary key (site_id, work)
);

create table plan (
    site_id bigint not null constraint plan_pk primary key constraint plan_site_fk references site (id),
    version int not null,
    made_on date not null,
    fingerprint text not null,
    weeks int not null constraint plan_weeks_in_range check (weeks between 1 and 26),
    snapshot text not null
);

create table plan_visit (
    id uuid constraint plan_visit_pk primary key,
    site_id bigint not null constraint plan_visit_site_fk references site (id),
    tank_id bigint not null constraint plan_visit_tank_fk references tank (id),
    on_day date not null,
    account_id bigint constraint plan_visit_account_fk references account (id),
    minutes int not null,
    work text not null,
    sequence int not null,
    changed_at timestamptz not null
);

create index plan_visit_site_idx on plan_visit (site_id);
create index plan_visit_tank_idx on plan_visit (tank_id);
create index plan_visit_account_idx on plan_visit (account_id);

create table plan_step (
    id bigint generated always as identity constraint plan_step_pk primary key,
    site_id bigint not null constraint plan_step_site_fk references site (id),
    words text not null,
    made_by text not null,
    made_at timestamptz not null,
    before text not null,
    undone_at timestamptz
);

create index plan_step_site_idx on plan_step (site_id);

create table plan_decision (
    id bigint generated always as identity constraint plan_decision_pk primary key,
    site_id bigint not null constraint plan_decision_site_fk references site (id),
    chain bigint not null,
    on_day date not null,
    how text not null constraint plan_decision_how_known check (how in ('PINNED', 'SKIPPED')),
    made_in bigint not null constraint plan_decision_made_fk references plan_step (id),
    ended_in bigint constraint plan_decision_ended_fk references plan_step (id)
);

create index plan_decision_site_idx on plan_decision (site_id);
create index plan_decision_made_idx on plan_decision (made_in);
create index plan_decision_ended_idx on plan_decision (ended_in);

create table plan_change (
    id bigint generated always as identity constraint plan_change_pk primary key,
    site_id bigint not null constraint plan_change_site_fk references site (id),
    changed_at timestamptz not null,
    causes text not null,
    moves text not null
);

create index plan_change_site_idx on plan_change (site_id, changed_at);

create table calendar_feed (
    id bigint generated always as identity constraint calendar_feed_pk primary key,
    site_id bigint not null constraint calendar_feed_site_fk references site (id),
    account_id bigint not null constraint calendar_feed_account_fk references account (id),
    secret_hash text not null constraint calendar_feed_secret_unique unique,
    starts_at time not null,
    alarm_minutes int,
    made_at timestamptz not null,
    read_at timestamptz
);

create index calendar_feed_site_idx on calendar_feed (site_id);
create index calendar_feed_account_idx on calendar_feed (account_id);

create table digest (
    account_id bigint not null constraint digest_pk primary key
        constraint digest_account_fk references account (id),
    site_id bigint not null constraint digest_site_fk references site (id),
    address text not null,
    at_hour int not null constraint digest_hour_in_range check (at_hour between 0 and 23),
    sent_for date
);

create index digest_site_idx on digest (site_id);
