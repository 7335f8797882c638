-- Photos of a filter as it is built, beside those of a service.
alter table photo
    alter column service_id drop not null,
    add column filter_id bigint,
    add column caption text not null default '' constraint photo_caption_limited check (length(caption) <= 120),
    drop constraint photo_moment_known,
    add constraint photo_moment_known check (moment in ('BEFORE', 'AFTER', 'BUILT')),
    add constraint photo_of_one check ((service_id is null) <> (filter_id is null)),
    add constraint photo_filter_fk foreign key (site_id, filter_id) references filter (site_id, id);

create index photo_filter_idx on photo (site_id, filter_id);
