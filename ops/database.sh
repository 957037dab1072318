# MariaDB with a data directory of its own, on loopback.

DB_DIR="$VAR/db"
DB_SOCKET="$VAR/run/db.sock"
DB_PID="$VAR/run/db.pid"

# The server's own address is too long for a socket in a deep folder: then the socket goes to /tmp.
if ((${#DB_SOCKET} > 100)); then DB_SOCKET="/tmp/sparrow-$(printf '%s' "$ROOT" | sha256sum | cut -c1-12).sock"; fi

database_answers() { mariadb-admin --no-defaults --socket="$DB_SOCKET" -u root --silent ping >/dev/null 2>&1; }

make_data_directory() {
  [ -d "$DB_DIR/mysql" ] && return 0
  say "Making the database …"
  rm -rf "$DB_DIR" "$DB_DIR.new"
  step "making the database" "Is the disk full?" db-install \
    mariadb-install-db --no-defaults --datadir="$DB_DIR.new" --auth-root-authentication-method=normal --skip-test-db --user="$(id -un)"
  mv "$DB_DIR.new" "$DB_DIR"
}

start_database() {
  check_port_number SPARROW_DB_PORT "$DB_PORT"
  make_data_directory
  if alive "$DB_PID" && database_answers; then
    DB_PORT=$(cat "$VAR/run/db.port")
    return 0
  fi
  end_group "$DB_PID"
  port_taken "$DB_PORT" && die "port $DB_PORT is in use by another program. Choose another: SPARROW_DB_PORT=3395 ./sparrow start"
  rm -f "$DB_SOCKET"
  setsid mariadbd --no-defaults --datadir="$DB_DIR" --socket="$DB_SOCKET" --pid-file="$VAR/run/mariadbd.pid" \
    --bind-address=127.0.0.1 --port="$DB_PORT" --character-set-server=utf8mb4 --skip-name-resolve \
    --user="$(id -un)" --innodb-flush-log-at-trx-commit=1 >"$VAR/logs/mariadb.log" 2>&1 9>&- </dev/null &
  echo $! >"$DB_PID"
  for _ in $(seq 1 150); do
    if database_answers; then
      echo "$DB_PORT" >"$VAR/run/db.port"
      return 0
    fi
    alive "$DB_PID" || break
    sleep 0.2
  done
  tail -n 6 "$VAR/logs/mariadb.log" >&2
  die "the database did not start. The lines above say why (log: var/logs/mariadb.log)."
}

db_password() {
  [ -s "$VAR/run/db.password" ] || (umask 077 && head -c 18 /dev/urandom | base64 | tr -d '+/=' >"$VAR/run/db.password")
  cat "$VAR/run/db.password"
}

# $1: the database; tests get room for one database per process.
make_database() {
  mariadb --no-defaults --socket="$DB_SOCKET" -u root <<SQL
CREATE DATABASE IF NOT EXISTS \`$1\` CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_520_ci;
CREATE USER IF NOT EXISTS 'sparrow'@'127.0.0.1';
SET PASSWORD FOR 'sparrow'@'127.0.0.1' = PASSWORD('$(db_password)');
GRANT ALL ON \`sparrow%\`.* TO 'sparrow'@'127.0.0.1';
SQL
}

# $1: the file, $2: the database, $3: the environment's name, $4: the port of the web server.
write_env() {
  local key
  [ -s "$VAR/run/app.key" ] || (umask 077 && printf 'base64:%s' "$(head -c 32 /dev/urandom | base64)" >"$VAR/run/app.key")
  key=$(cat "$VAR/run/app.key")
  (
    umask 077
    cat >"$1.new" <<ENV
APP_ENV=$3
APP_KEY=$key
APP_DEBUG=false
APP_URL=http://127.0.0.1:$4
DB_PORT=$DB_PORT
DB_DATABASE=$2
DB_USERNAME=sparrow
DB_PASSWORD=$(db_password)
LOG_CHANNEL=single
LOG_LEVEL=warning
ENV
  )
  cmp -s "$1.new" "$1" 2>/dev/null && rm "$1.new" || mv "$1.new" "$1"
}

# A database of its own with the book and the demo, made anew. $1: the environment's name.
make_demo_database() {
  local log="$VAR/logs/$1-database.log"
  make_database "sparrow_$1"
  write_env ".env.$1" "sparrow_$1" "$1" "$TEST_PORT"
  {
    APP_ENV="$1" php artisan migrate:fresh --force && APP_ENV="$1" php artisan sparrow:book && APP_ENV="$1" php artisan sparrow:demo
  } >"$log" 2>&1 || die "the database for $1 could not be made (${log#"$ROOT"/})."
}
