"""Articles: what is bought by the piece or by its length, and how each is called (model, sections 11 and 12)."""

import re
from collections.abc import Iterator, Mapping
from typing import Annotated, Literal

from pydantic import Field

from fuseau.craft.base.record import Record, Text
from fuseau.craft.materials.catalogue import (
    BUSKS,
    BUSKS_IN,
    GROMMETS,
    LACES,
    ZIPS_MM,
    BoneKind,
    BoneName,
    GrommetKind,
    LaceKind,
)
from fuseau.craft.materials.cloths import Cloth, ClothName

Sort = Literal["cloth", "bone", "busk", "zip", "grommets", "lace", "tape", "hooks", "ends", "thread", "trim"]
Measure = Literal["length", "piece"]
ArticleName = Annotated[str, Field(pattern=r"^[a-z0-9][a-z0-9_.]{0,59}$", description="Of one sort, what it is.")]

SORTS: tuple[Sort, ...] = (
    "cloth", "bone", "busk", "zip", "grommets", "lace", "tape", "hooks", "ends", "thread", "trim",
)  # fmt: skip
TAPES_MM = (8.0, 10.0, 12.0, 14.0, 16.0, 18.0, 20.0, 22.0, 25.0, 30.0, 40.0)
CLOSED = "tipped or dipped", "capped and glued"  # ends of bones that take a tip or a cap
REEL_MM = 200_000.0  # a usual reel of sewing thread


class Article(Record):
    """Something that is bought: of which sort, what, how it is called, and whether by length or by the piece."""

    sort: Sort
    name: ArticleName
    label: Annotated[str, Text(80, least=1)]
    measure: Measure


def cloth(cloth: Cloth) -> Article:
    """A cloth, by its length."""
    return Article(sort="cloth", name=cloth.name, label=cloth.label, measure="length")


def bone(kind: BoneKind) -> Article:
    """A kind of bone: off the coil by its length, else by the piece."""
    return Article(sort="bone", name=kind.name, label=kind.label, measure="length" if kind.sold == "coil" else "piece")


def busk_of(length_mm: float, studs: int) -> Article:
    """A busk, by its length and studs."""
    size = f"{length_mm:g}"
    return Article(sort="busk", name=f"busk_{size}_{studs}", label=f"busk, {size} mm, {studs} studs", measure="piece")


def zip_of(kind: Literal["separating", "hidden"], length_mm: float) -> Article:
    """A zip."""
    label = f"{kind} zip, {length_mm / 10:g} cm"
    return Article(sort="zip", name=f"{kind}_{length_mm:g}", label=label, measure="piece")


def grommets(kind: GrommetKind) -> Article:
    """Grommets or eyelets that are bought."""
    return Article(sort="grommets", name=kind.name, label=kind.label, measure="piece")


def lace(kind: LaceKind) -> Article:
    """A lace, by its length: one lace is one piece."""
    return Article(sort="lace", name=kind.name, label=kind.label, measure="length")


def tape(width_mm: float) -> Article:
    """Cotton tape or ribbon that is woven to a width: for waists, channels, loops."""
    return Article(sort="tape", name=f"tape_{width_mm:g}", label=f"tape, {width_mm:g} mm", measure="length")


def trim(name: str, *, by_length: bool) -> Article:
    """A trim, by its name: so much of its length, or so many pieces.

    >>> trim("Glass beads, amber", by_length=False).name
    'glass_beads_amber'
    """
    plain = re.sub(r"[^a-z0-9]+", "_", name.casefold()).strip("_")[:50] or "trim"
    return Article(sort="trim", name=plain, label=name, measure="length" if by_length else "piece")


def tape_width(width_mm: float) -> float:
    """The narrowest tape that is sold and is at least so wide; what is wider than all is cut from cloth.

    >>> tape_width(13.4), tape_width(25), tape_width(60)
    (14.0, 25.0, 60)
    """
    return min((one for one in TAPES_MM if one >= width_mm - 0.01), default=width_mm)


HOOKS = Article(sort="hooks", name="hooks", label="hooks and eyes, pairs", measure="piece")
THREAD = Article(sort="thread", name="thread", label="sewing thread, reels of 200 m", measure="piece")


def bone_ends(kind: BoneKind) -> Article:
    """Tips or caps for the cut ends of a kind of bone."""
    what = "caps" if kind.capped else "tips"
    return Article(
        sort="ends", name=f"{what}_{kind.width_mm:g}", label=f"{what}, {kind.width_mm:g} mm", measure="piece"
    )


def known_articles(cloths: Mapping[ClothName, Cloth], bones: Mapping[BoneName, BoneKind]) -> Iterator[Article]:
    """Every article of the catalogue, sort by sort."""
    yield from map(cloth, cloths.values())
    yield from map(bone, bones.values())
    yield from (busk_of(busk.length_mm, len(busk.stud_places())) for busk in (*BUSKS, *BUSKS_IN))
    yield from (zip_of(kind, length) for kind, lengths in ZIPS_MM.items() for length in lengths)
    yield from (grommets(grommet) for grommet in GROMMETS.values() if grommet.bought)
    yield from map(lace, LACES.values())
    yield from map(tape, TAPES_MM)
    yield HOOKS
    ends = (bone_ends(kind) for kind in bones.values() if kind.sold != "ready-cut" and kind.stuff.ends in CLOSED)
    yield from {end.name: end for end in ends}.values()
    yield THREAD
