# MariaDB with a data directory of its own: over TCP for the application's account alone, else over a socket in a closed folder.

DB_DIR="$VAR/db"
DB_SOCKET="$VAR/run/db.sock"
DB_PID="$VAR/run/db.pid"

# A socket's address may not be long: in a deep folder it goes to a closed one under /tmp.
if ((${#DB_SOCKET} > 100)); then DB_SOCKET="/tmp/sparrow-$(printf '%s' "$ROOT" | sha256sum | cut -c1-12)/db.sock"; fi

prepare_socket() {
  local folder
  folder=$(dirname "$DB_SOCKET")
  [ "$folder" = "$VAR/run" ] || "${AS[@]}" mkdir -p -m 700 "$folder" || die "cannot make $folder for the database's socket."
  [ ! -L "$folder" ] && [ "$(stat -c '%U %a' "$folder")" = "$SERVICE 700" ] \
    || die "$folder is not a closed folder of $SERVICE. Remove it, then start again."
}

# The server asks the system who is calling, so the one account with every right needs no password and has no door but the socket.
as_admin() { "${AS[@]}" "$1" --no-defaults --socket="$DB_SOCKET" -u "$SERVICE" "${@:2}"; }

database_answers() { as_admin mariadb -e "DO 1" >/dev/null 2>&1; }

make_data_directory() {
  [ -d "$DB_DIR/mysql" ] && return 0
  say "Making the database …"
  rm -rf "$DB_DIR" "$DB_DIR.new"
  step "making the database" "Is the disk full?" db-install "${AS[@]}" \
    env UMASK=0600 UMASK_DIR=0700 mariadb-install-db --no-defaults --datadir="$DB_DIR.new" --skip-test-db \
    --auth-root-authentication-method=socket --auth-root-socket-user="$SERVICE"
  mv "$DB_DIR.new" "$DB_DIR"
}

start_database() {
  check_port_number SPARROW_DB_PORT "$DB_PORT"
  make_data_directory
  if alive "$DB_PID" && database_answers; then
    DB_PORT=$(cat "$VAR/run/db.port")
    return 0
  fi
  stop_database
  port_taken "$DB_PORT" && die "port $DB_PORT is in use by another program. Choose another: SPARROW_DB_PORT=3395 ./sparrow start"
  prepare_socket
  rm -f "$DB_SOCKET"
  echo "$DB_PORT" | write_file "$VAR/run/db.port"
  (
    cd "$DB_DIR"
    let_go_of_files
    UMASK=0600 UMASK_DIR=0700 exec setsid "${AS[@]}" mariadbd --no-defaults --datadir="$DB_DIR" --socket="$DB_SOCKET" --pid-file="$VAR/run/mariadbd.pid" \
      --bind-address=127.0.0.1 --port="$DB_PORT" --character-set-server=utf8mb4 --skip-name-resolve --skip-symbolic-links \
      --local-infile=0 --secure-file-priv="$VAR/run/no-files" --user="$SERVICE" --innodb-flush-log-at-trx-commit=1
  ) >"$VAR/logs/mariadb.log" 2>&1 </dev/null &
  note_process "$DB_PID" $!
  for _ in $(seq 1 300); do
    if database_answers || close_old_doors; then
      return 0
    fi
    alive "$DB_PID" || break
    sleep 0.2
  done
  tail -n 6 "$VAR/logs/mariadb.log" >&2
  die "the database did not start. The lines above say why (log: var/logs/mariadb.log)."
}

# Data directories of version 0.4 and before have a root without a password, over TCP too.
close_old_doors() {
  [ "$SERVICE" != root ] || return 1
  "${AS[@]}" mariadb --no-defaults --socket="$DB_SOCKET" -u root 2>/dev/null <<SQL || return 1
CREATE OR REPLACE USER '$SERVICE'@'localhost' IDENTIFIED VIA unix_socket;
GRANT ALL ON *.* TO '$SERVICE'@'localhost' WITH GRANT OPTION;
DROP USER IF EXISTS 'root'@'localhost', 'root'@'127.0.0.1', 'root'@'::1', 'root'@'$(hostname)', ''@'localhost', ''@'$(hostname)';
SQL
  database_answers
}

stop_database() {
  end_group "$DB_PID"
  end_strays "$DB_DIR" mariadbd
}

# $1: a file, $2: what to put before it. Made once, by chance.
secret() {
  [ -s "$1" ] || { printf '%s' "${2:-}" && head -c 32 /dev/urandom | base64 | tr -d '\n'; } | write_file "$1"
  hand_over "$1"
  cat "$1"
}

db_password() { secret "$VAR/run/db.password" | tr -d '+/='; }

# $1: the database; tests get room for one database per process. Rights on databases: reading and writing files is not among them.
make_database() {
  # What is kept for it, which config/cache.php looks for there.
  local kept="$VAR/storage/framework/cache/data/$1"
  mkdir -p "$kept" && hand_over "$kept"
  as_admin mariadb <<SQL
CREATE DATABASE IF NOT EXISTS \`$1\` CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_520_ci;
CREATE USER IF NOT EXISTS 'sparrow'@'127.0.0.1';
SET PASSWORD FOR 'sparrow'@'127.0.0.1' = PASSWORD('$(db_password)');
GRANT ALL ON \`sparrow%\`.* TO 'sparrow'@'127.0.0.1';
SQL
}

# $1: the file, $2: the database, $3: the environment's name, $4: the port of the web server, then more lines.
write_env() {
  cat >"$1.new" <<ENV
APP_ENV=$3
APP_KEY=$(secret "$VAR/run/app.key" base64:)
APP_DEBUG=false
APP_URL=http://127.0.0.1:$4
DB_PORT=$DB_PORT
DB_DATABASE=$2
DB_USERNAME=sparrow
DB_PASSWORD=$(db_password)
LOG_CHANNEL=single
LOG_LEVEL=warning
$(printf '%s\n' "${@:5}")
ENV
  cmp -s "$1.new" "$1" 2>/dev/null && rm "$1.new" || mv "$1.new" "$1"
  hand_over "$1"
}

# The application's commands, as the servers' account: what they write, the servers can read.
artisan() { "${AS[@]}" php artisan "$@"; }

# Changes to tables cannot be taken back by the server, so before any a copy is made; a start that was cut off among them goes back to it.
# $1: the database
migrate_database() {
  local before="$VAR/backups/before-migrating.sql.gz" mark="$VAR/run/migrating" pending=0
  if [ -f "$mark" ]; then
    say "The last start was cut off while it changed the tables: going back to what was there before it …"
    load_dump "$before" "$1"
    rm -f "$mark"
  fi
  artisan migrate:status --pending=7 >"$VAR/logs/migrate-status.log" 2>&1 || pending=$?
  ((pending != 7)) && ! has_no_tables "$1" && return 0
  # What was taken after the copy would be lost on the way back.
  stop_web main
  make_dump "$1" "$before"
  echo "$1" | write_file "$mark"
  step "bringing the tables up to date" "Nothing is lost: start again, or ./sparrow restore ${before#"$ROOT"/}." migrate "${AS[@]}" php artisan migrate --force
  rm -f "$mark"
}

has_no_tables() { [ "$(as_admin mariadb -N -e "SELECT COUNT(*) FROM information_schema.tables WHERE table_schema = '$1'")" = 0 ]; }

# A database of its own with the book and the demo, made anew. $1: the environment's name.
make_demo_database() {
  local log="$VAR/logs/$1-database.log" kept="$VAR/run/demo.sql.gz" wanted
  make_database "sparrow_$1"
  # Of nobody's use but the tests': a password that is quick to check. What the browser's tests read is checked on the page as well.
  local own=(BCRYPT_ROUNDS=4)
  [[ "$1" != browser* ]] || own+=(SAYS_CONTRACT=false)
  write_env ".env.$1" "sparrow_$1" "$1" "${2:-$TEST_PORT}" "${own[@]}"
  # What other code kept, this may not be able to read.
  APP_ENV="$1" artisan cache:clear >"$log" 2>&1 || die "the cache for $1 could not be emptied (${log#"$ROOT"/})."
  # The demo is the same for the same code on the same day, so the second one is a copy of the first. Its club's day is ahead of
  # this machine's, so an hour decides.
  wanted="$(date +%FT%H) $(find app core/src compat config book database -type f -printf '%p %T@\n' | sort | cat - "$VAR/run/app.key" | sha256sum)"
  if [ -f "$kept" ] && fresh demo-copy "$wanted"; then
    load_dump "$kept" "sparrow_$1"
    return 0
  fi
  {
    APP_ENV="$1" artisan migrate:fresh --force && APP_ENV="$1" artisan sparrow:book && APP_ENV="$1" artisan sparrow:demo
  } >>"$log" 2>&1 || die "the database for $1 could not be made (${log#"$ROOT"/})."
  make_dump "sparrow_$1" "$kept"
  stamp demo-copy "$wanted"
}
