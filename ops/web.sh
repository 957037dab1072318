# nginx in front of php-fpm, both from var/; PHP's own server where they are missing.

# $1: a name for the instance, $2: its port, $3: the environment (its .env file is .env or .env.NAME),
# $4: more of the server's configuration in nginx, for HTTPS or the bench
start_web() {
  local name="$1" port="$2" environment="$3" more="${4:-}" dir="$VAR/web-$1" wanted
  wanted="$(serving_hash) $(printf '%s' "$more" | sha256sum)"
  if alive "$dir/nginx.pid" && alive "$dir/fpm.pid" && [ "$(cat "$dir/port")" = "$port" ] && fresh "serve-$name" "$wanted"; then
    return 0
  fi
  # Before anything is stopped: a wrong port must not cost the server that runs.
  if [ "$(cat "$dir/port" 2>/dev/null)" != "$port" ] && port_taken "$port"; then
    die "port $port is in use by another program. Choose another: SPARROW_PORT=8070 ./sparrow start"
  fi
  stop_web "$name"
  port_taken "$port" && die "port $port is in use by another program. Choose another: SPARROW_PORT=8070 ./sparrow start"
  mkdir -p "$dir"/{temp,cache}
  echo "$port" >"$dir/port"
  if command -v nginx >/dev/null && command -v php-fpm8.2 >/dev/null; then
    cache_framework "$dir" "$environment"
    start_fpm "$dir" "$environment"
    start_nginx "$dir" "$port" "$more"
  else
    say "nginx or php-fpm is missing: PHP's own server takes over."
    APP_ENV="$environment" PHP_CLI_SERVER_WORKERS=4 setsid php -S "127.0.0.1:$port" -t public \
      vendor/laravel/framework/src/Illuminate/Foundation/resources/server.php >"$VAR/logs/web-$name.log" 2>&1 9>&- </dev/null &
    echo $! >"$dir/nginx.pid"
    cp "$dir/nginx.pid" "$dir/fpm.pid"
  fi
  wait_for_web "$name" "$port"
  stamp "serve-$name" "$wanted"
}

# opcache is told not to look at files again, so a changed file means a new server.
serving_hash() { find app ops/preload.php bootstrap/app.php bootstrap/providers.php config core/src compat routes resources/views .env vendor/autoload.php -type f -printf '%p %T@\n' 2>/dev/null | sort | sha256sum | cut -d' ' -f1; }

wait_for_web() {
  for _ in $(seq 1 100); do
    curl -fsS -o /dev/null "http://127.0.0.1:$2/up" 2>"$VAR/logs/web-$1-wait.log" && return 0
    sleep 0.2
  done
  tail -n 5 "$VAR/storage/logs/laravel.log" "$VAR/logs/web-$1.log" 2>/dev/null >&2 || true
  die "the web server does not answer on port $2. See var/logs and var/storage/logs."
}

framework_environment() {
  printf '%s\n' "APP_ENV=$2" "APP_CONFIG_CACHE=$1/cache/config.php" "APP_ROUTES_CACHE=$1/cache/routes.php"
}

cache_framework() {
  local settings
  mapfile -t settings < <(framework_environment "$1" "$2")
  rm -f "$1"/cache/*.php
  # New code may read otherwise what older code kept.
  step "preparing the application" "See the lines above." cache-clear env "${settings[@]}" php artisan cache:clear
  step "preparing the application" "See the lines above." cache-config env "${settings[@]}" php artisan config:cache
  step "preparing the application" "See the lines above." cache-routes env "${settings[@]}" php artisan route:cache
}

start_fpm() {
  local dir="$1" as_root_flag=()
  [ "$(id -u)" = 0 ] && as_root_flag=(-R)
  {
    printf '[global]\nerror_log = %s\ndaemonize = no\n' "$VAR/logs/fpm.log"
    printf '[www]\nlisten = %s\nlisten.backlog = 256\npm = static\npm.max_children = 6\nclear_env = no\ncatch_workers_output = yes\n' "$(fpm_socket "$dir")"
    [ "$(id -u)" = 0 ] && printf 'user = root\ngroup = root\n'
    framework_environment "$dir" "$2" | sed 's/^\([^=]*\)=\(.*\)$/env[\1] = "\2"/'
  } >"$dir/fpm.conf"
  setsid php-fpm8.2 "${as_root_flag[@]}" -y "$dir/fpm.conf" -d opcache.validate_timestamps=0 -d opcache.max_accelerated_files=20000 \
    -d opcache.preload="$ROOT/ops/preload.php" -d opcache.preload_user="$(id -un)" -d opcache.jit=tracing -d opcache.jit_buffer_size=64M -d pcov.enabled=0 -d expose_php=0 >>"$VAR/logs/fpm.log" 2>&1 9>&- </dev/null &
  echo $! >"$dir/fpm.pid"
}

fpm_socket() {
  local socket="$1/fpm.sock"
  ((${#socket} > 100)) && socket="/tmp/sparrow-fpm-$(printf '%s' "$1" | sha256sum | cut -c1-12).sock"
  printf '%s' "$socket"
}

start_nginx() {
  local dir="$1" port="$2" more="${3:-}"
  {
    [ "$(id -u)" = 0 ] && echo 'user root;'
    cat <<CONF
daemon off;
# One is plenty here, and must be one: a second would wait up to a minute for connections that the first keeps idle, since
# each of those holds a php-fpm process.
worker_processes 1;
pid $dir/nginx-master.pid;
error_log $VAR/logs/nginx.log warn;
events { worker_connections 512; }
http {
  include /etc/nginx/mime.types;
  types { font/woff2 woff2; }
  access_log off;
  server_tokens off;
  client_max_body_size 2m;
  client_body_temp_path $dir/temp/body; proxy_temp_path $dir/temp/proxy; fastcgi_temp_path $dir/temp/fastcgi;
  uwsgi_temp_path $dir/temp/uwsgi; scgi_temp_path $dir/temp/scgi;
  gzip on; gzip_comp_level 6; gzip_min_length 800; gzip_types text/css application/javascript application/json image/svg+xml;
  upstream fpm { server unix:$(fpm_socket "$dir"); keepalive 4; }
  server {
    listen 127.0.0.1:$port;
    root $ROOT/public;
    add_header X-Content-Type-Options nosniff always;
    add_header Referrer-Policy same-origin always;
    add_header X-Frame-Options DENY always;
    location /build/ {
      expires 1y;
      add_header Cache-Control "public, immutable";
      add_header X-Content-Type-Options nosniff always;
      try_files \$uri =404;
    }
    location / { try_files \$uri /index.php\$is_args\$args; }
    location = /index.php {
      include /etc/nginx/fastcgi_params;
      fastcgi_pass fpm;
      fastcgi_keep_conn on;
      fastcgi_param SCRIPT_FILENAME \$document_root/index.php;
    }
$more
  }
}
CONF
  } >"$dir/nginx.conf"
  setsid nginx -e "$VAR/logs/nginx.log" -c "$dir/nginx.conf" -p "$dir" >>"$VAR/logs/nginx.log" 2>&1 9>&- </dev/null &
  echo $! >"$dir/nginx.pid"
}

stop_web() {
  end_group "$VAR/web-$1/nginx.pid"
  end_group "$VAR/web-$1/fpm.pid"
}

# $1: --lan, or nothing
start_all() {
  local more=""
  [ -z "$1" ] || [ "$1" = "--lan" ] || die "\"$1\" is not a way to start: --lan, or nothing."
  check_port_number SPARROW_PORT "$PORT"
  prepare_var
  take_lock
  install_all
  start_database
  make_database sparrow
  write_env .env sparrow local "$PORT"
  step "bringing the tables up to date" "See the lines above." migrate php artisan migrate --force
  step "loading the drill book" "Mend the file it names in book/drills." book php artisan sparrow:book
  step "loading the demo" "Run ./sparrow demo:reset to begin again." demo php artisan sparrow:demo --if-empty
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

stop_all() {
  prepare_var
  stop_web main
  end_group "$DB_PID"
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
  alive "$DB_PID" || die "the database is stopped. Run ./sparrow start first."
  if [ "$1" != "--yes" ]; then
    local answer=""
    read -r -p "This throws away every record on this machine and loads the demo anew. Type yes to go on: " answer || true
    [ "$answer" = "yes" ] || die "nothing was changed."
  fi
  step "emptying the tables" "See the lines above." reset php artisan migrate:fresh --force
  step "loading the drill book" "Mend the file it names in book/drills." book php artisan sparrow:book
  step "loading the demo" "See the lines above." demo php artisan sparrow:demo
  say "The demo is as new."
}
