"""The desk: a workshop with the stages kept for each open build, so that an edit re-plans only what it touches."""

import threading
from collections import OrderedDict

from fuseau.app.wire import BookMeasuring, House, Line, OpenBuild
from fuseau.craft.base.lengths import Unit
from fuseau.craft.boning.cutting_stock import CuttingPlan
from fuseau.craft.fitting.readiness import Readiness
from fuseau.craft.wearer.body import Taught
from fuseau.document.build import Build, Memory
from fuseau.planning.brief import consequences, job_word
from fuseau.planning.cache import Kept
from fuseau.planning.pipeline import plan, ready
from fuseau.planning.plan import Plan
from fuseau.planning.schools import SchoolEffect, cutting, schools
from fuseau.planning.story import Chapter, story
from fuseau.planning.thread import thread
from fuseau.store.book import Book
from fuseau.store.pictures import KeptPicture, Pictures
from fuseau.store.workshop import Opened, Workshop

_OPEN_BUILDS = 12


class Desk:
    """Plans builds and answers in the workshop's unit."""

    def __init__(self, workshop: Workshop, book: Book, pictures: Pictures) -> None:
        self.workshop = workshop
        self.book = book
        self.pictures = pictures
        self._kept: OrderedDict[str, Kept] = OrderedDict()
        self._schooled: tuple[str, dict[str, Kept]] = ("", {})
        self._cut: tuple[object, tuple[CuttingPlan, ...]] | None = None
        self._planning = threading.Lock()

    @property
    def house(self) -> House:
        """The workshop's settings."""
        return House.model_validate_json(self.workshop.setting("house", "{}"))

    @property
    def unit(self) -> Unit:
        """The unit that bare numbers and sentences take."""
        return self.house.unit

    def plan(self, build_id: str, build: Build) -> Plan:
        """The plan of a build, with the stages kept from its last plan."""
        unit = self.unit
        with self._planning:
            kept = self._kept.pop(build_id, None) or Kept()
            self._kept[build_id] = kept
            while len(self._kept) > _OPEN_BUILDS:
                self._kept.popitem(last=False)
            return plan(build, unit=unit, kept=kept)

    def ready(self, build_id: str, build: Build) -> Readiness | None:
        """The odds that the real garment fits if cut now, with the stages kept from the last plan."""
        with self._planning:
            return ready(build, kept=self._kept.setdefault(build_id, Kept()))

    def schools(self, build_id: str, build: Build) -> list[SchoolEffect]:
        """The schools of boning side by side, with the stages kept from their last plans."""
        with self._planning:
            if self._schooled[0] != build_id:
                self._schooled = build_id, {}
            return list(schools(build, self._schooled[1]))

    def cutting(self, build_id: str, build: Build) -> list[CuttingPlan]:
        """How the bones are cut, kept while nothing changes that they follow from."""
        planned = self.plan(build_id, build)
        asked = planned.bones, build.bones.shelf, build.catalogue, build.practice
        known = self._cut
        if known is None or known[0] != asked:  # may take seconds, in which others go on planning
            known = self._cut = asked, cutting(build, planned)
        return list(known[1])

    def story(self, build_id: str, build: Build) -> list[Chapter]:
        """The story of its mock-ups, with the chapters kept that stand."""
        with self._planning:
            return list(story(build, kept=self._kept.setdefault(build_id, Kept())))

    def sheet(self, opened: Opened, planned: Plan | None = None) -> OpenBuild:
        """A build with its plan."""
        planned = planned or self.plan(opened.id, opened.build)
        return OpenBuild.model_construct(
            id=opened.id,
            revision=opened.revision,
            archived=opened.archived,
            undoes=opened.undoes,
            redoes=opened.redoes,
            build=opened.build,
            plan=planned,
            thread=thread(opened.build, planned),
            job=job_word(opened.build),
            consequences=list(consequences(opened.build)),
            newer=self._newer(opened.build),
        )

    def _newer(self, build: Build) -> BookMeasuring | None:
        """The newest measuring of the wearer in the book, if the build rests on an older one."""
        ref = build.measuring
        newest = self.book.newest(ref.wearer_id) if ref else None
        if ref is None or newest is None or newest.id == ref.measuring_id:
            return None
        return BookMeasuring(id=newest.id, taken_on=newest.taken_on)

    def taught(self, measuring_id: str, but: str) -> Memory | None:
        """What the most fitted other build on this measuring taught of its wearer; None where nothing did."""
        found = [
            opened
            for opened in [*self.workshop.builds(), *self.workshop.builds(archived=True)]
            if opened.id != but
            and opened.build.fittings
            and opened.build.rehearsal is None
            and opened.build.measuring
            and opened.build.measuring.measuring_id == measuring_id
        ]
        best = max(found, key=lambda opened: len(opened.build.fittings), default=None)
        learned = self.plan(best.id, best.build).learned if best else None
        if best is None or learned is None:
            return None
        return Memory(
            measuring_id=measuring_id,
            build=best.build.brief.name,
            fittings=len(best.build.fittings),
            levels=tuple(
                Taught(
                    name=level.name,
                    girth_mm=level.believed_mm,
                    spread_mm=level.believed_spread_mm,
                    give=level.believed_give,
                )
                for level in learned.levels
            ),
        )

    def keep_attached(self, build: Build, attached: dict[str, bytes]) -> None:
        """Keep the pictures that came with a build's file; what is none is dropped, and shows as missing."""
        for picture in build.pictures:
            content = attached.get(picture.id)
            if content is None:
                continue
            media = "image/png" if content.startswith(b"\x89PNG") else "image/jpeg"
            if media == "image/jpeg" and not content.startswith(b"\xff\xd8"):
                continue
            self.pictures.keep(KeptPicture(picture.id, media, picture.width_px, picture.height_px, content))

    def line(self, opened: Opened) -> Line:
        """A build as the workshop lists it, with a small outline of its panels."""
        build, planned = opened.build, self.plan(opened.id, opened.build)
        strand = thread(build, planned)
        panels = planned.pattern.panels if planned.pattern else ()
        return Line(
            id=opened.id,
            revision=opened.revision,
            name=build.brief.name,
            character=build.brief.character,
            wearer=build.wearer.name,
            kind=build.kind,
            picture=build.brief.pictures[0].id if build.brief.pictures else None,
            needed_on=build.brief.needed_on,
            archived=opened.archived,
            version=build.current.number if build.current else None,
            fittings=len(build.fittings),
            next_stage=strand.next_stage,
            next_step=strand.next_step,
            silhouette=[[(round(x, 1), round(z, 1)) for x, z in panel.outline[::4]] for panel in panels],
        )
