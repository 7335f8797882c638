create table photo (
    id uuid constraint photo_pk primary key,
    site_id bigint not null constraint photo_site_fk references site (id),
    service_id uuid not null,
    moment text not null constraint photo_moment_known check (moment in ('BEFORE', 'AFTER')),
    taken_at timestamptz not null,
    taken_by text not null,
    content_type text not null,
    bytes bytea not null constraint photo_size_limited check (octet_length(bytes) <= 5242880)
);

create index photo_service_idx on photo (site_id, service_id);
