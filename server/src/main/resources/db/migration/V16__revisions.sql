-- Every commit that changes anything of a site raises its revision, and that of the tank it concerns. Servers read it before
-- they answer from memory. Only triggers write it, so that no code can forget to.

create table site_revision (
    site_id bigint not null constraint site_revision_pk primary key
        constraint site_revision_site_fk references site (id),
    revision bigint not null
);

create table tank_revision (
    site_id bigint not null constraint tank_revision_site_fk references site (id),
    tank_id bigint not null constraint tank_revision_tank_fk references tank (id),
    revision bigint not null,
    constraint tank_revision_pk primary key (site_id, tank_id)
);

create index tank_revision_tank_idx on tank_revision (tank_id);

-- The first argument says by what the tank is found (tank, filter, stage or service; site for none), the second in which
-- column that is. It runs when a transaction commits, once for each site and tank, so that nobody waits for it for long and
-- no two transactions wait for each other.
create function raise_revision() returns trigger
    language plpgsql
    as $$
declare
    way text := tg_argv[0];
    site bigint;
    tank bigint;
    raised text := coalesce(current_setting('chervil.raised', true), '');
    mark text;
begin
    if tg_op = 'DELETE' then
        execute format('select ($1).%I', tg_argv[2]) into site using old;
    else
        execute format('select ($1).%I', tg_argv[2]) into site using new;
    end if;
    if way = 'tank' then
        if tg_op = 'DELETE' then
            execute format('select ($1).%I', tg_argv[1]) into tank using old;
        else
            execute format('select ($1).%I', tg_argv[1]) into tank using new;
        end if;
    elsif way = 'filter' then
        select filter.tank_id into tank
        from filter
        where filter.site_id = site
          and filter.id = (case when tg_op = 'DELETE' then old.filter_id else new.filter_id end);
    elsif way = 'stage' then
        select filter.tank_id into tank
        from stage
        join filter on filter.site_id = stage.site_id and filter.id = stage.filter_id
        where stage.site_id = site
          and stage.id = (case when tg_op = 'DELETE' then old.stage_id else new.stage_id end);
    elsif way = 'service' then
        select service.tank_id into tank
        from service
        where service.site_id = site
          and service.id = (case when tg_op = 'DELETE' then old.service_id else new.service_id end);
    end if;

    mark := '[' || site || ']';
    if position(mark in raised) = 0 then
        insert into site_revision (site_id, revision)
        values (site, 1)
        on conflict on constraint site_revision_pk do update set revision = site_revision.revision + 1;
        raised := raised || mark;
        perform set_config('chervil.raised', raised, true);
    end if;
    mark := '[' || site || '/' || tank || ']';
    if tank is not null and position(mark in raised) = 0 then
        insert into tank_revision (site_id, tank_id, revision)
        select site_revision.site_id, tank, site_revision.revision
        from site_revision
        where site_revision.site_id = site
        on conflict on constraint tank_revision_pk do update set revision = excluded.revision;
        perform set_config('chervil.raised', raised || mark, true);
    end if;
    return null;
end
$$;

do $$
declare
    one record;
begin
    for one in
        select *
        from (values
            ('site', 'site', '', 'id'),
            ('account', 'site', '', 'site_id'),
            ('tank', 'tank', 'id', 'site_id'),
            ('filter', 'tank', 'tank_id', 'site_id'),
            ('stage', 'filter', 'filter_id', 'site_id'),
            ('care_task', 'filter', 'filter_id', 'site_id'),
            ('context_change', 'tank', 'tank_id', 'site_id'),
            ('service', 'tank', 'tank_id', 'site_id'),
            ('service_task', 'service', 'service_id', 'site_id'),
            ('service_flow', 'service', 'service_id', 'site_id'),
            ('service_part', 'service', 'service_id', 'site_id'),
            ('service_answer', 'service', 'service_id', 'site_id'),
            ('service_correction', 'service', 'service_id', 'site_id'),
            ('photo', 'service', 'service_id', 'site_id'),
            ('guided_service', 'tank', 'tank_id', 'site_id'),
            ('guided_event', 'site', '', 'site_id'),
            ('own_parameter', 'site', '', 'site_id'),
            ('test_method', 'site', '', 'site_id'),
            ('reading', 'tank', 'tank_id', 'site_id'),
            ('water_change', 'tank', 'tank_id', 'site_id'),
            ('medication', 'tank', 'tank_id', 'site_id'),
            ('media_replacement', 'tank', 'tank_id', 'site_id'),
            ('condition_check', 'tank', 'tank_id', 'site_id'),
            ('tap_value', 'tank', 'tank_id', 'site_id'),
            ('stage_look', 'stage', 'stage_id', 'site_id'),
            ('pause', 'tank', 'tank_id', 'site_id'),
            ('graded_picture', 'site', '', 'site_id'),
            ('chore', 'tank', 'tank_id', 'site_id'),
            ('chore_done', 'tank', 'tank_id', 'site_id'),
            ('trial', 'tank', 'tank_id', 'site_id'),
            ('person_hours', 'site', '', 'site_id'),
            ('day_exception', 'site', '', 'site_id'),
            ('keeper_only', 'site', '', 'site_id'),
            ('plan_step', 'site', '', 'site_id'),
            ('plan_decision', 'site', '', 'site_id'),
            ('stock_item', 'site', '', 'site_id'),
            ('stock_move', 'site', '', 'site_id')
        ) as raising (name, way, by_column, site_column)
    loop
        execute format(
            'create constraint trigger %I after insert or update or delete on %I '
            'deferrable initially deferred for each row execute function raise_revision(%L, %L, %L)',
            one.name || '_raises', one.name, one.way, one.by_column, one.site_column);
    end loop;
end
$$;

-- A plan follows from all the rest and is kept for those who were told of it; only a better or a longer one is news.

alter table plan
    add column rough boolean not null default false,
    add column decided text not null default '[]';

create constraint trigger plan_raises
    after update of rough, weeks on plan
    deferrable initially deferred
    for each row
    when (old.rough is distinct from new.rough or old.weeks is distinct from new.weeks)
    execute function raise_revision('site', '', 'site_id');
