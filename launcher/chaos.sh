# shellcheck shell=bash
# What is kept while things are killed, full or crowded: bench/ChaosBench.java on databases of its own.

# One part of it: $1 what, $2 how much, $3 the folder under which the database is made, $4 further lines of its settings.
chaos() {
  local what=$1 amount=$2 folder=$3 more=${4-} config port gauge mail status=0
  config=$(TEST_DATABASES=$folder test_database start durable "$more")
  # shellcheck disable=SC2064 # the name is known now and gone then
  trap "test_database stop '$config'" EXIT
  migrate "$config"
  port=$(free_port)
  gauge=$(free_port)
  mail=$(free_port)
  owner_address "$config"
  java "$ROOT/bench/ChaosBench.java" "$what" "$ROOT/stratopneum" "$config" "$(postgres_bin)/psql" "$bench_owner" "$port" \
    "$amount" "$STATE/bench.log" \
    "${UNPRIVILEGED[@]}" java "${SERVING[@]}" -jar "$APP/stratopneum.jar" --server.port="$port" \
    --stratopneum.gauge.port="$gauge" --stratopneum.mail.simulated-port="$mail" \
    --spring.config.additional-location="file:$(application_settings "$config")" || status=$?
  test_database stop "$config"
  trap - EXIT
  return "$status"
}

bench_chaos() {
  local kills=${1-20} minutes=${2-5} status=0
  chaos kills "$kills" /tmp || status=1
  chaos_full_disk || status=1
  chaos crowd "$minutes" /tmp || status=1
  [ "$status" = 0 ] || fail "something was lost, or answered otherwise than it should be; the log is $STATE/bench.log"
}

# A small disk of its own needs the right to mount one.
chaos_full_disk() {
  local disk status=0
  disk=$(mktemp -d /tmp/stratopneum-disk.XXXXXX)
  if ! mount -t tmpfs -o size=200m,mode=0711 tmpfs "$disk" 2>/dev/null; then
    rmdir "$disk"
    say "A disk that is full: left out, a small one cannot be mounted here"
    return
  fi
  chaos disk 1 "$disk" 'max_wal_size = 32MB' || status=$?
  umount -l "$disk"
  rmdir "$disk"
  return "$status"
}
