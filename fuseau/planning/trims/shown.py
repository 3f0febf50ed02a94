"""Trims as they are planned, as records: where each lies, what it takes, and whether all of it is held (model, 15)."""

from typing import Literal

from pydantic import Field

from fuseau.craft.base.findings import Message
from fuseau.craft.base.record import Record
from fuseau.craft.materials.cloths import ClothName
from fuseau.craft.materials.minutes import Work
from fuseau.craft.trims.along import AlongLaid
from fuseau.craft.trims.areas import AreaLaid, PanelRoom
from fuseau.craft.trims.flossing import FlossingLaid
from fuseau.craft.trims.gathers import Circle, TierCut
from fuseau.craft.trims.hold import Load
from fuseau.craft.trims.lines import OnPanel
from fuseau.craft.trims.straps import StrapLaid

TrimGroup = Literal["along", "areas", "flossing", "hanging", "straps", "chains"]


class Shown(Record):
    """A trim as it is planned: where it lies, or why it can't be as it is."""

    key: str
    name: str
    parts: tuple[OnPanel, ...] = ()
    left_parts: tuple[OnPanel, ...] = ()
    fault: Message | None = None
    fault_at: str | None = None
    minutes: float = 0.0


class AlongShown(Shown):
    """Something along a line."""

    laid: AlongLaid | None = None
    spots: tuple[tuple[int, tuple[float, float]], ...] = ()


class AreaShown(Shown):
    """Something over an area."""

    laid: AreaLaid | None = None


class FlossingShown(Shown):
    """Flossing at bone ends."""

    laid: FlossingLaid | None = None


class HangingShown(Shown):
    """A frill or skirt: the line it is sewn to, in all, its tiers or its circle, and what it takes.

    `grams` of its cloth and of what else hangs on it. `at_hand`: the fullness is what the cloth at hand gives.
    """

    along_mm: float = 0.0
    tiers: tuple[TierCut, ...] = ()
    circle: Circle | None = None
    at_hand: bool = False
    cloth: ClothName = ""
    cloth_label: str = ""
    cloth_mm: float | None = None
    hem_mm: float = 0.0
    grams: float = 0.0
    price: float = 0.0
    own_band: bool = False
    opens: str = ""
    works: tuple[tuple[Work, float], ...] = ()


class StrapShown(Shown):
    """A strap of each side."""

    laid: StrapLaid | None = None


class ChainShown(Shown):
    """Chains that are alike."""

    length_mm: float = 0.0
    sag_mm: float = 0.0
    count: int = 0
    loops: int = 0
    grams: float = 0.0
    price: float = 0.0
    works: tuple[tuple[Work, float], ...] = ()


class Helps(Record):
    """What would help where a garment slips: what it is, the load after it, and what makes it so."""

    what: Message
    after: Load
    does: Literal["band", "straps", "stay"]


class TrimsPlan(Record):
    """All trims as they are planned. Grams and prices of both halves; `works` all that they take.

    `load` is all that weighs on the garment, itself included, against what holds it; None where nothing hangs on it.
    """

    along: tuple[AlongShown, ...] = ()
    areas: tuple[AreaShown, ...] = ()
    flossing: tuple[FlossingShown, ...] = ()
    hanging: tuple[HangingShown, ...] = ()
    straps: tuple[StrapShown, ...] = ()
    chains: tuple[ChainShown, ...] = ()
    rooms: tuple[PanelRoom, ...] = ()
    grams: float = 0.0
    hanging_grams: float = 0.0
    price: float = 0.0
    minutes: float = 0.0
    thread_mm: float = 0.0
    works: dict[Work, float] = Field(default_factory=dict)
    load: Load | None = None
    helps: tuple[Helps, ...] = ()
