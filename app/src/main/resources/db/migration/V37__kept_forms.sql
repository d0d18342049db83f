-- Whether what a form asked for was done: written in the same transaction, so that it is known for certain after a crash.
alter table sent_form add column kept boolean not null default false;
