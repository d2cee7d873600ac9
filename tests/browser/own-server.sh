#!/usr/bin/env bash
# A server and a database of their own, for tests that stop and kill them. Obeys a word on each line
# of its input (stop-server, start-server, kill-database, start-database) and answers each with “done”.
set -u
ROOT=$(cd "$(dirname "$0")/../.." && pwd)
. "$ROOT/bin/lib.sh"
cd "$ROOT"
unset DB_HOST DB_PORT DB_DATABASE DB_USERNAME DB_PASSWORD DB_SOCKET
# It has no stream of news: its pages ask.
export EMBREL_STREAM_URL=
FOLDER="$ROOT/storage/mariadb-outage"
rm -rf "$FOLDER"
database() { unset DB_HOST; start_database "$FOLDER" embrel_outage >&2; }
server() {
  setsid php "${PHP_SETTINGS[@]}" -S "127.0.0.1:$PORT" bin/serve.php >"$ROOT/storage/logs/outage-server.log" 2>&1 </dev/null &
  SERVER_PID=$!
  until listens "$PORT"; do sleep 0.1; done
}
stop_server() { kill -- "-$SERVER_PID" 2>/dev/null; wait "$SERVER_PID" 2>/dev/null; while listens "$PORT"; do sleep 0.1; done; }
trap 'stop_server; stop_database; rm -rf "$FOLDER"' EXIT
database
PORT=$(free_port)
export APP_ENV=local APP_KEY PHP_CLI_SERVER_WORKERS=4 EMBREL_SIGN_INS_A_MINUTE=1000 APP_URL="http://127.0.0.1:$PORT"
APP_KEY=$(app_key)
php artisan migrate:fresh --force --quiet >&2
server
echo "http://127.0.0.1:$PORT"
while read -r word; do
  case "$word" in
    stop-server) stop_server ;;
    start-server) server ;;
    kill-database) kill -9 "$DATABASE_PID"; wait "$DATABASE_PID" 2>/dev/null ;;
    # It comes back on another port, of which the server must be told.
    start-database) database; stop_server; server ;;
  esac
  echo done
done
