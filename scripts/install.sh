#!/bin/sh
# Installs what is missing: Node packages, and SQLite's driver, which is compiled once and kept in a cache.
set -eu
cd "$(dirname "$0")/.."

if ! command -v node >/dev/null 2>&1; then
  echo "Urbild needs Node.js 20, from 20.19 on. Install it and start again." >&2
  exit 1
fi
node -e 'const [a,b]=process.versions.node.split(".").map(Number); process.exit(a>20||(a===20&&b>=19)?0:1)' || {
  echo "Urbild needs Node.js 20.19 or newer; this is $(node -v)." >&2
  exit 1
}

stamp=node_modules/.installed
if [ ! -f "$stamp" ] || ! cmp -s package-lock.json "$stamp"; then
  echo "installing packages ..."
  npm ci --ignore-scripts --no-audit --no-fund --loglevel=error
  cp package-lock.json "$stamp"
fi

driver=node_modules/better-sqlite3/build/Release/better_sqlite3.node
if [ ! -f "$driver" ]; then
  key=$(node -p '`better-sqlite3-${require("./node_modules/better-sqlite3/package.json").version}-${process.platform}-${process.arch}-abi${process.versions.modules}`')
  kept="${XDG_CACHE_HOME:-$HOME/.cache}/urbild/$key.node"
  if [ -f "$kept" ]; then
    mkdir -p "$(dirname "$driver")"
    cp "$kept" "$driver"
  else
    echo "compiling SQLite's driver, about two minutes, once ..."
    npm rebuild better-sqlite3 --loglevel=error
    mkdir -p "$(dirname "$kept")"
    cp "$driver" "$kept"
  fi
fi
