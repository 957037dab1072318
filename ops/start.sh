# Starting and stopping the application itself. Every step may be cut off at any moment: the next start goes on from there.

# $1: --lan, or nothing
start_all() {
  local more=""
  [ -z "$1" ] || [ "$1" = "--lan" ] || die "\"$1\" is not a way to start: --lan, or nothing."
  check_port_number SPARROW_PORT "$PORT"
  prepare_var
  take_lock
  install_all
  hand_over bootstrap/cache
  start_database
  write_env .env sparrow local "$PORT"
  fill_database
  if [ "$1" = "--lan" ]; then
    prepare_lan
    more=$(secure_listeners "$LAN_PORT" "${LAN_ADDRESSES[@]}")
    # A new certificate needs a new server.
    more+="    # $(openssl x509 -in "$LAN_DIR/server.crt" -noout -serial)"
  fi
  start_web main "$PORT" local "$more"
  say "Fleet Sparrow runs at http://127.0.0.1:$PORT"
  say ""
  say "  coach      coach@heron-quay.example       password: salt-marsh-42"
  say "  assistant  assistant@heron-quay.example   password: salt-marsh-42"
  say "  club lead  lead@heron-quay.example        password: salt-marsh-42"
  [ -z "$1" ] || show_lan
}

fill_database() {
  make_database sparrow
  # What older code kept, newer code may not be able to read.
  step "preparing the application" "See the lines above." cache-clear "${AS[@]}" php artisan cache:clear
  migrate_database sparrow
  step "loading the drill book" "Mend the file it names in book/drills." book "${AS[@]}" php artisan sparrow:book
  step "loading the demo" "Run ./sparrow demo:reset to begin again." demo "${AS[@]}" php artisan sparrow:demo --if-empty
}

# Waits for a start that is under way: what it is about to start would outlive this.
stop_all() {
  prepare_var
  take_lock
  stop_web main
  stop_database
  say "Stopped. Nothing is lost; ./sparrow start goes on where you were."
}

show_status() {
  local dir="$VAR/web-main"
  if alive "$DB_PID"; then say "database   running on 127.0.0.1:$(cat "$VAR/run/db.port" 2>/dev/null)"; else say "database   stopped"; fi
  if alive "$dir/nginx.pid" && alive "$dir/fpm.pid"; then
    say "web        running at http://127.0.0.1:$(cat "$dir/port")"
    sed -n 's/^ *listen \(.*\) ssl;$/network    https:\/\/\1/p' "$dir/nginx.conf"
  else
    say "web        stopped"
  fi
}

show_logs() {
  local file
  for file in "$VAR"/logs/*.log "$VAR/storage/logs/laravel.log"; do
    [ -s "$file" ] || continue
    say "== ${file#"$ROOT"/}"
    tail -n 15 "$file"
  done
}

reset_demo() {
  prepare_var
  take_lock
  database_answers || die "the database is stopped. Run ./sparrow start first."
  if [ "$1" != "--yes" ]; then
    local answer=""
    read -r -p "This throws away every record on this machine and loads the demo anew. Type yes to go on: " answer || true
    [ "$answer" = "yes" ] || die "nothing was changed."
  fi
  # Emptied, then filled by the steps of a start: one that is cut off is finished by the next.
  as_admin mariadb -e 'DROP DATABASE IF EXISTS sparrow'
  rm -f "$VAR/run/migrating"
  local more=""
  [ ! -f "$VAR/web-main/more" ] || more=$(cat "$VAR/web-main/more")
  fill_database
  start_web main "$(cat "$VAR/web-main/port")" local "$more"
  say "The demo is as new."
}
