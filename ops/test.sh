# Static checks and every test, with databases and a web server of their own on the project's MariaDB.

TEST_SECURE_PORT="${SPARROW_TEST_SECURE_PORT:-8062}"
SECOND_TEST_PORT="${SPARROW_SECOND_TEST_PORT:-8063}"
FUZZ_PORT="${SPARROW_FUZZ_PORT:-8064}"
API_TYPES=resources/js/shared/api/openapi.ts

test_core() { "${AS[@]}" php vendor/bin/phpunit --testsuite core; }

test_feature() {
  artisan config:clear >/dev/null
  DB_PORT="$DB_PORT" DB_PASSWORD="$(db_password)" artisan test --parallel --processes=2 --testsuite=feature
}

# Starts, kills and looks in from outside, in a checkout of its own: as whoever runs this, since only root can become others.
test_ops() { php vendor/bin/phpunit --testsuite ops --exclude-group slow --do-not-cache-result; }

# Every figure once: the times of one go say nothing. In a shell of its own, so that what ends it is said as well.
test_bench() { (measure short) >"$VAR/logs/bench.log" 2>&1 || { tail -n 20 "$VAR/logs/bench.log"; return 1; }; }

# What takes long, before anything is called done.
test_slow() {
  (export SPARROW_SLOW=1; test_browser)
  "${AS[@]}" php vendor/bin/phpunit --testsuite long --do-not-cache-result
  php vendor/bin/phpunit --testsuite ops --group slow --do-not-cache-result
  test_fuzz 10000
}

test_static() {
  vendor/bin/pint --test
  vendor/bin/phpstan analyse --no-progress --memory-limit=1G
  vendor/bin/phpstan analyse -c phpstan.app.neon --no-progress --memory-limit=1G
  vendor/bin/phpstan analyse -c phpstan.tests.neon --no-progress --memory-limit=1500M
  # With types: a file that does not compile is an error of its own.
  npm run --silent lint
  npm run --silent format
  npx openapi-typescript docs/openapi.json -o var/openapi.ts >/dev/null
  cmp var/openapi.ts "$API_TYPES" || die "the generated types are out of date: run ./sparrow contract"
  npx vitest run
}

# What the code says of its API, written anew: the document, the formats, the types, the samples.
write_contract() {
  prepare_var
  take_lock
  install_all
  start_database
  make_database sparrow_test
  write_env .env.testing sparrow_test testing "$TEST_PORT"
  step "describing the API" "See the lines above." openapi php artisan sparrow:openapi
  step "making the types" "See the lines above." types npx openapi-typescript docs/openapi.json -o "$API_TYPES"
  step "making the samples" "See the lines above." samples \
    env APP_ENV=testing DB_PORT="$DB_PORT" DB_PASSWORD="$(db_password)" SPARROW_WRITE_CONTRACT=1 php vendor/bin/phpunit --testsuite feature --filter ContractTest
  say "docs/openapi.json, docs/formats, $API_TYPES and tests/fixtures/contract are up to date. Read the difference before committing."
}

# Two at a time, each against a server with a database of its own.
test_browser() {
  install_packages chromium-headless-shell
  make_demo_database browser
  make_demo_database browser2 "$SECOND_TEST_PORT"
  stop_web browser
  stop_web browser2
  install_packages openssl
  # Of its own: a running application keeps the certificate that phones have learned to trust.
  LAN_DIR="$VAR/lan-test"
  make_certificate localhost 127.0.0.1
  start_web browser "$TEST_PORT" browser "$(secure_listeners "$TEST_SECURE_PORT" 127.0.0.1)"
  start_web browser2 "$SECOND_TEST_PORT" browser2
  local result=0
  SPARROW_URL="http://127.0.0.1:$TEST_PORT http://127.0.0.1:$SECOND_TEST_PORT" SPARROW_SECURE_URL="https://127.0.0.1:$TEST_SECURE_PORT" SPARROW_CA="$LAN_DIR/ca.crt" npx playwright test ${SPARROW_ONLY:+-g "$SPARROW_ONLY"} || result=$?
  stop_web browser
  stop_web browser2
  return "$result"
}

run_tests() {
  local part failed=() parts=("$1")
  case "$1" in
    all) parts=() ;;
    core | feature | browser | static | ops | fuzz | bench | slow) ;;
    *) die "\"$1\" is not a part: core, static, feature, ops, fuzz, bench, browser or slow." ;;
  esac
  prepare_var
  take_lock
  install_all
  local had_database=yes
  alive "$DB_PID" || had_database=no
  start_database
  make_database sparrow_test
  write_env .env.testing sparrow_test testing "$TEST_PORT"
  local lanes=() lane logs="$VAR/logs"
  if [ "$1" = all ]; then
    # The browser waits more than it works, so the other parts run beside it and give way to it, each with a database of its own.
    say "The other parts run beside the browser; what they say comes after."
    # The starts of ops wait most of their time as well. What works alone is shared out, so that all come to their end together.
    # Bench and fuzz copy the demo that the browser has made by then.
    beside first 10 static bench
    beside second 10 feature
    beside third 10 core fuzz
    # Starts that give way to everything would be the last to end.
    beside fourth 5 ops
    parts=(browser)
  fi
  # errexit is ignored inside a condition, so the parts run outside of one.
  set +e
  (run_parts "${parts[@]}") 2>&1 | tee "$logs/parts.log"
  local result=${PIPESTATUS[0]}
  set -e
  ((result == 0)) || failed+=("${parts[@]}")
  for lane in "${lanes[@]}"; do
    wait "${lane#*:}" || failed+=("one of those beside")
    cat "$logs/beside-${lane%:*}.log"
  done
  # What went wrong is read at the end, however much was said after it.
  ((result == 0)) || tail -n 120 "$logs/parts.log"
  # What the tests started, they stop; a running application keeps its database.
  [ "$had_database" = yes ] || stop_database
  say ""
  ((${#failed[@]} == 0)) || die "failed: ${failed[*]}"
  say "All passed."
}

# $1: a name for the lane, $2: how far it gives way, then its parts; notes it in lanes.
beside() {
  local name="$1" gives_way="$2"
  shift 2
  (renice -n "$gives_way" "$BASHPID" >/dev/null && run_parts "$@") >"$VAR/logs/beside-$name.log" 2>&1 &
  lanes+=("$name:$!")
}

# One part after the other, whatever becomes of the one before.
run_parts() {
  local part result all=0
  for part in "$@"; do
    say ""
    say "== $part"
    set +e
    (set -e; "test_$part")
    result=$?
    set -e
    ((result == 0)) || { all=1; say "FAILED: $part"; }
  done
  return "$all"
}

run_shots() {
  prepare_var
  take_lock
  install_all
  install_packages chromium-headless-shell
  start_database
  make_demo_database browser
  stop_web browser
  start_web browser "$TEST_PORT" browser
  SPARROW_URL="http://127.0.0.1:$TEST_PORT" npx playwright test --config tests/e2e/shots.config.ts || die "the pictures could not be taken."
  stop_web browser
  say "docs/screenshots/ is up to date."
}

# Wrong requests to a server that is there for nothing else. $1: how many
run_fuzz() {
  [[ "$1" =~ ^[0-9]{1,6}$ ]] || die "\"$1\" is not a number of requests."
  prepare_var
  take_lock
  install_all
  start_database
  test_fuzz "$1"
}

test_fuzz() {
  make_demo_database fuzz
  stop_web fuzz
  start_web fuzz "$FUZZ_PORT" fuzz
  local result=0
  node tests/fuzz/fuzz.mjs "http://127.0.0.1:$FUZZ_PORT" "${1:-1000}" "${SPARROW_FUZZ_SEED:-20261127}" || result=$?
  # A worker that passes 128 MB answers 500 and is counted above; this is what they came to.
  ps -o rss= --ppid "$(living "$VAR/web-fuzz/fpm.pid")" | sort -n | tail -1 | awk '{ printf "  largest worker %d MB\n", $1 / 1024 }'
  stop_web fuzz
  return "$result"
}
