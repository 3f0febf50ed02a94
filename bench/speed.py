"""`make bench`: how fast it is, on the demo build. Figures of one run on one machine; compare within a run."""

import dataclasses
import datetime
import gzip
import json
import statistics
import tempfile
import time
from collections.abc import Callable, Sequence
from pathlib import Path
from typing import Any

import httpx
import numpy as np

from fuseau.commands.cut import take_way
from fuseau.commands.fields import change
from fuseau.commands.shelf import put
from fuseau.craft.base.findings import Change
from fuseau.craft.boning.cutting_stock import Wanted, plan_cutting
from fuseau.craft.fit.equilibrium import settle
from fuseau.craft.fitting.inference import infer, learn
from fuseau.craft.layout.marker import MarkerAsk, lay
from fuseau.craft.layout.nesting import NestAsk, Sheet, nest
from fuseau.craft.layout.pieces import ClothPiece
from fuseau.craft.making.hours import Hours
from fuseau.craft.making.odds import odds
from fuseau.craft.making.rates import rates
from fuseau.craft.making.record_choices import RecordChoices
from fuseau.craft.making.schedule import schedule
from fuseau.craft.materials.catalogue import BONES
from fuseau.craft.pattern.drafting import draft
from fuseau.craft.wearer.body import believe
from fuseau.craft.wearer.garment_kinds import GARMENT_KINDS
from fuseau.demo.workshop import fill
from fuseau.document.build import Build, read_build
from fuseau.document.shelf import Shelf
from fuseau.files.drawings import read_drawing
from fuseau.files.svg import pattern_svg
from fuseau.planning.asked.readiness import ready
from fuseau.planning.asked.schools import schools
from fuseau.planning.asked.ways_out import ways_out
from fuseau.planning.cache import StageCache
from fuseau.planning.fittings.observations import InferenceInputs, tried_on
from fuseau.planning.fittings.proposal import ProposalInputs, propose
from fuseau.planning.garment.lacings import final_lacing
from fuseau.planning.pictures.drawn import read_drawn
from fuseau.planning.pictures.lines import picture_lines
from fuseau.planning.pipeline import plan
from fuseau.planning.plan import Plan
from fuseau.planning.stages.cut import pieces_of
from fuseau.planning.stages.make import make_up
from fuseau.planning.stages.pattern import AimInputs, aim_pattern
from fuseau.planning.trims.rooms import free_of
from fuseau.planning.workshop.card_box import Filed, SaidCard, as_kept, file, find
from fuseau.planning.workshop.schedule import AtWork, calendar_for, work_of
from fuseau.planning.worn.on_body import inputs_of, on_body
from fuseau.store.opening import open_database
from fuseau.store.workshop import Workshop
from tests.ui.driving import Hand, Server, chromium

PAGES = Path("fuseau/app/pages")
TODAY = datetime.date(2026, 11, 26)


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
    kept = StageCache()
    plan(build, cache=kept)
    middle, worst = median_ms(lambda i: plan(builds[i], cache=kept), 60)
    say("plan, warm, another reduction each time", middle, "ms", "< 40", worst)
    hardware = [change(build, [Change(at="back.pitch_mm", value=20 + i * 0.3)], "cm") for i in range(40)]
    middle, worst = median_ms(lambda i: plan(hardware[i], cache=kept), 40)
    say("plan, warm, another pitch of holes each time", middle, "ms", "< 30", worst)
    middle, worst = median_ms(lambda _: plan(build), 20)
    say("plan, cold", middle, "ms", "-", worst)
    found = plan(build)
    assert found.aim is not None
    assert found.body is not None
    assert build.current is not None
    lacing = final_lacing(build, build.current.pattern, found.aim)
    hold = lacing.on(found.body)
    middle, worst = median_ms(lambda _: settle(hold), 200)
    say("settle, 61 points", middle, "ms", "< 5", worst)
    kind = GARMENT_KINDS[build.kind]
    measured = believe(build.wearer, build.zones, build.practice, kind.levels, kind.needed)
    tried = tried_on(InferenceInputs.of(build, measured))
    middle, worst = median_ms(lambda _: learn(measured, tried), 40)
    say(f"learn from {len(tried)} fittings", middle, "ms", "< 150", worst)
    five = [dataclasses.replace(tried[i % len(tried)], number=i + 1) for i in range(5)]
    lighter = [
        dataclasses.replace(one, lacing=dataclasses.replace(one.lacing, pull_n_per_m=100), gap_mm=one.gap_mm + 12)
        for one in five
    ]
    middle, worst = median_ms(lambda _: learn(measured, [*five, *lighter]), 20)
    say("learn from 5 fittings of 2 lacings", middle, "ms", "< 200", worst)
    belief = infer(measured, tried)

    def proposal(_: int) -> object:
        aimed, pattern = aim_pattern(AimInputs.of(build, belief.body))
        return propose(ProposalInputs.of(build, belief, belief.body, aimed, pattern))

    middle, worst = median_ms(proposal, 20)
    say("a proposal with its prediction", middle, "ms", "< 100", worst)
    middle, worst = median_ms(lambda _: ready(build), 5)
    say("readiness, 200 draws, cold", middle, "ms", "< 1000", worst)


def hardware(build: Build) -> None:
    """Channels, kinds, openings and rows planned anew after an edit of each; the bones cut; the schools compared."""
    kept = StageCache()
    found = plan(build, cache=kept)
    usual = [one.model_dump() for one in found.between]

    def moved(i: int) -> list[Change]:
        channels = [{**one, "across": round(one["across"] + 0.002 * (i % 9 - 4), 3)} for one in usual]
        return [
            [Change(at="bones.between", value=channels)],
            [Change(at="bones.by_channel.2·3", value=("flat_6", "spiral_6", "woven_8")[i % 3])],
            [Change(at="front.opening", value=("hooks", "zip", "lacing", "busk")[i // 4 % 4])],
            [Change(at="back.pitch_mm", value=20 + i * 0.2)],
        ][i % 4]

    changed = [change(build, moved(i), "cm") for i in range(60)]
    middle, worst = median_ms(lambda i: plan(changed[i], cache=kept), 60)
    say("all hardware anew: a channel, a kind, the front, the rows", middle, "ms", "< 30", worst)
    middle, worst = median_ms(lambda i: plan(changed[4 * i], cache=kept), 15)
    say("of these, with a channel moved", middle, "ms", "< 30", worst)
    sticks = BONES["synthetic_12"].model_copy(update={"lengths_mm": (1000.0, 500.0, 400.0, 350.0, 300.0, 250.0)})
    wanted = [
        [Wanted(label=f"{i}", length_mm=5.0 * one) for i, one in enumerate(rng.integers(28, 68, 20).repeat(2))]
        for rng in map(np.random.default_rng, range(10))
    ]
    proven = [plan_cutting(sticks, bones, {}, build.practice).proven for bones in wanted]
    middle, worst = median_ms(lambda i: plan_cutting(sticks, wanted[i], {}, build.practice), 10)
    say(f"40 bones from six lengths, {sum(proven)} of 10 proven", middle, "ms", "< 1000", worst)
    side_by_side = StageCache(12)
    schools(build, side_by_side)
    middle, worst = median_ms(lambda i: schools(changed[i], side_by_side), 8)
    say("the four schools side by side", middle, "ms", "-", worst)


def patterns(build: Build) -> None:
    """Drafting eight panels, reading a large drawing."""
    found = plan(build)
    assert found.aim is not None
    assert found.body is not None
    assert found.pattern is not None
    body, girths, top, hem = found.body, np.array(found.aim.sewn_mm), found.pattern.top, found.pattern.hem
    top, hem = (line.model_copy(update={"points": ()}) for line in (top, hem))

    def make(_: int) -> object:
        return draft(body, girths, 50.0, 8, top, hem, build.draft.allowances, build.practice)

    middle, worst = median_ms(make, 60)
    say("draft of 8 panels", middle, "ms", "< 15", worst)
    drawing = _large_svg(pattern_svg(build, found), 200_000)
    middle, worst = median_ms(lambda _: read_drawing(drawing, "large.svg"), 12)
    say(f"import of an SVG of {len(drawing) / 1000:.0f} kB", middle, "ms", "< 500", worst)


def _large_svg(text: str, size: int) -> bytes:
    """A drawing made as large as wanted by a long curved line beside the pattern."""
    curve = "M 900 900"
    while len(text) + len(curve) < size:
        x = 900 + (len(curve) % 90)
        curve += f" c 0.413 0.{x} 0.927 1.{x} 1.2 2.{x}"
    return text.replace("</svg>", f'<path class="trim" d="{curve}"/></svg>').encode()


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

                def drag(i: int) -> None:
                    edit = {"kind": "point", "end": "top", "place": 0, "z_mm": 104 + i * 0.3}
                    client.post(f"/api/builds/{line['id']}/pattern/preview", json={"edits": [edit]})

                edit(99)
                drag(0)
                middle, worst = median_ms(drag, 60)
                say("a drag of the top line, redrawn and trued", middle, "ms", "< 60", worst)
                middle, worst = median_ms(edit, 60)
                say("an edit, HTTP request to answer", middle, "ms", "< 80", worst)
                done = step_done(client)
                say("a step done, kept and planned anew, and what is next", done[0], "ms", "< 100", done[1])
                hand_edits(client, line["id"], revision[0])
                say("memory of the server after 2,000 edits", one.memory_mb(), "MB", "< 250")
            first_load(one)
        finally:
            one.stop()


def step_done(client: httpx.Client) -> tuple[float, float]:
    """Steps of a garment in the middle of its making done one after the other: from the press to what is next."""
    line = next(line for line in client.get("/api/builds").json() if "Tinder" in line["name"])
    path = f"/api/builds/{line['id']}"
    revision = client.get(path).json()["revision"]
    now = client.get(f"{path}/make").json()["make"]["now"]
    state = {"revision": revision, "now": now}

    def done(_: int) -> None:
        body = {"revision": state["revision"], "step": state["now"]}
        state["revision"] = client.post(f"{path}/make/do", json=body).json()["revision"]
        state["now"] = client.get(f"{path}/make").json()["make"]["now"]

    return median_ms(done, 10)


def hand_edits(client: httpx.Client, build_id: str, revision: int) -> None:
    """An hour's editing: 2,000 edits of the pattern by hand, there and back."""
    took = []
    for i in range(2000):
        amount = 0.5 if i % 2 == 0 else -0.5
        change = {"kind": "seam", "seam": 1 + (i // 2) % 5, "at_mm": -40 + (i // 10) % 80, "amount_mm": amount}
        began = time.perf_counter()
        answer = client.post(f"/api/builds/{build_id}/pattern", json={"revision": revision, "edits": [change]})
        took.append((time.perf_counter() - began) * 1000)
        revision = answer.json()["revision"]
    say("an edit of the pattern by hand, HTTP", statistics.median(took), "ms", "-", float(np.percentile(took, 95)))


def cut(build: Build) -> None:
    """Pieces of five plies at eight panels; a marker of some forty pieces, and what a longer run makes of it."""
    plies = [
        {"role": role, "cloth": cloth}
        for role, cloth in (
            ("lining", "lawn"),
            ("strength", "coutil"),
            ("interlining", "fusible_light"),
            ("fashion", "brocade"),
            ("overlay", "lace"),
        )
    ]
    layered = change(build, [Change(at="layers.plies", value=plies), Change(at="draft.panels", value=8)], "cm")
    layered = layered.model_copy(update={"versions": (), "fittings": ()})
    planned = plan(layered)
    middle, worst = median_ms(lambda _: pieces_of(layered, planned), 20)
    say("pieces of five plies, eight panels", middle, "ms", "< 150", worst)
    pieces = pieces_of(layered, planned)[:20]
    seen: list[float] = []
    began = time.perf_counter()
    quick = lay(MarkerAsk(pieces, 1380.0, seconds=3), show=lambda _: seen.append(time.perf_counter() - began))
    say(f"marker of {len(quick.placed)} pieces, first layout after", seen[0], "s", "< 1")
    long = lay(MarkerAsk(pieces, 1380.0, seconds=60))
    say("its length in 3 s over that in 60 s", quick.length_mm / long.length_mm, "", "< 1.03")
    on_scraps(pieces)
    shelf = put(Shelf(), [{"sort": "cloth", "name": "brocade", "label": "x", "length_mm": 500, "width_mm": 1380}], "cm")
    at_hand = list(shelf.for_build("b"))

    def applied(here: Build, changes: Sequence[Change], edits: Sequence[dict[str, Any]]) -> tuple[Build, Plan]:
        made = take_way(here, changes, edits, datetime.date.today(), "cm", cache)
        return made, plan(made, cache=cache)

    cache = StageCache()
    began = time.perf_counter()
    found = ways_out(layered, plan(layered, cache=cache), "brocade", at_hand, applied)
    say(f"{len(found.ways)} ways out, alone and in pairs", time.perf_counter() - began, "s", "< 20")


def making(build: Build) -> None:
    """Steps and their order, a schedule of four garments, and the odds of it."""
    planned, known = plan(build), rates(())
    middle, worst = median_ms(lambda _: make_up(build, planned, known), 9)
    say("steps and order", middle, "ms", "under 30", worst)
    four = [AtWork(f"b{i}", build, planned) for i in range(4)]
    ahead = work_of(four, Shelf(), known, TODAY)
    calendar = calendar_for(ahead.jobs, Hours(), TODAY)
    due = {f"b{i}": TODAY + datetime.timedelta(days=25 + 12 * i) for i in range(4)}
    found = schedule(ahead.jobs, due, calendar)
    middle, worst = median_ms(lambda _: schedule(ahead.jobs, due, calendar), 3)
    say(f"schedule of {len(ahead.jobs)} steps", middle / 1000, "s", "under 1", worst / 1000)
    say("  and what might still be saved", 100 * found.bound_share, "%", "proof or bound")
    middle, worst = median_ms(lambda _: odds(ahead.jobs, due, calendar), 3)
    say("1000 runs of it", middle / 1000, "s", "under 2", worst / 1000)
    worn = build.model_copy(update={"record": RecordChoices(finished_on=TODAY, likes=("lies flat",))})
    filed, text = file(worn, planned), as_kept(file(worn, planned))
    began = time.perf_counter()
    box = [(f"b{i}", SaidCard(Filed.model_validate_json(text), "cm")) for i in range(500)]
    say("500 cards read for the first time", time.perf_counter() - began, "s", "once")
    assert filed.card is not None
    middle, worst = median_ms(lambda i: find(box, ("flat wick", "steel 12", "porcelain")[i % 3]), 12)
    say("search of 500 cards", middle, "ms", "under 100", worst)


def trimmed(build: Build) -> None:
    """Thirty trims of which one changes, and what is free on the panels."""
    along = [
        {"key": f"t{i}", "name": f"beads {i}", "line": {"on": ("top line", "hem", "waist")[i % 3]}, "pitch_mm": 9 + i}
        for i in range(20)
    ]
    areas = [{"key": f"a{i}", "name": f"area {i}", "how": ("motif", "pieces")[i % 2]} for i in range(6)]
    hanging = [{"key": f"h{i}", "name": f"frill {i}", "tiers": [{"depth_mm": 60 + i}]} for i in range(4)]
    cache = StageCache()

    def again(i: int) -> None:
        along[0]["pitch_mm"] = 9 + 0.1 * i
        changes = [("along", along), ("areas", areas), ("hanging", hanging)]
        made = change(build, [Change(at=f"trims.{name}", value=value) for name, value in changes], "cm")
        plan(made, cache=cache)

    again(99)
    middle, worst = median_ms(again, 12)
    say("re-plan with 30 trims, one changed", middle, "ms", "< 40", worst)
    planned = plan(build, cache=cache)
    middle, worst = median_ms(lambda i: free_of(_seamed(planned, i), 40, 40), 6)
    say("free areas of every panel", middle, "ms", "< 60", worst)


def on_her(build: Build) -> None:
    """The garment on her body, her pictures read, and their lines."""
    planned = plan(build)
    inputs = inputs_of(build, planned)
    assert inputs is not None
    middle, worst = median_ms(lambda _: on_body(inputs), 12)
    say("the garment on her, as surfaces and lines", middle, "ms", "< 60", worst)
    picture = build.brief.pictures[0]
    middle, worst = median_ms(lambda _: read_drawn(build, planned, picture), 6)
    say("a picture read to three ways", middle, "ms", "< 150", worst)
    middle, worst = median_ms(lambda _: picture_lines(build, planned, inputs, picture), 6)
    say("its lines as the garment's, and back", middle, "ms", "< 300", worst)


_OPEN = """
const done = arguments[0], began = performance.now()
window.dispatchEvent(new KeyboardEvent('keydown', { key: 'b', bubbles: true }))
const look = () => {
  const pane = document.querySelector('.pane')
  if (pane && pane.getAttribute('aria-busy') !== 'true') return done(performance.now() - began)
  requestAnimationFrame(look)
}
look()
"""
_TURN = """
const done = arguments[0], pane = document.querySelector('.pane')
pane.setPointerCapture = () => {}
const by = (type, x) => pane.dispatchEvent(new PointerEvent(type, { clientX: x, clientY: 300, bubbles: true }))
by('pointerdown', 300)
let drawn = 0
const began = performance.now()
const step = () => {
  drawn++
  by('pointermove', 300 + drawn * 3)
  const took = (performance.now() - began) / 1000
  if (took < 3) return requestAnimationFrame(step)
  by('pointerup', 300)
  done(drawn / took)
}
requestAnimationFrame(step)
"""


def turned_by_hand(hand: Hand) -> None:
    """The view of the garment on her: until its first picture, and pictures a second while it is turned."""
    hand.stage("Lamplighter Regent", "mockups")
    hand.find(".odds")
    hand.browser.set_script_timeout(30)
    say("on her, from the key to the first picture", hand.browser.execute_async_script(_OPEN), "ms", "< 700")
    say("on her, turned, software drawing", hand.browser.execute_async_script(_TURN), "/s", "> 50")


def _seamed(planned: Plan, i: int) -> Plan:
    """The plan with its bones a little wider, so that nothing that is kept fits."""
    wider = tuple(
        bone.model_copy(update={"channel_width_mm": bone.channel_width_mm + 0.01 * (i + 1)}) for bone in planned.bones
    )
    return planned.model_copy(update={"bones": wider})


def on_scraps(pieces: Sequence[ClothPiece]) -> None:
    """Some twenty pieces on eight scraps, the first order of them, and three seconds of others."""
    some = tuple(pieces[:10])
    scraps = tuple(
        Sheet(key=f"s{i}", outline=((0, 0), (260 + 40 * i, 20), (250 + 40 * i, 200 + 25 * i), (15, 180 + 25 * i)))
        for i in range(8)
    )
    count = sum(piece.count for piece in some)
    began = time.perf_counter()
    first = nest(NestAsk(some, scraps, seconds=0))
    say(f"{count} pieces on 8 scraps, the first order", time.perf_counter() - began, "s", "< 5")
    unlaid = sum(one.count for one in first.unlaid)
    more = sum(one.count for one in nest(NestAsk(some, scraps, seconds=3)).unlaid)
    say(f"left over in 3 s ({unlaid} in the first order)", float(more), "", "as few as go")


def first_load(one: Server) -> None:
    """What the browser loads first, and when the workshop and a build can be used."""
    files = [file for file in PAGES.glob("assets/*") if file.suffix in (".js", ".css")]
    sizes = {file.name: len(gzip.compress(file.read_bytes())) / 1000 for file in files}
    seen = sum(size for name, size in sizes.items() if name.startswith("OnBody"))
    say("JavaScript and CSS of every page, gzipped", sum(sizes.values()) - seen, "kB", "< 350")
    say("and of the view on her, loaded once it is opened", seen, "kB", "< 200")
    with chromium() as browser:
        turned_by_hand(Hand(browser, one.url))
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
        hardware(build)
        patterns(build)
        cut(build)
        making(build)
        trimmed(build)
        on_her(build)
    server()


if __name__ == "__main__":
    main()
