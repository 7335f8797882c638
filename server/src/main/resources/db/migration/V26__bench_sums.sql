-- Rules of thumb a site keeps in place of ours, what was last given to a sum for a tank, and what is measured with.

create table sum_rule (
    site_id bigint not null constraint sum_rule_site_fk references site (id),
    rule_key text not null,
    value double precision not null,
    constraint sum_rule_pk primary key (site_id, rule_key)
);

create table sum_kept (
    site_id bigint not null constraint sum_kept_site_fk references site (id),
    tank_id bigint not null,
    sum_name text not null,
    given text not null,
    kept_at timestamptz not null,
    constraint sum_kept_pk primary key (site_id, tank_id, sum_name),
    constraint sum_kept_tank_fk foreign key (site_id, tank_id) references tank (site_id, id)
);

create table vessel (
    site_id bigint not null constraint vessel_site_fk references site (id),
    id uuid not null,
    kind text not null constraint vessel_kind_known check (kind in ('TUB', 'CAP')),
    name text not null,
    millilitres double precision not null
        constraint vessel_millilitres_range check (millilitres between 0.01 and 100000),
    constraint vessel_pk primary key (site_id, id)
);

create constraint trigger sum_rule_raises after insert or update or delete on sum_rule
    deferrable initially deferred for each row execute function raise_revision('site', '', 'site_id');
create constraint trigger sum_kept_raises after insert or update or delete on sum_kept
    deferrable initially deferred for each row execute function raise_revision('tank', 'tank_id', 'site_id');
create constraint trigger vessel_raises after insert or update or delete on vessel
    deferrable initially deferred for each row execute function raise_revision('site', '', 'site_id');
