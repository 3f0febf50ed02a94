"""The pieces of one cloth laid on what there is of it: scraps first, then lengths, and what is left on new cloth.

(model, section 11)
"""

from collections import Counter
from collections.abc import Callable, Iterator, Sequence
from dataclasses import dataclass, replace

from shapely.geometry import Polygon

from fuseau.craft.base.errors import Unmakeable
from fuseau.craft.base.record import Record
from fuseau.craft.layout.marker import NEW_CLOTH, Marker, MarkerAsk, lay
from fuseau.craft.layout.nesting import LaidSheet, NestAsk, NoFits, Pinned, Sheet, nest
from fuseau.craft.layout.pieces import ClothPiece
from fuseau.craft.layout.placed import Copy, Placed, copies_of, placed

_TOUCH_MM2 = 1.0
_EDGE_MM = 0.2


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
    """The sheets at hand with what lies on them, and a marker of what has to be bought, where they are not enough.

    `let_go`: pieces that she had put down where they can't lie any more, since they, their cloth or others changed.
    `spare`: pieces that a fold gives once too often.
    """

    sheets: tuple[LaidSheet, ...]
    marker: Marker
    seconds: float
    let_go: tuple[str, ...] = ()
    spare: tuple[str, ...] = ()

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

    A sheet on which nothing found a place is told empty; what `lay_quickly` finds to be enough is never told short.
    `tell` hears the share of the time that is over.
    """
    laying = _lay(ask, ask.seconds, tell, {})
    if ask.seconds and not laying.enough and ask.sheets:
        quick = lay_quickly(ask)
        if quick.enough:
            return quick.model_copy(update={"seconds": float(ask.seconds)})
    return laying


def lay_quickly(ask: LayAsk, known: NoFits | None = None) -> Laying:
    """The same, one order of the pieces alone, to see whether it is enough. `known` is kept from ask to ask."""
    return _lay(ask, 0, lambda share: None, {} if known is None else known)


def _lay(ask: LayAsk, seconds: int, tell: Callable[[float], None], known: NoFits) -> Laying:
    judged = tuple(_judged(ask))
    ask = replace(ask, pinned=tuple(pin for pin, trouble in judged if trouble is None))
    scraps = [sheet for sheet in ask.sheets if not sheet.is_length]
    lengths = sorted((sheet for sheet in ask.sheets if sheet.is_length), key=lambda sheet: sheet.whole.area)
    steps = [scraps] * bool(scraps) + [[sheet] for sheet in lengths]
    each = max(1, round(seconds / min(len(steps) + 1, 3))) if seconds else 0
    found: dict[str, LaidSheet] = {}
    done: tuple[str, ...] = ()
    for k, sheets in enumerate(steps):

        def telling(share: float, k: int = k) -> None:
            tell(min(0.99, (k + share) / (len(steps) + 1)))

        keys = [sheet.key for sheet in sheets]
        pins = tuple(pin for pin in ask.pinned if pin.sheet in keys)
        later = tuple(_name(pin) for pin in ask.pinned if pin.sheet not in found and pin not in pins)
        away = (*done, *later)
        fold = ask.fold and sheets is not scraps
        if sheets is scraps or not _packs(ask, sheets[0], pins, away, each, telling, found):
            lying = [_half(sheet) for sheet in sheets] if fold else sheets
            asked = NestAsk(
                pieces=ask.pieces,
                sheets=tuple(lying),
                pinned=pins,
                done=away,
                fold=fold,
                separation_mm=ask.separation_mm,
                seconds=each,
                seed=ask.seed,
            )
            for sheet, laid in zip(sheets, nest(asked, telling, known).sheets, strict=True):
                found[sheet.key] = laid.model_copy(update={"sheet": sheet})
        done = (*done, *_names([found[key] for key in keys], fold))
    new = tuple(pin for pin in ask.pinned if pin.sheet == NEW_CLOTH)
    rest = MarkerAsk(
        pieces=ask.pieces,
        usable_mm=ask.usable_mm,
        fold=ask.fold,
        separation_mm=ask.separation_mm,
        seconds=each,
        seed=ask.seed,
        pinned=new,
        done=done,
    )
    marker = lay(rest, tell=lambda share: tell(min(0.99, (len(steps) + share) / (len(steps) + 1))))
    in_order = tuple(found[sheet.key] for sheet in ask.sheets)
    let_go = tuple(dict.fromkeys(pin.key for pin, trouble in judged if trouble is not None))
    cut = Counter(one.key for one in marker.placed for _ in range(2 if ask.fold else 1))
    cut.update(one.key for laid in in_order for one in laid.placed for _ in range(_twice(ask, laid)))
    spare = tuple(piece.key for piece in ask.pieces if cut[piece.key] > piece.count)
    return Laying(sheets=in_order, marker=marker, seconds=float(seconds), let_go=let_go, spare=spare)


def _twice(ask: LayAsk, laid: LaidSheet) -> int:
    """How many pieces one outline on a sheet is cut as: on a length that lies double two."""
    return 2 if ask.fold and laid.sheet.is_length else 1


def _packs(
    ask: LayAsk,
    sheet: Sheet,
    pins: tuple[Pinned, ...],
    away: tuple[str, ...],
    seconds: int,
    tell: Callable[[float], None],
    found: dict[str, LaidSheet],
) -> bool:
    """Whether all of the rest lies on a length, packed as on new cloth; if it does it is put into `found`."""
    low, bottom, high, top = sheet.whole.bounds
    copies, _ = copies_of(ask.pieces, ask.fold, away)
    if not copies:
        found[sheet.key] = LaidSheet(sheet=sheet, placed=(), used_share=0.0)
        return True
    if pins or _area(copies, ask.fold) >= sheet.whole.area:
        return False
    if not seconds:
        rows = _in_rows(copies, high - low, (top - bottom) / (2 if ask.fold else 1), ask.separation_mm)
        if rows is None or not sheet.is_length:
            return False
        found[sheet.key] = _laid(sheet, rows, ask.fold)
        return True
    whole = MarkerAsk(
        pieces=ask.pieces,
        usable_mm=top - bottom,
        fold=ask.fold,
        separation_mm=ask.separation_mm,
        seconds=seconds,
        seed=ask.seed,
        done=away,
    )
    marker = lay(whole, tell=tell)
    if marker.length_mm > high - low or marker.too_wide:
        return False
    found[sheet.key] = _laid(sheet, marker.placed, ask.fold)
    return True


def _laid(sheet: Sheet, lying: Sequence[Placed], fold: bool) -> LaidSheet:
    used = sum(Polygon(one.outline).area for one in lying) * (2 if fold else 1)
    return LaidSheet(sheet=sheet, placed=tuple(lying), used_share=used / sheet.whole.area)


def _area(copies: Sequence[Copy], fold: bool) -> float:
    return sum(copy.count * copy.piece.area_mm2 for copy in copies) * (2 if fold else 1)


def surely_short(ask: LayAsk) -> bool:
    """Whether the pieces are larger than all that there is, by their area alone."""
    return _area(copies_of(ask.pieces, ask.fold)[0], ask.fold) > sum(sheet.sound.area for sheet in ask.sheets)


def _in_rows(copies: Sequence[Copy], long_mm: float, wide_mm: float, apart_mm: float) -> list[Placed] | None:
    """Pieces true to their grain in rows across a length, the longest first; None where they reach beyond its end.

    Plain, but at once: ample cloth is found to be so without trying. Next-fit decreasing height, see Coffman and
    others, "Performance bounds for level-oriented two-dimensional packing algorithms", 1980.
    """
    boxes = [(copy, copy.lying().bounds) for copy in copies for _ in range(copy.count)]
    boxes.sort(key=lambda box: (box[1][0] - box[1][2], box[0].name))
    numbers = Counter[str]()
    lying: list[Placed] = []
    row, depth, across = 0.0, 0.0, 0.0
    for copy, (left, low, right, high) in boxes:
        if across and across + (high - low) > wide_mm:
            row, depth, across = row + depth + apart_mm, 0.0, 0.0
        depth = max(depth, right - left)
        if high - low > wide_mm or row + depth > long_mm:
            return None
        numbers[copy.piece.key] += 1
        lying.append(placed(copy, numbers[copy.piece.key], 0.0, (row - left, across - low)))
        across += high - low + apart_mm
    return lying


def check_pinned(ask: LayAsk) -> None:
    """Raises Unmakeable at `cut.pinned` for a piece that was put off its cloth, over a flaw or over another one."""
    for _, trouble in _judged(ask):
        if trouble is not None:
            raise trouble


def fallen(ask: LayAsk) -> frozenset[Pinned]:
    """What she had put down where it can't lie any more."""
    return frozenset(pin for pin, trouble in _judged(ask) if trouble is not None)


def _judged(ask: LayAsk) -> Iterator[tuple[Pinned, Unmakeable | None]]:
    """Each piece that was put down, with why it can't lie there (any more)."""
    shapes: dict[str, list[tuple[str, Polygon]]] = {}
    sheets = {sheet.key: sheet for sheet in ask.sheets}
    copies = {copy.name: copy for copy in copies_of(ask.pieces)[0]}
    counts = Counter(_name(pin) for pin in ask.pinned)
    for pin in ask.pinned:
        copy = copies.get(_name(pin))
        if copy is None:
            continue  # it is not cut any more
        if counts[copy.name] > copy.count and not ask.fold:
            yield pin, Unmakeable("cut.pinned", "cut.pinned_twice", piece=pin.key)
            continue
        shape = copy.lying(pin.angle_deg, (pin.x_mm, pin.y_mm))
        sheet = sheets.get(pin.sheet)
        gone = sheet is None and pin.sheet != NEW_CLOTH
        if gone or not _lies_on(shape, sheet, ask):
            yield pin, Unmakeable("cut.pinned", "cut.pinned_off", piece=pin.key)
            continue
        lying = shapes.setdefault(pin.sheet, [])
        over = next((name for name, other in lying if shape.intersection(other).area > _TOUCH_MM2), None)
        if over is not None:
            yield pin, Unmakeable("cut.pinned", "cut.pinned_over", piece=pin.key, other=over)
            continue
        lying.append((pin.key, shape))
        yield pin, None


def _lies_on(shape: Polygon, sheet: Sheet | None, ask: LayAsk) -> bool:
    """Whether a piece lies on its sheet and clear of its flaws; on new cloth, between the selvedges."""
    if sheet is None:
        wide = ask.usable_mm / 2 if ask.fold else ask.usable_mm
        left, low, _, high = shape.bounds
        return left >= -_EDGE_MM and low >= -_EDGE_MM and high <= wide + _EDGE_MM
    lying = _half(sheet) if ask.fold and sheet.is_length else sheet
    return bool(lying.sound.buffer(_EDGE_MM).covers(shape))


def _half(sheet: Sheet) -> Sheet:
    """A length as it lies double, its fold at y = 0."""
    low, bottom, high, top = sheet.whole.bounds
    long, wide = high - low, (top - bottom) / 2
    return Sheet(key=sheet.key, outline=((0, 0), (long, 0), (long, wide), (0, wide)))


def _name(pin: Pinned) -> str:
    return f"{pin.key}|{'m' if pin.mirrored else 'p'}"


def _names(sheets: Sequence[LaidSheet], fold: bool = False) -> tuple[str, ...]:
    """The copies that lie on sheets; on the fold each is cut twice."""
    names = [one.name for sheet in sheets for one in sheet.placed]
    if not fold:
        return tuple(names)
    return tuple(other for name in names for other in (name, f"{name[:-1]}m"))
