-- contests of the club; without a day it was put off and has no date yet
create table contest (
  id         bigint not null,
  club_id    bigint not null references club,
  name       text   not null check (length(name) between 1 and 80),
  sport      text   not null check (sport in ('POWERLIFTING', 'STRONGMAN')),
  state      text   not null check (state in ('PLANNED', 'POSTPONED', 'CANCELLED')),
  day        date,
  place      text   not null default '' check (length(place) <= 120),
  federation text   not null default '' check (length(federation) <= 120),
  rules      text   not null check (rules in ('CLASSIC', 'CLASSIC_WITH_WRAPS', 'EQUIPPED', 'STRONGMAN', 'OPEN')),
  further    text   not null default '' check (length(further) <= 600),
  classes    text   not null default '' check (length(classes) <= 300),
  -- of strongman: lifts in the order of the day, each with its work and mass; small and always read with it
  events     text   not null default '[]' check (length(events) <= 20000),
  gone       boolean not null default false,
  version    int    not null,
  primary key (club_id, id),
  check (state <> 'PLANNED' or day is not null)
);
create index contest_day on contest (club_id, day desc, id);

-- who goes
create table contest_entry (
  id           bigint not null,
  club_id      bigint not null,
  contest_id   bigint not null,
  lifter_id    bigint not null,
  weight_class text   not null default '' check (length(weight_class) <= 40),
  weigh_in     date,
  -- whether it is the one that counts where two are close together
  counts       boolean not null default false,
  primary key (club_id, id),
  foreign key (club_id, contest_id) references contest (club_id, id) on delete cascade,
  foreign key (club_id, lifter_id) references lifter (club_id, id) on delete cascade,
  unique (club_id, contest_id, lifter_id)
);
create index contest_entry_lifter on contest_entry (club_id, lifter_id);

-- the long plan of a lifter: blocks of weeks as one document, and the contest it leads to
create table long_plan (
  id         bigint not null,
  club_id    bigint not null,
  lifter_id  bigint not null,
  contest_id bigint,
  document   text   not null check (length(document) <= 200000),
  version    int    not null,
  primary key (club_id, id),
  foreign key (club_id, lifter_id) references lifter (club_id, id) on delete cascade,
  foreign key (club_id, contest_id) references contest (club_id, id),
  unique (club_id, lifter_id)
);
create index long_plan_contest on long_plan (club_id, contest_id) where contest_id is not null;

-- a method of a block: which block, what it counts down to, and days it leaves out
alter table progression
  add column block_no   int,
  add column contest_on date,
  add column skips      text not null default '[]' check (length(skips) <= 4000);

-- long work over many lifters, done one by one in the background and gone on with after a restart
create table job (
  id         bigint      not null,
  club_id    bigint      not null references club,
  kind       text        not null check (length(kind) between 1 and 40),
  title      text        not null check (length(title) <= 200),
  document   text        not null default '' check (length(document) <= 4000),
  account_id bigint      not null,
  begun      timestamptz not null,
  ended      timestamptz,
  primary key (club_id, id)
);
create index job_open on job (club_id, id) where ended is null;
create table job_item (
  id         bigint not null,
  club_id    bigint not null,
  job_id     bigint not null,
  lifter_id  bigint not null,
  state      text   not null check (state in ('PENDING', 'DONE', 'FAILED')),
  said       text   not null default '' check (length(said) <= 600),
  primary key (club_id, id),
  foreign key (club_id, job_id) references job (club_id, id) on delete cascade,
  foreign key (club_id, lifter_id) references lifter (club_id, id) on delete cascade,
  unique (club_id, job_id, lifter_id)
);
create index job_item_pending on job_item (club_id, job_id, id) where state = 'PENDING';

-- private addresses of calendars; only the hash of an address is kept
create table calendar_feed (
  id         bigint      not null,
  club_id    bigint      not null,
  lifter_id  bigint      not null,
  token_hash text        not null,
  account_id bigint      not null,
  made       timestamptz not null,
  revoked    timestamptz,
  primary key (club_id, id),
  foreign key (club_id, lifter_id) references lifter (club_id, id) on delete cascade
);
create index calendar_feed_lifter on calendar_feed (club_id, lifter_id);
-- looked for before any club is known
create unique index calendar_feed_token on calendar_feed (token_hash);

-- a line that goes is looked for among those that follow another one
create index slot_link on slot (club_id, link_of) where link_of is not null;
