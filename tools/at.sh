# ./pemblar --at URL COMMAND: asks a Pemblar that runs elsewhere (docs/formats/programs.md). The token is in PEMBLAR_TOKEN.

atUsage() {
  say "usage: PEMBLAR_TOKEN=... ./pemblar --at URL COMMAND
  me                                   whose token this is and what it may
  athletes                             whom it sees
  sessions ATHLETE [FROM [TO]]         sessions of some days
  put ATHLETE DAY SPORT TITLE WORKOUT  a workout in shorthand on a day
  upload ATHLETE FILE...               recordings
  thresholds ATHLETE | plan ATHLETE | checkins ATHLETE | trend ATHLETE
  ask TOPIC < in                       one question to the core
  get PATH                             anything else below /api/v1"
  exit 2
}

# One request; the answer goes to standard output, a refusal to standard error with exit code 1.
atAsk() {
  local method=$1 path=$2; shift 2
  local answer status
  answer=$(mktemp)
  # The token goes by a file, so that nobody reads it in the list of processes.
  status=$(curl -sS -o "$answer" -w '%{http_code}' -X "$method" -K <(printf 'header = "Authorization: Bearer %s"\n' "$PEMBLAR_TOKEN") \
    "$@" "${at%/}/api/v1$path") || { rm -f "$answer"; die "$at does not answer"; }
  if [ "$status" -ge 400 ]; then cat "$answer" >&2; echo >&2; rm -f "$answer"; exit 1; fi
  cat "$answer"; rm -f "$answer"; echo
}

# Words as a JSON string.
atWord() { local w=${1//\\/\\\\}; w=${w//\"/\\\"}; w=${w//$'\n'/\\n}; printf '"%s"' "$w"; }

# Words as a part of an address.
atPart() { local LC_ALL=C i c; for ((i = 0; i < ${#1}; i++)); do c=${1:i:1}; case $c in [A-Za-z0-9._~-]) printf '%s' "$c" ;; *) printf '%%%02X' "'$c" ;; esac; done; }

askElsewhere() {
  at=${1:-}
  [ -n "$at" ] && [ $# -ge 2 ] || atUsage
  [ -n "${PEMBLAR_TOKEN:-}" ] || die "set PEMBLAR_TOKEN to a token from the page of programs: $at/account/programs"
  need curl curl
  local command=$2 file; shift 2
  case $command in
    me) atAsk GET /me ;;
    athletes) atAsk GET /athletes ;;
    sessions) [ $# -ge 1 ] || atUsage
      atAsk GET "/athletes/$(atPart "$1")/sessions?limit=200${2:+&from=$(atPart "$2")}${3:+&to=$(atPart "$3")}" ;;
    put) [ $# -eq 5 ] || atUsage
      atAsk POST "/athletes/$(atPart "$1")/sessions" -H 'Content-Type: application/json' \
        --data-binary "{\"day\":$(atWord "$2"),\"sport\":$(atWord "$3"),\"title\":$(atWord "$4"),\"workout\":$(atWord "$5")}" ;;
    upload) [ $# -ge 2 ] || atUsage
      local athlete=$1; shift
      for file in "$@"; do
        [ -f "$file" ] || die "$file is no file"
        atAsk POST "/athletes/$(atPart "$athlete")/recordings?name=$(atPart "$(basename "$file")")" \
          -H 'Content-Type: application/octet-stream' --data-binary "@$file"
      done ;;
    thresholds|plan|checkins|trend) [ $# -eq 1 ] || atUsage; atAsk GET "/athletes/$(atPart "$1")/$command" ;;
    ask) [ $# -eq 1 ] || atUsage
      atAsk POST "/ask/$(atPart "$1")" -H 'Content-Type: application/json' --data-binary @- ;;
    get) [ $# -eq 1 ] || atUsage; atAsk GET "/${1#/}" ;;
    *) atUsage ;;
  esac
}
