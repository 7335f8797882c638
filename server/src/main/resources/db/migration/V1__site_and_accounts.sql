create table site (
    id bigint generated always as identity constraint site_pk primary key,
    name text not null,
    created_at timestamptz not null
);

create table account (
    id bigint generated always as identity constraint account_pk primary key,
    site_id bigint not null constraint account_site_fk references site (id),
    login text not null constraint account_login_unique unique,
    name text not null,
    role text not null constraint account_role_known check (role in ('KEEPER', 'HELPER')),
    password_hash text not null,
    created_at timestamptz not null,
    removed_at timestamptz
);

create index account_site_idx on account (site_id);

create table sign_in_failure (
    login text not null,
    address text not null,
    failed_at timestamptz not null
);

create index sign_in_failure_login_idx on sign_in_failure (login, failed_at);
create index sign_in_failure_address_idx on sign_in_failure (address, failed_at);

create table spring_session (
    primary_id char(36) not null constraint spring_session_pk primary key,
    session_id char(36) not null,
    creation_time bigint not null,
    last_access_time bigint not null,
    max_inactive_interval int not null,
    expiry_time bigint not null,
    principal_name varchar(100)
);

create unique index spring_session_ix1 on spring_session (session_id);
create index spring_session_ix2 on spring_session (expiry_time);
create index spring_session_ix3 on spring_session (principal_name);

create table spring_session_attributes (
    session_primary_id char(36) not null
        constraint spring_session_attributes_fk references spring_session (primary_id) on delete cascade,
    attribute_name varchar(200) not null,
    attribute_bytes bytea not null,
    constraint spring_session_attributes_pk primary key (session_primary_id, attribute_name)
);
