# bin/test serve [kills|rewind|mishaps|upgrade|nodes|journeys]: the application as bin/serve runs it, in a folder of its
# own that goes again. Sourced by bin/test.
. "$ROOT/bin/lib/test-nodes.sh"
part_of() { [ "$ONLY" = all ] || [[ ,$ONLY, = *,$1,* ]]; }
served() {
  need_debian nginx-light php8.2-fpm supervisor openssl curl procps redis-server pgbackrest
  local site port
  site=$(mktemp -d -p /tmp)
  SITE=$site
  trap 'code=$?; site_ends; exit $code' EXIT
  trap 'exit 130' INT TERM
  chmod 755 "$site"
  git ls-files -z | tar --null -T - -cf - | tar -C "$site" -xf -
  cp -a vendor "$site/vendor"
  ln -s "$ROOT/node_modules" "$site/node_modules"
  mkdir -p "$site/storage"
  port=$(free_port 8500)
  SHOW=6 step "installed as for people" site install "$port"
  step "compiled code is kept, and the JIT runs" site_compiled
  if part_of kills; then
    SHOW=2 step "started" site start
    SHOW=12 step "every process killed comes again" site_killed "$port"
    SHOW=2 step "nothing of it left when it is stopped" site_stopped
  fi
  if part_of rewind; then
    SHOW=8 step "back to a moment before a mishap" site_rewound "$port"
  fi
  if part_of mishaps; then
    SHOW=20 step "killed, full and put back in the middle of work" site_mishaps "$port"
  fi
  if part_of upgrade; then
    SHOW=12 step "another version, and back to the one before in a second folder" site_upgraded "$port"
  fi
  if part_of nodes; then
    SHOW=30 step "two web machines, one of them killed" site_nodes
  fi
  if part_of journeys; then
    # What the other parts have left behind is no part of the journeys.
    SHOW=2 step "the demo as it was" site again "$port"
    SHOW=2 step "started again" site start
    SHOW=4 step "the journeys under nginx and php-fpm" site_journeys "$port"
  fi
}
site() {
  local do=$1 port=${2:-}
  (
    cd "$SITE"
    ROOT=$SITE
    . "$SITE/bin/lib/common.sh"
    . "$SITE/bin/lib/lanes.sh"
    case $do in
    install)
      need_env
      pg_up
      lane_demo || exit 1
      lane_env 1; lane_reset
      local name
      for name in DB_DATABASE FILMS_ROOT CLOCK_FILE IMPORTS_ROOT EXPORTS_ROOT PAPERS_ROOT; do env_set "$name" "${!name}"; done
      "$SITE/bin/serve" install --port="$port" --pages=8
      "$SITE/bin/serve" units
      ;;
    again)
      pg_up
      lane_env 1; lane_reset
      "$SITE/bin/serve" install --port="$port" --pages=8
      ;;
    *) "$SITE/bin/serve" "$do";;
    esac
  )
}
# As the process manager is started: what a pool asks for of this would be refused.
site_compiled() {
  local flags
  flags=$(sed -n "s#^command=.*/php-fpm8.2 \(.*\) -F .*#\1#p" "$SITE/storage/serve/supervisor.conf")
  # shellcheck disable=SC2086
  php-fpm8.2 $flags -i | grep -E '^(Opcode Caching => Up and Running|JIT => On|opcache.validate_timestamps => Off)' | tee "$SITE/storage/compiled"
  [ "$(wc -l <"$SITE/storage/compiled")" = 3 ]
}
site_ends() {
  nodes_end
  second_ends
  unmounted
  [ -n "${SITE:-}" ] || return 0
  "$SITE/bin/serve" stop >/dev/null 2>&1 || true
  "$SITE/bin/stop" >/dev/null 2>&1 || true
  rm -rf "$SITE"
}
site_stopped() {
  local name pids="" pid
  for name in database pages web queue films clock; do
    pids+=" $(supervisorctl -c "$SITE/storage/serve/supervisor.conf" pid "$name:$name-0")"
  done
  site stop
  for pid in $pids; do [ -z "$(site_left "$pid")" ] || { echo "of $pid something is left"; return 1; }; done
}
# A mishap that no page allows, and the database as it was a moment before it; what came later is gone, all else is
# there.
site_rewound() {
  local port=$1 before moment db code
  db=$(sed -n 's/^DB_DATABASE=//p' "$SITE/.env")
  "$SITE/bin/serve" keep && "$SITE/bin/serve" start || return 1
  site_asked "$db" "insert into cache (key, value, expiration) values ('before', 'it', 2000000000)"
  before=$(site_asked "$db" "select count(*), md5(string_agg(id || entry, ',' order by id)) from (select id, a::text as entry from audit_entries a) x")
  sleep 1.2
  moment=$(site_asked "$db" "select to_char(clock_timestamp() at time zone 'UTC', 'YYYY-MM-DD HH24:MI:SS.US') || '+00'")
  sleep 1.2
  site_asked "$db" "insert into cache (key, value, expiration) values ('after', 'it', 2000000000)"
  site_asked "$db" "alter table users rename to gone"
  "$SITE/bin/serve" rewind "$moment" && "$SITE/bin/serve" start || return 1
  [ "$(site_asked "$db" "select string_agg(key, ',') from cache where value = 'it'")" = before ] || { echo "not as it was"; return 1; }
  [ "$(site_asked "$db" "select count(*), md5(string_agg(id || entry, ',' order by id)) from (select id, a::text as entry from audit_entries a) x")" = "$before" ] \
    || { echo "the record is another"; return 1; }
  code=$(curl -sk --max-time 20 -o /dev/null -w '%{http_code}' "https://127.0.0.1:$port/login")
  echo "pages answer $code, the record has $before"
  (cd "$SITE" && "${PHP[@]}" artisan audit:verify) || return 1
  "$SITE/bin/serve" moments | tail -n 12
  site stop
  [ "$code" = 200 ]
}
# As docs/running.md says it: a backup, another version, and the one before again in a second folder out of the backup.
site_upgraded() {
  local port=$1 name end again
  site start
  name=$(cd "$SITE" && "${PHP[@]}" artisan backup:make | sed -n 's/^Backup \([^:]*\):.*/\1/p')
  end=$(cd "$SITE" && "${PHP[@]}" artisan audit:verify | tail -n 1)
  cat >"$SITE/database/migrations/2999_01_01_000000_another_version.php" <<'PHP'
<?php

return new class extends Illuminate\Database\Migrations\Migration
{
    public function up(): void
    {
        Illuminate\Support\Facades\Schema::create('another_version', fn ($t) => $t->id());
        Illuminate\Support\Facades\DB::statement('alter table academies add column another text');
    }
};
PHP
  "$SITE/bin/serve" install && "$SITE/bin/serve" restart || return 1
  [ "$(site_asked "$(sed -n 's/^DB_DATABASE=//p' "$SITE/.env")" "select count(*) from another_version")" = 0 ] || return 1
  again=$(curl -sk --max-time 20 -o /dev/null -w '%{http_code}' "https://127.0.0.1:$port/login")
  echo "backup $name; with another version pages answer $again"
  [ "$again" = 200 ] || return 1
  "$SITE/bin/serve" stop
  SECOND=$(mktemp -d -p /tmp)
  chmod 755 "$SECOND"
  git ls-files -z | tar --null -T - -cf - | tar -C "$SECOND" -xf -
  cp -a "$SITE/vendor" "$SECOND/vendor"
  (
    cd "$SECOND"
    # Nothing of the first folder's settings is in the second's way.
    unset DB_DATABASE FILMS_ROOT IMPORTS_ROOT EXPORTS_ROOT PAPERS_ROOT CLOCK_FILE
    bin/serve install --port="$port" --pages=4 &&
      BACKUP_KEY=$(sed -n 's/^BACKUP_KEY=//p' "$SITE/.env") "${PHP[@]}" artisan backup:restore "$name" --from="$SITE/storage/backups" &&
      bin/serve install && bin/serve start
  ) || return 1
  again=$(cd "$SECOND" && "${PHP[@]}" artisan audit:verify | tail -n 1)
  echo "there: $end; in the second folder: $again"
  curl -sk --max-time 20 "https://127.0.0.1:$port/up"
  again=$(curl -sk --max-time 20 -o /dev/null -w '%{http_code}' "https://127.0.0.1:$port/login")
  second_ends
  rm "$SITE/database/migrations/2999_01_01_000000_another_version.php"
  [ "$again" = 200 ]
}
second_ends() {
  [ -n "${SECOND:-}" ] || return 0
  "$SECOND/bin/serve" stop >/dev/null 2>&1 || true
  "$SECOND/bin/stop" >/dev/null 2>&1 || true
  (cd "$SECOND" && ROOT=$SECOND && . bin/lib/common.sh && pg_find && pg_down) || true
  rm -rf "$SECOND"
}
# People at work while processes are killed, disks fill up and the clock is put back. The films and the database lie on
# small disks of their own where that can be had.
site_mishaps() {
  local port=$1 films="" data="" db code=0
  db=$(sed -n 's/^DB_DATABASE=//p' "$SITE/.env")
  site stop
  site_readers 6 12 >"$SITE/storage/readers.json" || return 1
  (
    cd "$SITE"
    ROOT=$SITE
    . bin/lib/common.sh
    pg_find; pg_down
    pg_place; echo "$PGDIR" >"$SITE/storage/pgdir"
  )
  MOUNTS=()
  films="$SITE/storage/run/lanes/films-1" data=$(cat "$SITE/storage/pgdir")
  mounted "$films" 4 || films=""
  mounted "$data" 60 || data=""
  (cd "$SITE" && ROOT=$SITE && . bin/lib/common.sh && . bin/lib/serve.sh && serve_user && serve_own)
  site start || code=1
  if [ "$code" = 0 ]; then
    CLOCK_FILE=$(sed -n 's/^CLOCK_FILE=//p' "$SITE/.env") FILMS_MOUNT=$films DATABASE_MOUNT=$data NODE_TLS_REJECT_UNAUTHORIZED=0 \
      node --no-warnings bin/lib/mishaps.mjs "https://127.0.0.1:$port" "$SITE" "$SITE/storage/readers.json" "$(site_film)" \
      "$(site_swings "$db" 4)" || code=1
    [ "$code" = 0 ] || tail -n 15 "$SITE"/storage/logs/*.log "$SITE"/storage/serve/log/{pages,database,fpm}.log
  fi
  site stop
  unmounted
  return "$code"
}
# So many readers in an open round, and so many closed ones: everything at once, whatever was cached of the settings.
site_readers() { # READERS ROUNDS
  (
    cd "$SITE"
    ROOT=$SITE
    . bin/lib/common.sh
    pg_up >&2
    "${PHP[@]}" artisan config:clear >&2
    QUEUE_CONNECTION=sync "${PHP[@]}" bin/lib/bench-load.php "$1" "$2"
    "${PHP[@]}" artisan config:cache >&2
    . bin/lib/serve.sh
    serve_user; serve_own
  )
}
# Puts a folder with what lies in it on a disk of its own with so many MB to spare.
mounted() { # FOLDER SPARE
  local mode owner
  mode=$(stat -c %a "$1") owner=$(stat -c %u:%g "$1")
  mkdir -p "$1.small"
  mount -t tmpfs -o "size=$(($(du -sm "$1" | cut -f1) + $2))m,mode=$mode" tmpfs "$1.small" || { rmdir "$1.small"; return 1; }
  cp -a "$1/." "$1.small/"
  mount --move "$1.small" "$1" 2>/dev/null || { umount "$1.small"; rmdir "$1.small"; return 1; }
  chown "$owner" "$1"
  rmdir "$1.small"
  MOUNTS+=("$1")
}
unmounted() {
  local at
  for at in "${MOUNTS[@]:-}"; do [ -n "$at" ] && umount "$at" || true; done
  MOUNTS=()
}
# So many swings without a film, whose golfers agreed.
site_swings() { # DATABASE N
  site_asked "$1" "select string_agg(public_id, ',') from (select r.public_id from recordings r where r.erased_at is null
    and not exists (select 1 from films f where f.recording_id = r.id)
    and exists (select 1 from consents c where c.golfer_id = r.golfer_id) order by r.id limit $2) x"
}
# What runs of the group that a process led.
site_left() { ps -eo pid=,pgid= | awk -v g="$1" '$2 == g { print $1 }'; }
# One after the other with the signal that nobody can catch; each has to be another process soon after, run on, have
# nothing of the one before beside it, and pages answer.
site_killed() {
  local port=$1 name pid new code left
  for name in database pages web queue films clock; do
    pid=$(supervisorctl -c "$SITE/storage/serve/supervisor.conf" pid "$name:$name-0")
    kill -9 "$pid"
    new=$pid
    for _ in $(seq 300); do
      new=$(supervisorctl -c "$SITE/storage/serve/supervisor.conf" status "$name:$name-0" | sed -n 's/.*RUNNING *pid \([0-9]*\),.*/\1/p')
      [ -n "$new" ] && [ "$new" != "$pid" ] && break
      sleep 0.2
    done
    for _ in $(seq 50); do
      left=$(site_left "$pid" | wc -l)
      [ "$left" = 0 ] && break
      sleep 0.2
    done
    code=000
    for _ in $(seq 300); do
      code=$(curl -sk --max-time 5 -o /dev/null -w '%{http_code}' "https://127.0.0.1:$port/login" || true)
      [ "$code" = 200 ] && break
      sleep 0.2
    done
    echo "$name: $pid killed, ${new:-nothing} in its place, $left left of it, pages answer $code"
    [ -n "$new" ] && [ "$new" != "$pid" ] && [ "$left" = 0 ] && [ "$code" = 200 ] || return 1
  done
}
site_journeys() {
  (
    cd "$SITE"
    export SERVE_USER VC_SCHEME=https VC_LANES=$1 NODE_TLS_REJECT_UNAUTHORIZED=0
    SERVE_USER=$(sed -n 's/^SERVE_USER=//p' .env)
    [ -n "$SERVE_USER" ] || { SERVE_USER=$(id -un); [ "$SERVE_USER" != root ] || SERVE_USER=www-data; }
    # What a device of a journey is to trust.
    export VC_CA=$SITE/storage/serve/tls/cert.pem
    npx playwright test --workers=1 ${VC_SPECS:-}
  )
}
