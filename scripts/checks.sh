# shellcheck shell=bash
# Counting, timing and the checks of what is written by hand. Lines are told by lanes that run beside one another, so the tally is a file.

# tally PASSED FAILED
tally() { printf '%s %s\n' "$1" "$2" >>"$TEMP/tally"; }

# check NAME COMMAND...: counts as one test.
check() {
  local name=$1 log
  shift
  log=$(mktemp "$TEMP/check.XXXXXX")
  if "$@" >"$log" 2>&1; then
    tally 1 0
    say "ok    $name"
  else
    tally 0 1
    say "FAIL  $name"
    tail -n 40 "$log"
    { echo "$name"; tail -n 5 "$log"; } >>"$TEMP/failures"
  fi
}

# suite NAME COMMAND...: counts as one test, and shows what it measured.
suite() {
  local name=$1
  shift
  say "$name"
  if (set -o pipefail; "$@" 2>&1 | tee "$TEMP/suite.log"); then
    tally 1 0
  else
    tally 0 1
    { echo "$name"; tail -n 5 "$TEMP/suite.log"; } >>"$TEMP/failures"
  fi
}

# count NAME PASSED FAILED: adds the figures of a runner.
count() {
  tally "$2" "$3"
  say "$([ "$3" -eq 0 ] && echo ok || echo FAIL)    $1: $2 passed, $3 failed"
}

# timed NAME COMMAND...: notes how long it took.
timed() {
  local name=$1 start
  shift
  start=$(date +%s)
  "$@"
  printf '%4d s  %s\n' "$(($(date +%s) - start))" "$name" >>"$TEMP/times"
}

# told: what failed, how long each step took, and the one line that counts.
told() {
  local passed failed
  passed=$(awk '{ sum += $1 } END { print sum + 0 }' "$TEMP/tally")
  failed=$(awk '{ sum += $2 } END { print sum + 0 }' "$TEMP/tally")
  say ''
  [ ! -s "$TEMP/failures" ] || { head -n 60 "$TEMP/failures" && say ''; }
  cat "$TEMP/times"
  say "$(printf '%4d s  all of it; steps beside one another overlap' "$SECONDS")"
  say "$passed passed, $failed failed"
  [ "$failed" -eq 0 ]
}

formatted_csharp() { dotnet tool restore && dotnet csharpier check .; }

# Lines that do not fit a screen, in what is written by hand.
long_lines() {
  local long
  long=$(git ls-files '*.cs' '*.ts' '*.vue' '*.mjs' '*.sh' run test | grep -v -e Migrations/ -e schema.d.ts |
    xargs awk 'length > 160 { print FILENAME ":" FNR ": " length " columns" }')
  printf '%s\n' "$long"
  [ -z "$long" ]
}

# What is entered is kept in one way: whatever changes a record that has a version goes through the record editor.
no_other_queues() {
  local others
  others=$(git ls-files 'web/src/*.ts' 'web/src/*.vue' | grep -v -e '\.test\.ts$' -e '^web/src/shared/keeping/' -e schema.d.ts |
    xargs grep -nE 'api\.PATCH\(|\.tail\.then|inTurn = |new Map<string, Promise' || true)
  printf '%s\n' "$others"
  [ -z "$others" ]
}
