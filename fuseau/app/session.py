"""The session: one workshop, and the ritual of every route, written once.

Open the build, check the revision, decide, make sure that the garment can still be made, keep it, answer.
"""

import datetime
from collections.abc import Callable
from dataclasses import dataclass
from functools import cached_property
from typing import Annotated, Any

from fastapi import Depends, Request
from fastapi.responses import Response
from pydantic import BaseModel

from fuseau.app.caches import Caches
from fuseau.app.wire import BookMeasuring, House, Line, OpenBuild, Trouble
from fuseau.craft.base.errors import Unmakeable
from fuseau.craft.base.lengths import Unit
from fuseau.craft.boning.cutting_stock import CuttingPlan
from fuseau.craft.fitting.readiness import Readiness
from fuseau.craft.wearer.body import Taught
from fuseau.document.build import Build, Memory
from fuseau.planning.brief import consequences, job_word
from fuseau.planning.pipeline import plan
from fuseau.planning.plan import Plan
from fuseau.planning.readiness import ready
from fuseau.planning.schools import SchoolEffect, cutting, schools
from fuseau.planning.story import Chapter, story
from fuseau.planning.thread import thread
from fuseau.store.book import Book
from fuseau.store.pictures import KeptPicture, Pictures
from fuseau.store.workshop import Opened, Workshop
from fuseau.wording import Words

TROUBLES: dict[int | str, dict[str, Any]] = {404: {"model": Trouble}, 409: {"model": Trouble}, 422: {"model": Trouble}}


@dataclass(frozen=True)
class AtHand:
    """A build as a decision finds it: with its plan (worked out when asked for), her unit, and the day."""

    id: str
    build: Build
    unit: Unit
    session: "Session"

    @cached_property
    def planned(self) -> Plan:
        """What follows from the build as it stands."""
        return self.session.plan(self.id, self.build)

    @property
    def today(self) -> datetime.date:
        """The day of what is decided now; the core has no clock."""
        return datetime.date.today()


class Session:
    """One workshop, its book and its pictures; plans builds, and answers in the workshop's unit."""

    def __init__(self, workshop: Workshop, book: Book, pictures: Pictures, caches: Caches) -> None:
        self.workshop = workshop
        self.book = book
        self.pictures = pictures
        self._caches = caches
        self._house: House | None = None
        self._cut: tuple[object, tuple[CuttingPlan, ...]] | None = None

    @property
    def house(self) -> House:
        """The workshop's settings."""
        found = self._house
        if found is None:
            found = self._house = House.model_validate_json(self.workshop.setting("house", "{}"))
        return found

    def set_house(self, house: House) -> House:
        """Keep the workshop's settings."""
        self.workshop.set("house", house.model_dump_json())
        self._house = house
        return house

    @property
    def unit(self) -> Unit:
        """The unit that bare numbers and sentences take."""
        return self.house.unit

    # --- the ritual

    def step(
        self,
        build_id: str,
        revision: int,
        decide: Callable[[AtHand], Build],
        label: str | Callable[[Build], str],
    ) -> Response:
        """One decision on a build: opened, checked, decided, planned, kept, answered.

        A decision that changes nothing keeps nothing. Raises NoSuchBuild, Stale, Unmakeable, or what `decide` raises.
        """
        at_hand = AtHand(build_id, self.workshop.present(build_id, revision), self.unit, self)
        build = decide(at_hand)
        if build == at_hand.build:
            return self.answer_build(self.workshop.open(build_id))
        planned = self.makeable(at_hand, build)
        said = label if isinstance(label, str) else label(build)
        return self.answer_build(self.workshop.edit(build_id, revision, build, said), planned)

    def makeable(self, at_hand: AtHand, changed: Build) -> Plan:
        """The plan after a change; refuses one that makes a garment unmakeable which was not so before."""
        planned = self.plan(at_hand.id, changed)
        if planned.unmakeable and not at_hand.planned.unmakeable:
            stop = planned.findings[-1]
            raise Unmakeable(stop.at or "", stop.sentence.code, **stop.sentence.given)
        return planned

    def at_hand(self, build_id: str) -> AtHand:
        """A build as it stands, to look at. Raises NoSuchBuild."""
        return AtHand(build_id, self.workshop.open(build_id).build, self.unit, self)

    def drafted(self, build_id: str) -> AtHand:
        """A build that has a pattern. Raises Unmakeable while there is none."""
        found = self.at_hand(build_id)
        if found.planned.pattern is None:
            raise Unmakeable("wearer", "print.measures_first")
        return found

    def answer(self, model: BaseModel) -> Response:
        """A model as JSON in her words, written once by Pydantic: a plan is large, and not validated again."""
        return Response(model.model_dump_json(context=Words(self.unit).context), media_type="application/json")

    def answer_build(self, opened: Opened, planned: Plan | None = None) -> Response:
        """An open build with its plan; only what is not as it was in the last answer is written anew."""
        cache = self._caches.of(opened.id).answers
        text = cache.write(self.open_build(opened, planned), Words(self.unit), parted=("build", "plan"))
        return Response(text, media_type="application/json")

    def answers(self, models: list[Any]) -> Response:
        """Several models as a JSON list in her words."""
        context = Words(self.unit).context
        return Response(
            f"[{','.join(one.model_dump_json(context=context) for one in models)}]", media_type="application/json"
        )

    # --- planning

    def plan(self, build_id: str, build: Build) -> Plan:
        """The plan of a build, with the stages kept from its last plans."""
        caches = self._caches.of(build_id)
        with caches.planning:
            return plan(build, unit=self.unit, cache=caches.edits)

    def ready(self, build_id: str, build: Build) -> Readiness | None:
        """The odds that the real garment fits if cut now."""
        caches = self._caches.of(build_id)
        with caches.thinking:
            return ready(build, cache=caches.asides)

    def schools(self, build_id: str, build: Build) -> list[SchoolEffect]:
        """The schools of boning side by side."""
        caches = self._caches.of(build_id)
        with caches.thinking:
            return list(schools(build, caches.asides))

    def story(self, build_id: str, build: Build) -> list[Chapter]:
        """The story of its mock-ups."""
        caches = self._caches.of(build_id)
        with caches.thinking:
            return list(story(build, cache=caches.asides))

    def cutting(self, at_hand: AtHand) -> list[CuttingPlan]:
        """How the bones are cut, kept while nothing changes that they follow from. May take seconds; holds no lock."""
        build, planned = at_hand.build, at_hand.planned
        asked = planned.bones, build.bones.shelf, build.catalogue, build.practice
        known = self._cut
        if known is None or known[0] != asked:
            known = self._cut = asked, cutting(build, planned)
        return list(known[1])

    # --- what is shown

    def open_build(self, opened: Opened, planned: Plan | None = None) -> OpenBuild:
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
            next_step=Words(self.unit)(strand.next_step),
            silhouette=[[(round(x, 1), round(z, 1)) for x, z in panel.outline[::4]] for panel in panels],
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


def file_answer(content: bytes, media_type: str, build: Build, ending: str) -> Response:
    """A file to save, named after the build."""
    plain = "".join(sign if sign.isascii() and sign.isalnum() else "-" for sign in build.brief.name).strip("-")
    name = f"{plain or 'build'}{ending}"
    return Response(content, media_type=media_type, headers={"content-disposition": f'attachment; filename="{name}"'})


def _session_of(request: Request) -> Session:
    found: Session = request.app.state.session
    return found


async def _body_of(request: Request) -> bytes:
    return await request.body()


TheSession = Annotated[Session, Depends(_session_of)]
TheBody = Annotated[bytes, Depends(_body_of)]  # read here, so that the routes that plan stay off the event loop
