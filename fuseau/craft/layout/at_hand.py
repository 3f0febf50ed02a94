"""The pieces of one cloth laid on what there is of it: scraps first, then lengths, and what is left on new cloth.

(model, section 11)
"""

from collections.abc import Callable, Sequence
from dataclasses import dataclass

from shapely.geometry import Polygon, box

from fuseau.craft.base.record import Record
from fuseau.craft.layout.marker import NEW_CLOTH, Marker, MarkerAsk, lay
from fuseau.craft.layout.nesting import LaidSheet, NestAsk, Pinned, Sheet, nest
from fuseau.craft.layout.pieces import ClothPiece
from fuseau.craft.layout.placed import copies_of

_SQUARE = 1e-6


@dataclass(frozen=True)
class LayAsk:
    """What is to be laid: the pieces of a cloth, the sheets at hand, the usable width of new cloth, and how.

    On the `fold` only lengths are laid, at hand or new; scraps lie open. `pinned` names the sheet of each piece that
    stays where it is, `new` for what is to be bought.
    """

    pieces: tuple[ClothPiece, ...]
    sheets: tuple[Sheet, ...]
    usable_mm: float
    fold: bool = False
    pinned: tuple[Pinned, ...] = ()
    separation_mm: float = 2.0
    seconds: int = 3
    seed: int = 7


class Laying(Record):
    """The sheets at hand with what lies on them, and a marker of what has to be bought, where they are not enough."""

    sheets: tuple[LaidSheet, ...]
    marker: Marker
    seconds: float

    @property
    def enough(self) -> bool:
        """Whether what is at hand takes every piece."""
        return not self.marker.placed and not self.marker.too_wide

    @property
    def short_mm(self) -> float:
        """How much new cloth it takes."""
        return self.marker.length_mm


def lay_on_hand(ask: LayAsk, tell: Callable[[float], None] = lambda share: None) -> Laying:
    """Every piece on the scraps that take it, then on the lengths at hand, the shortest first, then on new cloth.

    A sheet on which nothing found a place is told empty. `tell` hears the share of the time that is over.
    """
    scraps = [sheet for sheet in ask.sheets if not _plain(sheet)]
    lengths = sorted((sheet for sheet in ask.sheets if _plain(sheet)), key=lambda sheet: sheet.whole.area)
    found: dict[str, LaidSheet] = {}
    done: tuple[str, ...] = ()
    stages = bool(scraps) + len(lengths) + 1
    seconds = max(1, round(ask.seconds / min(stages, 3)))
    at = 0

    def telling(share: float) -> None:
        tell(min(0.99, (at + share) / stages))

    if scraps:
        pins = _pins(ask, [sheet.key for sheet in scraps])
        # pieces that are pinned elsewhere stay there
        away = tuple(name for pin in ask.pinned if pin not in pins for name in [_name(pin)])
        nested = nest(
            NestAsk(ask.pieces, tuple(scraps), pins, away, False, ask.separation_mm, seconds, ask.seed), telling
        )
        found |= {one.sheet.key: one for one in nested.sheets}
        done = _names(nested.sheets)
        at += 1
    for sheet in lengths:
        found[sheet.key] = _on_length(ask, sheet, done, seconds, telling)
        done = (*done, *_names([found[sheet.key]], ask.fold))
        at += 1
    marker = lay(
        MarkerAsk(
            ask.pieces,
            ask.usable_mm,
            ask.fold,
            ask.separation_mm,
            seconds,
            ask.seed,
            _pins(ask, [NEW_CLOTH]),
            done,
        ),
        tell=telling,
    )
    in_order = tuple(found[sheet.key] for sheet in ask.sheets)
    return Laying(sheets=in_order, marker=marker, seconds=float(ask.seconds))


def _on_length(
    ask: LayAsk, sheet: Sheet, done: tuple[str, ...], seconds: int, tell: Callable[[float], None]
) -> LaidSheet:
    """What of the rest lies on a plain length: all of it, packed as on new cloth, or as much as finds a place."""
    low, bottom, high, top = sheet.whole.bounds
    half = Sheet(
        key=sheet.key, outline=((0, 0), (high - low, 0), (high - low, (top - bottom) / 2), (0, (top - bottom) / 2))
    )
    lying = half if ask.fold else sheet
    pins = _pins(ask, [sheet.key])
    elsewhere = tuple(_name(pin) for pin in ask.pinned if pin not in pins)
    away = (*done, *elsewhere)
    copies, _ = copies_of(ask.pieces, ask.fold, away)
    area = sum(copy.count * copy.piece.area_mm2 for copy in copies)
    if not copies:
        return LaidSheet(sheet=sheet, placed=(), used_share=0.0)
    if not pins and area < lying.whole.area:
        whole = MarkerAsk(ask.pieces, top - bottom, ask.fold, ask.separation_mm, seconds, ask.seed, done=away)
        marker = lay(whole, tell=tell)
        if marker.length_mm <= high - low and not marker.too_wide:
            used = sum(Polygon(one.outline).area for one in marker.placed) * (2 if ask.fold else 1)
            return LaidSheet(sheet=sheet, placed=marker.placed, used_share=used / sheet.whole.area)
    nested = nest(NestAsk(ask.pieces, (lying,), pins, away, ask.fold, ask.separation_mm, seconds, ask.seed), tell)
    return nested.sheets[0].model_copy(update={"sheet": sheet})


def _plain(sheet: Sheet) -> bool:
    """Whether a sheet is a rectangle along its grain without flaws: a length of cloth."""
    shape = sheet.whole
    return not sheet.flaws and shape.area >= box(*shape.bounds).area * (1 - _SQUARE)


def _pins(ask: LayAsk, keys: Sequence[str]) -> tuple[Pinned, ...]:
    return tuple(pin for pin in ask.pinned if pin.sheet in keys)


def _name(pin: Pinned) -> str:
    return f"{pin.key}|{'m' if pin.mirrored else 'p'}"


def _names(sheets: Sequence[LaidSheet], fold: bool = False) -> tuple[str, ...]:
    """The copies that lie on sheets; on the fold each is cut twice."""
    names = [one.name for sheet in sheets for one in sheet.placed]
    if not fold:
        return tuple(names)
    return tuple(other for name in names for other in (name, f"{name[:-1]}m"))
