"""Which girths to sew, so that the garment settles parallel and holds on everywhere (model, section 4)."""

from collections.abc import Callable
from dataclasses import dataclass, replace
from functools import cached_property

import numpy as np

from fuseau.craft.base.curves import Array
from fuseau.craft.base.errors import Unsettled
from fuseau.craft.fit.equilibrium import Hold, Settled, settle
from fuseau.craft.fit.firmness import EDGE_POINTS, Firmness, Held
from fuseau.craft.fit.fit import Lacing
from fuseau.craft.fit.target import Aim
from fuseau.craft.materials.stack import Stack
from fuseau.craft.pattern.pattern import Pattern

_DRAFTS, _PASSES = 8, 40
_DRAWN_MM = 0.05  # drafts nearer than this are the same
_MET_MM = 0.005
_SPARED_BY = 0.3  # mm of squeeze spared for each N per m of effort that is not pulled: only a measure of it
_TRIED = np.array([0.2, 0.05])  # N per m of effort, mm of balance
_LONGEST = np.array([60.0, 10.0])
_HALVINGS = 8
_FREELY = 3.0  # times what one person pulls at the most on a bodice that only supports: far beyond any that is made
_SHORT_MM = 3.0  # with less than this spared, the wish is reached
_TRIED_MOST = 4.0  # times what one person pulls


def settle_parallel(
    firmness: Firmness,
    drafted: Callable[[tuple[float, ...]], Pattern],
    stack: Stack,
    edge_n_m2: float,
    *,
    most_n_per_m: float,
    padding: tuple[tuple[float, float], ...] = (),
) -> tuple[Aim, Pattern]:
    """The aim of a garment that is laced, and its pattern: it settles parallel, and at the gap that is wished.

    Two numbers are sought by Newton's method: the effort of the lace, and what is added to the levels toward one end
    so that the edges settle parallel. Up to `most_n_per_m` the effort is the pull. Beyond it the pull stays, and
    something of the squeeze is spared until the gap is reached. The waist is then sewn as it was asked all the same,
    and the other levels as they are with what is reached: so the draft goes on without a step where a wish is no
    longer reached, a wider gap takes nothing in, and who asks for more wears hardly less (far beyond, the edges tilt).
    What is left is bow, which only stiffer edges can take out.

    `padding` is worn under it (see `Lacing`). Raises Unsettled, Unmakeable.
    """
    solver = _Solver(
        firmness=firmness, drafted=drafted, stack=stack, edge_n_m2=edge_n_m2, most_n_per_m=most_n_per_m, padding=padding
    )
    effort, reached, pattern = solver.solve()
    spared, pull = solver.spared(effort), solver.pull(effort)
    held, reaches = reached, spared < _SHORT_MM
    if spared > 0:
        held = firmness.as_asked(reached, pull, spared)
        pattern = drafted(tuple(map(float, held.sewn_mm)))
    aimed = _aim(firmness, held, pull, reached.tension_n_per_m)
    needed = None if reaches else solver.needed(pattern, _TRIED_MOST * most_n_per_m)
    return aimed.model_copy(update={"spared_mm": spared, "reaches": reaches, "needed_n_per_m": needed}), pattern


def close_edge_to_edge(firmness: Firmness) -> Aim:
    """The aim of a garment without a lace, whose tensions are the shares themselves and need no balance."""
    pull = 0.0
    for _ in range(3):  # it stretches by what it carries
        held = firmness.held(pull)
        pull = firmness.mean_along_edge(held.tension_n_per_m)
    return _aim(firmness, held, pull, held.tension_n_per_m)


def _aim(firmness: Firmness, held: Held, pull: float, tension: Array) -> Aim:
    zero = firmness.body.index_of_zero
    natural, takes = float(firmness.natural_mm[zero]), float(firmness.take_up_mm[zero])
    worn = float(held.hoop_mm[zero]) if firmness.waist is None else natural - firmness.asked_mm(pull)
    return Aim(
        sewn_mm=tuple(map(float, held.sewn_mm)),
        tension_n_per_m=tuple(map(float, tension)),
        pull_n_per_m=pull,
        closed_waist_mm=float(held.sewn_mm[zero]),
        worn_waist_mm=worn + takes,
        reduction_mm=natural - worn,
        reduction_share=(natural - worn) / natural,
        asked_reduction_mm=0.0 if firmness.waist is None else max(natural - worn, 0.0),
    )


@dataclass(frozen=True)
class _Solver:
    """What `settle_parallel` seeks in."""

    firmness: Firmness
    drafted: Callable[[tuple[float, ...]], Pattern]
    stack: Stack
    edge_n_m2: float
    most_n_per_m: float
    padding: tuple[tuple[float, float], ...]

    def pull(self, effort: float) -> float:
        """What of an effort (N per m) is pulled: no more than one person does, and no less than holds the edge on.

        Where nothing is asked of the waist, the pull is what the levels come to: nothing that is spared would ease it.
        """
        most = self.most_n_per_m * (_FREELY if self.firmness.waist is None else 1.0)
        return min(max(effort, self.firmness.practice.least_tension_n_per_m), most)

    def spared(self, effort: float) -> float:
        """What of the squeeze is spared, mm, because that effort is not pulled; below 0 it could be more."""
        return _SPARED_BY * (effort - self.pull(effort))

    def solve(self) -> tuple[float, Held, Pattern]:
        """The effort, the garment as it is planned to be worn, and its pattern. Raises Unsettled, Unmakeable."""
        firmness = self.firmness
        at = np.array([firmness.practice.planned_pull_n_per_m, 0.0])
        at[0] = self.pull(firmness.mean_along_edge(self.held(at).tension_n_per_m))
        held = self.held(at)
        pattern = self.drafted(tuple(map(float, held.sewn_mm)))
        first = Lacing(
            pattern=pattern,
            stack=self.stack,
            edge_n_m2=self.edge_n_m2,
            pull_n_per_m=self.most_n_per_m,
            practice=firmness.practice,
            padding=self.padding,
        )
        edge = _Edge(self, first, held.sewn_mm)  # top line and hem stand, so the body along the lacing edge does too
        for _ in range(_DRAFTS):
            drawn = held.sewn_mm
            draft = edge.of(pattern, drawn)
            at = draft.parallel(at)
            held = self.held(at, draft.off_curve_mm)
            if float(np.max(np.abs(held.sewn_mm - drawn))) < _DRAWN_MM:
                break
            pattern = self.drafted(tuple(map(float, held.sewn_mm)))
        return float(at[0]), held, pattern

    def held(self, at: Array, off_curve_mm: Array | None = None) -> Held:
        """The garment as planned with an effort and a balance (2,)."""
        effort, balance = map(float, at)
        return self.firmness.held(self.pull(effort), self.spared(effort), balance, off_curve_mm)

    def needed(self, pattern: Pattern, most: float) -> float | None:
        """The pull, N/m, that closes a pattern's mean gap to the wish; None where none up to `most` does."""
        firmness = self.firmness
        gap = firmness.target.gap_mm

        def mean(pull: float) -> float:
            lacing = Lacing(
                pattern=pattern,
                stack=self.stack,
                edge_n_m2=self.edge_n_m2,
                pull_n_per_m=pull,
                practice=firmness.practice,
                padding=self.padding,
            )
            return float(settle(lacing.on(firmness.body), overlap=True).gap_mm.mean())

        low, high = firmness.practice.least_tension_n_per_m, most
        if mean(high) > gap + 0.5:
            return None
        for _ in range(14):
            middle = (low * high) ** 0.5
            low, high = (middle, high) if mean(middle) > gap else (low, middle)
        return high


@dataclass(frozen=True)
class _Edge:
    """The lacing edge of a draft on the body, settled with other girths and another pull."""

    solver: _Solver
    lacing: Lacing
    drawn: Array

    def of(self, pattern: Pattern, drawn: Array) -> "_Edge":
        """That of another draft, made for the sewn girths `drawn`."""
        return replace(self, lacing=self.lacing.of(pattern), drawn=drawn)

    @cached_property
    def off_curve_mm(self) -> Array:
        """How far the cloth along the edge lies outside the wearer's curve through its levels, (EDGE_POINTS,) mm."""
        firmness, takes = self.solver.firmness, self.lacing.takes
        off = self.lacing.flat - takes - self._along @ (self.drawn - firmness.take_up_mm)
        return np.interp(np.linspace(self.lacing.z[0], self.lacing.z[-1], EDGE_POINTS), self.lacing.z, off)

    @cached_property
    def _on(self) -> Hold:
        return self.lacing.on(self.solver.firmness.body)

    @cached_property
    def _uneven(self) -> Array:
        """The pull along the edge, as a share of it."""
        return np.asarray(self._on.pull_n_per_m) / self.lacing.pull_n_per_m * np.ones(len(self.lacing.z))

    @cached_property
    def _along(self) -> Array:
        """From girths at the levels to the edge: about how a pattern follows them, and it is drafted anew."""
        return self.solver.firmness.body.along_back.at(self.lacing.z)

    @cached_property
    def _line(self) -> Array:
        """(2, points): from a gap to its mean and half its tilt."""
        at = np.linspace(-1, 1, len(self.lacing.z))
        return np.linalg.pinv(np.vstack([np.ones(len(at)), at]).T)

    def parallel(self, at: Array) -> Array:
        """Effort and balance (2,) from `at`, with which it settles parallel at the gap that is wished.

        By Newton's method, with a step halved that leads away.
        """
        here = self._looked(at, None)
        for _ in range(_PASSES):
            if here.amiss_mm < _MET_MM:
                break
            step = np.asarray(-np.linalg.lstsq(self._by(at, here), here.off_mm, rcond=None)[0], dtype=np.float64)
            step /= max(float(np.max(np.abs(step) / _LONGEST)), 1.0)
            there = self._nearer(at, step, here)
            if there is None:
                break
            at, here = there.at, there
        return at

    def _nearer(self, at: Array, step: Array, here: "_Looked") -> "_Looked | None":
        """The first along the halved steps at which less is amiss; None where there is none."""
        for halved in range(_HALVINGS):
            try:
                there = self._looked(at + step / 2**halved, here.settled.gap_mm)
            except Unsettled:
                continue
            if there.amiss_mm < here.amiss_mm:
                return there
        return None

    def _looked(self, at: Array, start: Array | None) -> "_Looked":
        """Settled with this effort and balance."""
        solver = self.solver
        held, pull = solver.held(at, self.off_curve_mm), solver.pull(float(at[0]))
        sewn = self.lacing.flat + self._along @ (held.sewn_mm - self.drawn)
        hold = replace(self._on, sewn_mm=sewn * self._stretch(pull), pull_n_per_m=pull * self._uneven)
        settled = settle(hold, overlap=True, start=start)
        off = self._line @ settled.gap_mm
        off[0] -= solver.firmness.target.gap_mm
        return _Looked(at=at, held=held, sewn_mm=sewn, settled=settled, off_mm=off)

    def _by(self, at: Array, here: "_Looked") -> Array:
        """(2, 2): how what is amiss changes with effort and balance, from the converged balance."""
        solver, stretch = self.solver, self.lacing.stack.stretch_per_n
        pull = solver.pull(float(at[0]))
        _, by_hoop, _ = here.settled.hold.tension_at(here.settled.hoop_mm)
        forces = np.empty((len(here.sewn_mm), 2))
        for i in range(2):
            moved = at + np.diag(_TRIED)[i]
            harder = solver.pull(float(moved[0])) - pull
            girths = self._along @ (solver.held(moved, self.off_curve_mm).sewn_mm - here.held.sewn_mm)
            worn = girths * self._stretch(pull) + here.sewn_mm * stretch * harder
            forces[:, i] = by_hoop * worn - harder * self._uneven
        return np.asarray(self._line @ here.settled.gap_by_force(forces) / _TRIED)

    def _stretch(self, pull: float) -> float:
        stack = self.lacing.stack
        return 1 + pull * stack.stretch_per_n + self.solver.firmness.stretches_more


@dataclass(frozen=True)
class _Looked:
    """A garment planned `at` an effort and a balance: sewn girth along the edge, how it settles, what is amiss, mm."""

    at: Array
    held: Held
    sewn_mm: Array
    settled: Settled
    off_mm: Array

    @property
    def amiss_mm(self) -> float:
        """The larger of what the mean gap and half its tilt are off."""
        return float(np.max(np.abs(self.off_mm)))
