# shellcheck shell=bash
# Builds, starts and stops the application.

APP_USER=stratopneum
APP_LOG=$STATE/application.log
APP_PID=$STATE/application.pid
APP_PORT=$STATE/application.port
# the address it listens on and the scheme, where they are not the usual ones
APP_WHERE=$STATE/application.where
BUILD_LOG=$STATE/build.log
BUILT_FROM=$STATE/built-from
SECONDS_TO_ANSWER=90

# Heap and what lies beside it are capped; the heap begins small, and gives back what a large file took.
JAVA_LIMITS=(-Xms96m -Xmn32m -Xmx256m -XX:MinHeapFreeRatio=15 -XX:MaxHeapFreeRatio=30 -XX:MaxMetaspaceSize=160m
  -XX:ReservedCodeCacheSize=128m -XX:+UseSerialGC)

# The C library would keep a heap of its own for each thread.
export MALLOC_ARENA_MAX=2

# What Spring would find out at every start was written down when the application was built. What the compilers took while
# they were busy is given back; an older Java does without.
SERVING=("${JAVA_LIMITS[@]}" -XX:+IgnoreUnrecognizedVMOptions -XX:+UnlockExperimentalVMOptions
  -XX:TrimNativeHeapInterval=20000 -Dspring.aot.enabled=true)

# For an instance beside others: the system picks where its stand-ins listen.
BESIDE_OTHERS=(--stratopneum.gauge.port=0 --stratopneum.mail.simulated-port=0 --stratopneum.webhooks.stand-in-port=0)

# What runs for seconds only is quicker with the quick compiler alone.
SHORT=("${JAVA_LIMITS[@]}" -XX:TieredStopAtLevel=1)

# As root, the application runs as a user of its own who may read it and its settings, and write nothing.
application_user() {
  ! runs_as_root || id -u "$APP_USER" >/dev/null 2>&1 ||
    useradd --system --user-group --no-create-home --home-dir /nonexistent --shell /usr/sbin/nologin "$APP_USER" ||
    fail "the user '$APP_USER', as which the application runs, could not be made"
}

# Words before a command that make it run so; none for whoever is not root.
UNPRIVILEGED=()
if runs_as_root; then
  UNPRIVILEGED=(setpriv "--reuid=$APP_USER" "--regid=$APP_USER" --init-groups --no-new-privs --)
fi

# Where the built application lies: here, or where that user cannot get here, under /var/tmp.
application_home() {
  if runs_as_root && ! (cd / && setpriv --reuid=65534 --regid=65534 --clear-groups test -x "$ROOT" 2>/dev/null); then
    printf '/var/tmp/stratopneum-%s-application' "$(printf '%s' "$ROOT" | sha256sum | cut -c1-16)"
  else
    printf '%s/application' "$STATE"
  fi
}

APP=$(application_home)

# Refuses a folder that somebody else has put there.
application_folder() {
  application_user
  if [ -e "$APP" ] || [ -L "$APP" ]; then
    [ -d "$APP" ] && [ ! -L "$APP" ] && [ -O "$APP" ] || fail "$APP exists and belongs to somebody else; move it away"
  fi
  open_state_folder
}

# The settings that the application reads: it signs in to the database as the role that owns nothing.
application_settings() {
  local config=$1
  if runs_as_root; then
    install -m 0640 -o root -g "$APP_USER" "$config" "$APP/settings.properties"
    printf '%s/settings.properties' "$APP"
  else
    printf '%s' "$config"
  fi
}

# Brings the tables up to date in a process of its own, once for each build and database.
migrate() {
  local config=$1 mark
  mark="$(cat "$BUILT_FROM") $(sha256sum "$(owner_config "$config")" | cut -c1-16)"
  [ "$config" != "$DB_CONFIG" ] || [ "$(cat "$MIGRATED" 2>/dev/null)" != "$mark" ] || return 0
  with_progress "bringing the tables up to date" "$STATE/migration.log" \
    java "${SHORT[@]}" -cp "$APP/stratopneum.jar" org.stratopneum.web.platform.database.Migration \
    "$(owner_config "$config")" || fail "the tables could not be brought up to date; see $STATE/migration.log"
  [ "$config" != "$DB_CONFIG" ] || printf '%s' "$mark" >"$MIGRATED"
}

sources_hash() {
  (
    cd "$ROOT" || exit
    find pom.xml core/pom.xml web/pom.xml web/package.json web/package-lock.json core/src/main web/src/main -type f -print0 |
      sort -z | xargs -0 sha256sum
    printf '%s' "$JAVAC"
  ) | sha256sum | cut -d' ' -f1
}

build_application() {
  local hash
  application_folder
  hash=$(sources_hash)
  if [ -f "$BUILT_FROM" ] && [ "$(cat "$BUILT_FROM")" = "$hash" ] && [ -f "$APP/stratopneum.jar" ]; then
    return
  fi
  with_progress "building (the first time takes some minutes)" "$BUILD_LOG" \
    maven -f "$ROOT/pom.xml" -pl web -am -Dmaven.test.skip=true -Dquick package ||
    fail "the build failed; its log is $BUILD_LOG"
  rm -rf "$APP"
  java -Djarmode=tools -jar "$ROOT/web/target/stratopneum.jar" extract --destination "$APP" >>"$BUILD_LOG" 2>&1 </dev/null ||
    fail "the build could not be unpacked; its log is $BUILD_LOG"
  printf '%s' "$hash" >"$BUILT_FROM"
}

# Once for each build: remembers the classes that a start and the first pages loaded, which halves the time to the first
# page. Does without if it fails.
train_application() {
  local scratch
  [ ! -f "$APP/classes.jsa" ] && [ ! -f "$APP/untrained" ] || return 0
  scratch=$(mktemp -d)
  ! runs_as_root || chown "$APP_USER": "$scratch"
  with_progress "preparing a quick start" "$STATE/training.log" rehearse "$scratch/classes.jsa" &&
    install -m 0644 "$scratch/classes.jsa" "$APP/classes.jsa" || touch "$APP/untrained"
  rm -rf "$scratch"
}

# A start with the demo on a database of its own: nobody's data lies in it, and nobody's settings reach it by the
# environment. Writes what it loaded to file $1.
rehearse() {
  local archive=$1 config port pid='' quarter page APP_WHERE=''
  config=$(test_database start)
  # shellcheck disable=SC2064 # the name is known now
  trap "kill \$pid 2>/dev/null || true; test_database stop '$config'" EXIT
  migrate "$config"
  port=$(free_port)
  "${UNPRIVILEGED[@]}" env -i PATH="$PATH" LANG=C.UTF-8 \
    java -XX:ArchiveClassesAtExit="$archive" "${SERVING[@]}" -jar "$APP/stratopneum.jar" \
    --server.port="$port" "${BESIDE_OTHERS[@]}" \
    --spring.config.additional-location="file:$(application_settings "$config")" 9>&- &
  pid=$!
  for quarter in $(seq 1 $((SECONDS_TO_ANSWER * 4))); do
    ! application_answers "$port" || break
    kill -0 "$pid" || return
    sleep 0.25
  done
  for page in / /todo /sign-in; do
    application_answers "$port" "$page" "$SECONDS_TO_ANSWER" || return
  done
  kill "$pid"
  wait "$pid" || [ $? = 143 ]
}

application_pid() {
  local pid
  pid=$(cat "$APP_PID" 2>/dev/null) || return 1
  [ -n "$pid" ] && tr '\0' '\n' 2>/dev/null <"/proc/$pid/cmdline" | grep -qxF "$APP/stratopneum.jar" && printf '%s' "$pid"
}

application_running() { application_pid >/dev/null; }

listens_on() { if [ -f "$APP_WHERE" ]; then cut -d' ' -f1 "$APP_WHERE"; else printf 127.0.0.1; fi; }

scheme() { if [ -f "$APP_WHERE" ]; then cut -d' ' -f2 "$APP_WHERE"; else printf http; fi; }

is_loopback() { [[ $1 == 127.* || $1 == ::1 || $1 == localhost ]]; }

# By TLS only that it takes connections: it does so when all else has started.
application_answers() {
  local port=$1 page=${2-/actuator/health} patience=${3-5} line='' host
  host=$(listens_on)
  case $host in
    0.0.0.0) host=127.0.0.1 ;;
    ::) host=::1 ;;
  esac
  if [ "$(scheme)" = https ]; then
    (exec 3<>"/dev/tcp/$host/$port") 2>/dev/null
    return
  fi
  {
    exec 3<>"/dev/tcp/$host/$port" || return 1
    printf 'GET %s HTTP/1.1\r\nHost: 127.0.0.1:%s\r\nConnection: close\r\n\r\n' "$page" "$port" >&3
    IFS= read -r -t "$patience" line <&3
    exec 3<&- 3>&-
  } 2>/dev/null
  [[ $line == *" 200"* ]]
}

address() { printf '%s://%s:%s/' "$(scheme)" "$(listens_on)" "$1"; }

already_running() {
  local asked=$1 given=$2 demo=$3 running
  running=$(cat "$APP_PORT")
  if [ -n "$given" ] && [ "$asked" != "$running" ]; then
    fail "already running at $(address "$running"); one folder runs one application. To move it: ./stratopneum stop && ./stratopneum start --port $asked"
  fi
  say "Already running at $(address "$running")"
  if [ "$demo" = false ]; then
    say "It keeps the way it was started; to change that, stop it first."
  fi
  if have_java && [ "$(cat "$BUILT_FROM" 2>/dev/null)" != "$(sources_hash)" ]; then
    say "Its sources have changed since; ./stratopneum stop && ./stratopneum start takes them up."
  fi
}

# Sets command to what serves with the settings in file $1, as start_options has read it.
application_command() {
  serving
  command=("${serving[@]}" --server.port="$port" --stratopneum.demo="$demo"
    --spring.config.additional-location="optional:file:$1")
  [ "$listen" = 127.0.0.1 ] || command+=(--server.address="$listen")
  if [ -n "$tls" ]; then
    "${UNPRIVILEGED[@]}" test -r "$tls" || fail "the keystore must be readable by the user '$APP_USER', as which the application runs"
    command+=(--server.ssl.key-store="$tls" --stratopneum.https=true)
  fi
  if [ -n "$proxy" ]; then
    # who asks, and how, is then what the proxy says; and nobody but it
    command+=(--server.forward-headers-strategy=native --stratopneum.https=true
      --server.tomcat.remoteip.internal-proxies="$(addresses_as_pattern "$proxy")")
  fi
  if [ -n "$proxy" ] || [ -n "${for_others-}" ]; then
    # made-up weather, gauges, mail and receivers are for whoever sits at the machine
    command+=(--stratopneum.stand-ins=false)
  else
    # at home a webhook may lead to a neighbour; on a server for others it must not
    command+=(--stratopneum.webhooks.private-addresses=true)
  fi
  [ "${STRATOPNEUM_LOG-}" != json ] ||
    command+=(--logging.structured.format.console=org.stratopneum.web.platform.watch.JsonLines)
  [ -z "${STRATOPNEUM_ADDRESS-}" ] || command+=(--stratopneum.address="$STRATOPNEUM_ADDRESS")
}

application_start() {
  local command
  application_command "$(application_settings "$DB_CONFIG")"
  rm -f "$APP_WHERE"
  if [ "$listen" != 127.0.0.1 ] || [ -n "$tls" ]; then
    printf '%s %s' "$listen" "$([ -n "$tls" ] && printf https || printf http)" >"$APP_WHERE"
  fi
  printf '%s' "$port" >"$APP_PORT"
  cd /
  if [ -n "$foreground" ]; then
    say "Starting at $(address "$port"); Ctrl+C stops it (the database stays until ./stratopneum stop)."
    printf '%s' "$$" >"$APP_PID"
    exec "${command[@]}" 9>&-
  fi
  [ ! -f "$APP_LOG" ] || mv "$APP_LOG" "$APP_LOG.before"
  (umask 027 && : >"$APP_LOG")
  setsid nohup "${command[@]}" >>"$APP_LOG" 2>&1 </dev/null 9>&- &
  printf '%s' "$!" >"$APP_PID"
  wait_until_it_answers "$port"
}

# "192.0.2.7,::1" as a regular expression of just these.
addresses_as_pattern() { printf '%s' "$1" | sed 's/[.]/\\&/g; s/,/|/g'; }

wait_until_it_answers() {
  local port=$1 tenth
  printf '  starting '
  for tenth in $(seq 1 $((SECONDS_TO_ANSWER * 10))); do
    if application_answers "$port"; then
      printf ' done\n'
      say "Stratopneum is at $(address "$port")"
      return
    fi
    if ((tenth > 20)) && ! application_running; then
      printf ' failed\n'
      tail -n 15 "$APP_LOG" >&2
      fail "the application ended; its log is $APP_LOG"
    fi
    ((tenth % 20)) || printf '.'
    sleep 0.1
  done
  printf '\n'
  fail "no answer within $SECONDS_TO_ANSWER s; look at ./stratopneum logs, then ./stratopneum stop"
}

application_stop() {
  local pid try
  pid=$(application_pid) || {
    rm -f "$APP_PID" "$APP_PORT" "$APP_WHERE"
    say "The application is not running."
    return 0
  }
  kill "$pid"
  for try in $(seq 1 80); do
    if ! application_running; then
      rm -f "$APP_PID" "$APP_PORT" "$APP_WHERE"
      step "application stopped after $((try / 4)) s"
      return
    fi
    sleep 0.25
  done
  kill -9 "$pid"
  rm -f "$APP_PID" "$APP_PORT" "$APP_WHERE"
  step "application did not stop by itself and was ended"
}

application_status() {
  if application_running; then
    local port
    port=$(cat "$APP_PORT")
    if application_answers "$port"; then
      say "Application: running at $(address "$port"), process $(application_pid)"
    else
      say "Application: process $(application_pid) does not answer at $(address "$port"); see ./stratopneum logs"
    fi
  else
    say "Application: not running"
  fi
}

# Words that start java as a rider's start does: with the remembered classes, where there are any.
serving() {
  serving=("${UNPRIVILEGED[@]}" java "${SERVING[@]}")
  [ ! -f "$APP/classes.jsa" ] || serving+=(-XX:SharedArchiveFile="$APP/classes.jsa" -Xlog:disable -Xlog:all=error:stderr)
  serving+=(-jar "$APP/stratopneum.jar")
}
