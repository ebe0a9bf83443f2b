-- What waits is asked every few seconds by whoever looks after it: it must not cost more with the years behind.
create index import_file_waiting on import_file (created_at) where state = 'WAITING';
create index mail_not_sent on mail (written_at) where sent_at is null;
