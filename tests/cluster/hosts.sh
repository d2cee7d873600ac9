# A small network on this machine: each host is a network namespace with a folder of its own, and its services are real ones, with the very
# configuration of deploy/. Sourced with $ROOT set; needs root, and Debian's packages below. Everything is under $HOSTS and ends with `hosts_down`.

HOSTS="${EMBREL_CLUSTER:-/var/tmp/embrel-cluster}"
NET=10.91.0
NAME=embrel.example
# host → the end of its address. `people` is where the browsers are.
declare -A AT=([front]=10 [app1]=11 [app2]=12 [db1]=21 [db2]=22 [redis]=31 [store]=41 [people]=51)
# The address of whichever database is the primary.
PRIMARY_AT=20
# That of whichever replica may answer what is allowed to be late.
REPLICA_AT=19
CLUSTER_PACKAGES="iproute2 iputils-arping nginx-light php8.2-fpm mariadb-backup redis-server openssl faketime"
# By which the clock of a host goes before the others.
LATER=/usr/lib/x86_64-linux-gnu/faketime/libfaketime.so.1
PASSWORD=none-of-these-leaves-the-machine

host_pids() { ip netns pids "em-$1" 2>/dev/null; }
# Runs something on a host, with nothing of this environment; its folder is /srv/embrel there.
IN='mount --rbind "$1" /srv/embrel && shift && exec "$@"'
on() { local host="$1"; shift; ip netns exec "em-$host" env -i PATH="$PATH" HOME="$HOSTS/$host" LC_ALL=C.UTF-8 bash -c "$IN" on "$HOSTS/$host" "$@"; }
answers() { on people bash -c "exec 3<>/dev/tcp/$1/$2" 2>/dev/null; }
wait_for() { # what, command...
  local what="$1" n=0; shift
  until "$@" >/dev/null 2>&1; do sleep 0.2; n=$((n + 1)); [ $n -gt 300 ] && fail "$what did not come within a minute; see $HOSTS/log"; done
}

# A service that is begun anew a second after it ends, as systemd does (Restart=always, RestartSec=1).
service() { # host, name, command...
  local host="$1" name="$2"; shift 2
  mkdir -p "$HOSTS/log" "$HOSTS/run"
  setsid ip netns exec "em-$host" env -i PATH="$PATH" HOME="$HOSTS/$host" LC_ALL=C.UTF-8 \
    bash -c 'mount --rbind "$1" /srv/embrel && shift; while true; do "$@"; sleep 1; done' service "$HOSTS/$host" "$@" \
    >>"$HOSTS/log/$host-$name.log" 2>&1 </dev/null 9>&- &
  echo $! >"$HOSTS/run/$host-$name"
}
stop_service() { # host, name, [signal]: with what begins it anew
  local group; group=$(cat "$HOSTS/run/$1-$2" 2>/dev/null) || return 0
  kill "-${3:-TERM}" -- "-$group" 2>/dev/null
  rm -f "$HOSTS/run/$1-$2"
}
# Kills what a service is at the moment, and leaves what begins it anew.
kill_service() { # host, pattern
  local pid
  for pid in $(host_pids "$1"); do
    tr '\0' ' ' <"/proc/$pid/cmdline" 2>/dev/null | grep -qE -- "$2" && ! grep -qz '^service$' "/proc/$pid/cmdline" 2>/dev/null && kill -9 "$pid" 2>/dev/null
  done
}
kill_host() { # all that runs on it, as when the power goes
  local run
  for run in "$HOSTS/run/$1-"*; do [ -f "$run" ] && kill -9 -- "-$(cat "$run")" 2>/dev/null && rm -f "$run"; done
  host_pids "$1" | xargs -r kill -9 2>/dev/null
}

network_up() {
  local host
  ip netns add em-hub && ip -n em-hub link add br0 type bridge && ip -n em-hub link set br0 up || fail "Network namespaces cannot be made here."
  mkdir -p /etc/netns
  for host in "${!AT[@]}"; do
    ip netns add "em-$host"
    ip link add "v-$host" netns em-hub type veth peer name eth0 netns "em-$host"
    ip -n em-hub link set "v-$host" master br0 up
    ip -n "em-$host" link set lo up
    ip -n "em-$host" addr add "$NET.${AT[$host]}/24" dev eth0
    ip -n "em-$host" link set eth0 up
    mkdir -p "/etc/netns/em-$host" "$HOSTS/$host"
    printf '127.0.0.1 localhost\n%s %s\n' "$NET.10" "$NAME" >"/etc/netns/em-$host/hosts"
  done
  ip -n em-db1 addr add "$NET.$PRIMARY_AT/24" dev eth0
}
# Between two hosts nothing arrives, in either direction, without a word; till `join`.
cut_off() { point "$1" "$2" 02:00:00:00:00:99; point "$2" "$1" 02:00:00:00:00:99; }
join_again() { point "$1" "$2"; point "$2" "$1"; }
point() { # from, to, [hardware address]
  local address
  for address in $(on "$2" ip -4 -o addr show dev eth0 | grep -oE "$NET\.[0-9]+" | grep -v "$NET.255" | sort -u); do
    if [ -n "${3:-}" ]; then ip -n "em-$1" neigh replace "$address" lladdr "$3" dev eth0 nud permanent
    else ip -n "em-$1" neigh del "$address" dev eth0 2>/dev/null; fi
  done
  true
}

# The files of a host, as an operator puts them there: the built application, in a folder of its own.
build_release() {
  local stamp; stamp=$(cd "$ROOT" && { cat composer.json package.json bin/deploy; find resources -type f -print0 | sort -z | xargs -0 cat; } | sha256sum)
  mkdir -p "$HOSTS/release"
  (cd "$ROOT" && git ls-files -z --cached --others --exclude-standard | rsync -a --from0 --files-from=- --ignore-missing-args ./ "$HOSTS/release/")
  if [ "$(cat "$HOSTS/release.stamp" 2>/dev/null)" != "$stamp" ]; then
    "$HOSTS/release/bin/deploy" build || fail "The release could not be built."
    printf '%s' "$stamp" >"$HOSTS/release.stamp"
  fi
}
put_release() { # host
  local host="$1"
  mkdir -p "$HOSTS/$host/current" "$HOSTS/$host/storage"
  rsync -a --delete --exclude /storage --exclude /node_modules --exclude /tests --exclude /bench "$HOSTS/release/" "$HOSTS/$host/current/"
  # A disk of its own, which can be full.
  mountpoint -q "$HOSTS/$host/storage" || mount -t tmpfs -o size=400m,mode=0755 tmpfs "$HOSTS/$host/storage"
  rsync -a "$HOSTS/release/storage/" "$HOSTS/$host/storage/" --exclude 'mariadb*' --exclude '*.log'
  ln -sfn /srv/embrel/storage "$HOSTS/$host/current/storage"
  mkdir -p "$HOSTS/$host/storage/tmp" "$HOSTS/$host/storage/app/private"
  chown -R www-data:www-data "$HOSTS/$host/storage"
}

# As deploy/embrel.env.example has it, for this network; in a file, as on a host.
write_env() { # host
  sed -e "s/10\.0\.0\./$NET./g" -e "s/^DB_HOST=.*/DB_HOST=$NET.$PRIMARY_AT/" -e "s/^#DB_REPLICAS=.*/DB_REPLICAS=$NET.$REPLICA_AT/" \
    -e "s|^APP_KEY=.*|APP_KEY=$(cat "$HOSTS/key")|" -e "s/^DB_PASSWORD=.*/DB_PASSWORD=$PASSWORD/" -e "s/^REDIS_PASSWORD=.*/REDIS_PASSWORD=$PASSWORD/" \
    -e "s/^AWS_ACCESS_KEY_ID=.*/AWS_ACCESS_KEY_ID=S3RVER/" -e "s/^AWS_SECRET_ACCESS_KEY=.*/AWS_SECRET_ACCESS_KEY=S3RVER/" \
    -e "s|^#AWS_ENDPOINT=.*|AWS_ENDPOINT=http://$NET.41:9000|" -e "s/^#AWS_USE_PATH/AWS_USE_PATH/" \
    -e "s/^#DB_MIGRATE_USERNAME/DB_MIGRATE_USERNAME/" -e "s/^#DB_MIGRATE_PASSWORD=.*/DB_MIGRATE_PASSWORD=$PASSWORD/" \
    -e "s/^EMBREL_PAGE_READER=.*/EMBREL_PAGE_READER=stand-in/" -e "s/^MAIL_MAILER=.*/MAIL_MAILER=log/" \
    -e "s/^APP_ENV=.*/APP_ENV=${CLUSTER_ENV:-production}/" \
    "$ROOT/deploy/embrel.env.example" >"$HOSTS/$1/embrel.env"
  [ "${CLUSTER_ENV:-}" != local ] || printf '%s\n' "EMBREL_ORGANISATION=http://$NET.51:8079/organisation" EMBREL_ORGANISATION_CLIENT=embrel \
    EMBREL_ORGANISATION_SECRET=between-the-two-of-us 'EMBREL_ORGANISATION_NAME=the school' >>"$HOSTS/$1/embrel.env"
  # Clocks are never alike; where speed is measured they are, as what shifts one takes its time.
  [ "$1" != app2 ] || [ -n "${CLOCKS_ALIKE:-}" ] || printf '%s\n' "LD_PRELOAD=$LATER" FAKETIME=+3s FAKETIME_DONT_FAKE_MONOTONIC=1 >>"$HOSTS/$1/embrel.env"
  printf 'EMBREL_HASH_MEMORY=64\nEMBREL_SIGN_INS_A_MINUTE=100000\nLOG_LEVEL=error\n' >>"$HOSTS/$1/embrel.env"
}
settings() { grep -E '^[A-Z_]+=' "$HOSTS/$1/embrel.env" | grep -vE '^[A-Z_]+=$'; }
# Divides what is asked: the settings of a host with others over them (NAME=VALUE...) in SET, what is to be run in RUN.
with_settings() { # host, [NAME=VALUE...], command...
  mapfile -t SET < <(settings "$1"); shift
  while [[ "${1:-}" =~ ^[A-Z_]+= ]]; do SET+=("$1"); shift; done
  RUN=("$@")
}
artisan() { # host, [NAME=VALUE...], command...
  with_settings "$@"
  on "$1" bash -c "cd /srv/embrel/current && $AS" as "${#SET[@]}" "${SET[@]}" "${RUN[@]}"
}
# php artisan as the user of the services: the number of settings, these, and what is asked.
AS='n=$1; shift; exec setpriv --reuid=www-data --regid=www-data --clear-groups env "${@:1:n}" php -d memory_limit=512M artisan "${@:n+1}"'

database_up() { # host, server number, [options]
  local host="$1" folder="$HOSTS/$1"
  mkdir -p "$folder"; chown mysql "$folder"
  if [ ! -d "$folder/data/mysql" ]; then
    mariadb-install-db --no-defaults --user=mysql --datadir="$folder/data" --skip-test-db --auth-root-authentication-method=socket \
      >"$HOSTS/log/$host-install.log" 2>&1 || fail "The database of $host could not be set up."
  fi
  # As the files of deploy/ would be read from /etc/mysql, with less memory and another number.
  sed -e "s/^server_id = .*/server_id = $2/" -e 's/^innodb_buffer_pool_size = .*/innodb_buffer_pool_size = 256M/' \
    "$ROOT/deploy/mariadb/primary.cnf" >"$folder/90-embrel.cnf"
  service "$host" database mariadbd --defaults-file="$folder/90-embrel.cnf" --user=mysql --datadir="$folder/data" --socket="$folder/sock" \
    --pid-file="$folder/pid" --port=3306 ${3:-}
  wait_for "The database of $host" sql "$host" 'SELECT 1'
}
sql() { local host="$1"; shift; mariadb --no-defaults -S "$HOSTS/$host/sock" -N -e "$@"; }
accounts_on() { # database: as deploy/ has them
  sed -e "s/PASSWORD-OF-[A-Z-]*/$PASSWORD/;s/'10\.%'/'$NET.%'/g" "$ROOT/deploy/mariadb/accounts.sql" | mariadb --no-defaults -S "$HOSTS/$1/sock" \
    || fail "The accounts of the database could not be made."
}
follow() { # replica: has it follow the primary from where its copy was made
  sql "$1" "CHANGE MASTER TO MASTER_HOST='$NET.$PRIMARY_AT', MASTER_USER='embrel_replica', MASTER_PASSWORD='$PASSWORD',
    MASTER_USE_GTID=slave_pos, MASTER_CONNECT_RETRY=1; START SLAVE; SET GLOBAL read_only=ON"
}
# A copy of the primary while it goes on (mariadb-backup), which then follows it: how a replica is made, and a lost primary comes back.
copy_primary() { # from, to, server number
  stop_service "$2" database 9; rm -rf "$HOSTS/$2/data" "$HOSTS/$2/copy"
  local log="$HOSTS/log/$2-copy.log"
  mariadb-backup --no-defaults --backup --user=root --socket="$HOSTS/$1/sock" --datadir="$HOSTS/$1/data" --target-dir="$HOSTS/$2/copy" >"$log" 2>&1 \
    && mariadb-backup --no-defaults --prepare --target-dir="$HOSTS/$2/copy" >>"$log" 2>&1 || fail "The copy of $1 could not be made; see $log"
  mv "$HOSTS/$2/copy" "$HOSTS/$2/data"; chown -R mysql "$HOSTS/$2/data"
  database_up "$2" "$3"
  local at; at=$(cut -f3 "$HOSTS/$2/data/xtrabackup_binlog_info" 2>/dev/null || cut -f3 "$HOSTS/$2/data/mariadb_backup_binlog_info")
  sql "$2" "RESET MASTER; SET GLOBAL gtid_slave_pos='$at'"
  follow "$2"
  ip -n "em-$2" addr add "$NET.$REPLICA_AT/24" dev eth0 && on "$2" arping -q -U -c 2 -I eth0 "$NET.$REPLICA_AT"
}
has_taken() { # replica: whether it has done all that it was sent
  local sent; sent=$(mariadb --no-defaults -S "$HOSTS/$1/sock" -e 'SHOW SLAVE STATUS\G' | awk '/ Gtid_IO_Pos:/{print $2}')
  [ "$sent" = "$(sql "$1" 'SELECT @@gtid_slave_pos')" ]
}
# The written steps (docs/running.md, “When the primary is lost”): nobody writes to the old one, the replica takes what it has been sent, and
# the address comes to it.
promote() { # old, new
  kill_host "$1"
  ip -n "em-$1" addr del "$NET.$PRIMARY_AT/24" dev eth0 2>/dev/null
  sql "$2" 'STOP SLAVE IO_THREAD'
  wait_for "All that $2 was sent" has_taken "$2"
  sql "$2" 'STOP SLAVE; RESET SLAVE ALL; SET GLOBAL read_only=OFF'
  ip -n "em-$2" addr del "$NET.$REPLICA_AT/24" dev eth0
  ip -n "em-$2" addr add "$NET.$PRIMARY_AT/24" dev eth0
  on "$2" arping -q -U -c 2 -I eth0 "$NET.$PRIMARY_AT"
}

redis_up() {
  mkdir -p "$HOSTS/redis/data"
  sed -e "s/PASSWORD-OF-REDIS/$PASSWORD/" "$ROOT/deploy/redis/embrel.conf" >"$HOSTS/redis/redis.conf"
  service redis redis redis-server "$HOSTS/redis/redis.conf" --dir "$HOSTS/redis/data"
  wait_for Redis answers "$NET.31" 6379
}
store_up() {
  [ -d "$HOSTS/store/node_modules/s3rver" ] || (cd "$HOSTS/store" && npm install --no-save --no-audit --no-fund --loglevel=error s3rver@3.7.1 >/dev/null) \
    || fail "The stand-in for a store could not be installed."
  # Slashes in the name of what is copied may come encoded; the stand-in does not know that.
  sed -i 's/decodeURI(ctx/decodeURIComponent(ctx/' "$HOSTS/store/node_modules/s3rver/lib/controllers/object.js"
  service store store node "$HOSTS/store/node_modules/s3rver/bin/s3rver.js" -d "$HOSTS/store/data" -a 0.0.0.0 -p 9000 --configure-bucket embrel
  wait_for "The store" answers "$NET.41" 9000
}
app_up() { # host, [with its files as they are]
  local host="$1" set
  mapfile -t set < <(settings "$host")
  sed -e 's/^user = .*/user = www-data/; s/^group = .*/group = www-data/; s/^listen.allowed_clients.*//' \
    -e "s/^pm.max_children = .*/pm.max_children = ${CLUSTER_CHILDREN:-6}/" \
    "$ROOT/deploy/php-fpm/embrel.conf" >"$HOSTS/$host/pool.conf"
  printf '[global]\nerror_log = /dev/stderr\ndaemonize = no\ninclude = /srv/embrel/pool.conf\n' >"$HOSTS/$host/fpm.conf"
  service "$host" php env "${set[@]}" bash -c 'cd /srv/embrel/current && exec php-fpm8.2 -d sys_temp_dir=/srv/embrel/storage/tmp -y /srv/embrel/fpm.conf -F'
  local as=(bash -c "cd /srv/embrel/current && $AS" as "${#set[@]}" "${set[@]}") work=(queue:work --sleep=0.3 --tries=1 --max-time=3600 --quiet)
  service "$host" worker1 "${as[@]}" "${work[@]}"
  service "$host" worker2 "${as[@]}" "${work[@]}"
  service "$host" schedule "${as[@]}" schedule:work --quiet
  service "$host" stream "${as[@]}" embrel:stream
  # The made-up pages that stand in for the web, for the tests that look addresses up.
  service "$host" stand-in bash -c 'cd /srv/embrel/current && exec php -S 127.0.0.1:8079 stand-in/serve.php'
  wait_for "PHP on $host" answers "$NET.${AT[$host]}" 9000
  wait_for "The stream on $host" answers "$NET.${AT[$host]}" 8081
}
front_up() {
  local folder="$HOSTS/front"
  mkdir -p "$folder/current" "$folder/assets" "$folder/tls" "$folder/tmp"
  rsync -a --delete "$HOSTS/release/public" "$folder/current/"
  "$HOSTS/release/bin/deploy" assets "$folder/assets"
  [ -s "$folder/tls/embrel.crt" ] || openssl req -x509 -newkey rsa:2048 -nodes -days 30 -subj "/CN=$NAME" -addext "subjectAltName=DNS:$NAME" \
    -keyout "$folder/tls/embrel.key" -out "$folder/tls/embrel.crt" 2>/dev/null
  local file
  for file in embrel embrel-headers embrel-hosts embrel-application; do
    sed -e "s/10\.0\.0\./$NET./g" -e 's|/etc/nginx/tls|/srv/embrel/tls|; s|/etc/nginx/embrel|/srv/embrel/embrel|' \
      -e "s|/var/log/nginx|$HOSTS/log|" "$ROOT/deploy/nginx/$file.conf" >"$folder/$file.conf"
  done
  cat >"$folder/nginx.conf" <<CONF
user www-data; worker_processes 1; pid /srv/embrel/pid; error_log $HOSTS/log/front-nginx.log warn; daemon off;
events { worker_connections 4096; }
http { include /etc/nginx/mime.types; default_type application/octet-stream; sendfile on; keepalive_timeout 65;
  client_body_temp_path /srv/embrel/tmp/body; proxy_temp_path /srv/embrel/tmp/proxy; fastcgi_temp_path /srv/embrel/tmp/fastcgi;
  uwsgi_temp_path /srv/embrel/tmp/u; scgi_temp_path /srv/embrel/tmp/s;
  include /srv/embrel/embrel.conf; }
CONF
  chmod 755 "$HOSTS" "$folder"; chown www-data "$folder/tmp"
  service front nginx nginx -c /srv/embrel/nginx.conf -e "$HOSTS/log/front-nginx.log"
  wait_for nginx answers "$NET.10" 443
}

# Everything, from empty folders, in the order of docs/running.md.
hosts_up() {
  [ "$(id -u)" = 0 ] || fail "Network namespaces need root."
  need_packages $CLUSTER_PACKAGES
  hosts_down
  rm -rf "$HOSTS/log"; mkdir -p "$HOSTS/log" "$HOSTS/run" /srv/embrel
  say "Hosts: the release"; build_release
  [ -s "$HOSTS/key" ] || (umask 077; printf 'base64:%s' "$(head -c 32 /dev/urandom | base64)" >"$HOSTS/key")
  say "Hosts: the network"; network_up
  say "Hosts: database and replica"
  rm -rf "$HOSTS"/db1/data "$HOSTS"/db2/data "$HOSTS"/redis/data "$HOSTS"/store/data
  database_up db1 1
  accounts_on db1
  copy_primary db1 db2 2
  say "Hosts: Redis and the store"; redis_up; store_up
  say "Hosts: two of the application"
  local host
  for host in app1 app2; do put_release "$host"; write_env "$host"; done
  with_settings app1
  on app1 env "${SET[@]}" bash /srv/embrel/current/bin/deploy migrate >"$HOSTS/log/migrate.log" 2>&1 \
    || { tail -5 "$HOSTS/log/migrate.log"; fail "The tables could not be made."; }
  for host in app1 app2; do app_up "$host"; done
  say "Hosts: nginx"; front_up
  wait_for "Embrel" on people curl -skf "https://$NAME/up"
  for host in app1 app2; do wait_for "$host, with all its parts," on people curl -sf "http://$NET.10:8090/$host/ready"; done
}
hosts_down() {
  local host run
  for host in "${!AT[@]}" hub; do
    [ -e "/var/run/netns/em-$host" ] || continue
    kill_host "$host"
  done
  rm -rf "$HOSTS/run"
  for host in app1 app2; do mountpoint -q "$HOSTS/$host/storage" && umount -l "$HOSTS/$host/storage"; done
  for host in "${!AT[@]}" hub; do ip netns del "em-$host" 2>/dev/null; rm -rf "/etc/netns/em-$host"; done
  true
}
