#!/bin/sh
# Installs the packages of package-lock.json, only when that file changed since the last time.
set -eu
# Two that ask at once do not both install.
if command -v flock >/dev/null; then
  mkdir -p target
  exec 9>target/packages-lock
  flock 9
fi
mark=node_modules/.lock-sum
sum=$(sha256sum package-lock.json)
[ -f "$mark" ] && [ "$(cat "$mark")" = "$sum" ] && exit 0
npm ci --no-audit --no-fund --loglevel=error
printf '%s\n' "$sum" >"$mark"
