# bin/test serve: the application as bin/serve runs it, in a folder of its own that goes again. Sourced by bin/test.
served() {
  need_debian nginx-light php8.2-fpm supervisor openssl curl procps
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
  SHOW=2 step "started" site start
  SHOW=12 step "every process killed comes again" site_killed "$port"
  SHOW=2 step "nothing of it left when it is stopped" site_stopped
  SHOW=2 step "started again" site start
  SHOW=4 step "the journeys under nginx and php-fpm" site_journeys "$port"
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
    *) "$SITE/bin/serve" "$do";;
    esac
  )
}
site_ends() {
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
# What runs of the group that a process led.
site_left() { ps -eo pid=,pgid= | awk -v g="$1" '$2 == g { print $1 }'; }
# One after the other with the signal that nobody can catch; each has to be another process soon after, run on, have nothing
# of the one before beside it, and pages answer.
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
    npx playwright test --workers=1 ${VC_SPECS:-}
  )
}
