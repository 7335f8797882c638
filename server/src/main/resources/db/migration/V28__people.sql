-- A person signs in once and may belong to several sites, as keeper, helper or viewer. Who wrote what is kept, and what each
-- person did.

create table person (
    login text not null constraint person_pk primary key,
    password_hash text not null,
    created_at timestamptz not null
);

-- Names that differ only in characters that look alike.
create index person_looks_idx on person (translate(login, '01', 'ol'));

insert into person (login, password_hash, created_at)
select login, password_hash, created_at
from account
where removed_at is null;

alter table account
    drop column password_hash,
    drop constraint account_role_known,
    add constraint account_role_known check (role in ('KEEPER', 'HELPER', 'VIEWER')),
    add column last_here_at timestamptz;

alter table door
    drop constraint door_pk,
    drop constraint door_kind_known,
    add constraint door_pk primary key (kind, mark, site_id),
    add constraint door_kind_known check (kind in ('LOGIN', 'CALENDAR', 'PASS'));

-- A deleted site can be brought back until its days of grace are over.
alter table site add column deleted_at timestamptz;

-- What lets somebody in once: an invitation to the site, or a new password for one of its people. Only its mark is kept.
create table pass (
    site_id bigint not null constraint pass_site_fk references site (id),
    mark text not null,
    kind text not null constraint pass_kind_known check (kind in ('INVITATION', 'RECOVERY')),
    role text constraint pass_role_known check (role in ('KEEPER', 'HELPER', 'VIEWER')),
    account_id bigint,
    note text not null,
    made_by text not null,
    made_at timestamptz not null,
    expires_at timestamptz not null,
    used_at timestamptz,
    constraint pass_pk primary key (site_id, mark),
    constraint pass_account_fk foreign key (site_id, account_id) references account (site_id, id),
    constraint pass_leads_somewhere check ((kind = 'INVITATION') = (role is not null) and (kind = 'RECOVERY') = (account_id is not null))
);

create index pass_account_idx on pass (site_id, account_id);

-- From where a person came in before: guesses made elsewhere do not lock them out there.
create table known_address (
    login text not null,
    address text not null,
    last_at timestamptz not null,
    constraint known_address_pk primary key (login, address)
);

create index sign_in_failure_pair_idx on sign_in_failure (login, address, failed_at);

-- What people did, in the words of the table of rights. A row is written by the transaction that did it.
create table deed (
    site_id bigint not null constraint deed_site_fk references site (id),
    id bigint generated always as identity,
    account_id bigint not null,
    did_at timestamptz not null default now(),
    act text not null,
    subject text not null,
    constraint deed_pk primary key (site_id, id),
    constraint deed_account_fk foreign key (site_id, account_id) references account (site_id, id)
);

create index deed_account_idx on deed (site_id, account_id);

-- Who wrote it: the person at work in this transaction. Nobody is known of what was written before.
create function writer() returns bigint
    language sql
    stable
    as $$ select nullif(current_setting('chervil.account', true), '')::bigint $$;

do $$
declare
    owned text;
begin
    foreach owned in array array['service', 'photo', 'reading', 'water_change', 'media_replacement', 'condition_check',
        'stage_look', 'chore_done', 'stock_move', 'guided_service', 'trouble_case'] loop
        execute format('alter table %I add column written_by bigint', owned);
        execute format('alter table %I alter column written_by set default writer()', owned);
    end loop;
end;
$$;

-- Whether a person wrote a row of one of those tables.
create function wrote(site bigint, account bigint, relation text, row_id text) returns boolean
    language plpgsql
    stable
    as $$
declare
    found_it boolean;
begin
    execute format('select exists (select from %I where site_id = $1 and id::text = lower($2) and written_by = $3)', relation)
    into found_it using site, row_id, account;
    return found_it;
end;
$$;
