-- What was asked about a reading that its keeper stood by.

alter table reading add column confirmed text;
