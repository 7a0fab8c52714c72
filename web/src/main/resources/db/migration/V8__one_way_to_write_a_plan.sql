-- a line is known by its own ref, in records and outside: one that is taken out and put back is the same
alter table slot add column ref uuid not null default gen_random_uuid();
create unique index slot_ref on slot (club_id, ref);
-- a lifter is known outside by one too
alter table lifter add column ref uuid not null default gen_random_uuid();
create unique index lifter_ref on lifter (club_id, ref);
-- and so are methods, places and contests, which changes tell of
alter table progression add column ref uuid not null default gen_random_uuid();
create unique index progression_ref on progression (club_id, ref);
alter table place add column ref uuid not null default gen_random_uuid();
create unique index place_ref on place (club_id, ref);
alter table contest add column ref uuid not null default gen_random_uuid();
create unique index contest_ref on contest (club_id, ref);
alter table slot add column progression uuid;
update slot s set progression = p.ref from progression p where p.club_id = s.club_id and p.id = s.progression_id;
drop index slot_progression;
alter table slot drop column progression_id, add foreign key (club_id, progression) references progression (club_id, ref);
create index slot_progression on slot (club_id, progression, exposure) where progression is not null;

-- long work is for many of a kind of its own, each known by a text and told by a name
alter table job_item add column key text check (length(key) <= 100), add column name text not null default '' check (length(name) <= 120);
update job_item i set key = l.ref::text, name = l.name from lifter l where l.club_id = i.club_id and l.id = i.lifter_id;
alter table job_item drop column lifter_id;
alter table job_item alter column key set not null;
create unique index job_item_key on job_item (club_id, job_id, key);
update job j set document = (select l.ref::text from lifter l where l.club_id = j.club_id and l.id::text = j.document) where kind = 'copy-plan'
  and exists (select 1 from lifter l where l.club_id = j.club_id and l.id::text = j.document);

-- changes of the plan have one form; those kept in the forms before it stay as a record, and are undone no more
update change set subject = case subject when 'place' then 'PLACE' else 'OLD' end;
alter table change add check (subject in ('PLAN', 'PLACE', 'OLD'));

-- who is signed in is kept in another form: everybody signs in once more
delete from spring_session;
delete from sign_in;

-- the tracker goes on from where it stood before the day under way
alter table lift_numbers add column checkpoint text check (length(checkpoint) <= 4000);
alter table tracked_point add column spread double precision check (spread >= 0);

-- What a club seldom changes is kept by the application for as long as its revision stands. The database counts it, so that
-- nobody who writes can forget to, and every node sees it with the sign-in it asks for anyway.
alter table club add column revision bigint not null default 0;
create function club_changed() returns trigger language plpgsql security definer set search_path = public as $$
begin
  update club set revision = revision + 1 where id = coalesce(new.club_id, old.club_id);
  return null;
end $$;
create trigger place_changed after insert or update or delete on place for each row execute function club_changed();
create trigger club_lift_changed after insert or update or delete on club_lift for each row execute function club_changed();
create trigger club_threshold_changed after insert or update or delete on club_threshold for each row execute function club_changed();
create function club_itself_changed() returns trigger language plpgsql as $$
begin
  new.revision := case when new.name is distinct from old.name or new.zone is distinct from old.zone or new.unit is distinct from old.unit
    then old.revision + 1 else new.revision end;
  return new;
end $$;
create trigger club_changed before update on club for each row execute function club_itself_changed();

-- the heaviest ever made is asked by every check of a week: it is kept with the other numbers of the lift
alter table lift_numbers add column heaviest_ng bigint check (heaviest_ng > 0);
update lift_numbers n set heaviest_ng = (select max(l.load_ng) from logged_set l where l.club_id = n.club_id and l.lifter_id = n.lifter_id
  and l.lift = n.lift and l.reps > 0 and l.load_ng > 0);

-- cards and the log know a line by its ref: one that is taken out and put back has its sets again; a line that is gone has one too
create temporary table line_ref on commit drop as select club_id, id, ref from slot;
insert into line_ref select club_id, id, gen_random_uuid() from (
  select club_id, slot_id as id from logged_set where slot_id is not null
  union select club_id, slot_id from left_sets
  union select i.club_id, (s ->> 'slotId')::bigint from card_issue i, jsonb_array_elements(i.document::jsonb -> 'slots') s) known
where not exists (select 1 from slot s where s.club_id = known.club_id and s.id = known.id);
create unique index on line_ref (club_id, id);

alter table logged_set add column line uuid;
update logged_set l set line = r.ref from line_ref r where r.club_id = l.club_id and r.id = l.slot_id;
drop index logged_set_place;
drop index logged_set_slot;
alter table logged_set drop column slot_id;
create unique index logged_set_place on logged_set (club_id, session_id, line, part, set_number);
create index logged_set_line on logged_set (club_id, line) where line is not null;

alter table left_sets add column line uuid;
update left_sets l set line = r.ref from line_ref r where r.club_id = l.club_id and r.id = l.slot_id;
alter table left_sets drop column slot_id, alter column line set not null, add unique (club_id, line);

-- a card names its lines by their refs, and in the order of its sets by their place on it, from 1
update card_issue i set document = (i.document::jsonb || jsonb_build_object(
  'slots', (select coalesce(jsonb_agg(s.slot - 'slotId' || jsonb_build_object('ref', r.ref) order by s.at), '[]')
      from jsonb_array_elements(i.document::jsonb -> 'slots') with ordinality s (slot, at)
      join line_ref r on r.club_id = i.club_id and r.id = (s.slot ->> 'slotId')::bigint),
  'order', (select jsonb_agg(t.turn || jsonb_build_object('line', s.at) order by t.at)
      from jsonb_array_elements(case jsonb_typeof(i.document::jsonb -> 'order') when 'array' then i.document::jsonb -> 'order' else '[]' end)
        with ordinality t (turn, at)
      join jsonb_array_elements(i.document::jsonb -> 'slots') with ordinality s (slot, at) on s.slot -> 'slotId' = t.turn -> 'line')))::text;
