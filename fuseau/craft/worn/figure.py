"""Her figure under and beside a garment: natural, padded and laced girths by height, as rings (model, section 17)."""

from collections.abc import Sequence
from dataclasses import dataclass
from functools import cached_property

import numpy as np
import numpy.typing as npt

from fuseau.craft.base.curves import Array
from fuseau.craft.fit.fit import Fit
from fuseau.craft.pattern.pattern import Pattern
from fuseau.craft.wearer.body import Body
from fuseau.craft.wearer.pads import Pad, girths_added
from fuseau.craft.wearer.silhouette import laced_ratio
from fuseau.craft.worn.rings import Rings

STEP_MM = 6.0
_PAST_MM = 30.0  # she is shown so far beyond what is known of her and of the garment
_EASES_MM = 35.0  # flesh comes back to itself so soon beyond an edge
_STEEPEST = 0.3  # of a step along the body is upright at least, where it bulges out


@dataclass(frozen=True, eq=False)
class Figure:
    """A wearer in a garment, or none: everything over nominal heights (those at her side), even and rising, mm."""

    body: Body
    pads: Sequence[Pad] = ()
    gives_share: float = 0.0
    pattern: Pattern | None = None
    fit: Fit | None = None

    @cached_property
    def heights(self) -> Array:
        """Nominal heights, (n,) mm; the zero line is one of them."""
        sides = [level.side_mm for level in self.body]
        ends = [min(sides) - _PAST_MM, max(sides) + _PAST_MM]
        if self.pattern is not None:
            ends = [min(ends[0], min(self.pattern.hem.heights())), max(ends[1], max(self.pattern.top.heights()))]
        low, high = int(np.floor(ends[0] / STEP_MM)), int(np.ceil(ends[1] / STEP_MM))
        return np.asarray(STEP_MM * np.arange(low, high + 1, dtype=float))

    def of_level(self, values: Sequence[float]) -> Array:
        """What is told level by level, at every height."""
        return np.interp(self.heights, [level.side_mm for level in self.body], values)

    @cached_property
    def _at_back(self) -> Array:
        return np.interp(
            self.heights, [level.side_mm for level in self.body], [level.back_mm for level in self.body]
        ) + np.where(
            self.heights > self.body.levels[-1].side_mm,
            self.heights - self.body.levels[-1].side_mm,
            np.minimum(self.heights - self.body.levels[0].side_mm, 0.0),
        )

    @cached_property
    def natural_mm(self) -> Array:
        """Her own girth."""
        low, high = self.body.levels[0].back_mm - _PAST_MM, self.body.levels[-1].back_mm + _PAST_MM
        return self.body.natural_at(np.clip(self._at_back, low, high))

    @cached_property
    def padded_mm(self) -> Array:
        """What padding adds to it."""
        return self.of_level(list(girths_added(self.pads, self.body, self.gives_share)))

    @cached_property
    def covered(self) -> npt.NDArray[np.bool_]:
        """Heights at which there is something of the garment, (n,) of bool."""
        if self.pattern is None:
            return np.zeros(len(self.heights), dtype=bool)
        low, high = min(self.pattern.hem.heights()), max(self.pattern.top.heights())
        return (self.heights >= low - STEP_MM) & (self.heights <= high + STEP_MM)

    @cached_property
    def at_lacing(self) -> Array:
        """Heights along CB that lie at these nominal ones, within the lacing edge, mm."""
        assert self.pattern is not None
        assert self.fit is not None
        stations = self.pattern.shape.nominal
        inside = np.clip(self.heights, stations[0], stations[-1])
        return np.clip(self.pattern.shape.heights_at(inside, 2.0), self.fit.z_mm[0], self.fit.z_mm[-1])

    @cached_property
    def gap_mm(self) -> Array:
        """The gap behind."""
        if self.fit is None:
            return np.zeros(len(self.heights))
        return np.interp(self.at_lacing, self.fit.z_mm, self.fit.gap_mm)

    @cached_property
    def stretch(self) -> float:
        """The factor by which the garment is stretched as it is worn."""
        if self.pattern is None or self.fit is None:
            return 1.0
        return 1 + self.fit.stretch_mm / float(self.pattern.shape.lacing_edge[1].mean())

    @cached_property
    def over_mm(self) -> Array:
        """The girth over the garment, where there is one; her own with her padding elsewhere, eased into it."""
        bare = self.natural_mm + self.padded_mm
        if self.pattern is None or self.fit is None:
            return bare
        at = self.heights[self.covered]
        worn = self.pattern.shape.sewn_girth(at) * self.stretch + self.gap_mm[self.covered]
        array = bare.copy()
        array[self.covered] = worn
        for i, away in ((0, at[0] - self.heights), (-1, self.heights - at[-1])):
            beyond = away > 0
            off = worn[i] - bare[self.covered][i]
            array[beyond] = bare[beyond] + off * np.exp(-np.square(away[beyond] / _EASES_MM))
        return array

    @cached_property
    def skin_mm(self) -> Array:
        """The girth inside the garment, over her padding; elsewhere as `over_mm`."""
        if self.fit is None:
            return self.over_mm
        at = self.heights[self.covered]
        beyond = np.maximum(np.maximum(at[0] - self.heights, self.heights - at[-1]), 0.0)
        return self.over_mm - self.fit.take_up_mm * np.exp(-np.square(beyond / _EASES_MM))

    @cached_property
    def ratio(self) -> Array:
        """Width to depth: rounder where she is laced, wider where she is padded at the sides."""
        usual = self.of_level([level.width_to_depth for level in self.body])
        give = self.of_level([level.give for level in self.body])
        squeezed = 1 - (self.skin_mm - self.padded_mm) / self.natural_mm
        laced = laced_ratio(usual, squeezed / give)
        wide, deep = (self.of_level(list(thickness)) for thickness in self._thicknesses())
        half = laced * self.natural_mm / (2 * np.pi * np.sqrt((np.square(laced) + 1) / 2))
        return np.asarray((half + wide) / (half / laced + deep))

    def _thicknesses(self) -> tuple[Array, Array]:
        wide, deep = np.zeros(len(self.body.levels)), np.zeros(len(self.body.levels))
        for pad in self.pads:
            for i, level in enumerate(self.body):
                if level.name == pad.level:
                    thick = pad.thick_mm * (1 - self.gives_share)
                    wide[i] += thick if pad.place in ("sides", "all round") else 0.0
                    deep[i] += {"all round": thick, "front": thick / 2, "back": thick / 2}.get(pad.place, 0.0)
        return wide, deep

    @cached_property
    def front_share(self) -> Array:
        """The share of the girth in front of the side seams."""
        return self.of_level([level.front_share for level in self.body])

    @cached_property
    def over(self) -> Rings:
        """The rings over everything."""
        return Rings.of(self.heights, self.over_mm, self.ratio, self.front_share)

    @cached_property
    def skin(self) -> Rings:
        """The rings of her with her padding, inside the garment."""
        return Rings.of(self.heights, self.skin_mm, self.ratio, self.front_share)

    @cached_property
    def places(self) -> Array:
        """Places round her at which the meridians are known: 0 CF, 1 side, 2 CB."""
        return np.linspace(0.0, 2.0, 25)

    @cached_property
    def rise(self) -> Array:
        """How high each nominal height lies on each meridian, (n, places) mm: the body's length along it is kept.

        Heights are taken along her, so where she widens from ring to ring they rise by less.
        """
        along = self._along
        array = np.zeros_like(along)
        zero = int(np.argmin(np.abs(self.heights)))
        for k, place in enumerate(self.places):
            x, z = self.over.point(np.full(len(self.heights), place))
            out = np.hypot(np.diff(x), np.diff(z))
            step = np.diff(along[:, k])
            up = np.sqrt(np.maximum(np.square(step) - np.square(out), np.square(_STEEPEST * step)))
            array[1:, k] = np.cumsum(up)
            array[:, k] += along[zero, k] - array[zero, k]
        return array

    @cached_property
    def _along(self) -> Array:
        """Heights along her by meridian: as the pattern is drawn, beyond it as the nominal ones."""
        if self.pattern is None:
            sides = [level.side_mm for level in self.body]
            front = np.interp(self.heights, sides, [level.front_mm - level.side_mm for level in self.body])
            back = np.interp(self.heights, sides, [level.back_mm - level.side_mm for level in self.body])
            ahead, behind = np.clip(1 - self.places, 0, 1), np.clip(self.places - 1, 0, 1)
            return np.asarray(self.heights[:, None] + np.outer(front, ahead) + np.outer(back, behind))
        shape = self.pattern.shape
        inside = np.clip(self.heights, shape.nominal[0], shape.nominal[-1])
        beyond = self.heights - inside
        return np.column_stack([shape.heights_at(inside, place) + beyond for place in self.places])

    def rise_along(self, place: float) -> Array:
        """Heights along her at one place, over the nominal ones, (n,) mm."""
        return np.array([float(np.interp(place, self.places, row)) for row in self._along])

    def up(self, nominal: Array, place: Array) -> Array:
        """How high points at nominal heights and places lie, (m,) mm."""
        return self._of_meridians(self.rise, nominal, place)

    def along(self, nominal: Array, place: Array) -> Array:
        """How far along her points at nominal heights and places lie from the zero line, as a pattern is drawn, mm."""
        return self._of_meridians(self._along, nominal, place)

    def _of_meridians(self, table: Array, nominal: Array, place: Array) -> Array:
        place = np.where(place > 2, 4 - place, place)
        r = np.clip((nominal - self.heights[0]) / STEP_MM, 0, len(self.heights) - 1 - 1e-9)
        c = np.clip(place / (self.places[1] - self.places[0]), 0, len(self.places) - 1 - 1e-9)
        i, j = r.astype(int), c.astype(int)
        fr, fc = r - i, c - j
        low = table[i, j] * (1 - fc) + table[i, j + 1] * fc
        high = table[i + 1, j] * (1 - fc) + table[i + 1, j + 1] * fc
        return np.asarray(low * (1 - fr) + high * fr)

    def points(self, rings: Rings, nominal: Array, run: Array) -> Array:
        """Points at nominal heights and lengths from CF along a ring, (m, 3) mm: to her left, up, ahead."""
        here = rings.at(nominal)
        place = here.place(run)
        across, ahead = here.point(place)
        return np.column_stack([-across, self.up(nominal, place), ahead])
