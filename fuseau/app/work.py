"""What runs in a process of its own: files from outside, prints, and what takes long to work out.

Every function here takes and gives records, so that it can be sent to a worker. A worker process keeps the stages of
the builds that it saw last, as the server does.
"""

import datetime
import os
import signal
import sys
from collections.abc import Callable, Mapping, Sequence
from ctypes import c_double
from dataclasses import dataclass, field, replace
from typing import TYPE_CHECKING, Any, Literal, ParamSpec, TypeVar

from fuseau.commands.cut import take_way
from fuseau.craft.base.findings import Change
from fuseau.craft.base.lengths import Unit
from fuseau.craft.boning.cutting_stock import CuttingPlan
from fuseau.craft.fitting.readiness import Readiness
from fuseau.craft.layout.at_hand import LayAsk, Laying, lay_on_hand, lay_quickly
from fuseau.craft.layout.nesting import NoFits
from fuseau.craft.making.hours import Hours
from fuseau.craft.making.rates import Rate
from fuseau.craft.materials.minutes import Work
from fuseau.craft.stock.stock import Stock
from fuseau.document.build import Build
from fuseau.document.shelf import Shelf
from fuseau.files.intake import check_answer
from fuseau.files.paper import Paper
from fuseau.files.prints import Print, print_of
from fuseau.planning.asked.by_shelf import ByShelf, by_shelf
from fuseau.planning.asked.readiness import ready
from fuseau.planning.asked.schools import SchoolEffect, bones_at_hand, cutting, schools
from fuseau.planning.asked.ways_out import Applied, WaysOut, ways_out
from fuseau.planning.cache import StageCache
from fuseau.planning.fittings.story import Chapter, story
from fuseau.planning.pipeline import plan
from fuseau.planning.plan import Plan
from fuseau.planning.stages.cut import lay_ask
from fuseau.planning.stages.record import Card
from fuseau.planning.workshop.gains import Gain, gains
from fuseau.planning.workshop.schedule import AtWork, WorkPlan, plan_work
from fuseau.planning.workshop.shopping import Pool, Shopping, Want, shopping
from fuseau.planning.workshop.wants import wants_of
from fuseau.planning.worn.on_body import OnBody
from fuseau.stand_ins.suppliers import offers
from fuseau.store.workshop import kept_build

if TYPE_CHECKING:
    from fuseau.files.layouts import LaidCloth

Given = ParamSpec("Given")
Answer = TypeVar("Answer")

MORE_BYTES = 700_000_000
MORE_BYTES_THINKING = 2_000_000_000
_KEPT_BUILDS = 12
_KEPT_LAYINGS = 60


@dataclass
class _Process:
    """What one worker process keeps: where it says how far it is, stages by build, and the bones cut last."""

    share: c_double | None = None
    caches: dict[str, StageCache] = field(default_factory=dict)
    cut: tuple[object, list[CuttingPlan]] | None = None
    layings: list[tuple[LayAsk, Laying]] = field(default_factory=list)

    def cache(self, build_id: str) -> StageCache:
        """The stages of a build; those of the build seen longest ago give way."""
        found = self.caches.pop(build_id, None) or StageCache(12)
        self.caches[build_id] = found
        while len(self.caches) > _KEPT_BUILDS:
            self.caches.pop(next(iter(self.caches)))
        return found

    def tell(self, share: float) -> None:
        """Say which share of the present work is done."""
        if self.share is not None:
            self.share.value = share


_HERE = _Process()


def begin_asked() -> None:
    """A worker for files and prints: it may take so much more memory than it has, and no more."""
    _give_way(5)
    _bound_memory(MORE_BYTES)


def begin_thinking(share: c_double, give_way: int) -> None:
    """A worker for what takes long: it gives way to whoever waits for an edit."""
    _HERE.share = share
    _give_way(give_way)
    _bound_memory(MORE_BYTES_THINKING)


def within(most_s: float, function: Callable[Given, Answer], *args: Given.args, **kwargs: Given.kwargs) -> Answer:
    """What `function` gives, in so many seconds of a processor, whoever else is busy; past them this process ends."""
    if sys.platform == "win32":
        return function(*args, **kwargs)
    signal.setitimer(signal.ITIMER_PROF, most_s)  # SIGPROF ends what does not hear it, also within a library
    try:
        return function(*args, **kwargs)
    finally:
        signal.setitimer(signal.ITIMER_PROF, 0.0)


def _bound_memory(more: int) -> None:
    try:
        import resource

        with open("/proc/self/statm", encoding="ascii") as told:
            now = int(told.read().split()[0]) * os.sysconf("SC_PAGE_SIZE")
        resource.setrlimit(resource.RLIMIT_AS, (now + more, now + more))
    except (ImportError, OSError, ValueError):  # not every system counts memory so; the time limit holds all the same
        return


def _give_way(by: int) -> None:
    if sys.platform != "win32":
        os.nice(by)


def check_kept(document: str) -> None:
    """A state of a build as it is kept, read as the workshop will open it, and planned to an answer.

    Raises UnreadableBuild, or UnreadableFile where Fuseau fails to work it out.
    """
    check_answer(kept_build(document))


def work_out_odds(build_id: str, build: Build) -> Readiness | None:
    """The odds that the real garment fits if cut now."""
    return ready(build, cache=_begun(build_id), tell=_HERE.tell)


def tell_story(build_id: str, build: Build) -> list[Chapter]:
    """The story of the mock-ups."""
    return list(story(build, cache=_begun(build_id), tell=_HERE.tell))


def compare_schools(build_id: str, build: Build) -> list[SchoolEffect]:
    """The schools of boning side by side."""
    return list(schools(build, _begun(build_id), tell=_HERE.tell))


def cut_stock(build_id: str, build: Build, at_hand: list[tuple[Stock, float]]) -> list[CuttingPlan]:
    """How the bones are cut from the shelf and from what is sold; kept while nothing changes that they follow from."""
    planned = plan(build, cache=_begun(build_id))
    shelf = bones_at_hand(at_hand)
    asked = planned.bones, planned.left, planned.modesty, shelf, build.catalogue, build.practice
    if _HERE.cut is None or _HERE.cut[0] != asked:
        _HERE.cut = asked, list(cutting(build, planned, shelf, tell=_HERE.tell))
    return _HERE.cut[1]


def lay_cloth(build_id: str, build: Build, cloth: str, at_hand: list[tuple[Stock, float]], seconds: int) -> Laying:
    """The pieces of a cloth laid on what there is of it and on new cloth.

    Kept while pieces, sheets and way stay the same; a longer look never comes out worse.
    """
    planned = plan(build, cache=_begun(build_id))
    ask = lay_ask(build, planned, cloth, at_hand, seconds)
    known = next((one for kept, one in _HERE.layings if _same(kept, ask)), None)
    if known is not None and known.seconds >= ask.seconds:
        return known
    laying = lay_on_hand(ask, tell=_HERE.tell)
    if known is not None and known.short_mm <= laying.short_mm:
        laying = known.model_copy(update={"seconds": laying.seconds})
    _keep_laying(ask, laying)
    return laying


def _keep_laying(ask: LayAsk, found: Laying) -> None:
    others = [(kept, one) for kept, one in _HERE.layings if not _same(kept, ask)]
    _HERE.layings = [(ask, found), *others][:_KEPT_LAYINGS]


def _same(ask: LayAsk, other: LayAsk) -> bool:
    return replace(ask, seconds=0) == replace(other, seconds=0)


def find_ways_out(
    build_id: str,
    build: Build,
    unit: Unit,
    cloth: str,
    at_hand: list[tuple[Stock, float]],
    today: datetime.date,
) -> WaysOut:
    """What would help where a cloth is not enough."""
    cache = _begun(build_id)
    planned = plan(build, cache=cache)
    return ways_out(build, planned, cloth, at_hand, _applied(today, unit, cache), tell=_HERE.tell)


def look_at_shelf(
    build_id: str, build: Build, unit: Unit, at_hand: list[tuple[Stock, float]], today: datetime.date
) -> ByShelf:
    """What the shelf gives for a garment."""
    cache = _begun(build_id)
    planned = plan(build, cache=cache)
    return by_shelf(build, planned, at_hand, _applied(today, unit, cache), tell=_HERE.tell)


def _applied(today: datetime.date, unit: Unit, cache: StageCache) -> Applied:
    """How changes and edits are tried: made, and planned through."""

    def applied(here: Build, changes: Sequence[Change], edits: Sequence[dict[str, Any]]) -> tuple[Build, Plan]:
        made = take_way(here, changes, edits, today, unit, cache)
        return made, plan(made, cache=cache)

    return applied


def list_wants(builds: list[tuple[str, Build]], shelf: Shelf) -> list[Want]:
    """What every build takes of the shelf and lacks, the builds in the order in which they are needed.

    A cloth that was laid out with care is counted so, any other as it lies in the first order that is tried.
    """
    pool = Pool(shelf)
    found: list[Want] = []
    for k, (build_id, build) in enumerate(builds):
        _HERE.tell(k / len(builds))
        planned = plan(build, cache=_HERE.cache(build_id))
        known: NoFits = {}  # the plies of a garment have nearly the same pieces

        def lay(ask: LayAsk, known: NoFits = known) -> Laying:
            kept = next((one for other, one in _HERE.layings if _same(other, ask)), None)
            if kept is None:
                kept = lay_quickly(ask, known)
                _keep_laying(ask, kept)
            return kept

        found += wants_of(build_id, build, planned, pool, lay)
    return found


def plan_the_work(
    builds: list[tuple[str, Build]],
    shelf: Shelf,
    hours: Hours,
    today: datetime.date,
    known: dict[Work, Rate],
) -> WorkPlan:
    """The work of all builds from today on, and the odds of their days."""
    return plan_work(_at_work(builds), shelf, hours, today, known)


def _at_work(builds: list[tuple[str, Build]]) -> list[AtWork]:
    """Builds with their plans; one that can't be planned has no work."""
    works = []
    for k, (build_id, build) in enumerate(builds):
        _HERE.tell(0.8 * k / len(builds))
        planned = plan(build, cache=_HERE.cache(build_id))
        works.append(AtWork(build_id, build, planned))
    return works


def find_gains(
    builds: list[tuple[str, Build]],
    build_id: str,
    shelf: Shelf,
    hours: Hours,
    today: datetime.date,
    known: dict[Work, Rate],
    unit: Unit,
) -> tuple[Gain, ...]:
    """What would buy a build odds."""
    at_work = _at_work(builds)
    applied = _applied(today, unit, _HERE.cache(build_id))
    return gains(
        at_work=at_work,
        build_id=build_id,
        shelf=shelf,
        hours=hours,
        today=today,
        known=known,
        changed=lambda build, changes: applied(build, changes, ()),
        tell=_HERE.tell,
    )


def print_layout(laid: "LaidCloth", how: Literal["pdf", "svg"], paper: Paper, unit: Unit) -> bytes:
    """A cloth as it was laid out, on paper or as a drawing. Raises Unmakeable where nothing is laid."""
    from fuseau.files.layouts import layout_pdf, layout_svg

    return layout_pdf(laid, paper, unit) if how == "pdf" else layout_svg(laid).encode()


def make_print(build_id: str, build: Build, what: Print, paper: Paper, unit: Unit, roll_mm: int = 914) -> bytes:
    """A print of a build. Raises Unmakeable while there is nothing to print."""
    planned = plan(build, cache=_HERE.cache(build_id))
    takes = it_takes(build_id, build, planned) if what == "list.pdf" else None
    return print_of(what=what, build=build, planned=planned, paper=paper, unit=unit, roll_mm=roll_mm, takes=takes)


def it_takes(build_id: str, build: Build, planned: Plan) -> Shopping:
    """All that a build still takes, bought anew: cloth laid quickly, everything else counted, at what the shops ask."""
    known: NoFits = {}
    wants = wants_of(build_id, build, planned, Pool(Shelf()), lambda ask: lay_quickly(ask, known))
    all_offers = offers(build.cloths, build.bone_kinds)
    return shopping(wants, {build_id: None}, all_offers, datetime.date.min, build.cloths, build.bone_kinds)


def _begun(build_id: str) -> StageCache:
    _HERE.tell(0.0)
    return _HERE.cache(build_id)


def print_day_plan(work: WorkPlan, paper: Paper, unit: Unit) -> bytes:
    """The plan of the next days, on paper: PDF."""
    from fuseau.files.day_plan import day_plan_pdf

    return day_plan_pdf(work, paper, unit)


def print_card_of(
    build: Build,
    card: Card,
    paper: Paper,
    unit: Unit,
    pictures: Mapping[str, bytes],
    document: bytes | None,
    seen: OnBody | None,
) -> bytes:
    """The card of a garment on paper, as `card_pdf` has it."""
    from fuseau.files.card import card_pdf

    return card_pdf(build, card, paper, unit, pictures, document, seen)


def picture_of_card(printed: bytes) -> bytes:
    """A printed card as one PNG."""
    from fuseau.files.card import card_png

    return card_png(printed)
