#!/usr/bin/env bash
# Builds styles, fonts and modules into the folder given. Does nothing when its inputs have not changed.
set -euo pipefail

out=$1
web=$(cd "$(dirname "${BASH_SOURCE[0]}")/../../.." && pwd)
cd "$web"

inputs=$(find src/main/frontend src/main/resources/templates package.json package-lock.json -type f -print0 |
  sort -z | xargs -0 sha256sum | sha256sum)
stamp=target/frontend.inputs
if [ -f "$stamp" ] && [ "$(cat "$stamp")" = "$inputs" ] && [ -f "$out/assets/app.css" ]; then
  exit 0
fi

lock=$(sha256sum <package-lock.json)
if [ ! -f node_modules/.lock-hash ] || [ "$(cat node_modules/.lock-hash)" != "$lock" ]; then
  npm ci --ignore-scripts --no-progress
  printf '%s' "$lock" >node_modules/.lock-hash
fi

rm -rf "$out/assets" "$out/paper"
mkdir -p "$out/assets/fonts" "$out/assets/js" target
fonts=node_modules/@fontsource-variable
for font in national-park atkinson-hyperlegible-next; do
  cp "$fonts/$font/files/$font-latin-wght-normal.woff2" "$out/assets/fonts/"
  cp "$fonts/$font/LICENSE" "$out/assets/fonts/$font-LICENSE.txt"
done
# for paper: its library reads no woff2
mkdir -p "$out/paper"
paper=node_modules/@expo-google-fonts/national-park
cp "$paper/400Regular/NationalPark_400Regular.ttf" "$paper/600SemiBold/NationalPark_600SemiBold.ttf" "$out/paper/"
cp "$fonts/national-park/LICENSE" "$out/paper/national-park-LICENSE.txt"
cp src/main/frontend/js/*.js "$out/assets/js/"
cp src/main/frontend/img/*.svg src/main/frontend/img/*.png "$out/assets/"
node node_modules/@tailwindcss/cli/dist/index.mjs --minify -i src/main/frontend/css/app.css -o "$out/assets/app.css"

printf '%s' "$inputs" >"$stamp"
