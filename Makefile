# Two commands: `make demo` serves the demo workshop, `make test` checks everything. Both are idempotent.

PY := .venv/bin/python
PORT ?= 8321
unexport PYTHONDONTWRITEBYTECODE # what is compiled is kept: half a second of every start
UI_SOURCES := $(shell find ui/src ui/public -type f 2>/dev/null) ui/index.html ui/describe-api.mjs ui/licences.mjs ui/api-types.mjs ui/vite.config.ts ui/tsconfig.json docs/how-it-computes.md
UI_CHECKED := $(shell find ui/tests -type f 2>/dev/null) ui/vitest.config.ts ui/eslint.config.js ui/package.json

WEARERS ?= 300

.PHONY: demo serve test core-checked stories bench stress fitting lint ui lock licences clean screenshots

demo: .made/run .made/ui
	.venv/bin/fuseau demo --port $(PORT)

serve: .made/run .made/ui
	.venv/bin/fuseau serve --port $(PORT)

test: .made/dev .made/ui .made/browser
	$(MAKE) --no-print-directory --output-sync=target -j2 .made/ui-checked core-checked
	.venv/bin/pytest

# Lint, format, types and arrows of the Python code; functions and components of
# the interface against numbers and answers of the core.
core-checked: .made/dev .made/npm
	.venv/bin/ruff check fuseau tests bench
	.venv/bin/ruff format --check fuseau tests bench
	.venv/bin/mypy
	.venv/bin/lint-imports
	$(PY) -m tests.vectors .made/vectors.json
	$(PY) -m tests.recorded .made/recorded.json
	cd ui && npm run --silent test

# What a user does in the whole interface, without a browser; pytest tells these too.
stories: .made/dev .made/npm
	$(PY) -m tests.stories

# Speed, and a short run of how often the final garment fits; `make fitting` is the long one.
bench: .made/dev .made/ui .made/browser
	$(PY) -m bench.speed
	$(PY) -m bench.felt
	$(PY) -m bench.fitting 30

# Ten minutes of kills, clients at once, fuzzed requests and mutated files, with what it did to them.
stress: .made/dev
	$(PY) -m bench.stress

# How often the final garment fits, over simulated wearers; some ten minutes for 300 in each of two worlds.
fitting: .made/dev
	$(PY) -m bench.fitting $(WEARERS)

screenshots: .made/dev .made/ui .made/browser
	$(PY) -m bench.screenshots

ui: .made/ui

.made/venv:
	python3 -m venv .venv
	@mkdir -p .made && touch $@

.made/run: .made/venv requirements.lock pyproject.toml
	$(PY) -m pip install --quiet --disable-pip-version-check --require-hashes -r requirements.lock
	$(PY) -m pip install --quiet --disable-pip-version-check --no-deps --no-build-isolation -e .
	@touch $@

.made/dev: .made/run requirements-dev.lock
	$(PY) -m pip install --quiet --disable-pip-version-check --require-hashes -r requirements-dev.lock
	@touch $@

.made/npm: ui/package-lock.json
	cd ui && npm ci --no-fund --no-audit --loglevel=error
	@mkdir -p .made && touch $@

.made/ui: .made/npm $(UI_SOURCES)
	cd ui && npm run --silent build
	@touch $@

# Types, lint and format of the interface, and that its API types come from its copy of the schema.
.made/ui-checked: .made/ui $(UI_SOURCES) $(UI_CHECKED) docs/licences.md
	cd ui && npm run --silent types && npm run --silent lint
	cd ui && node api-types.mjs ../.made/schema.d.ts && \
	  cmp -s ../.made/schema.d.ts src/api/schema.d.ts || { echo "ui/src/api/schema.d.ts is not current: run make api" >&2; exit 1; }
	@cmp -s fuseau/app/pages/licences.md docs/licences.md || { echo "docs/licences.md is not current: run make licences" >&2; exit 1; }
	@touch $@

.made/browser:
	@if ! command -v chromium >/dev/null || ! command -v chromedriver >/dev/null; then \
	  if [ "$$(id -u)" = 0 ] && command -v apt-get >/dev/null; then \
	    apt-get update -qq && DEBIAN_FRONTEND=noninteractive apt-get install -y -qq chromium chromium-driver; \
	  else echo "The browser tests need Debian's packages chromium and chromium-driver: install them." >&2; exit 1; fi; fi
	@mkdir -p .made && touch $@

# New locks from pyproject.toml; they carry hashes and no index address.
lock: .made/venv
	$(PY) -m pip install --quiet pip-tools
	.venv/bin/pip-compile --quiet --upgrade --generate-hashes --allow-unsafe --strip-extras --no-emit-index-url --no-emit-trusted-host --no-emit-find-links --no-annotate --no-header -o requirements.lock pyproject.toml
	.venv/bin/pip-compile --quiet --upgrade --generate-hashes --allow-unsafe --strip-extras --extra dev --no-emit-index-url --no-emit-trusted-host --no-emit-find-links --no-annotate --no-header -o requirements-dev.lock pyproject.toml

# The UI's types and the published schema, from the code.
api: .made/run
	.venv/bin/fuseau schema openapi > .made/openapi.json && mv .made/openapi.json ui/src/api/openapi.json
	.venv/bin/fuseau schema build > .made/build.schema.json && mv .made/build.schema.json docs/build.schema.json
	cd ui && npm run --silent api

# The licences of what ships, from what was built in.
licences: .made/ui
	cp fuseau/app/pages/licences.md docs/licences.md

clean:
	rm -rf .venv .made ui/node_modules fuseau/app/pages
