#!/usr/bin/env bash
# Looks after what bin/start started, until it is told to end: what died is started again, and every five minutes it is
# worked out what the passing of time changes. On a server of its own systemd and cron do this. watch.sh STATE
set -uo pipefail
. "$(dirname "${BASH_SOURCE[0]}")/house.sh"
choose_state run
[ "$STATE" = "$1" ] || die "$1 is not the state of this house."
make_secrets

DAY_PID=""
ended() { [ -z "$1" ] || [ -z "$(command_of "$1")" ]; }
finish() {
    ended "$DAY_PID" || kill -TERM "$DAY_PID" 2>/dev/null
    ended "$BENCH_PID" || kill -TERM "$BENCH_PID" 2>/dev/null
    exit 0
}
trap finish TERM INT
trap '' HUP
noted() { printf '%s %s\n' "$(date -u +%FT%TZ)" "$*"; }

# Each in a shell of its own: what cannot be started now is tried again in a moment.
look_after() {
    postgres_runs || { noted "PostgreSQL had died"; (start_postgres); }
    fpm_runs || { noted "php-fpm had died"; (stop_fpm; start_fpm); }
    nginx_runs || { noted "nginx had died"; (stop_nginx; start_nginx "$PORT"); }
    if ended "$BENCH_PID"; then start_bench "$PORT"; fi
}

BENCH_PID=$(is_running "$KEEP/bench.pid" garden:devices) # of a watch that was killed
next_day=0
while :; do
    look_after
    if [ "$SECONDS" -ge "$next_day" ] && ended "$DAY_PID"; then
        console_here garden:day >"$KEEP/day.log" 2>&1 &
        DAY_PID=$!
        next_day=$((SECONDS + ${HG_DAY_SECONDS:-300}))
    fi
    sleep "${HG_WATCH_SECONDS:-2}" &
    wait $!
done
