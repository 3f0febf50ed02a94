"""The box of cards at hand: what is kept of every build, filed anew where the build has changed."""

import threading
from collections.abc import Callable, Iterator

from pydantic import ValidationError

from fuseau.app.errors import Unplannable
from fuseau.craft.base.lengths import Unit
from fuseau.document.build import Build
from fuseau.planning.plan import Plan
from fuseau.planning.workshop.card_box import FORM, Filed, SaidCard, as_kept, file
from fuseau.store.cards import Cards
from fuseau.store.workshop import NoSuchBuild, UnreadableBuild, Workshop


class CardBox:
    """Every build as it is found again. A build is filed when it is first asked for after a change, and kept so.

    For any number of threads.
    """

    def __init__(self, workshop: Workshop, cards: Cards, plan: Callable[[str, Build], Plan]) -> None:
        self._workshop = workshop
        self._cards = cards
        self._plan = plan
        self._filed: dict[str, tuple[int, Filed]] = {}
        self._said: dict[str, tuple[int, Unit, SaidCard]] = {}
        self._lock = threading.Lock()

    def all(self, but: str = "") -> list[tuple[str, Filed]]:
        """What is kept of every build, or every other one, by its id; what can't be read or planned is left out."""
        found = []
        for build_id, revision, filed in self._kept():
            if build_id == but:
                continue
            here = filed or self._file(build_id, revision)
            if here is not None:
                found.append((build_id, here))
        return found

    def filed(self, but: str) -> list[Filed]:
        """What is kept of every other build as it was filed last, without filing any anew."""
        return [filed for build_id, _, filed in self._kept() if filed is not None and build_id != but]

    def said(self, unit: Unit) -> list[tuple[str, SaidCard]]:
        """The cards of finished builds in the words of a unit."""
        found = []
        for build_id, filed in self.all():
            if filed.card is None:
                continue
            with self._lock:
                revision, had = self._filed.get(build_id, (0, filed))[0], self._said.get(build_id)
                if had is None or had[:2] != (revision, unit):
                    had = self._said[build_id] = (revision, unit, SaidCard(filed, unit))
            found.append((build_id, had[2]))
        return found

    def forget_read(self) -> None:
        """The database is another one now."""
        with self._lock:
            self._filed.clear()
            self._said.clear()

    def _kept(self) -> Iterator[tuple[str, int, Filed | None]]:
        with self._lock:
            known = dict(self._filed)
        for one in self._cards.all(FORM, frozenset((build_id, at) for build_id, (at, _) in known.items())):
            had = known.get(one.build_id)
            if had is not None and had[0] == one.revision:
                yield one.build_id, one.revision, had[1]
                continue
            filed = _read(one.document) if one.document else None
            if filed is not None:
                self._remember(one.build_id, one.revision, filed)
            yield one.build_id, one.revision, filed

    def _remember(self, build_id: str, revision: int, filed: Filed) -> None:
        with self._lock:
            self._filed[build_id] = (revision, filed)

    def _file(self, build_id: str, revision: int) -> Filed | None:
        try:
            build = self._workshop.at(build_id, revision)
            planned = self._plan(build_id, build) if build.record.finished_on is not None else None
        except (NoSuchBuild, UnreadableBuild, Unplannable):
            return None
        filed = file(build, planned)
        self._cards.keep(build_id, revision, FORM, as_kept(filed))
        self._remember(build_id, revision, filed)
        return filed


def _read(document: str) -> Filed | None:
    """What is kept of a build; None where it is damaged, so that it is filed anew."""
    try:
        return Filed.model_validate_json(document, context={"stored": True})
    except ValidationError:
        return None
