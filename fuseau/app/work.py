"""What runs in a process of its own: files from outside, prints, and what takes long to work out.

Every function here takes and gives records, so that it can be sent to a worker. A worker process keeps the stages of
the builds that it saw last, as the server does.
"""

import os
import sys
from ctypes import c_double
from dataclasses import dataclass, field, replace

from fuseau.craft.base.lengths import Unit
from fuseau.craft.boning.cutting_stock import CuttingPlan
from fuseau.craft.fitting.readiness import Readiness
from fuseau.craft.layout.marker import Marker, MarkerAsk, lay
from fuseau.document.build import Build
from fuseau.files.paper import Paper
from fuseau.files.prints import Print, print_of
from fuseau.planning.cache import StageCache
from fuseau.planning.cut import marker_ask
from fuseau.planning.pipeline import plan
from fuseau.planning.readiness import ready
from fuseau.planning.schools import SchoolEffect, cutting, schools
from fuseau.planning.story import Chapter, story

MORE_BYTES = 700_000_000
_KEPT_BUILDS = 12
_KEPT_MARKERS = 40


@dataclass
class _Process:
    """What one worker process keeps: where it says how far it is, stages by build, and the bones cut last."""

    share: c_double | None = None
    caches: dict[str, StageCache] = field(default_factory=dict)
    cut: tuple[object, list[CuttingPlan]] | None = None
    markers: list[tuple[MarkerAsk, Marker]] = field(default_factory=list)

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
    try:
        import resource

        with open("/proc/self/statm", encoding="ascii") as told:
            now = int(told.read().split()[0]) * os.sysconf("SC_PAGE_SIZE")
        resource.setrlimit(resource.RLIMIT_AS, (now + MORE_BYTES, now + MORE_BYTES))
    except (ImportError, OSError, ValueError):  # not every system counts memory so; the time limit holds all the same
        return


def begin_thinking(share: c_double) -> None:
    """A worker for what takes long: it gives way to whoever waits for an edit."""
    _HERE.share = share
    _give_way(15)


def _give_way(by: int) -> None:
    if sys.platform != "win32":
        os.nice(by)


def work_out_odds(build_id: str, build: Build) -> Readiness | None:
    """The odds that the real garment fits if cut now."""
    return ready(build, cache=_begun(build_id), tell=_HERE.tell)


def tell_story(build_id: str, build: Build) -> list[Chapter]:
    """The story of the mock-ups."""
    return list(story(build, cache=_begun(build_id), tell=_HERE.tell))


def compare_schools(build_id: str, build: Build) -> list[SchoolEffect]:
    """The schools of boning side by side."""
    return list(schools(build, _begun(build_id), tell=_HERE.tell))


def cut_stock(build_id: str, build: Build, unit: Unit) -> list[CuttingPlan]:
    """How the bones are cut from the shelf and from what is sold; kept while nothing changes that they follow from."""
    planned = plan(build, unit=unit, cache=_begun(build_id))
    asked = planned.bones, planned.left, build.bones.shelf, build.catalogue, build.practice
    if _HERE.cut is None or _HERE.cut[0] != asked:
        _HERE.cut = asked, list(cutting(build, planned, tell=_HERE.tell))
    return _HERE.cut[1]


def lay_marker(build_id: str, build: Build, unit: Unit, cloth: str, fold: bool, seconds: int) -> Marker:
    """The pieces of a cloth laid on it; kept while pieces, width and way stay the same and no more time is given."""
    ask = marker_ask(build, plan(build, unit=unit, cache=_begun(build_id)), cloth, fold=fold, seconds=seconds)
    known = next((one for kept, one in _HERE.markers if _same(kept, ask)), None)
    if known is not None and known.seconds >= seconds:
        return known
    found = lay(ask, tell=_HERE.tell)
    if known is not None and known.length_mm <= found.length_mm:
        found = known.model_copy(update={"seconds": found.seconds})
    _HERE.markers = [(ask, found), *((kept, one) for kept, one in _HERE.markers if not _same(kept, ask))][
        :_KEPT_MARKERS
    ]
    return found


def _same(one: MarkerAsk, other: MarkerAsk) -> bool:
    return replace(one, seconds=0) == replace(other, seconds=0)


def make_print(build_id: str, build: Build, what: Print, paper: Paper, unit: Unit) -> bytes:
    """A print of a build. Raises Unmakeable while there is nothing to print."""
    return print_of(what, build, plan(build, unit=unit, cache=_HERE.cache(build_id)), paper, unit)


def _begun(build_id: str) -> StageCache:
    _HERE.tell(0.0)
    return _HERE.cache(build_id)
