-- What makes a follow-up done: somebody's word, or a service that changed what caught the dirt.
alter table follow_up add column kind text not null default 'LOOK'
    constraint follow_up_kind_known check (kind in ('LOOK', 'CATCHER'));
