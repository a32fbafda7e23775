#!/usr/bin/env bash
# A server of its own whose database lies on a small disk in memory, which is filled while people log and freed again.
# Wants root, to mount that disk: bench/full-disk.sh
set -euo pipefail
cd "$(dirname "$0")/.."
[ "$(id -u)" = 0 ] || { echo "bench/full-disk.sh: wants root, to mount a small disk" >&2; exit 1; }
home=$(mktemp -d)
clone=$home/bead
start=
tidy() {
    [ -z "$start" ] || { kill -TERM "$start" 2>/dev/null || true; wait "$start" 2>/dev/null || true; }
    umount "$clone/var/pg" 2>/dev/null || true
    rm -rf "$home"
}
trap tidy EXIT
git clone -q --no-hardlinks . "$clone"
chmod 755 "$home"
mkdir -p "$clone/var/pg" "$clone/public"
cp -al vendor "$clone/" && cp -al core/vendor "$clone/core/" && cp -al public/build "$clone/public/" && cp -al node_modules "$clone/"
cp -a var/stamps "$clone/var/"
mount -t tmpfs -o size=200m,mode=755 tmpfs "$clone/var/pg"
port=$((21000 + RANDOM % 9000))
(cd "$clone" && exec ./start --port "$port") >"$home/start.log" 2>&1 &
start=$!
for _ in $(seq 300); do
    grep -q '^Upswept Bead:' "$home/start.log" && break
    sleep 0.3
done
rc=0
node bench/full-disk.mjs "http://127.0.0.1:$port" "$clone/var/pg" || rc=$?
echo
echo "What ./start said:"
sed '1,/Ctrl-C/d' "$home/start.log"
exit $rc
