"""`make bench`: how fast it is, on the demo build. Figures of one run on one machine; compare within a run."""

import gzip
import json
import statistics
import tempfile
import time
from collections.abc import Callable
from pathlib import Path

import httpx
import numpy as np

from fuseau.build import Build, read_build
from fuseau.craft.findings import Change
from fuseau.craft.learning import learn
from fuseau.craft.settling import settle
from fuseau.decisions import change
from fuseau.demo.workshop import fill
from fuseau.plan import Kept, _tried, plan
from fuseau.shaping import final_lacing
from fuseau.store.opening import open_database
from fuseau.store.workshop import Workshop
from tests.ui.driving import Hand, Server, chromium

PAGES = Path("fuseau/app/pages")


def median_ms(run: Callable[[int], object], times: int) -> tuple[float, float]:
    """Median and 95th percentile of `times` runs, in ms."""
    took = []
    for i in range(times):
        began = time.perf_counter()
        run(i)
        took.append((time.perf_counter() - began) * 1000)
    return statistics.median(took), float(np.percentile(took, 95))


def say(name: str, found: float, unit: str, aim: str, worst: float | None = None) -> None:
    """One line of the report."""
    tail = f"   95 %: {worst:.1f} {unit}" if worst is not None else ""
    print(f"{name:<58}{found:9.2f} {unit:<4} aim {aim}{tail}", flush=True)


def core(build: Build) -> None:
    """The plan, its parts, and what a fitting costs."""
    builds = [change(build, [Change(at="target.reduction_percent", value=5 + i * 0.05)], "cm") for i in range(60)]
    kept = Kept()
    plan(build, kept=kept)
    middle, worst = median_ms(lambda i: plan(builds[i], kept=kept), 60)
    say("plan, warm, another reduction each time", middle, "ms", "< 40", worst)
    hardware = [change(build, [Change(at="back.pitch_mm", value=20 + i * 0.3)], "cm") for i in range(40)]
    middle, worst = median_ms(lambda i: plan(hardware[i], kept=kept), 40)
    say("plan, warm, another pitch of holes each time", middle, "ms", "< 30", worst)
    middle, worst = median_ms(lambda _: plan(build), 20)
    say("plan, cold", middle, "ms", "-", worst)
    found = plan(build)
    assert found.aim is not None
    assert found.body is not None
    assert build.current is not None
    lacing = final_lacing(build, build.current.pattern, found.aim)
    natural = lacing.body_matrix(found.body) @ np.array([level.girth_mm for level in found.body])
    hold = lacing.hold(natural, lacing.give(found.body))
    middle, worst = median_ms(lambda _: settle(hold), 200)
    say("settle, 61 points", middle, "ms", "< 5", worst)
    tried = _tried(build)
    middle, worst = median_ms(lambda _: learn(found.body, tried), 40)  # type: ignore[arg-type]
    say(f"learn from {len(tried)} fittings", middle, "ms", "< 150", worst)


def server() -> None:
    """Starting, and an edit from request to answer."""
    with tempfile.TemporaryDirectory() as data:
        fill(Path(data) / "fuseau.db")
        starts = []
        for _ in range(5):
            one = Server(Path(data))
            starts.append(one.start())
            one.stop()
        say("server start to first answer", statistics.median(starts), "s", "< 2", max(starts))
        one = Server(Path(data))
        one.start()
        try:
            with httpx.Client(base_url=one.url) as client:
                line = next(line for line in client.get("/api/builds").json() if "Regent" in line["name"])
                revision = [client.get(f"/api/builds/{line['id']}").json()["revision"]]

                def edit(i: int) -> None:
                    changes = [{"at": "target.reduction_percent", "value": 5 + i * 0.05}]
                    body = {"revision": revision[0], "changes": changes}
                    revision[0] = client.post(f"/api/builds/{line['id']}/changes", json=body).json()["revision"]

                edit(99)
                middle, worst = median_ms(edit, 60)
                say("an edit, HTTP request to answer", middle, "ms", "< 80", worst)
            first_load(one)
        finally:
            one.stop()


def first_load(one: Server) -> None:
    """What the browser loads first, and when the workshop and a build can be used."""
    sizes = [len(gzip.compress(file.read_bytes())) for file in PAGES.glob("assets/*") if file.suffix in (".js", ".css")]
    say("JavaScript and CSS of every page, gzipped", sum(sizes) / 1000, "kB", "< 350")
    ids = {line["name"]: line["id"] for line in httpx.get(f"{one.url}/api/builds").json()}
    for name, path, sign in (
        ("first load of the workshop, usable", "/", ".line"),
        ("first load of a build, usable", f"/build/{ids['Lamplighter Regent']}/pattern", "path.panel"),
    ):
        took = []
        for _ in range(5):
            with chromium() as browser:
                hand = Hand(browser, one.url)
                browser.execute_cdp_cmd("Network.setCacheDisabled", {"cacheDisabled": True})
                began = time.perf_counter()
                browser.get(one.url + path)
                while not browser.execute_script(f"return document.querySelectorAll({json.dumps(sign)}).length"):
                    pass
                took.append(time.perf_counter() - began)
                assert hand.all(sign)
        say(name, statistics.median(took), "s", "< 1.5", max(took))


def main() -> None:
    """Run everything."""
    with tempfile.TemporaryDirectory() as data:
        database = Path(data) / "fuseau.db"
        fill(database)
        workshop = Workshop(open_database(database))
        build = next(one.build for one in workshop.builds() if one.build.brief.name == "Lamplighter Regent")
        core(read_build(build.model_dump()))
    server()


if __name__ == "__main__":
    main()
