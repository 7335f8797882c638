-- Ways in their order, as days between two times; 0 where the thing is left out.
alter table trial add column ways int[];
update trial set ways = array[first_days, other_days];
-- The revision is raised now: a table with triggers still to come cannot be altered.
set constraints all immediate;
alter table trial
    alter column ways set not null,
    add constraint trial_ways_in_range
        check (cardinality(ways) between 2 and 5 and 0 <= all (ways) and 84 >= all (ways)),
    drop constraint trial_periods_in_fours,
    add constraint trial_periods_in_rounds
        check (periods between 4 and 40 and periods % (2 * cardinality(ways)) = 0),
    drop column first_days,
    drop column other_days,
    add column adopted int constraint trial_adopted_is_a_way check (adopted between 0 and cardinality(ways) - 1);
