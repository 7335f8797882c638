-- A passkey holds a person by this, not by their name.
alter table person add column handle uuid default gen_random_uuid() not null;

create table passkey (
    credential_id bytea not null constraint passkey_pk primary key,
    login text not null,
    label text not null,
    rp_id text not null,
    public_key bytea not null,
    signature_count bigint not null,
    backup_eligible boolean not null,
    backed_up boolean not null,
    attestation bytea not null,
    client_data bytea not null,
    made_at timestamptz not null,
    used_at timestamptz,
    constraint passkey_person_fk foreign key (login) references person (login) on delete cascade
);

create index passkey_login_idx on passkey (login);
