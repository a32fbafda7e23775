# The parts of a running server: each in a process group of its own, written down in var/run so that whoever comes later
# can end exactly those, begun again when they die. Sourced by common.sh.
# shellcheck shell=bash

declare -A PART_PID PART_COMMAND PART_SAID
MOST_LOG_BYTES=${MOST_LOG_BYTES:-5000000}

# parts_of NAME : the server that the following is about.
parts_of() {
    PARTS_FILE=$VAR/run/$1
    mkdir -p "$VAR/run"
}

# begun_of PID : when it began, in ticks since the machine did; nothing if there is none.
begun_of() { sed 's/.*) //' "/proc/$1/stat" 2>/dev/null | cut -d' ' -f20; }
boot_id() { cat /proc/sys/kernel/random/boot_id; }

# begin_part NAME COMMAND... : COMMAND is a function that ends in `exec setsid`, so that its id is that of its group.
begin_part() {
    local name=$1
    shift
    PART_COMMAND[$name]=$*
    (
        exec 9>&-
        "$@"
    ) </dev/null &
    PART_PID[$name]=$!
    # Or its end is told in the shell's words, not in ours.
    disown $!
    forget_part "$name"
    # Known by when it began, as numbers are given again.
    printf '%s %s %s %s\n' "$name" "$!" "$(begun_of $!)" "$(boot_id)" >>"$PARTS_FILE"
}

forget_part() {
    [ -f "$PARTS_FILE" ] || return 0
    sed -i "/^$1 /d" "$PARTS_FILE"
}

# end_group PID : asks all of it to end, and makes it.
end_group() {
    local _
    kill -TERM -- "-$1" 2>/dev/null || return 0
    for _ in $(seq 100); do
        kill -0 -- "-$1" 2>/dev/null || return 0
        sleep 0.1
    done
    kill -KILL -- "-$1" 2>/dev/null || true
}

# is_ours PID BEGUN BOOT : whether that group is the one that was written down. A number is not given again while a group has it.
is_ours() {
    [ "$3" = "$(boot_id)" ] || return 1
    if kill -0 "$1" 2>/dev/null; then [ "$(begun_of "$1")" = "$2" ]; else kill -0 -- "-$1" 2>/dev/null; fi
}

# end_parts [NAME...] : ends the parts that were written down, all of them or those named; true if there were any.
end_parts() {
    local name pid begun boot found=1 lines
    [ -f "$PARTS_FILE" ] || return 1
    mapfile -t lines < <(tac "$PARTS_FILE")
    for line in "${lines[@]}"; do
        read -r name pid begun boot <<<"$line"
        [ $# -eq 0 ] || [[ " $* " = *" $name "* ]] || continue
        if is_ours "$pid" "$begun" "$boot"; then
            found=0
            end_group "$pid"
        fi
        forget_part "$name"
        unset "PART_PID[$name]"
    done
    return $found
}

# say_once KEY TEXT : not again within a minute.
say_once() {
    [ $((SECONDS - ${PART_SAID[$1]:--100})) -ge 60 ] || return 0
    PART_SAID[$1]=$SECONDS
    say "$(date +%H:%M:%S)  $2"
}

# watch_parts : begins again whatever dies, says so, and keeps the logs from growing without end; never returns.
watch_parts() {
    local name round=0
    while :; do
        # In the background, so that a signal is heard at once.
        sleep 1 9>&- &
        wait $! || true
        watch_database
        for name in "${!PART_PID[@]}"; do
            kill -0 "${PART_PID[$name]}" 2>/dev/null && continue
            say_once "$name" "A part of the server ended by itself ($name); it is begun again."
            kill -KILL -- "-${PART_PID[$name]}" 2>/dev/null || true
            # shellcheck disable=SC2086
            begin_part "$name" ${PART_COMMAND[$name]}
        done
        [ $((round++ % 60)) -ne 0 ] || rotate_logs
    done
}

watch_database() {
    if pg_is_up; then
        [ -z "${PG_WAS_DOWN:-}" ] || say "$(date +%H:%M:%S)  The database is back."
        PG_WAS_DOWN=
        return
    fi
    PG_WAS_DOWN=1
    say_once database "The database ended by itself; it is begun again. Nothing that was saved is lost."
    pg_run || say_once database-stays "It does not begin yet; it is tried again. Its own log: $(pg_home)/log"
}

# What writes to a log goes on in the same file; one older part is kept.
rotate_logs() {
    local log
    for log in "$VAR"/log/*.log "$VAR"/web-*/*.log "$(pg_home)/log"; do
        [ -f "$log" ] && [ "$(stat -c %s "$log")" -gt "$MOST_LOG_BYTES" ] || continue
        cp "$log" "$log.1" && : >"$log"
    done
}
