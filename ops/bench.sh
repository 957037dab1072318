# Measures against the empty signed-in request of the same run; nothing here passes or fails on a time.

BENCH_PORT="${SPARROW_BENCH_PORT:-8065}"

run_bench() {
  prepare_var
  take_lock
  install_all
  start_database
  if [ "${1:-}" = --scale ]; then measure_scale; else measure; fi
}

# Forty players, three seasons, 250,000 marks, in a database of its own. $1: "short" for a few of each
measure_scale() {
  make_demo_database scale
  stop_web scale
  start_web scale "$BENCH_PORT" scale
  local result=0
  APP_ENV=scale "${AS[@]}" php -d pcov.enabled=0 -d memory_limit=1G bench/scale.php "http://127.0.0.1:$BENCH_PORT" "${1:-}" || result=$?
  stop_web scale
  return "$result"
}

# $1: "short" for a go of each, which shows that every figure can be taken
measure() {
  install_packages chromium
  make_demo_database bench
  stop_web bench
  start_web bench "$BENCH_PORT" bench "    location = /bare {
      include /etc/nginx/fastcgi_params;
      fastcgi_pass fpm;
      fastcgi_keep_conn on;
      fastcgi_param SCRIPT_FILENAME $ROOT/bench/bare.php;
      fastcgi_param BENCH_DSN \"mysql:host=127.0.0.1;port=$DB_PORT;dbname=sparrow_bench\";
      fastcgi_param BENCH_PASSWORD $(db_password);
    }
    location = /empty {
      default_type text/html;
      return 200 '<!doctype html><div id=\"root\"></div><script type=\"module\" src=\"/$(cd public && ls build/assets/empty-*.js)\"></script>';
    }"
  local result=0
  # First what wants the demo as it is: the other adds players and numbers to it.
  timeout 600 node bench/phone.mjs "http://127.0.0.1:$BENCH_PORT" "${1:-}" || result=$?
  APP_ENV=bench "${AS[@]}" php -d pcov.enabled=0 bench/run.php "http://127.0.0.1:$BENCH_PORT" "${1:-}" || result=$?
  stop_web bench
  return "$result"
}
