# The machine: what must be installed, where things lie, how much room there is, ports.

say() { printf '%s\n' "$*"; }
fail() { printf 'mosaic: %s\n' "$*" >&2; exit 1; }

# What a house is run with may stand in a file, so that every verb and the service read the same.
read_settings() {
  local line
  [ -f "$STATE/settings" ] || return 0
  while IFS= read -r line || [ -n "$line" ]; do
    [[ $line =~ ^(MOSAIC_[A-Z_]+)=(.*)$ ]] || continue
    [ -n "${!BASH_REMATCH[1]:-}" ] || export "${BASH_REMATCH[1]}=${BASH_REMATCH[2]}"
  done <"$STATE/settings"
}

# ---- what must be installed -------------------------------------------------------------------

pg_bin() { ls -d /usr/lib/postgresql/*/bin 2>/dev/null | sort -t/ -k5 -n | tail -n 1; }

java_home() {
  local home
  for home in "${JAVA_HOME:-}" /usr/lib/jvm/java-17-openjdk-*; do
    [ -n "$home" ] && [ -x "$home/bin/javac" ] && "$home/bin/javac" -version 2>&1 | grep -qE 'javac (1[7-9]|2[0-9])' && { say "$home"; return; }
  done
}

missing_packages() { # $1 plain | with-browser | with-proxy
  [ -n "$(java_home)" ] || say openjdk-17-jdk-headless
  # a jar that was built elsewhere needs no Maven
  [ -n "${MOSAIC_JAR:-}" ] || command -v mvn >/dev/null || say maven
  { [ -n "$(pg_bin)" ] && [ -x "$(pg_bin)/initdb" ]; } || say postgresql
  command -v openssl >/dev/null || say openssl
  [ "$1" = plain ] || command -v chromium-headless-shell >/dev/null || say chromium-headless-shell
  [ "$1" != with-proxy ] || [ -x /usr/sbin/nginx ] || say nginx
  [ "$1" != with-proxy ] || command -v curl >/dev/null || say curl
}

# Installs what is missing from Debian's packages when allowed, else says the one line to run.
ensure_packages() {
  local packages run=()
  packages=$(missing_packages "$1" | tr '\n' ' ')
  if [ -n "$packages" ]; then
    if [ "$(id -u)" != 0 ]; then
      if command -v sudo >/dev/null && sudo -n true 2>/dev/null; then run=(sudo -n); else
        fail "these packages are missing: $packages- run: sudo apt-get install -y --no-install-recommends $packages"
      fi
    fi
    say "Installing $packages…"
    "${run[@]}" apt-get update -qq || fail "apt-get update failed; check the network and run it again"
    # shellcheck disable=SC2086
    DEBIAN_FRONTEND=noninteractive "${run[@]}" apt-get install -y -qq --no-install-recommends $packages >/dev/null ||
      fail "apt-get could not install $packages; run: apt-get install -y $packages"
  fi
  JAVA_HOME=$(java_home); export JAVA_HOME
}

# ---- where things lie, and room ---------------------------------------------------------------

ensure_state() {
  mkdir -p "$STATE" 2>/dev/null && [ -w "$STATE" ] || fail "$STATE cannot be written; set MOSAIC_HOME to a folder of yours"
  # nobody else looks into it; root hands the database in it to a user who must get there
  chmod "$([ "$(id -u)" = 0 ] && say 711 || say 700)" "$STATE"
  CLUSTER=$STATE/pg
  [ ! -s "$STATE/database-at" ] || CLUSTER=$(cat "$STATE/database-at")
}

free_mb() { df -Pk "$1" 2>/dev/null | awk 'NR==2 {print int($4 / 1024)}'; }

# The lesser of what is free for the database and for the rest. Only what writes much asks for room.
least_free_mb() {
  local here there
  here=$(free_mb "$STATE"); there=$here
  [ ! -d "$CLUSTER" ] || there=$(free_mb "$CLUSTER")
  [ "${there:-0}" -lt "${here:-0}" ] && say "$there" || say "${here:-0}"
}

ensure_room() { # $1 MB
  local free
  free=$(least_free_mb)
  [ "$free" -ge "$1" ] || fail "only $free MB are free at $STATE; $1 MB are needed. Make room or set MOSAIC_HOME"
}

lock() {
  ensure_state
  exec 9>>"$STATE/lock"
  flock -w 120 9 || fail "another ./mosaic is at work here; wait for it"
}

# ---- ports ------------------------------------------------------------------------------------

# Where this machine reaches the application: the address it listens on, loopback if that is all of them.
reachable() {
  case $ADDRESS in
    '' | 0.0.0.0 | :: | '[::]') say 127.0.0.1 ;;
    *) ADDRESS=${ADDRESS#[}; say "${ADDRESS%]}" ;;
  esac
}

in_url() { case $1 in *:*) say "[$1]" ;; *) say "$1" ;; esac; }

port_open() { (exec 3<>"/dev/tcp/${2:-127.0.0.1}/$1") 2>/dev/null; }

free_port() { # first free port from $1 up to $2, at address $3
  local port
  for ((port = $1; port <= $2; port++)); do port_open "$port" "${3:-127.0.0.1}" || { say "$port"; return; }; done
  return 1
}

answers() { # does http://ADDRESS:$1$2 answer 200? $3 another address
  local line=''
  { exec 3<>"/dev/tcp/${3:-$(reachable)}/$1"; } 2>/dev/null || return 1
  printf 'GET %s HTTP/1.0\r\nHost: localhost\r\n\r\n' "$2" >&3 2>/dev/null || true
  IFS= read -t 5 -r line <&3 || true
  exec 3<&- 3>&-
  [[ $line == *" 200"* ]]
}

# A number file keeps a pid; the pid may belong to somebody else by now.
runs_with() { # $1 pid, $2 a word of its command line
  [[ $1 =~ ^[0-9]+$ ]] && { tr '\0' ' ' <"/proc/$1/cmdline"; } 2>/dev/null | grep -qF -- "$2"
}
