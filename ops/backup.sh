# Backups and putting them back.
# A file is one line that says what it is, then the dump of pg_dump (encrypted if a key is given),
# then one line with two sums of all before it: the SHA-256, which tells damage, and one that only
# the seal of the house comes to, which tells forgery. Whoever wrote a file, no line of it is ever
# given to a database as a command: rows alone are taken out of it. See docs/adr/0038.

HEAD_MARK='MOSAIC-BACKUP 2'

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

# The seal of the house: made once, shown at the first start, wanted where a backup is put back on
# another machine.
ensure_seal() {
  [ ! -s "$STATE/seal" ] || return 0
  (umask 077; head -c 32 /dev/urandom | od -An -v -tx1 | tr -d ' \n' >"$STATE/seal")
  SEAL_IS_NEW=yes
}

# The part of the application that reads and writes backups, without the rest of it. Its last line
# is the answer.
backup_tool() {
  "$JAVA_HOME/bin/java" "${JAVA_FLAGS[@]}" -cp "$STATE/run/app/app.jar" mosaicknife.app.backup.BackupTool "$@" \
    2>>"$STATE/log/restore.log" 7>&- 9>&-
}

# Writes the dump of a database into a file, whole or not at all.
write_backup() { # $1 database, $2 demo | house, $3 file
  local database=$1 mode=$2 file=$3 how=plain result=0
  ! key_file || how=encrypted
  ensure_seal
  [ -f "$STATE/run/app/app.jar" ] || build
  (
    umask 077
    set -o pipefail
    rm -f "$file.new"
    say "$HEAD_MARK $mode $how $(release) $(date -u +%Y-%m-%dT%H:%M:%SZ) $(seal_mark)" >"$file.new" &&
      if [ $how = encrypted ]; then
        "$(pg_bin)/pg_dump" -Fc -d "$database" | cipher -salt >>"$file.new"
      else
        "$(pg_bin)/pg_dump" -Fc -d "$database" >>"$file.new"
      fi &&
      backup_tool seal "$file.new" "$STATE/seal" >/dev/null &&
      sync "$file.new" && mv "$file.new" "$file"
  ) || result=$?
  [ $result = 0 ] || rm -f "$file.new"
  return $result
}

# Eight letters that tell one seal from another and give nothing of it away.
seal_mark() { printf '%b' "$(sed 's/../\\x&/g' "$STATE/seal")" | sha256sum | cut -c1-8; }

# What is said of a file that is not put back, by what the tool answered.
unfit() { # $1 file, $2 the answer, $3 how the sentence ends
  local why detail
  read -r _ why detail <<<"$2"
  case $why in
    empty) fail "$1 is empty; $3" ;;
    no_backup) fail "$1 is not a backup of Mosaic Knife; $3" ;;
    cut_off) fail "$1 is cut off: its last line is missing; $3" ;;
    damaged) fail "$1 is damaged: its checksum does not match; $3" ;;
    unsealed) fail "$1 is of a release that did not seal its backups, so nobody can tell who wrote it. If you know, say --unsealed; $3" ;;
    other_house) fail "$1 was sealed by another house (mark $detail; here it is $(seal_mark)). If that house is yours, say --seal FILE with the seal that was printed there; $3" ;;
    forged) fail "$1 says it is of this house and was not sealed here: it was changed or made up by someone else; $3" ;;
    no_seal) fail "$detail is not a seal: 64 digits and letters from a to f, as ./mosaic seal prints them; $3" ;;
    no_house) fail "$1 is not a backup of a house of Mosaic Knife; $3" ;;
    other_release) fail "$1 has changes of the tables that this release does not know${detail:+ ($detail)}; $3" ;;
    strange) fail "$1 has something in it that our tables have no place for ($detail); $3" ;;
    other_sums) fail "$1 has other weights or other money after it was brought up to date ($detail); $3" ;;
    *) fail "$1 cannot be read. Why: $STATE/log/restore.log; $3" ;;
  esac
}

# Whether a file is whole and of this house, before any database is asked. What is looked at is a
# copy, so that it is also what is put back. Sets BACKUP_COPY, BACKUP_MODE and BACKUP_HOW.
check_file() { # $1 file, $2 how the sentence ends
  local said unsealed=()
  ensure_seal
  BACKUP_COPY=$STATE/looked-at.backup
  trap 'rm -f "$BACKUP_COPY"' EXIT
  (umask 077; cp --reflink=auto "$1" "$BACKUP_COPY") || fail "$1 cannot be read, or there is no room to look at it; $2"
  [ "$UNSEALED" = no ] || unsealed=(unsealed)
  said=$(backup_tool check "$BACKUP_COPY" "${SEAL:-$STATE/seal}" "${unsealed[@]}" | tail -n 1) || true
  [[ $said == "fit "* ]] || unfit "$1" "$said" "$2"
  read -r _ BACKUP_MODE BACKUP_HOW <<<"$said"
  [ "$BACKUP_HOW" != encrypted ] || [ -n "$KEY" ] || fail "$1 is encrypted; say --key FILE; $2"
  [ "$BACKUP_HOW" != encrypted ] || key_file
}

# The dump as text. The program that unpacks it reads what a stranger may have written, so it is
# nobody, and knows no database.
unpacked() {
  local dump=(backup_tool dump "$BACKUP_COPY" "${SEAL:-$STATE/seal}") nobody=()
  [ "$UNSEALED" = no ] || dump+=(unsealed)
  [ "$(id -u)" != 0 ] || nobody=(setpriv --reuid=nobody --regid=nogroup --clear-groups --reset-env --)
  if [ "$BACKUP_HOW" = encrypted ]; then "${dump[@]}" | cipher -d; else "${dump[@]}"; fi |
    (cd / && "${nobody[@]}" "$(pg_bin)/pg_restore" --data-only --no-owner -f - 2>>"$STATE/log/restore.log")
}

# Puts the rows of a file into tables that our migrations make in a new database, as a role that
# owns nothing else, and looks whether this release serves it.
rehearse() { # $1 file, $2 new database, $3 how the sentence ends
  local password said
  : >"$STATE/log/restore.log"
  password=$(secret)
  drop_database "$2"
  psql_of postgres >/dev/null <<SQL
do \$\$ begin
  if not exists (select 1 from pg_roles where rolname = 'mosaic_restore') then create role mosaic_restore; end if;
end \$\$;
alter role mosaic_restore login nosuperuser nocreatedb nocreaterole noreplication password '$password';
create database $2 owner mosaic_restore;
revoke connect on database $2 from public;
SQL
  said=$(unpacked | MOSAIC_DB_URL="jdbc:postgresql://127.0.0.1:$PGPORT/$2" MOSAIC_DB_USER=mosaic_restore \
    MOSAIC_DB_PASSWORD=$password backup_tool load "$STATE" | tail -n 1) || true
  psql_of postgres -c "alter role mosaic_restore nologin" >/dev/null
  [[ $said == "fit "* ]] || {
    drop_database "$2"
    [[ $BACKUP_HOW$said != "encryptedunfit no_house"* ]] || fail "$1 does not open with this key; $3"
    unfit "$1" "$said" "$3"
  }
  hand_over "$2"
  is_a_house "$2" ||
    { drop_database "$2"; fail "$1 is not a backup of a house of Mosaic Knife; $3"; }
  serves "$2" ||
    { drop_database "$2"; fail "the application does not start on $1 (it may come from another version); $3. Why: $STATE/log/restore.log"; }
}

# The seal of a backup that was put back is the seal of the house from then on.
take_seal() {
  [ -n "$SEAL" ] || return 0
  ! cmp -s "$SEAL" "$STATE/seal" || return 0
  mv "$STATE/seal" "$STATE/seal.before-$(date +%Y%m%d-%H%M%S)"
  (umask 077; tr -cd 'A-Fa-f0-9' <"$SEAL" | tr A-F a-f >"$STATE/seal")
}

verb_seal() {
  lock
  ensure_seal
  if [ $# = 0 ]; then say_seal; return; fi
  (umask 077; cp "$STATE/seal" "$1") || fail "$1 cannot be written"
  say "The seal of the house is in $1. Keep it apart from the backups: who has it can forge them."
}

say_seal() {
  say "The seal of this house (mark $(seal_mark)):"
  say "  $(sed 's/.\{4\}/& /g' "$STATE/seal")"
  say "Print it and keep it apart from the backups. A backup is put back on another machine only with it;"
  say "who has it can forge one. ./mosaic seal shows it again, ./mosaic seal FILE writes it into a file."
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
  build
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
  build
  check_file "$1" "$end"
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
  build
  check_file "$1" "$end"
  [ "$BACKUP_MODE" = "$MODE" ] || {
    [ "$MODE" = demo ] && fail "$1 is of a real house and here runs the demo; start the house first (./mosaic start). $end" ||
      fail "$1 is of the demo and here lives a real house; it is refused. $end"
  }
  ensure_room 300
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
  take_seal
  say "The database ($MODE) is as it was in $1. The one before is there as $old; drop it when you are sure."
  [ $was_running = no ] || say "It runs again: $(url)"
}
