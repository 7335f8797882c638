-- Each row of a site in one of its tables, as JSON and in an order that stays. Bytes of photos and secrets are left out.
create function site_rows(site bigint, relation text) returns setof text
    language plpgsql
    stable
    as $$
begin
    return query execute format(
        'select (to_jsonb(one) - ''site_id'' - ''bytes'')::text from %I one where one.%I = $1 order by 1',
        relation,
        case when relation = 'site' then 'id' else 'site_id' end)
    using site;
end;
$$;
