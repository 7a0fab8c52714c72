-- The contest's day: who lifts, what is handed in, what came of it, and who wrote that down.

-- rules, counting and times as one document, empty for the usual; the page for who is not signed in by the fingerprint of its secret
alter table contest
  add column day_sheet text not null default '' check (length(day_sheet) <= 40000),
  add column spectators text check (length(spectators) = 64);
create unique index contest_spectators on contest (spectators) where spectators is not null;

-- one who lifts: of the club by lifter_id, else a rival
create table contest_athlete (
  id           bigint not null,
  club_id      bigint not null,
  contest_id   bigint not null,
  lifter_id    bigint,
  name         text   not null default '' check (length(name) <= 80),
  sex          text   check (sex in ('MALE', 'FEMALE')),
  category     text   not null default '' check (length(category) <= 40),
  flight       text   not null default '' check (length(flight) <= 20),
  lot          int    check (lot between 1 and 9999),
  body_mass_ng bigint check (body_mass_ng between 20000000000000 and 300000000000000),
  expected_ng  bigint check (expected_ng > 0),
  -- racks, bag, aims and warm-ups as one document, empty for nothing
  sheet        text   not null default '' check (length(sheet) <= 8000),
  withdrawn    boolean not null default false,
  gone         boolean not null default false,
  -- when the day went into the log; null while it has not
  logged_at    timestamptz,
  version      int    not null,
  primary key (club_id, id),
  foreign key (club_id, contest_id) references contest (club_id, id) on delete cascade,
  foreign key (club_id, lifter_id) references lifter (club_id, id) on delete cascade,
  check (lifter_id is not null or length(name) > 0)
);
create unique index contest_athlete_lifter on contest_athlete (club_id, contest_id, lifter_id) where lifter_id is not null;
create index contest_athlete_contest on contest_athlete (club_id, contest_id, id);
create index contest_athlete_past on contest_athlete (club_id, lifter_id, id) where lifter_id is not null;

create table contest_attempt (
  id         bigint not null,
  club_id    bigint not null,
  contest_id bigint not null,
  athlete_id bigint not null,
  lift       text   not null check (length(lift) between 1 and 60),
  number     int    not null check (number between 1 and 9),
  load_ng    bigint not null check (load_ng > 0),
  load_unit  text   not null check (load_unit in ('KG', 'LB')),
  changed    int    not null check (changed between 0 and 99),
  good       boolean,
  whites     int    check (whites between 0 and 3),
  reason     text   check (length(reason) <= 20),
  look       text   check (look in ('EASY', 'RIGHT', 'LIMIT')),
  -- the entry it stands by, and with it the moment
  note_id    bigint not null,
  version    int    not null,
  primary key (club_id, id),
  foreign key (club_id, athlete_id) references contest_athlete (club_id, id) on delete cascade,
  unique (club_id, athlete_id, lift, number),
  -- a light is of an attempt that was lifted
  check (good is not null or whites is null and reason is null and look is null)
);

create table contest_result (
  id         bigint not null,
  club_id    bigint not null,
  contest_id bigint not null,
  athlete_id bigint not null,
  event      int    not null check (event between 1 and 20),
  figures    text   not null check (length(figures) between 1 and 300),
  note_id    bigint not null,
  version    int    not null,
  primary key (club_id, id),
  foreign key (club_id, athlete_id) references contest_athlete (club_id, id) on delete cascade,
  unique (club_id, athlete_id, event)
);

-- who entered what, in order; an entry of a phone comes once by its key
create table contest_note (
  id         bigint      not null,
  club_id    bigint      not null,
  contest_id bigint      not null,
  athlete_id bigint      not null,
  entry_key  uuid        not null,
  account_id bigint,
  author     text        not null check (length(author) <= 120),
  said_at    timestamptz not null,
  -- which attempt, event or person it is of
  spot       text        not null check (length(spot) <= 80),
  words      text        not null check (length(words) <= 300),
  -- what stood before and stands after, to be put back
  before     text        not null check (length(before) <= 2000),
  after      text        not null check (length(after) <= 2000),
  undone     boolean     not null default false,
  primary key (club_id, id),
  foreign key (club_id, contest_id) references contest (club_id, id) on delete cascade,
  foreign key (club_id, athlete_id) references contest_athlete (club_id, id) on delete cascade,
  unique (club_id, entry_key)
);
create index contest_note_contest on contest_note (club_id, contest_id, id desc);

-- a set that was an attempt knows which, so that it can be taken back
alter table logged_set add column athlete_id bigint;
create index logged_set_athlete on logged_set (club_id, athlete_id) where athlete_id is not null;

-- a max that was tested where its sets stand in the log too counts there, not twice; and under what conditions it was
alter table lift_numbers
  add column tested_in_log boolean not null default false,
  add column tested_where text not null default '' check (length(tested_where) <= 200);

-- who was sent to a contest lifts there
insert into contest_athlete (id, club_id, contest_id, lifter_id, category, version)
  select nextval('yarbel_id'), club_id, contest_id, lifter_id, weight_class, 0 from contest_entry;
