# Shared by the scripts in bin: PostgreSQL, reached by a socket in a folder of its own, never by a port.
#
# Three roles. `keeper` may do everything and is only let in as the system user of the server. `garden_owner` owns the
# tables and changes them. `garden` is what the application runs as: it reads and writes rows, and of the audit and the
# events of sittings it can only add.
PG_BIN=/usr/lib/postgresql/15/bin

as_db() { if [ "$(id -u)" = 0 ]; then (cd / && runuser -u "$DB_USER" -- "$@"); else "$@"; fi; }

postgres_runs() {
    local number
    number=$(head -n 1 "$PG/cluster/postmaster.pid" 2>/dev/null)
    [[ $number =~ ^[1-9][0-9]*$ ]] && [[ $(command_of "$number") == *"$PG/cluster"* ]]
}

start_postgres() {
    if [ ! -f "$PG/ready" ]; then
        rm -rf "$PG" # a half-made cluster of an interrupted first start holds nothing yet
        mkdir -p "$PG"; [ "$(id -u)" = 0 ] && chown "$DB_USER" "$PG"; chmod 700 "$PG"
        as_db "$PG_BIN/initdb" -D "$PG/cluster" -U keeper --auth-local=peer --auth-host=reject --no-sync -E UTF8 --locale=C.UTF-8 >"$KEEP/initdb.log" 2>&1 \
            || { tail -n 5 "$KEEP/initdb.log" >&2; die "PostgreSQL could not make its data folder in $PG."; }
        as_db touch "$PG/ready"
    fi
    local sockets=$PG_SOCKETS/pg
    if [ ! -d "$sockets" ]; then mkdir "$sockets"; [ "$(id -u)" = 0 ] && chown "$DB_USER" "$sockets"; fi
    chmod 755 "$sockets"
    let_in keeper
    if postgres_runs && [ ! -S "$sockets/.s.PGSQL.5432" ]; then stop_postgres; fi # one of before, that listens elsewhere
    if ! postgres_runs; then
        local tries
        for tries in 1 2 3 4 5 6 7 8; do # processes of a server that was killed take a moment to notice
            as_db "$PG_BIN/pg_ctl" -D "$PG/cluster" -w -t 60 -l "$PG/server.log" \
                -o "-c listen_addresses= -c unix_socket_directories=$sockets -c fsync=${PG_FSYNC:-on}" start >/dev/null 2>&1 9>&- && break
            [ "$tries" -lt 8 ] || { as_db tail -n 8 "$PG/server.log" >&2; die "PostgreSQL did not start (log: $PG/server.log)."; }
            sleep 1
        done
    fi
    [ -f "$PG/roles" ] || make_roles
}

let_in() { # the role that the system user of the server may be
    printf 'local all %s peer map=house\nlocal all garden_owner,garden scram-sha-256\n' "$1" | as_db tee "$PG/cluster/pg_hba.conf" >/dev/null
    printf 'house %s %s\n' "$DB_USER" "$1" | as_db tee "$PG/cluster/pg_ident.conf" >/dev/null
}

# Once for each cluster. One of before has `garden` as what may do everything: it gets another name and no way in.
make_roles() {
    if ! sql postgres 'SELECT 1' >/dev/null 2>&1; then
        let_in garden; reload_postgres
        sql_as garden postgres 'CREATE ROLE keeper SUPERUSER LOGIN' || die "The roles of the database could not be made."
        let_in keeper; reload_postgres
        sql postgres 'ALTER ROLE garden RENAME TO garden_before' && sql postgres 'ALTER ROLE garden_before NOLOGIN PASSWORD NULL' \
            || die "The roles of the database could not be made."
    fi
    sql postgres "SELECT 1 FROM pg_roles WHERE rolname = 'garden'" | grep -q 1 || sql postgres 'CREATE ROLE garden; CREATE ROLE garden_owner'
    # passwords go in by the standard input: what is on the command line can be read by everybody
    as_db psql -qX -h "$PG_SOCKETS/pg" -U keeper -d postgres -v ON_ERROR_STOP=1 >/dev/null <<SQL || die "The roles of the database could not be made."
ALTER ROLE garden_owner LOGIN NOSUPERUSER NOCREATEROLE PASSWORD '$OWNER_PASSWORD';
ALTER ROLE garden LOGIN NOSUPERUSER NOCREATEROLE NOCREATEDB PASSWORD '$DB_PASSWORD';
ALTER ROLE garden SET lock_timeout = '15s';
ALTER ROLE garden SET idle_in_transaction_session_timeout = '60s';
SQL
    local database
    for database in $(sql postgres "SELECT datname FROM pg_database WHERE NOT datistemplate AND datname <> 'postgres'"); do
        hand_over "$database"
    done
    as_db touch "$PG/roles"
}

hand_over() { # database of before
    sql postgres "ALTER DATABASE \"$1\" OWNER TO garden_owner"
    close_database "$1"
    sql "$1" "DO \$\$ DECLARE t record; BEGIN
        FOR t IN SELECT c.oid::regclass AS name FROM pg_class c JOIN pg_namespace n ON n.oid = c.relnamespace
            WHERE n.nspname = 'public' AND c.relkind IN ('r', 'v') LOOP
            EXECUTE format('ALTER TABLE %s OWNER TO garden_owner', t.name);
        END LOOP;
    END \$\$"
}

reload_postgres() { as_db "$PG_BIN/pg_ctl" -D "$PG/cluster" reload >/dev/null; sleep 0.5; }

stop_postgres() {
    if postgres_runs; then STOPPED=1; fi
    as_db "$PG_BIN/pg_ctl" -D "$PG/cluster" -m fast -w stop >/dev/null 2>&1 || true
}

sql_as() { as_db env PGOPTIONS=--client-min-messages=warning psql -qtAX -h "$PG_SOCKETS/pg" -U "$1" -d "$2" -v ON_ERROR_STOP=1 -c "$3"; }

sql() { sql_as keeper "$1" "$2"; } # database, statement

owner_psql() { # database, arguments of psql
    PGPASSWORD=$OWNER_PASSWORD psql -qtAX -h "$PG_SOCKETS/pg" -U garden_owner -v ON_ERROR_STOP=1 -d "$@"
}

need_database() { # name
    [ "$(sql postgres "SELECT 1 FROM pg_database WHERE datname = '$1'")" = 1 ] && return 0
    sql postgres "CREATE DATABASE $1 OWNER garden_owner" && close_database "$1" || die "Could not create the database $1."
}

close_database() { # name: only those let in who work with it
    sql postgres "REVOKE ALL ON DATABASE \"$1\" FROM PUBLIC; GRANT CONNECT ON DATABASE \"$1\" TO garden"
}

drop_database() { sql postgres "DROP DATABASE IF EXISTS $1 WITH (FORCE)"; }

# Tables as this version wants them. A newer version may have changed what this one would write: it is refused.
migrate() {
    local known=$ROOT/migrations version
    for version in $(owner_psql "$DATABASE" -c "SELECT version FROM doctrine_migration_versions" 2>/dev/null | sed 's/.*\\//'); do
        [ -f "$known/$version.php" ] || die "The data was last used by a newer version of Hand Garden ($version). Start that one; nothing was changed."
    done
    AS=garden_owner quietly "database tables" console doctrine:migrations:migrate --allow-no-migration || return 1
    owner_psql "$DATABASE" -f "$ROOT/bin/lib/rights.sql"
}

database_url() { # database, role
    local password=$DB_PASSWORD
    [ "$2" = garden ] || password=$OWNER_PASSWORD
    printf 'postgresql://%s:%s@localhost/%s?host=%s&serverVersion=15&charset=utf8' "$2" "$password" "$1" "$PG_SOCKETS/pg"
}
