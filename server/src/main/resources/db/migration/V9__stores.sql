alter table site
    add column currency text not null default 'EUR'
        constraint site_currency_is_a_code check (currency ~ '^[A-Z]{3}$');

-- A part told as 0 was looked for and not used; a service that tells of no part used what its tasks use up.
alter table service_part
    drop constraint service_part_positive,
    add constraint service_part_not_negative check (quantity >= 0);

create table stock_item (
    id bigint generated always as identity constraint stock_item_pk primary key,
    site_id bigint not null constraint stock_item_site_fk references site (id),
    version int not null default 0,
    name text not null,
    unit text not null,
    turned boolean not null,
    amount_per_use double precision not null constraint stock_item_per_use_positive check (amount_per_use > 0),
    reorder_at double precision not null constraint stock_item_reorder_not_negative check (reorder_at >= 0),
    lead_days int not null constraint stock_item_lead_in_range check (lead_days between 0 and 365),
    wash_every_days int constraint stock_item_wash_in_range check (wash_every_days between 1 and 90),
    price numeric(12, 2) constraint stock_item_price_not_negative check (price >= 0),
    removed_at timestamptz
);

create unique index stock_item_name_unique on stock_item (site_id, lower(name)) where removed_at is null;

create table stock_move (
    id uuid constraint stock_move_pk primary key,
    site_id bigint not null constraint stock_move_site_fk references site (id),
    item_id bigint not null constraint stock_move_item_fk references stock_item (id),
    kind text not null,
    amount double precision not null constraint stock_move_not_negative check (amount >= 0),
    moved_on date not null,
    moved_by text not null,
    logged_at timestamptz not null,
    removed_at timestamptz
);

create index stock_move_site_idx on stock_move (site_id);
create index stock_move_item_idx on stock_move (item_id);
