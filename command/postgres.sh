# A cluster of our own on loopback: own data folder, own free port; never the system's.
# PostgreSQL will not run as root, so root hands it to the user postgres that the package made.

if [ "$(id -u)" = 0 ]; then pg_run() { (cd / && runuser -u postgres -- "$@"); }; else pg_run() { (cd / && "$@"); }; fi

random_word() { head -c 24 /dev/urandom | od -An -tx1 | tr -d ' \n'; }
secret() { [ -s "$STATE/$1" ] || (umask 077; random_word >"$STATE/$1"); cat "$STATE/$1"; }

free_port() { node -e 'const s=require("net").createServer();s.listen(0,"127.0.0.1",()=>{console.log(s.address().port);s.close()})'; }

# pg_prepare NAME: where this cluster lives. The socket folder has a short path, since sockets have a length limit.
pg_prepare() {
  PG_HOME="$STATE/$1"
  PG_DATA="$PG_HOME/data"
  PG_SOCKETS="$PG_HOME/s"
  mkdir -p "$PG_HOME"
  pg_match
  export NEEDLER_STATE="$STATE" NEEDLER_PG_BIN="$PG_BIN" NEEDLER_DATA="$PG_DATA"
  # The owner makes databases and tables; the application's own user is no superuser and makes neither.
  export NEEDLER_OWNER_PASSWORD NEEDLER_APP_PASSWORD NUXT_SESSION_PASSWORD
  NEEDLER_OWNER_PASSWORD=$(secret secret)
  NEEDLER_APP_PASSWORD=$(secret secret-app)
  NUXT_SESSION_PASSWORD=${NUXT_SESSION_PASSWORD:-$(secret session)}
  chmod 711 "$STATE"
  mkdir -p "$PG_SOCKETS"
  if [ "$(id -u)" = 0 ]; then chown postgres "$PG_HOME" "$PG_SOCKETS"; fi
}

# A cluster is read only by the major version that made it: that one is used where it is there, and asked for where not.
pg_match() {
  [ -f "$PG_DATA/PG_VERSION" ] || return 0
  local made; made=$(cat "$PG_DATA/PG_VERSION")
  [ -x "/usr/lib/postgresql/$made/bin/postgres" ] \
    || fail "The database in $PG_DATA was made by PostgreSQL $made, and this machine has another. Nothing was changed. Install postgresql-$made beside it; then back up with ./needler backup, and restore into a new place (docs/operations.md)."
  PG_BIN="/usr/lib/postgresql/$made/bin"
}

# It is made beside its place and put there when it is whole: a start that is killed on the way leaves nothing to trip over.
pg_init() {
  [ -f "$PG_DATA/PG_VERSION" ] && return
  local made="$PG_HOME/being-made"; rm -rf "$made"
  step "making a database of our own in $PG_DATA"
  local pw="$PG_HOME/pw"; (umask 077; printf '%s' "$NEEDLER_OWNER_PASSWORD" >"$pw"); [ "$(id -u)" = 0 ] && chown postgres "$pw"
  pg_run "$PG_BIN/initdb" -D "$made" -U needler --pwfile="$pw" --auth-host=scram-sha-256 --auth-local=scram-sha-256 -E UTF8 --locale=C.UTF-8 >"$STATE/initdb.log" 2>&1 </dev/null \
    || { rm -rf "$pw" "$made"; fail "The database could not be made; see $STATE/initdb.log. Most often the disk is full ($(free_space) free)."; }
  rm -f "$pw"
  mv "$made" "$PG_DATA"
}

pg_alive() { [ -f "$PG_HOME/port" ] && "$PG_BIN/pg_isready" -q -h 127.0.0.1 -p "$(cat "$PG_HOME/port")" 2>/dev/null; }

# A pid file left by a kill is stale only when its process is gone or is not a postgres.
pg_clear_stale() {
  local file="$PG_DATA/postmaster.pid" pid
  [ -f "$file" ] || return 0
  pid=$(head -n 1 "$file")
  [ -d "/proc/$pid" ] && grep -q postgres "/proc/$pid/comm" 2>/dev/null && return 0
  rm -f "$file"
}

# pg_start [OPTIONS]: starts the cluster, or finds it running. Everybody who uses it holds a lock on it meanwhile,
# and the last one to leave stops it.
pg_start() {
  exec 9>"$PG_HOME/lock"; flock -w 60 9 || fail "Another start of this database is in hand and does not end. Wait for it, or stop it."
  exec 8>"$PG_HOME/users"; flock -s -w 60 8 || fail "The database is being stopped and does not end. Try again."
  pg_init
  if pg_alive; then NEEDLER_PG_PORT=$(cat "$PG_HOME/port"); else pg_launch "$*"; fi
  export NEEDLER_PG_PORT
  pg_app_user
  flock -u 9
}

# The port it had before, so that a server which is up finds it again; another one only where that is taken.
pg_port() {
  if [ "$1" = 1 ] && [ -s "$PG_HOME/port" ] && port_is_free "$(cat "$PG_HOME/port")"; then cat "$PG_HOME/port"; else free_port; fi
}
port_is_free() { node -e 'const s=require("net").createServer();s.once("error",()=>process.exit(1));s.listen(+process.argv[1],"127.0.0.1",()=>s.close())' "$1"; }

# Starts it again where it has died, on the port the server knows. It ends with the shell that watches.
pg_watch() {
  trap 'exit 0' TERM
  local parent=$$
  exec 8>&- 9>&-
  while sleep 2 & wait $!; kill -0 "$parent" 2>/dev/null; do
    pg_alive && continue
    exec 9>"$PG_HOME/lock"; flock -w 30 9 || continue
    if ! pg_alive; then
      step "the database had stopped; starting it again"
      pg_clear_stale
      pg_run "$PG_BIN/pg_ctl" -D "$PG_DATA" -w -t 60 -l "$PG_HOME/server.log" -o "-p $(cat "$PG_HOME/port") -c listen_addresses=127.0.0.1 -c unix_socket_directories=$PG_SOCKETS" start >"$STATE/pg_ctl.log" 2>&1 </dev/null 9>&- \
        || say "✕ It does not start; its last words are in $PG_HOME/server.log. If the disk is full ($(free_space) free), make room: it is tried again."
    fi
    flock -u 9; exec 9>&-
  done
}

pg_launch() {
  pg_clear_stale
  local try
  for try in 1 2 3 4 5; do
    NEEDLER_PG_PORT=$(pg_port "$try")
    if pg_run "$PG_BIN/pg_ctl" -D "$PG_DATA" -w -t 30 -l "$PG_HOME/server.log" -o "-p $NEEDLER_PG_PORT -c listen_addresses=127.0.0.1 -c unix_socket_directories=$PG_SOCKETS $1" start >"$STATE/pg_ctl.log" 2>&1 </dev/null 9>&- 8>&-; then
      printf '%s' "$NEEDLER_PG_PORT" >"$PG_HOME/port"; return
    fi
    pg_clear_stale
  done
  fail "The database did not start; its last words are in $PG_HOME/server.log. If the disk is full ($(free_space) free), make room and start again."
}

# The user the application signs in as: may sign in, and nothing more.
pg_app_user() {
  PGPASSWORD="$NEEDLER_OWNER_PASSWORD" "$PG_BIN/psql" -q -h 127.0.0.1 -p "$NEEDLER_PG_PORT" -U needler -d postgres -v ON_ERROR_STOP=1 >/dev/null <<SQL || fail "The application's database user could not be made; see $PG_HOME/server.log."
select 'create role needler_app login' where not exists (select from pg_roles where rolname = 'needler_app') \gexec
alter role needler_app with nosuperuser nocreatedb nocreaterole password '$NEEDLER_APP_PASSWORD';
SQL
}

# Stops the cluster when nobody else uses it.
pg_leave() {
  [ -n "${WATCHES:-}" ] && kill "$WATCHES" 2>/dev/null
  flock -w 60 9 2>/dev/null || return 0
  flock -u 8 2>/dev/null
  if flock -n -x 8 2>/dev/null; then pg_run "$PG_BIN/pg_ctl" -D "$PG_DATA" -m fast -w stop >/dev/null 2>&1 </dev/null 9>&- 8>&-; fi
  flock -u 8 2>/dev/null; flock -u 9 2>/dev/null
  return 0
}
