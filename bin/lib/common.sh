# Shared by bin/start, bin/stop, bin/test and bin/bench. Sourced, never run.
set -euo pipefail
ROOT="$(cd "$(dirname "${BASH_SOURCE[0]}")/../.." && pwd)"
cd "$ROOT"
RUN="$ROOT/storage/run"
. "$ROOT/bin/lib/jit.sh"
# As much as the pages promise to take: 40 MB a file, sixty files at once.
PHP=(php "${JIT[@]}" -d opcache.jit=tracing -d memory_limit=512M -d expose_php=0 -d zend.exception_ignore_args=1 -d "sys_temp_dir=$ROOT/storage/app/temporary" -d upload_max_filesize=41M -d post_max_size=320M -d max_file_uploads=60)
export COMPOSER_ALLOW_SUPERUSER=1 COMPOSER_NO_INTERACTION=1

say() { printf '%s\n' "$*"; }
fail() { printf '\nstopped: %s\n' "$1" >&2; shift; for line in "$@"; do printf '  %s\n' "$line" >&2; done; exit 1; }

as_root() {
  if [ "$(id -u)" = 0 ]; then "$@"
  elif command -v sudo >/dev/null; then sudo "$@"
  else fail "these commands need root, and neither root nor sudo is at hand: $*" "Run the command as root, or install sudo."
  fi
}

# need_debian PACKAGE… : installs those that are missing, refreshing the index only when it has to.
need_debian() {
  local missing=() p log
  for p in "$@"; do
    dpkg-query -W -f='${Status}\n' "$p" 2>/dev/null | grep -q '^install ok installed$' || missing+=("$p")
  done
  [ ${#missing[@]} -eq 0 ] && return 0
  command -v apt-get >/dev/null || fail "these Debian packages are missing and apt-get is not here: ${missing[*]}"
  say "installing Debian packages: ${missing[*]}"
  mkdir -p "$RUN"; log="$RUN/apt.log"
  as_root apt-get update >"$log" 2>&1 || fail "the Debian package index could not be refreshed" "$(tail -n 2 "$log")" "Is the network there? Nothing was changed."
  as_root env DEBIAN_FRONTEND=noninteractive apt-get install -y --no-install-recommends "${missing[@]}" >>"$log" 2>&1 \
    || fail "Debian packages could not be installed: ${missing[*]}" "$(tail -n 3 "$log")" "The whole output is in storage/run/apt.log."
}

need_disk() {
  local free
  free=$(df -Pm "$ROOT" | awk 'NR==2 {print $4}')
  [ "$free" -ge 600 ] || fail "only ${free} MB are free on this disk; at least 600 MB are needed" "Nothing was changed."
}

need_php() {
  need_debian php8.2-cli php8.2-pgsql php8.2-mbstring php8.2-xml php8.2-intl php8.2-curl php8.2-zip php8.2-opcache php8.2-bcmath composer unzip git
}

# Installs the PHP packages when composer.json has changed since the last time. $1: dev or app.
need_composer() {
  local want stamp="vendor/.installed-$1" flags=()
  want=$(sha256sum composer.json | cut -c1-64)
  if [ -f vendor/.installed-dev ] && [ "$(cat vendor/.installed-dev)" = "$want" ]; then return 0; fi
  if [ -f "$stamp" ] && [ "$(cat "$stamp")" = "$want" ]; then return 0; fi
  [ "$1" = app ] && flags=(--no-dev)
  say "installing PHP packages ($1)"
  mkdir -p "$RUN"
  composer install --prefer-dist --no-progress "${flags[@]}" >"$RUN/composer.log" 2>&1 \
    || fail "the PHP packages could not be installed" "$(tail -n 4 "$RUN/composer.log")" "The whole output is in storage/run/composer.log."
  rm -f vendor/.installed-* bootstrap/cache/packages.php bootstrap/cache/services.php
  printf '%s' "$want" >"$stamp"
  composer show 2>/dev/null | awk '/^(laravel|pestphp|phpstan)\// {printf "  %s %s\n", $1, $2}'
}

port_open() { (exec 3<>"/dev/tcp/127.0.0.1/$1") 2>/dev/null; }
free_port() { local p=$1; while port_open "$p"; do p=$((p + 1)); done; printf '%s' "$p"; }

env_get() { sed -n "s/^$1=//p" .env 2>/dev/null | tail -n 1 | tr -d '"'; }
env_set() { # one line of .env, written whole or not at all
  local tmp=".env.new.$$"
  { grep -v "^$1=" .env 2>/dev/null || true; printf '%s=%s\n' "$1" "$2"; } >"$tmp"
  chmod 600 "$tmp"; mv "$tmp" .env
}

need_env() {
  # What is on its way is nobody else's to look at.
  mkdir -p -m 700 storage/app/temporary
  # Where films lay on their way, and copies of them, in versions of before.
  rm -rf storage/app/private/arriving storage/app/private/copies
  mkdir -p storage/app/private storage/framework/{cache/data,sessions,views} storage/logs bootstrap/cache "$RUN"
  [ -f .env ] || { cp .env.example .env; chmod 600 .env; }
  [ -n "$(env_get APP_KEY)" ] || env_set APP_KEY "base64:$(head -c 32 /dev/urandom | base64)"
  local name
  for name in DB_PASSWORD DB_APP_PASSWORD; do
    [ -n "$(env_get $name)" ] || env_set $name "$(head -c 18 /dev/urandom | base64 | tr -d '+/=')"
  done
  # What closes backups: to be kept elsewhere too.
  [ -n "$(env_get BACKUP_KEY)" ] || env_set BACKUP_KEY "$(head -c 32 /dev/urandom | base64)"
  [ -n "$(env_get DB_APP_USERNAME)" ] || env_set DB_APP_USERNAME verified_app
}

# The invented academy beside the one of this folder: its own database, files, log-in and process.
beside() {
  [ -f .env ] || need_env
  RUN="$ROOT/storage/run/sample"
  export DB_DATABASE="$(env_get DB_DATABASE)_sample" SESSION_COOKIE=verified-consensus-sample
  local kind
  for kind in FILMS IMPORTS PAPERS EXPORTS; do
    export "${kind}_ROOT=$ROOT/storage/app/sample/$([ $kind = FILMS ] && echo films || true)"
  done
}
# Whether the academy of this folder, or the sample beside it, is still served: both stand on one PostgreSQL.
other_runs() {
  local of p
  for of in "$ROOT/storage/run" "$ROOT/storage/run/sample"; do
    [ "$of" = "$RUN" ] && continue
    p=$(cat "$of/web.pid" 2>/dev/null) && grep -qa 'bin/lib/router.php' "/proc/$p/cmdline" 2>/dev/null && return 0
  done
  return 1
}

# Pages are compiled anew: one that was compiled before says nothing of parts that changed since.
fresh_views() { find storage/framework/views -name '*.php' -delete 2>/dev/null || true; }

# Debian's ffmpeg makes films ready; without it everything else works.
need_ffmpeg() { need_debian ffmpeg; }

# Works through the queue (films to convert) beside the web server, and is started again when it is killed.
# A session of its own, so that it can be ended with its children. Sets WORKER.
worker_up() {
  setsid bash -c 'trap exit TERM; while :; do "$@" & wait $!; sleep 1; done' queue-worker \
    "${PHP[@]}" artisan queue:work --queue=films,default --sleep=1 --max-time=3600 --memory=384 --quiet >"$RUN/worker.log" 2>&1 </dev/null 9>&- &
  WORKER=$!
}

worker_alive() { local p; p=$(cat "$RUN/worker.pid" 2>/dev/null || true); [ -n "$p" ] && grep -qa 'queue-worker' "/proc/$p/cmdline" 2>/dev/null; }
worker_down() {
  if worker_alive; then kill -- -"$(cat "$RUN/worker.pid")" 2>/dev/null || true; fi
  rm -f "$RUN/worker.pid"
}

# --- PostgreSQL: a cluster of the project's own, on loopback, TCP only ---------------------------------
pg_find() {
  local have="" want="" bin
  pg_place
  [ -f "$PGDIR/PG_VERSION" ] && want=$(pg_as cat "$PGDIR/PG_VERSION")
  for bin in /usr/lib/postgresql/*/bin; do [ -x "$bin/initdb" ] && have=$bin && [ "$(basename "$(dirname "$bin")")" = "$want" ] && break; done
  [ -n "$have" ] || fail "no PostgreSQL server was found under /usr/lib/postgresql"
  PGBIN=$have
  if [ -n "$want" ] && [ "$(basename "$(dirname "$PGBIN")")" != "$want" ]; then
    fail "the project's database was made by PostgreSQL $want, which is not installed (found: $(basename "$(dirname "$PGBIN")"))" \
      "Install postgresql-$want and upgrade with pg_upgrade, or start afresh with: bin/start --fresh"
  fi
}

# Root may not run the server: Debian's postgres user does, in a folder that user can reach.
pg_place() {
  PGDIR="$ROOT/storage/postgres/data"
  if [ "$(id -u)" = 0 ]; then
    PGUSER_OS=postgres
    mkdir -p "$ROOT/storage/postgres"
    if ! runuser -u postgres -- test -x "$ROOT/storage/postgres"; then
      PGDIR="/var/lib/verified-consensus/$(printf '%s' "$ROOT" | sha256sum | cut -c1-12)/data"
      mkdir -p "$(dirname "$PGDIR")"
    fi
    chown postgres "$(dirname "$PGDIR")"
  else
    PGUSER_OS=""; mkdir -p "$(dirname "$PGDIR")"
  fi
}
pg_as() { if [ -n "${PGUSER_OS:-}" ]; then (cd / && runuser -u "$PGUSER_OS" -- "$@"); else "$@"; fi; }
pg_running() { pg_as "$PGBIN/pg_ctl" -D "$PGDIR" status >/dev/null 2>&1; }
pg_sql() { PGCONNECT_TIMEOUT=5 PGPASSWORD=$(env_get DB_PASSWORD) psql -qAtX -h 127.0.0.1 -p "$(env_get DB_PORT)" -U verified -d "$1" -v ON_ERROR_STOP=1 -c "$2"; }

# The role under which the application runs: it owns nothing and can do nothing to the cluster. Made where it is not.
pg_role() {
  local name password
  name=$(env_get DB_APP_USERNAME); password=$(env_get DB_APP_PASSWORD)
  PGPASSWORD=$(env_get DB_PASSWORD) psql -qAtX -h 127.0.0.1 -p "$(env_get DB_PORT)" -U verified -d postgres \
    -v ON_ERROR_STOP=1 -v name="$name" -v password="$password" >/dev/null <<'SQL'
select format('create role %I', :'name') where not exists (select from pg_roles where rolname = :'name') \gexec
alter role :"name" login nosuperuser nocreatedb nocreaterole noreplication nobypassrls password :'password';
SQL
}

# How the cluster is run, whoever runs it. The demo is loaded in one transaction of thousands of steps; each of them
# holds a lock until it is over.
pg_settings() {
  local sockets=""
  [ "$(env_get SERVE_WAL)" != on ] || sockets=$(dirname "$PGDIR")
  printf '%s' "-c listen_addresses=127.0.0.1 -c port=$1 -c unix_socket_directories=$sockets -c fsync=on -c max_locks_per_transaction=256"
}

# Starts the cluster (making it first if need be); sets PG_STARTED=1 when this call started it.
pg_up() {
  pg_begin
  pg_role 2>"$RUN/psql.log" || fail "the project's PostgreSQL refuses the password in .env" "$(head -n 1 "$RUN/psql.log")"
}
pg_begin() {
  local port pw
  PG_STARTED=0
  pg_find
  if [ ! -f "$PGDIR/PG_VERSION" ]; then
    say "making the project's PostgreSQL cluster"
    pw=$(mktemp); env_get DB_PASSWORD >"$pw"; [ -n "$PGUSER_OS" ] && chown "$PGUSER_OS" "$pw"
    rm -rf "$PGDIR.new"
    pg_as "$PGBIN/initdb" -D "$PGDIR.new" -U verified -A scram-sha-256 --pwfile="$pw" -E UTF8 --locale=C.UTF-8 >"$RUN/initdb.log" 2>&1 \
      || { rm -rf "$PGDIR.new" "$pw"; fail "PostgreSQL's initdb failed" "$(tail -n 3 "$RUN/initdb.log")"; }
    rm -f "$pw"
    mv "$PGDIR.new" "$PGDIR"
  fi
  if ! pg_running; then
    port=$(free_port "$(env_get DB_PORT)")
    [ "$port" = "$(env_get DB_PORT)" ] || { say "port $(env_get DB_PORT) is taken; the database uses $port"; env_set DB_PORT "$port"; }
    pg_as "$PGBIN/pg_ctl" -D "$PGDIR" -w -t 60 -l "$PGDIR/server.log" \
      -o "$(pg_settings "$port")" start >"$RUN/pg_ctl.log" 2>&1 </dev/null 9>&- \
      || fail "the project's PostgreSQL did not start" "$(pg_as tail -n 3 "$PGDIR/server.log")"
    PG_STARTED=1
  fi
}
pg_down() { pg_running && pg_as "$PGBIN/pg_ctl" -D "$PGDIR" -m fast -w stop >/dev/null 2>&1 || true; }
pg_database() { [ "$(pg_sql postgres "select 1 from pg_database where datname='$1'")" = 1 ] || pg_sql postgres "create database $1"; }
