# Two web machines on one: folders of their own, one database, Debian's Redis and a stand-in for a store of files, all
# on loopback and gone afterwards. Sourced by test-serve.sh; SITE is the first folder, with a demo laid down.
site_nodes() ( # what it sets for the two is nobody's else
  local store redis one two p code=0 groups="" db NODES=()
  NODE_PIDS=()
  trap 'code=$?; nodes_end; exit $code' EXIT
  trap 'exit 130' INT TERM
  OTHER=$(mktemp -d -p /tmp)
  chmod 755 "$OTHER"
  store=$(free_port 8710); redis=$(free_port 8760); one=$(free_port 8810); two=$(free_port 8860)
  (
    cd "$SITE"
    . "$SITE/bin/lib/common.sh"
    pg_up
  ) || exit 1
  mkdir -p "$OTHER/storage" "$SITE/storage/store"
  git ls-files -z | tar --null -T - -cf - | tar -C "$OTHER" -xf -
  cp -a "$SITE/vendor" "$OTHER/vendor"
  mkdir -p "$OTHER"/storage/{logs,app/private,framework/{cache/data,sessions,views}} "$OTHER/bootstrap/cache"
  mkdir -p -m 700 "$OTHER/storage/app/temporary"
  rm -f "$SITE/bootstrap/cache/config.php" "$SITE/bootstrap/cache/"routes*.php
  cp "$SITE/.env" "$OTHER/.env"
  # Where the first keeps its films is no business of the second.
  sed -i '/^\(FILMS\|IMPORTS\|PAPERS\|EXPORTS\)_ROOT=/d; /^CLOCK_FILE=/d' "$OTHER/.env"

  setsid redis-server --port "$redis" --bind 127.0.0.1 --save "" --appendonly no --dir "$SITE/storage/store" >"$SITE/storage/redis.log" 2>&1 &
  NODE_PIDS+=($!)
  setsid node node_modules/s3rver/bin/s3rver.js --address 127.0.0.1 --port "$store" --directory "$SITE/storage/store" --silent \
    --configure-bucket academy >"$SITE/storage/store.log" 2>&1 &
  NODE_PIDS+=($!)
  for p in "$redis" "$store"; do for _ in $(seq 300); do port_open "$p" && break; sleep 0.1; done; done
  export FILES_DISK=s3 AWS_BUCKET=academy AWS_ENDPOINT="http://127.0.0.1:$store" AWS_USE_PATH_STYLE_ENDPOINT=true \
    AWS_ACCESS_KEY_ID=S3RVER AWS_SECRET_ACCESS_KEY=S3RVER CACHE_STORE=redis QUEUE_CONNECTION=redis REDIS_PORT=$redis \
    APP_URL=http://127.0.0.1 APP_ENV=local APP_STRICT=true
  (cd "$SITE" && "${PHP[@]}" artisan files:carry) && (cd "$SITE" && "${PHP[@]}" artisan files:carry) || code=1
  for p in "$SITE:$one" "$OTHER:$two"; do
    (cd "${p%:*}" && PHP_CLI_SERVER_WORKERS=4 exec setsid "${PHP[@]}" -S "127.0.0.1:${p#*:}" -t public bin/lib/router.php >"${p%:*}/storage/web.log" 2>&1) &
    NODES+=($!)
    (cd "${p%:*}" && exec setsid "${PHP[@]}" artisan queue:work --queue=films,default --sleep=1 --quiet >"${p%:*}/storage/worker.log" 2>&1) &
    NODES+=($!)
  done
  NODE_PIDS+=("${NODES[@]}")
  for p in "$one" "$two"; do for _ in $(seq 300); do port_open "$p" && break; sleep 0.1; done; done
  db=$(sed -n 's/^DB_DATABASE=//p' "$SITE/.env")
  groups="${NODES[0]},${NODES[1]}"
  NODES="$one,$two" NODE_GROUPS=$groups FILM=$(site_film) ROUND=$(site_asked "$db" "select public_id from sittings where published_at is not null and kind = 'round' order by id limit 1") \
    SWINGS=$(site_swings "$db" 2) \
    node --test --test-reporter=spec tests/nodes/two-nodes.test.mjs || code=1
  redis-cli -p "$redis" --no-auth-warning dbsize
  redis-cli -p "$redis" -n 1 dbsize
  [ "$code" = 0 ] || tail -n 30 "$SITE/storage/web.log" "$OTHER/storage/web.log" "$SITE"/storage/logs/*.log "$OTHER"/storage/logs/*.log
  exit "$code"
)
nodes_end() {
  local p
  for p in "${NODE_PIDS[@]:-}"; do [ -n "$p" ] && kill -9 -- -"$p" 2>/dev/null || true; done
  [ -n "${OTHER:-}" ] && rm -rf "$OTHER"
  return 0
}
# The largest film of the demo, as it came.
site_film() { find "$SITE/storage/run/lanes/films" -name original.mp4 -printf '%s %p\n' | sort -n | tail -n 1 | cut -d' ' -f2-; }
site_asked() {
  (
    cd "$SITE"
    . "$SITE/bin/lib/common.sh"
    pg_sql "$1" "$2"
  )
}
