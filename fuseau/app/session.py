"""The session: one workshop, and the ritual of every route, written once.

Open the build, check the revision, decide, make sure that the garment can still be made, keep it, answer.
"""

import datetime
import json
from collections.abc import Callable, Mapping, Sequence
from dataclasses import dataclass
from functools import cached_property
from pathlib import Path
from threading import RLock
from typing import Annotated, Any

from fastapi import Depends, Request
from fastapi.responses import Response
from pydantic import BaseModel, ValidationError

from fuseau.app.caches import Caches
from fuseau.app.card_box import CardBox
from fuseau.app.errors import Unplannable
from fuseau.app.faultlog import FaultLog
from fuseau.app.news import News
from fuseau.app.wire import BookMeasuring, House, Line, OpenBuild, Past
from fuseau.app.workers import Workers
from fuseau.commands.shelf import learn, put, put_back, reserve, use_up
from fuseau.craft.base.errors import Unmakeable, Unsettled
from fuseau.craft.base.findings import Finding
from fuseau.craft.base.lengths import Unit
from fuseau.document.build import Build, Memory
from fuseau.document.shelf import Shelf
from fuseau.planning.pipeline import plan
from fuseau.planning.plan import Plan
from fuseau.planning.stages.brief import consequences, job_word
from fuseau.planning.thread import thread
from fuseau.planning.workshop.card_box import taught_of_cloth
from fuseau.planning.workshop.taught import news_for, taught_by
from fuseau.planning.worn.over_shoulder import on_shoulder, overlaps
from fuseau.store.book import Book
from fuseau.store.cards import Cards
from fuseau.store.opening import only_writer
from fuseau.store.pictures import Pictures
from fuseau.store.shelf import ShelfStore
from fuseau.store.workshop import Listed, NoSuchBuild, Opened, UnreadableBuild, Workshop
from fuseau.wording import Words

NEW = "new"  # whose caches a build has that is not in the workshop yet


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

    def __init__(
        self,
        database: Path,
        workshop: Workshop,
        book: Book,
        pictures: Pictures,
        shelf: ShelfStore,
        cards: Cards,
        caches: Caches,
        log: FaultLog,
        news: News,
    ) -> None:
        self.news = news
        self.database = database
        self.waiting_backup = database.with_name("waiting.fuseau-backup")
        self.workshop = workshop
        self.book = book
        self.pictures = pictures
        self.shelf = shelf
        self.cards = CardBox(workshop, cards, self.plan)
        self._caches = caches
        self._log = log
        self._house: House | None = None
        self._setting = RLock()

    @property
    def house(self) -> House:
        """The workshop's settings."""
        with self._setting:
            if self._house is None:
                kept = self.workshop.setting("house", "{}")
                self._house = _read_house(kept)
            return self._house

    def change_house(self, said: House) -> House:
        """Keep what is said of the workshop's settings, beside those of which nothing is."""
        with only_writer(self.database), self._setting:
            changes = {name: getattr(said, name) for name in said.model_fields_set}
            house = self.house.model_copy(update=changes)
            self.workshop.set("house", house.model_dump_json())
            self._house = house
        return house

    def database_changed(self) -> None:
        """Forget what was read: the database holds something else now."""
        self.workshop.forget_read()
        self.shelf.forget_read()
        self.cards.forget_read()
        with self._setting:
            self._house = None

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

    def step_with_shelf(self, build_id: str, revision: int, decide: Callable[[AtHand], Build], label: str) -> Response:
        """A decision that uses something of the shelf up, or puts it back: both are kept, or neither is.

        Raises Unmakeable where what is used lies there no more, or what is put back has been used.
        """
        at_hand = AtHand(build_id, self.workshop.present(build_id, revision), self.unit, self)
        build = decide(at_hand)
        with only_writer(self.database):
            before = self.shelf.open().revision
            self.match_shelf(build_id, build, label)
            try:
                return self.step(build_id, revision, lambda at: build, label)
            except Exception:
                if self.shelf.open().revision != before:
                    self.shelf.take_back()
                raise

    def makeable(self, at_hand: AtHand, changed: Build) -> Plan:
        """The plan after a change; refuses one that makes a garment unmakeable which was not so before."""
        planned = self.plan(at_hand.id, changed)
        if planned.unmakeable and not at_hand.planned.unmakeable:
            stop = planned.findings[-1]
            raise Unmakeable(stop.at or "", stop.sentence.code, **stop.sentence.given)
        return planned

    def go_to(self, build_id: str, to: int, move: Callable[[], Opened]) -> Response:
        """An earlier or later state made the present one by `move`, once it is known that it can be planned.

        Raises Unplannable or UnreadableBuild where it can't; the present state then stays.
        """
        build = self.workshop.at(build_id, to)
        planned = self.plan(build_id, build)
        with only_writer(self.database):
            self.match_shelf(build_id, build)
            moved = move()
        return self.answer_build(moved, planned)

    def put_aside(self, build_id: str, pieces: Sequence[Mapping[str, Any]], name: str) -> None:
        """Pieces put on the shelf and kept for a build: what it had on a shelf of its own."""

        def step(now: Shelf) -> Shelf:
            first = now.numbered + 1
            now = put(now, pieces, self.unit)
            for i in range(len(pieces)):
                now = reserve(now, build_id, f"s{first + i}", None)
            return now

        self.shelf.edit(step, f"Brought along by {name}")

    def learn_catalogue(self, build_id: str, revision: int, label: str) -> None:
        """The workshop's catalogue with what a build has of its own that it had not at a revision."""
        before = self.workshop.at(build_id, revision).catalogue
        after = self.workshop.open(build_id).build.catalogue
        self.shelf.edit(lambda now: learn(now, after, before), label)

    def match_shelf(self, build_id: str, build: Build, label: str | None = None) -> None:
        """The shelf as it is when a build stands so: what is not cut (any more) lies there, what is cut is used up.

        Raises Unmakeable where something else has been made of it since.
        """

        def step(now: Shelf) -> Shelf:
            for cut in now.cuts:
                if cut.build == build_id and build.cut.done.get(cut.cloth) != cut.done:
                    now = put_back(now, build_id, cut.cloth)
            for cloth, done in build.cut.done.items():
                if now.cut_for(build_id, cloth) is None:
                    now = use_up(now, build_id, cloth, done)
            return now

        name = build.brief.name
        self.shelf.edit(step, f"{label}, for {name}" if label else f"As {name} stands now")

    def keep_new(self, build: Build, label: str) -> Line:
        """A new build in the workshop, once it is known that it can be planned. Raises Unplannable."""
        self.plan(NEW, build)
        return self.line(self.workshop.look(self.workshop.make(build, label).id))

    def at_hand(self, build_id: str) -> AtHand:
        """A build as it stands, to look at. Raises NoSuchBuild."""
        return AtHand(build_id, self.workshop.open(build_id).build, self.unit, self)

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
            f"[{','.join(model.model_dump_json(context=context) for model in models)}]", media_type="application/json"
        )

    def pictures_of(self, build: Build) -> dict[str, bytes]:
        """The bytes of a build's pictures by their ids; what is not here is left out."""
        kept = [self.pictures.open(picture.id) for picture in build.pictures]
        return {one.id: one.content for one in kept if one is not None}

    # --- planning

    def plan(self, build_id: str, build: Build) -> Plan:
        """The plan of a build, with the stages kept from its last plans. Raises Unplannable where Fuseau fails."""
        caches = self._caches.of(build_id)
        try:
            with caches.planning:
                return plan(build, cache=caches.edits)
        except Exception as error:
            raise Unplannable(self._log.write(error, f"planning build {build_id[:32]!a}")) from error

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
            ticked_bones=[name for name in opened.build.bone_kinds if opened.build.bones_ticked(name)],
            newer=self._newer(opened.build),
            taught=list(self._taught(opened, planned)),
        )

    def line(self, listed: Listed) -> Line:
        """A build as the workshop lists it; one that can't be read or worked out says so, and stops no other."""
        try:
            return self._line(self.workshop.open(listed.id))
        except (UnreadableBuild, NoSuchBuild) as error:
            said = str(error)
        except Unplannable as error:
            said = error.sentence
        return Line(
            id=listed.id,
            revision=listed.revision,
            name=listed.name,
            needed_on=listed.needed_on,
            archived=listed.archived,
            trouble=said,
            whole=self._whole(listed.id),
        )

    def _whole(self, build_id: str) -> Past | None:
        try:
            entry = self.workshop.newest_whole(build_id)
        except NoSuchBuild:
            return None
        if entry is None:
            return None
        return Past(revision=entry.revision, label=entry.label, made_at=entry.made_at, present=False)

    def _line(self, opened: Opened) -> Line:
        """With a small outline of its panels."""
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

    def _taught(self, opened: Opened, planned: Plan) -> tuple[Finding, ...]:
        """What other garments taught of the cloth of this one, and what of its wearer's lies on the same shoulder."""
        build = opened.build
        found = taught_of_cloth(build, planned, self.cards.filed(but=opened.id))
        if not on_shoulder(build):
            return found
        others = [(one.name, one.wearer, one.on_shoulder) for _, one in self.cards.all(but=opened.id)]
        return (*found, *overlaps(build, others))

    def _newer(self, build: Build) -> BookMeasuring | None:
        """The newest measuring of the wearer in the book, if the build rests on an older one."""
        ref = build.measuring
        newest = self.book.newest(ref.wearer_id) if ref else None
        if ref is None or newest is None or newest.id == ref.measuring_id:
            return None
        return BookMeasuring(id=newest.id, taken_on=newest.taken_on)

    def taught(self, measuring_id: str, but: str, taker: Build) -> Memory | None:
        """What the most fitted other build on this measuring taught of its wearer that is new to `taker`, if any."""
        news: list[tuple[str, Build]] = []
        for opened in [*self.workshop.builds(), *self.workshop.builds(archived=True)]:
            ref = opened.build.measuring
            if opened.id == but or opened.build.rehearsal is not None or ref is None:
                continue
            told = news_for(taker, opened.build) if ref.measuring_id == measuring_id else None
            if told is not None:
                news.append((opened.id, told))
        if not news:
            return None
        build_id, most = max(news, key=lambda new: len(new[1].fittings))
        caches = self._caches.of(build_id)
        try:
            with caches.planning:
                return taught_by(most, measuring_id, caches.edits)
        except (Unmakeable, Unsettled, ValueError):  # measures are missing, or nothing is drafted
            return None


def _read_house(kept: str) -> House:
    """The settings as they are kept; what of them can't be read is as in a new workshop."""
    try:
        said = json.loads(kept)
    except (ValueError, RecursionError):
        return House()
    house = {}
    for name, value in said.items() if isinstance(said, dict) else ():
        try:
            House.model_validate({name: value}, context={"stored": True})
        except ValidationError:
            continue
        house[name] = value
    return House.model_validate(house, context={"stored": True})


def _session_of(request: Request) -> Session:
    found: Session = request.app.state.session
    return found


def _workers_of(request: Request) -> Workers:
    workers: Workers = request.app.state.workers
    return workers


TheSession = Annotated[Session, Depends(_session_of)]
TheWorkers = Annotated[Workers, Depends(_workers_of)]
