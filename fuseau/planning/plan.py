"""What follows from a Build, as records: the Plan and its parts. `plan.py` computes them."""

from pydantic import Field

from fuseau.craft.base.findings import Finding, Message
from fuseau.craft.base.record import Record
from fuseau.craft.boning.bones import Bone, EdgeLayout
from fuseau.craft.boning.choices import Between
from fuseau.craft.boning.reuse import BoneReuse
from fuseau.craft.boning.spacing import Stretch
from fuseau.craft.boning.totals import Boning, CupBoning
from fuseau.craft.closures.back import Lace, ModestyPanel, Row, WaistTape
from fuseau.craft.closures.busk import Busk
from fuseau.craft.closures.front import Opening
from fuseau.craft.closures.getting_in import WayIn
from fuseau.craft.closures.lacing import LaceStep
from fuseau.craft.closures.sections import Section
from fuseau.craft.fit.fit import Fit, GapShape, LevelFit
from fuseau.craft.fit.target import Aim
from fuseau.craft.fitting.inference import Foreseen, Learned
from fuseau.craft.fitting.readiness import Readiness
from fuseau.craft.materials.stack import Stack
from fuseau.craft.pattern.alterations import Alteration, ProposedLine, SeamMark
from fuseau.craft.pattern.cups import Cup
from fuseau.craft.pattern.dress_stand import Padding
from fuseau.craft.pattern.pattern import Allowances, Dart, EdgeLine, Gusset, Pattern
from fuseau.craft.pattern.trueing import LaidPanel, LaidPiece, Point, TruedSeam
from fuseau.craft.wearer.body import Body
from fuseau.craft.wearer.measures import LevelName
from fuseau.craft.wearer.pads import PadMade
from fuseau.planning.fittings.next_mock_up import MockUpPlan
from fuseau.planning.fittings.verdict import Verdict
from fuseau.planning.stages.layers import LayersPlan
from fuseau.planning.trims.shown import TrimsPlan


class PlannedPattern(Record):
    """The pattern that the later stages work from, laid flat. `left_*` are None where both halves are the same."""

    version: int | None
    cut: bool
    zero: str
    panels: tuple[LaidPanel, ...]
    left_panels: tuple[LaidPanel, ...] | None
    pieces: tuple[LaidPiece, ...]
    cup: Cup | None
    front_panels: int
    top: EdgeLine
    hem: EdgeLine
    left_top: EdgeLine | None
    left_hem: EdgeLine | None
    top_places: tuple[float, ...]
    hem_places: tuple[float, ...]
    gussets: tuple[Gusset, ...]
    darts: tuple[Dart, ...]
    joined: tuple[int, ...]
    allowances: Allowances
    bust_place: float


class Proposal(Record):
    """The next pattern version: what changes, by seam and level, and how it would settle.

    `lines` are that change in the maker's hands; `left_mm` by level is what of the wanted girth the seams could not
    take in one version; `by_hand` tells that some line is not as it was worked out.
    """

    reason: Message
    fitting: int | None
    redraft: bool
    pattern: Pattern
    alteration: Alteration | None
    marks: tuple[SeamMark, ...]
    lines: tuple[ProposedLine, ...]
    left_mm: dict[LevelName, float]
    by_hand: bool
    next_mock_up: Foreseen | None
    sewn_change_mm: dict[str, float]
    edges_change: bool
    panels: tuple[LaidPanel, ...]
    mock_up: Fit
    final: Fit


class PlacedHoles(Record):
    """Where the holes of a half are punched: in the frames of its last and its first panel, mm from the top down.

    `along_mm` is how far up the fold each lies from the waist, as a strip that is laid on the fold has it.
    """

    behind: tuple[Point, ...]
    behind_along_mm: tuple[float, ...]
    in_front: tuple[Point, ...]
    in_front_along_mm: tuple[float, ...]


class Holes(Record):
    """Heights of the holes from the top down, the same on both sides; each lies `inset_mm` from the fold."""

    z_mm: tuple[float, ...]
    inset_mm: float
    right: PlacedHoles
    left: PlacedHoles
    count: int
    spares: int
    label: str
    die: str
    hole_mm: float
    flange_mm: float
    usual_pitch_mm: float
    minutes: float
    holds_n: float
    rows: tuple[Row, ...]
    edge_layout: EdgeLayout
    edge_carries: bool
    front_z_mm: tuple[float, ...]
    lace_label: str
    lace_width_mm: float
    lace_mind: str


class LeftHardware(Record):
    """The hardware of the left half, where it differs from the right: as in `HardwarePlan`."""

    bones: tuple[Bone, ...]
    unboned: tuple[Stretch, ...]
    mock_up_bones_mm: dict[str, float]


class Before(Record):
    """The hardware as the version before had it: bone lengths by channel, busk and number of rows."""

    version: int
    bones_mm: dict[str, float]
    busk_mm: float | None
    rows: int


class HardwarePlan(Record):
    """Bones, front and back, as far as they follow from the pattern. Lengths by channel are of one half, mm.

    Of both halves; where the left one differs, of the right, and `left` is the other.
    """

    bones: tuple[Bone, ...] = ()
    left: LeftHardware | None = None
    between: tuple[Between, ...] = ()
    boning: Boning | None = None
    unboned: tuple[Stretch, ...] = ()
    unboned_limit_mm: float | None = None
    mock_up_bones_mm: dict[str, float] = Field(default_factory=dict)
    reuse: BoneReuse | None = None
    before: Before | None = None
    sections: dict[str, Section] = Field(default_factory=dict)
    busk: Busk | None = None
    opening: Opening | None = None
    ways: tuple[WayIn, ...] = ()
    getting_in: WayIn | None = None
    holes: Holes | None = None
    lace: Lace | None = None
    walk: tuple[LaceStep, ...] = ()
    front_walk: tuple[LaceStep, ...] = ()
    front_lace: Lace | None = None
    modesty: ModestyPanel | None = None
    waist_tape: WaistTape | None = None
    lace_mm: float | None = None


class Plan(HardwarePlan):
    """Everything that follows from a Build. Fields are None while measures are missing."""

    missing: tuple[LevelName, ...] = ()
    unmakeable: bool = False
    body: Body | None = None
    stand: tuple[Padding, ...] = ()
    pads: tuple[PadMade, ...] = ()
    stack: Stack | None = None
    aim: Aim | None = None
    levels: tuple[LevelFit, ...] = ()
    gap_shape: GapShape | None = None
    final: Fit | None = None
    mock_up: Fit | None = None
    pattern: PlannedPattern | None = None
    drafted: Pattern | None = None
    seams: tuple[TruedSeam, ...] = ()
    learned: Learned | None = None
    readiness: Readiness | None = None
    headline: Message | None = None
    verdict: Verdict | None = None
    made_for: str = ""
    proposal: Proposal | None = None
    prediction: Foreseen | None = None
    mock_up_plan: MockUpPlan | None = None
    stale: tuple[int, ...] = Field(default=(), description="Versions from a fitting that was corrected since.")
    cup_boning: CupBoning | None = None
    layers: LayersPlan | None = None
    trims: TrimsPlan | None = None
    findings: tuple[Finding, ...] = ()
