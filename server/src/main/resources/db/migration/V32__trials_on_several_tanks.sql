-- Trials begun together on several tanks share the id of the one that was asked for.
alter table trial add column together uuid;
