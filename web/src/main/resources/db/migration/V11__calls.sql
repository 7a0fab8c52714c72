-- What a coach could decide, and what became of it. The same matter has one open call; what was decided stays on record.
create table coach_call (
  id          bigint      not null,
  club_id     bigint      not null,
  lifter_id   bigint      not null,
  rule        text        not null check (length(rule) <= 60),
  lift        text        not null default '' check (length(lift) <= 60),
  matter      text        not null check (length(matter) <= 300),
  state       text        not null check (state in ('OPEN', 'LYING', 'TAKEN', 'REFUSED', 'GONE', 'UNDONE')),
  -- the call as the core made it
  document    text        not null check (length(document) <= 200000),
  facts       text        not null check (length(facts) <= 60000),
  -- what its proposals come to in loads, as it was worked out with it
  shown       text        not null check (length(shown) <= 400000),
  urgency     int         not null,
  confidence  int         not null check (confidence between 0 and 2),
  safe        boolean     not null,
  raised_at   timestamptz not null,
  decided_at  timestamptz,
  decided_by  text        check (length(decided_by) <= 80),
  -- which of its proposals was taken, and what a coach made of it
  proposal    int,
  taken       text        check (length(taken) <= 200000),
  reason      text        not null default '' check (length(reason) <= 300),
  word        text        not null default '' check (length(word) <= 300),
  change_id   bigint,
  version     int         not null,
  primary key (club_id, id),
  foreign key (club_id, lifter_id) references lifter (club_id, id) on delete cascade
);
create unique index coach_call_open on coach_call (club_id, lifter_id, matter) where state in ('OPEN', 'LYING');
create index coach_call_waits on coach_call (club_id, urgency, lifter_id) where state = 'OPEN';
create index coach_call_lifter on coach_call (club_id, lifter_id, id desc);

-- What is to be done in the background for one of many, once for all that causes it; appended, so that whoever causes it never waits.
create table due_work (
  id          bigint      not null,
  club_id     bigint      not null,
  kind        text        not null check (length(kind) <= 40),
  key         text        not null check (length(key) <= 80),
  cause       text        not null check (length(cause) <= 40),
  words       text        not null default '' check (length(words) <= 200),
  who         text        not null default '' check (length(who) <= 80),
  due_at      timestamptz not null,
  tries       int         not null default 0,
  primary key (club_id, id)
);
create index due_work_at on due_work (due_at);
create index due_work_key on due_work (club_id, kind, key);

alter table club add column looked_on date;

-- How much of what the log says moves coming loads by itself, and the estimate they were last agreed with
alter table lift_numbers
  add column moves     text   not null default 'FOLLOW' check (moves in ('FOLLOW', 'ASK', 'HOLD')),
  add column agreed_ng bigint check (agreed_ng > 0);

-- Each event that moved coming loads of a lift by a step or more
create table load_move (
  id          bigint      not null,
  club_id     bigint      not null,
  lifter_id   bigint      not null,
  lift        text        not null check (length(lift) <= 60),
  at          timestamptz not null,
  cause       text        not null check (length(cause) <= 40),
  words       text        not null check (length(words) <= 300),
  who         text        not null check (length(who) <= 80),
  day         date        not null,
  before_ng   bigint      not null,
  after_ng    bigint      not null,
  lines       int         not null,
  primary key (club_id, id),
  foreign key (club_id, lifter_id) references lifter (club_id, id) on delete cascade
);
create index load_move_lift on load_move (club_id, lifter_id, lift, id desc);

-- The heaviest set of each line to come as it was last worked out, to see what moves it
create table load_mark (
  club_id     bigint not null,
  lifter_id   bigint not null,
  marks       text   not null check (length(marks) <= 100000),
  primary key (club_id, lifter_id),
  foreign key (club_id, lifter_id) references lifter (club_id, id) on delete cascade
);

-- When a coach has looked at a lifter's week last, and what was sent
create table weekly_look (
  id          bigint      not null,
  club_id     bigint      not null,
  lifter_id   bigint      not null,
  monday      date        not null,
  word        text        not null default '' check (length(word) <= 2000),
  sent_by     text        not null check (length(sent_by) <= 80),
  sent_at     timestamptz not null,
  version     int         not null,
  primary key (club_id, id),
  foreign key (club_id, lifter_id) references lifter (club_id, id) on delete cascade,
  unique (club_id, lifter_id, monday) deferrable initially immediate
);
