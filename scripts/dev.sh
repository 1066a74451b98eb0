#!/usr/bin/env bash
# The app with live reload, on the same database as npm start.
set -euo pipefail
source "$(dirname "$0")/lib/common.sh"
cd "$ROOT"
need_modules all
if [ -z "${DATABASE_URL:-}" ]; then bash scripts/db.sh start; DATABASE_URL="$(bash scripts/db.sh url)"; export DATABASE_URL; fi
npx --no-install tsx scripts/migrate.ts --demo
node scripts/build-workers.mjs
exec npx --no-install next dev --hostname 127.0.0.1 --port "${PORT:-4310}"
