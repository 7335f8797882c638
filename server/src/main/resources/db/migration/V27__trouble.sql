-- Cases of the trouble finder: what was noticed, what was known of the filter then, and what was answered and tried since.

create table trouble_case (
    site_id bigint not null constraint trouble_case_site_fk references site (id),
    id uuid not null,
    tank_id bigint not null,
    filter_id bigint not null,
    complaint text not null,
    noticed_on date not null,
    opened_at timestamptz not null,
    opened_by text not null,
    -- What was known, and how the site's own cases weighed, as JSON: a case goes on from where it began.
    known text not null,
    weights text not null,
    standing text not null
        constraint trouble_case_standing_known check (standing in ('OPEN', 'SOLVED', 'STOPPED', 'LEFT')),
    closed_at timestamptz,
    closed_on date,
    repair text,
    cause text,
    bearing text not null constraint trouble_case_bearing_known
        check (bearing in ('DIRT', 'IGNORE_FLOW', 'IGNORE_FLOW_AND_GRADE', 'NO_EVIDENCE')),
    overruled text constraint trouble_case_overruled_known
        check (overruled in ('DIRT', 'IGNORE_FLOW', 'IGNORE_FLOW_AND_GRADE', 'NO_EVIDENCE')),
    constraint trouble_case_pk primary key (site_id, id),
    constraint trouble_case_tank_fk foreign key (site_id, tank_id) references tank (site_id, id),
    constraint trouble_case_filter_fk foreign key (site_id, filter_id) references filter (site_id, id)
);

create index trouble_case_tank_idx on trouble_case (site_id, tank_id);
create index trouble_case_filter_idx on trouble_case (site_id, filter_id);

create table trouble_event (
    site_id bigint not null,
    id uuid not null,
    case_id uuid not null,
    seq bigint generated always as identity,
    kind text not null
        constraint trouble_event_kind_known check (kind in ('DANGER', 'ANSWER', 'TRIED', 'TAKEN_BACK')),
    about text not null,
    value text not null,
    happened_at timestamptz not null,
    done_by text not null,
    constraint trouble_event_pk primary key (site_id, id),
    constraint trouble_event_case_fk foreign key (site_id, case_id) references trouble_case (site_id, id)
        on delete cascade
);

create index trouble_event_case_idx on trouble_event (site_id, case_id);

-- Since when a site's closed cases are counted; without a row, from the first.
create table trouble_counting (
    site_id bigint not null constraint trouble_counting_site_fk references site (id),
    since timestamptz not null,
    constraint trouble_counting_pk primary key (site_id)
);

create constraint trigger trouble_case_raises after insert or update or delete on trouble_case
    deferrable initially deferred for each row execute function raise_revision('tank', 'tank_id', 'site_id');
create constraint trigger trouble_event_raises after insert or update or delete on trouble_event
    deferrable initially deferred for each row execute function raise_revision('site', '', 'site_id');
create constraint trigger trouble_counting_raises after insert or update or delete on trouble_counting
    deferrable initially deferred for each row execute function raise_revision('site', '', 'site_id');
