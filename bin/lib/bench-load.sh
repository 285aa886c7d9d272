# bin/bench load: readers at work under bin/serve, in a folder of its own that goes again. Sourced by bin/bench.
. "$ROOT/bin/lib/test-serve.sh"
load() {
  local readers=${1:-50} seconds=${2:-60} port
  need_debian nginx-light php8.2-fpm supervisor openssl curl
  SITE=$(mktemp -d -p /tmp)
  trap 'code=$?; site_ends; exit $code' EXIT
  trap 'exit 130' INT TERM
  mkdir -p "$RUN"
  chmod 755 "$SITE"
  git ls-files -z | tar --null -T - -cf - | tar -C "$SITE" -xf -
  cp -a vendor "$SITE/vendor"
  mkdir -p "$SITE/storage" "$SITE/empty/bootstrap/cache" "$SITE/empty/storage/framework/views"
  # What the framework costs by itself: one route that answers nothing.
  cat >"$SITE/empty/index.php" <<'PHP'
<?php
require dirname(__DIR__).'/vendor/autoload.php';
Illuminate\Foundation\Application::configure(basePath: __DIR__)
    ->withRouting(using: static fn () => Illuminate\Support\Facades\Route::get('/_empty', static fn () => ''))
    ->withMiddleware()->withExceptions()->create()
    ->handleRequest(Illuminate\Http\Request::capture());
PHP
  port=$(free_port 8500)
  say "laying the demo down and installing"
  site install "$port" >"$RUN/bench-load.log" 2>&1 || fail "it could not be installed" "$(tail -n 5 "$RUN/bench-load.log")"
  chmod -R a+rwX "$SITE/empty"
  sed -i "0,/^    location \/ {/s##    location = /_empty { fastcgi_pass unix:$SITE/storage/serve/run/fpm.sock; fastcgi_param SCRIPT_FILENAME $SITE/empty/index.php; fastcgi_param SCRIPT_NAME /index.php; fastcgi_param REQUEST_METHOD \$request_method; fastcgi_param REQUEST_URI \$request_uri; fastcgi_param QUERY_STRING \$query_string; fastcgi_param SERVER_NAME \$host; fastcgi_param SERVER_PORT \$server_port; fastcgi_param HTTPS on; }\n&#" "$SITE/storage/serve/nginx.conf"
  # A clock that is set ahead is for trying pages: asked of a file at every look at the time.
  sed -i '/^CLOCK_FILE=/d' "$SITE/.env"
  site_readers "$readers" 0 >"$RUN/readers.json" || fail "no readers could be seated" "$(tail -n 3 "$RUN/readers.json")"
  site start >>"$RUN/bench-load.log" 2>&1 || fail "it did not start" "$(tail -n 5 "$RUN/bench-load.log")"
  export NODE_TLS_REJECT_UNAUTHORIZED=0
  node --no-warnings bin/lib/load.mjs "https://127.0.0.1:$port" "$RUN/readers.json" "$seconds" paced
  node --no-warnings bin/lib/load.mjs "https://127.0.0.1:$port" "$RUN/readers.json" $((seconds / 3)) unpaced
}
