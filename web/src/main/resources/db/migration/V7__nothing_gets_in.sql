-- Who is signed in where: a row a sign-in. A session names its row, and without the row it counts no more.
create table sign_in (
  id         bigint      not null,
  club_id    bigint      not null,
  account_id bigint      not null,
  begun      timestamptz not null,
  seen       timestamptz not null,
  browser    varchar(80) not null,
  address    varchar(45) not null,
  primary key (club_id, id),
  foreign key (club_id, account_id) references account (club_id, id) on delete cascade
);
create index sign_in_account on sign_in (club_id, account_id, seen desc);

-- devices somebody has signed in on before; only the hash of what they carry is kept
create table known_device (
  club_id    bigint      not null,
  account_id bigint      not null,
  token_hash char(64)    not null,
  seen       timestamptz not null,
  primary key (club_id, account_id, token_hash),
  foreign key (club_id, account_id) references account (club_id, id) on delete cascade
);

alter table account add column disabled boolean not null default false;
-- an address is a club's own matter: that another club knows it is told to nobody
drop index account_email;
create unique index account_email on account (email, club_id);

-- one row a try, written before the password is looked at and taken out when it was right
drop table sign_in_failure;
create table sign_in_try (
  id        bigint generated always as identity primary key,
  email_key varchar(254) not null,
  address   varchar(45)  not null,
  known     boolean      not null,
  at        timestamptz  not null
);
create index sign_in_try_email on sign_in_try (email_key, at);
create index sign_in_try_address on sign_in_try (address, at);
create index sign_in_try_at on sign_in_try (at);

-- the first visit happens once: its row can be there once
create table first_visit (
  done boolean primary key default true check (done)
);
insert into first_visit (done) select true where exists (select 1 from account);

alter table spring_session alter column principal_name type varchar(254);
-- all that was signed in before has no row: it signs in again
delete from spring_session;

-- what a form was answered, so that one that is sent twice is done once
create table form_once (
  club_id    bigint       not null references club,
  account_id bigint       not null,
  form       uuid         not null,
  content    char(64)     not null,
  at         timestamptz  not null,
  status     int,
  location   varchar(2000),
  primary key (club_id, account_id, form, content)
);
create index form_once_at on form_once (at);

-- two hands at one change: the second is told
alter table change add column version int not null default 0;

-- a piece of long work that could not be done at first is tried again
alter table job_item
  add column tries int not null default 0,
  add column not_before timestamptz;

-- two at the same moment make no two of one name; those there are already are told apart
update lifter_group g set name = left(name, 60) || ' (' || id || ')' where exists (select 1 from lifter_group o where o.club_id = g.club_id
  and lower(o.name) = lower(g.name) and o.id < g.id);
create unique index lifter_group_name on lifter_group (club_id, lower(name));
update place p set name = left(name, 60) || ' (' || id || ')' where exists (select 1 from place o where o.club_id = p.club_id
  and lower(o.name) = lower(p.name) and o.id < p.id);
create unique index place_name on place (club_id, lower(name));
