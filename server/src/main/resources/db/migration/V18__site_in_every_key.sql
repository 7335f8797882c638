-- A site's data can be stored apart from that of others: every key of it contains the site.

-- Logins and the secrets of calendars are known before the site is: the doors by which it is found, the same everywhere.
create table door (
    kind text not null constraint door_kind_known check (kind in ('LOGIN', 'CALENDAR')),
    mark text not null,
    site_id bigint not null constraint door_site_fk references site (id),
    constraint door_pk primary key (kind, mark)
);

create index door_site_idx on door (site_id);

insert into door (kind, mark, site_id)
select 'LOGIN', login, site_id
from account
union all
select 'CALENDAR', secret_hash, site_id
from calendar_feed;

do $$
declare
    one record;
begin
    create temporary table of_site on commit drop as
    select pg_class.oid as relation
    from pg_class
    join pg_attribute on pg_attribute.attrelid = pg_class.oid and pg_attribute.attname = 'site_id'
    where pg_class.relkind = 'r'
      and pg_class.relnamespace = 'public'::regnamespace
      and pg_class.relname <> 'door';

    create temporary table arrow on commit drop as
    select
        pg_constraint.conname as name,
        pg_constraint.conrelid::regclass as leads_from,
        pg_constraint.confrelid::regclass as leads_to,
        here.attname as by_column,
        there.attname as to_column
    from pg_constraint
    join pg_attribute here on here.attrelid = pg_constraint.conrelid and here.attnum = pg_constraint.conkey[1]
    join pg_attribute there on there.attrelid = pg_constraint.confrelid and there.attnum = pg_constraint.confkey[1]
    where pg_constraint.contype = 'f'
      and cardinality(pg_constraint.conkey) = 1
      and pg_constraint.conrelid in (select relation from of_site)
      and pg_constraint.confrelid in (select relation from of_site);

    for one in select * from arrow loop
        execute format('alter table %s drop constraint %I', one.leads_from, one.name);
    end loop;

    -- Primary and unique keys, under their names.
    for one in
        select
            pg_constraint.conname as name,
            pg_constraint.conrelid::regclass as relation,
            pg_get_constraintdef(pg_constraint.oid) as was
        from pg_constraint
        where pg_constraint.contype in ('p', 'u')
          and pg_constraint.conrelid in (select relation from of_site)
          and not (
            select pg_attribute.attnum
            from pg_attribute
            where pg_attribute.attrelid = pg_constraint.conrelid and pg_attribute.attname = 'site_id'
          ) = any (pg_constraint.conkey)
    loop
        execute format(
            'alter table %s drop constraint %I, add constraint %I %s',
            one.relation, one.name, one.name, regexp_replace(one.was, '\(', '(site_id, '));
    end loop;

    for one in select * from arrow loop
        execute format(
            'alter table %s add constraint %I foreign key (site_id, %I) references %s (site_id, %I)',
            one.leads_from, one.name, one.by_column, one.leads_to, one.to_column);
    end loop;

    -- Indexes likewise; those by the site alone are prefixes of others now.
    for one in
        select
            pg_index.indexrelid::regclass as name,
            pg_get_indexdef(pg_index.indexrelid) as was,
            pg_index.indnatts = 1 and pg_attribute.attname = 'site_id' as by_site_alone
        from pg_index
        join pg_attribute on pg_attribute.attrelid = pg_index.indrelid and pg_attribute.attnum = pg_index.indkey[0]
        where pg_index.indrelid in (select relation from of_site)
          and not exists (select from pg_constraint where pg_constraint.conindid = pg_index.indexrelid)
          and (pg_attribute.attname <> 'site_id' or pg_index.indnatts = 1)
    loop
        execute format('drop index %s', one.name);
        if not one.by_site_alone then
            execute replace(one.was, 'USING btree (', 'USING btree (site_id, ');
        end if;
    end loop;
end
$$;
