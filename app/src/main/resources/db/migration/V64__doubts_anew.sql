-- What mending would do to a load did not follow a threshold that changed: what is in doubt is looked at once more.
update recording set doubts_version = 0 where doubts > 0;
