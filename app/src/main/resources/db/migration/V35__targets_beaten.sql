-- Whether the hard steps of the session that a recording belongs to were all done over their targets; null: not told.
alter table recording add column targets_beaten boolean;
