#!/usr/bin/env bash
# Seconds from ./start to the page, when everything is installed already: bench/start.sh [PORT]
set -euo pipefail
cd "$(dirname "$0")/.."
port=${1:-8473}
began=$(date +%s.%N)
./start --port "$port" >/dev/null &
start=$!
trap 'kill -TERM $start 2>/dev/null || true; wait $start || true' EXIT
until curl -fsS -o /dev/null "http://127.0.0.1:$port/sign-in" 2>/dev/null; do sleep 0.05; done
printf './start, everything installed: %.1f s until the page answers\n' "$(echo "$(date +%s.%N) - $began" | bc)"
