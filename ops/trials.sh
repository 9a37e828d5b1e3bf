# Tests, pictures, measurements and drills, each on a throw-away database.

with_throw_away_database() {
  ensure_state
  ensure_room 500
  ensure_packages "${1:-with-browser}"
  SCRATCH=$(mktemp -d "$STATE/test.XXXXXX")
  chmod 755 "$SCRATCH"
  if [ "$(id -u)" = 0 ] && ! as_postgres test -x "$SCRATCH"; then
    # a folder above is closed to the user postgres, as a home is; a throw-away database may lie elsewhere
    rmdir "$SCRATCH"
    SCRATCH=$(mktemp -d /var/tmp/mosaic-test.XXXXXX)
    chmod 755 "$SCRATCH"
  fi
  trap 'stop_cluster "$SCRATCH"; rm -rf "$SCRATCH"' EXIT
  start_cluster "$SCRATCH" "${2:-throw-away}"
  "$(pg_bin)/createdb" mosaic_test
  export MOSAIC_TEST_DB_HOST="127.0.0.1:$PGPORT" MOSAIC_TEST_DB_USER=mosaic MOSAIC_TEST_DB_PASSWORD=$PGPASSWORD
  export PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD=1
}

count() { # sums an attribute of the test reports
  { find "$ROOT"/{core,app,e2e}/target/surefire-reports -name 'TEST-*.xml' -newer "$SCRATCH/port" -exec grep -ohE '<testsuite [^>]*' {} + 2>/dev/null || true; } |
    sed -nE "s/.* $1=\"([0-9]+)\".*/\1/p" | awk '{sum += $1} END {print sum + 0}'
}

verb_test() {
  if [ "${1:-}" = --mutants ]; then
    (cd "$ROOT" && mvn -B -Dstyle.color=never --no-transfer-progress -Dquick -Pmutants -pl core \
      test-compile org.pitest:pitest-maven:mutationCoverage) || fail "too many mutants live; read core/target/pit-reports/index.html"
    say "The report lies in core/target/pit-reports/index.html"
    return
  fi
  with_throw_away_database
  local result=0 failed
  (cd "$ROOT" && mvn -B -Dstyle.color=never --no-transfer-progress verify "$@") || result=$?
  failed=$(($(count failures) + $(count errors)))
  say ""
  say "$(($(count tests) - failed - $(count skipped))) passed, $failed failed"
  return $result
}

verb_shots() {
  with_throw_away_database
  (cd "$ROOT" && mvn -q -B -Dstyle.color=never -Dquick -pl core,app,e2e -Dtest=Shots -Dsurefire.failIfNoSpecifiedTests=false -Dtests.needed=false -Dmosaic.shots="$ROOT/docs/screenshots" verify) ||
    fail "the pictures could not be taken; read the lines above"
  say "The pictures in docs/screenshots are new; open them and judge them."
}

# Pulls plugs and tries to get in, on databases and applications of its own; a table says what held.
verb_drill() {
  with_throw_away_database with-proxy
  local lines through=yes
  (cd "$ROOT" && mvn -B -Dstyle.color=never --no-transfer-progress -Dquick -fae -pl core,app,e2e -Dtests.parallel=none \
    -Dtest='*Drill,MalformedTest,FieldsAndRolesTest,EveryChangeTest,ChangeMatrixTest' -Dsurefire.failIfNoSpecifiedTests=false -Dtests.needed=false -Dmosaic.drill.rounds="${1:-10}" -Dmosaic.drill.minutes="${2:-0}" verify) \
    >"$SCRATCH/drill.log" 2>&1 || through=no
  lines=$(grep -E '^drilled \|' "$SCRATCH/drill.log" || true)
  printf '%-58s %9s %6s %8s  %s\n' "what" "tried" "lost" "doubled" "verdict"
  printf '%s\n' "$lines" | awk -F' *[|] *' '{ printf "%-58s %9s %6s %8s  %s\n", $2, $3, $4, $5, $6 }'
  [ $through = yes ] || { cp "$SCRATCH/drill.log" "$STATE/drill.log"; grep -E '^\[ERROR\]' "$STATE/drill.log" | head -n 12 >&2; fail "the drill did not run through; see $STATE/drill.log"; }
  [ -n "$lines" ] || fail "the drill tried nothing"
  ! printf '%s\n' "$lines" | grep -qE '(FAILED|left out)$' || fail "something did not hold, or was left out"
}

verb_bench() {
  # it waits for the disk as the database of a house does, or the comparison flatters nobody
  with_throw_away_database with-browser durable
  local lines through=yes
  (cd "$ROOT" && mvn -B -Dstyle.color=never --no-transfer-progress -Dquick -fae -pl core,app,e2e -Dtests.jvm=-Xss4m -Dtests.parallel=none \
    -Dtest="${1:-JudgeBenchmarkTest,*Bench}" -Dsurefire.failIfNoSpecifiedTests=false -Dtests.needed=false verify) \
    >"$SCRATCH/bench.log" 2>&1 || through=no
  grep -E '( alarm +[0-9.]+ %|^two errors|^called |^risk of ^[0-9]+ weights)' "$SCRATCH/bench.log" || true
  lines=$(grep -E '^measured \|' "$SCRATCH/bench.log" || true)
  say ""
  printf '%-48s %12s %12s  %s\n' "what" "measured" "limit" "verdict"
  printf '%s\n' "$lines" | awk -F' *[|] *' '{ printf "%-48s %12s %12s  %s\n", $2, $3, $4, $5 }'
  [ $through = yes ] || { grep -E '^\[ERROR\]' "$SCRATCH/bench.log" | head -n 12 >&2; fail "the measurement did not run through"; }
  ! printf '%s\n' "$lines" | grep -q 'WORSE$' || fail "a measurement is worse than its limit"
}
