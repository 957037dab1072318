# Which processes are ours. A number alone proves nothing: it is given to others once a process has ended.

# When a process began, in ticks since the machine did; empty when there is none.
began() { sed -n 's/^.*) //p' "/proc/$1/stat" 2>/dev/null | cut -d' ' -f20; }

# A server holds nothing of whoever started it: neither the lock nor a pipe that somebody waits on.
let_go_of_files() {
  local fd
  for fd in /proc/"$BASHPID"/fd/*; do
    fd="${fd##*/}"
    ((fd < 3)) || eval "exec $fd>&-" 2>/dev/null || true
  done
}

# $1: the file, $2: the process id. Kept with what tells it from a later process of the same number.
note_process() { printf '%s %s %s\n' "$2" "$(began "$2")" "$(cat /proc/sys/kernel/random/boot_id)" | write_file "$1"; }

# Prints the id when the very process that was noted in a file is alive.
living() {
  local pid="" start="" boot=""
  read -r pid start boot 2>/dev/null <"$1" || true
  [[ "$pid" =~ ^[0-9]+$ ]] && [ -n "$start" ] || return 1
  [ "$boot" = "$(cat /proc/sys/kernel/random/boot_id)" ] && [ "$(began "$pid")" = "$start" ] || return 1
  printf '%s' "$pid"
}

alive() { living "$1" >/dev/null; }

# Ends a noted process with its group, waits for it, and kills what does not go. What was not noted by us is left alone.
end_group() {
  local pid
  if pid=$(living "$1"); then
    kill -- "-$pid" 2>/dev/null || kill "$pid" 2>/dev/null || true
    for _ in $(seq 1 100); do
      alive "$1" || break
      sleep 0.1
    done
    ! alive "$1" || kill -9 -- "-$pid" 2>/dev/null || true
  fi
  rm -f "$1"
}

# Servers that run in a folder of ours without being noted there: what a killed start or a dead master left behind.
# $1: the folder they work in, $2 …: their programs' names
strays() {
  local folder="$1" path name
  shift
  for path in /proc/[0-9]*; do
    name=$(cat "$path/comm" 2>/dev/null) || continue
    [[ " $* " == *" $name "* ]] || continue
    [ "$(readlink "$path/cwd" 2>/dev/null)" = "$folder" ] && printf '%s\n' "${path#/proc/}"
  done
  return 0
}

end_strays() {
  local pids signal
  # A worker in the middle of an answer stands elsewhere for that moment, so look more than once.
  for signal in TERM TERM KILL; do
    mapfile -t pids < <(strays "$@")
    ((${#pids[@]} > 0)) || return 0
    kill "-$signal" "${pids[@]}" 2>/dev/null || true
    for _ in $(seq 1 50); do
      [ -n "$(strays "$@")" ] || break
      sleep 0.1
    done
  done
}
