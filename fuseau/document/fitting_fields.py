"""What is asked of a fitting, field by field: its words, how it is answered, whether it teaches, where it is written.

The form, its draft, what it sends, the slip to print and `teaches` come from here; bounds and what is empty are the
record's own. A field of a kind that is here already needs a line of `Fitting` and a line of `FITTING_FIELDS`.
"""

from collections.abc import Mapping
from typing import Any, Literal, get_args

from fuseau.craft.base.record import Record
from fuseau.craft.fit.target import Pull
from fuseau.craft.fitting.seen import Word as SatWord
from fuseau.craft.wearer.measures import LEVEL_LABELS, LEVELS
from fuseau.document.fittings import Fitting, MovementTest

Part = Literal["head", "levels", "taps", "pinches", "edges", "moves", "notes"]
"""The part of the form, and of the slip, in which it is written down."""


class Word(Record):
    """A word that can be chosen, as it is kept and as it is shown."""

    name: str
    label: str


class Ways(Record):
    """A length that goes either way: what is said of it at zero, above and below."""

    even: str
    above: str
    below: str


class Cell(Record):
    """A single value as it is written, always as text: empty is not told.

    `reads`: a `height` from the zero line or a `girth`, in her unit; what is `small`, in mm or inches; an `amount` that
    the record reads as she writes it; a `number` that the form writes; `text`; a `word` of those that can be chosen; or
    a `tick`.
    """

    reads: Literal["height", "girth", "small", "amount", "number", "text", "word", "tick"]
    lines: bool = False
    """Text that may have several lines."""
    words: tuple[Word, ...] = ()
    ways: Ways | None = None
    first: str = ""
    """As it stands before anything was written."""
    only_with: tuple[str, str] | None = None
    """The cell beside it, and the word of it with which alone this is told."""


class Key(Record):
    """An entry that a table of answers always offers: the fields that name it, and what it is called."""

    name: str
    label: str
    of: Mapping[str, str]
    below_zero_line: bool = False
    """Only where the garment reaches below its zero line, as at the hem of a corset."""


class FittingField(Record):
    """A field of a fitting as it is asked.

    `cells` by the fields of an entry where it is a list (with `keys`, an entry each; without, as many as she adds), or
    under "" where it is one value. `teaches`: something of the fit can be learned from it, besides gaps.
    """

    field: str
    label: str
    part: Part
    cells: Mapping[str, Cell]
    keys: tuple[Key, ...] = ()
    listed: bool = False
    teaches: bool = False
    in_place_of: tuple[str, str] | None = None
    """The field and its word in place of which it is told, where it is: by how much, instead of that alone."""


def _words(**labels: str) -> tuple[Word, ...]:
    return tuple(Word(name=name, label=label) for name, label in labels.items())


def _same(names: tuple[str, ...]) -> tuple[Word, ...]:
    return tuple(Word(name=name, label=name) for name in names)


_LEVELS = tuple(Key(name=name, label=LEVEL_LABELS[name], of={"level": name}) for name in LEVELS)
_EDGES = tuple(
    Key(
        name=f"{edge} {place}",
        label=f"{label}, {place}",
        of={"edge": edge, "place": place},
        below_zero_line=edge == "hem",
    )
    for edge, label in (("top", "Top line"), ("hem", "Hem"))
    for place in ("CF", "side", "CB")
)
_CALLED = {"in alone": "get in alone", "out alone": "get out alone"}
_TESTS = tuple(Key(name=test, label=_CALLED.get(test, test), of={"test": test}) for test in get_args(MovementTest))
_HALF = Cell(reads="word", first="both", words=_words(both="each half", right="her right", left="her left"))
_VIEW = Cell(reads="word", first="back", words=_same(("front", "side", "back")))
_SAT = Cell(reads="word", words=_same(get_args(SatWord)))
_STANDS_OFF = ("word", "stands off")


def _at_levels(field: str, label: str, in_place_of: tuple[str, str] | None = None, **cells: Cell) -> FittingField:
    """A field that is told level by level."""
    return FittingField(
        field=field,
        label=label,
        part="levels",
        cells=cells,
        keys=_LEVELS,
        listed=True,
        teaches=True,
        in_place_of=in_place_of,
    )


def _way(field: str, label: str, even: str, above: str, below: str) -> FittingField:
    """A length that goes either way."""
    ways = Ways(even=even, above=above, below=below)
    return FittingField(
        field=field, label=label, part="edges", cells={"": Cell(reads="small", ways=ways)}, teaches=True
    )


def _alone(field: str, label: str, part: Part, **cell: Any) -> FittingField:
    """A field of a single value."""
    return FittingField(field=field, label=label, part=part, cells={"": Cell(**cell)})


FITTING_FIELDS: tuple[FittingField, ...] = (
    _alone("pull", "Pulled", "head", reads="word", words=_same(get_args(Pull))),
    _alone("finished", "the finished garment, no mock-up", "head", reads="tick"),
    _at_levels("laced", "over it", girth_mm=Cell(reads="girth")),
    _at_levels("under_it", "under it", girth_mm=Cell(reads="girth")),
    _at_levels("words", "it sat, all round", word=_SAT),
    _at_levels("stand_offs", "stands off by", ("words", "stands off"), off_mm=Cell(reads="small")),
    FittingField(
        field="taps",
        label="Touched places",
        part="taps",
        listed=True,
        teaches=True,
        cells={
            "view": _VIEW,
            "z_mm": Cell(reads="height"),
            "across": Cell(reads="number", first="0.5"),
            "word": _SAT,
            "off_mm": Cell(reads="small", only_with=_STANDS_OFF),
            "half": _HALF,
        },
    ),
    FittingField(
        field="pinches",
        label="Pinched or slashed",
        part="pinches",
        listed=True,
        teaches=True,
        cells={
            "seam": Cell(reads="number", first="3"),
            "from_mm": Cell(reads="height"),
            "to_mm": Cell(reads="height"),
            "amount_mm": Cell(reads="small", first="+", ways=Ways(even="", above="pinched out", below="slashed open")),
            "half": _HALF,
        },
    ),
    FittingField(
        field="edges",
        label="Edges",
        part="edges",
        cells={"off_mm": Cell(reads="small", ways=Ways(even="right", above="too high", below="too low"))},
        keys=_EDGES,
        listed=True,
        teaches=True,
    ),
    _way("rides_mm", "Its waist", "at hers", "rides up", "slips down"),
    _way("swings_mm", "Side seam", "hangs straight", "swings to the front", "swings to the back"),
    FittingField(
        field="moved",
        label="She could",
        part="moves",
        cells={"went": Cell(reads="word", words=_words(well="well", hard="hardly", **{"not": "not"}))},
        keys=_TESTS,
        listed=True,
        teaches=True,
    ),
    _alone("under", "Under it she wore", "notes", reads="text"),
    _alone("note", "What she said, where it dug", "notes", reads="text", lines=True),
    _alone("hours", "Hours", "notes", reads="amount"),
    _alone("cost", "Cloth and notions cost", "notes", reads="amount"),
)

NOT_ASKED = frozenset({"number", "version", "tried_on", "corrected"})
"""What Fuseau writes of a fitting."""

BY_ITSELF = frozenset({"readings", "also", "photos", "made_of", "pads"})
"""What has a part of the form made for it: the gap at each pull, what was tried on, and what was under it."""


def tells_of_fit(fitting: Fitting) -> bool:
    """Whether it holds anything from which something of the fit can be learned, besides gaps."""
    return any(getattr(fitting, asked.field) not in (None, (), "") for asked in FITTING_FIELDS if asked.teaches)


def asked_in(part: Part) -> tuple[FittingField, ...]:
    """What is asked in a part of the form, in its order."""
    return tuple(asked for asked in FITTING_FIELDS if asked.part == part)
