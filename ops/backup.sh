# Backups and putting them back.
# A file is one line that says what it is, then the dump of pg_dump (encrypted if a key is given),
# then one line with the SHA-256 of all before it. So a cut or damaged file is told from a whole one
# before anything is touched. By hand: head -c -73 FILE | tail -n +2 | pg_restore …

HEAD_MARK='MOSAIC-BACKUP 1'
TAIL_BYTES=73

backup_folder() {
  local folder=${MOSAIC_BACKUPS:-$STATE/backups}
  (umask 077; mkdir -p "$folder") || fail "$folder cannot be written; set MOSAIC_BACKUPS"
  say "$folder"
}

last_backup() {
  local newest
  newest=$(ls -1 "${MOSAIC_BACKUPS:-$STATE/backups}"/mosaic-house-[0-9]*.backup 2>/dev/null | tail -n 1)
  if [ -n "$newest" ]; then say "$newest, $(date -r "$newest" '+%F %H:%M')"; else say "none yet"; fi
}

# One a day, from four in the morning on; what was missed while the machine was off comes at once.
backup_is_due() {
  local today newest
  today=$(date +%Y%m%d)
  newest=$(ls -1 "${MOSAIC_BACKUPS:-$STATE/backups}"/mosaic-house-[0-9]*.backup 2>/dev/null | tail -n 1)
  [[ $newest != *"mosaic-house-$today"* ]] && { [ -z "$newest" ] || [ "$(date +%H)" -ge "${MOSAIC_BACKUP_HOUR:-4}" ]; } &&
    is_a_house mosaic_house
}

key_file() {
  [ -n "$KEY" ] || return 1
  [ -s "$KEY" ] || fail "the key file $KEY is not there or empty"
}

cipher() { openssl enc -aes-256-cbc -pbkdf2 -iter 300000 "$@" -pass "file:$KEY" 2>/dev/null; }

# Writes the dump of a database into a file, whole or not at all.
write_backup() { # $1 database, $2 demo | house, $3 file
  local database=$1 mode=$2 file=$3 how=plain result=0
  ! key_file || how=encrypted
  (
    umask 077
    set -o pipefail
    rm -f "$file.new"
    say "$HEAD_MARK $mode $how $(release) $(date -u +%Y-%m-%dT%H:%M:%SZ)" >"$file.new" &&
      if [ $how = encrypted ]; then
        "$(pg_bin)/pg_dump" -Fc -d "$database" | cipher -salt >>"$file.new"
      else
        "$(pg_bin)/pg_dump" -Fc -d "$database" >>"$file.new"
      fi &&
      say "
sha256 $(sha256sum "$file.new" | cut -c1-64)" >>"$file.new" &&
      sync "$file.new" && mv "$file.new" "$file"
  ) || result=$?
  [ $result = 0 ] || rm -f "$file.new"
  return $result
}

head_of() { head -n 1 "$1" 2>/dev/null | head -c 200 | tr -d '\0'; }

# Whether a file is whole, before any database is asked. Sets BACKUP_MODE and BACKUP_HOW.
check_file() { # $1 file, $2 how the sentence ends
  local file=$1 end=$2 said word
  [ -s "$file" ] || fail "$file is empty; $end"
  said=$(head_of "$file")
  if [[ $said == PGDMP* ]]; then # of a release before there was a first line
    BACKUP_HOW=bare
    BACKUP_MODE=$("$(pg_bin)/pg_restore" -l "$file" 2>/dev/null | sed -n 's/^; *dbname: mosaic_//p')
    [ -n "$BACKUP_MODE" ] || fail "$file is not a whole backup of Mosaic Knife; $end"
    return
  fi
  [[ $said == "$HEAD_MARK "* ]] || fail "$file is not a backup of Mosaic Knife; $end"
  read -r _ _ BACKUP_MODE BACKUP_HOW _ <<<"$said"
  word=$(tail -c $TAIL_BYTES "$file" | tr -d '\0' | sed -n 's/^sha256 \([0-9a-f]\{64\}\)$/\1/p')
  [ -n "$word" ] || fail "$file is cut off: its last line is missing; $end"
  [ "$(head -c -$TAIL_BYTES "$file" | sha256sum | cut -c1-64)" = "$word" ] ||
    fail "$file is damaged: its checksum does not match; $end"
  [ "$BACKUP_HOW" != encrypted ] || [ -n "$KEY" ] || fail "$file is encrypted; say --key FILE; $end"
  [ "$BACKUP_HOW" != encrypted ] || key_file
}

body_of() { # $1 file
  case $BACKUP_HOW in
    bare) cat "$1" ;;
    encrypted) head -c -$TAIL_BYTES "$1" | tail -n +2 | cipher -d ;;
    *) head -c -$TAIL_BYTES "$1" | tail -n +2 ;;
  esac
}

# Puts a file into a new database and looks whether a house stands in it that this release serves.
rehearse() { # $1 file, $2 new database, $3 how the sentence ends
  drop_database "$2"
  ensure_database "$2"
  # not a pipe: pg_restore may end before it has read the last bytes, which is no failure
  "$(pg_bin)/pg_restore" --exit-on-error --no-owner --no-privileges --role=mosaic_app -d "$2" \
    < <(body_of "$1") >"$STATE/log/restore.log" 2>&1 ||
    { drop_database "$2"; fail "$1 $([ "$BACKUP_HOW" = encrypted ] && say 'does not open with this key' || say 'is not a whole backup of Mosaic Knife'); $3"; }
  is_a_house "$2" ||
    { drop_database "$2"; fail "$1 is not a backup of a house of Mosaic Knife; $3"; }
  serves "$2" ||
    { drop_database "$2"; fail "the application does not start on $1 (it may come from another version); $3. Why: $STATE/log/restore.log"; }
}

# Starts a second application on a database, looks whether it answers, and ends it again. Flyway
# checks on the way that every migration of the database is one of ours.
serves() { # $1 database
  local port java='' i result=1 flags=("${JAVA_FLAGS[@]}")
  port=$(free_port 18000 18999) || return 1
  [ ! -f "$STATE/run/classes.jsa" ] || flags+=(-XX:SharedArchiveFile="$STATE/run/classes.jsa" -Xshare:auto)
  MOSAIC_DB_URL="jdbc:postgresql://127.0.0.1:$PGPORT/$1" MOSAIC_DB_USER=mosaic_app MOSAIC_DB_PASSWORD=$APP_PASSWORD \
    MOSAIC_PORT=$port MOSAIC_ADDRESS=127.0.0.1 MOSAIC_DEMO=false MOSAIC_SCALE_STAND_IN=false MOSAIC_LINK_FILE='' \
    "$JAVA_HOME/bin/java" "${flags[@]}" -jar "$STATE/run/app/app.jar" >>"$STATE/log/restore.log" 2>&1 </dev/null 7>&- 9>&- &
  java=$!
  for ((i = 0; i < 600; i++)); do
    kill -0 $java 2>/dev/null || break
    if answers "$port" /up 127.0.0.1; then result=0; break; fi
    sleep 0.1
  done
  kill $java 2>/dev/null || true
  wait $java 2>/dev/null || true
  return $result
}

house_database() { if outside; then say "$DATABASE"; else say "mosaic_$MODE"; fi; }

with_database() { # the database of the last mode; sets MODE
  lock
  ensure_packages plain
  mkdir -p "$STATE/log"; chmod 700 "$STATE/log"
  if outside; then MODE=house; use_outside; return; fi
  MODE=$(cat "$STATE/mode" 2>/dev/null) || fail "there is no database yet; run ./mosaic demo or ./mosaic start first"
  choose_cluster
  start_cluster "$CLUSTER" durable
  ensure_role
  ensure_database "mosaic_$MODE"
}

verb_db() {
  with_database
  exec 9>&-
  exec "$(pg_bin)/psql" -d "$(house_database)" "$@"
}

verb_backup() {
  case "${1:-}" in
    --check) [ $# = 2 ] && [ -f "$2" ] || fail "say which file, and it must be there: ./mosaic backup --check FILE"
      check_backup "$2"; return ;;
    --daily) daily_backup; return ;;
  esac
  [ $# = 1 ] || fail "say into which file: ./mosaic backup FILE"
  with_database
  write_backup "$(house_database)" "$MODE" "$1" || fail "the backup failed; is $1 writable and is there room? Nothing is left of it"
  note_backup "$(house_database)" "$1"
  say "The database ($MODE) is in $1, $(du -h "$1" | cut -f1)$([ -z "$KEY" ] || say ', encrypted')."
}

# The house says on its own pages when it was last backed up.
note_backup() { # $1 database, $2 file
  local encrypted=false
  [ -z "$KEY" ] || encrypted=true
  psql_of "$1" -v file="$2" -v bytes="$(stat -c %s "$2")" -v encrypted=$encrypted >/dev/null 2>&1 <<'SQL' || true
insert into backup_made (made_at, file, bytes, encrypted) values (now(), left(:'file', 400), :bytes, :encrypted);
SQL
}

daily_backup() {
  local folder file
  with_database
  folder=$(backup_folder)
  file=$folder/mosaic-house-$(date +%Y%m%d-%H%M%S).backup
  write_backup "$(house_database)" house "$file" || fail "$(date '+%F %T') the daily backup failed; is there room at $folder?"
  note_backup "$(house_database)" "$file"
  say "$(date '+%F %T') $file"
  forget_old_backups "$folder"
}

# The newest stays whatever its age; files of other names are not ours to delete.
forget_old_backups() { # $1 folder
  local days=${MOSAIC_BACKUP_DAYS:-14} oldest file
  [[ $days =~ ^[0-9]+$ ]] || days=14
  oldest=mosaic-house-$(date -d "$days days ago" +%Y%m%d-%H%M%S).backup
  for file in $(cd "$1" && ls -1 mosaic-house-[0-9]*.backup 2>/dev/null | head -n -1); do
    [[ ! $file < $oldest ]] || rm -f -- "$1/$file"
  done
}

check_backup() { # $1 file
  local started=$SECONDS counted end="nothing was changed"
  with_database
  outside && fail "a check needs a database of this folder; unset MOSAIC_DB_URL and run ./mosaic start once"
  check_file "$1" "$end"
  build
  rehearse "$1" mosaic_rehearsal "$end"
  counted=$(psql_of mosaic_rehearsal -c "select count(*) || ' weighings, the last of ' || coalesce(max(taken_at)::date::text, 'no day') from weighing")
  drop_database mosaic_rehearsal
  say "$1 is whole ($BACKUP_MODE, $BACKUP_HOW): $counted. It was put back beside the house and served, in $((SECONDS - started)) s."
}

verb_restore() {
  [ $# = 1 ] && [ -f "$1" ] || fail "say from which file, and it must be there: ./mosaic restore FILE"
  with_database
  outside && fail "MOSAIC_DB_URL names a database of the house's own: docs/guide/instances.md says how to restore there"
  local new=mosaic_restoring live="mosaic_$MODE" old was_running=no end="the database ($MODE) is as it was"
  check_file "$1" "$end"
  [ "$BACKUP_MODE" = "$MODE" ] || {
    [ "$MODE" = demo ] && fail "$1 is of a real house and here runs the demo; start the house first (./mosaic start). $end" ||
      fail "$1 is of the demo and here lives a real house; it is refused. $end"
  }
  ensure_room 300
  build
  old="mosaic_before_$(date +%Y%m%d_%H%M%S)"
  rehearse "$1" $new "$end"
  if app_pid >/dev/null; then was_running=yes; fi
  choose_address
  PORT=${PORT:-$(cat "$STATE/app.port" 2>/dev/null || true)}
  stop_keeper
  stop_app
  start_cluster "$CLUSTER" durable
  rename_database "$live" "$old"
  rename_database $new "$live"
  if [ $was_running = yes ] && ! (keep_behind "$MODE"); then
    start_cluster "$CLUSTER" durable
    rename_database "$live" $new
    rename_database "$old" "$live"
    drop_database $new
    keep_behind "$MODE"
    fail "the application did not start after the restore; $end and it runs again"
  fi
  say "The database ($MODE) is as it was in $1. The one before is there as $old; drop it when you are sure."
  [ $was_running = no ] || say "It runs again: $(url)"
}
