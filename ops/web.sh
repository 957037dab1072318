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
  rm -f "$dir/more"
  port_taken "$port" && die "port $port is in use by another program. Choose another: SPARROW_PORT=8070 ./sparrow start"
  mkdir -p "$dir"/{temp,cache}
  echo "$port" | write_file "$dir/port"
  printf '%s' "$more" | write_file "$dir/more"
  hand_over "$dir"
  if command -v nginx >/dev/null && command -v php-fpm8.2 >/dev/null; then
    cache_framework "$dir" "$environment"
    start_fpm "$dir" "$environment" "$name"
    start_nginx "$dir" "$port" "$name" "$more"
  else
    say "nginx or php-fpm is missing: PHP's own server takes over."
    (
      cd "$dir"
      let_go_of_files
      APP_ENV="$environment" PHP_CLI_SERVER_WORKERS=4 exec setsid "${AS[@]}" php -S "127.0.0.1:$port" -t "$ROOT/public" \
        "$ROOT/vendor/laravel/framework/src/Illuminate/Foundation/resources/server.php"
    ) >"$VAR/logs/web-$name.log" 2>&1 </dev/null &
    note_process "$dir/nginx.pid" $!
    cp "$dir/nginx.pid" "$dir/fpm.pid"
  fi
  wait_for_web "$name" "$port"
  stamp "serve-$name" "$wanted"
}

# opcache is told not to look at files again, so a changed file means a new server.
serving_hash() { find app ops/preload.php bootstrap/app.php bootstrap/providers.php config core/src compat routes resources/views .env vendor/autoload.php -type f -printf '%p %T@\n' 2>/dev/null | sort | sha256sum | cut -d' ' -f1; }

# A minute: on a busy machine the code that is read ahead alone can take a third of one.
wait_for_web() {
  for _ in $(seq 1 300); do
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
  step "preparing the application" "See the lines above." cache-clear "${AS[@]}" env "${settings[@]}" php artisan cache:clear
  step "preparing the application" "See the lines above." cache-config "${AS[@]}" env "${settings[@]}" php artisan config:cache
  step "preparing the application" "See the lines above." cache-routes "${AS[@]}" env "${settings[@]}" php artisan route:cache
}

# $1: the instance's folder, $2: its environment, $3: its name
start_fpm() {
  local dir="$1"
  {
    printf '[global]\nerror_log = %s\ndaemonize = no\n' "$VAR/logs/fpm-$3.log"
    printf '[www]\nlisten = %s\nlisten.mode = 0600\nlisten.backlog = 256\n' "$(fpm_socket "$dir")"
    printf 'pm = static\npm.max_children = 6\nclear_env = no\ncatch_workers_output = yes\n'
    # A trace without arguments: a log must hold no password and no child's name.
    printf 'php_admin_value[memory_limit] = 128M\nphp_admin_flag[zend.exception_ignore_args] = on\n'
    [ "$SERVICE" != root ] || printf 'user = root\ngroup = root\n'
    framework_environment "$dir" "$2" | sed 's/^\([^=]*\)=\(.*\)$/env[\1] = "\2"/'
  } | write_file "$dir/fpm.conf"
  hand_over "$dir/fpm.conf"
  (
    cd "$dir"
    let_go_of_files
    exec setsid "${AS[@]}" php-fpm8.2 $([ "$SERVICE" != root ] || echo -R) -y "$dir/fpm.conf" -d opcache.validate_timestamps=0 \
      -d opcache.max_accelerated_files=20000 -d opcache.preload="$ROOT/ops/preload.php" -d opcache.preload_user="$SERVICE" \
      -d opcache.jit=function -d opcache.jit_buffer_size=64M -d pcov.enabled=0 -d expose_php=0
  ) >>"$VAR/logs/fpm-$3-said.log" 2>&1 </dev/null &
  note_process "$dir/fpm.pid" $!
}

fpm_socket() {
  local socket="$1/fpm.sock"
  # As the database's: in a closed folder, which start_database has made.
  ((${#socket} > 100)) && socket="$(dirname "$DB_SOCKET")/$(basename "$1").sock"
  printf '%s' "$socket"
}

# Links of invitations and resets are secrets, so nothing that is asked for under them is logged, not even when it fails;
# and what strangers may send is short.
CLOSED_LOCATIONS='
    location ~ ^/(invitation|reset)/ {
      error_log /dev/null;
      try_files $uri /index.php$is_args$args;
    }
    location ~ ^/api/v1/(sign-in|invitations|password-resets)(/|$) {
      error_log /dev/null;
      client_max_body_size 16k;
      try_files /nothing-of-this-name @application;
    }
    location @application {
      error_log /dev/null;
      include /etc/nginx/fastcgi_params;
      fastcgi_pass fpm;
      fastcgi_keep_conn on;
      fastcgi_param SCRIPT_NAME /index.php;
      fastcgi_param SCRIPT_FILENAME $document_root/index.php;
    }'

# $1: the instance's folder, $2: its port, $3: its name, $4: more of the server's configuration
start_nginx() {
  local dir="$1" port="$2" more="${4:-}" log="$VAR/logs/nginx-$3.log"
  cat <<CONF | write_file "$dir/nginx.conf"
daemon off;
# One is plenty here, and must be one: a second would wait up to a minute for connections that the first keeps idle, since
# each of those holds a php-fpm process.
worker_processes 1;
pid $dir/nginx-master.pid;
error_log $log warn;
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
    location ~ ^/build[a-z-]*/ {
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
$CLOSED_LOCATIONS
$more
  }
}
CONF
  hand_over "$dir/nginx.conf"
  (cd "$dir" && let_go_of_files && exec setsid "${AS[@]}" nginx -e "$log" -c "$dir/nginx.conf" -p "$dir") >>"$VAR/logs/nginx-$3-said.log" 2>&1 </dev/null &
  note_process "$dir/nginx.pid" $!
}

stop_web() {
  end_group "$VAR/web-$1/nginx.pid"
  end_group "$VAR/web-$1/fpm.pid"
  end_strays "$VAR/web-$1" nginx php-fpm8.2 php
}
