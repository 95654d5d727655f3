# shellcheck shell=bash
# Everything in one file and back: pg_dump's custom format, which any PostgreSQL of the same age or younger reads.

setting() { sed -n "s/^$1=//p" "$2"; }

# Runs a tool of PostgreSQL on the database of the settings in $1 as the owner of its tables.
as_owner() {
  local config=$1 tool=$2
  shift 2
  PGPASSWORD=$(setting password "$(owner_config "$config")") "$(postgres_bin)/$tool" "$@"
}

database_address() { setting url "$(owner_config "$1")" | sed 's#^jdbc:postgresql://#postgresql://stratopneum_owner@#'; }

# The newest step of the schema that this version knows.
newest_step() {
  local name step newest=0
  for name in "$ROOT"/web/src/main/resources/db/migration/V*__*.sql; do
    step=${name##*/V}
    step=${step%%__*}
    ((step > newest)) && newest=$step
  done
  printf '%s' "$newest"
}

# Writes all of the database with settings $1 to $2. Who is signed in is left out: that is no garage's business.
backup_write() {
  local config=$1 file=$2 part
  [ -n "$file" ] || usage_error "backup wants the file to write"
  # a link that leads nowhere is there as well: what it is written through to is nobody's backup
  if [ -e "$file" ] || [ -L "$file" ]; then
    fail "'$file' is there already; nothing is written over"
  fi
  [ -d "$(dirname "$file")" ] || fail "there is no folder '$(dirname "$file")'"
  part=$(mktemp "$(dirname "$file")/.backup.XXXXXX") || fail "'$file' cannot be written"
  # shellcheck disable=SC2064 # the name is known now and gone then
  trap "rm -f '$part'" EXIT
  as_owner "$config" pg_dump --format=custom --no-owner --exclude-table-data='visits.*' \
    --file="$part" --dbname="$(database_address "$config")" || fail "the backup could not be written"
  backup_check "$part" || fail "the backup could not be read again; nothing was kept"
  # made by somebody meanwhile, it is not written over
  mv -nT "$part" "$file"
  [ ! -e "$part" ] || fail "'$file' is there now; nothing is written over"
  trap - EXIT
  say "Written to $file and read again: $(du -h "$file" | cut -f1), $(backup_entries "$file") entries of the log."
}

# Reads a backup from its first byte to its last.
backup_check() {
  "$(postgres_bin)/pg_restore" --list "$1" 2>/dev/null | grep ' TABLE DATA public log_entry ' >/dev/null &&
    "$(postgres_bin)/pg_restore" --file=/dev/null "$1" 2>/dev/null
}

backup_must_be_whole() {
  backup_check "$1" || fail "'$1' is no backup of Stratopneum, or it is damaged; nothing was changed"
}

backup_entries() {
  "$(postgres_bin)/pg_restore" --data-only --table=log_entry --file=- "$1" |
    awk '/^COPY /{inside=1; next} /^\\\.$/{inside=0} inside{n++} END{print n + 0}'
}

as_superuser() {
  local home=$1
  shift
  PGOPTIONS=--client-min-messages=warning PGPASSWORD=$(as_postgres cat "$home/superuser") "$(postgres_bin)/psql" -q -At -h 127.0.0.1 -p "$(database_port "$home")" \
    -U postgres -v ON_ERROR_STOP=1 "$@"
}

# Reads $3 into a new database of the cluster in $1, and puts it in the place of the one with settings $2 when all of it
# is in. What was there before stays as stratopneum_before until the next time.
restore_read() {
  local home=$1 config=$2 file=$3 address step
  [ -n "$file" ] || usage_error "restore wants the file to read"
  [ -f "$file" ] || fail "there is no file '$file'"
  backup_must_be_whole "$file"
  as_superuser "$home" -c 'drop database if exists stratopneum_new with (force)' \
    -c 'drop database if exists stratopneum_older with (force)' \
    -c 'create database stratopneum_new owner stratopneum_owner' \
    -c 'revoke all on database stratopneum_new from public' \
    -c 'grant connect on database stratopneum_new to stratopneum_app' postgres
  address=$(database_address "$config")
  as_owner "$config" pg_restore --no-owner --exit-on-error --single-transaction --dbname="${address%/*}/stratopneum_new" "$file" ||
    fail "'$file' could not be read in whole; nothing was changed"
  step=$(as_superuser "$home" -c 'select max(version::int) from flyway_schema_history' stratopneum_new)
  if ((step > $(newest_step))); then
    fail "'$file' was written by a later version of Stratopneum (step $step, known is $(newest_step)); nothing was changed"
  fi
  # whoever starts next looks at the tables anew, whichever they are
  rm -f "$MIGRATED"
  local older=''
  ! database_there "$home" stratopneum_before || older='alter database stratopneum_before rename to stratopneum_older;'
  # one transaction: there is always one in its place, and one to go back to where there was
  as_superuser "$home" -c "$older
    alter database stratopneum rename to stratopneum_before;
    alter database stratopneum_new rename to stratopneum" postgres
  as_superuser "$home" -c 'drop database if exists stratopneum_older with (force)' postgres
}

database_there() {
  [ "$(as_superuser "$1" -c "select count(*) from pg_database where datname = '$2'" postgres)" = 1 ]
}

# Changes what is there with what was there before.
restore_back() {
  local home=$1
  database_there "$home" stratopneum_before || fail "there is nothing from before to go back to"
  rm -f "$MIGRATED"
  as_superuser "$home" -c 'drop database if exists stratopneum_new with (force)' postgres
  as_superuser "$home" -c 'alter database stratopneum rename to stratopneum_new;
    alter database stratopneum_before rename to stratopneum;
    alter database stratopneum_new rename to stratopneum_before' postgres
}

# One of each day in the folder $2: seven days are kept, and the first of each of four weeks.
backup_daily() {
  local config=$1 folder=$2 daily weekly
  [ -d "$folder" ] || fail "there is no folder '$folder'"
  daily=$folder/stratopneum-$(date +%F).backup
  weekly=$folder/stratopneum-week-$(date +%G-%V).backup
  if [ -e "$daily" ]; then
    say "That of today is there already: $daily"
  else
    backup_write "$config" "$daily"
  fi
  # the same file under a second name, where the file system has such
  [ -e "$weekly" ] || ln "$daily" "$weekly" 2>/dev/null || cp -p "$daily" "$weekly"
  keep_newest 7 "$folder"/stratopneum-[0-9][0-9][0-9][0-9]-[0-9][0-9]-[0-9][0-9].backup
  keep_newest 4 "$folder"/stratopneum-week-[0-9][0-9][0-9][0-9]-[0-9][0-9].backup
}

# Of files whose names are in the order of their days.
keep_newest() {
  local most=$1
  shift
  while [ $# -gt "$most" ]; do
    rm -f "$1"
    shift
  done
}
