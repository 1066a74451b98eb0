#!/usr/bin/env bash
# Everything from a fresh machine to the open app: packages, database, migration, demo, build, serve on loopback.
set -euo pipefail
source "$(dirname "$0")/lib/common.sh"
cd "$ROOT"
PORT="${PORT:-4310}"
command -v node >/dev/null 2>&1 || need_package node nodejs npm
if (exec 3<>"/dev/tcp/127.0.0.1/$PORT") 2>/dev/null; then fail "port $PORT is taken: is Keen Trestle already running? Or set PORT to a free one."; fi
if [ -z "${DATABASE_URL:-}" ]; then
  need_package /usr/lib/postgresql postgresql
  bash scripts/db.sh start > "$DATA/db-start.log" 2>&1 &
  starting=$!
fi
need_modules app
if [ -n "${starting:-}" ]; then
  wait "$starting" || { cat "$DATA/db-start.log" >&2; exit 1; }
  DATABASE_URL="$(bash scripts/db.sh url)"; export DATABASE_URL
fi
npx --no-install tsx scripts/migrate.ts --demo > "$DATA/migrate.log" 2>&1 &
migrating=$!
need_build
wait "$migrating" || fail "$(cat "$DATA/migrate.log")"
say ""
say "  Keen Trestle is at  http://localhost:$PORT"
say "  It listens on this machine only. Ctrl-C stops it; npm run db stop stops its database."
say ""
exec npx --no-install next start --hostname 127.0.0.1 --port "$PORT"
