# The project's own PostgreSQL: sourced by ../vadose.

# the newest PostgreSQL server of Debian's packages, or nothing
pg_home() {
  local bin best=
  while read -r bin; do [ ! -x "$bin/initdb" ] || best=$bin; done < <(printf '%s\n' /usr/lib/postgresql/*/bin | sort -V)
  printf '%s' "$best"
}

need_postgres() {
  pgbin=$(pg_home)
  if [ -z "$pgbin" ]; then
    # Debian would start a cluster of its own on 5432; ours is enough
    as_root sh -c 'mkdir -p /etc/postgresql-common/createcluster.d && echo "create_main_cluster = false" >/etc/postgresql-common/createcluster.d/vadose.conf' 2>/dev/null || true
    apt_install PostgreSQL postgresql
    pgbin=$(pg_home)
    [ -n "$pgbin" ] || fail "PostgreSQL was installed but its programs are not under /usr/lib/postgresql."
  fi
}

# PostgreSQL refuses to run as root: then it runs as its own user
as_pg() { if [ "$(id -u)" = 0 ]; then runuser -u postgres -- "$@"; else "$@"; fi; }
free_port() { node -e 'const s=require("net").createServer();s.listen(0,"127.0.0.1",()=>{console.log(s.address().port);s.close()})'; }

cluster_dir() { # cluster_dir NAME: a folder PostgreSQL's user can enter, the same wherever the project is moved to
  local dir=$state/$1 other
  if [ "$(id -u)" = 0 ] && { [ -L "$dir" ] || ! runuser -u postgres -- test -x "$state"; }; then
    other=$(readlink -f "$dir" 2>/dev/null || true)
    if [ ! -L "$dir" ] || [ ! -d "$other" ] || is_copy "$other" "$1"; then
      other=/var/lib/vadose/$(node -p 'require("crypto").randomUUID().slice(0, 13)')/$1
      mkdir -p "$other"
      ln -sfn "$other" "$dir"
    fi
    printf '%s' "$root" >"$other/owner"
    dir=$other
  fi
  mkdir -p "$dir"
  [ "$(id -u)" != 0 ] || chown postgres:postgres "$dir"
  chmod 700 "$dir"
  printf '%s' "$dir"
}

# a project folder that was copied, not moved: the first one still points at this database
is_copy() {
  local first
  first=$(cat "$1/owner" 2>/dev/null) || return 1
  [ "$first" != "$root" ] && [ "$(readlink -f "$first/.vadose/$2" 2>/dev/null)" = "$1" ]
}

new_password() { (umask 077 && node -p 'require("crypto").randomBytes(24).toString("hex")' >"$state/password.new" && mv "$state/password.new" "$state/password"); }

make_cluster() { # make_cluster DIR [initdb options]
  local dir=$1 secret aside
  shift
  if [ -f "$dir/data/PG_VERSION" ]; then
    # the password was lost with its file: PostgreSQL is told another one, the data stays
    if [ ! -s "$state/password" ] || [ -e "$state/password.asked" ]; then
      touch "$state/password.asked"
      [ -s "$state/password" ] || new_password
      stop_cluster "$dir"
      printf "alter role vadose password '%s'\n" "$(cat "$state/password")" |
        as_pg "$pgbin/postgres" --single -D "$dir/data" postgres >/dev/null 2>"$state/log/password.log" ||
        fail "The password of the database is lost and could not be set anew; see $state/log/password.log. The data is untouched in $dir."
      rm -f "$state/password.asked"
      say "The database's password was lost; it has a new one."
    fi
    return
  fi
  if [ -e "$dir/data" ] && [ -n "$(ls -A "$dir/data" 2>/dev/null)" ]; then
    # what is no database of PostgreSQL's may still be somebody's
    aside=$dir/data.aside-$(date +%Y%m%d-%H%M%S)
    mv "$dir/data" "$aside"
    say "There was something in the database's folder that is no database; it was moved to $aside."
  fi
  [ -s "$state/password" ] || new_password
  secret=$dir/password
  install -m 600 "$state/password" "$secret"
  [ "$(id -u)" != 0 ] || chown postgres:postgres "$secret"
  # made beside and put in place whole, so that one cut off half-way is none
  rm -rf "$dir/data.new"
  step "Making a database cluster" as_pg "$pgbin/initdb" -D "$dir/data.new" -U vadose --auth=scram-sha-256 --pwfile="$secret" --encoding=UTF8 --locale=C.UTF-8 "$@"
  rm -rf "$dir/data"
  mv -T "$dir/data.new" "$dir/data"
  rm -f "$secret"
}

cluster_runs() { as_pg "$pgbin/pg_ctl" -D "$1/data" status >/dev/null 2>&1; }

start_cluster() { # start_cluster DIR [server options]: sets pgport
  local dir=$1 try
  shift
  if cluster_runs "$dir"; then pgport=$(sed -n 4p "$dir/data/postmaster.pid"); return; fi
  for try in 1 2 3; do
    pgport=$(cat "$dir/port" 2>/dev/null || free_port)
    if as_pg "$pgbin/pg_ctl" -D "$dir/data" -l "$dir/log" -w -t 120 -s \
      -o "-p $pgport -c listen_addresses=127.0.0.1 -c unix_socket_directories='' -c timezone=UTC $*" start >/dev/null 2>&1 7>&- 8>&-; then
      printf '%s' "$pgport" >"$dir/port"
      return
    fi
    rm -f "$dir/port"
  done
  tail -n 5 "$dir/log" >&2 || true
  if grep -q "No space left" "$dir/log"; then fail "The disk is full: the database cannot start. Make room, then start again."; fi
  if grep -q "Read-only file system" "$dir/log"; then fail "The disk is read-only: the database cannot start."; fi
  fail "The database did not start; its log is $dir/log."
}

stop_cluster() { ! cluster_runs "$1" || as_pg "$pgbin/pg_ctl" -D "$1/data" -m fast -w -s stop >/dev/null 2>&1 || true; }

password_holds() {
  PGPASSWORD=$(cat "$state/password") "$pgbin/psql" -h 127.0.0.1 -p "$pgport" -U vadose -d postgres -qtAc 'select 1' >/dev/null 2>"$state/log/connect.log" && return
  ! grep -q "password authentication failed" "$state/log/connect.log"
}

database_url() { # database_url NAME: makes the database if need be
  local psql=("$pgbin/psql" -h 127.0.0.1 -p "$pgport" -U vadose -d postgres -qtA)
  export PGPASSWORD
  PGPASSWORD=$(cat "$state/password")
  [ "$("${psql[@]}" -c "select 1 from pg_database where datname = '$1'")" = 1 ] || "${psql[@]}" -c "create database $1" >/dev/null
  printf 'postgres://vadose:%s@127.0.0.1:%s/%s' "$PGPASSWORD" "$pgport" "$1"
}

own_database() { # own_database NAME: sets DATABASE_URL, and dir to the cluster when it is ours
  dir=
  if [ -n "${DATABASE_URL:-}" ]; then return; fi
  need_postgres
  dir=$(cluster_dir pg)
  make_cluster "$dir"
  start_cluster "$dir"
  if ! password_holds; then
    # the file holds another password than the database's: it becomes the database's
    touch "$state/password.asked"
    make_cluster "$dir"
    start_cluster "$dir"
  fi
  DATABASE_OWNER_URL=$(database_url "$1")
  # the server acts as an ordinary role, which row-level security binds
  PGPASSWORD=$(cat "$state/password") "$pgbin/psql" -h 127.0.0.1 -p "$pgport" -U vadose -d postgres -qtA -v ON_ERROR_STOP=1 -v secret="$(cat "$state/password")" >/dev/null <<'S'
select 'create role vadose_app nologin' where not exists (select from pg_roles where rolname = 'vadose_app') \gexec
select 'create role vadose_server login in role vadose_app' where not exists (select from pg_roles where rolname = 'vadose_server') \gexec
select format('alter role vadose_server password %L', :'secret') \gexec
S
  DATABASE_URL=${DATABASE_OWNER_URL/vadose:/vadose_server:}
  export DATABASE_URL DATABASE_OWNER_URL
}
