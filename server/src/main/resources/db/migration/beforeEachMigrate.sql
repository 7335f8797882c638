-- Triggers that wait for the end of a transaction would keep a migration from altering a table whose rows it has changed.
set constraints all immediate;
