-- How surely anyone knows when a filter was last cleaned, and what people answered when a value surprised.

alter table filter add column care_from date;
alter table filter add column care_sureness text not null default 'EXACT'
    constraint filter_care_sureness_known check (care_sureness in ('EXACT', 'ABOUT', 'UNKNOWN'));

update filter
set care_from = coalesce(
    (select min(care_task.care_from) from care_task where care_task.filter_id = filter.id),
    fitted_on,
    current_date
);

alter table filter alter column care_from set not null;

alter table care_task add column care_sureness text not null default 'EXACT'
    constraint care_task_care_sureness_known check (care_sureness in ('EXACT', 'ABOUT', 'UNKNOWN'));

alter table service add column again boolean not null default false;
alter table service add column recorded_by bigint constraint service_recorded_by_fk references account (id);

create index service_recorded_by_idx on service (recorded_by);

create table service_answer (
    service_id uuid not null constraint service_answer_service_fk references service (id),
    filter_id bigint not null constraint service_answer_filter_fk references filter (id),
    site_id bigint not null constraint service_answer_site_fk references site (id),
    question text not null,
    answer text not null,
    answered_at timestamptz not null,
    constraint service_answer_pk primary key (service_id, filter_id, question)
);

create index service_answer_filter_idx on service_answer (filter_id);
create index service_answer_site_idx on service_answer (site_id);

create table graded_picture (
    account_id bigint not null constraint graded_picture_account_fk references account (id),
    site_id bigint not null constraint graded_picture_site_fk references site (id),
    picture int not null constraint graded_picture_known check (picture between 0 and 11),
    finding text not null,
    graded_at timestamptz not null,
    constraint graded_picture_pk primary key (account_id, picture)
);

create index graded_picture_site_idx on graded_picture (site_id);
