-- Every row of a club carries its club_id, and the keys and indexes of what grows begin with it, so that the data can
-- be spread over a distributed PostgreSQL by club. Masses are whole nanograms beside the unit they were entered in.

create sequence yarbel_id start with 1000 increment by 50;

create table club (
  id    bigint primary key,
  name  text   not null check (length(name) between 1 and 80),
  zone  text   not null,
  unit  text   not null check (unit in ('KG', 'LB'))
);

create table account (
  id            bigint not null,
  club_id       bigint not null references club,
  email         text   not null check (email = lower(email)),
  password_hash text   not null,
  role          text   not null check (role in ('COACH', 'LIFTER')),
  name          text   not null,
  lifter_id     bigint,
  primary key (club_id, id)
);
-- sign-in finds an account before any club is known
create unique index account_email on account (email);
create unique index account_lifter on account (club_id, lifter_id) where lifter_id is not null;

-- one row a failed sign-in; kept in the database so that every copy of the app counts the same ones
create table sign_in_failure (
  email_key text        not null,
  address   text        not null,
  at        timestamptz not null
);
create index sign_in_failure_email on sign_in_failure (email_key, at);
create index sign_in_failure_address on sign_in_failure (address, at);

create table place (
  id          bigint not null,
  club_id     bigint not null references club,
  name        text   not null,
  unit        text   not null check (unit in ('KG', 'LB')),
  bar_ng      bigint not null check (bar_ng >= 0),
  collars_ng  bigint not null check (collars_ng >= 0),
  version     int    not null,
  primary key (club_id, id)
);

create table plate (
  id        bigint not null,
  club_id   bigint not null,
  place_id  bigint not null,
  size_ng   bigint not null check (size_ng > 0),
  pairs     int    not null check (pairs between 1 and 20),
  primary key (club_id, id),
  foreign key (club_id, place_id) references place (club_id, id) on delete cascade,
  unique (club_id, place_id, size_ng)
);

create table lifter (
  id            bigint not null,
  club_id       bigint not null references club,
  place_id      bigint not null,
  name          text   not null check (length(name) between 1 and 80),
  unit          text   not null check (unit in ('KG', 'LB')),
  sex           text   check (sex in ('F', 'M')),
  birth_year    int,
  body_mass_ng  bigint check (body_mass_ng > 0),
  note          text   not null default '',
  version       int    not null,
  primary key (club_id, id),
  foreign key (club_id, place_id) references place (club_id, id)
);
create index lifter_name on lifter (club_id, lower(name));
alter table account add foreign key (club_id, lifter_id) references lifter (club_id, id);

-- the numbers of one lifter and lift; estimate and its sd follow from the log and are re-run with it
create table lift_numbers (
  id           bigint not null,
  club_id      bigint not null,
  lifter_id    bigint not null,
  lift         text   not null,
  level        text   not null check (level in ('BEGINNER', 'INTERMEDIATE', 'ADVANCED')),
  basis        text   not null check (basis in ('TESTED', 'ESTIMATED', 'TRAINING', 'GOAL')),
  tested_ng    bigint check (tested_ng > 0),
  tested_unit  text   check (tested_unit in ('KG', 'LB')),
  tested_on    date,
  goal_ng      bigint check (goal_ng > 0),
  goal_unit    text   check (goal_unit in ('KG', 'LB')),
  goal_on      date,
  estimate_ng  bigint,
  sd_ng        bigint,
  estimate_on  date,
  version      int    not null,
  primary key (club_id, id),
  foreign key (club_id, lifter_id) references lifter (club_id, id) on delete cascade,
  unique (club_id, lifter_id, lift),
  check ((tested_ng is null) = (tested_on is null)),
  check ((goal_ng is null) = (goal_unit is null))
);

create table training_session (
  id         bigint not null,
  club_id    bigint not null,
  lifter_id  bigint not null,
  day        date   not null,
  version    int    not null,
  primary key (club_id, id),
  foreign key (club_id, lifter_id) references lifter (club_id, id) on delete cascade,
  -- checked at the end of a statement, so that all days can be moved at once
  unique (club_id, lifter_id, day) deferrable initially immediate
);
create index training_session_day on training_session (club_id, day);

-- the plan is the text; loads are derived
create table slot (
  id          bigint not null,
  club_id     bigint not null,
  session_id  bigint not null,
  position    int    not null,
  kind        text   not null check (kind in ('PREPARE', 'MAIN', 'SECOND', 'ASSISTANCE', 'CONDITIONING', 'COOL_DOWN')),
  lift        text   not null,
  work        text   not null check (length(work) between 1 and 500),
  version     int    not null,
  primary key (club_id, id),
  foreign key (club_id, session_id) references training_session (club_id, id) on delete cascade
);
create index slot_session on slot (club_id, session_id, position);

-- immutable, numbered: what the lifter's phone or paper shows
create table card_issue (
  id          bigint      not null,
  club_id     bigint      not null,
  session_id  bigint      not null,
  number      int         not null,
  issued_at   timestamptz not null,
  document    text        not null,
  primary key (club_id, id),
  foreign key (club_id, session_id) references training_session (club_id, id) on delete cascade,
  unique (club_id, session_id, number)
);

-- the table that grows: think ten million; refers to others by id alone
create table logged_set (
  id            bigint      not null,
  club_id       bigint      not null,
  lifter_id     bigint      not null,
  session_id    bigint      not null,
  slot_id       bigint      not null,
  issue_number  int         not null,
  part          int         not null,
  set_number    int         not null,
  lift          text        not null,
  day           date        not null,
  load_ng       bigint      not null check (load_ng >= 0),
  unit          text        not null check (unit in ('KG', 'LB')),
  reps          int         not null check (reps between 0 and 100),
  rpe_halves    int         check (rpe_halves between 12 and 20),
  to_failure    boolean     not null,
  flagged       boolean     not null,
  asked_ng      bigint,
  asked_reps    int,
  entry_key     uuid        not null,
  logged_at     timestamptz not null,
  version       int         not null,
  primary key (club_id, id)
);
create unique index logged_set_place on logged_set (club_id, session_id, slot_id, part, set_number);
create unique index logged_set_entry on logged_set (club_id, entry_key);
create index logged_set_lift_day on logged_set (club_id, lifter_id, lift, day desc, id desc);
create index logged_set_day on logged_set (club_id, day);

-- one row a lifter, lift and day that had an observation
create table tracked_point (
  id           bigint not null,
  club_id      bigint not null,
  lifter_id    bigint not null,
  lift         text   not null,
  day          date   not null,
  raw_ng       bigint not null,
  estimate_ng  bigint,
  sd_ng        bigint,
  primary key (club_id, id),
  unique (club_id, lifter_id, lift, day) deferrable initially immediate
);

-- what was changed, by whom, before and after, so that it can be undone
create table change (
  id          bigint      not null,
  club_id     bigint      not null,
  account_id  bigint      not null,
  at          timestamptz not null,
  lifter_id   bigint      not null,
  subject     text        not null,
  subject_id  bigint      not null,
  before      text,
  after       text,
  undone      boolean     not null,
  primary key (club_id, id)
);
create index change_subject on change (club_id, subject, subject_id, id desc);

-- the Monday the demo club's dates were made for
create table demo_week (
  club_id  bigint primary key references club,
  monday   date   not null
);

-- Spring Session, as its own schema says
create table spring_session (
  primary_id             char(36) not null,
  session_id             char(36) not null,
  creation_time          bigint   not null,
  last_access_time       bigint   not null,
  max_inactive_interval  int      not null,
  expiry_time            bigint   not null,
  principal_name         varchar(100),
  constraint spring_session_pk primary key (primary_id)
);
create unique index spring_session_ix1 on spring_session (session_id);
create index spring_session_ix2 on spring_session (expiry_time);
create index spring_session_ix3 on spring_session (principal_name);

create table spring_session_attributes (
  session_primary_id  char(36)     not null,
  attribute_name      varchar(200) not null,
  attribute_bytes     bytea        not null,
  constraint spring_session_attributes_pk primary key (session_primary_id, attribute_name),
  constraint spring_session_attributes_fk foreign key (session_primary_id)
    references spring_session (primary_id) on delete cascade
);
