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

as_root() {
  if [ "$(id -u)" = 0 ]; then
    "$@"
  elif command -v sudo >/dev/null; then
    sudo "$@"
  else
    die "\"$1\" needs root: run as root or install sudo."
  fi
}

# True when the process whose id stands in a file is alive.
alive() { [ -s "$1" ] && kill -0 "$(cat "$1")" 2>/dev/null; }

# Ends a whole process group, waits for it, and kills what does not go.
end_group() {
  alive "$1" || {
    rm -f "$1"
    return 0
  }
  local pid
  pid=$(cat "$1")
  kill -- "-$pid" 2>/dev/null || kill "$pid" 2>/dev/null || true
  for _ in $(seq 1 100); do
    kill -0 "$pid" 2>/dev/null || break
    sleep 0.1
  done
  kill -9 -- "-$pid" 2>/dev/null || true
  rm -f "$1"
}

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
  mkdir -p "$VAR"/{logs,run,stamps,storage/{app,logs,framework/{cache/data,sessions,views}}} 2>/dev/null \
    || die "cannot write to $VAR. Check its owner and the free disk space."
  local free_kb
  free_kb=$(df -Pk "$VAR" | awk 'NR==2 {print $4}')
  ((free_kb > 600000)) || die "only $((free_kb / 1024)) MB are free on this disk; Fleet Sparrow needs about 600. Free some and start again."
}

# One start or test set-up at a time; a start that died leaves no lock behind.
take_lock() {
  exec 9>"$VAR/run/lock"
  flock -w 120 9 || die "another ./sparrow is at work. Wait for it to end."
}

# Whether the stamp of a step still matches what the step was made from.
fresh() { [ -f "$VAR/stamps/$1" ] && [ "$(cat "$VAR/stamps/$1")" = "$2" ]; }

stamp() { printf '%s' "$2" >"$VAR/stamps/$1"; }

hash_of() { cat "$@" 2>/dev/null | sha256sum | cut -d' ' -f1; }
