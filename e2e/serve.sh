#!/usr/bin/env bash
# Serves a fresh database for the browser tests: serve.sh STORAGE PORT SEED
set -euo pipefail
cd "$(dirname "${BASH_SOURCE[0]}")/.."
export LARAVEL_STORAGE_PATH="$PWD/storage/$1"
rm -rf "$LARAVEL_STORAGE_PATH"
mkdir -p "$LARAVEL_STORAGE_PATH"/{app,logs,framework/{cache/data,sessions,views}}
export DB_DATABASE="$LARAVEL_STORAGE_PATH/almanac.sqlite"
touch "$DB_DATABASE"
export APP_KEY='base64:bmVhdC1hbG1hbmFjLXRlc3Qta2V5LTMyLWJ5dGVzISE='
export ALMANAC_TODAY=2026-11-24 ALMANAC_SIGN_IN_ATTEMPTS=200 BCRYPT_ROUNDS=4
php artisan migrate --force -q
[ "$3" = none ] || php artisan "$3" -q
exec env PHP_CLI_SERVER_WORKERS=4 php -d opcache.enable=1 -d memory_limit=256M -d upload_max_filesize=26M -d post_max_size=28M -d variables_order=EGPCS -S "127.0.0.1:$2" -t public public/router.php 2>/dev/null
