# The command as its users meet it: people, machines, keys, backup, restore, and clear words when something is wrong.
# It is told where to keep its state, and where a dump of the demo's database lies.
set -uo pipefail
STATE=$1 LOADED=$2
. command/say.sh
WORK=$(mktemp -d)
export NEEDLER_STATE="$STATE/command-test"
rm -rf "$NEEDLER_STATE"; mkdir -p "$NEEDLER_STATE"
STATE=$NEEDLER_STATE
. command/install.sh
. command/postgres.sh
need_postgres; pg_prepare cluster; pg_start
trap 'pg_leave; rm -rf "$WORK" "$NEEDLER_STATE" "$NEEDLER_STATE-two"' EXIT
wrong=0
check() { local what=$1; shift; if "$@"; then say "  ok: $what"; else say "  ✕ $what"; wrong=1; fi; }
says() { local words=$1 out; shift; out=$("$@" 2>&1); grep -q "$words" <<<"$out" || { say "    said: $out"; false; }; }
refuses() { local words=$1 out; shift; if out=$("$@" 2>&1); then say "    not refused: $out"; return 1; fi; grep -q "$words" <<<"$out" || { say "    said: $out"; false; }; }
# While a verb works, no list of processes shows a password.
printf '%s\n' "$NEEDLER_OWNER_PASSWORD" "$NEEDLER_APP_PASSWORD" >"$WORK/secrets"
hides() { "$@" >/dev/null 2>&1 & local pid=$! seen=0; while kill -0 "$pid" 2>/dev/null; do cat /proc/[0-9]*/cmdline 2>/dev/null | tr '\0' '\n' | grep -qFf "$WORK/secrets" && seen=1; done; wait "$pid" && [ "$seen" = 0 ]; }
exists() { [ "$(sql postgres "select count(*) from pg_database where datname = '$1'")" = 1 ]; }
sql() { PGPASSWORD="$NEEDLER_OWNER_PASSWORD" "$PG_BIN/psql" -h 127.0.0.1 -p "$NEEDLER_PG_PORT" -U needler -d "$1" -tAc "$2"; }

# The demo as ./needler load-demo made it for all the tests.
sql postgres 'create database needler_a' >/dev/null
PGPASSWORD="$NEEDLER_OWNER_PASSWORD" "$PG_BIN/pg_restore" -h 127.0.0.1 -p "$NEEDLER_PG_PORT" -U needler -d needler_a "$LOADED" || wrong=1
check "a second load keeps what is there" says 'holds data already' ./needler load-demo --database needler_a
check "a backup means the site's own database, and says when there is none" refuses 'no database needler here.*the demo: --database needler_demo' ./needler backup "$WORK/none.dump"
check "backup of a database that is named says what is in it" says 'Thornmere works (database needler_a, [0-9]* jobs, [0-9]* entries)' ./needler backup "$WORK/a.dump" --database needler_a
check "a backup is its owner's only" test "$(stat -c %a "$WORK/a.dump")" = 600
check "a backup hides the password" hides ./needler backup "$WORK/hidden.dump" --database needler_a
sql needler_a "insert into session (id, person_id) select 'signed-in', id from person limit 1; insert into pin_attempt values ('guessed', 1, now(), now())" >/dev/null
./needler backup "$WORK/guests.dump" --database needler_a >/dev/null 2>&1
check "and keeps nobody's session, nor who guessed at PINs" test "$("$PG_BIN/pg_restore" -f - "$WORK/guests.dump" | grep -c 'signed-in\|guessed')" = 0
sql needler_a "delete from session; delete from pin_attempt" >/dev/null
check "backup does not overwrite" refuses 'is there already' ./needler backup "$WORK/a.dump" --database needler_a
here() { (cd "$WORK" && "$OLDPWD/needler" backup here.dump --database needler_a) && test -f "$WORK/here.dump"; }
check "a path is where the user stands" here
check "restore into a new database says how to serve it" says './needler serve --database needler_b' ./needler restore "$WORK/a.dump" --into needler_b
check "restore refuses a full one" refuses 'not empty' ./needler restore "$WORK/a.dump" --into needler_b
echo junk >"$WORK/junk"
check "so does a restore" hides ./needler restore "$WORK/a.dump" --into needler_h
head -c 60000 "$WORK/a.dump" >"$WORK/cut.dump"
check "restore of half a backup is refused" refuses 'nothing was changed' ./needler restore "$WORK/cut.dump" --into needler_c
check "and leaves no database behind" test "$(sql postgres "select count(*) from pg_database where datname like 'needler_c%'")" = 0
sql postgres 'create database needler_e' >/dev/null
check "nor touches one that was there, empty" refuses 'nothing was changed' ./needler restore "$WORK/cut.dump" --into needler_e
check "which is still there" exists needler_e
check "and can be restored into" says 'every ledger is without a gap, every photograph' ./needler restore "$WORK/a.dump" --into needler_e
check "restore refuses junk" refuses 'not a backup' ./needler restore "$WORK/junk" --into needler_c
count() { sql "$1" "select md5(string_agg(row(id, job_id, seq, kind, payload, act, made_by, role, made_at, received_at)::text, '' order by id)) from entry"; }
check "both ledgers are the same" test "$(count needler_a)" = "$(count needler_b)"
photographs() { sql "$1" "select count(*), md5(string_agg(row(sha256, kept_sha256, whole, print, thumb)::text, '' order by sha256)) from picture_file"; }
check "there are photographs in it" test "$(sql needler_b 'select count(*) > 5 from picture_file')" = t
check "and they are the same" test "$(photographs needler_a)" = "$(photographs needler_b)"
sql postgres 'create database needler_p template needler_b' >/dev/null
sql needler_p "update picture_file set whole = set_byte(whole, 40, 1 - get_byte(whole, 40) % 2) where sha256 = (select min(sha256) from picture_file)" >/dev/null
./needler backup "$WORK/p.dump" --database needler_p >/dev/null 2>&1
check "a photograph that is another is not restored" refuses '1 photographs in it are missing or not what they were' ./needler restore "$WORK/p.dump" --into needler_q
check "rebuild says what it did" says 'jobs projected anew' ./needler rebuild --database needler_b
check "or one machine's" says '[1-9][0-9]* jobs projected anew' ./needler rebuild --database needler_b --machine P-214B
check "and says when there is none" refuses 'on a machine X-1' ./needler rebuild --database needler_b --machine X-1
check "an unknown database is named" refuses 'no database needler_z' ./needler rebuild --database needler_z
check "the ledger refuses an edit, by whoever" refuses 'only added to' sql needler_b "update entry set kind = 'x'"
check "and a deletion" refuses 'only added to' sql needler_b "delete from entry"
check "the application's user is no superuser" test "$(sql postgres "select rolsuper or rolcreatedb or rolcreaterole from pg_roles where rolname = 'needler_app'")" = f

# The site's own: from nothing to a machine that can be overhauled.
serve() { PORT=18124 HOST=127.0.0.1 timeout -s TERM 900 ./needler serve >"$WORK/serve" 2>&1 & SERVING=$!; for _ in $(seq 1500); do grep -q 'Needler is at' "$WORK/serve" && return; sleep 0.2; done; return 1; }
check "an empty site is served" serve
check "and says who may sign in, and what to do next" grep -q 'the PIN is' "$WORK/serve"
check "by the command itself" grep -q './needler machine add' "$WORK/serve"
check "a backup of an empty site is refused" refuses 'is empty' ./needler backup "$WORK/empty.dump"
check "whoever started the database does not stop it under another" test "$(curl -s -o /dev/null -w '%{http_code}' http://127.0.0.1:18124/api/health)" = 200
check "an area" says 'is in the yard' ./needler area add juice --name 'Juice end'
check "a machine with an unknown area is refused" refuses 'There is no area' ./needler machine add P-1 --name Pump --area moon --sheet m14-axially-split-pump
check "a machine with an unknown choice is refused" refuses 'is no choice of this sheet' ./needler machine add P-1 --name Pump --area juice --sheet m14-axially-split-pump --variants faces=wood
check "a machine" says 'stands in the yard' ./needler machine add P-1 --name Pump --area juice --sheet m14-axially-split-pump --variants faces=hard
check "its running hours are set" says 'has run 1234 hours' ./needler machine hours P-1 1234
check "hours that are none are refused" refuses 'whole number' ./needler machine hours P-1 many
sed 's/^version: .*/version: 900/' library/m14-axially-split-pump.yaml >"$WORK/sheet.yaml"
sed 's/kind: shaft/kind: shft/' "$WORK/sheet.yaml" >"$WORK/unsound.yaml"
check "an unsound sheet is named with its place" refuses 'part shaft kind is “shft”' ./needler sheet put "$WORK/unsound.yaml"
check "a sound sheet gets on the shelf" says 'version 900, is on the shelf.' ./needler sheet put "$WORK/sheet.yaml"
check "once" says 'is on the shelf already' ./needler sheet put "$WORK/sheet.yaml"
check "the site's name is data" says 'Lower works' ./needler site --name 'Lower works' --backups 3
check "a person" says 'A. New may sign in as fitter; the PIN is' ./needler person add 'A. New' fitter
check "once" refuses 'There is a A. New already' ./needler person add 'A. New' fitter
check "nor one that looks the same" refuses 'could be taken for it' ./needler person add 'A. Nеw' fitter
check "a name has letters" refuses 'letters that can be read' ./needler person add '...' fitter
check "an unknown role is named" refuses 'There is no role' ./needler person add 'B. New' king
check "another role" says 'A. New, lead' ./needler person role 'A. New' lead
check "a new PIN" says 'has a new PIN: [0-9]\{6\}' ./needler person pin 'A. New'
check "taken out" says 'is taken out' ./needler person out 'A. New'
check "the last lead stays" refuses 'the only lead' ./needler person out 'First lead'
check "listed" says 'A. New .*taken out' ./needler person list
KEY_MADE=$(./needler key add sheets 2>/dev/null)
ask() { curl -s -o /dev/null -w '%{http_code}' -X POST -H 'content-type: application/json' -H "authorization: Bearer $1" -d '{"pinionTeeth":22,"wheelTeeth":110}' http://127.0.0.1:18124/api/sums/gear-mesh; }
check "a key opens the sums" test "$(ask "$KEY_MADE")" = 200
check "and is listed" says 'sheets' ./needler key list
check "and taken back" says 'taken back' ./needler key back sheets
check "and opens nothing any more" test "$(ask "$KEY_MADE")" = 401
# The first real machine can be overhauled: its lead signs in and begins.
first_step() {
  node --input-type=module - "$(grep -o 'the PIN is [0-9]*' "$WORK/serve" | grep -o '[0-9]*')" <<'JS'
const url = 'http://127.0.0.1:18124'
const send = (path, body, cookie) =>
  fetch(url + path, { method: 'POST', headers: { origin: url, 'content-type': 'application/json', cookie }, body: JSON.stringify(body) })
const uuid = () => { const hex = Date.now().toString(16).padStart(12, '0') + '7000' + '8000' + Math.random().toString(16).slice(2, 14).padEnd(12, '0'); return hex.replace(/^(.{8})(.{4})(.{4})(.{4})(.{12})$/, '$1-$2-$3-$4-$5') }
const { people } = await (await fetch(url + '/api/sign-in')).json()
const signed = await send('/api/sign-in', { person: people.find(one => one.name === 'First lead').id, pin: process.argv[2] }, '')
const cookie = signed.headers.getSetCookie().map(one => one.split(';')[0]).join('; ')
const early = await send('/api/jobs', { equipment: 'P-1', complaint: 'Weeps' }, cookie)
if (early.status !== 403) throw new Error(`a PIN that was printed opens more than the choosing of one: ${early.status}`)
await send('/api/pin', { pin: process.argv[2], next: '739104' }, cookie)
const { id } = await (await send('/api/jobs', { equipment: 'P-1', complaint: 'Weeps' }, cookie)).json()
const one = (kind, payload) => { const key = uuid(); return { id: key, act: key, kind, payload, madeAt: new Date().toISOString() } }
const begun = await send(`/api/jobs/${id}/entries`, [one('caution.read', { step: 'isolate', caution: 0 }), one('step.done', { step: 'isolate' })], cookie)
process.exit(begun.ok ? 0 : (console.error(await begun.text()), 1))
JS
}
check "the first machine of the site can be worked on" first_step
kill "$SERVING" 2>/dev/null; wait "$SERVING" 2>/dev/null
check "stopped in words" grep -q 'Stopped' "$WORK/serve"

sql postgres 'create database needler_old' >/dev/null; sql needler_old 'create table entry (id uuid)' >/dev/null
check "a database of another version is refused in words" refuses 'made by another version of Needler' ./needler serve --database needler_old
check "and left as it was" test "$(sql needler_old "select count(*) from information_schema.tables where table_schema = 'public'")" = 1

# Starts and stops, whatever happens on the way: a state folder of their own.
TWO="$NEEDLER_STATE-two"; rm -rf "$TWO"; mkdir -p "$TWO"
declare -A SHELLS
two() { NEEDLER_STATE="$TWO" PORT=$1 HOST=127.0.0.1 ./needler serve >"$WORK/two-$1" 2>&1 & SHELLS[$1]=$!; }
up() { for _ in $(seq 400); do grep -q 'Needler is at' "$WORK/two-$1" && return; sleep 0.2; done; cat "$WORK/two-$1"; return 1; }
down() { for _ in $(seq 50); do curl -s -o /dev/null "http://127.0.0.1:$1/api/health" || return 0; sleep 0.1; done; return 1; }
two 18131; two 18132
check "two first starts at once: one is up" up 18131
check "and so is the other" up 18132
check "and one of them made the first lead" test "$(cat "$WORK"/two-1813? | grep -c 'the PIN is')" = 1
kill -HUP "${SHELLS[18132]}"
check "a terminal that is closed stops it" down 18132
PORT_BEFORE=$(cat "$TWO/cluster/port")
kill -KILL "${SHELLS[18131]}"
check "one that is killed takes its server along" down 18131
two 18133
check "and the next start takes over what it left" up 18133
check "on the port the database had" test "$(cat "$TWO/cluster/port")" = "$PORT_BEFORE"
kill -KILL "$(head -n 1 "$TWO/cluster/data/postmaster.pid")"
well() { for _ in $(seq 150); do curl -sf -o /dev/null "http://127.0.0.1:$1/api/health" && return 0; sleep 0.1; done; return 1; }
sleep 1
check "a database that is killed is started again, and the server goes on" well 18133
kill -TERM "${SHELLS[18133]}"
check "it stops" down 18133

# An upgrade in place: a database with data in it, taken back to an older migration.
sql postgres 'create database needler_up template needler_a' >/dev/null
sql needler_up "drop index job_open_index; drop table wait, kept_fact, kept_look, kept_photo, picture_file, service_done, hours_read, known_device, pin_attempt, request_limit; alter table equipment drop column uses; alter table job drop column uses_at_open; alter table equipment_state drop column last_overhaul_uses; alter table device drop column about; alter table person drop column look, drop column pin_is_own, drop column admit_hash, drop column admit_until; alter table session drop column device_id; drop index session_started_at_index; delete from reading where cell <> '' or nth > 0; alter table reading drop column nth, drop column cell, add constraint reading_job_id_check_id_moment_pk primary key (job_id, check_id, moment); alter table entry drop column seen, drop column tablet, drop column clock_behind_ms, drop column clock_measured_at; create table sign_in_limit (key text primary key, points integer not null, expire timestamptz); delete from drizzle.__drizzle_migrations where id > 5" >/dev/null
BEFORE=$(count needler_up)
check "an older database is brought up to date" says 'holds data already' ./needler load-demo --database needler_up
check "by every migration there is" test "$(sql needler_up 'select count(*) from drizzle.__drizzle_migrations')" = "$(ls server/db/migrations/*.sql | wc -l)"
check "and its ledger is what it was" test "$(count needler_up)" = "$BEFORE"
sql needler_up "insert into drizzle.__drizzle_migrations (hash, created_at) values ('newer', 9999999999999)" >/dev/null
check "one that a newer version has changed is refused in words" refuses 'by a newer version of Needler' ./needler load-demo --database needler_up
sql needler_up "delete from drizzle.__drizzle_migrations where hash = 'newer'" >/dev/null
sql needler_up 'update site set ledger_format = 1' >/dev/null
check "one that cannot be is refused in words" refuses 'made by another version of Needler' ./needler load-demo --database needler_up
check "and left as it was, too" test "$(count needler_up)" = "$BEFORE"

# https, so that tablets may keep the pages.
openssl req -x509 -newkey rsa:2048 -nodes -days 2 -subj /CN=localhost -keyout "$WORK/key.pem" -out "$WORK/cert.pem" 2>/dev/null
check "https wants both files" refuses 'wants both' ./needler serve --cert "$WORK/cert.pem"
check "a missing file is named" refuses 'cannot be read from' ./needler serve --cert "$WORK/none.pem" --key "$WORK/key.pem"
check "what is no certificate is named" refuses 'do not go together' ./needler serve --cert "$WORK/junk" --key "$WORK/key.pem"
PORT=18125 HOST=127.0.0.1 timeout -s TERM 900 ./needler serve --cert "$WORK/cert.pem" --key "$WORK/key.pem" >"$WORK/https" 2>&1 & SECURE=$!
for _ in $(seq 1500); do grep -q 'Needler is at' "$WORK/https" && break; sleep 0.2; done
check "it is served over https" grep -q 'Needler is at https://' "$WORK/https"
check "and answers there, with the worker that keeps the pages" test "$(curl -sk -o /dev/null -w '%{http_code}' https://127.0.0.1:18125/sw.js)" = 200
check "and says that it is asked for so from then on" test "$(curl -sk -D - -o /dev/null https://127.0.0.1:18125/api/health | grep -ci strict-transport-security)" = 1
kill "$SECURE" 2>/dev/null; wait "$SECURE" 2>/dev/null

node -e 'require("net").createServer().listen(+process.argv[1],"127.0.0.1")' 18123 & taken=$!; sleep 0.5
check "a taken port is named" refuses 'Port 18123 is taken' env PORT=18123 ./needler serve
kill $taken
check "an unknown word is named" refuses 'There is no ./needler fly' ./needler fly
check "every verb has its help" says 'USAGE' ./needler backup --help
check "a sheet is examined" says 'is sound' ./needler sheet check library/m8-scraped-surface-exchanger.yaml
check "a file that is not there is named" refuses 'There is no file' ./needler sheet check /nowhere.yaml
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
