#!/bin/sh
# The committed types must be what the committed description of the interface generates.
set -e
fresh=$(mktemp --suffix=.d.ts)
trap 'rm -f "$fresh"' EXIT
npx openapi-typescript openapi.json -o "$fresh" >/dev/null
npx prettier --stdin-filepath src/api/schema.d.ts <"$fresh" | cmp - src/api/schema.d.ts ||
  { echo "src/api/schema.d.ts is not what openapi.json says: run npm run api" >&2; exit 1; }
