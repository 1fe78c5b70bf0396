# Backup and restore: sourced by ../vadose.

# of_mode ARGUMENTS…: sets mode and file
of_mode() {
  mode=start file=
  local one
  for one in "$@"; do
    case $one in --demo) mode=demo ;; -*) fail "Vadose does not know $one here." ;; *) file=$one ;; esac
  done
  # a name is meant from where it was typed
  case $file in '' | /*) ;; *) file=$here/$file ;; esac
}

with_database() { # with_database COMMAND…: the database up for as long as it takes
  need_node
  alone need_packages
  alone need_build server
  alone own_database "vadose_$mode"
  export VADOSE_PG_BIN=${pgbin:-$(pg_home)}
  local code=0
  "$@" || code=$?
  if [ -n "$dir" ] && ! ours demo && ! ours start; then stop_cluster "$dir"; fi
  return "$code"
}

backup() { # backup [FILE] [--demo]
  local mode file
  of_mode "$@"
  [ -n "$file" ] || file=$here/vadose-$(date +%Y%m%d-%H%M).backup
  room_to_write
  with_database node server/dist/backup.js make "$file"
}

restore() { # restore FILE [--demo]
  local mode file pid url started
  of_mode "$@"
  [ -n "$file" ] || { say 'Usage: ./vadose restore FILE'; exit 2; }
  [ -f "$file" ] || fail "There is no file $file."
  ! ours "$mode" || fail "Vadose is running at $url: stop it first with ./vadose stop, then restore."
  room_to_write
  with_database node server/dist/backup.js restore "$file"
}
