-- Whether a service asks for the flow before and after; a keeper who never measures it is spared two steps.
alter table tank add column measures_flow boolean not null default true;
