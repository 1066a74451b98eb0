#!/usr/bin/env bash
# Everything saved, in one file: backup.sh [FILE]. Of DATABASE_URL, or of the project's own database.
set -euo pipefail
source "$(dirname "$0")/lib/common.sh"
need_package /usr/lib/postgresql postgresql
if [ -z "${DATABASE_URL:-}" ]; then
  bash "$ROOT/scripts/db.sh" start >/dev/null
  DATABASE_URL="$(bash "$ROOT/scripts/db.sh" url)"
fi
mkdir -p "$DATA/backups"
to="${1:-$DATA/backups/keen-trestle-$(date +%Y-%m-%d-%H%M%S).dump}"
[ ! -e "$to" ] || fail "$to is there already: name another file."
part="$to.part"
trap 'rm -f "$part"' EXIT
"$(pg_bin)/pg_dump" --format=custom --no-owner --no-privileges --file="$part" --dbname="$DATABASE_URL" 2>"$DATA/backup.log" \
  || { cat "$DATA/backup.log" >&2; fail "the database was not backed up: is it running, and is DATABASE_URL right?"; }
# A backup that cannot be read back is none.
"$(pg_bin)/pg_restore" --list "$part" | grep -q 'TABLE DATA .* revisions' || fail "the backup holds no revisions: nothing was kept."
sync "$part"
mv "$part" "$to"
jobs="$("$(pg_bin)/psql" "$DATABASE_URL" -tAc 'select count(*) from jobs')"
say "$jobs jobs with every revision are in $to"
