"""The pattern: panels of one half, from centre front to centre back, and the girths they make.

x runs from CF to CB in each panel's own frame, z up from the waistline, both mm. A panel edge is given at
stations (the body's levels); between them runs a spline in tension shared by all edges, so that widths add up
to the half girth at every height. Where a level is not horizontal round the body, a station has a height at
front, side and back, and an edge meets it at the height of its place between them.
"""

from dataclasses import dataclass
from functools import cached_property
from typing import Annotated

import numpy as np
from pydantic import Field, model_validator

from fuseau.craft.curves import Array, Basis, calm_basis
from fuseau.craft.lengths import Length
from fuseau.craft.record import Record
from fuseau.craft.wearer import LevelName

LACING_POINTS = 61

Height = Annotated[float, Length("a height on the pattern", -500, 500)]
Across = Annotated[float, Length("a place across a panel", -400, 1200)]


class Station(Record):
    """A level on the pattern: its height above the waistline at front, side and back."""

    name: LevelName
    front_mm: Height
    side_mm: Height
    back_mm: Height


class Panel(Record):
    """One panel: the x of its edge toward CF and of its edge toward CB, at every station."""

    number: int = Field(ge=1, le=8)
    cf_edge_mm: tuple[Across, ...]
    cb_edge_mm: tuple[Across, ...]


class EdgeLine(Record):
    """A top line or hem: its heights above the waistline at CF, side seam and CB."""

    cf_mm: Height
    side_mm: Height
    cb_mm: Height


class Allowances(Record):
    """Seam allowance per kind of edge, mm. Top and hem are 0 when they will be bound."""

    seams_mm: Annotated[float, Length("a seam allowance", 0, 40)] = 15
    top_mm: Annotated[float, Length("a top allowance", 0, 40)] = 0
    hem_mm: Annotated[float, Length("a hem allowance", 0, 40)] = 0
    cf_mm: Annotated[float, Length("the allowance at CF", 0, 60)] = 20
    cb_mm: Annotated[float, Length("the allowance at CB", 0, 80)] = 45


class Pattern(Record):
    """A half pattern. `front_panels` is how many panels lie between CF and the side seam."""

    stations: tuple[Station, ...] = Field(min_length=3, max_length=12)
    panels: tuple[Panel, ...] = Field(min_length=3, max_length=8)
    front_panels: int = Field(ge=1, le=7)
    top: EdgeLine
    hem: EdgeLine
    allowances: Allowances = Allowances()

    @cached_property
    def shape(self) -> "Shape":
        """The pattern as arrays."""
        return Shape(self)

    @model_validator(mode="after")
    def _hangs_together(self) -> "Pattern":
        heights = [station.side_mm for station in self.stations]
        if any(above <= below for below, above in zip(heights, heights[1:], strict=False)):
            raise ValueError("the stations of a pattern go from the lowest up")
        if [panel.number for panel in self.panels] != list(range(1, len(self.panels) + 1)):
            raise ValueError("panels are numbered 1 at centre front to N at centre back")
        if self.front_panels >= len(self.panels):
            raise ValueError("there is no panel behind the side seam")
        for panel in self.panels:
            if not len(panel.cf_edge_mm) == len(panel.cb_edge_mm) == len(heights):
                raise ValueError(f"panel {panel.number} needs both edges at every station")
        return self


@dataclass(frozen=True, eq=False)
class Shape:
    """A pattern as arrays. Edges are in order CF to CB: panel 1 toward CF, panel 1 toward CB, panel 2 …"""

    pattern: Pattern

    @cached_property
    def nominal(self) -> Array:
        """Heights of the stations at the side, (k,) mm: the coordinate ζ of everything below."""
        return np.array([station.side_mm for station in self.pattern.stations])

    @cached_property
    def edges(self) -> Array:
        """x of every edge at every station, (k, 2·panels) mm."""
        columns = [edge for panel in self.pattern.panels for edge in (panel.cf_edge_mm, panel.cb_edge_mm)]
        return np.array(columns, dtype=float).T

    @cached_property
    def basis(self) -> Basis:
        """The spline basis that all edges share."""
        return calm_basis(self.nominal, self.edges)

    @cached_property
    def places(self) -> Array:
        """Where each edge lies round the body, (2·panels,): 0 at CF, 1 at the side, 2 at CB."""
        count, front = len(self.pattern.panels), self.pattern.front_panels
        seams = [j / front if j <= front else 1 + (j - front) / (count - front) for j in range(count + 1)]
        return np.array([place for j in range(count) for place in (seams[j], seams[j + 1])])

    def _shifts(self, places: Array) -> Array:
        """How much higher than at the side each station lies at `places`, (k, len(places)) mm."""
        front = np.array([station.front_mm - station.side_mm for station in self.pattern.stations])
        back = np.array([station.back_mm - station.side_mm for station in self.pattern.stations])
        return np.outer(front, np.clip(1 - places, 0, 1)) + np.outer(back, np.clip(places - 1, 0, 1))

    def drawn(self, nominal: Array) -> tuple[Array, Array]:
        """x and z of every edge at nominal heights (n,): two arrays (n, 2·panels), mm."""
        matrix = self.basis.at(nominal)
        return matrix @ self.edges, nominal[:, None] + matrix @ self._shifts(self.places)

    def heights_at(self, nominal: Array, place: float) -> Array:
        """z (mm) of nominal heights at one place round the body (0 CF, 1 side, 2 CB)."""
        return nominal + (self.basis.at(nominal) @ self._shifts(np.array([place])))[:, 0]

    def widths(self, nominal: Array) -> Array:
        """Width of every panel at nominal heights (n,): (n, panels) mm, stitch line to stitch line."""
        x = self.basis.at(nominal) @ self.edges
        return x[:, 1::2] - x[:, 0::2]

    def sewn_girth(self, nominal: Array) -> Array:
        """S: twice the half pattern's width, closed, (n,) mm (model, section 3)."""
        return 2 * self.widths(nominal).sum(axis=1)

    @cached_property
    def lacing_edge(self) -> tuple[Array, Array]:
        """The lacing edge in `LACING_POINTS` even steps: heights z at CB, and the sewn girths that end there, mm."""
        z = np.linspace(self.pattern.hem.cb_mm, self.pattern.top.cb_mm, LACING_POINTS)
        reach = np.linspace(z[0] - 60, z[-1] + 60, 121)
        nominal = np.interp(z, self.heights_at(reach, 2.0), reach)
        return z, self.sewn_girth(nominal)

    def front_half(self, nominal: Array) -> Array:
        """Width from CF to the side seam, (n,) mm."""
        return self.widths(nominal)[:, : self.pattern.front_panels].sum(axis=1)
