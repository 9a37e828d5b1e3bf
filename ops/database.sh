# The private database: a PostgreSQL of its own on a loopback port that it keeps.
# The role mosaic owns the cluster and is used by this script alone; the application is mosaic_app,
# which owns its database and may nothing else.

# PostgreSQL refuses to run as root, so root hands the cluster to the postgres user.
as_postgres() {
  if [ "$(id -u)" = 0 ]; then
    (cd / && setpriv --reuid=postgres --regid=postgres --init-groups --reset-env -- "$@" 7>&- 9>&-)
  else
    (cd / && "$@" 7>&- 9>&-)
  fi
}

# The home of root is closed to others, so a clone there is out of reach for the user postgres.
# Then the database gets a place of its own, remembered beside the clone so that every verb finds it.
choose_cluster() {
  [ "$(id -u)" = 0 ] && [ ! -d "$CLUSTER" ] || return 0
  mkdir -p "$CLUSTER"
  chown postgres: "$CLUSTER"
  if as_postgres test -w "$CLUSTER" 2>/dev/null; then return; fi
  rmdir "$CLUSTER"
  CLUSTER=/var/lib/mosaic/$(printf '%s' "$STATE" | sha256sum | cut -c1-12)
  mkdir -p "$CLUSTER" && chmod 755 /var/lib/mosaic && chown postgres: "$CLUSTER" && as_postgres test -w "$CLUSTER" ||
    fail "$CLUSTER cannot be used for the database; set MOSAIC_HOME to an open place"
  printf '%s\n' "$CLUSTER" >"$STATE/database-at"
  say "The database lies in $CLUSTER, because $STATE is closed to the user postgres."
}

secret() { head -c 24 /dev/urandom | base64 | tr '+/' 'xy'; }

init_cluster() { # $1 folder, $2 durable | throw-away
  local folder=$1 kind=$2 sync=()
  [ "$kind" = durable ] || sync=(--no-sync)
  mkdir -p "$folder"
  rm -rf "$folder/data.new"
  [ "$(id -u)" != 0 ] || chown postgres: "$folder"
  (umask 077; secret >"$folder/password")
  [ "$(id -u)" != 0 ] || chown postgres: "$folder/password"
  as_postgres "$(pg_bin)/initdb" -D "$folder/data.new" -U mosaic --pwfile="$folder/password" \
    -A scram-sha-256 -E UTF8 --locale=C.UTF-8 "${sync[@]}" >"$folder/initdb.log" 2>&1 ||
    fail "the database could not be created; see $folder/initdb.log (is the disk full?)"
  {
    say "listen_addresses = '127.0.0.1'"
    say "unix_socket_directories = ''"
    [ "$kind" = durable ] || printf '%s\n' 'fsync = off' 'synchronous_commit = off' 'full_page_writes = off'
  } | as_postgres tee -a "$folder/data.new/postgresql.conf" >/dev/null
  as_postgres mv "$folder/data.new" "$folder/data"
}

# Whether it takes connections: asked of the server itself, never concluded from a pid. Another
# server may hold the port, so it is asked which folder it serves.
cluster_ready() { # $1 folder
  local port
  port=$(cat "$1/port" 2>/dev/null) && [ -n "$port" ] || return 1
  "$(pg_bin)/pg_isready" -q -t 2 -h 127.0.0.1 -p "$port" 2>/dev/null || return 1
  [ "$(PGPASSWORD=$(cat "$1/password") "$(pg_bin)/psql" -qAtX -h 127.0.0.1 -p "$port" -U mosaic -d postgres \
    -c 'show data_directory' 2>/dev/null)" = "$1/data" ]
}

# The pid in its lock file, if that process is a postgres of this folder; it may be starting or ending.
cluster_pid() { # $1 folder
  local pid
  pid=$(head -n 1 "$1/data/postmaster.pid" 2>/dev/null) || return 1
  runs_with "$pid" "$1/data" && say "$pid"
}

# Starts it unless it answers. After a kill its children may hold its memory for a moment, and a
# number of the lock file may be somebody else's by now: both are waited for or cleared, not fatal.
start_cluster() { # $1 folder, $2 durable | throw-away; sets PGPORT and PGPASSWORD
  local folder=$1 try port
  [ -d "$folder/data" ] || init_cluster "$folder" "$2"
  for ((try = 0; try < 60; try++)); do
    ! cluster_ready "$folder" || break
    [ "$try" = 0 ] || sleep 0.5
    if cluster_pid "$folder" >/dev/null; then continue; fi
    rm -f "$folder/data/postmaster.pid"
    port=$(cat "$folder/port" 2>/dev/null) || port=''
    if [ -z "$port" ] || port_open "$port"; then
      [ -z "$port" ] || say "Port $port of the database is taken by another program; it gets a new one."
      port=$(free_port $((20000 + RANDOM % 10000)) 32000) || fail "no free port for the database"
      say "$port" >"$folder/port"
    fi
    as_postgres "$(pg_bin)/pg_ctl" -D "$folder/data" -w -t 60 -l "$folder/data/server.log" -o "-p $port" start \
      >/dev/null 2>&1 || true
  done
  cluster_ready "$folder" || fail "the database did not start; see $folder/data/server.log (is the disk full?)"
  use_cluster "$folder"
}

use_cluster() { # $1 folder
  PGPORT=$(cat "$1/port"); PGPASSWORD=$(cat "$1/password")
  export PGHOST=127.0.0.1 PGUSER=mosaic PGPORT PGPASSWORD PGOPTIONS='-c client_min_messages=warning'
}

stop_cluster() { # $1 folder
  local try
  cluster_pid "$1" >/dev/null || return 0
  as_postgres "$(pg_bin)/pg_ctl" -D "$1/data" -m fast -w -t 60 stop >/dev/null 2>&1 || true
  for ((try = 0; try < 20; try++)); do cluster_pid "$1" >/dev/null || return 0; sleep 0.2; done
  as_postgres "$(pg_bin)/pg_ctl" -D "$1/data" -m immediate -w -t 30 stop >/dev/null 2>&1 || true
}

psql_of() { local database=$1; shift; "$(pg_bin)/psql" -qAtX -v ON_ERROR_STOP=1 -d "$database" "$@"; }

# The role of the application: no superuser, makes no databases and no roles.
ensure_role() {
  local file=$CLUSTER/app-password
  [ -s "$file" ] || (umask 077; secret >"$file")
  APP_PASSWORD=$(cat "$file")
  psql_of postgres >/dev/null <<SQL
do \$\$ begin
  if not exists (select 1 from pg_roles where rolname = 'mosaic_app') then create role mosaic_app; end if;
end \$\$;
alter role mosaic_app login nosuperuser nocreatedb nocreaterole noreplication password '$APP_PASSWORD';
SQL
}

# A database of an older release belonged to the role that owns the cluster.
hand_over() { # $1 database
  psql_of postgres -c "alter database $1 owner to mosaic_app" -c "revoke connect on database $1 from public"
  psql_of "$1" >/dev/null <<'SQL'
do $$ declare one record; begin
  for one in select c.oid::regclass as name from pg_class c join pg_namespace s on s.oid = c.relnamespace
      where s.nspname = 'public' and c.relkind in ('r', 'p', 'v', 'm', 'S') and pg_get_userbyid(c.relowner) <> 'mosaic_app'
        and not exists (select 1 from pg_depend d where d.objid = c.oid and d.deptype in ('a', 'i') and c.relkind = 'S') loop
    execute format('alter table %s owner to mosaic_app', one.name);
  end loop;
  for one in select p.oid::regprocedure as name from pg_proc p join pg_namespace s on s.oid = p.pronamespace
      where s.nspname = 'public' and pg_get_userbyid(p.proowner) <> 'mosaic_app' loop
    execute format('alter function %s owner to mosaic_app', one.name);
  end loop;
end $$;
SQL
}

database_exists() { [ "$(psql_of postgres -c "select count(*) from pg_database where datname = '$1'")" = 1 ]; }

ensure_database() { # $1 database
  database_exists "$1" || "$(pg_bin)/createdb" "$1"
  [ "$(psql_of postgres -c "select pg_get_userbyid(datdba) from pg_database where datname = '$1'")" = mosaic_app ] ||
    hand_over "$1"
}

drop_database() { "$(pg_bin)/dropdb" --if-exists --force "$1" 2>/dev/null; }

rename_database() { # $1 from, $2 to; ends what is still connected
  psql_of postgres -c "select pg_terminate_backend(pid) from pg_stat_activity where datname = '$1'" \
    -c "alter database $1 rename to $2" >/dev/null
}

# Is it a database of ours with a house in it? An empty one would start as well, as a new house.
is_a_house() { # $1 database
  [ "$(psql_of "$1" -c "select count(*) = 3 from information_schema.tables
    where table_schema = 'public' and table_name in ('flyway_schema_history', 'house', 'weighing')" 2>/dev/null)" = t ] &&
    [ "$(psql_of "$1" -c 'select count(*) > 0 from person' 2>/dev/null)" = t ]
}

# ---- a database of the house's own, named by MOSAIC_DB_URL ------------------------------------

outside() { [ -n "$OUTSIDE_URL" ]; }

use_outside() {
  [[ $OUTSIDE_URL =~ ^jdbc:postgresql://([^/:?]+)(:([0-9]+))?(,[^/]*)?/([A-Za-z0-9_-]+) ]] ||
    fail "MOSAIC_DB_URL is not as expected: jdbc:postgresql://HOST:PORT/DATABASE"
  PGHOST=${BASH_REMATCH[1]}; PGPORT=${BASH_REMATCH[3]:-5432}; DATABASE=${BASH_REMATCH[5]}
  PGUSER=${MOSAIC_DB_USER:-mosaic}; PGPASSWORD=${MOSAIC_DB_PASSWORD:-}
  export PGHOST PGPORT PGUSER PGPASSWORD PGOPTIONS='-c client_min_messages=warning'
  "$(pg_bin)/pg_isready" -q -t 5 || fail "the database at $PGHOST:$PGPORT does not answer"
}
