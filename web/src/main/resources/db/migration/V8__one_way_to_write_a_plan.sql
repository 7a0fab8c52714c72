-- a line is known by its own ref, in records and outside: one that is taken out and put back is the same
alter table slot add column ref uuid not null default gen_random_uuid();
create unique index slot_ref on slot (club_id, ref);

-- changes of the plan have one form; those kept in the forms before it stay as a record, and are undone no more
update change set subject = case subject when 'place' then 'PLACE' else 'OLD' end;
alter table change add check (subject in ('PLAN', 'PLACE', 'OLD'));

-- who is signed in is kept in another form: everybody signs in once more
delete from spring_session;
delete from sign_in;

-- the tracker goes on from where it stood before the day under way
alter table lift_numbers add column checkpoint text check (length(checkpoint) <= 4000);
alter table tracked_point add column spread double precision check (spread >= 0);
