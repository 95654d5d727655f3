# shellcheck shell=bash
# What must be on the machine: a JDK, Maven, Node with npm, PostgreSQL's server, and a browser for the tests.

NODE_HOME=$STATE/node
LEAST_JAVA=17
# the one that styles and scripts are built and checked with, everywhere
NODE=22.23.5

major_of() { printf '%s' "$1" | sed -E 's/^[^0-9]*([0-9]+).*/\1/'; }

# Asked once, since the answer takes as long as a small program of Java does.
JAVAC=''
have_java() {
  command -v javac >/dev/null || return 1
  [ -n "$JAVAC" ] || JAVAC=$(javac -version 2>&1 | grep '^javac')
  (($(major_of "$JAVAC") >= LEAST_JAVA)) && return
  # an old one, beside which another is installed now
  JAVAC=''
  return 1
}

have_maven() { command -v mvn >/dev/null; }

have_node() {
  [ -x "$NODE_HOME/bin/node" ] && PATH=$NODE_HOME/bin:$PATH
  have_npm && command -v node >/dev/null && [ "$(node --version)" = "v$NODE" ]
}

# Nothing is fetched that is not as its repository says it should be.
maven() { mvn --batch-mode --no-transfer-progress --strict-checksums "$@"; }

have_npm() { command -v npm >/dev/null; }

have_postgres() { [ -x "$(postgres_bin)/initdb" ]; }

have_chromium() { [ -x /usr/lib/chromium/chromium-headless-shell ] && [ -x /usr/bin/chromedriver ]; }

# Where the newest server lies; without one, the newest tools.
postgres_bin() {
  local program folder
  for program in initdb pg_dump; do
    for folder in $(printf '%s\n' /usr/lib/postgresql/*/bin | sort -t/ -k5 -Vr); do
      if [ -x "$folder/$program" ] && [ -x "$folder/psql" ]; then
        printf '%s' "$folder"
        return
      fi
    done
  done
}

package_for() {
  case $1 in
    java) echo openjdk-17-jdk-headless ;;
    maven) echo maven ;;
    node) echo nodejs npm ;;
    postgres) echo postgresql ;;
    chromium) echo chromium-headless-shell chromium-driver ;;
  esac
}

ensure_tools() {
  local tool packages=()
  for tool in "$@"; do
    # an old Node is mended below, from npm
    if [ "$tool" = node ] && have_npm; then
      continue
    fi
    # shellcheck disable=SC2207
    "have_$tool" || packages+=($(package_for "$tool"))
  done
  [ ${#packages[@]} -eq 0 ] || install_packages "${packages[@]}"
  for tool in "$@"; do
    if [ "$tool" = node ]; then
      have_node || install_node
    fi
    "have_$tool" || fail "$tool is still missing after installing it; see $STATE/install.log"
  done
}

install_packages() {
  local become=()
  if [ "$(id -u)" != 0 ]; then
    become=(sudo -n)
    if ! command -v sudo >/dev/null || ! sudo -n true 2>/dev/null; then
      fail "missing: $*. Run this once, then start again:
  sudo apt-get update && sudo apt-get install -y $*"
    fi
  fi
  command -v apt-get >/dev/null || fail "missing: $*. Install them with your system's packages, then start again"
  with_progress "asking Debian for its package lists" "$STATE/install.log" \
    "${become[@]}" apt-get update || fail "the package lists could not be read; see $STATE/install.log"
  with_progress "installing $*" "$STATE/install.log" \
    "${become[@]}" env DEBIAN_FRONTEND=noninteractive apt-get install -y --no-install-recommends "$@" ||
    fail "installing failed; see $STATE/install.log"
}

# Debian has another Node than the pinned one; npm carries that as a package.
install_node() {
  local arch
  case $(uname -m) in
    x86_64) arch=x64 ;;
    aarch64) arch=arm64 ;;
    *) fail "Node $NODE is wanted and there is no ready one for $(uname -m); install it, then start again" ;;
  esac
  mkdir -p "$NODE_HOME"
  with_progress "fetching Node $NODE" "$STATE/install.log" \
    npm install --prefix "$NODE_HOME" --ignore-scripts --no-audit --no-fund --save-exact "node-linux-$arch@$NODE" ||
    fail "Node $NODE is wanted; see $STATE/install.log"
  mkdir -p "$NODE_HOME/bin"
  ln -sf "../node_modules/node-linux-$arch/bin/node" "$NODE_HOME/bin/node"
  have_node || true
}
