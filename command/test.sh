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
stage "lint, with the arrows of the house" npx eslint .
stage "format" npx prettier --check --log-level warn .
stage "types" npx nuxt typecheck
counted "unit tests" "$REPORTS/unit.json" npx vitest run --project unit --reporter=dot --reporter=json --outputFile.json="$REPORTS/unit.json"
counted "drawings and fields" "$REPORTS/screens.json" npx vitest run --project screens --reporter=dot --reporter=json --outputFile.json="$REPORTS/screens.json"

# Tests need no safety against a power cut; the demo and serve do.
pg_prepare test-cluster; trap 'pg_stop' EXIT; trap 'exit 130' INT TERM
pg_start -c fsync=off -c full_page_writes=off -c synchronous_commit=off
pg_drop needler_test; pg_database needler_test
need_build
export NUXT_SESSION_PASSWORD=$(random_word)
counted "API tests on PostgreSQL" "$REPORTS/api.json" npx vitest run --project api --reporter=dot --reporter=json --outputFile.json="$REPORTS/api.json"
pg_drop needler_test; pg_database needler_test
npx tsx demo/load.ts >/dev/null || fail "The demo data could not be loaded for the browser tests."
PLAYWRIGHT_JSON_OUTPUT_NAME="$REPORTS/e2e.json" counted "browser tests" "$REPORTS/e2e.json" npx playwright test --reporter=list,json
stage "the command itself" bash command/test-command.sh "$STATE"
pg_drop needler_test
printf '%s passed, %s failed\n' "$PASSED" "$FAILED"
[ "$FAILED" = 0 ]
