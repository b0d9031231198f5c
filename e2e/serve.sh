#!/usr/bin/env bash
# Makes a seeded office to copy, or serves one: serve.sh seed STORAGE COMMAND, serve.sh serve STORAGE PORT
set -euo pipefail
cd "$(dirname "${BASH_SOURCE[0]}")/.."
export LARAVEL_STORAGE_PATH="$PWD/storage/$2" DB_DATABASE="$PWD/storage/$2/almanac.sqlite"
export APP_KEY='base64:bmVhdC1hbG1hbmFjLXRlc3Qta2V5LTMyLWJ5dGVzISE='
export ALMANAC_TODAY=2026-11-24 ALMANAC_SIGN_IN_ATTEMPTS=200 BCRYPT_ROUNDS=4
if [ "$1" = seed ]; then
    rm -rf "$LARAVEL_STORAGE_PATH"
    mkdir -p "$LARAVEL_STORAGE_PATH"/{app,logs,framework/{cache/data,sessions,views}}
    touch "$DB_DATABASE"
    php artisan migrate --force -q
    [ "$3" = none ] || php artisan "$3" -q
    exit
fi
export APP_URL="http://127.0.0.1:$3"
export VIEW_COMPILED_PATH="$LARAVEL_STORAGE_PATH/framework/views"
# Where the link of the office leads is looked up each time.
exec bin/serve-php "127.0.0.1:$3" "$PWD/storage/$2-cache" -d realpath_cache_size=0 2>/dev/null
