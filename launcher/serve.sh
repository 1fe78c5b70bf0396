# Starting and stopping the server: sourced by ../vadose.

# begun PID: when a process began, in ticks since the machine did; nothing where there is no such process
begun() { sed 's/.*) //' "/proc/$1/stat" 2>/dev/null | cut -d' ' -f20; }

# ours MODE: reads who is written down as running, and whether it is: our program, from this folder, begun then.
# A pid alone proves nothing: it may be anybody's by now.
ours() {
  read -r pid url started 2>/dev/null <"$state/$1.address" || return 1
  [ -n "$started" ] && [ "$(begun "$pid")" = "$started" ] || return 1
  tr '\0' ' ' <"/proc/$pid/cmdline" 2>/dev/null | grep -q 'server/dist/main\.js'
}

running_at() { # running_at MODE: prints where it answers, if it does
  local pid url started
  ours "$1" || return 1
  node -e 'fetch(process.argv[1]+"/api/health").then(r=>r.json()).then(h=>process.exit(h.name==="vadose"?0:1),()=>process.exit(1))' "$url" || return 1
  printf '%s' "$url"
}

# only one start of a mode goes on; another says so and, once the first answers, where
only_start() {
  local mode=$1 url
  exec 7>"$state/$mode.lock"
  flock -n 7 && return
  say "Vadose is being started already …"
  for _ in $(seq 600); do
    if url=$(running_at "$mode"); then say "Vadose is running already: $url"; exit 0; fi
    if flock -n 7; then return; fi
    sleep 0.2
  done
  fail "Another start of Vadose has been going on for minutes; ./vadose stop ends it."
}

room_to_write() {
  local left
  (printf x >"$state/.try" && rm "$state/.try") 2>/dev/null || fail "Vadose cannot write to $state: the disk is full or read-only, or the folder belongs to somebody else. Nothing was changed."
  left=$(df -Pk "$state" | awk 'NR == 2 { print int($4 / 1024) }')
  [ "$left" -ge 100 ] || fail "Only $left MB are left on the disk of $state; Vadose needs 100 to start without danger to what is kept. Make room first."
}

serve() { # serve MODE DEFAULT_PORT [main.js options]
  local mode=$1 port=$2 url server
  shift 2
  need_node
  if url=$(running_at "$mode"); then say "Vadose is running already: $url"; return; fi
  room_to_write
  only_start "$mode"
  rm -f "$state/$mode.address"
  export PORT=${PORT:-$port} VADOSE_ADDRESS_FILE=$state/$mode.address
  case "${HOST:-127.0.0.1}" in 127.0.0.1 | ::1 | localhost) ;; *)
    fail "Vadose has no sign-in yet, so it answers on this machine only: HOST=$HOST is refused. Leave HOST unset or use 127.0.0.1." ;;
  esac
  alone need_packages
  alone need_build all
  alone own_database "vadose_$mode"
  export VADOSE_PG_BIN=${pgbin:-$(pg_home)}
  [ "$mode" != start ] || export VADOSE_BACKUPS=${VADOSE_BACKUPS:-$state/backups}
  # room for what lives as long as a few requests: a collection every so many of them then falls on one in fifty, not one in ten
  node $(cat launcher/node-flags) server/dist/main.js "$@" 7>&- &
  server=$!
  # Ctrl-C, a closed terminal or ./vadose stop: the server first, then its database
  trap 'kill "$server" 2>/dev/null || true' INT TERM HUP
  local code=0
  while kill -0 "$server" 2>/dev/null; do wait "$server" && code=0 || code=$?; done
  trap - INT TERM HUP
  rm -f "$state/$mode.address"
  if [ -n "$dir" ] && ! running_at demo >/dev/null && ! running_at start >/dev/null; then stop_cluster "$dir"; fi
  [ "$code" -ge 128 ] && code=0
  return "$code"
}

stop_all() {
  local mode pid url started stopped=
  for mode in demo start; do
    if ours "$mode" && kill "$pid" 2>/dev/null; then
      for _ in $(seq 100); do [ "$(begun "$pid")" = "$started" ] || break; sleep 0.1; done
      say "Stopped Vadose at $url."
      stopped=yes
    fi
    rm -f "$state/$mode.address"
  done
  pgbin=$(pg_home)
  if [ -n "$pgbin" ] && [ -d "$state/pg/data" ] && cluster_runs "$state/pg"; then stop_cluster "$state/pg"; stopped=yes; fi
  [ -n "$stopped" ] || say "Nothing was running."
}

# the demo with the server built and started again, and the page loaded again, after every change of a file
develop() {
  need_node; need_packages
  export PORT=${PORT:-8420}
  own_database vadose_demo
  node server/build.mjs
  node server/build.mjs --watch &
  node --watch-path=server/dist server/dist/main.js --demo &
  trap 'kill $(jobs -p) 2>/dev/null; [ -z "$dir" ] || stop_cluster "$dir"' EXIT
  trap 'exit 0' INT TERM HUP
  npx --no-install vite web --host 127.0.0.1 --port "${PAGE_PORT:-5173}" --strictPort
}

reset_demo() {
  need_node; need_packages; need_build server
  own_database vadose_demo
  node server/dist/reset-demo.js
  if [ -n "$dir" ] && ! running_at demo >/dev/null && ! running_at start >/dev/null; then stop_cluster "$dir"; fi
}

calc() {
  [ $# = 1 ] || { say 'Usage: ./vadose calc NAME < input.json'; exit 2; }
  need_node; need_packages; need_build server
  exec node server/dist/calc.js "$1"
}
