# What has to be there before anything starts: sourced by ../vadose.

say() { printf '%s\n' "$*" >&2; }
fail() { say "$*"; exit 1; }

# step TEXT COMMAND…: runs it with its output in a log; what takes long is seen to go on
step() {
  local text=$1 log began pid
  shift
  log=$state/log/$(printf '%s' "$text" | tr -c 'A-Za-z0-9\n' '-').log
  began=$SECONDS
  "$@" >"$log" 2>&1 &
  pid=$!
  printf '%s …' "$text" >&2
  while kill -0 "$pid" 2>/dev/null; do
    sleep 0.2
    if [ $(((SECONDS - began) % 5)) -eq 4 ] && [ "${dotted:-}" != "$SECONDS" ]; then printf '.' >&2; dotted=$SECONDS; fi
  done
  if wait "$pid"; then
    printf ' %s s\n' $((SECONDS - began)) >&2
  else
    printf ' failed\n' >&2
    tail -n 25 "$log" >&2
    fail "$text failed; the whole output is in $log."
  fi
}

as_root() {
  if [ "$(id -u)" = 0 ]; then "$@"
  elif command -v sudo >/dev/null && { sudo -n true 2>/dev/null || [ -t 0 ]; }; then sudo "$@"
  else return 77; fi
}

apt_install() { # apt_install WHAT-FOR PACKAGE…
  local what=$1
  shift
  [ "$(id -u)" = 0 ] || { command -v sudo >/dev/null && { sudo -n true 2>/dev/null || { [ -t 0 ] && sudo -v; }; }; } ||
    fail "$what is missing and this user may not install it. Ask whoever looks after this machine to run: apt-get install -y $*"
  command -v apt-get >/dev/null || fail "$what is missing and this is no Debian machine; install it by hand, then try again."
  step "Reading the package lists" as_root apt-get update -q
  step "Installing $what" as_root env DEBIAN_FRONTEND=noninteractive apt-get install -q -y --no-install-recommends "$@"
}

need_node() {
  command -v node >/dev/null && command -v npm >/dev/null || fail "Vadose needs Node.js 20 or newer with npm; neither is found on this machine's PATH."
  [ "$(node -p 'Number(process.versions.node.split(".")[0]) >= 20')" = true ] || fail "Vadose needs Node.js 20 or newer; this is $(node --version)."
}

# one at a time installs and builds: two starts at once would write over each other
alone() {
  exec 8>"$state/setup.lock"
  flock 8
  "$@"
  exec 8>&-
}

need_packages() {
  local want
  want=$(cat package-lock.json package.json */package.json | sha256sum)
  [ -d node_modules ] && [ "$(cat "$state/npm.stamp" 2>/dev/null)" = "$want" ] && return
  step "Installing npm packages" npm ci --no-audit --no-fund
  printf '%s' "$want" >"$state/npm.stamp"
}

stale() { # stale STAMP PATH…: is anything newer than the stamp
  local stamp=$1
  shift
  [ ! -e "$stamp" ] || [ -n "$(find "$@" -newer "$stamp" -print -quit)" ]
}

need_build() { # need_build server|all
  local shared=(core/src contract/src package-lock.json)
  if [ ! -f server/dist/main.js ] || stale "$state/server.stamp" server/src demo/src server/build.mjs server/package.json "${shared[@]}"; then
    touch "$state/server.next"
    step "Building the server" node server/build.mjs
    mv "$state/server.next" "$state/server.stamp"
  fi
  [ "$1" = all ] || return 0
  if [ ! -f web/dist/index.html ] || stale "$state/web.stamp" web/src web/index.html web/vite.config.ts web/package.json "${shared[@]}"; then
    touch "$state/web.next"
    step "Building the interface" npm run --silent build -w web
    mv "$state/web.next" "$state/web.stamp"
  fi
}
