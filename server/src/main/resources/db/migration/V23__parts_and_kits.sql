-- Parts of the machine are changed for their age; kits of them come in one packet; what is counted in millilitres has small prices.

insert into care_task (site_id, filter_id, stage_id, action, care_from, care_sureness, mode)
select stage.site_id, stage.filter_id, stage.id, 'REPLACE', filter.care_from, filter.care_sureness, 'LEARN'
from stage
join filter on filter.site_id = stage.site_id and filter.id = stage.filter_id
where stage.kind in ('IMPELLER', 'SEALS', 'UV_SLEEVE', 'HOSES')
  and stage.removed_on is null
on conflict on constraint care_task_unique do nothing;

set constraints all immediate;

alter table stock_item
    alter column price type numeric(16, 6),
    add column kit jsonb constraint stock_item_kit_size check (length(kit::text) < 20000);
