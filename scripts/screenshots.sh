#!/usr/bin/env bash
# Makes docs/screenshots anew from a fresh demo.
set -u
cd "$(dirname "$(readlink -f "$0")")/.." || exit 1
. scripts/common.sh
install_web_packages tests/e2e
[ -x /usr/bin/chromium-headless-shell ] || install_package chromium-headless-shell Chromium
port=$(first_free_port 5350)
data=$(mktemp -d /tmp/umbracell-pictures.XXXXXX)
chmod 755 "$data"
./run --data "$data" --port "$port" --clock 2026-11-23T12:40:00Z >"$data/run.log" 2>&1 &
product=$!
trap 'kill $product 2>/dev/null; wait $product 2>/dev/null; rm -rf "$data"' EXIT
for _ in $(seq 1 1200); do
  grep -q 'Ctrl-C stops it' "$data/run.log" && break
  kill -0 $product 2>/dev/null || { cat "$data/run.log"; exit 1; }
  sleep 0.5
done
(cd tests/e2e && node screenshots.mjs "http://127.0.0.1:$port" ../../docs/screenshots)
