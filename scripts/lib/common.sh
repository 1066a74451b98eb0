# Shared by the scripts: where things are, how root and others run things, and stamps that say what is up to date.
ROOT="$(cd "$(dirname "${BASH_SOURCE[0]}")/../.." && pwd)"
DATA="${KEEN_TRESTLE_DATA:-$ROOT/.data}"
export NEXT_TELEMETRY_DISABLED=1

say() { printf '%s\n' "$*"; }
fail() { printf 'Stopped: %s\n' "$*" >&2; exit 1; }
{ mkdir -p "$DATA" && : > "$DATA/.writable"; } 2>/dev/null || fail "$DATA cannot be written: make it a folder this user may write to, or set KEEN_TRESTLE_DATA to one."

# The newest PostgreSQL that Debian installed here.
pg_bin() { ls -d /usr/lib/postgresql/*/bin 2>/dev/null | sort -V | tail -n 1; }

as_root() {
  if [ "$(id -u)" = 0 ]; then "$@"
  elif command -v sudo >/dev/null 2>&1; then sudo "$@"
  else return 1; fi
}

# need_package COMMAND-OR-PATH PACKAGE…: install Debian packages when the command is not there.
need_package() {
  local probe="$1"; shift
  command -v "$probe" >/dev/null 2>&1 && return 0
  [ -e "$probe" ] && return 0
  command -v apt-get >/dev/null 2>&1 || fail "$probe is missing and there is no apt-get here: install $* by hand."
  say "Installing $* …"
  { as_root apt-get update -qq && DEBIAN_FRONTEND=noninteractive as_root apt-get install -y -qq --no-install-recommends "$@"; } >"$DATA/apt.log" 2>&1 \
    || fail "$* could not be installed (see .data/apt.log): install it by hand as root."
}

# need_modules app|all: install npm packages unless the ones there came from this lock file. The app alone runs and builds
# without the tools of the tests, which are a third of the files; everything serves both.
need_modules() {
  local stamp="$ROOT/node_modules/.lock-stamp" wanted="$1" now have
  now="$(sha256sum "$ROOT/package-lock.json" | cut -d' ' -f1)"
  have="$(cat "$stamp" 2>/dev/null || true)"
  [ "$have" = "$now all" ] && return 0
  [ "$have" = "$now $wanted" ] && return 0
  say "Installing npm packages …"
  local omit=()
  [ "$wanted" = app ] && omit=(--omit=dev)
  (cd "$ROOT" && npm ci "${omit[@]}" --no-audit --no-fund --loglevel=error) || fail "npm ci did not finish."
  printf '%s %s' "$now" "$wanted" > "$stamp"
}

source_stamp() {
  (cd "$ROOT" && find src scripts/build-workers.mjs next.config.mjs package-lock.json tsconfig.json postcss.config.mjs -type f ! -name '*.test.ts' ! -name '*.test.tsx' -print0 2>/dev/null | LC_ALL=C sort -z | xargs -0 sha256sum | sha256sum | cut -d' ' -f1)
}

# Build unless the build there came from these sources.
need_build() {
  local stamp="$ROOT/.next/source-stamp" now
  now="$(source_stamp)"
  [ "$(cat "$stamp" 2>/dev/null)" = "$now" ] && [ -f "$ROOT/.workers/pool.cjs" ] && return 0
  say "Building …"
  (cd "$ROOT" && node scripts/build-workers.mjs && npx --no-install next build >"$DATA/build.log" 2>&1) || { tail -n 40 "$DATA/build.log" >&2; fail "the build failed (.data/build.log)."; }
  printf '%s' "$now" > "$stamp"
}
