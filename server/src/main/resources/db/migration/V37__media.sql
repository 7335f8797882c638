-- Bags, foams and baskets of media, each with where it has been; and exchanges that go a portion at a time.

create table media_piece (
    site_id bigint not null constraint media_piece_site_fk references site (id),
    id uuid not null,
    name text not null,
    kind text not null,
    grams double precision not null constraint media_piece_positive check (grams > 0),
    since date not null,
    from_id uuid,
    done_by text not null,
    written_by bigint default writer(),
    removed_at timestamptz,
    constraint media_piece_pk primary key (site_id, id),
    constraint media_piece_from_fk foreign key (site_id, from_id) references media_piece (site_id, id)
);

create index media_piece_from_idx on media_piece (site_id, from_id);

create table media_move (
    site_id bigint not null,
    id uuid not null,
    number bigint generated always as identity,
    piece_id uuid not null,
    moved_on date not null,
    spot text not null constraint media_move_spot_known
        check (spot in ('IN_FILTER', 'SEEDING', 'WET_SHELF', 'DRY_SHELF', 'GONE')),
    tank_id bigint,
    filter_id bigint,
    for_tank_id bigint,
    grams double precision not null constraint media_move_positive check (grams > 0),
    parted boolean not null,
    why text,
    seen_on date,
    done_by text not null,
    written_by bigint default writer(),
    removed_at timestamptz,
    constraint media_move_pk primary key (site_id, id),
    constraint media_move_piece_fk foreign key (site_id, piece_id) references media_piece (site_id, id),
    constraint media_move_tank_fk foreign key (site_id, tank_id) references tank (site_id, id),
    constraint media_move_filter_fk foreign key (site_id, filter_id) references filter (site_id, id),
    constraint media_move_for_tank_fk foreign key (site_id, for_tank_id) references tank (site_id, id),
    constraint media_move_in_a_filter check ((spot in ('IN_FILTER', 'SEEDING')) = (filter_id is not null and tank_id is not null)),
    constraint media_move_seeds_for_a_tank check ((spot = 'SEEDING') = (for_tank_id is not null))
);

create index media_move_piece_idx on media_move (site_id, piece_id);
create index media_move_tank_idx on media_move (site_id, tank_id);
create index media_move_filter_idx on media_move (site_id, filter_id);
create index media_move_for_tank_idx on media_move (site_id, for_tank_id);

create table media_exchange (
    site_id bigint not null,
    id uuid not null,
    tank_id bigint not null,
    stage_id bigint not null,
    grams double precision not null constraint media_exchange_positive check (grams > 0),
    in_tank double precision not null constraint media_exchange_of_a_part check (in_tank >= grams),
    portions integer not null constraint media_exchange_portions_range check (portions between 1 and 12),
    told_on date not null,
    first_on date not null,
    old_kind text,
    new_kind text,
    ended_on date,
    done_by text not null,
    written_by bigint default writer(),
    removed_at timestamptz,
    constraint media_exchange_pk primary key (site_id, id),
    constraint media_exchange_tank_fk foreign key (site_id, tank_id) references tank (site_id, id),
    constraint media_exchange_stage_fk foreign key (site_id, stage_id) references stage (site_id, id)
);

create index media_exchange_tank_idx on media_exchange (site_id, tank_id);
create index media_exchange_stage_idx on media_exchange (site_id, stage_id);

-- What was in a quarantine tank goes nowhere else.
alter table tank add column quarantine boolean not null default false;

create constraint trigger media_piece_raises after insert or update or delete on media_piece
    deferrable initially deferred for each row execute function raise_revision('site', '', 'site_id');
create constraint trigger media_move_raises after insert or update or delete on media_move
    deferrable initially deferred for each row execute function raise_revision('site', '', 'site_id');
create constraint trigger media_exchange_raises after insert or update or delete on media_exchange
    deferrable initially deferred for each row execute function raise_revision('tank', 'tank_id', 'site_id');
