-- The first plan that is kept is news too where it is of more weeks than the usual eight, which follow from all the rest: the
-- plan of eight that was asked for before it may never have been kept.
create constraint trigger plan_begins_raises
    after insert on plan
    deferrable initially deferred
    for each row
    when (new.weeks <> 8)
    execute function raise_revision('site', '', 'site_id');
