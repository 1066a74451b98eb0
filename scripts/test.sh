#!/usr/bin/env bash
# Everything that is tested, from a bare machine: install what is missing, then format, lint with the import rules, types,
# unit tests, integration on PostgreSQL, and the real interface in Chromium. Ends with one line: N passed, N failed.
set -uo pipefail
source "$(dirname "$0")/lib/common.sh"
cd "$ROOT"
need_package /usr/lib/postgresql postgresql
need_package /usr/bin/chromium chromium
need_package pdftotext poppler-utils
need_modules all
passed=0
failed=0

# step NAME COMMAND…: one check that passes or fails as a whole.
step() {
  local name="$1"; shift
  printf '\n== %s\n' "$name"
  if "$@"; then passed=$((passed + 1)); else failed=$((failed + 1)); printf 'FAILED: %s\n' "$name"; fi
}

# counted NAME REPORT COMMAND…: a runner that writes a JSON report; its tests are added up. No report is a failure.
counted() {
  local name="$1" report="$2"; shift 2
  printf '\n== %s\n' "$name"
  rm -f "$report"
  local code=0 numbers
  "$@" || code=$?
  numbers="$(node scripts/count-tests.mjs "$report" "$code")"
  passed=$((passed + ${numbers% *}))
  failed=$((failed + ${numbers#* }))
}

export NODE_OPTIONS="${NODE_OPTIONS:-} --experimental-vm-modules --no-warnings"
export KEEN_TRESTLE_E2E_JSON="$DATA/e2e.json"
step "format" npx --no-install prettier --check --log-level warn .
step "lint" npx --no-install eslint . --max-warnings 0
step "import boundaries" npx --no-install depcruise --config .dependency-cruiser.cjs src
step "types" npx --no-install tsc --noEmit
counted "unit" "$DATA/unit.json" npx --no-install jest --selectProjects core screens --json --outputFile "$DATA/unit.json"
counted "integration on PostgreSQL" "$DATA/server.json" bash scripts/with-test-db.sh jest --selectProjects server --json --outputFile "$DATA/server.json"
step "build" need_build
counted "interface in Chromium" "$KEEN_TRESTLE_E2E_JSON" env NODE_OPTIONS= bash scripts/with-test-db.sh playwright test

printf '\n%d passed, %d failed\n' "$passed" "$failed"
[ "$failed" -eq 0 ]
