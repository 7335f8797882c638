-- How a filter is built, and what a keeper draws rinse water with.

alter table filter add column valves text not null default 'NONE'
    constraint filter_valves_known check (valves in ('NONE', 'AT_COUPLINGS'));
alter table filter add column fill text
    constraint filter_fill_known check (fill in ('OPEN_TOP', 'CAP', 'SELF'));

alter table tank add column bucket_l double precision not null default 8
    constraint tank_bucket_range check (bucket_l between 0.5 and 60);
alter table tank add column draw_share double precision not null default 0.25
    constraint tank_draw_share_range check (draw_share between 0.05 and 0.5);
