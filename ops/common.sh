# Words, paths and checks that every part uses.

VAR="$ROOT/var"
PORT="${SPARROW_PORT:-8060}"
DB_PORT="${SPARROW_DB_PORT:-3390}"
TEST_PORT="${SPARROW_TEST_PORT:-8061}"

say() { printf '%s\n' "$*"; }

die() {
  printf 'sparrow: %s\n' "$*" >&2
  exit 1
}

check_port_number() {
  [[ "$2" =~ ^[0-9]+$ ]] && ((10#$2 >= 1024 && 10#$2 <= 65535)) || die "$1 is \"$2\"; it must be a number from 1024 to 65535."
}

port_taken() { (exec 3<>"/dev/tcp/127.0.0.1/$1") 2>/dev/null; }

# Runs a step with its output in a log; on failure shows the end of it and what to do.
step() {
  local name="$1" advice="$2" log="$VAR/logs/$3.log"
  shift 3
  if ! "$@" >"$log" 2>&1; then
    tail -n 12 "$log" >&2
    die "$name failed. $advice (whole log: ${log#"$ROOT"/})"
  fi
}

prepare_var() {
  mkdir -p "$VAR"/{logs,run/no-files,stamps,backups,test,phpunit,storage/{app,logs,framework/{cache/data,sessions,views}}} bootstrap/cache 2>/dev/null \
    || die "cannot write to $VAR. Check its owner and the free disk space."
  local free_kb
  free_kb=$(df -Pk "$VAR" | awk 'NR==2 {print $4}')
  ((free_kb > 600000)) || die "only $((free_kb / 1024)) MB are free on this disk; Fleet Sparrow needs about 600. Free some and start again."
  choose_service
  hand_over "$VAR" bootstrap/cache
}

# One start, stop or test at a time. A command that died leaves no lock behind; what it began and is still at work keeps it.
take_lock() {
  exec 9>"$VAR/run/lock"
  flock -n 9 && return 0
  say "Another ./sparrow is at work here; waiting for it to end …"
  flock -w 600 9 || die "another ./sparrow is at work for over ten minutes. See what it does, then try again."
}

# Whole or not at all, whenever this is cut off.
write_file() {
  cat >"$1.new"
  mv -f "$1.new" "$1"
}

# Whether the stamp of a step still matches what the step was made from.
fresh() { [ -f "$VAR/stamps/$1" ] && [ "$(cat "$VAR/stamps/$1")" = "$2" ]; }

stamp() { printf '%s' "$2" | write_file "$VAR/stamps/$1"; }

hash_of() { cat "$@" 2>/dev/null | sha256sum | cut -d' ' -f1; }
