-- How a filter is built and what sits where, as its keeper knows it; what is absent is as usual for its kind.

alter table filter add column passport jsonb not null default '{}'
    constraint filter_passport_size check (length(passport::text) < 100000);

set constraints all immediate;

update filter
set passport = jsonb_strip_nulls(jsonb_build_object(
    'shutOff', case valves when 'AT_COUPLINGS' then 'VALVES' end,
    'fill', fill
));

alter table filter drop column valves;
alter table filter drop column fill;
