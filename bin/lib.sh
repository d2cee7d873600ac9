# What bin/start and bin/test share: installing what is missing, building, and a MariaDB of our own.
# Sourced with $ROOT set; every function says what it does.

# Every program here reads and writes the same signs, whatever the machine is set to.
export LC_ALL=C.UTF-8

say() { printf '\033[1m%s\033[0m\n' "$*"; }
fail() { printf '\033[31m%s\033[0m\n' "$*" >&2; exit 1; }

PACKAGES="php8.2-cli php8.2-mysql php8.2-zip php8.2-gd php8.2-curl php8.2-mbstring php8.2-intl php8.2-xml php-league-config mariadb-server unzip libharfbuzz-bin libfribidi-bin fonts-noto-core fonts-noto-cjk"

# Installs the Debian packages given that are missing; without the rights, prints the command and stops.
need_packages() {
  local missing="" name
  for name in "$@"; do
    dpkg-query -W -f '${Status}' "$name" 2>/dev/null | grep -q 'ok installed' || missing="$missing $name"
  done
  [ -z "$missing" ] && return 0
  local command="apt-get update && apt-get install -y --no-install-recommends$missing"
  if [ "$(id -u)" -ne 0 ]; then
    fail "Some Debian packages are missing. Run this, then start again:

  sudo sh -c '$command'
"
  fi
  say "Installing Debian packages:$missing"
  apt-get update -qq || fail "The list of Debian packages could not be fetched. Run: apt-get update"
  DEBIAN_FRONTEND=noninteractive RUNLEVEL=1 apt-get install -y -qq --no-install-recommends $missing >"$ROOT/storage/logs/apt.log" 2>&1 \
    || { tail -n 20 "$ROOT/storage/logs/apt.log" >&2; fail "Debian packages could not be installed. Run: $command"; }
}

need_tools() {
  command -v composer >/dev/null || fail "Composer is missing. Install it with: apt-get install -y composer"
  command -v node >/dev/null || fail "Node is missing. Install Node 20 or newer."
  [ "$(node -p 'parseInt(process.versions.node)')" -ge 20 ] || fail "Node 20 or newer is needed; this is $(node --version)."
}

# Runs a command when one of its inputs is newer than what it made last.
when_changed() { # stamp, inputs..., --, command...
  local stamp="$ROOT/storage/framework/$1.stamp" inputs=() sum; shift
  while [ "$1" != "--" ]; do inputs+=("$1"); shift; done; shift
  sum=$(cd "$ROOT" && find "${inputs[@]}" -type f -print0 2>/dev/null | sort -z | xargs -0 sha256sum | sha256sum)
  [ -f "$stamp" ] && [ "$(cat "$stamp")" = "$sum" ] && return 1
  "$@" || return 2
  printf '%s' "$sum" >"$stamp"
}

install_php() { (cd "$ROOT" && COMPOSER_ALLOW_SUPERUSER=1 composer install --no-interaction --no-progress --quiet) || fail "Composer could not install the PHP packages. Run: composer install"; }
# Not `npm ci`: that wants the packages for every other system too, which not every registry has.
install_js() { (cd "$ROOT" && PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD=1 npm install --no-save --no-audit --no-fund --loglevel=error >/dev/null) || fail "npm could not install its packages. Run: npm install"; }
build_assets() {
  (cd "$ROOT" && node bin/hyphens.mjs && npx vite build --logLevel error && npx vite build --config vite.alone.config.js --logLevel error) \
    || fail "The styles and scripts could not be built. Run: npm run build"
}

install_and_build() {
  [ -d "$ROOT/vendor" ] || rm -f "$ROOT/storage/framework/composer.stamp"
  [ -d "$ROOT/node_modules" ] || rm -f "$ROOT/storage/framework/npm.stamp"
  [ -f "$ROOT/public/build/manifest.json" ] || rm -f "$ROOT/storage/framework/assets.stamp"
  say "PHP packages"; when_changed composer composer.json compat -- install_php
  say "JavaScript packages"; when_changed npm package.json package-lock.json -- install_js
  say "Styles and scripts"; when_changed assets resources/{css,fonts,icons,js,views} resources/keys.json bin/hyphens.mjs vite.config.js vite.alone.config.js package.json -- build_assets
  return 0
}

free_port() { php -r '$s = stream_socket_server("tcp://127.0.0.1:0"); echo substr(strrchr(stream_socket_get_name($s, false), ":"), 1);'; }
listens() { php -r 'exit(@fsockopen("127.0.0.1", (int) $argv[1], $e, $m, 0.3) ? 0 : 1);' "$1"; }

# Starts MariaDB with its data in a folder of its own, on loopback; sets DB_HOST, DB_PORT and the rest.
# With DB_HOST set already, that server is used instead.
start_database() { # folder, database
  export DB_DATABASE="${DB_DATABASE:-$2}"
  if [ -n "${DB_HOST:-}" ]; then say "Database: the server at $DB_HOST"; return 0; fi
  local folder="$1" user socket waited=0
  user=$(id -un); mkdir -p "$folder"
  socket="$folder/mariadb.sock"
  # A path to a socket may have some 100 characters only.
  [ ${#socket} -gt 100 ] && socket="$(mktemp -d)/mariadb.sock"
  if [ ! -d "$folder/data/mysql" ]; then
    say "Database: making its first files in ${folder#"$ROOT"/}"
    rm -rf "$folder/data"
    mariadb-install-db --no-defaults --user="$user" --datadir="$folder/data" --skip-test-db --auth-root-authentication-method=socket --auth-root-socket-user="$user" >"$folder/install.log" 2>&1 \
      || { tail -n 5 "$folder/install.log" >&2; fail "The database could not be set up; see ${folder#"$ROOT"/}/install.log"; }
  fi
  [ -s "$folder/password" ] || (umask 077; head -c 24 /dev/urandom | base64 | tr -d '/+=' >"$folder/password")
  stop_stale_database "$folder"
  export DB_HOST=127.0.0.1 DB_USERNAME=embrel DB_PASSWORD DB_PORT
  DB_PASSWORD=$(cat "$folder/password"); DB_PORT=$(free_port)
  (umask 077; cat >"$folder/init.sql" <<SQL
CREATE USER IF NOT EXISTS 'embrel'@'127.0.0.1';
ALTER USER 'embrel'@'127.0.0.1' IDENTIFIED BY '$DB_PASSWORD';
GRANT ALL ON \`embrel%\`.* TO 'embrel'@'127.0.0.1';
CREATE DATABASE IF NOT EXISTS \`$DB_DATABASE\` CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci;
SQL
  )
  say "Database: starting MariaDB on 127.0.0.1:$DB_PORT"
  setsid mariadbd --no-defaults --user="$user" --datadir="$folder/data" --socket="$socket" --bind-address=127.0.0.1 --port="$DB_PORT" \
    --pid-file="$folder/mariadb.pid" --init-file="$folder/init.sql" --skip-name-resolve --character-set-server=utf8mb4 --max-allowed-packet=128M \
    --innodb-buffer-pool-size=256M ${DB_OPTIONS:-} >"$folder/mariadb.log" 2>&1 </dev/null &
  DATABASE_PID=$!
  until listens "$DB_PORT"; do
    kill -0 "$DATABASE_PID" 2>/dev/null || { tail -n 8 "$folder/mariadb.log" >&2; fail "The database did not start; see ${folder#"$ROOT"/}/mariadb.log"; }
    sleep 0.2; waited=$((waited + 1))
    [ $waited -gt 300 ] && fail "The database did not answer within a minute; see ${folder#"$ROOT"/}/mariadb.log"
  done
  printf '%s' "$DB_PORT" >"$folder/port"
  # The init file is carried out just before the port is opened to sign-ins.
  sleep 0.2
}

# One that an earlier run left behind, when everything else of it was killed.
stop_stale_database() {
  local pid; pid=$(cat "$1/mariadb.pid" 2>/dev/null) || return 0
  if [ -n "$pid" ] && tr '\0' ' ' <"/proc/$pid/cmdline" 2>/dev/null | grep -qF -- "--datadir=$1/data"; then
    say "Database: stopping one that an earlier start left running"
    kill "$pid"; for _ in $(seq 100); do kill -0 "$pid" 2>/dev/null || break; sleep 0.1; done
  fi
  rm -f "$1/mariadb.pid"
}

stop_database() {
  [ -n "${DATABASE_PID:-}" ] && kill "$DATABASE_PID" 2>/dev/null && wait "$DATABASE_PID" 2>/dev/null
  DATABASE_PID=""
}

# Starts two workers of the queue, which do long work, and what clears away on time; sets WORKER_PID to the group of all.
# Each is begun anew where it ends.
start_worker() {
  setsid bash -c '
    again() { while true; do php "$@"; sleep 0.5; done; }
    for _ in 1 2; do again "$@" -d opcache.enable_cli=0 artisan queue:work --sleep=0.3 --tries=1 --max-time=3600 --quiet & done
    again "$@" -d opcache.enable_cli=0 artisan schedule:work --quiet' worker "${PHP_SETTINGS[@]}" >>"$ROOT/storage/logs/worker.log" 2>&1 </dev/null 9>&- &
  WORKER_PID=$!
}

# Starts the process that tells open pages at once what others change, begun anew where it ends; sets STREAM_PID to its group.
# Its address is set before the application starts (choose_stream), which tells it to the pages.
choose_stream() { export EMBREL_STREAM_LISTEN="${EMBREL_STREAM_LISTEN:-127.0.0.1:$(free_port)}"; export EMBREL_STREAM_URL="${EMBREL_STREAM_URL-http://$EMBREL_STREAM_LISTEN}"; }
start_stream() {
  setsid bash -c 'while true; do php "$@" -d opcache.enable_cli=0 artisan embrel:stream; sleep 0.5; done' stream "${PHP_SETTINGS[@]}" >>"$ROOT/storage/logs/stream.log" 2>&1 </dev/null 9>&- &
  STREAM_PID=$!
}

app_key() { # a key for sessions and cookies, made once
  local file="$ROOT/storage/app/private/app.key"
  [ -s "$file" ] || (umask 077; printf 'base64:%s' "$(head -c 32 /dev/urandom | base64)" >"$file")
  cat "$file"
}

# What PHP must allow for the product's limits: an intake of 64 MB, and no more.
PHP_SETTINGS=(-d upload_max_filesize=100M -d post_max_size=102M -d memory_limit=512M -d max_input_vars=5000 -d opcache.enable=1 -d opcache.enable_cli=1 -d opcache.jit=function -d opcache.jit_buffer_size=64M -d opcache.validate_timestamps=1 -d opcache.revalidate_freq=1 -d realpath_cache_ttl=300 -d zend.exception_ignore_args=1 -d display_errors=0 -d expose_php=0)
