# Shared by ./start and ./test: tools, packages, a private PostgreSQL, nginx and PHP-FPM, all inside var/.
# shellcheck shell=bash

ROOT=$(cd "$(dirname "${BASH_SOURCE[0]}")/.." && pwd)
VAR=$ROOT/var
PG_BIN=/usr/lib/postgresql/15/bin
FPM=php-fpm8.2
DEBIAN_PACKAGES=(php8.2-cli php8.2-pgsql php8.2-mbstring php8.2-xml php8.2-intl php8.2-zip php8.2-gd php8.2-fpm php8.2-opcache php8.2-apcu php8.2-curl nginx-light postgresql-15 chromium-headless-shell poppler-utils glpk-utils php-bacon-qr-code zbar-tools python3-ezdxf python3-scipy)
# For what runs long: searches gain from it, short commands lose by its warm-up.
JIT=(-d opcache.enable_cli=1 -d opcache.jit=tracing -d opcache.jit_buffer_size=64M -d opcache.jit_max_root_traces=4096 -d opcache.jit_max_side_traces=1024 -d opcache.jit_max_exit_counters=30000)

source "$ROOT/bin/parts.sh"

say() { printf '%s\n' "$*"; }
die() { printf '%s: %s\n' "$(basename "$0")" "$*" >&2; exit 1; }

# reason LOG : the last lines of a log that say something, without the frames and rules around them.
reason() {
    sed 's/\x1b\[[0-9;]*m//g; s/ {"exception".*//' "$1" 2>/dev/null |
        grep -vE '^[[:space:]]*$|^[[:space:]]*[+─=-]+[[:space:]]*$|^\[stacktrace\]|^#[0-9]+ |^"\}|(vendor|node_modules)/.*:[0-9]+$' |
        tail -n 8 | cut -c1-300 | sed 's/^[[:space:]]*/    /'
}

# die_of LOG WHAT [DO] : what failed, the reason as the log gives it, what to do, and where the rest of it is.
die_of() {
    printf '%s: %s\n' "$(basename "$0")" "$2" >&2
    reason "$1" >&2 || true
    [ -z "${3:-}" ] || printf '%s\n' "$3" >&2
    printf 'The whole log: %s\n' "${1#"$ROOT/"}" >&2
    exit 1
}
is_root() { [ "$(id -u)" = 0 ]; }

missing_tools() {
    local tool
    for tool in php composer node npm; do
        command -v "$tool" >/dev/null || say "$tool"
    done
    if command -v node >/dev/null && [ "$(node -p 'process.versions.node.split(".")[0]')" -lt 20 ]; then say "node 20 or later"; fi
    if command -v php >/dev/null && ! php -r 'exit(PHP_VERSION_ID >= 80200 ? 0 : 1);'; then say "php 8.2 or later"; fi
}

missing_packages() {
    local package
    for package in "${DEBIAN_PACKAGES[@]}"; do
        dpkg-query -W -f='${Status}' "$package" 2>/dev/null | grep -q '^install ok installed$' || say "$package"
    done
}

install_packages() {
    local missing run=()
    mapfile -t missing < <(missing_packages)
    [ ${#missing[@]} -eq 0 ] && return
    if ! is_root; then
        if sudo -n true 2>/dev/null; then run=(sudo -n env); else
            die "Debian packages are missing; run once: sudo apt-get install -y ${missing[*]}"
        fi
    fi
    say "Installing Debian packages: ${missing[*]}"
    # Debian's own services are not wanted: everything runs from var/ on ports of its own.
    "${run[@]}" apt-get update -qq >/dev/null || true
    DEBIAN_FRONTEND=noninteractive "${run[@]}" apt-get install -y -qq "${missing[@]}" >"$VAR/log/apt.log" 2>&1 ||
        die_of "$VAR/log/apt.log" "apt-get could not install ${missing[*]}" "Install them by hand, then start again: sudo apt-get install -y ${missing[*]}"
}

# stamp NAME FILES... : true if the files are what they were when NAME was last stamped.
stamp_of() { cat "$@" 2>/dev/null | sha256sum | cut -d' ' -f1; }
is_fresh() { [ "$(cat "$VAR/stamps/$1" 2>/dev/null)" = "$2" ]; }
set_stamp() { printf '%s' "$2" >"$VAR/stamps/$1"; }

front_end_stamp() {
    (cd "$ROOT" && find resources/js resources/css docs/schemas public -path public/build -prune -o -type f -print0 | sort -z | xargs -0 cat package-lock.json vite.config.ts bin/schemas.mjs) | sha256sum | cut -d' ' -f1
}

# What the core worked out under other rules is not taken for true any more.
rules_stamp() { (cd "$ROOT/core" && find src data -type f -print0 | sort -z | xargs -0 cat) | sha256sum | cut -c1-12; }

# What installs just now, each as a group of processes of its own.
INSTALLING=()

# Packages and the front end: none needs another, so the longest of them says how long it takes.
install_all() {
    local pid rc=0
    set -m
    { set +m; install_composer core; } 9>&- &
    INSTALLING+=($!)
    { set +m; install_composer .; } 9>&- &
    INSTALLING+=($!)
    { set +m; install_npm && build_front_end; } 9>&- &
    INSTALLING+=($!)
    set +m
    for pid in "${INSTALLING[@]}"; do
        wait "$pid" || { rc=$?; break; }
    done
    [ "$rc" -eq 0 ] || end_installing
    INSTALLING=()
    [ "$rc" -eq 0 ] || exit 1
    discover_packages
}

# Nothing goes on installing behind a start that has ended.
end_installing() {
    local pid tries=10
    for pid in "${INSTALLING[@]}"; do kill -- "-$pid" 2>/dev/null || true; done
    for pid in "${INSTALLING[@]}"; do
        while [ $((tries--)) -gt 0 ] && kill -0 -- "-$pid" 2>/dev/null; do sleep 0.2; done
        # npm goes on regardless; what it leaves half unpacked is thrown away by the next installation.
        kill -KILL -- "-$pid" 2>/dev/null || true
    done
}

# install_composer FOLDER : the packages of the core, or of the application.
install_composer() {
    local folder=$1 name=${1/./app} stamp log
    stamp=$(stamp_of "$ROOT/$folder/composer.json")
    log=$VAR/log/composer-$name.log
    if is_fresh "composer-$name" "$stamp" && [ -f "$ROOT/$folder/vendor/autoload.php" ]; then return; fi
    say "Installing Composer packages ($folder)"
    (cd "$ROOT/$folder" && COMPOSER_ALLOW_SUPERUSER=1 composer install --no-interaction --no-progress --no-scripts --optimize-autoloader >"$log" 2>&1) || die_of "$log" "composer install failed in $folder" "Check that the package registry can be reached, then start again."
    # Some packages unpack without world-read, and the web server runs as another account.
    chmod -R a+rX "$ROOT/$folder/vendor"
    set_stamp "composer-$name" "$stamp"
}

install_npm() {
    local stamp
    stamp=$(stamp_of "$ROOT/package-lock.json")
    if is_fresh npm "$stamp" && [ -d "$ROOT/node_modules" ]; then return; fi
    say "Installing npm packages"
    (cd "$ROOT" && npm ci --no-audit --no-fund --prefer-offline >"$VAR/log/npm.log" 2>&1) || die_of "$VAR/log/npm.log" "npm ci failed" "Check that the package registry can be reached, then start again."
    set_stamp npm "$stamp"
}

# The framework's list of packages; composer runs no scripts here, and the web server's account writes nothing outside its storage.
discover_packages() {
    local list=$VAR/bootstrap/packages.php
    [ "$list" -nt "$ROOT/vendor/composer/installed.json" ] && return
    rm -f "$list" "$VAR/bootstrap/services.php"
    (cd "$ROOT" && php artisan package:discover >"$VAR/log/discover.log" 2>&1) || die_of "$VAR/log/discover.log" "the framework could not list its packages"
    chmod -R a+rX "$VAR/bootstrap"
}

build_front_end() {
    local stamp
    stamp=$(front_end_stamp)
    if ! is_fresh build "$stamp" || [ ! -f "$ROOT/public/build/manifest.json" ]; then
        say "Building the front end"
        (cd "$ROOT" && npm run build >"$VAR/log/build.log" 2>&1) || die_of "$VAR/log/build.log" "the front end did not build"
        chmod -R a+rX "$ROOT/public"
        set_stamp build "$(front_end_stamp)"
    fi
}

port_is_free() { ! (exec 3<>"/dev/tcp/127.0.0.1/$1") 2>/dev/null; }
free_port() {
    local port
    while :; do
        port=$((20000 + RANDOM % 12000))
        port_is_free "$port" && { say "$port"; return; }
    done
}

# The accounts that servers run as: never root.
server_account() { is_root && say "$1" || id -un; }
as_account() {
    local account=$1
    shift
    if is_root && [ "$account" != root ]; then runuser -u "$account" -- "$@"; else "$@"; fi
}
can_reach() { as_account "$1" test -x "$2" 2>/dev/null; }

# The cluster lies in var/pg; where the database's account cannot get there, beside its own files.
pg_home() {
    local account
    account=$(server_account postgres)
    if is_root && ! can_reach "$account" "$VAR"; then
        say "/var/lib/postgresql/upswept-bead-$(printf '%s' "$ROOT" | sha256sum | cut -c1-12)"
    else
        say "$VAR/pg"
    fi
}

pg_init() {
    local home=$1 account
    account=$(server_account postgres)
    [ -f "$home/ready" ] && return
    if [ -e "$home/data" ]; then
        say "A database cluster was only half made; making it again."
        rm -rf "${home:?}/data"
    fi
    mkdir -p "$home"
    [ -f "$VAR/db-password" ] || (umask 077 && head -c 24 /dev/urandom | od -An -tx1 | tr -d ' \n' >"$VAR/db-password")
    (umask 077 && cat "$VAR/db-password" >"$home/password")
    is_root && chown -R "$account" "$home"
    (cd / && as_account "$account" "$PG_BIN/initdb" -D "$home/data" -U bead --pwfile="$home/password" -A scram-sha-256 -E UTF8 --locale=C.UTF-8 >"$VAR/log/initdb.log" 2>&1) ||
        die_of "$VAR/log/initdb.log" "the database cluster could not be made"
    rm -f "$home/password"
    as_account "$account" touch "$home/ready"
}

pg_is_up() { as_account "$(server_account postgres)" "$PG_BIN/pg_ctl" -D "$(pg_home)/data" status >/dev/null 2>&1; }

# Starts the cluster. One that runs already was left by a start that was killed, as we hold the lock: it is ours then.
pg_start() {
    local home
    home=$(pg_home)
    pg_init "$home"
    PG_OURS=1
    if pg_is_up; then
        DB_PORT=$(sed -n 4p "$home/data/postmaster.pid")
        return
    fi
    DB_PORT=$(free_port)
    pg_run || die_of "$VAR/log/pg_ctl.log" "the database did not start" "Its own log: $home/log"
}

# pg_run : the cluster on its port; again, after it died.
pg_run() {
    local home account
    home=$(pg_home)
    account=$(server_account postgres)
    (cd / && exec 9>&- && as_account "$account" "$PG_BIN/pg_ctl" -D "$home/data" -w -t 40 -l "$home/log" -o "-p $DB_PORT -c listen_addresses=127.0.0.1 -c unix_socket_directories='' -c max_connections=60" start >"$VAR/log/pg_ctl.log" 2>&1)
}

pg_stop() {
    [ -n "${PG_OURS:-}" ] || return 0
    as_account "$(server_account postgres)" "$PG_BIN/pg_ctl" -D "$(pg_home)/data" -m fast -w stop >/dev/null 2>&1 || true
    PG_OURS=
}

pg_make_database() {
    local exists
    export PGPASSWORD
    PGPASSWORD=$(cat "$VAR/db-password")
    exists=$(psql -h 127.0.0.1 -p "$DB_PORT" -U bead -d postgres -tAc "select 1 from pg_database where datname = '$1'")
    [ "$exists" = 1 ] || psql -q -h 127.0.0.1 -p "$DB_PORT" -U bead -d postgres -c "create database $1"
}

pg_drop_database() { PGPASSWORD=$(cat "$VAR/db-password") psql -q -h 127.0.0.1 -p "$DB_PORT" -U bead -d postgres -c "drop database if exists $1 with (force)" >/dev/null 2>&1; }

# use_env NAME DATABASE URL : the application's settings, written to var/NAME.env and put into this shell's environment.
use_env() {
    local file=$VAR/$1.env cache=$VAR/storage/framework/cache-$1
    [ -f "$VAR/app-key" ] || (umask 077 && printf 'base64:%s' "$(head -c 32 /dev/urandom | base64)" >"$VAR/app-key")
    (umask 077 && cat >"$file" <<ENV
APP_NAME="Upswept Bead"
APP_ENV=production
APP_DEBUG=false
APP_KEY=$(cat "$VAR/app-key")
APP_URL=$3
DB_HOST=127.0.0.1
DB_PORT=$DB_PORT
DB_DATABASE=$2
DB_USERNAME=bead
DB_PASSWORD=$(cat "$VAR/db-password")
SESSION_DRIVER=database
CACHE_STORE=database
CACHE_LIMITER=apc
CACHE_PREFIX=bead-$(rules_stamp)-
QUEUE_CONNECTION=database
LOG_CHANNEL=stderr
DB_PERSISTENT=true
APP_CONFIG_CACHE=$cache-config.php
APP_ROUTES_CACHE=$cache-routes.php
APP_EVENTS_CACHE=$cache-events.php
APP_SERVICES_CACHE=$cache-services.php
ENV
    )
    rm -f "$cache"-*.php
    set -a
    # shellcheck disable=SC1090
    . "$file"
    set +a
}

web_account() { if is_root && can_reach www-data "$ROOT/public"; then say www-data; else id -un; fi; }

make_folders() {
    mkdir -p "$VAR"/{log,run,stamps,nginx,bootstrap,storage/framework/{cache/data,views,sessions},storage/logs,storage/app}
    chmod a+rx "$VAR" 2>/dev/null || true
}

own_storage() { if is_root; then chown -R "$(web_account)" "$VAR/storage"; fi; }

# prepare_settings : the cached settings hold the key and the password of the database; nobody else on the machine reads them.
prepare_settings() {
    artisan optimize --quiet --except views || return 1
    chmod 600 "$VAR"/storage/framework/cache-*-config.php
}

artisan() { (cd "$ROOT" && as_account "$(web_account)" php artisan "$@"); }

# The demo's jobs are planned as they come in, which a JIT and what was worked out before make quicker.
load_demo() { (cd "$ROOT" && as_account "$(web_account)" php "${JIT[@]}" -d apc.enable_cli=1 -d apc.shm_size=128M artisan bead:demo --quiet); }

# run_worker NAME ARTISAN-COMMAND... : a part; its output in var/log/NAME.log.
run_worker() {
    local name=$1 account prefix=()
    shift
    account=$(web_account)
    if is_root && [ "$account" != root ]; then prefix=(setpriv --reuid "$account" --regid "$(id -gn "$account")" --init-groups --); fi
    cd "$ROOT" && exec setsid "${prefix[@]}" php "${JIT[@]}" artisan "$@" >>"$VAR/log/$name.log" 2>&1
}

# web_start NAME PORT WORKERS : nginx in front of PHP-FPM, as two parts.
web_start() {
    local name=$1 port=$2 workers=$3 heavy_port plan_port settings account fpm_user=()
    account=$(web_account)
    local run=$VAR/web-$name
    mkdir -p "$run/tmp"
    if is_root; then
        fpm_user=("user = $account" "group = $(id -gn "$account")" "listen.owner = $account")
    fi
    heavy_port=$(free_port)
    plan_port=$(free_port)
    settings="pm.max_requests = 2000
$(sed 's/^\([A-Z_]*\)="\{0,1\}\([^"]*\)"\{0,1\}$/env[\1] = "\2"/' "$VAR/$name.env")
catch_workers_output = yes
php_admin_value[memory_limit] = 256M
php_admin_value[post_max_size] = 24M
php_admin_value[upload_max_filesize] = 22M
php_admin_flag[expose_php] = off"
    # Pages have workers that nothing which takes seconds can keep from them.
    (umask 077 && cat >"$run/fpm.conf") <<CONF
[global]
error_log = $run/fpm.log
daemonize = no
[web]
$(printf '%s\n' "${fpm_user[@]}")
listen = 127.0.0.1:$WEB_FPM_PORT
pm = static
pm.max_children = $workers
$settings
[plans]
$(printf '%s\n' "${fpm_user[@]}")
listen = 127.0.0.1:$plan_port
pm = static
pm.max_children = 8
request_terminate_timeout = 60s
$settings
[heavy]
$(printf '%s\n' "${fpm_user[@]}")
listen = 127.0.0.1:$heavy_port
pm = static
pm.max_children = 2
process.priority = 10
request_terminate_timeout = 120s
$settings
CONF
    cat >"$run/nginx.conf" <<CONF
daemon off;
pid $run/nginx.pid;
error_log $run/nginx.log warn;
worker_processes 1;
$(if is_root; then say "user $account;"; fi)
events { worker_connections 512; }
http {
    include /etc/nginx/mime.types;
    access_log off;
    # Before anything of it is kept or read; the application holds the same bounds, by address.
    client_max_body_size 2300k;
    client_body_temp_path $run/tmp/body;
    proxy_temp_path $run/tmp/proxy;
    fastcgi_temp_path $run/tmp/fastcgi;
    uwsgi_temp_path $run/tmp/uwsgi;
    scgi_temp_path $run/tmp/scgi;
    gzip on;
    gzip_types text/css application/javascript application/json image/svg+xml;
    gzip_min_length 1024;
    gzip_comp_level 1;
    server_tokens off;
    server {
        listen 127.0.0.1:$port;
        root $ROOT/public;
        location = /build/bench-worker.js { add_header Service-Worker-Allowed /; add_header Cache-Control "no-cache"; }
        location = /build/manifest.json { add_header Cache-Control "no-cache"; }
        location /build/ { expires 1y; add_header Cache-Control "public, immutable"; }
        include /etc/nginx/fastcgi_params;
        # After Debian's own, which leaves the port out.
        fastcgi_param SCRIPT_FILENAME \$document_root/index.php;
        fastcgi_param HTTP_HOST \$host:\$server_port;
        fastcgi_buffers 16 64k;
        fastcgi_buffer_size 64k;
        location ~ ^/(sign-in|sign-out|session|record|up)(/|\$) { client_max_body_size 32k; try_files \$uri /index.php\$is_args\$args; }
        location = /index.php { internal; fastcgi_pass 127.0.0.1:$WEB_FPM_PORT; }
        location ~ ^/jobs/[0-9]+/(insertion|designs/compare|cuts/least)\$ { fastcgi_pass 127.0.0.1:$heavy_port; fastcgi_read_timeout 130s; }
        location ~ ^/jobs/[0-9]+/(photos|meshes|log)\$ { client_max_body_size 24m; fastcgi_pass 127.0.0.1:$plan_port; fastcgi_read_timeout 70s; }
        location ~ ^/(jobs/[0-9]|small) { fastcgi_pass 127.0.0.1:$plan_port; fastcgi_read_timeout 70s; }
        location ~ \.php\$ { return 404; }
        location / { try_files \$uri /index.php\$is_args\$args; }
    }
}
CONF
    chown -R "$account" "$run/tmp" 2>/dev/null || true
    begin_part php run_fpm "$run"
    begin_part nginx run_nginx "$run"
}

run_fpm() {
    local as=()
    # The compiler of PHP 8.2 gets what prints PDFs wrong: all text came out transparent. What is listed here is neither
    # cached nor compiled.
    printf '%s\n' "$ROOT/vendor/dompdf/*" "$ROOT/vendor/sabberworm/*" "$ROOT/vendor/masterminds/*" >"$1/not-compiled.txt"
    if [ "$(web_account)" = root ]; then as=(-R); fi
    if is_root; then as+=(-d opcache.preload_user="$(web_account)"); fi
    exec setsid "$FPM" "${as[@]}" -F -y "$1/fpm.conf" -d opcache.enable=1 -d opcache.memory_consumption=256 -d opcache.interned_strings_buffer=32 -d opcache.validate_timestamps=0 -d apc.shm_size=128M -d opcache.jit=tracing -d opcache.jit_buffer_size=128M -d opcache.jit_max_root_traces=8192 -d opcache.jit_max_side_traces=4096 -d opcache.jit_max_exit_counters=60000 -d opcache.blacklist_filename="$1/not-compiled.txt" -d opcache.preload="$ROOT/bootstrap/preload.php" >>"$1/fpm-out.log" 2>&1
}

run_nginx() { exec setsid nginx -c "$1/nginx.conf" -e "$1/nginx.log" -p "$1" >>"$1/nginx-out.log" 2>&1; }

# newest_log NAME : of the logs of a server's parts, the one that was written to last.
newest_log() { find "$VAR/web-$1" "$VAR/log" -maxdepth 1 -name '*.log' -size +0 -printf '%T@ %p\n' | sort -rn | head -1 | cut -d' ' -f2-; }

wait_for() {
    local url=$1 i
    for i in $(seq 1 100); do
        curl -fsS -o /dev/null --max-time 5 "$url" 2>/dev/null && return 0
        sleep 0.1
    done
    return 1
}
