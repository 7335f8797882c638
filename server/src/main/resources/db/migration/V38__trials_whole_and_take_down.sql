-- How a trial is laid out beside its ways: the way a tank keeps and its swaps, and what is watched beside what is judged.
set constraints all immediate;
alter table trial
    add column setup jsonb not null default '{"swapped": [], "watched": []}',
    -- The first day of the latest turn for which somebody took the thing out, or put it back.
    add column switched_on date,
    drop constraint trial_periods_in_rounds,
    add constraint trial_periods_in_rounds
        check (periods between 4 and 40 and (setup ->> 'kept' is not null or periods % (2 * cardinality(ways)) = 0)),
    add constraint trial_kept_is_a_way check ((setup ->> 'kept')::int between 0 and cardinality(ways) - 1);

-- What else changed in a tank, as its keeper was asked: it bears on what readings tell.
create table tank_event (
    site_id bigint not null,
    id uuid not null,
    tank_id bigint not null,
    on_day date not null,
    kind text not null constraint tank_event_kind_known
        check (kind in ('FED_MORE', 'FED_LESS', 'ANIMALS_ADDED', 'ANIMALS_LOST', 'STARTER_ADDED', 'OTHER')),
    note text not null,
    done_by text not null,
    written_by bigint default writer(),
    removed_at timestamptz,
    constraint tank_event_pk primary key (site_id, id),
    constraint tank_event_tank_fk foreign key (site_id, tank_id) references tank (site_id, id)
);

create index tank_event_tank_idx on tank_event (site_id, tank_id);

create constraint trigger tank_event_raises after insert or update or delete on tank_event
    deferrable initially deferred for each row execute function raise_revision('tank', 'tank_id', 'site_id');

-- A filter is also taken down, to be moved or put away.
alter table guided_service
    drop constraint guided_service_occasion_known,
    add constraint guided_service_occasion_known check (occasion in ('SERVICE', 'SET_UP', 'MOVE', 'STORE'));

-- What was put away is asked for once it is dry, though it is out of use.
alter table follow_up
    drop constraint follow_up_kind_known,
    add constraint follow_up_kind_known check (kind in ('LOOK', 'CATCHER', 'DRYING'));

-- Rows of an archive come by their number: as text 100 stood before 99, and so did what was brought in.
create or replace function site_rows(site bigint, relation text) returns setof text
    language plpgsql
    stable
    as $$
begin
    return query execute format(
        'select (to_jsonb(one) - ''site_id'' - ''bytes'')::text from %I one where one.%I = $1 order by case jsonb_typeof(to_jsonb(one) -> ''id'') when ''number'' then (to_jsonb(one) ->> ''id'')::numeric end, 1',
        relation,
        case when relation = 'site' then 'id' else 'site_id' end)
    using site;
end;
$$;
