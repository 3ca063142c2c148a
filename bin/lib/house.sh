# Shared by bin/start, bin/stop and bin/test: finds or installs what the house stands on.
# Sourced, not run. Every function says what it could not do and leaves nothing half made.

ROOT=$(cd "$(dirname "${BASH_SOURCE[0]}")/../.." && pwd)
PHP_PACKAGES="php8.2-cli php8.2-pgsql php8.2-intl php8.2-mbstring php8.2-xml php8.2-curl php8.2-zip php8.2-fpm php8.2-apcu php8.2-gd"
RUN_PACKAGES="$PHP_PACKAGES postgresql-15 nginx-light curl unzip"
TEST_PACKAGES="chromium"

say() { printf '\033[32m·\033[0m %s\n' "$*"; }
die() { printf '\033[31m×\033[0m %s\n' "$*" >&2; exit 1; }

as_root() {
    if [ "$(id -u)" = 0 ]; then "$@"; else sudo -n "$@"; fi
}

# need_packages PACKAGE...: installs what dpkg does not list; without root or sudo it prints the line to run.
need_packages() {
    local missing=() name
    for name in "$@"; do
        dpkg-query -W -f='${db:Status-Status}' "$name" 2>/dev/null | grep -qx installed || missing+=("$name")
    done
    command -v composer >/dev/null || missing+=(composer)
    command -v node >/dev/null || missing+=(nodejs)
    command -v npm >/dev/null || missing+=(npm)
    [ ${#missing[@]} -eq 0 ] && return 0
    if [ "$(id -u)" != 0 ] && ! sudo -n true 2>/dev/null; then
        die "Missing packages, and no right to install them. Run this, then start again:
    sudo apt-get install --no-install-recommends ${missing[*]}"
    fi
    say "installing ${missing[*]}"
    local log; log=$(mktemp)
    # No server of the distribution is to start by itself: this project runs its own, on its own ports.
    # DPkg::Post-Invoke hooks cannot do that, but the policy script that invoke-rc.d asks can; one that is there already stays.
    local policy=/usr/sbin/policy-rc.d mine=0
    if [ ! -e $policy ]; then printf '#!/bin/sh\nexit 101\n' | as_root tee $policy >/dev/null; as_root chmod +x $policy; mine=1; fi
    if ! { as_root apt-get update -qq && as_root env DEBIAN_FRONTEND=noninteractive apt-get install -y -qq --no-install-recommends "${missing[@]}"; } >"$log" 2>&1; then
        [ $mine = 1 ] && as_root rm -f $policy
        tail -n 20 "$log" >&2
        die "Could not install: ${missing[*]} (whole log: $log). Nothing of the project was changed."
    fi
    [ $mine = 1 ] && as_root rm -f $policy
    rm -f "$log"
}

need_disk() { # megabytes wanted under ROOT
    local free; free=$(df -Pm "$ROOT" | awk 'NR == 2 { print $4 }')
    [ "$free" -ge "$1" ] || die "Only $free MB free on the disk of $ROOT; at least $1 MB are needed. Nothing was changed."
}

port_busy() { (exec 3<>"/dev/tcp/127.0.0.1/$1") 2>/dev/null; }

free_port() { # first free port from $1 upwards
    local port=$1
    while port_busy "$port"; do port=$((port + 1)); done
    echo "$port"
}

# stamped FILE COMMAND...: runs the command unless FILE holds the same fingerprint already. Reads the fingerprint from $FINGERPRINT.
stamped() {
    local file=$1; shift
    [ -f "$file" ] && [ "$(cat "$file")" = "$FINGERPRINT" ] && return 0
    "$@" || return 1
    mkdir -p "$(dirname "$file")" && printf '%s' "$FINGERPRINT" >"$file"
}

quietly() { # LABEL COMMAND...: shows the output only when the command fails
    local label=$1 log; shift; log=$(mktemp)
    say "$label"
    if ! "$@" >"$log" 2>&1; then tail -n 40 "$log" >&2; rm -f "$log"; return 1; fi
    rm -f "$log"
}

install_vendor() {
    cd "$ROOT" || exit 1
    FINGERPRINT=$(sha256sum composer.json | cut -c1-64) \
        stamped vendor/.fingerprint quietly "PHP packages" sh -c 'composer install --no-interaction --no-progress --no-scripts && chmod -R a+rX vendor' \
        || die "Composer could not install the PHP packages (see above). Run again when the registry can be reached; nothing else was changed."
    FINGERPRINT=$(cat package.json package-lock.json | sha256sum | cut -c1-64) \
        stamped node_modules/.fingerprint quietly "style and test tools" npm ci --no-audit --no-fund \
        || die "npm could not install its packages (see above). Run again when the registry can be reached; nothing else was changed."
}

build_assets() {
    cd "$ROOT" || exit 1
    FINGERPRINT=$(find assets templates src -type f \( -name '*.css' -o -name '*.js' -o -name '*.twig' -o -name '*.woff2' \) -print0 | sort -z | xargs -0 sha256sum | cat - package.json bin/lib/build-assets.mjs | sha256sum | cut -c1-64) \
        stamped public/build/.fingerprint quietly "styles and scripts" node bin/lib/build-assets.mjs \
        || die "The styles could not be built (see above)."
}

# Where data and sockets live. A clone may lie where only root can enter; PostgreSQL, php-fpm and nginx work under
# users of their own, so state (and, if need be, a copy of the application) then goes where these can reach it.
choose_state() { # name of the instance: run or test
    if [ "$(id -u)" = 0 ]; then WEB_USER=www-data; DB_USER=postgres; else WEB_USER=$(id -un); DB_USER=$WEB_USER; fi
    STATE=$ROOT/var/$1
    APP=$ROOT
    if [ "$(id -u)" = 0 ] && ! { runuser -u "$DB_USER" -- test -x "$ROOT" && runuser -u "$WEB_USER" -- test -r "$ROOT/composer.json"; } 2>/dev/null; then
        STATE=/var/lib/hand-garden/$(printf '%s' "$ROOT" | sha256sum | cut -c1-12)/$1
        APP=$STATE/app
        say "$ROOT can be entered by root only: data and a copy of the application go to $STATE"
    fi
    mkdir -p "$STATE" "$STATE/log"
    if [ "$(id -u)" = 0 ]; then
        local dir=$STATE # every folder on the way is to be passable
        while [ "$dir" != / ] && [ "$dir" != "$ROOT" ]; do chmod a+x "$dir"; dir=$(dirname "$dir"); done
        for dir in cache log hands tmp; do mkdir -p "$STATE/$dir"; chown -R "$WEB_USER" "$STATE/$dir"; done
    else
        mkdir -p "$STATE"/{cache,log,hands,tmp}
    fi
    SOCKET=$STATE/fpm.sock
    [ ${#SOCKET} -le 100 ] || SOCKET=/tmp/hand-garden-$(printf '%s' "$STATE" | sha256sum | cut -c1-12).sock
}

copy_app() { # only when the application cannot be read where it lies
    [ "$APP" = "$ROOT" ] && return 0
    mkdir -p "$APP"
    (cd "$ROOT" && tar -cf - --exclude=./var --exclude=./.git --exclude=./node_modules .) | (cd "$APP" && find . -mindepth 1 -maxdepth 1 ! -name var -exec rm -rf {} + && tar -xf -)
    chmod -R a+rX "$APP"
}

secret() { od -An -N24 -tx1 /dev/urandom | tr -d ' \n'; }

make_secrets() {
    SECRETS=$STATE/secrets.env
    if [ ! -s "$SECRETS" ]; then
        (umask 077; printf 'DB_PASSWORD=%s\nAPP_SECRET=%s\nDEMO_PASSWORD=%s\n' "$(secret)" "$(secret)" "fennick-$(secret | cut -c1-6)" >"$SECRETS.new" && mv "$SECRETS.new" "$SECRETS") || die "Could not write $SECRETS; is the disk full?"
    fi
    # shellcheck disable=SC1090
    . "$SECRETS"
}

# --- PostgreSQL ---------------------------------------------------------------------------------------------------
PG_BIN=/usr/lib/postgresql/15/bin

as_db() { if [ "$(id -u)" = 0 ]; then (cd / && runuser -u "$DB_USER" -- "$@"); else "$@"; fi; }

start_postgres() { # first port to try; sets PG_PORT
    local data=$STATE/pg
    if [ ! -f "$data/ready" ]; then
        rm -rf "$data" # a half-made cluster of an interrupted first start holds nothing yet
        mkdir -p "$data"; [ "$(id -u)" = 0 ] && chown "$DB_USER" "$data"; chmod 700 "$data"
        local pw; pw=$(mktemp); printf '%s' "$DB_PASSWORD" >"$pw"; [ "$(id -u)" = 0 ] && chown "$DB_USER" "$pw"
        as_db "$PG_BIN/initdb" -D "$data/cluster" -U garden --pwfile="$pw" -A scram-sha-256 --no-sync -E UTF8 --locale=C.UTF-8 >"$STATE/log/initdb.log" 2>&1 \
            || { rm -f "$pw"; tail -n 5 "$STATE/log/initdb.log" >&2; die "PostgreSQL could not make its data folder in $data."; }
        rm -f "$pw"
        as_db touch "$data/ready"
    fi
    if as_db "$PG_BIN/pg_ctl" -D "$data/cluster" status >/dev/null 2>&1; then
        PG_PORT=$(sed -n 4p "$data/cluster/postmaster.pid")
        return 0
    fi
    PG_PORT=$(free_port "$1")
    as_db "$PG_BIN/pg_ctl" -D "$data/cluster" -w -t 60 -l "$data/server.log" \
        -o "-p $PG_PORT -c listen_addresses=127.0.0.1 -c unix_socket_directories= -c fsync=${PG_FSYNC:-on}" start >/dev/null 2>&1 \
        || { as_db tail -n 8 "$data/server.log" >&2; die "PostgreSQL did not start on 127.0.0.1:$PG_PORT (log: $data/server.log)."; }
}

stop_postgres() {
    [ -d "$STATE/pg/cluster" ] && as_db "$PG_BIN/pg_ctl" -D "$STATE/pg/cluster" -m fast -w stop >/dev/null 2>&1
    return 0
}

sql() { # database, statement
    PGPASSWORD=$DB_PASSWORD psql -qtAX -h 127.0.0.1 -p "$PG_PORT" -U garden -d "$1" -v ON_ERROR_STOP=1 -c "$2"
}

need_database() { # name
    [ "$(sql postgres "SELECT 1 FROM pg_database WHERE datname = '$1'")" = 1 ] || sql postgres "CREATE DATABASE $1" || die "Could not create the database $1."
}

# --- php-fpm and nginx ---------------------------------------------------------------------------------------------
database_url() { printf 'postgresql://garden:%s@127.0.0.1:%s/%s?serverVersion=15&charset=utf8' "$DB_PASSWORD" "$PG_PORT" "$1"; }

console() { # runs as the web user so that the cache belongs to it; secrets go by environment, not where a list of processes shows them
    (
        export HOME=$STATE/tmp APP_ENV APP_DEBUG=0 APP_SECRET HG_STATE_DIR=$STATE HG_HANDS_DIR=$STATE/hands HG_LOOPBACK=${HG_LOOPBACK:-0} HG_URL=${HG_URL:-} DEMO_PASSWORD DATABASE_URL
        DATABASE_URL=$(database_url "$DATABASE")
        cd "$APP" 2>/dev/null || cd /
        local run=(php -d memory_limit=512M "$APP/bin/console" --no-interaction "$@")
        if [ "$(id -u)" = 0 ]; then exec runuser -u "$WEB_USER" -- "${run[@]}"; else exec "${run[@]}"; fi
    )
}

# The container and the catalogue are compiled anew when anything they are made of has changed.
prepare_cache() {
    local print; print=$(cd "$ROOT" && find src bench config catalogue templates composer.json docs/case.schema.json -type f -print0 | sort -z | xargs -0 sha256sum | sha256sum | cut -c1-64)-$PG_PORT
    local file=$STATE/cache/.fingerprint
    [ -f "$file" ] && [ "$(cat "$file")" = "$print" ] && return 0
    find "$STATE/cache" -mindepth 1 -delete
    quietly "compiling" console cache:warmup || die "The application could not be compiled (see above)."
    printf '%s' "$print" >"$file"
}

start_web() { # port
    local port=$1 user_line="" fpm_user="" yardstick=""
    if [ -n "${BENCH:-}" ]; then # the bare framework, to measure our pages against
        yardstick="location = /bench/twig { fastcgi_pass unix:$SOCKET; include /etc/nginx/fastcgi_params; fastcgi_param SCRIPT_FILENAME $APP/bench/twig.php; fastcgi_param SCRIPT_NAME /index.php; }"
    fi
    if [ "$(id -u)" = 0 ]; then user_line="user $WEB_USER;"; fpm_user="user = $WEB_USER
group = $WEB_USER
listen.owner = $WEB_USER
listen.group = $WEB_USER"; fi
    (umask 077; cat >"$STATE/fpm.conf") <<CONF
[global]
pid = $STATE/fpm.pid
error_log = $STATE/log/fpm.log
daemonize = yes
[garden]
$fpm_user
listen = $SOCKET
pm = static
pm.max_children = 4
pm.max_requests = 2000
catch_workers_output = yes
env[APP_ENV] = $APP_ENV
env[APP_DEBUG] = 0
env[APP_SECRET] = $APP_SECRET
env[HG_STATE_DIR] = $STATE
env[HG_HANDS_DIR] = $STATE/hands
env[HG_LOOPBACK] = ${HG_LOOPBACK:-0}
env[HG_WORKERS] = $(( $(nproc) < 4 ? $(nproc) : 4 ))
env[HG_BENCH] = ${HG_LOOPBACK:-0}
env[DATABASE_URL] = "$(database_url "$DATABASE")"
php_admin_value[realpath_cache_size] = 4096K
php_admin_value[realpath_cache_ttl] = 600
php_admin_value[expose_php] = off
php_admin_value[error_log] = $STATE/log/php.log
CONF
    cat >"$STATE/nginx.conf" <<CONF
$user_line
worker_processes 1;
pid $STATE/nginx.pid;
error_log $STATE/log/nginx.log warn;
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
    client_body_temp_path $STATE/tmp/body;
    proxy_temp_path $STATE/tmp/proxy;
    fastcgi_temp_path $STATE/tmp/fastcgi;
    uwsgi_temp_path $STATE/tmp/uwsgi;
    scgi_temp_path $STATE/tmp/scgi;
    server {
        listen 127.0.0.1:$port;
        root $APP/public;
        location /build/ { add_header Cache-Control "public, max-age=31536000, immutable"; add_header X-Content-Type-Options nosniff; try_files \$uri =404; }
        # A drawing is named by its content: once drawn it is a file, before that the application draws it.
        location ~ ^/hands/([0-9a-f][0-9a-f])([0-9a-f]+)\.(svg|json)\$ {
            root $STATE;
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
            fastcgi_param SCRIPT_FILENAME $APP/public/index.php;
            fastcgi_param SCRIPT_NAME /index.php;
            fastcgi_param HTTP_HOST \$http_host;
            fastcgi_param HTTP_PROXY "";
            fastcgi_buffers 16 32k;
            fastcgi_buffer_size 64k;
        }
    }
}
CONF
    php-fpm8.2 --nodaemonize -y "$STATE/fpm.conf" -t >/dev/null 2>&1 || { php-fpm8.2 -y "$STATE/fpm.conf" -t; die "php-fpm refuses its configuration ($STATE/fpm.conf)."; }
    # These are read before the pools are, so they are given to the master itself.
    php-fpm8.2 -d opcache.memory_consumption=192 -d opcache.max_accelerated_files=30000 -d "opcache.validate_timestamps=${OPCACHE_CHECK:-0}" -y "$STATE/fpm.conf" || die "php-fpm did not start (log: $STATE/log/fpm.log)."
    nginx -e "$STATE/log/nginx.log" -c "$STATE/nginx.conf" || { stop_web; die "nginx did not start (log: $STATE/log/nginx.log)."; }
}

stop_pid() { # pid file, signal
    [ -s "$1" ] || return 0
    local pid; pid=$(cat "$1")
    if kill "-$2" "$pid" 2>/dev/null; then
        for _ in $(seq 50); do kill -0 "$pid" 2>/dev/null || break; sleep 0.1; done
    fi
    rm -f "$1"
}

# Runs the simulated devices that the bench page wants; only where the application listens on this machine alone.
start_bench() { # port
    HG_URL=http://127.0.0.1:$1 console garden:devices "$STATE/tmp/bench.pid" >"$STATE/log/bench.log" 2>&1 &
}

# Every five minutes: what the passing of time changes. On a server of its own cron does this.
start_day() {
    set -m # the loop leads a process group of its own, so that it can be ended with what it is running
    ( trap '' HUP; while :; do console garden:day; sleep "${HG_DAY_SECONDS:-300}"; done ) >"$STATE/log/day.log" 2>&1 &
    printf '%s' "$!" >"$STATE/tmp/day.pid"
    set +m
}

stop_day() {
    [ -s "$STATE/tmp/day.pid" ] || return 0
    kill -TERM -- "-$(cat "$STATE/tmp/day.pid")" 2>/dev/null || true
    rm -f "$STATE/tmp/day.pid"
}

stop_web() { stop_day; stop_pid "$STATE/tmp/bench.pid" TERM; stop_pid "$STATE/nginx.pid" QUIT; stop_pid "$STATE/fpm.pid" TERM; return 0; }
