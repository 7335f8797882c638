-- By this a site is known wherever an archive of it goes.
alter table site add column mark uuid default gen_random_uuid() not null;

-- The number a row of an archive has here, so that an archive brought in twice is there once.
create table brought (
    site_id bigint not null,
    origin uuid not null,
    relation text not null,
    theirs bigint not null,
    ours bigint not null,
    constraint brought_pk primary key (site_id, origin, relation, theirs),
    constraint brought_site_fk foreign key (site_id) references site (id)
);

-- Adds rows to a table of a site; a row that is there stays as it is. Tells of each what became of it: BROUGHT, THERE, or
-- the state, column and constraint by which it was refused.
create function site_bring(site bigint, relation text, lines jsonb) returns table (place integer, told text)
    language plpgsql
    as $$
declare
    names text;
    statement text;
    many bigint;
    line jsonb;
    refused_column text;
    refused_constraint text;
begin
    select string_agg(format('%I', column_name), ', ' order by ordinal_position)
    into names
    from information_schema.columns
    where table_schema = 'public'
        and table_name = relation
        and (column_name = 'site_id' or lines -> 0 ? column_name);
    statement := format(
        'insert into %1$I (%2$s) overriding system value
         select %2$s from jsonb_populate_record(null::%1$I, $1) on conflict do nothing',
        relation, names);

    for number in 0 .. jsonb_array_length(lines) - 1 loop
        line := (lines -> number) || jsonb_build_object('site_id', site);
        place := number;
        begin
            execute statement using line;
            get diagnostics many = row_count;
            told := case many when 0 then 'THERE' else 'BROUGHT' end;
        exception when data_exception or integrity_constraint_violation then
            get stacked diagnostics refused_column = column_name, refused_constraint = constraint_name;
            told := sqlstate || '|' || refused_column || '|' || refused_constraint;
        end;
        return next;
    end loop;
end;
$$;

-- Numbers for new rows of a table.
create function site_numbers(relation text, many integer) returns setof bigint
    language sql
    as $$ select nextval(pg_get_serial_sequence(relation, 'id')) from generate_series(1, many) $$;

-- Numbers of a table that are taken at a site.
create function site_taken(site bigint, relation text) returns setof bigint
    language plpgsql
    stable
    as $$
begin
    return query execute format('select id from %I where site_id = $1', relation) using site;
end;
$$;
