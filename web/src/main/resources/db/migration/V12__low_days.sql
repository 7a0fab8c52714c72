-- Which of the loads that stood beside each other on the Card was taken
alter table logged_set add column chosen varchar(12)
  check (chosen in ('PLANNED', 'TOP_SET', 'TODAY', 'CUT', 'LIGHTER', 'CAPPED', 'TECHNIQUE'));

-- The easier session that was chosen for a low day; null for the session as planned
alter table training_session add column easier varchar(12) check (easier in ('LIGHTER', 'CAPPED', 'TECHNIQUE'));
