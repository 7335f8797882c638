-- Makes a code for a new password of whoever signs in by this name; says their account if there is one.
with somebody as (
    select account.site_id, account.id, account.name
    from door
    join account on account.site_id = door.site_id and account.login = door.mark
    where door.kind = 'LOGIN' and door.mark = lower(:'login') and account.removed_at is null
    order by account.last_here_at desc nulls last
    limit 1
), opened as (
    insert into door (kind, mark, site_id)
    select 'PASS', :'mark', site_id from somebody
    returning site_id
)
insert into pass (site_id, mark, kind, account_id, note, made_by, made_at, expires_at)
select somebody.site_id, :'mark', 'RECOVERY', somebody.id, somebody.name, 'the console', now(), now() + interval '24 hours'
from somebody, opened
returning account_id;
