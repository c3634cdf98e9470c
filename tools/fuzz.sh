#!/usr/bin/env bash
# Asks the program, showing the demo, whatever its OpenAPI document allows and does not allow. Fails on an
# answer that is the server's fault, that the document does not describe, or that takes over a second.
# Usage: tools/fuzz.sh PROGRAM PHASES REQUESTS-A-ROUTE [SEED]
set -eu -o pipefail
program=$1 phases=$2 requests=$3 seed=${4:-$RANDOM}
folder=$(mktemp -d)
"$program" serve --demo --data "$folder/data" --listen 127.0.0.1:0 >"$folder/said" &
server=$!
trap 'kill $server; wait $server || true; rm -rf "$folder"' EXIT
until address=$(grep -o 'http://[0-9.:]*' "$folder/said"); do
  kill -0 $server
  sleep 0.1
done
cd "$folder" # The fuzzer's notes go with it.
# A whole course is too large a body to be made up: a property of the API's own tests changes real ones instead. What is
# told of changes as they are made has no end.
"$OLDPWD/target/fuzz/bin/schemathesis" run "$address/api/openapi.json" --phases "$phases" --max-examples "$requests" --seed "$seed" \
  --exclude-path-regex '^/api/(course-file|live)' \
  --checks not_a_server_error,status_code_conformance,content_type_conformance,response_schema_conformance,response_headers_conformance,unsupported_method \
  --max-response-time 1 --workers 2 --continue-on-failure --warnings off --no-color
