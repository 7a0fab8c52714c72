-- in what state a set was lifted, with what, how fast, and what was done where something else was asked
alter table logged_set
  add column contexts      text not null default '' check (length(contexts) <= 200),
  add column context_words text not null default '' check (length(context_words) <= 200),
  -- null where nobody said what was worn
  add column gear          text check (length(gear) <= 200),
  -- mean speeds up of each rep or of the best, in millimetres a second
  add column speeds        int[] check (cardinality(speeds) between 1 and 100),
  add column speed_source  text check (speed_source in ('TYPED', 'CLIP', 'DEVICE')),
  add check ((speeds is null) = (speed_source is null)),
  -- the lift its line asked for where another was done; null where it was done as asked
  add column asked_lift    text,
  -- done beside what the card asked
  add column extra         boolean not null default false,
  -- the time and the way that were asked
  add column asked_tenths      int check (asked_tenths > 0),
  add column asked_centimetres int check (asked_centimetres > 0),
  -- how hard it looked to a coach, who saw it or its clip
  add column opinion_halves int  check (opinion_halves between 12 and 20),
  add column opinion_from   text check (opinion_from in ('SEEN', 'CLIP')),
  add column opinion_by     text check (length(opinion_by) <= 80),
  add check ((opinion_halves is null) = (opinion_from is null) and (opinion_halves is null) = (opinion_by is null));
-- one box said that something was off; what it was nobody was asked
update logged_set set contexts = 'SOMETHING_ELSE' where flagged and session_id is not null;

create index logged_set_speeds on logged_set (club_id, lifter_id, lift, day desc) where speeds is not null;

-- what was seen of how a rep was lifted
create table set_mark (
  id          bigint      not null,
  club_id     bigint      not null,
  lifter_id   bigint      not null,
  session_id  bigint      not null,
  set_id      bigint      not null,
  what        text        not null check (length(what) <= 40),
  rep         int         check (rep between 1 and 101),
  by_coach    boolean     not null,
  -- where it was seen on a clip, and when in it
  clip_id     bigint,
  at_ms       int         check (at_ms between 0 and 3600000),
  check ((clip_id is null) = (at_ms is null)),
  primary key (club_id, id),
  foreign key (club_id, set_id) references logged_set (club_id, id) on delete cascade
);
create index set_mark_session on set_mark (club_id, session_id);
create index set_mark_set on set_mark (club_id, set_id);

-- how somebody came to a day's training; what hurts is one document, read with it
create table checked_in (
  id          bigint      not null,
  club_id     bigint      not null,
  lifter_id   bigint      not null,
  day         date        not null,
  sleep       int         check (sleep between 0 and 32),
  energy      int         check (energy between 1 and 5),
  joints      int         check (joints between 1 and 5),
  stress      int         check (stress between 1 and 5),
  pains       text        not null default '[]' check (length(pains) <= 2000),
  told_at     timestamptz not null,
  version     int         not null,
  primary key (club_id, id),
  foreign key (club_id, lifter_id) references lifter (club_id, id) on delete cascade,
  -- checked at the end of a statement, so that all days can be moved at once
  unique (club_id, lifter_id, day) deferrable initially immediate
);

-- what is said of a whole session: when and where it was lifted where that was not as planned, how hard and how long it was
create table session_log (
  id          bigint not null,
  club_id     bigint not null,
  session_id  bigint not null,
  lifter_id   bigint not null,
  lifted_on   date,
  lifted_at   text   not null default '' check (length(lifted_at) <= 60),
  effort      int    check (effort between 0 and 10),
  minutes     int    check (minutes between 1 and 600),
  version     int    not null,
  primary key (club_id, id),
  foreign key (club_id, session_id) references training_session (club_id, id) on delete cascade,
  unique (club_id, session_id)
);
create index session_log_lifted on session_log (club_id, lifted_on) where lifted_on is not null;

-- words between lifter and coach about a session; the other side has read them or not
create table session_word (
  id          bigint      not null,
  club_id     bigint      not null,
  session_id  bigint      not null,
  lifter_id   bigint      not null,
  account_id  bigint      not null,
  by_coach    boolean     not null,
  author      text        not null check (length(author) <= 80),
  words       text        not null check (length(words) between 1 and 2000),
  said_at     timestamptz not null,
  read_at     timestamptz,
  entry_key   uuid        not null,
  primary key (club_id, id),
  foreign key (club_id, session_id) references training_session (club_id, id) on delete cascade,
  unique (club_id, entry_key)
);
create index session_word_session on session_word (club_id, session_id, id);
create index session_word_lifter on session_word (club_id, lifter_id, id desc);
create index session_word_unread on session_word (club_id, lifter_id) where read_at is null;

-- what a club may keep of clips, and for how many days
alter table club
  add column clip_quota_mb int not null default 5120 check (clip_quota_mb between 0 and 1048576),
  add column clip_days     int not null default 365 check (clip_days between 7 and 3650);

-- a clip of a set, or of a session; the film itself is a file under its SHA-256
create table clip (
  id          bigint      not null,
  club_id     bigint      not null,
  lifter_id   bigint      not null,
  session_id  bigint      not null,
  line        uuid,
  part        int,
  set_number  int,
  sha256      text        not null check (sha256 ~ '^[0-9a-f]{64}$'),
  bytes       bigint      not null check (bytes > 0),
  format      text        not null check (format in ('MP4', 'WEBM', 'MOV')),
  account_id  bigint      not null,
  by_coach    boolean     not null,
  added_at    timestamptz not null,
  gone_at     timestamptz,
  entry_key   uuid        not null,
  primary key (club_id, id),
  foreign key (club_id, session_id) references training_session (club_id, id) on delete cascade,
  unique (club_id, entry_key)
);
create index clip_session on clip (club_id, session_id);
create index clip_lifter on clip (club_id, lifter_id, added_at desc);
create index clip_added on clip (club_id, added_at);
create index clip_sha on clip (club_id, sha256);

-- one that is on its way, in pieces
create table clip_upload (
  id          bigint      not null,
  club_id     bigint      not null,
  lifter_id   bigint      not null,
  session_id  bigint      not null,
  line        uuid,
  part        int,
  set_number  int,
  bytes       bigint      not null check (bytes between 1 and 209715200),
  received    bigint      not null default 0,
  account_id  bigint      not null,
  by_coach    boolean     not null,
  begun_at    timestamptz not null,
  entry_key   uuid        not null,
  primary key (club_id, id),
  foreign key (club_id, session_id) references training_session (club_id, id) on delete cascade,
  unique (club_id, entry_key)
);

-- what measures the bar of a lifter; of its token only the fingerprint is kept
create table device (
  id          bigint      not null,
  club_id     bigint      not null,
  lifter_id   bigint      not null,
  name        text        not null check (length(name) between 1 and 60),
  token_hash  text        not null unique,
  made_at     timestamptz not null,
  revoked_at  timestamptz,
  last_at     timestamptz,
  primary key (club_id, id),
  foreign key (club_id, lifter_id) references lifter (club_id, id) on delete cascade
);
create index device_lifter on device (club_id, lifter_id);

create table device_set (
  id          bigint      not null,
  club_id     bigint      not null,
  lifter_id   bigint      not null,
  device_id   bigint      not null,
  started_at  timestamptz not null,
  ended_at    timestamptz not null,
  speeds      int[]       not null check (cardinality(speeds) between 1 and 100),
  set_id      bigint,
  received_at timestamptz not null,
  primary key (club_id, id),
  foreign key (club_id, device_id) references device (club_id, id) on delete cascade,
  unique (club_id, device_id, started_at)
);
create index device_set_lifter on device_set (club_id, lifter_id, ended_at desc);

-- from which load on a piece that is normally worn goes on, by lifts of a family
alter table lifter add column gear_from text not null default '' check (length(gear_from) <= 2000);
