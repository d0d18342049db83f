#!/bin/sh
# The scripts of the pages: the linter, then their unit tests in Node, on what the build made. Run by Maven.
set -eu
VIVARIUM_JS=$1
export VIVARIUM_JS
node_modules/.bin/eslint --max-warnings 0 src/main/web src/test/js src/test/outbox eslint.config.js
node --test src/test/js/
