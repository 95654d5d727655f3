#!/bin/bash
# The database's container: makes a cluster with the roles of the settings where there is none, and serves it.
set -euo pipefail
data=/var/lib/postgresql/data
bin=$(echo /usr/lib/postgresql/*/bin)

if [ ! -f "$data/PG_VERSION" ]; then
  # a half-made one from a start that was broken off holds nothing
  rm -rf "$data" "$data.new"
  "$bin/initdb" -D "$data.new" -U postgres -A scram-sha-256 --auth-local=peer -E UTF8 --locale=C.UTF-8 >/dev/null
  echo "host all all all scram-sha-256" >>"$data.new/pg_hba.conf"
  cat >>"$data.new/postgresql.conf" <<'CONF'
listen_addresses = '*'
unix_socket_directories = '/tmp'
timezone = 'UTC'
shared_buffers = 256MB
CONF
  "$bin/pg_ctl" -D "$data.new" -o "-c listen_addresses=''" -w -s start
  "$bin/psql" -q -h /tmp -U postgres -v ON_ERROR_STOP=1 -f /etc/stratopneum/roles.sql postgres
  "$bin/pg_ctl" -D "$data.new" -w -s stop
  mv "$data.new" "$data"
fi
exec "$bin/postgres" -D "$data"
