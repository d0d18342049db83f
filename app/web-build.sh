#!/bin/sh
# Builds styles, chart modules and fonts into the folder given, by npm packages alone. Run by Maven.
set -eu
out=$1
mkdir -p "$out/js/vendor" "$out/fonts"
if ! cmp -s package-lock.json node_modules/.installed-lock; then
    npm ci --silent
    cp package-lock.json node_modules/.installed-lock
fi
node_modules/.bin/esbuild src/main/web/vendor/d3.js --bundle --format=esm --minify --log-level=warning \
    --outfile="$out/js/vendor/d3.js"
node_modules/.bin/esbuild src/main/web/vendor/idb.js --bundle --format=esm --minify --log-level=warning \
    --outfile="$out/js/vendor/idb.js"
cp -R src/main/web/js/. "$out/js/"
cp src/main/web/favicon.svg src/main/web/worker.js "$out/"
for font in literata source-sans-3; do
    cp node_modules/@fontsource-variable/$font/files/$font-latin-wght-normal.woff2 \
        node_modules/@fontsource-variable/$font/files/$font-latin-ext-wght-normal.woff2 "$out/fonts/"
done
# What is printed on labels: letters that a PDF can hold.
mkdir -p "$out/../print"
cp node_modules/source-sans/TTF/SourceSans3-Regular.ttf node_modules/source-sans/TTF/SourceSans3-Semibold.ttf "$out/../print/"
node_modules/.bin/tailwindcss --input src/main/web/css/vivarium.css --output "$out/vivarium.css" --minify 2>"$out/../tailwind.log" \
    || { cat "$out/../tailwind.log" >&2; exit 1; }
rm -f "$out/../tailwind.log"
# One hash over all of it names the folder that browsers may keep for good.
hash=$(find "$out" -type f | LC_ALL=C sort | xargs cat | sha256sum | cut -c1-12)
echo "vivarium.assets=$hash" > "$out/../assets.properties"
