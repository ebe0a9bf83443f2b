# What takes too long for CI, each bounded, on this machine alone. Read by ./pemblar.
#   ./pemblar soak                 all of it: some hours
#   ./pemblar soak files           1,000,000 damaged files, each answered within 2 s and 256 MB
#   ./pemblar soak search          a search led by coverage, 75 s a reader
#   ./pemblar soak kills [100]     kill -9 so often at seeded moments; nothing lost or doubled
#   ./pemblar soak turns [500]     two people and the jobs at once, against one after the other
#   ./pemblar soak nodes           two nodes, one killed, PostgreSQL away
#   ./pemblar soak objects         recordings into a store of objects and back, which is killed in between

soakTests() {
  local what=$1; shift
  say "$what ..."
  (cd "$here" && mvn -q -B -ntp -pl core,formats,benchunit,app -am -Dspotless.check.skip=true -Dsurefire.failIfNoSpecifiedTests=false "$@" test) >&2 \
    || die "$what: FAILED; see the reports under target/surefire-reports"
  printf '%-40s done in %s s\n' "$what" "$SECONDS"
}

soak() {
  needJava
  local step=${1:-all} number=${2:-}
  case $number in *[!0-9]*) die "usage: ./pemblar soak [files | search | kills [100] | turns [500] | nodes | objects]" ;; esac
  SECONDS=0
  case $step in
    files) soakTests "1,008,000 damaged files" -Dtest=CorpusTest -Dmutations=84000 ;;
    search) . "$here/tools/fuzz.sh"; fuzz 75 ;;
    kills) soakTests "${number:-100} kills" -Dtest=KilledTest -Dkills="${number:-100}" ;;
    turns) soakTests "${number:-500} orders of two at once" -Dtest=InterleavingTest -Dinterleavings="${number:-500}" ;;
    nodes) . "$here/tools/nodes.sh"; nodes 2 --try ;;
    objects) . "$here/tools/objects.sh"; soakObjects ;;
    all) local one; for one in nodes objects turns search files kills; do (soak "$one"); done ;;
    *) die "usage: ./pemblar soak [files | search | kills [100] | turns [500] | nodes | objects]" ;;
  esac
}
