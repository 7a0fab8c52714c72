-- what is said of a line beside its work; what is null is as usual
alter table slot
  add column optional       boolean not null default false,
  add column bar            text    check (length(bar) between 1 and 80),
  add column gear           text    check (length(gear) between 1 and 200),
  add column gear_from_ng   bigint  check (gear_from_ng > 0),
  add column gear_from_unit text    check (gear_from_unit in ('KG', 'LB')),
  add column reason         text    check (length(reason) between 1 and 200),
  add column cues           text    check (length(cues) between 1 and 300),
  add column mind           text    check (length(mind) between 1 and 300),
  add column ramp           text    check (length(ramp) between 1 and 200),
  -- the group of the session it is done in, and the line it repeats where a group is done a second time
  add column group_no       int     check (group_no between 1 and 40),
  add column link_of        bigint,
  add foreign key (club_id, link_of) references slot (club_id, id) on delete cascade,
  add check ((gear_from_ng is null) = (gear_from_unit is null));

-- the groups of a session are few and always read with it: one document
alter table training_session add column groups text not null default '[]';

-- how long and how far, for holds and carries; and whether the set says something about the max
alter table logged_set
  add column done_seconds     int check (done_seconds between 0 and 86400),
  add column done_centimetres int check (done_centimetres between 0 and 10000000),
  add column tells_of_max     boolean not null default true;

-- a lifter who warms up in few steps
alter table lifter add column ramp_most int check (ramp_most between 2 and 8);
