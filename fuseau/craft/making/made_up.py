"""How a garment is made up, and the list that its steps are put on (model, section 13)."""

from collections.abc import Iterable, Mapping, Sequence
from dataclasses import dataclass, field
from typing import Literal

from fuseau.craft.base.findings import Message, Stage, message
from fuseau.craft.boning.bones import Bone
from fuseau.craft.closures.back import ModestyPanel
from fuseau.craft.closures.front import Opening
from fuseau.craft.making.choices import Binding
from fuseau.craft.making.steps import Place, Shuts, Step, StepKey, Who
from fuseau.craft.materials.catalogue import BoneKind, BoneName, GrommetKind
from fuseau.craft.materials.cloths import Cloth, ClothName
from fuseau.craft.materials.minutes import MINUTES, Work
from fuseau.craft.pattern.pattern import Dart, Gusset
from fuseau.craft.plies.methods import Method
from fuseau.craft.plies.reckoning import PlyPlan

INSIDE, UNDER_CHANNELS, BASE, UNPUNCHED = "the inside", "under the channels", "the base", "the back edge unpunched"
TOP, HEM, TOP_ENDS, HEM_ENDS = "the raw top edge", "the raw hem", "channel ends at the top", "channel ends at the hem"
UNPICK = 0.6  # of the minutes that sewing took


TrimWhen = Literal["before joining", "before bones", "on flossed ends", "on edges", "after the fitting"]


@dataclass(frozen=True)
class TrimWork:
    """A trim as it is sewn on: its work and materials, and `when`: on panels that still lie by themselves, before there
    are bones under it, at the ends of bones, on edges that are shut, or after it was tried on. `later`: it may wait
    until after the day.
    """

    key: str
    name: str
    works: tuple[tuple[Work, float], ...]
    when: TrimWhen
    panels: tuple[int, ...] = ()
    materials: tuple[Message, ...] = ()
    cloth: ClothName | None = None
    later: bool = False


@dataclass(frozen=True)
class PadWork:
    """A pad as it is made: how many of it, of how many layers each, and of which cloth.

    `under`: it is worn under the garment, from the first trying-on; else in the costume over it.
    """

    key: str
    name: str
    count: int
    layers: int
    cloth: ClothName
    label: str
    materials: tuple[Message, ...]
    under: bool = True


@dataclass(frozen=True)
class MadeUp:
    """How a garment is made up. `panels` are those of a half; edges are of the whole garment, mm. `materials`: what is
    cut or bought by its length for a step. `frills`: pieces of frills and skirts by their
    cloth, with its label.

    `mock_ups` are still to be made and tried on before the cloth is cut, `to_fit` tells that one is made and waits for
    its fitting. `coats`: how often the ends of steel are dipped, none where they are tipped. `holes` behind and in
    front are those of both edges.
    """

    panels: int
    method: Method
    plies: tuple[PlyPlan, ...]
    curved: bool
    bones: tuple[Bone, ...]
    left_bones: tuple[Bone, ...]
    kinds: Mapping[BoneName, BoneKind]
    known_cloths: Mapping[ClothName, Cloth]
    opening: Opening | None
    laced: bool
    hole: GrommetKind
    holes: int
    front_holes: int
    modesty: ModestyPanel | None
    taped: bool
    gussets: tuple[Gusset, ...]
    darts: tuple[Dart, ...]
    cups: bool
    shoulders: bool
    top_mm: float
    hem_mm: float
    binding: Binding = "by hand"
    coats: float = 0.0
    mock_ups: int = 0
    to_fit: bool = False
    version: int = 1
    materials: Mapping[StepKey, tuple[Message, ...]] = field(default_factory=dict)
    trims: tuple[TrimWork, ...] = ()
    frills: Mapping[ClothName, tuple[str, int]] = field(default_factory=dict)
    pads: tuple[PadWork, ...] = ()

    @property
    def cloths(self) -> dict[ClothName, str]:
        """The label of every cloth that is cut, from the skin out."""
        return {ply.cloth: ply.label for ply in self.plies}

    def bones_of(self, panel: int) -> list[Bone]:
        """The bones of a panel, of both halves."""
        return [bone for bone in (*self.bones, *self.left_bones) if bone.panel == panel and bone.length_mm > 0]

    def over_the_base(self, ply: PlyPlan) -> bool:
        """Whether a ply goes over the base after its channels, as the method has it, not onto each panel before."""
        return (
            ply.mounted == "overlaid by panels"
            and self.method.fashion == "overlaid by panels"
            and ply.role == "fashion"
        )


@dataclass
class Listing:
    """The steps of a garment as they are listed, in their usual order."""

    steps: list[Step] = field(default_factory=list)

    def add(
        self,
        key: StepKey,
        name: Message,
        works: Iterable[tuple[Work, float]] = (),
        *,
        stage: Stage = "make",
        why: Message | None = None,
        how: tuple[Message, ...] = (),
        needs: Iterable[StepKey] = (),
        reaches: Sequence[tuple[Place, ...]] = (),
        shuts: Sequence[Shuts] = (),
        tools: tuple[str, ...] = (),
        materials: tuple[Message, ...] = (),
        cautions: Iterable[str] = (),
        waits_h: float = 0.0,
        waits_for: tuple[str, ...] = (),
        through: int = 1,
        with_whom: Who = "herself",
        optional: Message | None = None,
        later: bool = False,
        undo: float | None = UNPICK,
    ) -> StepKey:
        """Put a step on the list; returns its key. `cautions` are codes, `tools` the ends of theirs.

        `undo` is the share of its minutes that undoing takes; None where it can't be undone.
        """
        known = tuple((work, times) for work, times in works if times > 0)
        minutes = sum(MINUTES[work] * times for work, times in known)
        self.steps.append(
            Step(
                key=key,
                name=name,
                stage=stage,
                works=known,
                waits_h=waits_h,
                why=why,
                how=how,
                tools=tuple(message(f"tool.{tool}") for tool in tools),
                materials=materials,
                cautions=tuple(message(code) for code in cautions),
                needs=tuple(dict.fromkeys(needs)),
                reaches=tuple(reaches),
                shuts=tuple(shuts),
                through=through,
                undo_min=None if undo is None else undo * minutes,
                optional=optional,
                later=later,
                with_whom=with_whom,
                waits_for=waits_for,
            )
        )
        return key


def by_itself(panel: int) -> Place:
    """A panel that is joined to none."""
    return f"panel {panel} by itself"


def unsewn(seam: int) -> Place:
    """A seam that is not sewn yet."""
    return f"seam {seam} unsewn"


def alike(bones: Iterable[Bone]) -> list[tuple[Bone, int]]:
    """Bones of one channel and length, one of each with how many there are in both halves."""
    found: dict[tuple[str, float, BoneName], tuple[Bone, int]] = {}
    for bone in bones:
        key = bone.channel, bone.length_mm, bone.kind
        found[key] = bone, found.get(key, (bone, 0))[1] + bone.count
    return list(found.values())
