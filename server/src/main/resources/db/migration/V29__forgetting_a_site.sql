-- Takes everything of a site away, for good: rows that others lead to go after those. Nobody reads its revisions any more, so
-- they are not raised.
create function forget_site(gone bigint) returns void
    language plpgsql
    as $$
declare
    relation text;
    waiting text[];
    later text[];
begin
    perform set_config(
        'chervil.raised',
        '[' || gone || ']'
            || coalesce((select string_agg('[' || gone || '/' || tank.id || ']', '') from tank where tank.site_id = gone), ''),
        true);
    select array_agg(table_name::text) into waiting
    from information_schema.columns
    where table_schema = 'public' and column_name = 'site_id';
    while cardinality(waiting) > 0 loop
        later := '{}';
        foreach relation in array waiting loop
            begin
                execute format('delete from %I where site_id = $1', relation) using gone;
            exception when foreign_key_violation then
                later := later || relation;
            end;
        end loop;
        if cardinality(later) = cardinality(waiting) then
            raise exception 'rows of site % hold each other: %', gone, later;
        end if;
        waiting := later;
    end loop;
    delete from site where site.id = gone;
    delete from person
    where not exists (select from door where door.kind = 'LOGIN' and door.mark = person.login);
end;
$$;
