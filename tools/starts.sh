# How soon what people install serves: built, laid out as on their machine, started five times on a copy of the demo's
# database in a database of its own, and then every main page asked once it runs. Read by ./pemblar (bench start).

# The same options as the service of the Debian package (tools/debian/pemblar.service).
timedStart() {
  local lib=$1 classes=$2 began pid
  shift 2
  began=$(date +%s%N)
  "$java" -Xmx1g -XX:SharedArchiveFile="$classes" -Xshare:auto -XX:+UnlockDiagnosticVMOptions \
    -XX:CompilerDirectivesFile="$here/tools/debian/started-once.json" "$@" -cp "$lib/*" pemblar.app.PemblarApplication >"$data/starts.log" 2>&1 &
  pid=$!
  until curl -fs -o /dev/null "http://127.0.0.1:$port/ready"; do
    kill -0 "$pid" 2>/dev/null || { tail -n 20 "$data/starts.log" >&2; die "the package did not start"; }
    sleep 0.05
  done
  local wall=$((($(date +%s%N) - began) / 1000000)) processor
  processor=$(awk -v hz="$(getconf CLK_TCK)" '{ printf "%.1f", ($14 + $15) / hz }' "/proc/$pid/stat")
  printf '%s.%03d s to /ready, %s s of processor  %s\n' $((wall / 1000)) $((wall % 1000)) "$processor" "$*"
  startedPid=$pid
}

endStart() { kill "$startedPid"; wait "$startedPid" 2>/dev/null || true; }

benchStart() {
  need curl curl
  local out=$here/target/starts bin number
  [ -n "${PEMBLAR_DATABASE:-}" ] && die "bench start makes a database of its own: unset PEMBLAR_DATABASE"
  mkdir -p "$data"
  build
  (cd "$here" && mvn -q -B -ntp -DskipTests package)
  startApplication demo
  stopApplication
  . "$here/tools/package.sh"
  package
  rm -rf "$out" && mkdir -p "$out"
  tar -C "$out" -xzf "$here/target/package/pemblar-$version.tar.gz"
  bin=$(pgbin)
  local sql=("$bin/psql" -q -h 127.0.0.1 -p "$pgport" -U pemblar -d postgres) lib=$out/pemblar-$version/lib
  startDatabase
  "${sql[@]}" -c "drop database if exists pemblar_start" -c "create database pemblar_start template pemblar"
  (
    export PEMBLAR_DATABASE=jdbc:postgresql://127.0.0.1:$pgport/pemblar_start PEMBLAR_PORT=$port
    say "Laying out classes ..."
    "$java" -Xmx1g -XX:ArchiveClassesAtExit="$out/classes.jsa" -Dspring.context.exit=onRefresh -cp "$lib/*" \
      pemblar.app.PemblarApplication >"$data/starts.log" 2>&1 || die "the classes could not be laid out: see $data/starts.log"
    for number in 1 2 3; do timedStart "$lib" "$out/classes.jsa" -XX:TieredStopAtLevel=1; endStart; done
    for number in 1 2 3; do timedStart "$lib" "$out/classes.jsa"; [ "$number" = 3 ] || endStart; done
    "$java" -Xmx512m -cp "$here/benchmark/target/benchmark-0.1.0.jar:$here/benchmark/target/lib/*" \
      pemblar.benchmark.PageLoad "http://127.0.0.1:$port" table
    endStart
  )
  "${sql[@]}" -c "drop database pemblar_start"
  rm -rf "$out"
}
