-- Most entries fired nothing and correct nothing: their indexes hold only those that did. A gate asks for the last
-- use before a time. Stop and verdict together find the few that failed among millions.
drop index entry_by_use;
create index entry_by_use on entry (machine_id, recorded_at, number) where fired = 1 and corrects is null;
drop index entry_by_correction;
create index entry_by_correction on entry (machine_id, corrects) where corrects is not null;
create index entry_by_stop_verdict on entry (stop, verdict, position);

-- A page of one machine's tape is found in its index alone, whatever stop and verdict are asked for.
drop index entry_by_machine_position;
create index entry_by_machine_position on entry (machine_id, position, stop, verdict);
