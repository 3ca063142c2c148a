# Shared by bin/start, bin/stop and bin/test: finds or installs what the house stands on.
# Sourced, not run. Every function says what it could not do and leaves nothing half made.
# shellcheck source-path=SCRIPTDIR

ROOT=$(cd "$(dirname "${BASH_SOURCE[0]}")/../.." && pwd)
PHP_PACKAGES="php8.2-cli php8.2-pgsql php8.2-intl php8.2-mbstring php8.2-xml php8.2-curl php8.2-zip php8.2-fpm php8.2-apcu php8.2-gd"
RUN_PACKAGES="$PHP_PACKAGES postgresql-15 nginx-light curl unzip"
TEST_PACKAGES="chromium"

for part in processes database web; do . "$ROOT/bin/lib/$part.sh"; done

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

# Two that install or start at once would be in each other's way: the second waits for the first.
# What is started meanwhile closes the lock (9>&-), or it would hold it for as long as it lives.
alone() { # file of the lock
    mkdir -p "$(dirname "$1")"
    exec 9>"$1"
    flock -n 9 && return 0
    say "another bin/start or bin/test is preparing the same folder; waiting for it"
    flock -w 3000 9 || die "It did not end within 50 minutes. Nothing was changed."
}

together() { exec 9>&-; }

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
        stamped build/.fingerprint quietly "styles and scripts" node bin/lib/build-assets.mjs \
        || die "The styles could not be built (see above)."
}

# Where data and sockets live. A clone may lie where only root can enter; PostgreSQL, php-fpm and nginx work under
# users of their own, so state (and, if need be, a copy of the application) then goes where these can reach it.
choose_state() { # name of the instance: run or test
    if [ "$(id -u)" = 0 ]; then WEB_USER=www-data; DB_USER=postgres; else WEB_USER=$(id -un); DB_USER=$WEB_USER; fi
    local state=$ROOT/var/$1
    APP=$ROOT
    if [ "$(id -u)" = 0 ] && ! { runuser -u "$DB_USER" -- test -x "$ROOT" && runuser -u "$WEB_USER" -- test -r "$ROOT/composer.json"; } 2>/dev/null; then
        state=/var/lib/hand-garden/$(hash_of "$ROOT")/$1
        APP=$state/app
        say "$ROOT can be entered by root only: data and a copy of the application go to $state"
    fi
    use_state "$state"
    PG=$STATE/pg PG_SOCKETS=$RUN
    if [ "$(id -u)" = 0 ]; then
        local dir=$STATE # every folder on the way is to be passable
        while [ "$dir" != / ] && [ "$dir" != "$ROOT" ]; do chmod a+x "$dir"; dir=$(dirname "$dir"); done
    fi
}

hash_of() { printf '%s' "$1" | sha256sum | cut -c1-12; }

# Who starts the house owns the folder of its state, and KEEP in it, which nobody else can look into: numbers of
# processes, secrets, what root writes. Four folders belong to the web user; root never writes into these.
use_state() { # folder
    STATE=$1 KEEP=$1/keep
    own_folder "$STATE" 755
    own_folder "$KEEP" 700
    [ -f "$STATE/secrets.env" ] && [ ! -e "$KEEP/secrets.env" ] && mv "$STATE/secrets.env" "$KEEP/secrets.env"
    rm -f "$STATE"/{fpm.conf,nginx.conf,port} # where they stood before
    local dir
    for dir in cache log hands tmp; do
        mkdir -p "$STATE/$dir"
        [ "$(id -u)" != 0 ] || chown -RhP "$WEB_USER" "$STATE/$dir"
    done
    chmod 700 "$STATE/log"
    # Sockets have short names without blanks, wherever the clone lies.
    local sockets=/run/hand-garden
    [ "$(id -u)" = 0 ] || sockets=${XDG_RUNTIME_DIR:-/tmp}/hand-garden-$(id -u)
    own_folder "$sockets" 711
    RUN=$sockets/$(hash_of "$STATE")
    own_folder "$RUN" 711
    SOCKET=$RUN/fpm.sock
}

own_folder() { # folder, mode: made, or found to be ours and no link
    [ -L "$1" ] || mkdir -p "$1"
    [ -d "$1" ] && [ ! -L "$1" ] && [ -O "$1" ] || die "$1 is a link, or belongs to somebody else. Nothing was changed."
    chmod "$2" "$1"
}

copy_app() { # only when the application cannot be read where it lies
    [ "$APP" = "$ROOT" ] && return 0
    mkdir -p "$APP"
    (cd "$ROOT" && tar -cf - --exclude=./var --exclude=./.git --exclude=./node_modules .) | (cd "$APP" && find . -mindepth 1 -maxdepth 1 ! -name var -exec rm -rf {} + && tar -xf -)
    chmod -R a+rX "$APP"
}

secret() { od -An -N24 -tx1 /dev/urandom | tr -d ' \n'; }

make_secrets() {
    local file=$KEEP/secrets.env name
    # shellcheck disable=SC1090
    [ -s "$file" ] && . "$file"
    for name in DB_PASSWORD OWNER_PASSWORD APP_SECRET DEMO_PASSWORD; do
        [ -n "${!name:-}" ] || printf -v "$name" '%s' "$(secret)"
    done
    [[ $DEMO_PASSWORD == fennick-* ]] || DEMO_PASSWORD=fennick-${DEMO_PASSWORD:0:6}
    (
        umask 077
        printf 'DB_PASSWORD=%s\nOWNER_PASSWORD=%s\nAPP_SECRET=%s\nDEMO_PASSWORD=%s\n' \
            "$DB_PASSWORD" "$OWNER_PASSWORD" "$APP_SECRET" "$DEMO_PASSWORD" >"$file.new" && mv "$file.new" "$file"
    ) || die "Could not write $file; is the disk full?"
}

# A command of the application, as the web user so that the cache belongs to it; secrets go by environment, not where a
# list of processes shows them. AS=garden_owner: with the rights to change tables.
console() { (console_here "$@"); }

console_here() { # takes the place of the shell that calls it
    export HOME=$STATE/tmp APP_ENV APP_DEBUG=0 APP_SECRET HG_STATE_DIR=$STATE HG_HANDS_DIR=$STATE/hands HG_LOOPBACK=${HG_LOOPBACK:-0} HG_URL=${HG_URL:-} HG_PUBLIC_URL=${HG_PUBLIC_URL:-} DEMO_PASSWORD DATABASE_URL
    DATABASE_URL=$(database_url "$DATABASE" "${AS:-garden}")
    cd "$APP" 2>/dev/null || cd /
    exec 9>&-
    local run=(php -d memory_limit=512M "$APP/bin/console" --no-interaction "$@")
    if [ "$(id -u)" = 0 ]; then exec setpriv --reuid="$WEB_USER" --regid="$WEB_USER" --init-groups -- "${run[@]}"; else exec "${run[@]}"; fi
}

# Where the house is found at home, as a picture for paper: only whoever starts it knows the address.
draw_address() {
    [ -n "${HG_PUBLIC_URL:-}" ] || return 0
    node "$ROOT/bin/lib/code-picture.mjs" "${HG_PUBLIC_URL%/}/home" "$STATE/address" \
        || say "the address could not be drawn; on paper it stands in words"
}

# The container and the catalogue are compiled anew when anything they are made of has changed.
prepare_cache() {
    local print file=$KEEP/compiled
    print=$(cd "$ROOT" && find src bench config catalogue templates translations composer.json docs/case.schema.json -type f -print0 | sort -z | xargs -0 sha256sum | sha256sum | cut -c1-64)
    [ -f "$file" ] && [ "$(cat "$file")" = "$print" ] && return 0
    find "$STATE/cache" -mindepth 1 -delete
    quietly "compiling" console cache:warmup || die "The application could not be compiled (see above)."
    printf '%s' "$print" >"$file"
}
