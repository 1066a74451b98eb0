#!/usr/bin/env bash
# Run a command against a fresh, migrated test database of its own.
set -euo pipefail
source "$(dirname "$0")/lib/common.sh"
cd "$ROOT"
bash scripts/db.sh start >/dev/null
name="keen_trestle_test_$$"
bash scripts/db.sh fresh "$name"
DATABASE_URL="$(bash scripts/db.sh url "$name")"; export DATABASE_URL
finish() { bash scripts/db.sh drop "$name" >/dev/null 2>&1 || true; }
trap finish EXIT
npx --no-install tsx scripts/migrate.ts --demo >/dev/null
node scripts/build-workers.mjs
PATH="$ROOT/node_modules/.bin:$PATH" "$@"
