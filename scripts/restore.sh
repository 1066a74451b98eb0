#!/usr/bin/env bash
# What a backup holds, put back: restore.sh FILE. It is read into a database of its own, brought up to date, and only then put in
# the place of the one there is, which is kept beside it as NAME_before_restore.
set -euo pipefail
source "$(dirname "$0")/lib/common.sh"
from="${1:-}"
[ -n "$from" ] || fail "write npm run restore FILE, a file that npm run backup made."
[ -r "$from" ] || fail "$from cannot be read: check the path."
need_package /usr/lib/postgresql postgresql
"$(pg_bin)/pg_restore" --list "$from" 2>/dev/null | grep -q 'TABLE DATA .* revisions' || fail "$from is no backup of Keen Trestle, or is damaged: nothing was changed."
need_modules app
if [ -z "${DATABASE_URL:-}" ]; then
  bash "$ROOT/scripts/db.sh" start >/dev/null
  DATABASE_URL="$(bash "$ROOT/scripts/db.sh" url)"
fi
tail="${DATABASE_URL##*/}"; name="${tail%%\?*}"; query="${tail#"$name"}"
base="${DATABASE_URL%/*}"
[[ "$name" =~ ^[a-z0-9_]+$ ]] || fail "DATABASE_URL names no database that can be restored into: $name."
sql() { PGOPTIONS="-c client_min_messages=warning" "$(pg_bin)/psql" "$base/postgres$query" -v ON_ERROR_STOP=1 -qtAc "$1"; }
new="${name}_restoring"
old="${name}_before_restore"
sql "drop database if exists \"$new\" with (force)" 2>/dev/null || fail "the database does not answer: is it running, and is DATABASE_URL right? Nothing was changed."
sql "create database \"$new\""
undo() { sql "drop database if exists \"$new\" with (force)" 2>/dev/null || true; }
trap undo EXIT
"$(pg_bin)/pg_restore" --no-owner --no-privileges --exit-on-error --dbname="$base/$new$query" "$from" 2>"$DATA/restore.log" \
  || { cat "$DATA/restore.log" >&2; fail "$from could not be read to its end: nothing was changed."; }
(cd "$ROOT" && DATABASE_URL="$base/$new$query" npx --no-install tsx scripts/migrate.ts 2>&1) || fail "what $from holds does not fit this version: nothing was changed."
trap - EXIT
sql "drop database if exists \"$old\" with (force)"
sql "alter database \"$name\" allow_connections false"
sql "select pg_terminate_backend(pid) from pg_stat_activity where datname='$name'" >/dev/null
sql "alter database \"$name\" rename to \"$old\""
sql "alter database \"$new\" rename to \"$name\""
sql "alter database \"$old\" allow_connections true"
jobs="$("$(pg_bin)/psql" "$DATABASE_URL" -tAc 'select count(*) from jobs')"
say "$jobs jobs are back. What was there before is kept in the database $old."
