-- what the tracker before said, to be held beside what is said now
alter table lift_numbers
  add column before_ng bigint check (before_ng > 0),
  add column before_on date;
update lift_numbers set before_ng = estimate_ng, before_on = current_date where estimate_ng > 0;

-- the max is tracked by another filter: where it stands is kept as its numbers, and all else is worked out from them
alter table lift_numbers
  drop column estimate_ng, drop column sd_ng, drop column estimate_on, drop column last_trained, drop column layoff_drop,
  drop column checkpoint, drop column chart_stretch, drop column chart_sets, drop column rating_bias, drop column rating_pairs;
alter table lift_numbers
  add column standing      double precision[] check (cardinality(standing) = 92),
  add column sets_that_day int not null default 0 check (sets_that_day >= 0),
  -- the version of the tracker that its log was last run with; one before today's is run anew when the application starts
  add column tracked_with  int not null default 0;

-- where it stood before its last day, which a further set of that day goes on from; apart, so that no page reads it
create table standing_before (
  id         bigint not null,
  club_id    bigint not null,
  lifter_id  bigint not null,
  lift       text   not null,
  numbers    double precision[] not null check (cardinality(numbers) = 92),
  primary key (club_id, id),
  foreign key (club_id, lifter_id) references lifter (club_id, id) on delete cascade,
  unique (club_id, lifter_id, lift)
);

-- a day with nothing but misses speaks for no max by itself
alter table tracked_point alter column raw_ng drop not null;

-- rated under 6, which is not the same as not rated, and how a set with fewer reps than asked ended
alter table logged_set
  add column easier boolean not null default false,
  add column ended  text check (ended in ('COULD_NOT', 'FORM_WENT', 'MY_CHOICE', 'HURT')),
  add check (not (easier and rpe_halves is not null));
-- an open set that was rated 10 left nothing, but nobody said that a further rep was tried
update logged_set set to_failure = false where to_failure and session_id is not null;
