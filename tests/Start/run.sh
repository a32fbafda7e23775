#!/usr/bin/env bash
# The first start of a fresh clone, by whoever may do it: as root in a folder the web server's account can read, as root in
# one it cannot, and as an ordinary account. Each signs in, looks round, logs one entry and stops; nothing may be left over.
set -euo pipefail
ROOT=$(cd "$(dirname "$0")/../.." && pwd)
PASSED=0 FAILED=0 SKIPPED=0 WORK=() TESTER=bead-start-test MADE_TESTER=

is_root() { [ "$(id -u)" = 0 ]; }
say() { printf '%s\n' "$*"; }
port_is_free() { ! (exec 3<>"/dev/tcp/127.0.0.1/$1") 2>/dev/null; }
free_port() {
    local port
    while port=$((20000 + RANDOM % 12000)); do port_is_free "$port" && { say "$port"; return; }; done
}

tidy() {
    local folder
    for folder in "${WORK[@]}"; do
        rm -rf "${folder:?}" "/var/lib/postgresql/upswept-bead-$(printf '%s' "$folder/bead" | sha256sum | cut -c1-12)"
    done
    [ -z "$MADE_TESTER" ] || userdel -r "$TESTER" 2>/dev/null || true
}
trap tidy EXIT

# Whether anything that was started in a clone still runs or listens.
left_over() {
    local clone=$1 ports=$2 port
    if pgrep -af -- "$clone|upswept-bead-$(printf '%s' "$clone" | sha256sum | cut -c1-12)"; then return 0; fi
    for port in $ports; do
        port_is_free "$port" || { say "port $port still listens"; return 0; }
    done
    return 1
}

# What this checkout downloaded and built serves the clones: as links, or as copies where another account will own them.
# That account builds nothing, so an empty folder stands for the packages of the front end.
take_installed() {
    local clone=$1 account=$2 how=-al
    [ "$account" = "$(id -un)" ] || how=-a
    mkdir -p "$clone/var"
    cp $how "$ROOT/vendor" "$clone/"
    cp $how "$ROOT/core/vendor" "$clone/core/"
    cp $how "$ROOT/public/build" "$clone/public/"
    if [ $how = -al ]; then cp -al "$ROOT/node_modules" "$clone/"; else mkdir "$clone/node_modules"; fi
    cp -a "$ROOT/var/stamps" "$clone/var/"
}

# goes_on CLONE PORT PID LOG : each of its processes is killed under six writers and is there again; the start itself is killed,
# and the next one ends what it left and goes on. Gives the id of that one in SECOND.
goes_on() {
    local clone=$1 port=$2 pid=$3 log=$4 i
    node "$ROOT/bench/faults.mjs" "http://127.0.0.1:$port" "$clone" 1 >"$log" 2>&1 || return 1
    kill -KILL "$pid"
    wait "$pid" 2>/dev/null || true
    (cd "$clone" && exec ./start --port "$port") >>"$log" 2>&1 &
    SECOND=$!
    for i in $(seq 100); do
        grep -q '^Upswept Bead:' "$log" && break
        sleep 0.3
    done
    grep -q 'Ended what an earlier start had left running' "$log" && curl -fsS -o /dev/null --max-time 5 "http://127.0.0.1:$port/up"
}

# first_start NAME MODE ACCOUNT [FAULTS] : MODE is that of the folder round the clone; with FAULTS also what dies is tried.
first_start() {
    local name=$1 mode=$2 account=$3 faults=${4:-} home clone port ports pid began rc=0 as=()
    began=$SECONDS
    home=$(mktemp -d)
    WORK+=("$home")
    clone=$home/bead
    git clone -q --no-hardlinks "$ROOT" "$clone"
    take_installed "$clone" "$account"
    chmod "$mode" "$home"
    if [ "$account" != "$(id -un)" ]; then
        chown -R "$account" "$home"
        as=(setpriv --reuid "$account" --regid "$(id -gn "$account")" --init-groups -- env "HOME=$home" "USER=$account")
    fi
    port=$(free_port)
    (cd "$clone" && exec "${as[@]}" ./start --port "$port") >"$home/start.log" 2>&1 &
    pid=$!
    until curl -fsS -o /dev/null --max-time 5 "http://127.0.0.1:$port/sign-in" 2>/dev/null; do
        if ! kill -0 "$pid" 2>/dev/null || [ $((SECONDS - began)) -gt 400 ]; then rc=1; break; fi
        sleep 0.2
    done
    [ $rc -ne 0 ] || node "$ROOT/tests/Start/first-use.mjs" "http://127.0.0.1:$port" >"$home/use.log" 2>&1 || rc=2
    SECOND=
    if [ $rc -eq 0 ] && [ -n "$faults" ]; then goes_on "$clone" "$port" "$pid" "$home/faults.log" || rc=5; fi
    pid=${SECOND:-$pid}
    ports="$port $(sed -n 's/^DB_PORT=//p' "$clone/var/app.env" 2>/dev/null || true) $(sed -n 's/^listen = 127.0.0.1://p' "$clone/var/web-app/fpm.conf" 2>/dev/null | paste -sd' ' || true)"
    kill -TERM "$pid" 2>/dev/null || true
    wait "$pid" 2>/dev/null || true
    if left_over "$clone" "$ports"; then rc=3; fi
    if [ $rc -eq 0 ] && [ -n "$(git -c safe.directory='*' -C "$clone" status --porcelain)" ]; then
        git -c safe.directory='*' -C "$clone" status --short
        rc=4
    fi
    if [ $rc -eq 0 ]; then
        PASSED=$((PASSED + 1))
        say "✓ $name ($((SECONDS - began)) s)"
    else
        FAILED=$((FAILED + 1))
        say "✕ $name: $(case $rc in 1) say 'it did not start' ;; 2) say 'it could not be used' ;; 3) say 'something was left running' ;; 4) say 'it wrote into the source tree' ;; 5) say 'it did not go on after a fault' ;; esac)"
        tail -n 20 "$home/start.log" "$home/use.log" "$home/faults.log" 2>/dev/null || true
    fi
}

if is_root; then
    first_start 'as root, in a folder that the web server can read; what dies is begun again' 755 root faults
    first_start 'as root, in a folder that only root can read' 700 root
    if useradd --system --create-home --shell /bin/bash "$TESTER" 2>/dev/null; then
        MADE_TESTER=1
        first_start 'as an ordinary account' 755 "$TESTER"
    else
        SKIPPED=$((SKIPPED + 1))
        say '- as an ordinary account: skipped, no account can be made here'
    fi
else
    first_start 'as an ordinary account' 755 "$(id -un)"
    SKIPPED=$((SKIPPED + 2))
    say '- as root, two ways: skipped, this account is not root'
fi
say "$PASSED passed, $FAILED failed, $SKIPPED skipped"
[ "$FAILED" -eq 0 ]
