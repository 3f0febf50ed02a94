"""From a message to its sentence: the catalogue of templates, and how quantities are shown in a unit."""

import string
from collections.abc import Callable, Mapping
from functools import cache
from typing import Any

from fuseau.craft.base.findings import Message
from fuseau.craft.base.lengths import Unit, format_length, format_run
from fuseau.craft.wearer.measures import SEEN_LABELS
from fuseau.wording import back, bones, brief, fields, front, layers, make, mockups, pattern, refusals, trims, wearer


def capital(text: str) -> str:
    """The text with its first letter large, as a button or a sentence begins.

    >>> capital("flat steel 12 × 1.0 mm")
    'Flat steel 12 × 1.0 mm'
    """
    return text[:1].upper() + text[1:]


@cache
def templates() -> Mapping[str, str]:
    """Every template by its code. Raises ValueError where two rooms use one code."""
    found: dict[str, str] = {}
    for room in (brief, wearer, pattern, mockups, bones, front, back, layers, trims, make, refusals, fields):
        if twice := found.keys() & room.MESSAGES.keys():
            raise ValueError(f"said twice: {', '.join(sorted(twice))}")
        found.update(room.MESSAGES)
    return found


def _signed(value: float, shown: str) -> str:
    return f"{'−' if value < 0 else '+'}{shown}"


_ANYBODYS = 10**15  # no count, length or number of a version is larger


class Words(string.Formatter):
    """Says messages in one unit.

    Templates are format strings. Beside Python's own formats a quantity can be shown as `length` (cm to 0.1 or inches
    to 1/8), `run` (metres or yards), `plus_length` or `plus`, `plus1`, `plus2` (with its sign, and so many decimals),
    `bare` (a length without its unit), `hardware` (mm, or inches to 1/16), `bare_hardware`, `percent` (a share, whole)
    or `percent1`; a name as `level` (of the body, in running text), `capital`, `worst` (by what a garment fails), `way`
    (where round her), `tells` (what would), `opening` or `line` (where it lies).

    >>> Words("in")(Message(code="hooks.pitch", given={"pitch_mm": 15.0}))
    'Every 9/16 in, the last as near to both edges as it goes.'
    """

    def __init__(self, unit: Unit) -> None:
        self.unit = unit
        self._formats: dict[str, Callable[[Any], str]] = {
            "length": lambda mm: format_length(mm, unit),
            "bare": lambda mm: format_length(mm, unit, bare=True),
            "hardware": lambda mm: format_length(mm, unit, hardware=True),
            "bare_hardware": lambda mm: format_length(mm, unit, hardware=True, bare=True),
            "run": lambda mm: format_run(mm, unit),
            "plus_length": lambda mm: _signed(mm, format_length(abs(mm), unit)),
            "plus": lambda by: _signed(by, f"{abs(by):.0f}"),
            "plus1": lambda by: _signed(by, f"{abs(by):.1f}"),
            "plus2": lambda by: _signed(by, f"{abs(by):.2f}"),
            "percent": lambda share: f"{share * 100:.0f}",
            "percent1": lambda share: f"{share * 100:.1f}",
            "level": lambda name: SEEN_LABELS[name].lower(),
            "level_capital": lambda name: SEEN_LABELS[name],
            "capital": capital,
            "tells": lambda name: mockups.TELLS[name],
            "worst": lambda name: mockups.WORST[name],
            "way": lambda name: mockups.WAYS[name],
            "opening": lambda kind: front.OPENINGS[kind],
            "line": lambda line: {"CF": "in front", "CB": "behind", "side": "at the side"}.get(line, f"at {line}"),
        }

    def __call__(self, message: Message) -> str:
        """The sentence of a message. Raises KeyError for a code that has no words."""
        return self.vformat(templates()[message.code], (), message.given)

    def format_field(self, value: Any, format_spec: str) -> str:
        """A quantity or a name, as its format says."""
        shown = self._formats.get(format_spec)
        if isinstance(value, int) and abs(value) > _ANYBODYS:
            return "a number beyond any"
        return shown(value) if shown else str(super().format_field(value, format_spec))

    @property
    def context(self) -> dict[str, Any]:
        """The serialization context in which messages are written as these words."""
        return {"say": self}
