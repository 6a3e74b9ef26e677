#!/bin/sh
# The committed types must be what the committed description of the interface generates.
set -e
fresh=$(mktemp --suffix=.ts)
trap 'rm -f "$fresh"' EXIT
npx openapi-typescript openapi.json --enum-values -o "$fresh" >/dev/null
npx oxfmt --stdin-filepath src/api/schema.ts <"$fresh" | cmp - src/api/schema.ts ||
  { echo "src/api/schema.ts is not what openapi.json says: run npm run api" >&2; exit 1; }
