# What takes too long for CI, each bounded, on this machine alone. Read by ./pemblar.
#   ./pemblar soak                 all of it: some hours
#   ./pemblar soak all 10          the same with a tenth of the files, seconds, kills and turns: whether it holds together
#   ./pemblar soak files           1,000,000 damaged files, each answered within 2 s and 256 MB
#   ./pemblar soak search          a search led by coverage, 75 s a reader
#   ./pemblar soak kills [100]     kill -9 so often at seeded moments; nothing lost or doubled
#   ./pemblar soak turns [500]     two people and the jobs at once, against one after the other
#   ./pemblar soak upgrades        from each earlier schema, with rows in its tables
#   ./pemblar soak nodes           two nodes, one killed, PostgreSQL away
#   ./pemblar soak objects         recordings into a store of objects and back, which is killed in between

soakTests() {
  local what=$1; shift
  say "$what ..."
  (cd "$here" && mvn -q -B -ntp -pl core,formats,benchunit,app -am -Dspotless.check.skip=true -Dsurefire.failIfNoSpecifiedTests=false "$@" test) >&2 \
    || die "$what: FAILED; see the reports under target/surefire-reports"
  printf '%-40s done in %s s\n' "$what" "$SECONDS"
}

soakUsage() { die "usage: ./pemblar soak [all [PARTS] | files [1008000] | search [75] | kills [100] | turns [500] | upgrades | nodes | objects]"; }

# One step after the other, each as often as it should be or a part of it.
soakAll() {
  local parts=$1
  (soak nodes)
  (soak upgrades)
  (soak objects)
  (soak turns $((500 / parts)))
  (soak search $((75 / parts)))
  (soak files $((1008000 / parts)))
  (soak kills $((100 / parts)))
}

soak() {
  needJava
  local step=${1:-all} number=${2:-}
  case $number in *[!0-9]*) soakUsage ;; esac
  SECONDS=0
  case $step in
    files) soakTests "${number:-1008000} damaged files" -Dtest=CorpusTest -Dmutations=$((${number:-1008000} / 12)) ;;
    search) . "$here/tools/fuzz.sh"; fuzz "${number:-75}" ;;
    kills) soakTests "${number:-100} kills" -Dtest=KilledTest -Dkills="${number:-100}" ;;
    turns) soakTests "${number:-500} orders of two at once" -Dtest=InterleavingTest -Dinterleavings="${number:-500}" ;;
    upgrades) soakTests "upgrades from each schema" -Dtest='UpgradesTest,MigrationTest' -Dschemas=each ;;
    nodes) . "$here/tools/nodes.sh"; nodes 2 --try ;;
    objects) . "$here/tools/objects.sh"; soakObjects ;;
    all) number=${number:-1}; if [ "$number" -lt 1 ] || [ "$number" -gt 50 ]; then die "from 1 to 50 parts"; fi; soakAll "$number" ;;
    *) soakUsage ;;
  esac
}
