# Every test there is, in order; ends by itself. The last line says how many passed and failed.
set -uo pipefail
STATE=$1
. command/say.sh
. command/install.sh
. command/postgres.sh
need_space; need_postgres; need_chromium; need_packages
REPORTS="$STATE/reports"; rm -rf "$REPORTS"; mkdir -p "$REPORTS"
PASSED=0; FAILED=0

# A stage that counts as one: it passes or it fails.
stage() { local name=$1; shift; step "$name"; if "$@"; then PASSED=$((PASSED + 1)); else FAILED=$((FAILED + 1)); say "✕ $name failed"; fi; }
# Begun beside the others, and counted when its turn comes: what it said is shown then.
begin() { local key=$1; shift; ( "$@" >"$REPORTS/$key.log" 2>&1; echo $? >"$REPORTS/$key.rc" ) & eval "PID_$key=$!"; }
begun() { local key=$1 pid; eval "pid=\$PID_$key"; wait "$pid" 2>/dev/null; cat "$REPORTS/$key.log"; return "$(cat "$REPORTS/$key.rc" 2>/dev/null || echo 1)"; }
# A stage that counts its own tests, from its JSON report.
counted() {
  local name=$1 report=$2; shift 2
  step "$name"; "$@"; local code=$?
  local n; n=$(node command/count.mjs "$report" 2>/dev/null) || n="0 1"
  read -r p f <<<"$n"
  [ $code != 0 ] && [ "$f" = 0 ] && f=1
  PASSED=$((PASSED + p)); FAILED=$((FAILED + f))
}

npx nuxt prepare >"$STATE/prepare.log" 2>&1 || fail "The project could not be prepared; see $STATE/prepare.log."
looks() { npx eslint . && npx prettier --check --log-level warn .; }
begin types npx vue-tsc -b --noEmit
counted "unit tests" "$REPORTS/unit.json" npx vitest run --project unit --reporter=dot --reporter=json --outputFile.json="$REPORTS/unit.json"
stage "types" begun types
begin looks looks
counted "drawings and fields" "$REPORTS/screens.json" npx vitest run --project screens --reporter=dot --reporter=json --outputFile.json="$REPORTS/screens.json"
stage "lint and format, with the arrows of the house" begun looks

# Tests need no safety against a power cut; the demo and serve do.
pg_prepare test-cluster; trap pg_leave EXIT; trap 'exit 130' INT TERM HUP
pg_start -c fsync=off -c full_page_writes=off -c synchronous_commit=off
at() { printf 'postgres://%s@127.0.0.1:%s/needler_test' "$1" "$NEEDLER_PG_PORT"; }
export DATABASE_URL NEEDLER_OWNER_URL NEEDLER_LOG=error
DATABASE_URL=$(at "needler_app:$NEEDLER_APP_PASSWORD") NEEDLER_OWNER_URL=$(at "needler:$NEEDLER_OWNER_PASSWORD")
fresh_database() {
  PGPASSWORD="$NEEDLER_OWNER_PASSWORD" "$PG_BIN/psql" -q -h 127.0.0.1 -p "$NEEDLER_PG_PORT" -U needler -d postgres -v ON_ERROR_STOP=1 \
    -c 'drop database if exists needler_test with (force)' -c 'create database needler_test' || fail "The test database could not be made; see $PG_HOME/server.log."
}
need_build
fresh_database
# Loaded once: every worker of the API and the browser tests works on a copy of its own, and so do the tests of the command.
node --import tsx command/main.ts load-demo --database needler_test || fail "The demo data could not be loaded for the tests."
PGPASSWORD="$NEEDLER_OWNER_PASSWORD" "$PG_BIN/pg_dump" -h 127.0.0.1 -p "$NEEDLER_PG_PORT" -U needler -Fc -f "$STATE/demo.dump" needler_test || fail "The demo could not be copied for the tests of the command."
begin command bash command/test-command.sh "$STATE" "$STATE/demo.dump"
counted "API tests on PostgreSQL" "$REPORTS/api.json" npx vitest run --project api --reporter=dot --reporter=json --outputFile.json="$REPORTS/api.json"
PLAYWRIGHT_JSON_OUTPUT_NAME="$REPORTS/e2e.json" counted "browser tests" "$REPORTS/e2e.json" npx playwright test --reporter=list,json
stage "the command itself" begun command
rm -f "$STATE/demo.dump"
printf '%s passed, %s failed\n' "$PASSED" "$FAILED"
[ "$FAILED" = 0 ]
