#!/usr/bin/env bash
# Installs what is missing on a new Debian machine: the named Debian packages, and npm packages by `npm ci`.
# Usage: install.sh COMMAND=PACKAGE …   (a package is installed where its command is not found)
set -euo pipefail
cd "$(dirname "$0")/.."

if ! command -v node >/dev/null || [ "$(node -p 'process.versions.node.split(".")[0]')" -lt 20 ]; then
  echo 'Probatum needs Node.js 20 or later.' >&2
  exit 1
fi

missing=()
# Character recognition comes with English alone; papers are in four languages.
languages=(tesseract-ocr-deu tesseract-ocr-fra tesseract-ocr-ita)
for pair in "$@"; do
  command -v "${pair%%=*}" >/dev/null || [ -x "/usr/sbin/${pair%%=*}" ] || missing+=("${pair#*=}")
  case "$pair" in tesseract=*)
    for language in "${languages[@]}"; do dpkg -s "$language" >/dev/null 2>&1 || missing+=("$language"); done ;;
  esac
done
if [ "${#missing[@]}" -gt 0 ]; then
  echo "Installing ${missing[*]}."
  as_root=''
  if [ "$(id -u)" -ne 0 ]; then
    command -v sudo >/dev/null || { echo "Please install: ${missing[*]}" >&2; exit 1; }
    as_root='sudo'
  fi
  export DEBIAN_FRONTEND=noninteractive
  # Our own database server is started by hand: the package must not start one of its own.
  policy=/usr/sbin/policy-rc.d
  if [ ! -e "$policy" ]; then
    printf '#!/bin/sh\nexit 101\n' | $as_root tee "$policy" >/dev/null
    $as_root chmod +x "$policy"
    trap "$as_root rm -f $policy" EXIT
  fi
  $as_root apt-get update -qq
  $as_root apt-get install -y -qq --no-install-recommends "${missing[@]}" >/dev/null
fi

# npm packages, when the lock file is newer than what is installed.
if [ ! -f node_modules/.package-lock.json ] || [ package-lock.json -nt node_modules/.package-lock.json ]; then
  echo 'Installing npm packages.'
  npm ci --no-audit --no-fund --loglevel=error
  touch node_modules/.package-lock.json
fi
