# Shared by the scripts in bin: php-fpm, nginx, the simulated devices, and who looks after them.

# Behind TLS the cookie of the session is bound to this very address.
session_cookie() { [[ ${HG_PUBLIC_URL:-} == https://* ]] && printf __Host-garden || printf garden; }

# What whoever runs the house has set; what is empty is not named.
set_outside() {
    local name
    for name in HG_PUBLIC_URL HG_PROXY MAILER_DSN HG_MAIL_FROM; do
        [ -z "${!name:-}" ] || printf 'env[%s] = "%s"\n' "$name" "${!name}"
    done
}

write_fpm_conf() {
    local as=""
    if [ "$(id -u)" = 0 ]; then as="user = $WEB_USER
group = $WEB_USER
listen.owner = $WEB_USER
listen.group = $WEB_USER"; fi
    cat >"$KEEP/fpm.conf" <<CONF
[global]
pid = "$KEEP/fpm.pid"
error_log = "$KEEP/fpm.log"
daemonize = yes
[garden]
$as
listen = $SOCKET
listen.mode = 0600
pm = static
pm.max_children = 4
pm.max_requests = 2000
catch_workers_output = yes
env[APP_ENV] = $APP_ENV
env[APP_DEBUG] = 0
env[APP_SECRET] = $APP_SECRET
env[HG_STATE_DIR] = "$STATE"
env[HG_HANDS_DIR] = "$STATE/hands"
env[HG_LOOPBACK] = ${HG_LOOPBACK:-0}
env[HG_WORKERS] = $(( $(nproc) < 4 ? $(nproc) : 4 ))
env[HG_BENCH] = ${HG_LOOPBACK:-0}
env[HG_SESSION_COOKIE] = $(session_cookie)
$(set_outside)
env[DATABASE_URL] = "$(database_url "$DATABASE" garden)"
; a page that asks for longer than this has gone wrong; commands may take their time
env[PGOPTIONS] = "-c statement_timeout=60s"
php_admin_value[realpath_cache_size] = 4096K
php_admin_value[realpath_cache_ttl] = 600
php_admin_value[expose_php] = off
php_admin_value[error_log] = "$STATE/log/php.log"
CONF
}

write_nginx_conf() { # port
    local as="" yardstick=""
    if [ "$(id -u)" = 0 ]; then as="user $WEB_USER;"; fi
    if [ -n "${BENCH:-}" ]; then # the bare framework, to measure our pages against
        yardstick="location = /bench/twig { fastcgi_pass unix:$SOCKET; include /etc/nginx/fastcgi_params; fastcgi_param SCRIPT_FILENAME \"$APP/bench/twig.php\"; fastcgi_param SCRIPT_NAME /index.php; }"
    fi
    cat >"$KEEP/nginx.conf" <<CONF
$as
worker_processes 1;
pid "$KEEP/nginx.pid";
error_log "$KEEP/nginx.log" warn;
events { worker_connections 256; }
http {
    include /etc/nginx/mime.types;
    types { text/javascript mjs; }
    default_type application/octet-stream;
    access_log off;
    sendfile on;
    server_tokens off;
    gzip on;
    gzip_types text/css text/javascript application/javascript application/json image/svg+xml;
    client_max_body_size 2m;
    client_body_temp_path "$STATE/nginx/body";
    proxy_temp_path "$STATE/nginx/proxy";
    fastcgi_temp_path "$STATE/nginx/fastcgi";
    uwsgi_temp_path "$STATE/nginx/uwsgi";
    scgi_temp_path "$STATE/nginx/scgi";
    server {
        listen 127.0.0.1:$1;
        root "$APP/public";
        # no source is served, and nothing that begins with a dot
        location ~ (\.php\$|/\.) { try_files /nothing @app; }
        location = /sw.js { add_header Cache-Control "no-cache"; add_header X-Content-Type-Options nosniff; try_files \$uri =404; }
        location /build/ { add_header Cache-Control "public, max-age=31536000, immutable"; add_header X-Content-Type-Options nosniff; try_files \$uri =404; }
        # A drawing is named by its content: once drawn it is a file, before that the application draws it.
        location ~ ^/hands/([0-9a-f][0-9a-f])([0-9a-f]+)\.(svg|json)\$ {
            root "$STATE";
            disable_symlinks on from=\$document_root;
            add_header Cache-Control "public, max-age=31536000, immutable";
            add_header Content-Security-Policy "default-src 'none'";
            add_header X-Content-Type-Options nosniff;
            try_files /hands/\$1/\$1\$2.\$3 @app;
        }
        $yardstick
        location / { try_files \$uri @app; }
        location @app {
            fastcgi_pass unix:$SOCKET;
            include /etc/nginx/fastcgi_params;
            fastcgi_param SCRIPT_FILENAME "$APP/public/index.php";
            fastcgi_param SCRIPT_NAME /index.php;
            fastcgi_param HTTP_HOST \$http_host;
            fastcgi_param HTTP_PROXY "";
            fastcgi_buffers 16 32k;
            fastcgi_buffer_size 64k;
        }
    }
}
CONF
}

start_fpm() {
    (umask 077; write_fpm_conf)
    php-fpm8.2 --nodaemonize -y "$KEEP/fpm.conf" -t >/dev/null 2>&1 || { php-fpm8.2 -y "$KEEP/fpm.conf" -t; die "php-fpm refuses its configuration ($KEEP/fpm.conf)."; }
    # These are read before the pools are, so they are given to the master itself.
    php-fpm8.2 -d opcache.memory_consumption=192 -d opcache.max_accelerated_files=30000 -d "opcache.validate_timestamps=${OPCACHE_CHECK:-0}" -y "$KEEP/fpm.conf" 9>&- \
        || die "php-fpm did not start (log: $KEEP/fpm.log)."
}

start_nginx() { # port
    # nginx gives its folders to the web user as root: they stand where nobody else can put a link in their place
    own_folder "$STATE/nginx" 711
    (umask 077; write_nginx_conf "$1")
    nginx -e "$KEEP/nginx.log" -c "$KEEP/nginx.conf" 9>&- || die "nginx did not start (log: $KEEP/nginx.log)."
}

start_web() { # port
    start_fpm
    start_nginx "$1"
}

fpm_runs() { is_running "$KEEP/fpm.pid" "$KEEP/fpm.conf" >/dev/null; }

nginx_runs() { is_running "$KEEP/nginx.pid" "$KEEP/nginx.conf" >/dev/null; }

stop_fpm() { stop_server "$KEEP/fpm.pid" "$KEEP/fpm.conf" 'php-fpm: pool garden' TERM; }

stop_nginx() { stop_server "$KEEP/nginx.pid" "$KEEP/nginx.conf" 'nginx: worker process' QUIT; }

# Runs the simulated devices that the bench page wants; only where the application listens on this machine alone.
start_bench() { # port
    HG_URL=http://127.0.0.1:$1 console_here garden:devices >"$KEEP/bench.log" 2>&1 &
    BENCH_PID=$!
    printf '%s' "$BENCH_PID" >"$KEEP/bench.pid"
}

stop_bench() { stop_server "$KEEP/bench.pid" garden:devices '-' TERM; }

# Looks after what was started: see watch.sh.
start_watch() {
    export PORT APP_ENV DATABASE HG_LOOPBACK HG_PUBLIC_URL HG_PROXY MAILER_DSN HG_MAIL_FROM
    setsid bash "$ROOT/bin/lib/watch.sh" "$STATE" >>"$KEEP/watch.log" 2>&1 </dev/null 9>&- &
    WATCH_PID=$!
    printf '%s' "$WATCH_PID" >"$KEEP/watch.pid"
}

watch_runs() { is_running "$KEEP/watch.pid" "bin/lib/watch.sh $STATE" >/dev/null; }

stop_watch() { stop_server "$KEEP/watch.pid" "bin/lib/watch.sh $STATE" '-' TERM; }

stop_web() { stop_watch; stop_bench; stop_nginx; stop_fpm; stop_former; return 0; }

# What a version that kept its numbers elsewhere may have left running.
stop_former() {
    stop_server "$STATE/tmp/bench.pid" "garden:devices $STATE/tmp/bench.pid" '-' TERM
    stop_server "$STATE/nginx.pid" "$STATE/nginx.conf" 'nginx: worker process' QUIT
    stop_server "$STATE/fpm.pid" "$STATE/fpm.conf" 'php-fpm: pool garden' TERM
}
