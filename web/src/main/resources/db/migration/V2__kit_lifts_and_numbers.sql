-- Everything a place owns is one document, as it is always read and changed as a whole; the plates that stood in a
-- table of their own move into it. Lengths in millimetres, masses in nanograms beside the unit they were entered in.

alter table place add column kit text;

update place p set kit = jsonb_build_object(
  'unit', lower(p.unit),
  'bars', jsonb_build_array(jsonb_build_object(
    'name', 'Bar', 'mass', trim_scale(round(p.bar_ng::numeric / u.ng, 6)) || u.symbol, 'lifts', jsonb_build_array(),
    'pinsAllowed', true, 'fitsSafeties', true)),
  'collars', trim_scale(round(p.collars_ng::numeric / u.ng, 6)) || u.symbol,
  'plates', coalesce((
    select jsonb_agg(jsonb_build_object(
      'size', trim_scale(round(s.size_ng::numeric / u.ng, 6)) || u.symbol, 'pairs', s.pairs) order by s.size_ng desc)
    from plate s where s.club_id = p.club_id and s.place_id = p.id), '[]'::jsonb),
  'mixing', false, 'dumbbells', jsonb_build_array(), 'bands', jsonb_build_array(), 'chains', jsonb_build_array(),
  'strongman', jsonb_build_array())::text
from (values ('KG', 1000000000000::numeric, ' kg'), ('LB', 453592370000::numeric, ' lb')) as u (unit, ng, symbol)
where u.unit = p.unit;

drop table plate;
alter table place
  alter column kit set not null,
  drop column bar_ng,
  drop column collars_ng,
  add constraint place_name_length check (length(name) between 1 and 80);

-- lifts a club has added to the catalogue; a retired one is no longer offered but keeps its log
create table club_lift (
  id         bigint  not null,
  club_id    bigint  not null references club,
  lift_key   text    not null check (lift_key ~ '^[a-z][a-z0-9-]{0,39}$'),
  name       text    not null check (length(name) between 1 and 60),
  parent     text,
  movement   text    not null,
  pattern    text    not null,
  equipment  text    not null,
  close      boolean not null,
  ratio      double precision,
  ratio_sd   double precision,
  muscles    text    not null,
  variation  text    not null,
  retired    boolean not null,
  version    int     not null,
  primary key (club_id, id),
  unique (club_id, lift_key),
  check ((ratio is null) = (ratio_sd is null))
);

-- a lifter's further places; the one they train in first stands in lifter
create table lifter_place (
  id         bigint not null,
  club_id    bigint not null,
  lifter_id  bigint not null,
  place_id   bigint not null,
  primary key (club_id, id),
  foreign key (club_id, lifter_id) references lifter (club_id, id) on delete cascade,
  foreign key (club_id, place_id) references place (club_id, id),
  unique (club_id, lifter_id, place_id)
);

-- where it is not the place the lifter trains in first
alter table training_session
  add column place_id bigint,
  add foreign key (club_id, place_id) references place (club_id, id);

alter table lifter
  add column height_mm      int  check (height_mm between 500 and 2600),
  add column training_since date,
  add column work_load      text check (work_load in ('SEATED', 'ON_FEET', 'PHYSICAL', 'SHIFTS')),
  add column diet           text check (diet in ('HOLDING', 'GAINING', 'DIETING', 'MAKING_WEIGHT')),
  add column days_free      int  not null default 127 check (days_free between 0 and 127),
  add column gear           text not null default '',
  add column ramp_even      boolean not null default false,
  add column ramp_jump_ng   bigint check (ramp_jump_ng > 0),
  add column both_units     boolean not null default false;

create table weigh_in (
  id         bigint not null,
  club_id    bigint not null,
  lifter_id  bigint not null,
  day        date   not null,
  mass_ng    bigint not null check (mass_ng > 0),
  unit       text   not null check (unit in ('KG', 'LB')),
  primary key (club_id, id),
  foreign key (club_id, lifter_id) references lifter (club_id, id) on delete cascade,
  -- checked at the end of a statement, so that all days can be moved at once
  unique (club_id, lifter_id, day) deferrable initially immediate
);
insert into weigh_in (id, club_id, lifter_id, day, mass_ng, unit)
  select nextval('yarbel_id'), club_id, id, current_date, body_mass_ng, unit from lifter where body_mass_ng is not null;
alter table lifter drop column body_mass_ng;

-- pain and what holds somebody back; without a score it is a constraint that does not hurt
create table complaint (
  id          bigint not null,
  club_id     bigint not null,
  lifter_id   bigint not null,
  place       text   not null check (length(place) between 1 and 60),
  since       date   not null,
  score       int    check (score between 0 and 10),
  aggravates  text   not null check (length(aggravates) <= 200),
  over_on     date,
  primary key (club_id, id),
  foreign key (club_id, lifter_id) references lifter (club_id, id) on delete cascade
);
create index complaint_lifter on complaint (club_id, lifter_id);

-- what the tracker needs to go on to a later day, and what else it learned from the log
alter table lift_numbers
  add column training_percent  int not null default 90 check (training_percent between 50 and 95),
  add column last_trained      date,
  add column layoff_drop       double precision not null default 0,
  add column ratio             double precision,
  add column ratio_sd          double precision,
  add column ratio_exposures   int not null default 0,
  add column chart_stretch     double precision,
  add column chart_sets        int not null default 0,
  add column rating_bias       double precision,
  add column rating_pairs      int not null default 0;

-- a set from before, told and not lifted from a card, belongs to no session; unequal nulls keep the unique index right
alter table logged_set
  alter column session_id drop not null,
  alter column slot_id drop not null;
create index logged_set_told on logged_set (club_id, lifter_id, day desc, id desc) where session_id is null;

-- changes of a place are about no lifter
alter table change alter column lifter_id drop not null;
