# Recordings that move into a store of objects and back while six people use the application: the store in a folder of
# this machine, the demo's database copied into one of its own. Read by ./pemblar (soak objects).

objectsFolder() { echo "$data/objects"; }

objectsPort() { echo $((port + 30)); }

# It is there once the bucket is; making it again does no harm.
startStore() {
  # it keeps what it was sent in memory that is not the heap's
  "$java" -Xmx300m -XX:MaxDirectMemorySize=3g -cp "$here/benchmark/target/benchmark-0.1.0.jar:$here/benchmark/target/lib/*" \
    pemblar.benchmark.LocalObjects "$(objectsPort)" "$(objectsFolder)/store" >>"$(objectsFolder)/store.log" 2>&1 &
  storePid=$!
  for _ in $(seq 1 150); do
    if curl -s -o /dev/null --max-time 5 -X PUT "http://127.0.0.1:$(objectsPort)/pemblar"; then return 0; fi
    kill -0 "$storePid" 2>/dev/null || die "the store did not start: see $(objectsFolder)/store.log"
    sleep 0.2
  done
  die "the store did not answer: see $(objectsFolder)/store.log"
}

killStore() { { kill -9 "$storePid" && wait "$storePid"; } 2>/dev/null || true; }

# With a jar of cookies of its own for each person.
asked() { curl -s --max-time 30 -b "$(objectsFolder)/$1" -c "$(objectsFolder)/$1" "${@:3}" "http://127.0.0.1:$port$2"; }

signedIn() {
  local token; token=$(asked "$1" /sign-in | sed -n 's/.*name="_csrf"[^>]*value="\([^"]*\)".*/\1/p' | head -n 1)
  asked "$1" /sign-in -o /dev/null --data-urlencode "username=$1@pemblar.example" --data-urlencode "password=pemblar-demo" \
    --data-urlencode "_csrf=$token"
}

# What the operator's page says of where recordings lie.
whereTheyLie() {
  asked oda /operator | tr '\n' ' ' | sed 's/.*Where recordings lie//; s/<h2>.*//; s/<[^>]*>/ /g' | tr -s ' ' | sed 's/^ *//; s/ *$//'
}

inPlace() { "${sql[@]}" -d pemblar_objects -c "select count(*) from recording_data where place = '$1'"; }

# Waits until none lies there any more; ten minutes at most.
untilNoneIn() {
  local left
  for _ in $(seq 1 300); do
    left=$(inPlace "$1")
    [ "$left" = 0 ] && return 0
    sleep 2
  done
  die "$left recordings still lie in $1 after ten minutes"
}

fingerprints() {
  "${sql[@]}" -d pemblar_objects -F ' ' -c "select recording_id, encode(sha256(original), 'hex'), encode(sha256(channels), 'hex')
    from recording_data where place = 'DATABASE' order by recording_id"
}

# The same lines, of what the store itself answers.
fingerprintsInStore() {
  local id folder; folder=$(objectsFolder)/fetched
  rm -rf "$folder"; mkdir -p "$folder"
  cut -d' ' -f1 "$1" | while read -r id; do
    for part in original channels; do
      printf 'url = "http://127.0.0.1:%s/pemblar/recordings/%s/%s"\noutput = "%s/%s-%s"\n' "$(objectsPort)" "$id" "$part" "$folder" "$id" "$part"
    done
  done >"$folder.txt"
  curl -s --fail -K "$folder.txt" || die "the store does not have all that was moved into it"
  cut -d' ' -f1 "$1" | while read -r id; do
    echo "$id $(sha256sum <"$folder/$id-original" | cut -d' ' -f1) $(sha256sum <"$folder/$id-channels" | cut -d' ' -f1)"
  done
  rm -rf "$folder" "$folder.txt"
}

objectsOfRecordings() { curl -s "http://127.0.0.1:$(objectsPort)/pemblar?list-type=2&prefix=recordings/" | grep -o '<Key>' | wc -l; }

# What a person sees of the latest ride while the store is away, and what of the day.
whileAway() {
  held "  the review while the store is away" 503 "$(asked jonna "$1" -o /dev/null -w '%{http_code}')"
  held "  today's page while it is away" 200 "$(asked jonna "/a/$2/today" -o /dev/null -w '%{http_code}')"
}

moveOut() {
  local folder people told=0; folder=$(objectsFolder)
  PEMBLAR_RECORDINGS_IN=objects startApplication demo
  signedIn oda; signedIn jonna
  "$java" -Xmx300m -cp "$here/benchmark/target/benchmark-0.1.0.jar:$here/benchmark/target/lib/*" \
    pemblar.benchmark.PeopleLoad "http://127.0.0.1:$port" 6 "$folder/end" >"$folder/people.log" 2>&1 &
  people=$!
  until grep -q '^begun' "$folder/people.log"; do
    kill -0 $people 2>/dev/null || { cat "$folder/people.log"; die "nobody could sign up"; }
    sleep 0.5
  done
  say "While they move: $(whereTheyLie)"
  killStore
  say "The store is killed for 20 s, with $(inPlace OBJECTS) recordings in it."
  local rider session # the first athlete is the demo's only where the demo came first
  rider=$("${sql[@]}" -d pemblar_objects -c "select a.id from athlete a join account c on c.id = a.account_id where c.email = 'jonna@pemblar.example'")
  session=$("${sql[@]}" -d pemblar_objects -c "select s.id from session s join recording_data d on d.recording_id = s.recording_id
    where s.athlete_id = $rider and d.place = 'OBJECTS' order by s.id desc limit 1")
  whileAway "/a/$rider/sessions/$session" "$rider"
  sleep 20
  startStore
  say "The store is there again."
  untilNoneIn DATABASE
  held "  the review once it is there again" 200 "$(asked jonna "/a/$rider/sessions/$session" -o /dev/null -w '%{http_code}')"
  touch "$folder/end"
  wait "$people" || told=$?
  untilNoneIn DATABASE
  sed 's/^/  /' "$folder/people.log"
  held "requests that failed twice, or people signed out" 0 "$told"
  say "When all are moved: $(whereTheyLie)"
  stopApplication
}

soakObjects() {
  need curl curl
  [ -n "${PEMBLAR_DATABASE:-}" ] && die "soak objects makes a database of its own: unset PEMBLAR_DATABASE"
  . "$here/tools/nodes.sh" # held
  local folder bin run; folder=$(objectsFolder)
  rm -rf "$folder"; mkdir -p "$folder"
  build
  (cd "$here" && mvn -q -B -ntp -DskipTests package) || die "the build failed"
  startApplication demo
  stopApplication
  bin=$(pgbin)
  sql=("$bin/psql" -qtA -h 127.0.0.1 -p "$pgport" -U pemblar)
  "${sql[@]}" -d postgres -c "drop database if exists pemblar_objects" -c "create database pemblar_objects template pemblar"
  export PEMBLAR_DATABASE=jdbc:postgresql://127.0.0.1:$pgport/pemblar_objects PEMBLAR_OPERATOR=oda@pemblar.example
  export PEMBLAR_OBJECTS=http://127.0.0.1:$(objectsPort) PEMBLAR_OBJECTS_KEY=soak PEMBLAR_OBJECTS_SECRET=soak-secret
  trap 'stopApplication; killStore' EXIT
  fingerprints >"$folder/before"
  startStore
  moveOut
  fingerprintsInStore "$folder/before" >"$folder/in-store"
  held "recordings in the store, each with its hash" "$(wc -l <"$folder/before")" "$(comm -12 <(sort "$folder/before") <(sort "$folder/in-store") | wc -l)"
  run=$(sed -n 's/^begun //p' "$folder/people.log")
  local mine="athlete_id in (select a.id from athlete a join account c on c.id = a.account_id where c.email like '$run-%')"
  held "uploads told and read" "$(sed -n 's/^uploads //p' "$folder/people.log")" "$("${sql[@]}" -d pemblar_objects -c "select count(*) from recording where $mine")"
  PEMBLAR_RECORDINGS_IN=database startApplication demo
  signedIn oda
  say "While they come back: $(whereTheyLie)"
  untilNoneIn OBJECTS
  say "When all are back: $(whereTheyLie)"
  fingerprints >"$folder/after"
  held "recordings back in the database, the same bytes" "$(wc -l <"$folder/before")" "$(comm -12 <(sort "$folder/before") <(sort "$folder/after") | wc -l)"
  for _ in $(seq 1 150); do [ "$(objectsOfRecordings)" = 0 ] && break; sleep 2; done
  held "objects that stay in the store" 0 "$(objectsOfRecordings)"
  held "jobs that failed at their last try" 0 "$("${sql[@]}" -d pemblar_objects -c 'select count(*) from scheduled_tasks where consecutive_failures > 0')"
  stopApplication
  "${sql[@]}" -d postgres -c "drop database pemblar_objects"
  [ -z "${different:-}" ] || die "not as it should be: see $folder"
  rm -rf "$folder"
  say "Moved out and back, nothing lost."
}
