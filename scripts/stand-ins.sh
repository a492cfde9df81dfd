# What stands in for the world outside while the demo runs: sourced by run.
# shellcheck shell=bash

STAND_INS_PID=

# start_stand_ins LOG: starts them on a free port and tells the server where its forecasts come from.
start_stand_ins() {
  local log=$1 program=src/Umbracell.StandIns/bin/Release/net10.0/Umbracell.StandIns.dll
  STAND_INS_PORT=$(first_free_port $((PORT + 1)))
  (umask 077 && : >"$log")
  dotnet "$program" --urls "http://127.0.0.1:$STAND_INS_PORT" >"$log" 2>&1 9>&- &
  STAND_INS_PID=$!
  for _ in $(seq 1 100); do
    kill -0 "$STAND_INS_PID" 2>/dev/null || {
      STAND_INS_PID=
      fail "the stand-ins stopped at once; their log is $log: $(tail -n 1 "$log" | cut -c1-300)"
    }
    port_taken "$STAND_INS_PORT" && break
    sleep 0.1
  done
  local source=Forecasts__Sources__0
  export Forecasts__LetAloneSeconds=5
  export "${source}__Name=Made-up forecast" "${source}__Address=http://127.0.0.1:$STAND_INS_PORT/forecasts" \
    "${source}__Collection=ensemble" "${source}__Attribution=Made-up weather of the demo" \
    "${source}__Parameters__Temperature=air-temperature" "${source}__Parameters__Humidity=relative-humidity" \
    "${source}__Parameters__Wind=wind-speed" "${source}__Parameters__Gust=wind-gust" \
    "${source}__Parameters__Cloud=cloud-cover" "${source}__Parameters__Precipitation=precipitation"
}

stop_stand_ins() {
  [ -n "$STAND_INS_PID" ] || return 0
  kill "$STAND_INS_PID" 2>/dev/null
  wait "$STAND_INS_PID" 2>/dev/null
  STAND_INS_PID=
}
