# What can happen to the hosts of hosts.sh, sourced after it: each takes something away in the middle of work, and gives it back as an operator
# or systemd would.

PRIMARY=db1; REPLICA=db2
happens() { printf '%s %2d %s\n' "$(date +%T)" "$1" "$2"; }

host_gone() { kill_host "$1"; sleep 8; app_up "$1"; }
nginx_gone() { kill_service front nginx; }
worker_gone() { kill_service "$1" 'queue:work'; }
stream_gone() { kill_service "$1" 'embrel:stream'; }
redis_gone() { kill_service redis redis-server; }
replica_gone() { kill_service "$REPLICA" mariadbd; }
primary_gone() {
  local old="$PRIMARY" number=1
  promote "$old" "$REPLICA"
  PRIMARY="$REPLICA"; REPLICA="$old"
  [ "$REPLICA" = db2 ] && number=2
  copy_primary "$PRIMARY" "$REPLICA" "$number"
}
network_cut() { cut_off "$1" "$2"; sleep 10; join_again "$1" "$2"; }
disk_full() { # its disk takes nothing for ten seconds
  head -c 1G /dev/zero >"$HOSTS/$1/storage/full" 2>/dev/null; sleep 10; rm -f "$HOSTS/$1/storage/full"
}

# Sixty, in turn: each kind five times, on one host and the other, and between other two.
CHAOS_PAIRS=("app1 PRIMARY" "app2 redis" "front app1" "app2 store" "PRIMARY REPLICA" "app1 redis" "front app2" "app2 PRIMARY" "app1 REPLICA" "app1 store")
chaos_one() { # number from 0
  local n="$1" host=$(( $1 / 12 % 2 + 1 )) pair
  case $((n % 12)) in
    0) happens "$n" "app$host is killed, for 8 s"; host_gone "app$host" ;;
    1) happens "$n" "nginx is killed"; nginx_gone ;;
    2) happens "$n" "the workers of app$host are killed"; worker_gone "app$host" ;;
    3) happens "$n" "the stream of app$host is killed"; stream_gone "app$host" ;;
    4) happens "$n" "Redis is killed"; redis_gone ;;
    5) happens "$n" "the replica ($REPLICA) is killed"; replica_gone ;;
    6) happens "$n" "the primary ($PRIMARY) is killed, $REPLICA promoted"; primary_gone ;;
    7|9) pair="${CHAOS_PAIRS[$(( (n / 12 * 2 + (n % 12 == 9)) % 10 ))]}"; pair="${pair/PRIMARY/$PRIMARY}"; pair="${pair/REPLICA/$REPLICA}"
       happens "$n" "nothing passes between ${pair/ / and }, for 10 s"; network_cut $pair ;;
    8) happens "$n" "the disk of app$host is full, for 10 s"; disk_full "app$host" ;;
    10) happens "$n" "app$((3 - host)) is killed, for 8 s"; host_gone "app$((3 - host))" ;;
    11) happens "$n" "the workers and streams of both are killed"; for h in app1 app2; do worker_gone "$h"; stream_gone "$h"; done ;;
  esac
}
