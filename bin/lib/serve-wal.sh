# Going back to any moment: what the database writes is kept as it writes it, encrypted, with a copy of the whole once a
# week and what changed since once a day, by Debian's pgbackrest. Sourced by bin/serve.
WAL_WEEKS=2

wal_on() { [ "$(env_get SERVE_WAL)" = on ]; }
wal_paths() { pg_find; WAL="$(dirname "$PGDIR")"; }
wal_run() { pg_as env "PGPASSFILE=$WAL/pgpass" pgbackrest --config="$WAL/pgbackrest.conf" --stanza=academy "$@"; }

wal_write() {
  local file
  wal_paths
  for file in kept log lock spool; do mkdir -p -m 700 "$WAL/$file"; done
  cat >"$WAL/pgbackrest.conf" <<EOF
[global]
repo1-path=$WAL/kept
repo1-cipher-type=aes-256-cbc
repo1-cipher-pass=$(env_get BACKUP_KEY)
repo1-retention-full=$WAL_WEEKS
log-path=$WAL/log
lock-path=$WAL/lock
spool-path=$WAL/spool
log-level-console=warn
start-fast=y
[academy]
pg1-path=$PGDIR
pg1-port=$(env_get DB_PORT)
pg1-socket-path=$WAL
pg1-user=verified
pg1-database=postgres
EOF
  printf '*:*:*:verified:%s\n' "$(env_get DB_PASSWORD)" >"$WAL/pgpass"
  # Beside the cluster, since whoever runs that need not be able to read this folder.
  cat >"$WAL/keep.sh" <<EOF
#!/usr/bin/env bash
# The whole once a week, what changed since once a day; written by bin/serve.
export PGPASSFILE=$WAL/pgpass
while :; do
  for kind in full:10080 incr:1440; do
    done="$WAL/\${kind%:*}.done"
    [ "\${kind%:*}" = incr ] && [ -n "\$(find "$WAL/full.done" -mmin -1440 2>/dev/null)" ] && continue
    [ -n "\$(find "\$done" -mmin "-\${kind#*:}" 2>/dev/null)" ] && continue
    pgbackrest --config=$WAL/pgbackrest.conf --stanza=academy --type="\${kind%:*}" backup && touch "\$done"
  done
  sleep 300
done
EOF
  chmod 700 "$WAL/keep.sh"; chmod 600 "$WAL/pgbackrest.conf" "$WAL/pgpass"
  [ -z "${PGUSER_OS:-}" ] || chown -R "$PGUSER_OS" "$WAL"/{kept,log,lock,spool,pgbackrest.conf,pgpass,keep.sh}
}

# Switched on where it is not; the database has to start anew for it, and the first copy of the whole is made at once.
wal_begin() {
  need_debian pgbackrest
  env_set SERVE_WAL on
  pg_find; pg_running && pg_down
  pg_up
  wal_write
  pg_sql postgres "alter system set archive_mode = on"
  pg_sql postgres "alter system set archive_timeout = 60"
  pg_sql postgres "alter system set archive_command = 'pgbackrest --config=$WAL/pgbackrest.conf --stanza=academy archive-push %p'"
  pg_down; pg_up
  wal_run stanza-create && wal_run check && wal_run --type=full backup || fail "what the database writes cannot be kept" "$(tail -n 3 "$WAL"/log/*.log)"
  pg_as touch "$WAL/full.done"
}

# Everything stands still; the database is laid down as it was then, and goes on from there.
wal_rewind() { # TIME
  wal_paths
  wal_run --delta --type=time --target="$1" --target-action=promote restore || fail "the database could not be laid down as it was at $1" "bin/serve moments tells from when on it can."
}
