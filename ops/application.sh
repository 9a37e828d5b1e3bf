# Building, running and keeping the application.
# One process, the keeper, starts the application and the database, looks after both, starts what
# ended again, keeps logs short and makes the daily backup. It runs behind ./mosaic start and demo, and
# in the foreground as ./mosaic run, for a service manager.

# ---- building ---------------------------------------------------------------------------------

# What the sources say, not when their files were written: a newer release unpacked with old times is newer.
fingerprint() {
  if [ -n "${MOSAIC_JAR:-}" ]; then sha256sum "$MOSAIC_JAR" | cut -c1-16; return; fi
  (cd "$ROOT" && find pom.xml core/pom.xml app/pom.xml core/src/main app/src/main -type f -print0 | LC_ALL=C sort -z |
    xargs -0 sha256sum | sha256sum | cut -c1-16)
}

release() { sed -n 's#^  <version>\(.*\)</version>#\1#p' "$ROOT/pom.xml" | head -n 1; }

built_is_current() {
  [ -n "${PRINT:-}" ] || PRINT=$(fingerprint)
  [ -f "$STATE/run/app/app.jar" ] && [ "$(cat "$STATE/run/built" 2>/dev/null)" = "$PRINT" ]
}

build() {
  built_is_current && return
  if [ -n "${MOSAIC_JAR:-}" ]; then install_jar "$MOSAIC_JAR"; return; fi
  say "Building…"
  (cd "$ROOT" && mvn -q -B -Dstyle.color=never -Dquick -Dmaven.test.skip=true -pl core,app package) 7>&- 9>&- ||
    fail "the build failed; read the lines above (no network and an empty Maven cache is the usual cause)"
  install_jar "$ROOT/app/target/app-$(release)-exec.jar"
}

install_jar() { # $1 the whole jar; it is unpacked, which starts quicker
  rm -rf "$STATE/run"
  "$JAVA_HOME/bin/java" -Djarmode=tools -jar "$1" extract --destination "$STATE/run/unpacked" >/dev/null
  mv "$STATE/run/unpacked" "$STATE/run/app"
  mv "$STATE/run/app"/app-*-exec.jar "$STATE/run/app/app.jar"
  say "$PRINT" >"$STATE/run/built"
}

# Records the classes of a start, so that later starts are quick. Runs behind the first start, on
# a database of its own, so that it touches nothing of the house.
record_classes() {
  local archive="$STATE/run/classes.jsa"
  [ ! -f "$archive" ] && ! outside && [ -z "${MOSAIC_NO_RECORD:-}" ] || return 0
  (
    exec 7>&- 9>&-
    # two starts in a row must not record twice: the second would only slow the first down
    exec 8>"$STATE/recording"
    flock -n 8 || exit 0
    ADDRESS=127.0.0.1
    port=$(free_port 18000 18999)
    drop_database mosaic_recording
    ensure_database mosaic_recording
    export MOSAIC_DB_URL="jdbc:postgresql://127.0.0.1:$PGPORT/mosaic_recording" MOSAIC_PORT=$port
    export MOSAIC_DEMO=true MOSAIC_SCALE_STAND_IN=true MOSAIC_ADDRESS=127.0.0.1 MOSAIC_BACKUP_EXPECTED=false
    nice -n 15 "$JAVA_HOME/bin/java" "${JAVA_FLAGS[@]}" -XX:ArchiveClassesAtExit="$archive.new" \
      -jar "$STATE/run/app/app.jar" >"$STATE/log/record.log" 2>&1 &
    java=$!
    started=no
    # it runs behind all else: on a slow machine it takes long, and half a start is worth no archive
    for ((i = 0; i < 2400; i++)); do
      kill -0 $java 2>/dev/null || break
      if answers "$port" /up && answers "$port" /sign-in; then started=yes; break; fi
      sleep 0.5
    done
    kill $java 2>/dev/null || true
    wait $java || true
    drop_database mosaic_recording
    if [ $started = yes ] && [ -f "$archive.new" ]; then mv "$archive.new" "$archive"; else rm -f "$archive.new"; fi
  ) </dev/null >/dev/null 2>&1 &
  disown
}

# ---- one application --------------------------------------------------------------------------

is_ours() { runs_with "$1" "-Dmosaic.state=$STATE "; }

app_pid() { # prints the pid if our application runs; a stale or lost pid file does not matter
  local pid
  pid=$(cat "$STATE/app.pid" 2>/dev/null) || pid=''
  if [ -n "$pid" ] && is_ours "$pid"; then say "$pid"; return; fi
  for pid in /proc/[0-9]*; do
    if is_ours "${pid#/proc/}"; then say "${pid#/proc/}"; return; fi
  done
  return 1
}

stop_app() {
  local pid i
  pid=$(app_pid) || { rm -f "$STATE/app.pid"; return 0; }
  kill "$pid" 2>/dev/null || true
  for ((i = 0; i < 150; i++)); do is_ours "$pid" || break; sleep 0.1; done
  ! is_ours "$pid" || kill -9 "$pid" 2>/dev/null || true
  rm -f "$STATE/app.pid"
}

# The port that was asked for, else the one it had, else the first that is free.
choose_port() {
  local kept at
  at=$(reachable)
  if [ -n "$PORT" ]; then
    [[ $PORT =~ ^[0-9]+$ ]] && [ "$PORT" -ge 1024 ] && [ "$PORT" -le 65535 ] || fail "“$PORT” is no port; use 1024 to 65535"
    ! port_open "$PORT" "$at" || fail "port $PORT is taken by another program; choose another with --port"
    return
  fi
  kept=$(cat "$STATE/app.port" 2>/dev/null) || kept=''
  if [ -n "$kept" ] && ! port_open "$kept" "$at"; then PORT=$kept; return; fi
  PORT=$(free_port 8080 8180 "$at") || fail "ports 8080 to 8180 are all taken; choose one with --port"
  [ -z "$kept" ] || say "Port $kept, where it was before, is taken by another program; it is at $PORT now."
}

# The address that was asked for, else the one it had.
choose_address() {
  if [ -z "$ADDRESS" ]; then ADDRESS=$(cat "$STATE/app.address" 2>/dev/null) || ADDRESS=''; fi
  [ -n "$ADDRESS" ] || ADDRESS=127.0.0.1
}

app_environment() { # $1 demo | house
  export MOSAIC_ROOM_LEAST_MB=$LEAST_ROOM_MB MOSAIC_PORT=$PORT MOSAIC_ADDRESS=$ADDRESS MOSAIC_LINK_FILE="$STATE/first-owner" MOSAIC_ROOM_AT="$STATE"
  export LOGGING_FILE_NAME="$STATE/log/app.log" LOGGING_THRESHOLD_CONSOLE=OFF
  if outside; then
    export MOSAIC_DB_URL=$OUTSIDE_URL MOSAIC_DEMO=false
    return
  fi
  export MOSAIC_ROOM_AT="$STATE,$CLUSTER"
  export MOSAIC_DB_URL="jdbc:postgresql://127.0.0.1:$PGPORT/mosaic_$1" MOSAIC_DB_USER=mosaic_app MOSAIC_DB_PASSWORD=$APP_PASSWORD
  if [ "$1" = demo ]; then
    export MOSAIC_DEMO=true MOSAIC_SCALE_STAND_IN=true MOSAIC_BACKUP_EXPECTED=false
  else
    export MOSAIC_DEMO=false MOSAIC_BACKUP_EXPECTED=true
  fi
}

spawn_app() { # $1 demo | house; sets APP
  local archive="$STATE/run/classes.jsa" flags=("${JAVA_FLAGS[@]}")
  [ ! -f "$archive" ] || flags+=(-XX:SharedArchiveFile="$archive" -Xshare:auto)
  # in a shell of its own: what the application is told is not for the verbs the keeper calls
  (
    app_environment "$1"
    trap - HUP TERM INT
    exec "$JAVA_HOME/bin/java" "${flags[@]}" -Dmosaic.state="$STATE" -jar "$STATE/run/app/app.jar" \
      >"$STATE/log/app.out" 2>&1 </dev/null 7>&- 9>&-
  ) &
  APP=$!
  say "$APP" >"$STATE/app.pid"
}

why_it_ended() {
  local lines
  lines=$(cat "$STATE/log/app.log" "$STATE/log/app.out" 2>/dev/null | grep -vE '^\s+at |^\s*$' | tail -n 3)
  say "${lines:-(nothing was written)}"
}

# ---- the keeper -------------------------------------------------------------------------------

keeper_pid() { # whoever holds the lock is alive; the number in the file is only how to reach it
  local pid
  [ -f "$STATE/keeper.lock" ] || return 1
  if (flock -n 6) 6>>"$STATE/keeper.lock"; then return 1; fi
  pid=$(cat "$STATE/keeper.pid" 2>/dev/null) && [ -n "$pid" ] && say "$pid"
}

stop_keeper() {
  local pid i
  pid=$(keeper_pid) || return 0
  kill "$pid" 2>/dev/null || true
  for ((i = 0; i < 450; i++)); do keeper_pid >/dev/null || return 0; sleep 0.1; done
  kill -9 "$pid" 2>/dev/null || true
}

keep_log_of_crash() {
  local mark
  mark=$(date +%Y%m%d-%H%M%S)
  { cat "$STATE/log/app.out"; tail -n 400 "$STATE/log/app.log"; } >"$STATE/log/crash-$mark.log" 2>/dev/null || true
  ls -1 "$STATE"/log/crash-*.log 2>/dev/null | head -n -10 | xargs -r rm -f
}

# Logs of programs that only append: what is old goes into a second file, what is older is forgotten.
shorten() { # $1 file
  [ "$(stat -c %s "$1" 2>/dev/null || say 0)" -gt 10000000 ] || return 0
  cp -p "$1" "$1.1" 2>/dev/null || true
  : >"$1"
}

# Once a minute: logs, and the backup of the day.
housekeeping() { # $1 demo | house
  shorten "$CLUSTER/data/server.log"
  shorten "$STATE/log/keeper.log"
  [ "$1" = house ] && ! outside && backup_is_due || return 0
  (exec 7>&-; "$ROOT/mosaic" backup --daily >>"$STATE/log/backup.log" 2>&1; shorten "$STATE/log/backup.log") &
}

# Starts it in a shell of its own, so that a failure ends no keeper. Succeeds if it is where it was;
# if another program took its port meanwhile, the application has to be started for the new one.
bring_database_back() {
  local port=$PGPORT
  (start_cluster "$CLUSTER" durable) || return 0
  use_cluster "$CLUSTER"
  [ "$port" = "$PGPORT" ]
}

keep() { # $1 demo | house; in the foreground until it is told to end
  local mode=$1 started tick=0 ended=0 answered=no
  exec 7>>"$STATE/keeper.lock"
  flock -n 7 || fail "it is being kept running already; ./mosaic stop ends that"
  say $$ >"$STATE/keeper.pid"
  say "$PORT" >"$STATE/app.port"; say "$ADDRESS" >"$STATE/app.address"; say "$mode" >"$STATE/mode"
  ENDING=''
  trap 'ENDING=yes' TERM INT
  trap '' HUP
  exec 9>&-
  while [ -z "$ENDING" ]; do
    spawn_app "$mode"
    started=$SECONDS
    while kill -0 "$APP" 2>/dev/null && [ -z "$ENDING" ]; do
      sleep 0.5 7>&- & wait $! || true
      tick=$((tick + 1))
      if [ $answered = no ] && answers "$PORT" /up; then answered=yes; say "$PRINT" >"$STATE/served"; record_classes; fi
      if [ $((tick % 4)) = 0 ] && ! outside && ! cluster_ready "$CLUSTER"; then
        say "$(date '+%F %T') the database does not answer; it is started"
        bring_database_back || kill "$APP" 2>/dev/null || true
      fi
      [ $((tick % 120)) != 119 ] || housekeeping "$mode"
    done
    [ -z "$ENDING" ] || break
    wait "$APP" || true
    keep_log_of_crash
    # one that never answered has failed, however long it took
    [ $answered = no ] || [ $((SECONDS - started)) -lt 60 ] || ended=0
    ended=$((ended + 1))
    say "$(date '+%F %T') the application ended ($ended); it is started again"
    if [ $answered = no ] && [ $ended -ge 3 ]; then break; fi
    for ((i = 0; i < (ended - 1) * 4 && i < 40; i++)); do [ -n "$ENDING" ] || { sleep 0.5 7>&- & wait $! || true; }; done
    outside || [ -n "$ENDING" ] || bring_database_back || true
  done
  stop_app
  outside || stop_cluster "$CLUSTER"
  rm -f "$STATE/keeper.pid"
  [ -n "$ENDING" ] || fail "the application ended three times while starting; the end of its log says: $(why_it_ended)"
}

# What the application is at, by its log; empty if it has not said.
progress_of() { # $1 where in the log to begin
  tail -c +"$1" "$STATE/log/app.log" 2>/dev/null | sed -n 's/.* : Progress: //p' | tail -n 1 || true
}

# How long the processor has worked on it, in ticks.
work_of() { awk '{ print $14 + $15 }' "/proc/$(app_pid || true)/stat" 2>/dev/null || say 0; }

# Keeps it in the background and waits until it answers: as long as it is at work, and not for ever.
keep_behind() { # $1 demo | house
  local started=$SECONDS begun from shown='' now moved=$SECONDS worked=0
  from=$(($(stat -c %s "$STATE/log/app.log" 2>/dev/null || say 0) + 1))
  MOSAIC_KEEP_PORT=$PORT MOSAIC_KEEP_ADDRESS=$ADDRESS setsid "$ROOT/mosaic" keep "$1" \
    >"$STATE/log/keeper.log" 2>&1 </dev/null 9>&- &
  begun=$!
  while [ $((SECONDS - moved)) -lt 120 ] && [ $((SECONDS - started)) -lt 1800 ]; do
    if answers "$PORT" /up; then return; fi
    sleep 0.1
    if [ $((SECONDS - moved)) -ge 2 ]; then
      now=$(progress_of "$from")
      [ "$now" = "$shown" ] || { shown=$now; say "  $shown"; }
      now=$(work_of)
      [ "$now" = "$worked" ] || { worked=$now; moved=$SECONDS; }
    fi
    # on a slow machine it lives for a while before it has written that it does
    kill -0 "$begun" 2>/dev/null || keeper_pid >/dev/null ||
      fail "$(tail -n 5 "$STATE/log/keeper.log" | sed 's/^mosaic: //')"
  done
  stop_keeper
  fail "the application does not answer and no longer works on it; see $STATE/log/app.log, then start it again"
}

verb_keep() { # only ./mosaic itself calls this
  ensure_state
  ensure_packages plain
  PRINT=$(cat "$STATE/run/built")
  PORT=$MOSAIC_KEEP_PORT ADDRESS=$MOSAIC_KEEP_ADDRESS
  unset MOSAIC_KEEP_PORT MOSAIC_KEEP_ADDRESS
  if outside; then use_outside; else use_cluster "$CLUSTER"; APP_PASSWORD=$(cat "$CLUSTER/app-password"); fi
  keep "$1"
}

# ---- starting and stopping --------------------------------------------------------------------

already_running() { # $1 mode: says so and succeeds if it runs in that mode, kept, and is current
  local pid
  pid=$(app_pid) && keeper_pid >/dev/null || return 1
  [ "$(cat "$STATE/mode")" = "$1" ] && built_is_current || return 1
  ADDRESS=$(cat "$STATE/app.address")
  answers "$(cat "$STATE/app.port")" /up || return 1
  PORT=$(cat "$STATE/app.port")
  say "It is running already (pid $pid)."
}

prepare() { # $1 demo | house: everything up to the start
  local database
  choose_address
  stop_keeper
  stop_app
  mkdir -p "$STATE/log"; chmod 700 "$STATE/log"
  choose_port
  if outside; then
    [ "$1" = house ] || fail "the demo runs on a database of its own; unset MOSAIC_DB_URL"
    build
    use_outside
    return
  fi
  choose_cluster
  say "Preparing the database…"
  (start_cluster "$CLUSTER" durable) & database=$!
  build
  wait $database || exit 1
  start_cluster "$CLUSTER" durable
  ensure_role
  [ "$FRESH" = no ] || drop_database "mosaic_$1"
  ensure_database "mosaic_$1"
  if [ "$1" = house ]; then keep_what_an_older_release_had; fi
}

# A newer release changes the tables; what the older one had is kept first.
keep_what_an_older_release_had() {
  local served file
  served=$(cat "$STATE/served" 2>/dev/null) || served=''
  [ -n "$served" ] && [ "$served" != "$PRINT" ] && is_a_house mosaic_house || return 0
  file=$(backup_folder)/mosaic-house-before-$(release)-$(date +%Y%m%d-%H%M%S).backup
  write_backup mosaic_house house "$file" || fail "the backup before the newer release failed; nothing was changed"
  say "This is a newer release. The house as the older one had it is kept in $file."
}

launch() { # $1 demo | house
  lock
  ensure_room 500
  ensure_packages plain
  if [ "$FRESH" = no ] && already_running "$1"; then return; fi
  prepare "$1"
  say "Starting…"
  keep_behind "$1"
}

url() { say "http://$(in_url "$(reachable)"):$PORT/"; }

verb_demo() {
  launch demo
  say ""
  say "Mosaic Knife, demo of Saltmarsh Row: $(url)"
  say "Sign in as ines (sous chef), tobiah (butcher), maren (learner) or adaeze (owner); the password is port-sallow-demo"
  say "Stop it with ./mosaic stop"
}

verb_start() {
  [ "$FRESH" = no ] || fail "start has no --fresh: it would delete a real house. Use ./mosaic backup and restore"
  launch house
  say ""
  say "Mosaic Knife: $(url)"
  [ "$(id -u)" != 0 ] || say "It runs as root, which is more than it needs: docs/guide/operation.md makes it a user of its own."
  [ ! -s "$STATE/first-owner" ] || say "First owner: open $(cat "$STATE/first-owner") (works once)"
  say "Stop it with ./mosaic stop"
  ensure_seal
  [ -z "${SEAL_IS_NEW:-}" ] || { say ""; say_seal; }
}

verb_run() {
  local mode=house
  [ "${1:-}" != --demo ] || mode=demo
  lock
  ensure_room 500
  ensure_packages plain
  prepare "$mode"
  say "Mosaic Knife: $(url)"
  [ "$mode" = demo ] || say "A first owner's link is in $STATE/first-owner while the house has nobody."
  keep "$mode"
  say "Stopped."
}

verb_stop() {
  local pid
  lock
  pid=$(app_pid) || pid=''
  stop_keeper
  stop_app
  outside || [ -z "$(pg_bin)" ] || stop_cluster "$CLUSTER"
  if [ -n "$pid" ]; then say "Stopped."; else say "It was not running."; fi
}

verb_status() {
  local pid port free
  ensure_state
  choose_address
  if pid=$(app_pid); then
    port=$(cat "$STATE/app.port")
    say "The application ($(cat "$STATE/mode")) runs as pid $pid: http://$(in_url "$(reachable)"):$port/ $(answers "$port" /up && say 'and answers' || say 'but does not answer; see '"$STATE/log/app.log")"
    keeper_pid >/dev/null && say "It is kept running: what ends is started again." || say "Nobody keeps it running; ./mosaic stop and start mend that."
  else
    say "The application is not running."
  fi
  if outside; then
    say "The database is the house's own: $OUTSIDE_URL"
  elif [ -n "$(pg_bin)" ] && cluster_ready "$CLUSTER"; then
    say "The database runs on 127.0.0.1:$(cat "$CLUSTER/port")."
  else
    say "The database is not running."
  fi
  say "The last daily backup: $(last_backup)"
  free=$(least_free_mb)
  if [ "$free" -lt "$LEAST_ROOM_MB" ]; then
    say "Only $free MB are free at $STATE: make room before the database stops for want of it."
  else
    say "$free MB are free."
  fi
}

# ---- a service of the machine, and a lost owner -----------------------------------------------

verb_service() {
  local folder file user line manager=(systemctl)
  lock
  choose_address
  if [ "$(id -u)" = 0 ]; then
    folder=/etc/systemd/system
    user=$(stat -c %U "$ROOT")
  else
    folder=${XDG_CONFIG_HOME:-$HOME/.config}/systemd/user
    manager=(systemctl --user)
    user=''
  fi
  [ "${1:-}" != --into ] || folder=${2:?}
  file=$folder/mosaic-knife.service
  mkdir -p "$folder" || fail "$folder cannot be written"
  {
    say "[Unit]"
    say "Description=Mosaic Knife"
    say "After=network.target"
    say ""
    say "[Service]"
    [ -z "$user" ] || say "User=$user"
    say "ExecStart=\"$ROOT/mosaic\" run"
    [ "$STATE" = "$ROOT/.mosaic" ] || say "Environment=\"MOSAIC_HOME=$STATE\""
    [ -z "$PORT" ] || say "Environment=\"MOSAIC_PORT=$PORT\""
    [ "$ADDRESS" = 127.0.0.1 ] || say "Environment=\"MOSAIC_ADDRESS=$ADDRESS\""
    say "# what ends by itself is started again; ./mosaic stop ends it for good"
    say "Restart=on-failure"
    say "RestartSec=2"
    say "# the first start builds, and a newer release is built before it runs"
    say "TimeoutStartSec=600"
    say "TimeoutStopSec=90"
    say "KillMode=mixed"
    say "UMask=0027"
    say ""
    say "[Install]"
    say "WantedBy=$([ -n "$user" ] && say multi-user.target || say default.target)"
  } >"$file"
  say "Written: $file"
  say "It runs ./mosaic run${user:+ as $user}, starts it with the machine, and starts it again if it ends."
  line="${manager[*]} daemon-reload && ${manager[*]} enable --now mosaic-knife"
  if [ "${1:-}" != --into ] && [ -d /run/systemd/system ]; then
    say "Nothing was started. Stop what runs now with ./mosaic stop, then: $line"
  else
    say "Nothing was started. On a machine with systemd, then: $line"
  fi
  [ -n "$user" ] || say "To run while nobody is signed in to the machine: loginctl enable-linger $(id -un)"
  [ "$user" != root ] || say "The folder belongs to root. A user of its own is better: see docs/guide/operation.md."
}

# A house whose owner left or forgot everything: whoever may run this on the machine may make an owner.
verb_owner() {
  local link database
  with_database
  database=$(house_database)
  [ "$MODE" = house ] || fail "the demo has its owner, adaeze; this is for a real house"
  is_a_house "$database" || fail "the house has nobody yet: ./mosaic start prints the link of the first owner"
  link=$(head -c 32 /dev/urandom | base64 | tr '+/' '-_' | tr -d '=\n')
  psql_of "$database" -c "insert into welcome_link (token_hash, created_at, kind, expires_at)
    values ('$(printf '%s' "$link" | sha256sum | cut -c1-64)', now(), 'OWNER', now() + interval '1 hour')" ||
    fail "the link could not be written; start this release once, then try again"
  PORT=${PORT:-$(cat "$STATE/app.port" 2>/dev/null || say 8080)}
  choose_address
  say "Open within an hour, once: $(url)welcome?link=$link"
  say "It makes a new owner, or makes a person who is there already an owner with a new password."
  app_pid >/dev/null || say "The application is not running; ./mosaic start starts it."
}
