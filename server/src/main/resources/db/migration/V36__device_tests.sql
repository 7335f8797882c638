-- Devices are tried out by a task of its own on the rounds; what was there before stands so that a slip can be taken back.
alter table device add column tested_before date;

-- When a broker told that a device's connection broke; forgotten at its next word.
alter table device_state add column gone_at timestamptz;

create constraint trigger device_raises after insert or update or delete on device
    deferrable initially deferred for each row execute function raise_revision('tank', 'tank_id', 'site_id');
