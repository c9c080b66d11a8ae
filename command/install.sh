# Installs what the machine lacks, from Debian's packages and the lock file.

node_is_right() { node -e 'const [a,b]=process.versions.node.split(".").map(Number); process.exit(a===20&&b>=19||a>20?0:1)' 2>/dev/null; }

as_root() { if [ "$(id -u)" = 0 ]; then "$@"; elif command -v sudo >/dev/null 2>&1; then sudo -n "$@"; else return 126; fi; }

apt_install() {
  command -v apt-get >/dev/null 2>&1 || fail "$1 is missing and there is no apt-get here. Install $1 by hand and start again."
  step "installing $* from Debian's packages"
  local log="$STATE/apt.log"
  as_root true >/dev/null 2>&1 || fail "$1 is missing and this user may not install packages. Ask an administrator for: apt-get install $*"
  { as_root apt-get update && as_root env DEBIAN_FRONTEND=noninteractive apt-get install -y --no-install-recommends "$@"; } >"$log" 2>&1 \
    || fail "Installing $* did not work; the last words of apt are in $log. Check the network to the package mirror and start again."
}

pg_bin() { ls -d /usr/lib/postgresql/*/bin 2>/dev/null | sort -t/ -k5 -V | tail -n 1; }

need_postgres() {
  PG_BIN=$(pg_bin)
  if [ -z "$PG_BIN" ] || [ ! -x "$PG_BIN/initdb" ] || [ ! -x "$PG_BIN/postgres" ]; then
    apt_install postgresql
    PG_BIN=$(pg_bin)
  fi
  [ -x "$PG_BIN/initdb" ] || fail "PostgreSQL is installed but its initdb is not under /usr/lib/postgresql. Reinstall the package postgresql."
}

# Two that start at once on this checkout take turns at fetching, installing and building: the second finds it done. The
# lock is held in the checkout, whatever state folder each was given.
one_at_a_time() {
  # Where nothing may be written, there is nothing to take turns at.
  [ -w . ] || return 0
  exec 7>.needler-lock
  flock -n 7 || { step "another start is at work here; waiting for it"; flock -w 1800 7 || fail "Another start on this checkout does not come to its end. Stop it, then start again."; }
}
next_one() { flock -u 7 2>/dev/null; exec 7>&-; }

# Browser tests and benchmark want no window, and are quicker without one.
need_chromium() { [ -x /usr/bin/chromium-headless-shell ] || apt_install chromium-headless-shell; }

need_packages() {
  node_is_right || fail "Node 20.19 or newer is needed; this is $(node --version 2>/dev/null || echo 'no Node at all'). Install it and start again."
  local sum; sum=$(sha256sum package-lock.json | cut -d' ' -f1)
  [ -d node_modules ] && [ "$(cat node_modules/.needler-lock 2>/dev/null)" = "$sum" ] && return
  rm -f node_modules/.needler-lock
  step "fetching packages (npm ci), a minute or two"
  NUXT_TELEMETRY_DISABLED=1 npm ci --no-audit --no-fund >"$STATE/npm.log" 2>&1 || fail "npm ci did not work; its last words are in $STATE/npm.log. Check the network to the npm registry and the free space ($(free_space)), then start again."
  printf '%s' "$sum" >node_modules/.needler-lock
}

free_space() { df -h --output=avail . | tail -n 1 | tr -d ' '; }

need_space() {
  local kb; kb=$(df --output=avail -k . | tail -n 1)
  [ "$kb" -gt 1500000 ] || fail "Only $(free_space) is free on this disk; 1.5 GB is wanted for packages, build and database. Make room and start again."
}

source_sum() { git ls-files -coX .gitignore app core server shared public nuxt.config.ts package-lock.json 2>/dev/null | sort | xargs -d '\n' sha256sum 2>/dev/null | sha256sum | cut -d' ' -f1; }

need_build() {
  local sum; sum=$(source_sum)
  [ -f .output/server/index.mjs ] && [ "$(cat .output/.needler-sources 2>/dev/null)" = "$sum" ] && return
  # What is half built counts for nothing, though the sources be what they were.
  rm -f .output/.needler-sources
  step "building the application, about a minute"
  NUXT_TELEMETRY_DISABLED=1 npx nuxt build >"$STATE/build.log" 2>&1 || fail "The build did not work; its last words are in $STATE/build.log."
  printf '%s' "$sum" >.output/.needler-sources
}
