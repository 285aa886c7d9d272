# What bin/serve writes: a web server of its own with TLS, PHP's process manager, the queue's workers and the scheduler,
# all under storage/serve, run by systemd or by supervisor. Sourced.
SERVE="$ROOT/storage/serve"

# The settings of PHP that the command line and the process manager share, as NAME VALUE lines.
php_settings() {
  local flag
  for flag in "${PHP[@]:1}"; do
    [ "$flag" = -d ] || printf '%s\n' "$flag"
  done
}

serve_paths() {
  mkdir -p "$SERVE"/{run,log,tls,tmp/body,tmp/fastcgi}
  chmod 711 "$SERVE"; chmod 700 "$SERVE/tls"
}

# What is installed, by name and version: other than at the last install is said, and so are known holes in it.
serve_packages() {
  local now="$SERVE/packages.txt" said
  composer show 2>/dev/null | awk '{print $1, $2}' | sort >"$now.new"
  [ ! -f "$now" ] || diff "$now" "$now.new" | sed -n 's/^</  before:/p; s/^>/  now:   /p' >&2
  mv "$now.new" "$now"
  if said=$(timeout 60 composer audit --no-dev --format=plain 2>&1); then
    say "no hole is known in the PHP packages ($(wc -l <"$now") of them, listed in storage/serve/packages.txt)"
  elif grep -q '^Found ' <<<"$said"; then
    say "holes are known in PHP packages:"
    grep -E '^(Found|Package|Severity|Title|Affected)' <<<"$said" | sed 's/^/  /'
  else
    say "whether holes are known in the PHP packages could not be asked: the registry did not answer"
  fi
}

# As root the pages run as a user that owns nothing but what is written.
serve_user() {
  SERVE_USER=$(env_get SERVE_USER)
  [ -n "$SERVE_USER" ] || { SERVE_USER=$(id -un); [ "$SERVE_USER" != root ] || SERVE_USER=www-data; }
  id "$SERVE_USER" >/dev/null 2>&1 || fail "there is no user $SERVE_USER here"
}
serve_own() {
  [ "$(id -u)" = 0 ] || return 0
  local path
  for path in app framework logs backups run; do mkdir -p "storage/$path"; done
  chown -R "$SERVE_USER": storage/app storage/framework storage/logs storage/backups storage/run bootstrap/cache
  chown "$SERVE_USER": .env
  # Code is no secret, and is not always laid down so that others may read it; what was cached of the settings is one.
  chmod -R a+rX app artisan bootstrap config core database lang public resources routes vendor
  chmod 600 .env bootstrap/cache/config.php
  chown -R "$SERVE_USER": "$SERVE/tmp" "$SERVE/log" "$SERVE/run"
  local at="$ROOT"
  while [ "$at" != / ]; do
    runuser -u "$SERVE_USER" -- test -x "$at" || fail "$SERVE_USER may not enter $at" "Lay the application where it may, as in /srv."
    at=$(dirname "$at")
  done
}

serve_certificate() { # NAME : one for trial, where no other is given
  [ -f "$SERVE/tls/cert.pem" ] && openssl x509 -checkend 86400 -noout -in "$SERVE/tls/cert.pem" >/dev/null 2>&1 && return 0
  openssl req -x509 -newkey rsa:2048 -nodes -days 365 -subj "/CN=$1" -addext "subjectAltName=DNS:$1,IP:127.0.0.1" \
    -keyout "$SERVE/tls/key.pem" -out "$SERVE/tls/cert.pem" >"$SERVE/log/openssl.log" 2>&1 || fail "no certificate could be made" "$(tail -n 2 "$SERVE/log/openssl.log")"
  chmod 600 "$SERVE/tls/key.pem"
}

serve_nginx() { # NAME PORT CERT KEY LISTEN
  local release
  release=$("${PHP[@]}" -r 'require "app/Http/Release.php"; echo App\Http\Release::of("public");')
  cat >"$SERVE/nginx.conf" <<EOF
$([ "$(id -u)" = 0 ] && echo "user $SERVE_USER;")
worker_processes auto;
pid $SERVE/run/nginx.pid;
error_log $SERVE/log/nginx-error.log warn;
events { worker_connections 1024; }
http {
  types {
    text/html html; text/css css; text/javascript js mjs; image/svg+xml svg; image/png png; image/x-icon ico;
    font/woff2 woff2; text/plain txt; application/json json; video/mp4 mp4;
  }
  default_type application/octet-stream;
  # Addresses may hold what lets somebody in: what follows a question mark and the links of letters are not written
  # down.
  map \$uri \$logged { default \$uri; ~^/(begin|invited|reset|address)/ /\$1/…; }
  log_format plain '\$remote_addr [\$time_iso8601] "\$request_method \$logged" \$status \$body_bytes_sent \$request_time';
  access_log $SERVE/log/nginx-access.log plain;
  client_body_temp_path $SERVE/tmp/body;
  fastcgi_temp_path $SERVE/tmp/fastcgi;
  proxy_temp_path $SERVE/tmp/proxy; uwsgi_temp_path $SERVE/tmp/uwsgi; scgi_temp_path $SERVE/tmp/scgi;
  server_tokens off;
  sendfile on; tcp_nopush on; keepalive_timeout 65;
  client_max_body_size 320m; client_body_timeout 60s; client_header_timeout 15s;
  large_client_header_buffers 4 16k;
  gzip on; gzip_types text/css text/javascript application/json image/svg+xml; gzip_min_length 1000;
  ssl_protocols TLSv1.2 TLSv1.3;
  ssl_session_cache shared:tls:5m; ssl_session_timeout 1h; ssl_session_tickets off;
  ssl_prefer_server_ciphers off;
  server {
    listen $5:$2 ssl http2 default_server;
    server_name $1;
    ssl_certificate $3;
    ssl_certificate_key $4;
    root $ROOT/public;
    error_page 497 =308 https://\$host:$2\$request_uri;
    # Where PHP is being started, or nothing can be written, its own page cannot say so.
    error_page 500 502 503 504 =503 /down.html;
    location = /down.html { internal; add_header Retry-After 5 always; add_header Cache-Control no-store always; add_header X-Content-Type-Options nosniff always; add_header Content-Security-Policy "default-src 'none'; style-src 'self'; font-src 'self'; img-src 'self'; frame-ancestors 'none'" always; }
    location ~ ^/parts/$release/((?:js|css|vendor)/.+)\$ { alias $ROOT/public/\$1; add_header Cache-Control "public, max-age=31536000, immutable"; include $SERVE/static.conf; }
    # A page of before may ask for a release that is gone: it gets what there is, and nobody keeps that.
    location ~ ^/parts/[0-9a-f]+/((?:js|css|vendor)/.+)\$ { alias $ROOT/public/\$1; add_header Cache-Control no-store; include $SERVE/static.conf; }
    location ~ ^/(?:js|css|vendor|drills|looks)/ { try_files \$uri =404; add_header Cache-Control no-cache; include $SERVE/static.conf; }
    location ~ ^/(?:sw\.js|icon\.svg|robots\.txt|favicon\.ico)\$ { try_files \$uri =404; add_header Cache-Control no-cache; include $SERVE/static.conf; }
    location / {
      fastcgi_pass unix:$SERVE/run/fpm.sock;
      fastcgi_param SCRIPT_FILENAME $ROOT/public/index.php;
      fastcgi_param SCRIPT_NAME /index.php;
      fastcgi_param DOCUMENT_ROOT $ROOT/public;
      fastcgi_param QUERY_STRING \$query_string;
      fastcgi_param REQUEST_METHOD \$request_method;
      fastcgi_param REQUEST_URI \$request_uri;
      fastcgi_param CONTENT_TYPE \$content_type;
      fastcgi_param CONTENT_LENGTH \$content_length;
      fastcgi_param REMOTE_ADDR \$remote_addr;
      fastcgi_param SERVER_NAME \$host;
      fastcgi_param SERVER_PORT \$server_port;
      fastcgi_param SERVER_PROTOCOL \$server_protocol;
      fastcgi_param HTTPS on;
      fastcgi_param HTTP_PROXY "";
      fastcgi_read_timeout 120s;
      fastcgi_buffers 32 16k; fastcgi_buffer_size 32k;
    }
  }
}
EOF
  cat >"$SERVE/static.conf" <<EOF
add_header X-Content-Type-Options nosniff;
add_header Content-Security-Policy "default-src 'none'; frame-ancestors 'none'; connect-src 'self'";
add_header Cross-Origin-Resource-Policy same-origin;
add_header Strict-Transport-Security "max-age=31536000";
EOF
  nginx -t -p "$SERVE" -c "$SERVE/nginx.conf" -e "$SERVE/log/nginx-error.log" >"$SERVE/log/nginx-test.log" 2>&1 || fail "nginx refuses what was written" "$(tail -n 3 "$SERVE/log/nginx-test.log")"
}

serve_fpm() { # CHILDREN
  local name value
  {
    printf '[global]\npid = %s\nerror_log = %s\ndaemonize = no\nemergency_restart_threshold = 5\nemergency_restart_interval = 1m\n\n' \
      "$SERVE/run/fpm.pid" "$SERVE/log/fpm.log"
    printf '[pages]\n'
    [ "$(id -u)" = 0 ] && printf 'user = %s\ngroup = %s\nlisten.owner = %s\nlisten.mode = 0600\n' "$SERVE_USER" "$SERVE_USER" "$SERVE_USER"
    printf 'listen = %s\npm = static\npm.max_children = %s\npm.max_requests = 2000\nrequest_terminate_timeout = 120s\n' "$SERVE/run/fpm.sock" "$1"
    printf 'catch_workers_output = yes\ndecorate_workers_output = no\nclear_env = yes\nenv[PATH] = /usr/local/bin:/usr/bin:/bin\n'
    php_settings | grep -v '^opcache\.' | while IFS='=' read -r name value; do printf 'php_admin_value[%s] = %s\n' "$name" "$value"; done
    printf 'php_admin_value[realpath_cache_size] = 4M\nphp_admin_value[upload_tmp_dir] = %s\n' "$SERVE/tmp"
  } >"$SERVE/fpm.conf"
  php-fpm8.2 -t -y "$SERVE/fpm.conf" >"$SERVE/log/fpm-test.log" 2>&1 || fail "php-fpm refuses what was written" "$(tail -n 3 "$SERVE/log/fpm-test.log")"
}

# What is set when the first process starts and never again: the cache of compiled code and its JIT. Set for a pool they
# would be refused without a word to anybody.
fpm_flags() {
  local flag
  php_settings | grep '^opcache\.' | grep -v '^opcache.enable_cli' | while read -r flag; do printf -- '-d %s ' "$flag"; done
  printf -- '-d opcache.enable=1 -d opcache.memory_consumption=256 -d opcache.interned_strings_buffer=16 '
  printf -- '-d opcache.max_accelerated_files=20000 -d opcache.validate_timestamps=0'
}

# What runs, a line each: NAME USER COUNT COMMAND.
serve_programs() { # WORKERS FILMS
  local php="/usr/bin/php8.2 ${PHP[*]:1}" root
  pg_find
  printf '%s\t%s\t%s\t%s\n' database "${PGUSER_OS:-$SERVE_USER}" 1 "$PGBIN/postgres -D $PGDIR $(pg_settings "$(env_get DB_PORT)")"
  root=$([ "$(id -u)" = 0 ] && echo root || echo "$SERVE_USER")
  printf '%s\t%s\t%s\t%s\n' \
    pages "$root" 1 "$ROOT/bin/lib/serve-run.sh $SERVE/pages.group /usr/sbin/php-fpm8.2 $(fpm_flags) -F -y $SERVE/fpm.conf" \
    web "$root" 1 "$ROOT/bin/lib/serve-run.sh $SERVE/web.group /usr/sbin/nginx -p $SERVE -c $SERVE/nginx.conf -e $SERVE/log/nginx-error.log -g 'daemon off;'" \
    queue "$SERVE_USER" "$1" "$php $ROOT/artisan queue:work --queue=default --sleep=1 --max-time=3600 --memory=384 --quiet" \
    films "$SERVE_USER" "$2" "$php $ROOT/artisan queue:work --queue=films --sleep=1 --max-time=3600 --memory=384 --quiet" \
    clock "$SERVE_USER" 1 "$php $ROOT/artisan schedule:work --quiet"
  if wal_on; then
    wal_paths
    printf '%s\t%s\t%s\t%s\n' keep "${PGUSER_OS:-$SERVE_USER}" 1 "$WAL/keep.sh"
  fi
}

serve_supervisor() { # WORKERS FILMS
  local name user count command
  {
    printf '[supervisord]\nlogfile=%s\npidfile=%s\nchildlogdir=%s\nnodaemon=false\n' "$SERVE/log/supervisor.log" "$SERVE/run/supervisor.pid" "$SERVE/log"
    [ "$(id -u)" = 0 ] && printf 'user=root\n'
    printf '[unix_http_server]\nfile=%s\nchmod=0700\n' "$SERVE/run/supervisor.sock"
    printf '[rpcinterface:supervisor]\nsupervisor.rpcinterface_factory = supervisor.rpcinterface:make_main_rpcinterface\n'
    printf '[supervisorctl]\nserverurl=unix://%s\n' "$SERVE/run/supervisor.sock"
    while IFS=$'\t' read -r name user count command; do
      printf '\n[program:%s]\ncommand=%s\ndirectory=%s\nnumprocs=%s\nprocess_name=%%(program_name)s-%%(process_num)d\n' "$name" "$command" "$ROOT" "$count"
      [ "$(id -u)" = 0 ] && printf 'user=%s\n' "$user"
      [ "$name" = database ] && printf 'priority=1\nstopsignal=INT\n'
      printf 'autorestart=true\nstartretries=1000\nstartsecs=1\nstopasgroup=true\nkillasgroup=true\nstopwaitsecs=20\nredirect_stderr=true\n'
      printf 'stdout_logfile=%s/%s.log\nstdout_logfile_maxbytes=5MB\nstdout_logfile_backups=3\n' "$SERVE/log" "$name"
    done < <(serve_programs "$1" "$2")
  } >"$SERVE/supervisor.conf"
}

serve_units() { # WORKERS FILMS : one unit for each process, and a target that holds them
  local name user count command i unit wants=""
  rm -rf "$SERVE/units"; mkdir -p "$SERVE/units"
  while IFS=$'\t' read -r name user count command; do
    for i in $(seq "$count"); do
      unit="verified-consensus-$name-$i.service"
      wants+=" $unit"
      cat >"$SERVE/units/$unit" <<EOF
[Unit]
Description=Verified Consensus: $name $i
After=network.target postgresql.service
PartOf=verified-consensus.target

[Service]
ExecStart=$command
WorkingDirectory=$ROOT
User=$user
Restart=always
RestartSec=1
StartLimitIntervalSec=0
TimeoutStopSec=20
UMask=0027
NoNewPrivileges=$([ "$name" = pages ] || [ "$name" = web ] && [ "$user" = root ] && echo no || echo yes)
PrivateTmp=yes
ProtectSystem=strict
ReadWritePaths=$ROOT/storage $ROOT/bootstrap/cache$([[ $name = @(database|keep) ]] && echo " $(dirname "$PGDIR")")
ProtectHome=read-only
ProtectKernelTunables=yes
ProtectControlGroups=yes
RestrictSUIDSGID=yes
RestrictAddressFamilies=AF_UNIX AF_INET AF_INET6

[Install]
WantedBy=verified-consensus.target
EOF
      # Where it stands among the sections matters to older versions.
      sed -i '/^StartLimitIntervalSec=0$/d; s/^PartOf=.*/&\nStartLimitIntervalSec=0/' "$SERVE/units/$unit"
    done
  done < <(serve_programs "$1" "$2")
  printf '[Unit]\nDescription=Verified Consensus\nWants=%s\n\n[Install]\nWantedBy=multi-user.target\n' "${wants# }" >"$SERVE/units/verified-consensus.target"
}
supervised() { supervisorctl -c "$SERVE/supervisor.conf" "$@"; }
has_systemd() { [ -d /run/systemd/system ]; }
