-- Devices beside the tanks, what they read, and what of it people must hear.

alter table door
    drop constraint door_kind_known,
    add constraint door_kind_known check (kind in ('LOGIN', 'CALENDAR', 'PASS', 'DEVICE'));

create table device (
    site_id bigint not null constraint device_site_fk references site (id),
    id bigint generated always as identity,
    tank_id bigint not null,
    filter_id bigint,
    stage_id bigint,
    kind text not null constraint device_kind_known
        check (kind in ('FLOW', 'LEAK', 'PLUG', 'TEMPERATURE', 'LEVEL', 'LAMP', 'BUTTON')),
    name text not null,
    fitted_on date not null,
    tested_on date,
    quiet_minutes integer constraint device_quiet_range check (quiet_minutes between 1 and 600000),
    fitted_by bigint not null,
    removed_at timestamptz,
    constraint device_pk primary key (site_id, id),
    constraint device_tank_fk foreign key (site_id, tank_id) references tank (site_id, id),
    constraint device_filter_fk foreign key (site_id, filter_id) references filter (site_id, id),
    constraint device_stage_fk foreign key (site_id, stage_id) references stage (site_id, id)
);

create index device_tank_idx on device (site_id, tank_id);
create index device_filter_idx on device (site_id, filter_id);
create index device_stage_idx on device (site_id, stage_id);

create table device_token (
    site_id bigint not null,
    device_id bigint not null,
    mark text not null,
    constraint device_token_pk primary key (site_id, device_id),
    constraint device_token_device_fk foreign key (site_id, device_id) references device (site_id, id)
);

-- What is remembered between readings; told anew by every reading, so it raises no revision.
create table device_state (
    site_id bigint not null,
    device_id bigint not null,
    heard_at timestamptz not null,
    last_at timestamptz,
    last_value double precision,
    amiss_since timestamptz,
    usual double precision,
    back_on timestamptz,
    constraint device_state_pk primary key (site_id, device_id),
    constraint device_state_device_fk foreign key (site_id, device_id) references device (site_id, id)
);

-- Two days of readings as they came. A reading is known by its device's own stamp, however often it is sent.
create table device_reading (
    site_id bigint not null,
    device_id bigint not null,
    stamp timestamptz not null,
    read_at timestamptz not null,
    value double precision not null,
    constraint device_reading_pk primary key (site_id, device_id, stamp),
    constraint device_reading_device_fk foreign key (site_id, device_id) references device (site_id, id)
);

create table device_hour (
    site_id bigint not null,
    device_id bigint not null,
    hour timestamptz not null,
    least double precision not null,
    greatest double precision not null,
    total double precision not null,
    readings integer not null,
    constraint device_hour_pk primary key (site_id, device_id, hour),
    constraint device_hour_device_fk foreign key (site_id, device_id) references device (site_id, id)
);

create table device_day (
    site_id bigint not null,
    device_id bigint not null,
    day date not null,
    least double precision not null,
    greatest double precision not null,
    total double precision not null,
    readings integer not null,
    moving_total double precision not null,
    moving integer not null,
    constraint device_day_pk primary key (site_id, device_id, day),
    constraint device_day_device_fk foreign key (site_id, device_id) references device (site_id, id)
);

-- What the site's picture knows of a flow meter: a day's mean while the filter ran, written when it moves by a fiftieth.
create table metered_flow (
    site_id bigint not null constraint metered_flow_site_fk references site (id),
    filter_id bigint not null,
    day date not null,
    litres_per_hour double precision not null constraint metered_flow_range check (litres_per_hour > 0),
    constraint metered_flow_pk primary key (site_id, filter_id, day),
    constraint metered_flow_filter_fk foreign key (site_id, filter_id) references filter (site_id, id)
);

create table alert (
    site_id bigint not null constraint alert_site_fk references site (id),
    id bigint generated always as identity,
    device_id bigint not null,
    tank_id bigint not null,
    alarm text not null,
    began_at timestamptz not null,
    ended_at timestamptz,
    read_value double precision,
    usual double precision,
    seen_by text,
    seen_at timestamptz,
    quiet_until timestamptz,
    sent_at timestamptz,
    service_id uuid,
    changed_at timestamptz not null,
    constraint alert_pk primary key (site_id, id),
    constraint alert_device_fk foreign key (site_id, device_id) references device (site_id, id),
    constraint alert_tank_fk foreign key (site_id, tank_id) references tank (site_id, id)
);

create unique index alert_open_idx on alert (site_id, device_id, alarm) where ended_at is null;
create index alert_tank_idx on alert (site_id, tank_id);
create index alert_began_idx on alert (site_id, began_at);

create table alert_mail (
    site_id bigint not null,
    account_id bigint not null,
    address text not null,
    quiet_from integer not null constraint alert_mail_from_hour check (quiet_from between 0 and 23),
    quiet_to integer not null constraint alert_mail_to_hour check (quiet_to between 0 and 23),
    constraint alert_mail_pk primary key (site_id, account_id),
    constraint alert_mail_account_fk foreign key (site_id, account_id) references account (site_id, id)
);

create constraint trigger metered_flow_raises after insert or update or delete on metered_flow
    deferrable initially deferred for each row execute function raise_revision('filter', 'filter_id', 'site_id');
