# shellcheck shell=bash
# Words to the one at the terminal, and small checks that everything uses.

say() { printf '%s\n' "$*"; }

step() { printf '  %s\n' "$*"; }

fail() {
  printf 'stratopneum: %s\n' "$*" >&2
  exit 1
}

usage_error() {
  printf 'stratopneum: %s; ./stratopneum help says how\n' "$*" >&2
  exit 2
}

# Runs a command with its output in a log and a dot for every few seconds; on failure says where to look.
with_progress() {
  local what=$1 log=$2
  shift 2
  printf '  %s ' "$what"
  "$@" >"$log" 2>&1 </dev/null &
  local pid=$! second=0
  while kill -0 "$pid" 2>/dev/null; do
    sleep 0.5
    second=$((second + 1))
    ((second % 6)) || printf '.'
  done
  if wait "$pid"; then
    printf ' done\n'
  else
    printf ' failed\n'
    tail -n 15 "$log" >&2
    return 1
  fi
}

port_is_free() { ! (exec 3<>"/dev/tcp/127.0.0.1/$1") 2>/dev/null; }

# A port that nobody listens on, from a range where the system hands out none.
free_port() {
  local try port
  for try in $(seq 1 200); do
    port=$((20000 + (RANDOM + try) % 10000))
    if port_is_free "$port"; then
      printf '%s' "$port"
      return
    fi
  done
  fail "no free port found between 20000 and 30000"
}

# One start, stop or reset at a time. Long-lived children must not inherit the lock: they close descriptor 9.
take_lock() {
  exec 9>"$STATE/lock"
  flock -n 9 || {
    step "waiting for another ./stratopneum in this folder to finish"
    flock 9
  }
}
