# shellcheck shell=bash
# A private PostgreSQL cluster: loopback only, passwords kept beside it, run as an ordinary account even when started by root.

# The server program refuses root, so root hands it to the account Debian's package made.
as_database_account() {
  if [ "$(id -u)" -eq 0 ]; then PATH="$PATH:/usr/sbin" runuser -u postgres -- "$@"; else "$@"; fi
}

find_postgres() {
  PG_BIN=$(find /usr/lib/postgresql -maxdepth 2 -name bin -type d 2>/dev/null | sort -V | tail -n 1)
  if [ -z "$PG_BIN" ] || [ ! -x "$PG_BIN/initdb" ]; then
    install_package postgresql 'PostgreSQL'
    PG_BIN=$(find /usr/lib/postgresql -maxdepth 2 -name bin -type d 2>/dev/null | sort -V | tail -n 1)
    [ -n "$PG_BIN" ] || fail 'PostgreSQL was installed but its programs are not where Debian puts them.'
  fi
}

# secret NAME: a password that is made once and kept with the data.
secret() {
  local file="$DATA/secrets/$1"
  if [ ! -s "$file" ]; then
    (umask 077 && head -c 32 /dev/urandom | base64 | tr -d '/+=\n' | cut -c1-40 >"$file")
  fi
  cat "$file"
}

# start_cluster DATA [SETTINGS]
start_cluster() {
  DATA=$1
  PG_SETTINGS=${2:-}
  PG_DATA="$DATA/postgres"
  PG_LOG="$DATA/postgres.log"
  { mkdir -p "$DATA/secrets" && chmod 700 "$DATA/secrets"; } || fail "the folder $DATA cannot be written to."
  if [ "$(id -u)" -eq 0 ]; then
    as_database_account test -x "$DATA" || fail "the account postgres cannot reach $DATA: choose another folder with --data DIR."
    touch "$PG_LOG" && chown postgres "$PG_LOG"
  fi
  [ -d "$PG_DATA" ] || make_cluster
  if as_database_account "$PG_BIN/pg_ctl" -D "$PG_DATA" status >/dev/null 2>&1; then
    as_database_account "$PG_BIN/pg_ctl" -D "$PG_DATA" -m fast stop >/dev/null 2>&1
  fi
  PG_PORT=$(first_free_port 5499)
  launch_cluster ||
    fail "the database in $PG_DATA did not start ($(tail -n 1 "$PG_LOG" 2>/dev/null)). Its log is $PG_LOG; --reset makes a new one and drops the data."
  CLUSTER_RUNNING=1
  make_roles
}

launch_cluster() {
  as_database_account "$PG_BIN/pg_ctl" -D "$PG_DATA" -l "$PG_LOG" -w -t 60 \
    -o "-p $PG_PORT -c listen_addresses=127.0.0.1 -c unix_socket_directories='' $PG_SETTINGS" start >/dev/null 2>&1
}

cluster_lives() { kill -0 "$(head -n 1 "$PG_DATA/postmaster.pid" 2>/dev/null)" 2>/dev/null; }

# A database that ends by itself, killed or because its log found no room, is started again until it stands.
keep_cluster_up() {
  (
    # Handled only when a start that is under way has come to its end: none comes up behind a stop.
    trap 'exit 0' TERM
    # As long as what started it lives: one that was left behind would start a database beside the next.
    while kill -0 $$ 2>/dev/null; do
      sleep 2 &
      wait $!
      cluster_lives && continue
      kill -0 $$ 2>/dev/null || break
      printf '%s the database ended by itself and is started again\n' "$(date -u +%FT%TZ)" >>"$PG_LOG"
      launch_cluster
    done
  ) &
  KEEPER_PID=$!
}

make_cluster() {
  local password_file
  mkdir -p "$PG_DATA"
  # initdb reads the first password from a file; that one is its account's alone and gone a moment later.
  password_file=$(mktemp) && secret admin >"$password_file"
  [ "$(id -u)" -ne 0 ] || chown postgres "$PG_DATA" "$password_file"
  if ! as_database_account "$PG_BIN/initdb" -D "$PG_DATA" -U umbracell_admin --pwfile="$password_file" \
    --auth=scram-sha-256 --encoding=UTF8 --locale=C.UTF-8 >"$PG_LOG" 2>&1; then
    rm -rf "$PG_DATA" "$password_file"
    fail "the database could not be made in $PG_DATA: $(tail -n 1 "$PG_LOG")"
  fi
  rm -f "$password_file"
}

admin_psql() {
  PGPASSWORD=$(secret admin) "$PG_BIN/psql" -X -q -v ON_ERROR_STOP=1 -h 127.0.0.1 -p "$PG_PORT" -U umbracell_admin "$@"
}

# The owner migrates and seeds; the application signs in under a role that owns no table and may not step around row policies.
make_roles() {
  admin_psql -d postgres -v owner="$(secret owner)" -v app="$(secret app)" >/dev/null <<'SQL' || fail 'the database roles could not be made.'
select 'create role umbracell_owner login' where not exists (select from pg_roles where rolname = 'umbracell_owner') \gexec
select 'create role umbracell_app login nosuperuser nobypassrls nocreatedb nocreaterole'
  where not exists (select from pg_roles where rolname = 'umbracell_app') \gexec
alter role umbracell_owner password :'owner';
alter role umbracell_app password :'app';
SQL
  make_database umbracell
}

# make_database NAME
make_database() {
  admin_psql -d postgres -v name="$1" >/dev/null <<'SQL' || fail 'the database could not be made.'
select format('create database %I owner umbracell_owner', :'name') where not exists (select from pg_database where datname = :'name') \gexec
SQL
}

# connection ROLE DATABASE
connection() { printf 'Host=127.0.0.1;Port=%s;Database=%s;Username=umbracell_%s;Password=%s' "$PG_PORT" "$2" "$1" "$(secret "$1")"; }

stop_cluster() {
  if [ -n "${KEEPER_PID:-}" ]; then
    kill "$KEEPER_PID" 2>/dev/null
    wait "$KEEPER_PID" 2>/dev/null
    KEEPER_PID=
  fi
  if [ "${CLUSTER_RUNNING:-0}" = 1 ]; then
    as_database_account "$PG_BIN/pg_ctl" -D "$PG_DATA" -m fast -w stop >/dev/null 2>&1
    CLUSTER_RUNNING=0
  fi
}
