# The front door. Each target works from a fresh clone with a JDK 17, Maven, Node 20 and make.

MVN := mvn -B -ntp
# What the tests and the benchmarks build. Whole paths: the class archive fits only the path that it was made for.
JAR := $(CURDIR)/server/target/wrench-notes.jar
ARCHIVE := $(CURDIR)/server/target/wrench-notes.jsa
PORT ?= 8080
STAMPS := .stamps

JAVA_SOURCES := $(shell find core/src/main server/src/main -type f) pom.xml core/pom.xml server/pom.xml
WEB_SOURCES := $(shell find web/src web/public -type f ! -name schema.d.ts) web/index.html web/package.json \
	web/vite.config.ts web/tsconfig.json

.PHONY: demo run test unit bench siege mutants kills shots types format lint browser clean

demo: .run/built ## start with the demo shop at http://localhost:8080
	@tools/start --wrenchnotes.demo=true --wrenchnotes.data=data/demo --server.port=$(PORT)

run: .run/built ## start with the shop's own data in ./data
	@tools/start --server.port=$(PORT)

test: $(STAMPS)/web browser ## every test: core, server, architecture, what is typed, browser
	cd web && npm run --silent test
	@tools/script-size.mjs --check
	$(MVN) verify -Pwhole

unit: $(STAMPS)/web ## the tests that start nothing: rules, what is typed, stored forms, migrations, the house's own rules
	cd web && npm run --silent test
	@tools/script-size.mjs --check
	$(MVN) test -DexcludedGroups=shop

bench: $(STAMPS)/web $(ARCHIVE) ## figures: answers at 10,000 and 100,000 jobs, start, script sizes; PART=press: only the bench's keys, PART=odds: only the odds, PART=grown: only the large shops, PART=past: only past jobs brought in, PART=drawers: only full drawers
	$(MVN) -q test-compile exec:exec@bench
	@tools/script-size.mjs

kills: $(STAMPS)/web ## a hundred kills in bursts of writes: nothing acknowledged is lost
	$(MVN) verify -Pwhole -Dtest=PowerCutIT -Dsurefire.failIfNoSpecifiedTests=false -Dkills=100

siege: $(STAMPS)/web $(ARCHIVE) ## attacks, on this machine only: 100,000 requests, slow senders, 1,000 kills of a writer, fifty benches; PART=fuzz, slow, kills or benches; REQUESTS=, MINUTES=
	$(MVN) -q test-compile exec:exec@siege -Dsiege.part=$(PART) -Dsiege.requests=$(or $(REQUESTS),100000) -Dsiege.minutes=$(or $(MINUTES),10)

mutants: ## how many faults put into the core its tests notice, by room; ROOM=bench: of one room
	@mkdir -p core/target
	$(MVN) -q -pl core test-compile org.pitest:pitest-maven:mutationCoverage -DtargetClasses='wrenchnotes.core.$(if $(ROOM),$(ROOM).,)*' -Dspotless.check.skip=true > core/target/mutants.log
	@tools/mutants

shots: $(STAMPS)/web browser ## renew docs/screenshots from the demo shop
	tools/shots

types: ## renew the API's description and the front end's types after an endpoint changed
	$(MVN) -q -pl core,server -am test -Dtest=ApiDescriptionTest -Dsurefire.failIfNoSpecifiedTests=false -Dopenapi.renew=true
	# Its doors are those of the description that is served: packed anew first.
	$(MVN) -q -pl core,server -am test -Dtest=WhoMayTest -Dsurefire.failIfNoSpecifiedTests=false -Dopenapi.renew=true
	cd web && npm run --silent types

format: $(STAMPS)/npm
	$(MVN) -q spotless:apply
	cd web && npm run --silent format

lint: $(STAMPS)/npm
	$(MVN) -q spotless:check
	cd web && npm run --silent lint

browser: ## Debian's Chromium, if it is missing
	@tools/browser

# What is started: built apart, so that tests and shops can run side by side.
.run/built: $(STAMPS)/web $(JAVA_SOURCES) tools/build-app
	@tools/build-app

$(JAR): $(STAMPS)/web $(JAVA_SOURCES)
	$(MVN) -q package -DskipTests
	@touch $@

# The classes as this JDK has loaded and checked them once: saves some seconds of every start, and is ignored by others.
$(ARCHIVE): $(JAR)
	@tools/archive-classes $(JAR) $@

# npm ci takes minutes; it runs again only when the lock file has changed. Two makes at once take turns here.
$(STAMPS)/npm: web/package-lock.json
	@tools/in-turn $@ web/package-lock.json "cd web && npm ci --no-audit --no-fund"

$(STAMPS)/web: $(STAMPS)/npm $(WEB_SOURCES)
	@tools/in-turn $@ "$?" "cd web && npm run --silent build"

clean:
	$(MVN) -q clean
	$(MVN) -q -Dout=target-app clean
	rm -rf web/dist $(STAMPS) .run
