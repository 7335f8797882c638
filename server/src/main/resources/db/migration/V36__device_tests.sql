-- Devices are tried out by a task of its own on the rounds; what was there before stands so that a slip can be taken back.
alter table device add column tested_before date;

create constraint trigger device_raises after insert or update or delete on device
    deferrable initially deferred for each row execute function raise_revision('tank', 'tank_id', 'site_id');
