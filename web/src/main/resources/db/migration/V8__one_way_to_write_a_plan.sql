-- a line is known by its own ref, in records and outside: one that is taken out and put back is the same
alter table slot add column ref uuid not null default gen_random_uuid();
create unique index slot_ref on slot (club_id, ref);
-- a lifter is known outside by one too
alter table lifter add column ref uuid not null default gen_random_uuid();
create unique index lifter_ref on lifter (club_id, ref);

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
