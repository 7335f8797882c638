-- What must be true of the data beyond what the tables themselves refuse. Each line: how many break it, and what it says.
select count(*), 'every constraint has been checked against all rows'
from pg_constraint
where not convalidated;

select count(*), 'every migration went through'
from flyway_schema_history
where not success;

select count(*), 'every site has a keeper'
from site
where not exists (
    select from account
    where account.site_id = site.id and account.role = 'KEEPER' and account.removed_at is null
);

select count(*), 'what was done in a service is a task of its tank'
from service_task
join service on service.site_id = service_task.site_id and service.id = service_task.service_id
join care_task on care_task.site_id = service_task.site_id and care_task.id = service_task.task_id
join filter on filter.site_id = care_task.site_id and filter.id = care_task.filter_id
where filter.tank_id <> service.tank_id;

select count(*), 'a task is done to a stage of its own filter'
from care_task
join stage on stage.site_id = care_task.site_id and stage.id = care_task.stage_id
where stage.filter_id <> care_task.filter_id;

select count(*), 'a service in progress is on a filter of its tank'
from guided_service
join filter on filter.site_id = guided_service.site_id and filter.id = guided_service.filter_id
where filter.tank_id <> guided_service.tank_id;

select count(*), 'a case of trouble is about a filter of its tank'
from trouble_case
join filter on filter.site_id = trouble_case.site_id and filter.id = trouble_case.filter_id
where filter.tank_id <> trouble_case.tank_id;

select count(*), 'a case of trouble is closed if it was solved or given up, and only then'
from trouble_case
where (standing in ('SOLVED', 'LEFT')) <> (closed_at is not null);

select count(*), 'every photo is a picture'
from photo
where not (
    substr(bytes, 1, 3) = '\xffd8ff'::bytea
    or substr(bytes, 1, 8) = '\x89504e470d0a1a0a'::bytea
    or (substr(bytes, 1, 4) = 'RIFF'::bytea and substr(bytes, 9, 4) = 'WEBP'::bytea)
);

select count(*), 'nothing was measured that is no number'
from reading
where amount::text in ('NaN', 'Infinity', '-Infinity') or amount < 0;
