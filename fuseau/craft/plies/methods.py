"""Ways to make a garment up: how plies are mounted, where channels are, what is hidden, and how long it takes.

The schools are those of the handbook (3.8), and one that many begin with: two plies with the channels between them.
"""

from collections.abc import Mapping
from typing import Literal

from fuseau.craft.base.record import Record
from fuseau.craft.materials.cloths import Cloth, ClothName, Role
from fuseau.craft.materials.minutes import MINUTES, Work
from fuseau.craft.plies.layers import Layers, MethodName, Mounted, Ply

ChannelMade = Literal["between plies", "in the allowances", "inside tape", "outside tape"]
SeamMade = Literal["opened", "turned", "lapped"]
Edges = Literal["bound", "turned"]

_ONE_AS = ("fused", "flat-lined")  # plies that are sewn as one


class Method(Record):
    """A way to make up: the mounting by role, how seams, channels and edges are made, whether it wants a lining.

    `hides_inside`: no raw edge is seen from inside; `hides_outside`: no line of stitching but the seams from outside.
    `lets_out`: how readily a seam can be let out later, from 0 (hardly) to 2.
    """

    name: MethodName
    channels: ChannelMade
    lining: Mounted = "flat-lined"
    fashion: Mounted = "flat-lined"
    seam: SeamMade = "opened"
    edges: Edges = "bound"
    wants_lining: bool = False
    hides_inside: bool = False
    hides_outside: bool = False
    lets_out: int = 1

    def mounts(self, ply: Ply, cloth: Cloth) -> Mounted:
        """How a ply is mounted: as she decided, else as this method has it."""
        if ply.mounted is not None:
            return ply.mounted
        if ply.role == "interlining":
            return "fused" if cloth.fuses_c else "flat-lined"
        by_role: Mapping[Role, Mounted] = {
            "strength": "flat-lined",
            "lining": self.lining,
            "fashion": self.fashion,
            "overlay": "overlaid by panels",
        }
        return by_role[ply.role]


_METHODS = (
    Method(name="channels between the plies", channels="between plies"),
    Method(name="flat-lined, outside channels", channels="outside tape"),
    Method(name="flat-lined, inside channels", channels="inside tape", hides_inside=True, lets_out=2),
    Method(
        name="floating lining",
        channels="inside tape",
        lining="floating",
        wants_lining=True,
        hides_inside=True,
        lets_out=2,
    ),
    Method(name="sandwich", channels="between plies", seam="turned", wants_lining=True, hides_inside=True, lets_out=0),
    Method(name="lapped and topstitched", channels="in the allowances", seam="lapped", hides_inside=True, lets_out=0),
    Method(
        name="base with an overlay",
        channels="between plies",
        fashion="overlaid by panels",
        wants_lining=True,
        hides_outside=True,
    ),
    Method(
        name="bagged out",
        channels="inside tape",
        lining="bagged",
        fashion="bagged",
        edges="turned",
        wants_lining=True,
        hides_inside=True,
        hides_outside=True,
    ),
)
METHODS: Mapping[MethodName, Method] = {method.name: method for method in _METHODS}


def mounted(layers: Layers, cloths: Mapping[ClothName, Cloth], method: Method | None = None) -> tuple[Mounted, ...]:
    """How each ply is mounted, by its place; by another method than is chosen, if one is given."""
    by = method or METHODS[layers.method]
    return tuple(by.mounts(ply, cloths[ply.cloth]) for ply in layers.plies)


def sewn_as_one(how: tuple[Mounted, ...]) -> tuple[bool, ...]:
    """Which plies are sewn as one with the strength ply: fused and flat-lined ones."""
    return tuple(one in _ONE_AS for one in how)


class Counted(Record):
    """What the time follows from, of the whole garment but for `panels`, which are those of a half.

    `curved`: seams go over a bust. `channels`: how each is made that a method makes; `kept`: each that is as she said,
    or can't be otherwise. `edges_mm`: top line and hem, bound by hand or by machine. `shut`: how many of CF and CB are
    sewn, each once.
    """

    panels: int
    curved: bool
    channels: tuple[ChannelMade, ...]
    edges_mm: float
    kept: tuple[ChannelMade, ...] = ()
    bound_by_hand: bool = True
    shut: int = 0


def work(
    layers: Layers, cloths: Mapping[ClothName, Cloth], counted: Counted, method: Method | None = None
) -> dict[Work, float]:
    """Minutes by kind of work, from cutting to the bound edge, without bones, busk, holes and trims (handbook, 6).

    Of another `method` than is chosen the channels are those that it makes.
    """
    by = method or METHODS[layers.method]
    how = mounted(layers, cloths, by)
    n, apart = counted.panels, 2 * (counted.panels - 1)
    seams = apart + counted.shut
    channels = counted.channels if method is None else tuple(by.channels for _ in counted.channels)
    found: dict[Work, float] = {}

    def add(what: Work, times: float) -> None:
        if times > 0:
            found[what] = found.get(what, 0.0) + MINUTES[what] * times

    for ply, one in zip(layers.plies, how, strict=True):
        over = n * ply.covers(n)
        add("cut a ply", over)
        if ply.role == "strength":
            continue
        if one == "fused":
            add("fuse", over)
        elif one == "flat-lined":
            add("baste by machine", over)
        elif one in ("overlaid by panels", "overlaid in one piece"):
            add("baste by hand", over)
        elif one in ("floating", "bagged"):
            add("sew a seam", apart * ply.covers(n))
            add("floating lining", one == "floating")
    add("mark", n)
    if by.seam == "turned":
        add("sandwich seam", seams)
    else:
        add("sew a curved seam" if counted.curved else "sew a seam", seams)
        add("press a seam", seams)
        add("grade a seam", seams)
        add("topstitch a seam", seams if by.seam == "lapped" else 0)
    for made in (*channels, *counted.kept):
        if made == "inside tape":
            add("inside tape", 1)
        elif made == "outside tape":
            add("outside tape", 1)
        else:
            add("channel stitching", 2)
    if by.edges == "turned":
        add("facing", 4)
    else:
        for what in binding_works(counted.bound_by_hand):
            add(what, counted.edges_mm / 100)
    return found


def binding_works(by_hand: bool) -> tuple[Work, ...]:
    """What binding an edge is, each per 100 mm: sewn on and finished by hand, or both by machine in the ditch."""
    return ("binding on", "binding by hand") if by_hand else ("binding in the ditch",)
