#!/usr/bin/env bash
# Writes which rules compute to $1: a digest of the sources of the core and of what asks it, so that nobody has to remember to
# count a version up. Results are kept under it.
set -euo pipefail
cd "$(dirname "${BASH_SOURCE[0]}")/../../../.."
mkdir -p "$(dirname "$1")"
find core/src/main web/src/main/java -type f -print0 | LC_ALL=C sort -z | xargs -0 sha256sum | sha256sum | cut -d' ' -f1 >"$1.new"
# left alone where it is the same, so that nothing is built again for it
if cmp -s "$1.new" "$1"; then rm "$1.new"; else mv "$1.new" "$1"; fi
