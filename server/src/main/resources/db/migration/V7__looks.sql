-- How long parts last by their labels, and what looks between services told.

alter table stage
    add column rated_hours double precision constraint stage_rated_hours_sane check (rated_hours between 100 and 100000),
    add column lit_hours_a_day double precision constraint stage_lit_hours_sane check (lit_hours_a_day between 0 and 24),
    add column starts_a_day int constraint stage_starts_sane check (starts_a_day between 0 and 1440),
    add column roll_m double precision constraint stage_roll_sane check (roll_m between 0.1 and 1000),
    add column rinses int constraint stage_rinses_sane check (rinses between 1 and 1000);

create table stage_look (
    id uuid constraint stage_look_pk primary key,
    site_id bigint not null constraint stage_look_site_fk references site (id),
    stage_id bigint not null constraint stage_look_stage_fk references stage (id),
    looked_on date not null,
    sign text not null,
    amount double precision not null,
    looked_by text not null,
    recorded_at timestamptz not null,
    withdrawn_at timestamptz
);

create index stage_look_site_idx on stage_look (site_id);
create index stage_look_stage_idx on stage_look (stage_id);

-- Washable pads now bring their own replacement.
insert into care_task (site_id, filter_id, stage_id, action, care_from, mode)
select
    stage.site_id,
    stage.filter_id,
    stage.id,
    'REPLACE',
    stage.care_from,
    'LEARN'
from stage
where stage.kind = 'FINE_PAD'
  and stage.make = 'WASHABLE'
on conflict on constraint care_task_unique do nothing;
