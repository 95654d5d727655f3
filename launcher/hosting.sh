# shellcheck shell=bash
# On a server: the database is started by somebody else, and what signs in to it lies in a folder of its own.

SETTINGS=${STRATOPNEUM_SETTINGS-}

database_is_ours() {
  [ -z "$SETTINGS" ] || fail "with STRATOPNEUM_SETTINGS the database is somebody else's; docs/deploy.md says what to do instead"
}

settings_are_there() {
  [ -n "$SETTINGS" ] || usage_error "STRATOPNEUM_SETTINGS must name the folder that ./stratopneum settings has written"
  [ -f "$APP/stratopneum.jar" ] || fail "nothing is built here; ./stratopneum build first"
}

command_build() {
  ensure_tools java maven node postgres
  mkdir -p "$STATE"
  take_lock
  build_application
  train_application
  rm -f "$APP/settings.properties"
}

command_settings() {
  local folder=${1-} at=${2-127.0.0.1:5432} owner app
  [ -d "$folder" ] || fail "there is no folder '$folder'"
  [ ! -e "$folder/application.properties" ] || fail "'$folder' has settings already; nothing is written over"
  owner=$(secret)
  app=$(secret)
  settings_write "$folder/application.properties" "$at" "$owner" "$app"
  (umask 077 && roles_sql "$owner" "$app" >"$folder/roles.sql")
  say "Written to $folder: application.properties for whoever serves, owner.properties for migrate and backup,"
  say "roles.sql for the database's superuser, once: psql -f $folder/roles.sql"
}

command_migrate() {
  settings_are_there
  [ -r "$SETTINGS/owner.properties" ] || fail "$SETTINGS/owner.properties cannot be read"
  java "${SHORT[@]}" -cp "$APP/stratopneum.jar" org.stratopneum.web.platform.database.Migration "$SETTINGS/owner.properties"
}

# In the foreground, for whoever looks after processes; it writes nothing but to /tmp.
command_serve() {
  local port port_given demo foreground listen tls proxy command for_others=yes
  start_options "$@"
  demo=false
  [ -z "$tls" ] || usage_error "serve stands behind a proxy that does HTTPS: --proxy"
  settings_are_there
  ! runs_as_root || fail "serve is for a user who may do nothing else, and not for root"
  application_command "$SETTINGS/application.properties"
  cd /
  exec "${command[@]}"
}

# Ends well where an instance on this machine is ready for riders.
command_healthy() {
  application_answers "${1-8780}" /actuator/health/readiness
}
