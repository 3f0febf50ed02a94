"""Finding what there is in the workshop by any words: builds, wearers, what lies on the shelf, finished cards."""

from collections.abc import Iterable
from typing import Literal

from fuseau.craft.base.record import Record
from fuseau.planning.workshop.card_box import plain

MOST_FOUND = 24
FoundKind = Literal["build", "wearer", "shelf", "card"]
_ORDER: tuple[FoundKind, ...] = ("build", "wearer", "card", "shelf")


class Place(Record):
    """Something that can be found: its name, what else stands there, and where it is, by build, wearer or piece.

    `build`: the one in which a wearer is looked at.
    """

    kind: FoundKind
    name: str
    about: str = ""
    id: str = ""
    build: str = ""
    more: str = ""


def find_places(places: Iterable[Place], words: str, most: int = MOST_FOUND) -> list[Place]:
    """The places where a word begins with each of the words; those that have them in their name come first.

    Nothing without words. What is only in `more` is found too, and not shown.
    """
    looked = [f" {word}" for word in plain(words).split()]
    if not looked:
        return []
    found = []
    for i, place in enumerate(places):
        name, rest = f" {plain(place.name)}", f" {plain(place.about)} {plain(place.more)}"
        if all(word in name or word in rest for word in looked):
            outside = sum(word not in name for word in looked)
            found.append((outside, _ORDER.index(place.kind), i, place.model_copy(update={"more": ""})))
    return [place for *_, place in sorted(found, key=lambda one: one[:3])[:most]]
