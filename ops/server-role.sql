-- The role of the server: it may sign in, and owns what is in this database. Run again, it changes nothing.
select set_config('chervil.password', :'password', false);

do $$
declare
    one record;
begin
    if not exists (select from pg_roles where rolname = 'chervil_server') then
        create role chervil_server login nosuperuser nocreatedb nocreaterole;
    end if;
    execute format('alter role chervil_server password %L', current_setting('chervil.password'));
    execute format('alter database %I owner to chervil_server', current_database());
    alter schema public owner to chervil_server;
    for one in
        select pg_class.oid::regclass as relation
        from pg_class
        where relnamespace = 'public'::regnamespace
          and relkind in ('r', 'v', 'm')
          and relowner <> 'chervil_server'::regrole
    loop
        execute format('alter table %s owner to chervil_server', one.relation);
    end loop;
    for one in
        select oid::regprocedure as routine
        from pg_proc
        where pronamespace = 'public'::regnamespace and proowner <> 'chervil_server'::regrole
          and not exists (select from pg_depend where objid = pg_proc.oid and deptype = 'e')
    loop
        execute format('alter routine %s owner to chervil_server', one.routine);
    end loop;
end;
$$;
