#!/usr/bin/env bash
# Property tests again and again, each round on cases nobody has drawn before: npm run test:random -- 5 (rounds; 3 unless told).
# A failure prints its seed and path; KEEN_TRESTLE_SEED=that seed draws it again.
set -uo pipefail
source "$(dirname "$0")/lib/common.sh"
cd "$ROOT"
need_modules all
export NODE_OPTIONS="${NODE_OPTIONS:-} --experimental-vm-modules --no-warnings" KEEN_TRESTLE_SEED=random
mapfile -t files < <(grep -rl --include='*.test.ts' --include='*.test.tsx' "from 'fast-check'" src)
bad=0
for ((round = 1; round <= ${1:-3}; round++)); do
  bash scripts/with-test-db.sh jest --silent "${files[@]}" || bad=$((bad + 1))
done
say "$bad of ${1:-3} rounds failed"
[ "$bad" -eq 0 ]
