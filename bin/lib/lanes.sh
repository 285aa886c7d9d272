# Lanes for browser tests: each has a copy of the demo's database and films, so that files run side by side and in any
# order. Sourced by bin/test; run as `bash bin/lib/lanes.sh N` it lays lane N afresh, which the tests do between files.
LANE_DEMO=verified_consensus_browser

# Migrates and loads the demo that every lane is a copy of.
lane_demo() {
  export DB_DATABASE=$LANE_DEMO FILMS_ROOT="$RUN/lanes/films"
  rm -rf "$RUN/lanes"; mkdir -p "$FILMS_ROOT"
  pg_sql postgres "drop database if exists $DB_DATABASE with (force)"
  pg_sql postgres "create database $DB_DATABASE"
  "${PHP[@]}" artisan migrate --force && "${PHP[@]}" artisan demo:load
}

# What a server, a worker and a test of this lane have in their environment. The clock can be set ahead by a file.
lane_env() {
  LANE=$1
  export DB_DATABASE="${LANE_DEMO}_$LANE" FILMS_ROOT="$RUN/lanes/films-$LANE" CLOCK_FILE="$RUN/lanes/clock-$LANE"
  export IMPORTS_ROOT="$RUN/lanes/kept-$LANE" EXPORTS_ROOT="$RUN/lanes/kept-$LANE" PAPERS_ROOT="$RUN/lanes/kept-$LANE"
}

lane_reset() {
  rm -rf "$FILMS_ROOT" "$CLOCK_FILE"
  cp -al "$RUN/lanes/films" "$FILMS_ROOT"
  pg_sql postgres "drop database if exists $DB_DATABASE with (force)"
  pg_sql postgres "create database $DB_DATABASE template $LANE_DEMO"
  # Under bin/serve pages and workers run as a user of their own.
  if [ -n "${SERVE_USER:-}" ]; then chown -R "$SERVE_USER": "$RUN/lanes"; fi
}

if [ "${BASH_SOURCE[0]}" = "$0" ]; then
  . "$(dirname "$0")/common.sh"
  lane_env "$1"
  lane_reset
fi
