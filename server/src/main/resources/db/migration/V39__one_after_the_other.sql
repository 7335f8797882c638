-- Filters of one tank served one after the other: what follows a service, and which one it follows.
alter table guided_service
    add column then_tasks text not null default '[]',
    add column after_id uuid;

-- A sump is cleaned deep, first counted from today; the rotor of a return pump is changed for its age.
insert into care_task (site_id, filter_id, stage_id, action, care_from, care_sureness, mode)
select site_id, id, null, 'CLEAN', greatest(care_from, current_date), 'ABOUT', 'LEARN'
from filter
where kind = 'SUMP'
union all
select stage.site_id, stage.filter_id, stage.id, 'REPLACE', filter.care_from, filter.care_sureness, 'LEARN'
from stage
join filter on filter.site_id = stage.site_id and filter.id = stage.filter_id
where stage.kind = 'RETURN_PUMP'
  and stage.removed_on is null
on conflict on constraint care_task_unique do nothing;

alter table guided_service
    drop constraint guided_service_occasion_known,
    add constraint guided_service_occasion_known
        check (occasion in ('SERVICE', 'LOOK_OVER', 'SET_UP', 'MOVE', 'STORE'));
