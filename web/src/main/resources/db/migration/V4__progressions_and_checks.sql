-- a method that writes the exposures of a lift; settings and what was taken out of it are small and always read with it
create table progression (
  id          bigint not null,
  club_id     bigint not null,
  lifter_id   bigint not null,
  lift        text   not null,
  method      text   not null,
  settings    text   not null,
  starts_on   date   not null,
  days        int    not null check (days between 1 and 127),
  turn        text   not null check (turn in ('EVERY', 'FIRST', 'SECOND')),
  ends_on     date,
  left_out    text   not null default '[]',
  version     int    not null,
  primary key (club_id, id),
  foreign key (club_id, lifter_id) references lifter (club_id, id) on delete cascade
);
create index progression_lifter on progression (club_id, lifter_id);

-- what a method wrote into a line, so that what a coach changed is seen and kept
alter table slot
  add column progression_id bigint,
  add column exposure       int,
  add column line_no        int,
  add column planned_on     date,
  add column written        text check (length(written) <= 600),
  add column forecast       boolean not null default false,
  add column training_ng    bigint check (training_ng > 0),
  add column remark         text check (length(remark) <= 600),
  add foreign key (club_id, progression_id) references progression (club_id, id);
create index slot_progression on slot (club_id, progression_id, exposure) where progression_id is not null;
create index logged_set_slot on logged_set (club_id, slot_id) where slot_id is not null;

-- a training max that a method or a coach set; without one it is a share of the estimate
alter table lift_numbers add column training_ng bigint check (training_ng > 0);

-- easy weeks, and after how many weeks one is due; without a number none is placed by itself
create table deload_week (
  id         bigint not null,
  club_id    bigint not null,
  lifter_id  bigint not null,
  monday     date   not null,
  kind       text   not null check (kind in ('HALF_LOAD', 'LESS_VOLUME', 'LIGHT_TECHNIQUE', 'DAYS_OFF')),
  primary key (club_id, id),
  foreign key (club_id, lifter_id) references lifter (club_id, id) on delete cascade,
  -- checked at the end of a statement, so that all weeks can be moved at once
  unique (club_id, lifter_id, monday) deferrable initially immediate
);
alter table lifter
  add column deload_every int  check (deload_every between 2 and 16),
  add column deload_kind  text not null default 'HALF_LOAD' check (deload_kind in ('HALF_LOAD', 'LESS_VOLUME', 'LIGHT_TECHNIQUE', 'DAYS_OFF'));

-- a check that is not to speak about a lifter's lift, with the reason; it stays on record when it speaks again
create table silence (
  id          bigint      not null,
  club_id     bigint      not null,
  lifter_id   bigint      not null,
  check_key   text        not null check (length(check_key) between 1 and 60),
  lift        text        not null default '',
  reason      text        not null check (length(reason) between 1 and 300),
  account_id  bigint      not null,
  since       timestamptz not null,
  ended       timestamptz,
  primary key (club_id, id),
  foreign key (club_id, lifter_id) references lifter (club_id, id) on delete cascade
);
create index silence_lifter on silence (club_id, lifter_id);

create table club_threshold (
  id             bigint not null,
  club_id        bigint not null references club,
  threshold_key  text   not null,
  figure         double precision not null,
  primary key (club_id, id),
  unique (club_id, threshold_key)
);

-- sessions, weeks and blocks a club keeps to use again; a document in the format of docs/formats
create table template (
  id        bigint not null,
  club_id   bigint not null references club,
  name      text   not null check (length(name) between 1 and 80),
  scope     text   not null check (scope in ('SESSION', 'WEEK', 'BLOCK')),
  document  text   not null check (length(document) <= 400000),
  -- taken out, and to be brought back
  gone      boolean not null default false,
  version   int    not null,
  primary key (club_id, id),
  unique (club_id, name)
);

-- lifters whose boards are written together
create table lifter_group (
  id       bigint not null,
  club_id  bigint not null references club,
  name     text   not null check (length(name) between 1 and 80),
  version  int    not null,
  primary key (club_id, id),
  unique (club_id, name)
);
create table lifter_group_member (
  id         bigint not null,
  club_id    bigint not null,
  group_id   bigint not null,
  lifter_id  bigint not null,
  primary key (club_id, id),
  foreign key (club_id, group_id) references lifter_group (club_id, id) on delete cascade,
  foreign key (club_id, lifter_id) references lifter (club_id, id) on delete cascade,
  unique (club_id, group_id, lifter_id)
);

-- undo and redo ask for the newest change of a lifter
create index change_lifter on change (club_id, lifter_id, id desc);
