# Searches for what a reader of files cannot answer, led by what each try reaches in the code. Read by ./pemblar.
#   ./pemblar fuzz [SECONDS]          each reader so long; 75 make a quarter of an hour
#   ./pemblar fuzz SECONDS FIT ASK    these alone
# What is found stays in target/fuzz/READER; mended, it goes into formats/src/test/corpus/READER, which CI reads.

fuzz() {
  local seconds=${1:-75} found=0 readers reader folder
  case $seconds in ''|*[!0-9]*) die "usage: ./pemblar fuzz [SECONDS] [READER ...]" ;; esac
  [ $# -gt 0 ] && shift
  needJava
  (cd "$here" && mvn -q -B -ntp -pl core,formats -DskipTests test-compile dependency:build-classpath \
    -DincludeScope=test -Dmdep.outputFile=target/test-classpath) >&2 || die "the build failed"
  readers=${*:-FIT GPX FIT_WORKOUT FIT_ZONES WORKOUT_JSON STRENGTH_JSON ZONE_SCHEME_JSON SETS_CSV BANDS_CSV SHORTHAND STRENGTH_SHORTHAND ASK}
  for reader in $readers; do
    folder=$(printf '%s' "$reader" | tr 'A-Z_' 'a-z-')
    [ -d "$here/formats/src/test/corpus/$folder" ] || die "there is no reader $reader; one of FIT GPX FIT_WORKOUT FIT_ZONES WORKOUT_JSON STRENGTH_JSON ZONE_SCHEME_JSON SETS_CSV BANDS_CSV SHORTHAND STRENGTH_SHORTHAND ASK"
    mkdir -p "$here/target/fuzz/$folder/reached"
    if (cd "$here/target/fuzz/$folder" && "$java" -Xmx1g -XX:-OmitStackTraceInFastThrow -Dpemblar.fuzz="$reader" \
      -cp "$here/formats/target/test-classes:$here/formats/target/classes:$(cat "$here/formats/target/test-classpath")" \
      com.code_intelligence.jazzer.Jazzer --target_class=pemblar.formats.fuzz.Fuzz --instrumentation_includes='pemblar.**' \
      -max_total_time="$seconds" -timeout=30 -max_len=16384 -rss_limit_mb=2048 reached "$here/formats/src/test/corpus/$folder") >"$here/target/fuzz/$folder.log" 2>&1
    then
      printf '%-20s nothing found   %s\n' "$reader" "$(grep -o 'DONE.*\|Done [0-9]* runs.*' "$here/target/fuzz/$folder.log" | tail -n 1)"
    else
      printf '%-20s FOUND: %s\n' "$reader" "$(grep -m1 -E "^== Java|^ALARM|^ERROR: " "$here/target/fuzz/$folder.log" | cut -c1-160)"
      found=1
    fi
  done
  [ $found = 0 ] || die "see target/fuzz"
}
