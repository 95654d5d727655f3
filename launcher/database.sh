# shellcheck shell=bash
# A private PostgreSQL: loopback only, a port and passwords of its own. As root it runs through the postgres user.

DB_CONFIG=$STATE/application.properties
DB_LOG_NAME=postgresql.log
# which build and which database the tables were brought up to date for
MIGRATED=$STATE/migrated

# The postgres user must be able to walk through to its own folder, whatever the umask was.
open_state_folder() { ! runs_as_root || chmod a+x "$STATE"; }

runs_as_root() { [ "$(id -u)" = 0 ]; }

as_postgres() {
  if runs_as_root; then
    (cd / && runuser -u postgres -- "$@")
  else
    "$@"
  fi
}

# Where the data lies: inside the project where the database user can get there, else under /var/tmp.
database_home() {
  if runs_as_root && ! as_postgres test -x "$ROOT"; then
    printf '/var/tmp/stratopneum-%s' "$(printf '%s' "$ROOT" | sha256sum | cut -c1-16)"
  else
    printf '%s/database' "$STATE"
  fi
}

secret() { head -c 24 /dev/urandom | od -An -tx1 | tr -d ' \n'; }

# Makes an empty folder that only the database user may enter; refuses one that somebody else has put there.
database_folder() {
  local home=$1 owner
  owner=$(runs_as_root && echo postgres || id -un)
  if [ -e "$home" ] || [ -L "$home" ]; then
    [ -d "$home" ] && [ ! -L "$home" ] && [ "$(stat -c %U "$home")" = "$owner" ] ||
      fail "$home exists and does not belong to $owner; move it away"
  else
    mkdir -m 0700 "$home"
    runs_as_root && chown postgres: "$home"
  fi
  chmod 0700 "$home"
}

# For tests: nothing of it has to survive a power cut.
FORGETFUL='fsync = off
synchronous_commit = off
full_page_writes = off'

# Makes a cluster in $1 with two roles and one database, and writes the application's settings to $2; $3 are further
# lines of the cluster's own settings.
database_make() {
  local home=$1 config=$2 more=${3-} port superuser owner_password app_password pwfile
  port=$(free_port)
  superuser=$(secret)
  owner_password=$(secret)
  app_password=$(secret)
  database_folder "$home"
  pwfile=$home/superuser
  (umask 077 && printf '%s\n' "$superuser" >"$pwfile")
  runs_as_root && chown postgres: "$pwfile"
  as_postgres "$(postgres_bin)/initdb" -D "$home/data" -U postgres -A scram-sha-256 --pwfile="$pwfile" \
    -E UTF8 --locale=C.UTF-8 >/dev/null || fail "the database could not be made in $home"
  as_postgres tee -a "$home/data/postgresql.conf" >/dev/null <<CONF
listen_addresses = '127.0.0.1'
unix_socket_directories = ''
port = $port
max_connections = 40
shared_buffers = 64MB
timezone = 'UTC'
$more
CONF
  database_up "$home"
  roles_sql "$owner_password" "$app_password" |
    PGPASSWORD=$superuser "$(postgres_bin)/psql" -q -h 127.0.0.1 -p "$port" -U postgres -v ON_ERROR_STOP=1 postgres
  settings_write "$config" "127.0.0.1:$port" "$owner_password" "$app_password"
}

# What a database needs before its tables: one role owns them, another one, which owns nothing, is the application's.
roles_sql() {
  cat <<SQL
create role stratopneum_owner login password '$1';
create role stratopneum_app login password '$2';
create database stratopneum owner stratopneum_owner encoding 'UTF8' locale 'C.UTF-8' template template0;
revoke all on database stratopneum from public;
grant connect on database stratopneum to stratopneum_app;
SQL
}

# Writes the settings of the application to $1, and those of the owner beside it, for the database at $2.
settings_write() {
  (
    umask 077
    cat >"$1" <<CONF
spring.datasource.url=jdbc:postgresql://$2/stratopneum
spring.datasource.username=stratopneum_app
spring.datasource.password=$4
CONF
    cat >"$(owner_config "$1")" <<CONF
url=jdbc:postgresql://$2/stratopneum
user=stratopneum_owner
password=$3
CONF
  )
}

# The owner of the tables signs in from a file of its own, which the serving process never reads.
owner_config() { printf '%s/owner.properties' "$(dirname "$1")"; }

# Settings of before had both in one file.
split_settings() {
  local config=$1
  grep -q '^spring.flyway.' "$config" || return 0
  (umask 077 && sed -n 's/^spring\.flyway\.//p' "$config" >"$(owner_config "$config")")
  sed -i '/^spring.flyway./d' "$config"
}

database_port() { sed -n "s/^port = \([0-9]*\).*/\1/p" "$1/data/postgresql.conf" | tail -n 1; }

# pg_ctl's word is late after a hard kill, so the server itself is asked.
database_answers() {
  [ -n "$(as_postgres sh -c "[ -f '$1/data/postgresql.conf' ] && echo yes")" ] &&
    "$(postgres_bin)/pg_isready" -q -h 127.0.0.1 -p "$(database_port "$1")"
}

# The processes of a database that work in its folder.
database_processes() {
  local link
  for link in /proc/[0-9]*/cwd; do
    [ "$(readlink "$link" 2>/dev/null)" = "$1/data" ] && printf '%s\n' "${link//[!0-9]/}"
  done
  return 0
}

# A server that was killed leaves its lock file, and for a moment its children: a new one has to wait for these.
database_was_killed() {
  local pid
  pid=$(as_postgres sh -c "head -n 1 '$1/data/postmaster.pid' 2>/dev/null")
  [ -n "$pid" ] && [ "$(readlink "/proc/$pid/cwd" 2>/dev/null)" != "$1/data" ]
}

database_wait_for_children() {
  local home=$1 try
  for try in $(seq 1 120); do
    [ -n "$(database_processes "$home")" ] || return 0
    [ "$try" != 1 ] || step "the database was killed; waiting for its processes to end"
    sleep 0.25
  done
  fail "processes of a killed database still run in $home: $(database_processes "$home" | tr '\n' ' ')"
}

database_up() {
  local home=$1
  database_answers "$home" && return
  if database_was_killed "$home"; then
    database_wait_for_children "$home"
    # its number may have gone to another program since; nobody works in the folder any more
    as_postgres rm -f "$home/data/postmaster.pid"
  fi
  as_postgres "$(postgres_bin)/pg_ctl" -D "$home/data" -l "$home/$DB_LOG_NAME" -w -t 60 -s start 9>&- >/dev/null 2>&1 ||
    database_up_elsewhere "$home" ||
    fail "the database did not start; its log is $home/$DB_LOG_NAME"
}

# Somebody may have taken the port since last time: choose another and tell the application.
database_up_elsewhere() {
  local home=$1 old new
  old=$(database_port "$home")
  port_is_free "$old" && return 1
  new=$(free_port)
  as_postgres sed -i "s/^port = $old\$/port = $new/" "$home/data/postgresql.conf"
  [ ! -f "$DB_CONFIG" ] || sed -i "s#127.0.0.1:$old/#127.0.0.1:$new/#" "$DB_CONFIG" "$(owner_config "$DB_CONFIG")"
  as_postgres "$(postgres_bin)/pg_ctl" -D "$home/data" -l "$home/$DB_LOG_NAME" -w -t 60 -s start 9>&- >/dev/null 2>&1
}

database_start() {
  local home
  home=$(database_home)
  if [ -d "$home/data" ] && [ -f "$DB_CONFIG" ]; then
    split_settings "$DB_CONFIG"
    database_answers "$home" && return
    database_folder "$home"
    database_up "$home"
    step "database runs on port $(database_port "$home")"
    return
  fi
  # a half-made one from an interrupted first start holds nothing
  [ ! -e "$home" ] || database_forget
  step "making the database in $home"
  open_state_folder
  database_make "$home" "$DB_CONFIG"
}

database_stop() {
  local home
  home=$(database_home)
  [ -n "$(postgres_bin)" ] && [ -d "$home/data" ] || return 0
  if database_answers "$home"; then
    as_postgres "$(postgres_bin)/pg_ctl" -D "$home/data" -m fast -w -t 60 -s stop
    step "database stopped"
  fi
}

database_status() {
  local home
  home=$(database_home)
  if [ ! -d "$home/data" ]; then
    say "Database: none made yet"
  elif [ -n "$(postgres_bin)" ] && database_answers "$home"; then
    say "Database: running on 127.0.0.1:$(database_port "$home"), data in $home"
  elif database_was_killed "$home"; then
    say "Database: was killed and does not answer, data in $home; ./stratopneum start starts it again"
  else
    say "Database: stopped, data in $home"
  fi
}

database_forget() {
  local home
  home=$(database_home)
  database_stop
  rm -rf "${home:?}" "$DB_CONFIG" "$(owner_config "$DB_CONFIG")" "$MIGRATED"
}

# For the tests: a throw-away database. `test-database start` prints the settings file, `stop FILE` removes all;
# `start durable [SETTINGS]` makes one that writes as a rider's does, to be measured. It lies in TEST_DATABASES, or /tmp.
test_database() {
  local folder more=''
  case ${1-} in
    start)
      folder=$(mktemp -d "${TEST_DATABASES:-/tmp}/stratopneum-test.XXXXXX")
      chmod 0711 "$folder"
      more=$([ "${2-}" = durable ] && printf '%s' "${3-}" || printf '%s' "$FORGETFUL")
      database_make "$folder/database" "$folder/application.properties" "$more"
      printf '%s\n' "$folder/application.properties"
      ;;
    stop)
      folder=$(dirname "${2-}")
      [[ $folder == /tmp/*stratopneum-test.* ]] || fail "not a test database: '${2-}'"
      as_postgres "$(postgres_bin)/pg_ctl" -D "$folder/database/data" -m immediate -w -s stop >/dev/null 2>&1 || true
      rm -rf "$folder"
      ;;
    kill) as_postgres kill -9 "$(as_postgres head -n 1 "$(dirname "${2-}")/database/data/postmaster.pid")" ;;
    again) database_up "$(dirname "${2-}")/database" ;;
    backup) backup_write "${2-}" "${3-}" ;;
    daily) backup_daily "${2-}" "${3-}" ;;
    restore) restore_read "$(dirname "${2-}")/database" "${2-}" "${3-}" ;;
    back) restore_back "$(dirname "${2-}")/database" ;;
    *) usage_error "test-database wants start, stop, kill, again, backup, daily, restore or back" ;;
  esac
}
