#!/usr/bin/env bash
# The project's own PostgreSQL: db.sh start | stop | status | url [database]
# Loopback only, no socket, data and a random password in .data/. Safe to call twice and from two shells at once.
set -euo pipefail
source "$(dirname "$0")/lib/common.sh"
PORT="${KEEN_TRESTLE_DB_PORT:-54329}"
CLUSTER="$DATA/postgres"
SECRET="$DATA/postgres.password"
LOG="$DATA/postgres.log"

bin() { pg_bin; }

# PostgreSQL refuses to run as root: hand the cluster to the postgres user then.
run_as() {
  if [ "$(id -u)" = 0 ]; then (cd / && setpriv --reuid=postgres --regid=postgres --init-groups env HOME=/tmp "$@"); else "$@"; fi
}

# The postgres user must be able to walk to the data folder.
open_the_way() {
  [ "$(id -u)" = 0 ] || return 0
  local dir="$DATA"
  while [ "$dir" != / ]; do
    run_as test -x "$dir" || chmod o+x "$dir"
    dir="$(dirname "$dir")"
  done
  chown postgres: "$CLUSTER"
}

psql_here() { PGCONNECT_TIMEOUT=5 PGPASSWORD="$(cat "$SECRET" 2>/dev/null)" "$(bin)/psql" -h 127.0.0.1 -p "$PORT" -U keen_trestle -d postgres -tAc "$1"; }

# Alive is what answers, and answers from this data folder.
alive() { [ -s "$SECRET" ] && [ "$(realpath -m "$(psql_here 'show data_directory' 2>/dev/null)" 2>/dev/null)" = "$(realpath -m "$CLUSTER")" ]; }

# The process that holds this data folder, if the one postmaster.pid names is a PostgreSQL and was started on it.
holder() {
  local pid
  pid="$(head -n 1 "$CLUSTER/postmaster.pid" 2>/dev/null)" || return 1
  [[ "$pid" =~ ^[0-9]+$ ]] || return 1
  tr '\0' ' ' < "/proc/$pid/cmdline" 2>/dev/null | grep -q "postgres.*-D $CLUSTER" || return 1
  printf '%s' "$pid"
}
url() { printf 'postgres://keen_trestle:%s@127.0.0.1:%s/%s\n' "$(cat "$SECRET")" "$PORT" "${1:-keen_trestle}"; }

start() {
  need_package /usr/lib/postgresql postgresql
  exec 9>"$DATA/postgres.lock"
  flock 9
  if alive; then return 0; fi
  mkdir -p "$CLUSTER"; touch "$LOG"
  [ -s "$SECRET" ] || { head -c 24 /dev/urandom | od -An -tx1 | tr -d ' \n' > "$SECRET"; chmod 600 "$SECRET"; }
  open_the_way
  if [ "$(id -u)" = 0 ]; then chown postgres: "$LOG"; fi
  if [ ! -f "$CLUSTER/PG_VERSION" ]; then
    chmod 700 "$CLUSTER"
    local pw; pw="$(mktemp)"; cp "$SECRET" "$pw"; chmod 644 "$pw"
    run_as "$(bin)/initdb" -D "$CLUSTER" -U keen_trestle --pwfile="$pw" --auth=scram-sha-256 --encoding=UTF8 --locale=C.UTF-8 >"$DATA/initdb.log" 2>&1 || { rm -f "$pw"; cat "$DATA/initdb.log" >&2; fail "PostgreSQL could not make its data folder."; }
    rm -f "$pw"
  fi
  # After a kill -9 the dead server may linger a moment, and a starting one may not answer yet: wait, then clear what a dead one left.
  for _ in $(seq 30); do holder >/dev/null || break; alive && { make_database keen_trestle; return 0; }; sleep 0.5; done
  if pid="$(holder)"; then fail "PostgreSQL (process $pid) holds $CLUSTER and does not answer: end it with kill $pid, then start again."; fi
  rm -f "$CLUSTER/postmaster.pid"
  if (exec 3<>"/dev/tcp/127.0.0.1/$PORT") 2>/dev/null; then fail "port $PORT is taken by something else: set KEEN_TRESTLE_DB_PORT to a free one."; fi
  # The children of a killed server let go of its memory a moment after it: until then another is refused.
  for try in $(seq 20); do
    if run_as "$(bin)/pg_ctl" -D "$CLUSTER" -l "$LOG" -w -t 60 -o "-c listen_addresses=127.0.0.1 -c port=$PORT -c unix_socket_directories=''" start >"$DATA/pg_ctl.log" 2>&1 9>&-; then break; fi
    if [ "$try" = 20 ] || ! tail -n 3 "$LOG" | grep -q 'pre-existing shared memory'; then tail -n 20 "$LOG" >&2; fail "PostgreSQL did not start."; fi
    sleep 0.5
  done
  make_database keen_trestle
}

make_database() {
  PGPASSWORD="$(cat "$SECRET")" "$(bin)/psql" -h 127.0.0.1 -p "$PORT" -U keen_trestle -d postgres -tAc "select 1 from pg_database where datname='$1'" | grep -q 1 ||
    PGPASSWORD="$(cat "$SECRET")" "$(bin)/createdb" -h 127.0.0.1 -p "$PORT" -U keen_trestle "$1"
}

fresh_database() {
  PGPASSWORD="$(cat "$SECRET")" "$(bin)/dropdb" -h 127.0.0.1 -p "$PORT" -U keen_trestle --if-exists --force "$1"
  make_database "$1"
}

case "${1:-status}" in
  start) start; alive || fail "PostgreSQL was started and does not answer on 127.0.0.1:$PORT: look into $LOG."; say "PostgreSQL runs on 127.0.0.1:$PORT." ;;
  stop) if holder >/dev/null; then run_as "$(bin)/pg_ctl" -D "$CLUSTER" -m fast -w stop >/dev/null; say "PostgreSQL stopped."; else say "PostgreSQL is not running."; fi ;;
  status) if alive; then say "PostgreSQL runs on 127.0.0.1:$PORT."; else say "PostgreSQL is not running."; fi ;;
  url) url "${2:-keen_trestle}" ;;
  fresh) fresh_database "$2" ;;
  drop) PGPASSWORD="$(cat "$SECRET")" "$(bin)/dropdb" -h 127.0.0.1 -p "$PORT" -U keen_trestle --if-exists --force "$2" ;;
  *) fail "write db.sh start, stop, status, url [database] or fresh <database>." ;;
esac
