-- Words that were used before are looked up at each page that offers them: from one to the next, not session by session.
create index session_words on session (athlete_id, kind, equipment, surface, weather, tags, sport)
  where deleted_at is null;
