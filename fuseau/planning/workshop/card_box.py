"""The box of cards: what is kept of every build to be found again, searched, and learned from (model, section 14)."""

import datetime
import re
import unicodedata
from collections.abc import Iterable, Iterator, Sequence

from fuseau.craft.base.findings import Change, Finding, finding, mend, whole
from fuseau.craft.base.lengths import Unit
from fuseau.craft.base.record import Record
from fuseau.craft.fit.target import Target
from fuseau.craft.making.rates import Logged, Rate, rates
from fuseau.craft.materials.minutes import Work
from fuseau.document.build import Build
from fuseau.planning.plan import Plan
from fuseau.planning.stages.make import logged_of
from fuseau.planning.stages.record import Card, Fact, card, strength_cloth
from fuseau.planning.worn.over_shoulder import OnShoulder, on_shoulder, wearer_of
from fuseau.wording import Words

FORM = 3  # of what is kept: filed anew where it is another


class Filed(Record):
    """What is kept of a build at one of its revisions: its log for her rates; its card, once it is finished.

    `wearer` by which garments of hers are told, and what of this one lies on her shoulders.
    """

    name: str
    character: str
    finished_on: datetime.date | None
    likes: tuple[str, ...] = ()
    would_change: tuple[str, ...] = ()
    gave_way: tuple[str, ...] = ()
    notes: tuple[str, ...] = ()
    wears: int = 0
    card: Card | None = None
    logged: tuple[Logged, ...] = ()
    wearer: str = ""
    on_shoulder: tuple[OnShoulder, ...] = ()


class FoundCard(Record):
    """A card that was found: its short lines, and where the words stand that were looked for."""

    name: str
    character: str
    wearer: str
    kind: str
    finished_on: datetime.date
    facts: tuple[Fact, ...]
    photo: str | None
    outlines: tuple[tuple[tuple[float, float], ...], ...]
    wears: int
    hits: tuple[str, ...]


_SHORT = ("closed waist", "reduction", "panels", "at it")
_MOST_HITS = 3
MOST_SHOWN = 60


def file(build: Build, planned: Plan | None) -> Filed:
    """What is kept of a build; `planned` is its plan, which only a finished one needs."""
    record = build.record
    finished = record.finished_on is not None and planned is not None
    return Filed(
        name=build.brief.name,
        character=build.brief.character,
        finished_on=record.finished_on,
        likes=record.likes if finished else (),
        would_change=record.would_change if finished else (),
        gave_way=tuple(wear.gave_way for wear in record.wears if wear.gave_way) if finished else (),
        notes=tuple(note for note in _notes(build) if note) if finished else (),
        wears=len(record.wears),
        card=card(build, planned) if finished and planned else None,
        logged=logged_of(build),
        wearer=wearer_of(build),
        on_shoulder=() if build.rehearsal else on_shoulder(build),
    )


def _notes(build: Build) -> Iterator[str]:
    for fitting in build.fittings:
        yield fitting.note
    for wear in build.record.wears:
        yield wear.note
    for entry in build.make.log:
        yield entry.note
        yield entry.mishap


def as_kept(filed: Filed) -> str:
    """What is kept as text; `Filed.model_validate_json` reads it again."""
    return filed.model_dump_json(context={"say": whole})


def rates_of(filed: Iterable[Filed]) -> dict[Work, Rate]:
    """Her rates, from the logs of all builds."""
    return rates([logged for one in filed for logged in one.logged])


def plain(text: str) -> str:
    """Text as it is looked for: its words in small letters, without accents and marks, a blank before each.

    >>> plain("Écru Satin, 61.0 cm")
    ' ecru satin 61 0 cm'
    """
    bare = "".join(sign for sign in unicodedata.normalize("NFKD", text.casefold()) if not unicodedata.combining(sign))
    return "".join(f" {word}" for word in re.findall(r"\w+", bare))


class SaidCard:
    """A card in the words of a unit, ready to be searched."""

    def __init__(self, filed: Filed, unit: Unit) -> None:
        self.filed = filed
        say = Words(unit)
        self.lines = [line for line in _lines(filed, say) if line]
        self._plain = [plain(line) for line in self.lines]
        self._whole = "".join(self._plain)

    def hits(self, words: Sequence[str]) -> tuple[str, ...] | None:
        """The lines in which a word begins so, beyond its name; None where none does for one of the words."""
        if any(word not in self._whole for word in words):
            return None
        found = [line for line, low in zip(self.lines, self._plain, strict=True) if any(word in low for word in words)]
        shown = {self.filed.name, self.filed.character}
        return tuple(line for line in found if line not in shown)[:_MOST_HITS]


def _lines(filed: Filed, say: Words) -> Iterator[str]:
    yield filed.name
    yield filed.character
    kept = filed.card
    if kept is None:
        return
    yield kept.kind
    yield kept.wearer
    for like in filed.likes:
        yield f"likes: {like}"
    for one in filed.would_change:
        yield f"would change: {one}"
    for one in filed.gave_way:
        yield f"gave way: {one}"
    yield from filed.notes
    for fact in kept.facts:
        yield f"{fact.name}: {say(fact.value)}"
    for said in kept.says:
        yield say(said)
    if filed.finished_on is not None:
        yield f"finished {filed.finished_on:%d %B %Y}"


def find(
    cards: Sequence[tuple[str, SaidCard]], words: str, kind: str = "", most: int = MOST_SHOWN
) -> tuple[list[tuple[str, FoundCard]], int]:
    """The cards on which a word begins with each of the words, the newest first, at most so many; and how many are so.

    All where there are no words.
    """
    looked = [f" {word}" for word in plain(words).split()]
    found = []
    for key, said in cards:
        filed, kept = said.filed, said.filed.card
        if kept is None or filed.finished_on is None or (kind and kept.kind != kind):
            continue
        hits = said.hits(looked)
        if hits is not None:
            found.append((filed.finished_on, filed.name, key, filed, kept, hits if looked else ()))
    found.sort(key=lambda one: one[:3], reverse=True)
    return [(key, _short(filed, kept, on, hits)) for on, _, key, filed, kept, hits in found[:most]], len(found)


def _short(filed: Filed, kept: Card, finished_on: datetime.date, hits: tuple[str, ...]) -> FoundCard:
    views = {photo.view: photo.id for photo in reversed(kept.photos)}
    return FoundCard(
        name=filed.name,
        character=filed.character,
        wearer=kept.wearer,
        kind=kept.kind,
        finished_on=finished_on,
        facts=tuple(fact for fact in kept.facts if fact.name in _SHORT),
        photo=next((views[view] for view in ("front", "back", "side", "detail") if view in views), None),
        outlines=kept.outlines,
        wears=filed.wears,
        hits=hits,
    )


# --- what the cards taught of a cloth


def taught_of_cloth(build: Build, planned: Plan, others: Iterable[Filed]) -> tuple[Finding, ...]:
    """What her worn garments taught of the cloth that takes the pull here: by how much their gaps closed.

    The mean share of the closed waist by which it grew, of all garments of this cloth whose gap closed; taken to this
    waist. A wider gap is offered where hers is the usual one still, and nothing is cut: one that she chose is hers.
    """
    cloth = strength_cloth(planned)
    if cloth is None or planned.aim is None or not build.back.laced or build.record.finished_on is not None:
        return ()
    grown = [
        (other, other.card.grown)
        for other in others
        if other.card and other.card.grown and other.card.grown.cloth == cloth
    ]
    told = [(one, more) for one, more in grown if more is not None]
    if not told:
        return ()
    share = sum(more.closed_mm / more.round_mm for _, more in told) / len(told)
    closes = share * planned.aim.closed_waist_mm
    gap, usual = build.target.gap_mm, Target().gap_mm
    leaves = gap - closes
    wider = round(min(200.0, usual + closes))
    return (
        finding(
            "cloth.grew",
            "layers",
            "advice",
            at="target.gap_mm",
            numbers={"closes_mm": closes, "gap_mm": gap, "leaves_mm": max(0.0, leaves)},
            cloth=build.cloths[cloth].label,
            builds=_names([one.name for one, _ in told]),
            mend=mend("cloth.grew.mend", Change(at="target.gap_mm", value=float(wider)), gap_mm=float(wider))
            if gap == usual and cloth not in build.cut_cloths
            else None,
        ),
    )


def _names(names: Sequence[str]) -> str:
    return names[0] if len(names) == 1 else f"{', '.join(names[:-1])} and {names[-1]}"
