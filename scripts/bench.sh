#!/usr/bin/env bash
# Speed, measured as ratios in one run and never in a timed test.
set -euo pipefail
source "$(dirname "$0")/lib/common.sh"
cd "$ROOT"
need_package /usr/bin/chromium chromium
need_modules all
need_build
exec bash scripts/with-test-db.sh tsx bench/run.mts
