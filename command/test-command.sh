# Backup, restore into an empty database, refusal of a full one, and clear words when something is wrong.
set -uo pipefail
STATE=$1
. command/say.sh
WORK=$(mktemp -d); trap 'rm -rf "$WORK"' EXIT
export NEEDLER_STATE="$STATE/command-test"
mkdir -p "$NEEDLER_STATE"
. command/install.sh
. command/postgres.sh
need_postgres; STATE=$NEEDLER_STATE; pg_prepare cluster; pg_start; trap 'pg_stop; rm -rf "$WORK" "$NEEDLER_STATE"' EXIT
wrong=0
check() { local what=$1; shift; if "$@"; then say "  ok: $what"; else say "  ✕ $what"; wrong=1; fi; }
says() { local words=$1 out; shift; out=$("$@" 2>&1); grep -q "$words" <<<"$out"; }

pg_drop needler_a; pg_database needler_a
npx tsx demo/load.ts >"$WORK/people" || exit 1
check "the demo prints who can sign in" grep -q 'PIN' "$WORK/people"
npx tsx demo/load.ts >"$WORK/again" || exit 1
check "a second load keeps what is there" test ! -s "$WORK/again"
check "backup" ./needler backup "$WORK/a.dump" needler_a
check "backup does not overwrite" says 'is there already' ./needler backup "$WORK/a.dump" needler_a
check "restore into an empty database" says 'without a gap' ./needler restore "$WORK/a.dump" needler_b
check "restore refuses a full one" says 'not empty' ./needler restore "$WORK/a.dump" needler_b
echo junk >"$WORK/junk"
check "restore refuses junk" says 'not a backup' ./needler restore "$WORK/junk" needler_c
PG_AT=(-h 127.0.0.1 -p "$PG_PORT" -U needler); export PGPASSWORD="$PG_PASSWORD"
count() { "$PG_BIN/psql" "${PG_AT[@]}" -d "$1" -tAc "select md5(string_agg(e::text, '' order by id)) from entry e"; }
check "both ledgers are the same" test "$(count needler_a)" = "$(count needler_b)"
pg_database needler_d
check "an empty database gets somebody who can sign in" says 'the PIN is' npx tsx server/db/prepare.ts
check "and only once" test -z "$(npx tsx server/db/prepare.ts 2>/dev/null)"
check "another person can be added" says 'A. New may sign in as fitter' npx tsx server/db/prepare.ts 'A. New' fitter
check "an unknown role is named" says 'There is no role' npx tsx server/db/prepare.ts 'B. New' king
node -e 'require("net").createServer().listen(+process.argv[1],"127.0.0.1")' 38123 & taken=$!; sleep 0.5
check "a taken port is named" says 'Port 38123 is taken' env PORT=38123 ./needler serve
kill $taken
check "an unknown word is named" says 'There is no ./needler fly' ./needler fly
# Sums need no database: this folder of state has none.
sum() { NEEDLER_STATE="$WORK/state" ./needler sum "$@"; }
check "a sum from one object" says '"meshes": 22' sum gear-mesh <<<'{"pinionTeeth":22,"wheelTeeth":110}'
check "a sum from a list keeps its order" test "$(sum clock 2>/dev/null <<<'[{"hour":3},{"hour":12}]' | grep -o '"hour": [0-9]*' | tr -d '\n')" = '"hour": 9"hour": 12'
check "a long sum is not held to a request's budget" test "$(node -e 'console.log(JSON.stringify(Array(8).fill({links:[{sign:"opens",nominalMm:10}],samples:2000000})))' | sum stack-trial 2>/dev/null | grep -c '"samples": 2000000')" = 8
check "a refusal stands in its place, and is no failure" says '"refused": true' sum gear-mesh <<<'{"pinionTeeth":2,"wheelTeeth":110}'
check "what is not JSON is named" says 'is not JSON' sum gear-mesh <<<'teeth'
check "an unknown sum is named" says 'There is no sum' sum divination <<<'{}'
check "without a name they are listed" says 'elastic-interaction' sum
check "and no database was made for it" test ! -e "$WORK/state/cluster"
exit $wrong
