"""`make stress`: ten minutes of what must not hurt: kills, clients at once, fuzzed requests, mutated files.

Each part has its share of the time and says how far it came; what is lost or answered badly ends it with 1.
"""

import json
import os
import random
import sys
import tempfile
import threading
import time
import warnings
from collections import Counter
from collections.abc import Callable
from pathlib import Path

import httpx
from hypothesis import HealthCheck, Phase, given, seed, settings
from hypothesis import strategies as st

from tests.app.conftest import FILE
from tests.app.test_any_request import operations
from tests.app.test_killed import Forked, Served, edit_until_it_dies, measured_build
from tests.app.test_odd_requests import ANYTHING, PLACES
from tests.files.test_mutated import READERS, mutated

KILLS, CLIENTS, REQUESTS, FILES = 100, 16, 10_000, 1_000
BATCH = 50
SHARES_S = {"kills": 180, "clients": 60, "requests": 250, "files": 110}
QUIET = {
    "deadline": None,
    "suppress_health_check": list(HealthCheck),
    "phases": [Phase.generate],
    "database": None,
}

failures: list[str] = []


def say(text: str) -> None:
    """One line of the report."""
    print(text, flush=True)


def batches(most: int, end: float, run: Callable[..., None]) -> None:
    """A hypothesis test in batches with seeds of their own, until there were enough or the time is over."""
    bounded = settings(max_examples=BATCH, **QUIET)(run)
    for number in range(most // BATCH):
        if time.monotonic() > end:
            return
        seed(number)(bounded)()


def memory_mb(pid: int) -> float:
    """What a process holds, MB."""
    status = Path(f"/proc/{pid}/status").read_text()
    return int(next(line for line in status.splitlines() if line.startswith("VmRSS")).split()[1]) / 1000


def fail(text: str) -> None:
    """Something that must not be."""
    failures.append(text)
    say(f"  FAILED: {text}")


def kills(folder: Path) -> None:
    """Kill -9 in the middle of edits, and look at the whole history after each."""
    served, rng, end = Forked(folder), random.Random(7), time.monotonic() + SHARES_S["kills"]
    served.start()
    with httpx.Client(base_url=served.url, timeout=30) as client:
        build = measured_build(client)["id"]
    kept: list[tuple[int, str]] = []
    done = lost = 0
    while done < KILLS and time.monotonic() < end:
        before = len(kept)
        writer = threading.Thread(target=edit_until_it_dies, args=(served.url, build, kept))
        writer.start()
        late = time.monotonic() + 30
        while len(kept) < before + 2 and time.monotonic() < late:
            time.sleep(0.005)
        time.sleep(rng.random() * 0.08)
        served.kill()
        writer.join(30)
        done += 1
        served.start()
        with httpx.Client(base_url=served.url, timeout=30) as client:
            there = _revisions(client, build)
            missing = [number for number, _ in kept[before:] if there is not None and number not in there]
            if missing or there is None:
                lost += len(missing)
                fail(f"after kill {done}: {len(missing)} answered edits are gone")
    served.kill()
    say(f"kills: {done} of {KILLS}; {len(kept)} edits answered, {lost} lost")


def _revisions(client: httpx.Client, build: str) -> set[int] | None:
    answer = client.get(f"/api/builds/{build}/history")
    return {one["revision"] for one in answer.json()} if answer.status_code == 200 else None


def clients(served: Served) -> None:
    """Sixteen at once, each with a build of its own and a look at everything else."""
    end, counted, guard = time.monotonic() + SHARES_S["clients"], Counter[str](), threading.Lock()
    waits: list[float] = []

    def work(number: int) -> None:
        rng = random.Random(number)
        with httpx.Client(base_url=served.url, timeout=120) as client:
            sheet = measured_build(client)
            while time.monotonic() < end:
                what = rng.random()
                began = time.perf_counter()
                if what < 0.6:
                    change = {"at": "target.gap_mm", "value": rng.randint(20, 70)}
                    body = {"revision": sheet["revision"], "changes": [change]}
                    answer = client.post(f"/api/builds/{sheet['id']}/changes", json=body)
                    if answer.status_code == 200:
                        sheet = answer.json()
                    with guard:
                        waits.append(time.perf_counter() - began)
                else:
                    path = rng.choice(["", "/history", "/pattern.svg", "/list.pdf", "/readiness"])
                    answer = client.get(f"/api/builds/{sheet['id']}{path}" if what < 0.95 else "/api/builds")
                with guard:
                    counted[f"{answer.status_code // 100}xx"] += 1
                    if answer.status_code >= 500 and answer.status_code != 503:
                        fail(f"{answer.request.url.path}: {answer.text[:120]}")
            now = client.get(f"/api/builds/{sheet['id']}").json()
            if now["revision"] != sheet["revision"]:
                fail(f"client {number}: its last edit is not the present state")

    threads = [threading.Thread(target=work, args=(number,)) for number in range(CLIENTS)]
    for one in threads:
        one.start()
    for one in threads:
        one.join()
    waits.sort()
    middle, worst = (waits[len(waits) // 2], waits[int(len(waits) * 0.95)]) if waits else (0.0, 0.0)
    say(
        f"clients: {CLIENTS} at once for {SHARES_S['clients']} s; {sum(counted.values())} answers {dict(counted)}; "
        f"an edit {middle * 1000:.0f} ms, 95 % under {worst * 1000:.0f} ms; server {memory_mb(served.pid):.0f} MB"
    )


def requests(served: Served) -> None:
    """Fuzzed edits, and requests from the API's own description."""
    end, counted = time.monotonic() + SHARES_S["requests"], Counter[int]()
    before = memory_mb(served.pid)
    with httpx.Client(base_url=served.url, timeout=120) as client:
        sheet = measured_build(client)

        def judge(answer: httpx.Response, what: str) -> None:
            counted[answer.status_code] += 1
            if answer.status_code >= 500:
                fail(f"{what}: {answer.status_code} {answer.text[:160]}")

        @given(PLACES, ANYTHING)
        def odd_edits(at: str, value: object) -> None:
            body = json.dumps({"revision": sheet["revision"], "changes": [{"at": at, "value": value}]})
            path = f"/api/builds/{sheet['id']}/trial"
            headers = {"content-type": "application/json"}
            judge(client.post(path, content=body.encode(errors="surrogatepass"), headers=headers), f"trial at {at!a}")

        described = sorted(one for one in operations() if "/backup" not in one and "/house" not in one)

        @given(st.data())
        def described_requests(data: st.DataObject) -> None:
            label = data.draw(st.sampled_from(described))
            case = data.draw(operations()[label].as_strategy())
            if case.path_parameters and "build_id" in case.path_parameters and "DELETE" not in label:
                case.path_parameters["build_id"] = sheet["id"]
            asked = case.as_transport_kwargs(base_url=served.url)
            names = ("method", "url", "params", "json", "headers")
            sent = {name: asked[name] for name in names if asked.get(name) is not None}
            if isinstance(asked.get("data"), bytes | str):
                sent["content"] = asked["data"]
            try:
                judge(client.request(**sent), label)
            except (httpx.InvalidURL, UnicodeEncodeError):
                return

        batches(REQUESTS // 2, end - SHARES_S["requests"] / 2, odd_edits)
        batches(REQUESTS // 2, end, described_requests)
        if client.get("/api/builds").status_code != 200:
            fail("the list does not answer any more")
    by_kind = Counter(f"{status // 100}xx" for status in counted.elements())
    say(
        f"requests: {sum(counted.values())} of {REQUESTS} fuzzed; {dict(by_kind)}; server {before:.0f} → "
        f"{memory_mb(served.pid):.0f} MB"
    )


def files(served: Served) -> None:
    """Mutated files over the wire, each read in the worker."""
    end, counted = time.monotonic() + SHARES_S["files"], Counter[str]()
    paths = {
        "json": "/api/builds/import",
        "letter": None,
        "svg": "/api/drawings?name=a.svg",
        "curves.svg": "/api/drawings?name=a.svg&unit=mm",
        "dxf": "/api/drawings?name=a.dxf",
    }
    before = memory_mb(served.pid)
    with httpx.Client(base_url=served.url, timeout=120) as client:
        sheet = measured_build(client)
        paths["letter"] = f"/api/builds/{sheet['id']}/letter?revision=1"

        @given(st.data())
        def mutated_files(data: st.DataObject) -> None:
            kind = data.draw(st.sampled_from(sorted(READERS)))
            path = paths.get(kind) or f"/api/photos?name=a.{kind.replace('jpeg', 'jpg')}"
            answer = client.post(path, content=data.draw(mutated(kind)), headers=FILE)
            counted[f"{answer.status_code // 100}xx"] += 1
            if answer.status_code >= 500:
                fail(f"{kind}: {answer.status_code} {answer.text[:160]}")

        batches(FILES, end, mutated_files)
        if client.get("/api/builds").status_code != 200:
            fail("the list does not answer any more")
    say(
        f"files: {sum(counted.values())} of {FILES} mutated; {dict(counted)}; server {before:.0f} → "
        f"{memory_mb(served.pid):.0f} MB"
    )


def main() -> None:
    """All of it, in order."""
    warnings.simplefilter("ignore")
    os.environ.setdefault("NO_PROXY", "127.0.0.1")
    began = time.monotonic()
    with tempfile.TemporaryDirectory() as folder:
        kills(Path(folder) / "killed")
        served = Served(Path(folder) / "busy")
        served.start()
        try:
            say(f"a server that did nothing yet: {memory_mb(served.pid):.0f} MB")
            clients(served)
            requests(served)
            files(served)
        finally:
            served.kill()
    say(f"{time.monotonic() - began:.0f} s; {'nothing lost, nothing answered badly' if not failures else 'FAILED'}")
    sys.exit(bool(failures))


if __name__ == "__main__":
    main()
