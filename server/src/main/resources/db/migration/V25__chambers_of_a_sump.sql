-- The chambers of a sump have care of their own, and its drain-down is tested.
insert into care_task (site_id, filter_id, stage_id, action, care_from, care_sureness, mode)
select
    stage.site_id,
    stage.filter_id,
    stage.id,
    case stage.kind when 'OVERFLOW' then 'CLEAR' else 'SIPHON' end,
    filter.care_from,
    filter.care_sureness,
    'LEARN'
from stage
join filter on filter.site_id = stage.site_id and filter.id = stage.filter_id
where stage.kind in ('OVERFLOW', 'SETTLING')
  and stage.removed_on is null
union all
select filter.site_id, filter.id, null, 'TEST', filter.care_from, filter.care_sureness, 'LEARN'
from filter
where filter.kind = 'SUMP'
on conflict on constraint care_task_unique do nothing;
