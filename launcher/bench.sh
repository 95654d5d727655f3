# shellcheck shell=bash
# Measures: the models alone, and the application on databases of its own.

build_bench() {
  ensure_tools java maven
  mkdir -p "$STATE"
  with_progress "building the benches" "$BUILD_LOG" maven -f "$ROOT/pom.xml" -pl bench -am package -DskipTests -Dquick ||
    fail "the build failed; its log is $BUILD_LOG"
}

# Runs a program of the benches: $1 its class.
bench_program() {
  local class=$1
  shift
  java -Xmx1g -cp "$ROOT/bench/target/classes:$ROOT/bench/target/lib/*" "org.stratopneum.bench.$class" "$@"
}

bench_models() { bench_program ModelBench "$ROOT/bench/recorded.properties" "$@"; }

# An application on a database of its own, gone with the launcher: sets config, ports, process and owner's address.
bench_application() {
  bench_config=$(test_database start durable "${1-}")
  bench_port=$(free_port)
  bench_watch=$(free_port)
  bench_pid=''
  trap 'kill $bench_pid 2>/dev/null; test_database stop "$bench_config"' EXIT
  migrate "$bench_config"
  train_application
  bench_start
  owner_address "$bench_config"
}

bench_start() {
  serving
  "${serving[@]}" --server.port="$bench_port" --stratopneum.watch.port="$bench_watch" "${BESIDE_OTHERS[@]}" \
    --spring.config.additional-location="file:$(application_settings "$bench_config")" \
    >"$STATE/bench.log" 2>&1 </dev/null &
  bench_pid=$!
  until application_answers "$bench_port"; do
    kill -0 "$bench_pid" 2>/dev/null || fail "the application ended; its log is $STATE/bench.log"
    sleep 0.5
  done
}

# What the application of a bench has of this machine's memory.
bench_memory() { awk '/^VmRSS/ { printf "%.0f MB resident\n", $2 / 1024 }' "/proc/$bench_pid/status"; }

# Sets how psql signs in as the owner of the tables of the database with settings $1.
owner_address() {
  bench_owner=$(database_address "$1")
  PGPASSWORD=$(setting password "$(owner_config "$1")")
  export PGPASSWORD
}

bench_large_garage() {
  bench_application
  "$(postgres_bin)/psql" -q -v ON_ERROR_STOP=1 -f "$ROOT/bench/large-garage.sql" "$bench_owner" ||
    fail "the large garage could not be made"
  # making the demo's year is not what is measured
  kill "$bench_pid"
  wait "$bench_pid" || true
  bench_start
  say "A rider with 30 wheels and 5 years of log, $1 requests a second for $2 s, after some to warm up:"
  local met=0
  bench_program web.WebBench "http://127.0.0.1:$bench_port" "$1" "$2" "http://127.0.0.1:$bench_watch" || met=1
  bench_memory
  return $met
}

bench_exchange() {
  bench_application
  bench_program web.ExchangeBench "http://127.0.0.1:$bench_port" "$(postgres_bin)/psql" "$bench_owner" "${1-100000}"
}

# What a database as a server for many has it says of its memory.
FOR_MANY='shared_buffers = 2GB
max_wal_size = 8GB
maintenance_work_mem = 512MB'

# Sets who may copy rows unchecked, for the program that follows.
bench_superuser() {
  PGPASSWORD=$(as_postgres cat "$(dirname "$bench_config")/database/superuser")
  bench_superuser=${bench_owner/stratopneum_owner@/postgres@}
}

bench_scale() {
  bench_application "$FOR_MANY"
  bench_superuser
  bench_program web.ScaleBench "http://127.0.0.1:$bench_port" "$(postgres_bin)/psql" "$bench_superuser" \
    "$ROOT/bench/many-riders.sql" "$bench_pid" "$@"
}

bench_partitions() {
  bench_application "$FOR_MANY"
  bench_superuser
  bench_program web.PartitionTrial "http://127.0.0.1:$bench_port" "$(postgres_bin)/psql" "$bench_superuser" \
    "$ROOT/bench/many-riders.sql" "$1"
}

# A copy of the database with settings $1 that follows it; sets replica_home and replica_port.
bench_replica() {
  local home
  home=$(dirname "$1")/database
  replica_home=$(dirname "$1")/replica
  replica_port=$(free_port)
  database_folder "$replica_home"
  as_postgres env "PGPASSWORD=$(as_postgres cat "$home/superuser")" "$(postgres_bin)/pg_basebackup" -h 127.0.0.1 \
    -p "$(database_port "$home")" -U postgres -D "$replica_home/data" --write-recovery-conf --checkpoint=fast
  as_postgres tee -a "$replica_home/data/postgresql.conf" >/dev/null <<CONF
port = $replica_port
hot_standby_feedback = on
CONF
  database_up "$replica_home"
}

bench_instances() {
  local nginx config status=0 control port=() i
  PATH=$PATH:/usr/sbin
  command -v nginx >/dev/null || fail "nginx is missing; on Debian: apt-get install nginx-light"
  config=$(test_database start durable)
  nginx=$(mktemp -d /tmp/stratopneum-nginx.XXXXXX)
  chmod 0711 "$nginx"
  bench_replica "$config"
  # shellcheck disable=SC2064 # the names are known now and gone then
  trap "nginx -p '$nginx' -c nginx.conf -s stop 2>/dev/null || true
    rm -rf '$nginx'
    as_postgres '$(postgres_bin)/pg_ctl' -D '$replica_home/data' -m immediate -s stop >/dev/null 2>&1 || true
    test_database stop '$config'" EXIT
  migrate "$config"
  train_application
  for i in 0 1 2 3 4; do
    port[i]=$(free_port)
  done
  nginx_for_bench "$nginx" "${port[@]:0:3}"
  bench_config=$config
  owner_address "$config"
  bench_superuser
  serving
  : >"$STATE/bench.log"
  control="$(declare -f as_postgres runs_as_root); as_postgres $(postgres_bin)/pg_ctl -D $replica_home/data -s -w"
  bench_program web.InstancesBench "http://127.0.0.1:${port[0]}" "$(postgres_bin)/psql" "$bench_superuser" \
    "$ROOT/bench/many-riders.sql" "$STATE/bench.log" "${port[1]}" "${port[3]}" "${port[2]}" "${port[4]}" \
    "$control -m fast stop" "$control -l $replica_home/$DB_LOG_NAME start >/dev/null" \
    "${serving[@]}" --server.forward-headers-strategy=native --stratopneum.mail.every=PT5S \
    "${BESIDE_OTHERS[@]}" \
    --stratopneum.replica="jdbc:postgresql://127.0.0.1:$replica_port/stratopneum" \
    --spring.config.additional-location="file:$(application_settings "$config")" || status=1
  grep -hv notice "$nginx/error.log" | cut -c1-160 | tail -n 20 >>"$STATE/bench.log"
  return $status
}

# nginx as a server has it (hosting/nginx), in folder $1 at port $2 without HTTPS, before instances at ports $3 and $4.
nginx_for_bench() {
  local i
  cp "$ROOT/hosting/nginx/pass.conf" "$1"
  for i in "$3" "$4"; do
    sed "/^#/d; s/8780/$i/" "$ROOT/hosting/nginx/instances.conf" >>"$1/instances.conf"
  done
  cat >"$1/nginx.conf" <<CONF
pid nginx.pid;
error_log error.log;
events {}
http {
  access_log off;
  client_body_temp_path body;
  proxy_temp_path proxy;
  fastcgi_temp_path fastcgi;
  uwsgi_temp_path uwsgi;
  scgi_temp_path scgi;
$(sed -n '/^upstream/,/^}/p; /^map/,/^}/p' "$ROOT/hosting/nginx/site.conf" | sed "s#/etc/nginx/stratopneum/##")
  server {
    listen 127.0.0.1:$2;
    location / {
      include pass.conf;
    }
  }
}
CONF
  nginx -p "$1" -c nginx.conf
}
