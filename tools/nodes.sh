# Several nodes of Pemblar on this machine, behind HAProxy, on one PostgreSQL. Read by ./pemblar.
#   ./pemblar nodes 2         starts them; people go to the port of the proxy, PEMBLAR_PORT
#   ./pemblar nodes 2 --try   besides sends 50 people, kills a node, stops PostgreSQL for 20 s, and counts
#   ./pemblar nodes 2 --pooled [--try]   the same with PgBouncer before PostgreSQL: many nodes, few connections
#   ./pemblar nodes 2 --replica [--try]  the same with a second PostgreSQL that follows and answers reading pages
#   ./pemblar nodes stop

nodesFolder() { echo "$data/nodes"; }

# The proxy has the port itself, PostgreSQL the next one; nodes begin eleven on.
nodePort() { echo $((port + 10 + $1)); }

poolPort() { echo $((port + 21)); }

replicaPort() { echo $((port + 22)); }

nodeIsUp() { curl -fs -o /dev/null --max-time 3 "http://127.0.0.1:$1/ready"; }

startNode() {
  local number=$1 folder database=$PEMBLAR_DATABASE; folder=$(nodesFolder)
  # a statement that is prepared on one connection is not known on the next, which a pool may give
  [ -f "$folder/pool.pid" ] && database="jdbc:postgresql://127.0.0.1:$(poolPort)/pemblar?prepareThreshold=0"
  [ -f "$folder/replica" ] && local -x PEMBLAR_DATABASE_TO_READ="jdbc:postgresql://127.0.0.1:$(replicaPort)/pemblar"
  PEMBLAR_DATABASE=$database PEMBLAR_PORT=$(nodePort "$number") PEMBLAR_SITE=http://127.0.0.1:$port PEMBLAR_FORWARDED=native nohup "$java" -Xmx700m -XX:+UseSerialGC -XX:TieredStopAtLevel=4 \
    -cp "$app/app-0.1.0.jar:$app/lib/*" pemblar.app.PemblarApplication >>"$folder/node-$number.log" 2>&1 &
  echo $! >"$folder/node-$number.pid"
}

waitForNode() {
  for _ in $(seq 1 600); do
    if nodeIsUp "$(nodePort "$1")"; then return 0; fi
    kill -0 "$(cat "$(nodesFolder)/node-$1.pid")" 2>/dev/null || die "node $1 did not start: see $(nodesFolder)/node-$1.log"
    sleep 0.2
  done
  die "node $1 was not ready within two minutes: see $(nodesFolder)/node-$1.log"
}

# People are sent to nodes that are ready: after the database was away one node is back some seconds before another. While
# none is, each of them shows the page that says so. A node that does not answer gets no more requests. No connection to a node is kept for the
# next request: one that the node is just closing would look like a request that was lost. Only what never reached a node
# is sent to another one; all else is the browser's to send again, as it may have been done.
proxySettings() {
  cat <<SETTINGS
global
  maxconn 2000
defaults
  mode http
  timeout connect 1s
  timeout client 75s
  timeout server 75s
  retries 2
  retry-on conn-failure
  option redispatch
  option http-server-close
  option forwardfor
  log stdout format raw local0
  option httplog
  option dontlog-normal
frontend people
  bind 127.0.0.1:$port
  default_backend nodes
backend nodes
  balance leastconn
  option httpchk GET /ready
  option allbackups
  timeout check 2s
SETTINGS
  for number in $(seq 1 "$1"); do
    echo "  server node$number 127.0.0.1:$(nodePort "$number") check inter 500ms fall 3 rise 1"
    echo "  server node$number-anyway 127.0.0.1:$(nodePort "$number") backup"
  done
}

# Each transaction has one of few connections; nothing that Pemblar does outlives one (locks are of the transaction).
poolSettings() {
  cat <<SETTINGS
[databases]
pemblar = host=127.0.0.1 port=$pgport dbname=pemblar user=pemblar
[pgbouncer]
listen_addr = 127.0.0.1
listen_port = $(poolPort)
unix_socket_dir =
auth_type = any
pool_mode = transaction
default_pool_size = 16
max_client_conn = 500
ignore_startup_parameters = extra_float_digits
server_connect_timeout = 2
server_login_retry = 1
query_wait_timeout = 3
logfile = $1/pool.log
pidfile = $1/pool.pid
SETTINGS
}

startPool() {
  need pgbouncer pgbouncer
  local folder cluster; folder=$(nodesFolder); cluster=$(cat "$data/cluster")
  # it does not run as root, so its files lie where PostgreSQL's do
  poolSettings "$cluster" >"$cluster/pool.ini"
  chmod 644 "$cluster/pool.ini"
  (cd /tmp && asPg pgbouncer -q -d "$cluster/pool.ini") || die "PgBouncer did not start: see $cluster/pool.log"
  for _ in $(seq 1 50); do
    if "$(pgbin)/psql" -qtA -h 127.0.0.1 -p "$(poolPort)" -U pemblar -d pemblar -c 'select 1' >/dev/null 2>&1; then
      cp "$cluster/pool.pid" "$folder/pool.pid"
      return 0
    fi
    sleep 0.1
  done
  die "PgBouncer did not start: see $cluster/pool.log"
}

# A copy by streaming replication, made anew each time.
startReplica() {
  local folder copy; folder=$(nodesFolder); copy=$(cat "$data/cluster")-copy
  stopReplica
  rm -rf "$copy"
  mkdir -p "$copy"
  [ "$(id -u)" = 0 ] && chown postgres "$copy"
  chmod 700 "$copy"
  (cd /tmp && asPg "$(pgbin)/pg_basebackup" -h 127.0.0.1 -p "$pgport" -U pemblar -D "$copy" -R --checkpoint=fast) \
    || die "the copy of the database could not be made"
  echo "$copy" >"$folder/replica"
  replicaControl -w -l "$copy/server.log" -o "-p $(replicaPort) -c listen_addresses=127.0.0.1 -c unix_socket_directories='' -c shared_buffers=256MB -c max_connections=60" start \
    || die "the copy of the database did not start: see $copy/server.log"
}

replicaControl() { (cd /tmp && asPg "$(pgbin)/pg_ctl" -D "$(cat "$(nodesFolder)/replica")" "$@" >/dev/null); }

stopReplica() {
  [ -f "$(nodesFolder)/replica" ] || return 0
  replicaControl -m fast -w stop 2>/dev/null || true
  rm -rf "$(cat "$(nodesFolder)/replica")" "$(nodesFolder)/replica"
}

# How each node sees the copy: whether it is asked, how far behind it is, what it answered.
showReplica() {
  [ -f "$(nodesFolder)/replica" ] || return 0
  local number
  for number in $(seq 1 "$1"); do
    curl -s --max-time 3 "http://127.0.0.1:$(nodePort "$number")/metrics" | awk -v node="$number" '
      /^pemblar_copy_/ { sub("pemblar_copy_", ""); f[$1] = $2 }
      END { if ("asked" in f) printf "node %s: the copy is %s, %d ms and %d bytes behind; it answered %d pages, %d of its were asked again\n", node,
        f["asked"] ? "asked" : "not asked", f["behind_milliseconds"], f["behind_bytes"], f["answered"], f["asked_again"] }'
  done
}

stopNodes() {
  local folder; folder=$(nodesFolder)
  stopReplica
  for file in "$folder"/*.pid; do
    [ -f "$file" ] || continue
    kill "$(cat "$file")" 2>/dev/null || true
  done
  for file in "$folder"/*.pid; do
    [ -f "$file" ] || continue
    for _ in $(seq 1 150); do kill -0 "$(cat "$file")" 2>/dev/null || break; sleep 0.1; done
    kill -9 "$(cat "$file")" 2>/dev/null || true
    rm -f "$file"
  done
}

startNodes() {
  local count=$1 folder; folder=$(nodesFolder)
  case $count in [1-9]) ;; *) die "usage: ./pemblar nodes 2 [--pooled] [--replica] [--try] | nodes stop" ;; esac
  need haproxy haproxy curl curl
  if running; then die "Pemblar is running as one node: ./pemblar stop first"; fi
  stopNodes
  for taken in "$port" $(for number in $(seq 1 "$count"); do nodePort "$number"; done); do
    if (exec 3<>"/dev/tcp/127.0.0.1/$taken") 2>/dev/null; then
      die "port $taken is taken by another program: set PEMBLAR_PORT, for the proxy; nodes begin at eleven more"
    fi
  done
  mkdir -p "$folder"
  rm -f "$folder"/*.log "$folder/end"
  startDatabase
  [ -z "${pooled:-}" ] || startPool
  [ -z "${replica:-}" ] || startReplica
  startNode 1
  waitForNode 1 # it brings the schema up to date
  for number in $(seq 2 "$count"); do startNode "$number"; done
  for number in $(seq 2 "$count"); do waitForNode "$number"; done
  proxySettings "$count" >"$folder/haproxy.cfg"
  nohup haproxy -db -f "$folder/haproxy.cfg" >"$folder/haproxy.log" 2>&1 &
  echo $! >"$folder/haproxy.pid"
  for _ in $(seq 1 100); do if nodeIsUp "$port"; then break; fi; sleep 0.1; done
  nodeIsUp "$port" || die "the proxy did not start: see $folder/haproxy.log"
  say "$count nodes are ready: http://127.0.0.1:$port/"
}

databaseControl() {
  local cluster; cluster=$(cat "$data/cluster")
  (cd /tmp && asPg "$(pgbin)/pg_ctl" -D "$cluster" "$@" >/dev/null)
}

# A try that fails half way leaves neither nodes nor people behind, which the next one would stumble over.
leaveNothing() {
  [ -z "${people:-}" ] || kill "$people" 2>/dev/null || true
  stopNodes
}

# 50 people at once while a node dies and the database is away; then what they were told is held against the tables.
tryNodes() {
  [ -n "${PEMBLAR_DATABASE:-}" ] && die "--try stops PostgreSQL, so it takes the private one: unset PEMBLAR_DATABASE"
  trap leaveNothing EXIT
  startNodes "$1"
  local folder; folder=$(nodesFolder)
  (cd "$here" && mvn -q -B -ntp -DskipTests -Dmaven.test.skip=true package) || die "the build failed"
  "$java" -Xmx400m -cp "$here/benchmark/target/benchmark-0.1.0.jar:$here/benchmark/target/lib/*" \
    pemblar.benchmark.PeopleLoad "http://127.0.0.1:$port" 50 "$folder/end" >"$folder/people.log" 2>&1 &
  people=$!
  until grep -q '^begun' "$folder/people.log"; do
    kill -0 $people 2>/dev/null || { cat "$folder/people.log"; die "nobody could sign up"; }
    sleep 0.5
  done
  sleep 15
  showReplica "$1"
  say "Node 1 is killed."; { kill -9 "$(cat "$folder/node-1.pid")" && wait "$(cat "$folder/node-1.pid")"; } 2>/dev/null || true
  sleep 15
  say "Node 1 starts anew."; startNode 1; waitForNode 1
  sleep 10
  say "PostgreSQL is stopped for 20 s."; databaseControl -m fast -w stop
  sleep 20
  startArguments=(-w -l "$(cat "$data/cluster")/server.log" -o "-p $pgport -c listen_addresses=127.0.0.1 -c unix_socket_directories='' -c shared_buffers=256MB -c max_connections=60")
  say "PostgreSQL starts."; databaseControl "${startArguments[@]}" start
  sleep 20
  showReplica "$1"
  if [ -f "$folder/replica" ]; then
    say "The copy is stopped."; replicaControl -m immediate -w stop
    sleep 10
    showReplica "$1"
  fi
  sleep 10
  touch "$folder/end"
  local told=0; wait "$people" || told=$?
  cat "$folder/people.log"
  local sql=("$(pgbin)/psql" -qtA -h 127.0.0.1 -p "$pgport" -U pemblar -d pemblar)
  local run; run=$(sed -n 's/^begun //p' "$folder/people.log")
  local sketches uploads; sketches=$(sed -n 's/^sketches //p' "$folder/people.log"); uploads=$(sed -n 's/^uploads //p' "$folder/people.log")
  local mine="athlete_id in (select a.id from athlete a join account c on c.id = a.account_id where c.email like '$run-%')"
  held "sketches told and kept" "$sketches" "$("${sql[@]}" -c "select count(*) from session where $mine and title like 'sketch %'")"
  held "of which different" "$sketches" "$("${sql[@]}" -c "select count(distinct (athlete_id, title)) from session where $mine and title like 'sketch %'")"
  held "uploads told and read" "$uploads" "$("${sql[@]}" -c "select count(*) from recording where $mine")"
  held "of which different" "$uploads" "$("${sql[@]}" -c "select count(distinct (athlete_id, started_at)) from recording where $mine")"
  held "sessions of recordings" "$uploads" "$("${sql[@]}" -c "select count(*) from session where $mine and recording_id is not null")"
  held "files that still wait" 0 "$("${sql[@]}" -c "select count(*) from import_file where state = 'WAITING'")"
  held "jobs that failed at their last try" 0 "$("${sql[@]}" -c 'select count(*) from scheduled_tasks where consecutive_failures > 0')"
  stopNodes
  [ "$told" = 0 ] && [ -z "${different:-}" ] || die "not as it should be; the people of this run stay to be looked at ($run-…)"
  "${sql[@]}" -c "delete from athlete where account_id in (select id from account where email like '$run-%')" \
    -c "delete from spring_session where principal_name like '$run-%'" -c "delete from account where email like '$run-%'"
  say "Nothing lost, nothing doubled."
}

held() {
  printf '%-40s %8s %8s%s\n' "$1" "$2" "$3" "$([ "$2" = "$3" ] || echo '   DIFFERENT')"
  [ "$2" = "$3" ] || different=yes
}

nodes() {
  case ${1:-} in
    stop) stopNodes; say "The nodes are stopped." ;;
    *)
      build; mkdir -p "$data"
      case " $* " in *" --pooled "*) pooled=yes ;; esac
      case " $* " in *" --replica "*) replica=yes ;; esac
      case " $* " in *" --try "*) tryNodes "${1:-}" ;; *) startNodes "${1:-}" ;; esac
      ;;
  esac
}
