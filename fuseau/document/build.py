"""The Build: everything the maker decided or observed. It is also the open file format, versioned.

Lengths are millimetres. A field that holds a length also takes text in the maker's words ("24 1/2 in"); a
bare number in a text takes the unit of the validation context.
"""

from collections.abc import Iterator, Mapping
from functools import cached_property
from typing import Annotated, Any, Literal

from pydantic import Field, model_validator

from fuseau.craft.base.lengths import Length, Unit
from fuseau.craft.base.practice import Practice
from fuseau.craft.base.record import Amount, Day, Record, Text, at_field
from fuseau.craft.boning.choices import BoneChoices
from fuseau.craft.closures.back import BackChoices
from fuseau.craft.closures.choices import FrontChoices
from fuseau.craft.fit.target import Target
from fuseau.craft.making.choices import MakeChoices
from fuseau.craft.making.record_choices import Photo, RecordChoices
from fuseau.craft.making.steps import StepKey, cut_bones_step, cut_step
from fuseau.craft.materials.catalogue import BoneKind, BoneName, OwnKinds
from fuseau.craft.materials.cloths import CLOTHS, Cloth, ClothName
from fuseau.craft.materials.stack import Stack
from fuseau.craft.pattern.alterations import Alteration, LineEdit
from fuseau.craft.pattern.dress_stand import Stand
from fuseau.craft.pattern.edge_curves import LineShape
from fuseau.craft.pattern.pattern import Allowances, Pattern, seam_label
from fuseau.craft.pattern.places import between, most_taken_in, reach, with_places
from fuseau.craft.plies.layers import Layers
from fuseau.craft.stock.cut_choices import CutChoices
from fuseau.craft.trims.choices import TrimChoices
from fuseau.craft.wearer.body import Body, Taught, believe, remembered
from fuseau.craft.wearer.garment_kinds import GARMENT_KINDS, KindName
from fuseau.craft.wearer.measures import SeenLevel, Wearer, Zones
from fuseau.craft.wearer.pads import Pads, along_back, girths_added
from fuseau.document.fitting_fields import tells_of_fit
from fuseau.document.fittings import (
    AlsoLaced,
    BackPhoto,
    Fitting,
    FittingGarment,
    GapReading,
    MockUp,
    Note,
    PictureShare,
    Pinch,
    StripTest,
    View,
)

FORMAT = "fuseau.build"
VERSION = 8
MOST_FAULTS = 20
# Gaps of two pulls that go the wrong way by less may be noise, by how many steps of pull lie between: of rounding, of a
# single misread, of a hand that draws unevenly.
WRONG_WAY_MM = {1: 6.0, 2: 3.0}
_PULLS = "light", "close", "firm"

Name = Annotated[str, Text(120)]
MarkKind = Literal[
    "top line",
    "hem",
    "closure",
    "seam",
    "trim",
    "shoulders across",
    "chest across",
    "bust across",
    "underbust across",
    "waist across",
    "high hip across",
    "hip across",
]
Movement = Literal["sit", "bend", "raise arms", "dance", "drive", "turn the head"]


class Mark(Record):
    """A line drawn on a picture; points are (x, y) from its top left, as shares of its width and height."""

    kind: MarkKind
    points: tuple[tuple[PictureShare, PictureShare], ...] = Field(min_length=2, max_length=200)


class Picture(Record):
    """A reference picture or a sketch, kept by the workshop under `id`, with what is marked on it."""

    id: Annotated[str, Field(pattern=r"^[0-9a-f]{64}$", description="SHA-256 of the picture's bytes.")]
    name: Name = ""
    role: Literal["reference", "sketch"] = "reference"
    note: Note = ""
    width_px: int = Field(ge=1, le=4000)
    height_px: int = Field(ge=1, le=4000)
    marks: tuple[Mark, ...] = Field(default=(), max_length=60)
    made: Literal["drawn", "filmed"] = "drawn"
    turned_deg: Annotated[
        float,
        Amount("how far the figure is turned", -180, 180),
        Field(description="To her right, so that her left is seen; the other way below 0; 180 from behind."),
    ] = 0.0
    stays: SeenLevel | None = Field(default=None, description="The level that sets the picture's scale; None: all.")


class Brief(Record):
    """What is being made, for whom and until when, and what it has to stand."""

    name: Name = "New build"
    character: Name = ""
    needed_on: Day | None = None
    note: Note = ""
    pictures: tuple[Picture, ...] = Field(default=(), max_length=16)
    chosen_sketch: Annotated[str, Text(64)] | None = None
    chosen_because: Note = ""
    laced_by: Literal["herself", "a helper"] | None = None
    alone: bool | None = Field(default=None, description="Must the wearer get in alone?")
    hours_worn: Annotated[float, Amount("the hours it is worn", 0, 24)] | None = None
    heat: Literal["cool", "warm", "hot"] | None = None
    movement: tuple[Movement, ...] = ()
    worn_under: Note = ""
    worn_over: Note = ""
    covered: Note = ""
    lessons: tuple[Annotated[str, Text(300, least=1)], ...] = Field(
        default=(), max_length=30, description="What she would have changed of the garment that this is made like."
    )


class TopWish(Record):
    """Heights of the top line above the zero line, and its shape; None takes the suggestion."""

    cf_mm: Annotated[float, Length("the top line above the waist", 10, 400)] | None = None
    side_mm: Annotated[float, Length("the top line above the waist", 10, 400)] | None = None
    cb_mm: Annotated[float, Length("the top line above the waist", 10, 400)] | None = None
    shape: LineShape = "plain"


class HemWish(Record):
    """How far the hem lies below the zero line, and its shape; None takes the suggestion."""

    cf_mm: Annotated[float, Length("the hem below the waist", 10, 400)] | None = None
    side_mm: Annotated[float, Length("the hem below the waist", 10, 400)] | None = None
    cb_mm: Annotated[float, Length("the hem below the waist", 10, 400)] | None = None
    shape: LineShape = "plain"


class DraftChoices(Record):
    """How the pattern is drafted: panels per half, edges, seam allowances, and what goes with some kinds."""

    panels: Annotated[int, Amount("the number of panels in each half", 2, 9, whole=True)] = 6
    one_piece: bool = Field(default=False, description="Panels joined into one piece with darts where they touch.")
    cups: bool = False
    shoulder_pieces: bool = False
    top: TopWish = TopWish()
    hem: HemWish = HemWish()
    allowances: Allowances = Allowances()
    waist_mm: Annotated[float, Length("how far the waist is moved", -80, 80)] = Field(
        default=0.0,
        description="How far up the waist of the next version goes on its cloth, with all that lies on it.",
    )


class MeasuringRef(Record):
    """Which measuring of which wearer in the workshop's book this build's measures came from."""

    wearer_id: Annotated[str, Text(32)]
    measuring_id: Annotated[str, Text(32)]
    taken_on: Day


class Memory(Record):
    """What the fittings of an earlier build taught of the wearer, with the measuring that both rest on."""

    measuring_id: Annotated[str, Text(32)]
    build: Name = ""
    fittings: int = Field(ge=1)
    levels: tuple[Taught, ...] = Field(max_length=10)
    rests_on: tuple[Annotated[str, Text(16)], ...] = Field(
        default=(), max_length=400, description="Marks of the fittings that this rests on: none counts twice."
    )


class PatternVersion(Record):
    """A pattern as it was cut. It is never changed; an alteration makes the next one."""

    number: int = Field(ge=1)
    parent: int | None = None
    reason: Note = ""
    name: Name = ""
    note: Note = ""
    fitting: int | None = Field(default=None, description="Number of the fitting that it came from.")
    fitting_corrected: int = Field(default=0, ge=0, description="How often that fitting had been corrected by then.")
    made_on: Day | None = None
    pattern: Pattern
    alteration: Alteration | None = None
    made_for: Annotated[str, Text(24), Field(description="A mark of what was known and wished when it was made.")] = ""
    cut: bool = Field(default=True, description="False while it is still drawn on; cutting or trying it on fixes it.")
    changes: tuple[Note, ...] = Field(default=(), max_length=400, description="Edits by hand, in words.")


class Build(Record):
    """Everything decided and observed about one garment."""

    format: Literal["fuseau.build"] = "fuseau.build"
    version: Literal[8] = 8
    kind: KindName = "underbust corset"
    brief: Brief = Brief()
    wearer: Wearer = Wearer()
    measuring: MeasuringRef | None = None
    taught: Memory | None = Field(default=None, description="None starts from the tape alone.")
    stand: Stand = Stand()
    pads: Pads = Field(default=(), description="Padding worn under it.")
    target: Target = Target()
    draft: DraftChoices = DraftChoices()
    layers: Layers = Layers()
    mock_up: MockUp = MockUp()
    versions: tuple[PatternVersion, ...] = Field(default=(), max_length=60)
    fittings: tuple[Fitting, ...] = Field(default=(), max_length=60)
    strips: tuple[StripTest, ...] = Field(default=(), max_length=8, description="Cloths tried under a weight.")
    garments: tuple[FittingGarment, ...] = Field(default=(), max_length=6, description="Garments of hers that fit.")
    rehearsal: Literal["kind", "harsh"] | None = Field(
        default=None, description="A rehearsal on the workshop's dress stand, which hides a body of its own."
    )
    line_edits: tuple[LineEdit, ...] = Field(
        default=(), max_length=80, description="Lines of the change proposed for the present version, set by hand."
    )
    catalogue: OwnKinds = OwnKinds()
    bones: BoneChoices = BoneChoices()
    front: FrontChoices = FrontChoices()
    back: BackChoices = BackChoices()
    trims: TrimChoices = TrimChoices()
    cut: CutChoices = CutChoices()
    make: MakeChoices = MakeChoices()
    record: RecordChoices = RecordChoices()
    practice: Practice = Practice()
    zones: Zones = Zones()

    def version_numbered(self, number: int) -> PatternVersion | None:
        """The version with this number, if there is one."""
        return next((version for version in self.versions if version.number == number), None)

    @property
    def bone_kinds(self) -> Mapping[BoneName, BoneKind]:
        """Every kind of bone that can be chosen, by name."""
        return self.catalogue.kinds

    @property
    def cloths(self) -> Mapping[ClothName, Cloth]:
        """Every cloth that can be chosen, by name."""
        return self.catalogue.all_cloths

    @cached_property
    def stack(self) -> Stack:
        """What the final garment's plies come to."""
        count = len(self.current.pattern.panels) if self.current else self.draft.panels
        return self.layers.stack(count, self.cloths)

    @property
    def mock_up_stack(self) -> Stack:
        """The mock-up's cloth."""
        return self.mock_up.stack.known(self.cloths)

    @property
    def body(self) -> Body:
        """The wearer before any fitting of this build: as taped, or as earlier fittings taught.

        Raises ValueError when a needed girth is missing.
        """
        kind = GARMENT_KINDS[self.kind]
        taped = believe(self.wearer, self.zones, self.practice, kind.levels, kind.needed)
        taught, ref = self.taught, self.measuring
        if taught is None or ref is None or taught.measuring_id != ref.measuring_id:
            return taped
        return remembered(taped, taught.levels)

    def padding(self, pads: Pads) -> tuple[tuple[float, float], ...]:
        """What pads take of the girth, over heights at the back (rising, mm), on the body before any fitting.

        Raises ValueError when a needed girth is missing.
        """
        if not pads:
            return ()
        return along_back(girths_added(pads, self.body, self.practice.pad_gives_share), self.body)

    @property
    def gap_mm(self) -> float:
        """The gap behind that is wanted; none where the back is not laced."""
        return self.target.gap_mm if self.back.laced else 0.0

    @property
    def pictures(self) -> tuple[Picture | BackPhoto | Photo, ...]:
        """Every picture that it uses: references, sketches, photos of fittings, of the work, and of the garment."""
        photos = [photo for fitting in self.fittings for photo in fitting.photos]
        worked = [photo for entry in self.make.log for photo in entry.photos]
        return (*self.brief.pictures, *photos, *worked, *self.record.photos)

    def ticked_off(self, step: StepKey) -> bool:
        """Whether a step of making is ticked off."""
        return any(one.step == step for one in self.make.done)

    @property
    def cut_cloths(self) -> frozenset[ClothName]:
        """The cloths that are cut: as the cutting table tells, or ticked off while making; all, once it is finished."""
        finished = self.record.finished_on is not None
        ticked = {cloth for cloth in self.cloths_to_cut if finished or self.ticked_off(cut_step(cloth))}
        return frozenset(self.cut.done) | ticked

    @property
    def cloths_to_cut(self) -> frozenset[ClothName]:
        """Every cloth that something is cut from: of plies, of what hangs from the garment, and of padding."""
        return frozenset(
            [ply.cloth for ply in self.layers.plies]
            + [frill.cloth for frill in self.trims.hanging]
            + [pad.cloth for pad in self.pads],
        )

    def bones_ticked(self, kind: BoneName) -> bool:
        """Whether the bones of a kind were ticked off as cut while making."""
        return self.ticked_off(cut_bones_step(kind))

    @property
    def current(self) -> PatternVersion | None:
        """The newest version, which later stages work from."""
        return self.versions[-1] if self.versions else None

    @model_validator(mode="before")
    @classmethod
    def _brought_up(cls, data: Any) -> Any:
        """What older files say otherwise.

        Version 1 called a level's heights `waist_to_*_mm`; up to 2 one number stood for every cloth's stretch; up to 3
        the layers were one thickness inside and one outside the strength ply; up to 4 each build had a shelf of bones
        of its own, which `shelf.brought_over` puts on the workshop's. Up to 5 nothing was said of the making, of wears,
        trims, and widths on pictures; up to 6 nothing of padding,
        up to 7 of shoulders and of pictures from a film.
        """
        if not isinstance(data, dict) or data.get("version") not in range(1, VERSION):
            return data
        found = {**data, "version": VERSION}
        if data["version"] >= 5:
            return found
        if data["version"] == 1 and isinstance(data.get("wearer"), dict):
            found["wearer"] = {name: _renamed(level) for name, level in data["wearer"].items()}
        if isinstance(data.get("practice"), dict):
            gone = ("pull_bow", "stretch_more", "stretch_spread")
            found["practice"] = {name: value for name, value in data["practice"].items() if name not in gone}
        if isinstance(data.get("bones"), dict):
            found["bones"] = {name: value for name, value in data["bones"].items() if name != "shelf"}
        if isinstance(data.get("layers"), dict) and "plies" not in data["layers"]:
            found["layers"] = _as_plies(data["layers"])
        return found

    @model_validator(mode="after")
    def _hangs_together(self) -> "Build":
        numbers = [version.number for version in self.versions]
        if numbers != list(range(1, len(numbers) + 1)):
            raise at_field("versions", "versions.numbered")
        for i, fitting in enumerate(self.fittings):
            self._check_fitting(i, fitting)
        for at, name in self._bones_named():
            if name not in self.bone_kinds:
                raise at_field(at, "bone.unknown", name=name)
        for at, name in self._cloths_named():
            if name not in self.cloths:
                raise at_field(at, "cloth.unknown", name=name)
        return self

    def _bones_named(self) -> Iterator[tuple[str, BoneName]]:
        """Every place where a kind of bone is named, and which."""
        bones = self.bones
        for field in ("lacing_edge", "beside_busk", "seams", "sides", "every_second", "between_seams", "curved"):
            if getattr(bones, field) is not None:
                yield f"bones.{field}", getattr(bones, field)
        yield from ((f"bones.by_channel.{label}", kind) for label, kind in bones.by_channel.items())
        yield from ((f"bones.cut.{i}.kind", one.kind) for i, one in enumerate(bones.cut))
        if self.back.modesty_bone is not None:
            yield "back.modesty_bone", self.back.modesty_bone
        yield "mock_up.edge_bone", self.mock_up.edge_bone
        yield from (
            (f"fittings.{i}.made_of.edge_bone", fitting.made_of.edge_bone) for i, fitting in enumerate(self.fittings)
        )

    def _cloths_named(self) -> Iterator[tuple[str, ClothName]]:
        """Every place where a cloth is named, and which."""
        yield from ((f"layers.plies.{i}.cloth", ply.cloth) for i, ply in enumerate(self.layers.plies))
        for field in ("facing", "modesty", "binding"):
            if getattr(self.cut, field) is not None:
                yield f"cut.{field}", getattr(self.cut, field)
        yield from ((f"trims.hanging.{i}.cloth", frill.cloth) for i, frill in enumerate(self.trims.hanging))
        yield from ((f"strips.{i}.cloth", strip.cloth) for i, strip in enumerate(self.strips))
        yield "mock_up.stack.strength", self.mock_up.stack.strength
        for i, fitting in enumerate(self.fittings):
            if fitting.made_of.stack.own is None:
                yield f"fittings.{i}.made_of.stack.strength", fitting.made_of.stack.strength

    def _check_fitting(self, i: int, fitting: Fitting) -> None:
        at = f"fittings.{i}"
        version = self.version_numbered(fitting.version)
        if version is None:
            raise at_field(f"{at}.version", "fitting.version", version=fitting.version)
        seen = _check_readings(at, fitting.readings, version.pattern, pinned=fitting.made_of.closing == "pinned")
        for k, other in enumerate(fitting.also):
            _check_also(f"{at}.also.{k}", fitting, other, version.pattern)
        if len(seen) < 3 and not tells_of_fit(fitting):
            raise at_field(
                f"{at}.readings",
                "fitting.says_nothing",
            )
        self._check_places(at, fitting, version.pattern)
        levels = GARMENT_KINDS[self.kind].levels
        told: list[tuple[str, Fitting | AlsoLaced, tuple[str, ...]]] = [
            (at, fitting, ("words", "stand_offs", "laced", "under_it"))
        ]
        told += [(f"{at}.also.{k}", other, ("words", "laced")) for k, other in enumerate(fitting.also)]
        for where, said, fields in told:
            for field in fields:
                for k, one in enumerate(getattr(said, field)):
                    if one.level not in levels:
                        raise at_field(f"{where}.{field}.{k}", "level.uncovered", kind=self.kind, level=one.level)

    def _check_places(self, at: str, fitting: Fitting, pattern: Pattern) -> None:
        """Taps and pinches lie on the garment."""
        for k, tap in enumerate(fitting.taps):
            low, high = covered(pattern, tap.view)
            if not low - 10 <= tap.z_mm <= high + 10:
                raise at_field(
                    f"{at}.taps.{k}.z_mm",
                    "tap.uncovered",
                    view=tap.view,
                    low_mm=low,
                    high_mm=high,
                )
        for k, pinch in enumerate(fitting.pinches):
            pattern = self._pinched(f"{at}.pinches.{k}", fitting.version, pinch, pattern)

    def _pinched(self, at: str, version: int, pinch: Pinch, pattern: Pattern) -> Pattern:
        """A pattern with a pinch, which is at one of its seams, on the garment, and no more than its panels hold."""
        if pinch.seam in (0, len(pattern.panels)):
            raise at_field(f"{at}.seam", "pinch.straight", edge="CF" if pinch.seam == 0 else "CB")
        if pinch.seam > len(pattern.panels):
            raise at_field(f"{at}.seam", "pinch.no_seam", version=version, seam=seam_label(pinch.seam))
        low, high = reach(pattern)
        beyond = max(pinch.from_mm, pinch.to_mm) <= low + 5 or min(pinch.from_mm, pinch.to_mm) >= high - 5
        for field in ("from_mm", "to_mm"):
            if beyond or not low - 10 <= getattr(pinch, field) <= high + 10:
                raise at_field(
                    f"{at}.{field}",
                    "pinch.off",
                    low_mm=low,
                    high_mm=high,
                )
        place = between(pattern, pinch.seam, pinch.from_mm, pinch.to_mm, -pinch.amount_mm, half=pinch.half)
        hold = most_taken_in(pattern, place, self.practice.least_panel_width_mm)
        if pinch.amount_mm > hold:
            most, seam = max(hold, 0.0), seam_label(pinch.seam)
            raise at_field(f"{at}.amount_mm", "pinch.most", seam=seam, most_mm=most)
        return with_places(pattern, [place])


def _as_plies(stack: dict[str, Any]) -> dict[str, Any]:
    """The layers of a file that knew one thickness inside and one outside the strength ply."""
    usual = Stack()
    found: list[dict[str, Any]] = []
    for role, cloth, name in (("lining", "lawn", "lining_mm"), ("", "", ""), ("fashion", "sateen", "fashion_mm")):
        if not role:
            found.append({"role": "strength", "cloth": stack.get("strength", usual.strength)})
            continue
        thick = stack.get(name, getattr(usual, name))
        if thick != 0:
            own = None if thick == CLOTHS[cloth].thickness_mm else thick
            found.append({"role": role, "cloth": cloth, "thickness_mm": own})
    return {"plies": found, "worn_under_mm": stack.get("worn_under_mm", 0.0)}


def _check_readings(
    at: str, readings: tuple[GapReading, ...], pattern: Pattern, *, pinned: bool = False
) -> dict[float, float]:
    """Gaps by height, each on the lacing edge and told once; below zero only where it was pinned."""
    low, high = pattern.hem.cb_mm, pattern.top.cb_mm
    seen: dict[float, float] = {}
    for k, reading in enumerate(readings):
        if not low - 2 <= reading.z_mm <= high + 2:
            raise at_field(
                f"{at}.readings.{k}.z_mm",
                "reading.outside",
                z_mm=reading.z_mm,
                low_mm=low,
                high_mm=high,
            )
        if reading.gap_mm < 0 and not pinned:
            raise at_field(
                f"{at}.readings.{k}.gap_mm",
                "reading.below_zero",
            )
        if reading.z_mm in seen:
            raise at_field(
                f"{at}.readings.{k}.z_mm",
                "reading.twice",
                z_mm=reading.z_mm,
                gap_mm=seen[reading.z_mm],
                other_mm=reading.gap_mm,
            )
        seen[reading.z_mm] = reading.gap_mm
    return seen


def _check_also(at: str, fitting: Fitting, other: AlsoLaced, pattern: Pattern) -> None:
    """Another lacing of the evening is pulled otherwise, and a lighter pull leaves a wider gap."""
    if other.pull == fitting.pull:
        raise at_field(f"{at}.pull", "pull.twice", pull=other.pull)
    also = _check_readings(at, other.readings, pattern)
    worn = {reading.z_mm: reading.gap_mm for reading in fitting.readings}
    both = [z for z in also if z in worn]
    if len(both) < 2:
        return
    gaps = {fitting.pull: sum(worn[z] for z in both) / len(both), other.pull: sum(also[z] for z in both) / len(both)}
    lighter, harder = sorted((fitting.pull, other.pull), key=_PULLS.index)
    if gaps[lighter] < gaps[harder] - WRONG_WAY_MM[_PULLS.index(harder) - _PULLS.index(lighter)]:
        raise at_field(
            f"{at}.readings.0.gap_mm",
            "pull.wrong_way",
            lighter=lighter,
            lighter_mm=gaps[lighter],
            harder=harder,
            harder_mm=gaps[harder],
        )


def _renamed(level: Any) -> Any:
    if not isinstance(level, dict):
        return level
    return {key.replace("waist_to_", "height_") if isinstance(key, str) else key: value for key, value in level.items()}


def covered(pattern: Pattern, view: View) -> tuple[float, float]:
    """From where to where a pattern covers the wearer, seen from there (mm)."""
    fields = {"front": ("cf_mm", "side_mm"), "side": ("side_mm", "cf_mm", "cb_mm"), "back": ("cb_mm", "side_mm")}[view]
    return min(getattr(pattern.hem, one) for one in fields), max(getattr(pattern.top, one) for one in fields)


class Fault(Record):
    """One thing wrong with a Build: where, and a plain sentence."""

    at: str
    sentence: str


def read_build(data: Any, unit: Unit = "cm", stored: bool = False) -> Build:
    """A Build from plain data; from one that is `stored` already, text is cleaned rather than refused.

    Raises pydantic.ValidationError (see `wording.faults`).
    """
    return Build.model_validate(data, context={"unit": unit, "stored": stored})


def with_parts(build: Build, unit: Unit = "cm", **parts: Any) -> Build:
    """The build with some of its parts read anew, from plain data or records; the others stay the very same objects.

    Raises pydantic.ValidationError (see `wording.faults`), also where the parts no longer go together.
    """
    data = {name: getattr(build, name) for name in Build.model_fields} | parts
    return Build.model_validate(data, context={"unit": unit})


def plain(build: Build, part: str) -> Any:
    """One part of a build as plain data, to be changed and read anew."""
    return build.model_dump(mode="json", include={part})[part]
