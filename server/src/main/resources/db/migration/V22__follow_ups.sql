-- What a guided service is for, and looks that it asks for some time later.

alter table guided_service add column occasion text not null default 'SERVICE'
    constraint guided_service_occasion_known check (occasion in ('SERVICE', 'SET_UP'));

create table follow_up (
    site_id bigint not null constraint follow_up_site_fk references site (id),
    id uuid not null,
    tank_id bigint not null,
    filter_id bigint not null,
    words text not null,
    due_at timestamptz not null,
    done_at timestamptz,
    done_by text,
    constraint follow_up_pk primary key (site_id, id),
    constraint follow_up_tank_fk foreign key (site_id, tank_id) references tank (site_id, id),
    constraint follow_up_filter_fk foreign key (site_id, filter_id) references filter (site_id, id)
);

create index follow_up_tank_idx on follow_up (site_id, tank_id);
create index follow_up_filter_idx on follow_up (site_id, filter_id);

create constraint trigger follow_up_raises after insert or update or delete on follow_up
    deferrable initially deferred for each row execute function raise_revision('tank', 'tank_id', 'site_id');
