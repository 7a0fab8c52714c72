-- A person signs in; an account is what they are in a club. One person may be in several clubs.
create table person (
  id            bigint primary key,
  email         text   not null check (email = lower(email) and length(email) between 3 and 254),
  -- empty for whoever has not chosen one yet
  password_hash text   not null default '',
  -- one-time codes: the secret once it is proved by a code, one that waits for its proof, and the last step that was used
  code_secret   text,
  code_waiting  text,
  code_step     bigint not null default 0
);
create index person_email on person (email);

-- addresses were a club's own matter until now: whoever had one in two clubs stays two, until they join them themselves
insert into person (id, email, password_hash) select id, email, password_hash from account;
alter table account
  add column person_id bigint references person,
  add column last_used timestamptz,
  -- whether they look at everybody's lifters, not at their own alone
  add column all_lifters boolean not null default false;
update account set person_id = id;
alter table account alter column person_id set not null;
drop index account_email;
alter table account drop column email, drop column password_hash;
create index account_person on account (person_id);
create unique index account_of_staff on account (club_id, person_id) where lifter_id is null;

alter table account drop constraint account_role_check;
update account a set role = 'OWNER' where role = 'COACH' and not exists (select 1 from account o where o.club_id = a.club_id
  and o.role = 'COACH' and o.id < a.id);
alter table account add constraint account_role_check check (role in ('OWNER', 'COACH', 'ASSISTANT', 'LIFTER'));
alter table account add constraint account_lifter_check check ((role = 'LIFTER') = (lifter_id is not null));

-- whose lifters they are; nobody's are everybody's
alter table lifter add column coach_id bigint;
alter table lifter add foreign key (club_id, coach_id) references account (club_id, id);
create index lifter_coach on lifter (club_id, coach_id) where coach_id is not null;

-- what lets somebody in when the second thing is lost: each once
create table recovery_code (
  person_id bigint   not null references person on delete cascade,
  code_hash char(64) not null,
  used_at   timestamptz,
  primary key (person_id, code_hash)
);

-- passkeys, as Spring Security keeps them
create table user_entities (
  id           varchar(1000) primary key,
  name         varchar(100)  not null unique,
  display_name varchar(200)
);
create table user_credentials (
  credential_id                varchar(1000) primary key,
  user_entity_user_id          varchar(1000) not null references user_entities on delete cascade,
  public_key                   bytea         not null,
  signature_count              bigint,
  uv_initialized               boolean,
  backup_eligible              boolean       not null,
  authenticator_transports     varchar(1000),
  public_key_credential_type   varchar(100),
  backup_state                 boolean       not null,
  attestation_object           bytea,
  attestation_client_data_json bytea,
  created                      timestamp,
  last_used                    timestamp,
  label                        varchar(1000) not null
);
create index user_credentials_user on user_credentials (user_entity_user_id);

-- a link that lets somebody in once: an invitation into a club, or another password
create table entry_link (
  id         bigint      not null,
  club_id    bigint      not null references club,
  token_hash char(64)    not null unique,
  kind       text        not null check (kind in ('INVITATION', 'PASSWORD')),
  role       text        check (role in ('OWNER', 'COACH', 'ASSISTANT', 'LIFTER')),
  lifter_id  bigint,
  person_id  bigint      references person on delete cascade,
  name       text        not null default '' check (length(name) <= 80),
  email      text        not null default '' check (length(email) <= 254),
  -- 0 for the machine
  made_by    bigint      not null,
  made_at    timestamptz not null,
  expires_at timestamptz not null,
  used_at    timestamptz,
  revoked_at timestamptz,
  primary key (club_id, id),
  foreign key (club_id, lifter_id) references lifter (club_id, id) on delete cascade,
  check ((kind = 'INVITATION') = (role is not null)),
  check ((kind = 'PASSWORD') = (person_id is not null))
);
create index entry_link_lifter on entry_link (club_id, lifter_id);

-- letters on their way; kept for whoever looks after the club where no server for mail is named
create table letter (
  id        bigint      not null,
  club_id   bigint      not null references club,
  recipient text        not null check (length(recipient) <= 254),
  subject   text        not null check (length(subject) <= 200),
  body      text        not null check (length(body) <= 4000),
  made_at   timestamptz not null,
  goes_at   timestamptz not null,
  tries     int         not null default 0,
  sent_at   timestamptz,
  failed    text        not null default '',
  primary key (club_id, id)
);
create index letter_goes on letter (goes_at) where sent_at is null;

-- what happened to doors and rights; club 0 is the house itself
create table happened (
  id         bigint      not null,
  club_id    bigint      not null,
  at         timestamptz not null,
  event      varchar(40) not null,
  account_id bigint,
  who        varchar(80) not null default '',
  address    varchar(45) not null,
  words      varchar(200) not null,
  primary key (club_id, id)
);
create index happened_at on happened (club_id, at desc, id desc);
create index happened_old on happened (at);

-- a card that a phone keeps for a day to come: its loads still move, until the first set is lifted from it
alter table card_issue add column ahead boolean not null default false;

-- what a lifter lets others of the club see, nothing at first; and whom to call for a minor
alter table lifter
  add column shows_name boolean not null default false,
  add column shows_results boolean not null default false,
  add column guardian text not null default '' check (length(guardian) <= 200);

-- somebody wants everything held about them gone: asked for, confirmed by a coach, and then so long in which it can be undone
create table deletion (
  id           bigint      not null,
  club_id      bigint      not null references club,
  lifter_id    bigint      not null,
  asked_by     bigint      not null,
  asked_at     timestamptz not null,
  confirmed_by bigint,
  goes_at      timestamptz,
  primary key (club_id, id),
  unique (club_id, lifter_id),
  foreign key (club_id, lifter_id) references lifter (club_id, id) on delete cascade,
  check ((confirmed_by is null) = (goes_at is null))
);
create index deletion_goes on deletion (goes_at);

-- training that was kept elsewhere, on its way in: its rows as they came, how they are read, what came of them
create table old_records (
  id         bigint      not null,
  club_id    bigint      not null references club,
  lifter_id  bigint      not null,
  name       text        not null check (length(name) <= 120),
  heads      text        not null,
  reading    text        not null,
  row_count  int         not null,
  state      text        not null check (state in ('DRAFT', 'RUNNING', 'IN', 'UNDOING', 'UNDONE')),
  chunks     int         not null default 0,
  chunks_done int        not null default 0,
  taken      int         not null default 0,
  doubled    int         not null default 0,
  refused    int         not null default 0,
  made_by    bigint      not null,
  made_at    timestamptz not null,
  job_id     bigint,
  version    int         not null default 0,
  primary key (club_id, id),
  foreign key (club_id, lifter_id) references lifter (club_id, id) on delete cascade
);
create index old_records_lifter on old_records (club_id, lifter_id, id desc);

create table old_row (
  club_id    bigint not null,
  records_id bigint not null,
  row_no     int    not null,
  cells      text   not null,
  primary key (club_id, records_id, row_no),
  foreign key (club_id, records_id) references old_records (club_id, id) on delete cascade
);

-- sets that are read and not in the log yet
create table old_set (
  club_id    bigint  not null,
  records_id bigint  not null,
  row_no     int     not null,
  place      int     not null,
  lift       text    not null,
  day        date    not null,
  load_ng    bigint  not null,
  unit       text    not null,
  reps       int     not null,
  sets       int     not null,
  rpe_halves int,
  easier     boolean not null,
  note       text    not null,
  primary key (club_id, records_id, row_no, place),
  foreign key (club_id, records_id) references old_records (club_id, id) on delete cascade
);

create table old_fault (
  club_id    bigint not null,
  records_id bigint not null,
  row_no     int    not null,
  reason     text   not null,
  cells      text   not null,
  primary key (club_id, records_id, row_no),
  foreign key (club_id, records_id) references old_records (club_id, id) on delete cascade
);

-- what a club's own tables call a lift
create table lift_name (
  club_id  bigint not null references club,
  typed    text   not null check (length(typed) between 1 and 80),
  lift     text   not null,
  primary key (club_id, typed)
);

alter table logged_set add column records_id bigint;
create index logged_set_records on logged_set (club_id, records_id) where records_id is not null;
