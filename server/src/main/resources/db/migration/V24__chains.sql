-- What makes a follow-up done: somebody's word, or a service that changed what caught the dirt. And the work that asks for it, so
-- that it is forgotten with it.
alter table follow_up
    add column kind text not null default 'LOOK'
        constraint follow_up_kind_known check (kind in ('LOOK', 'CATCHER')),
    add column work_id uuid;

create index follow_up_work_idx on follow_up (site_id, work_id);
