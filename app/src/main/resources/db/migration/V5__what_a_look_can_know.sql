-- Of a piece without an end, the last day on which any look, from above too, saw it not lost.
alter table tally add column alive_day integer;

-- Whether what a look by count newly calls lost was given up as stalled, without having looked lost.
alter table batch_check add column gave_up boolean not null default false;
update batch_check set gave_up = true where by_count and note = 'given up as stalled';

-- Tallies follow from the readings. Those of an older format are made anew when the application starts.
alter table nursery add column tally_format integer not null default 1;
alter table nursery alter column tally_format set default 2;
