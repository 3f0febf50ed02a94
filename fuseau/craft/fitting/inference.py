"""What a fitting teaches: body, cloth and pull, estimated together from all that was seen (model, section 6).

Maximum a posteriori by damped Gauss–Newton over the unknowns (`unknowns`). The tape's estimates and the house numbers
are the prior; what was read at each lacing are observations with their spreads (`seen`), whose tails are heavy, so that
a single misread hardly counts. Derivatives come from the converged Newton system of `settle`. What stays when an
evening is over goes on into the final garment; what was so only once makes a single fitting count for less. Where more
is left over than the spreads explain, all spreads are widened by its root.
"""

import math
from collections.abc import Container, Sequence
from dataclasses import dataclass, field, replace
from typing import Literal

import numpy as np

from fuseau.craft.base.curves import Array
from fuseau.craft.base.errors import Unsettled
from fuseau.craft.base.practice import Practice
from fuseau.craft.base.record import Record
from fuseau.craft.fit.equilibrium import Holds
from fuseau.craft.fit.fit import Lacing
from fuseau.craft.fitting.ambiguity import Ambiguity, which
from fuseau.craft.fitting.misreads import Cost, each, together
from fuseau.craft.fitting.seen import (
    Sight,
    Strip,
    Tried,
    Worn,
    of_worn,
    residuals,
    see,
    tied_residuals,
    untried,
)
from fuseau.craft.fitting.unknowns import Unknowns
from fuseau.craft.materials.cloths import CLOTHS, Cloth, ClothName
from fuseau.craft.pattern.places import Half
from fuseau.craft.wearer.body import Body
from fuseau.craft.wearer.measures import LevelName

_USUAL_CLOTHS = CLOTHS["coutil"], CLOTHS["calico"]
_PASSES = 40
_LONGEST_STEP_MM = 40.0
_FEW = 6  # readings
_CLOSE = 3e-4  # of the negative log posterior: far below anything a reading could tell
_REMEMBERED, _NO_DAMPING = 3, 0.01
_ABOUT = 0.01  # and what hardly moves a pressure


class LearnedLevel(Record):
    """A level as the tape had it, and as now believed."""

    name: LevelName
    measured_mm: float
    measured_spread_mm: float
    believed_mm: float
    believed_spread_mm: float
    measured_give: float = 0.0
    believed_give: float = 0.0


class ReadingExpected(Record):
    """A gap as read, as the model expects it after learning, and by how many spreads it stands apart.

    It stands apart by what it is off beside the others of its lacing: readings that agree contradict none.
    """

    fitting: int
    z_mm: float
    read_mm: float
    expected_mm: float
    spreads_off: float


class WordExpected(Record):
    """A word of how it sat, as a share of the comfort limit, that share as expected, and the spreads between."""

    fitting: int
    level: LevelName
    said_share: float
    expected_share: float
    spreads_off: float


class LearnedPull(Record):
    """How hard a lacing was really pulled, in N per m, beside what was said."""

    fitting: int
    said_n_per_m: float
    believed_n_per_m: float


class PlaceDug(Record):
    """A place at which it dug though the gap says that it presses little there: by what share of her comfort.

    `round` is 0 at CF, 1 at the side, 2 at CB; `z_mm` as the levels lie at the side.
    """

    fitting: int
    tap: int
    view: Literal["front", "side", "back"]
    half: Half
    round: float
    z_mm: float
    expected_share: float


class LearnedCloth(Record):
    """By what share a cloth stretches beyond its table: as such cloths do, and as this one is believed to."""

    cloth: ClothName
    label: str
    usual_share: float
    believed_share: float


class Learned(Record):
    """What all fittings together say of the body, of the cloths, and of the pull of each lacing.

    `misfit` is χ² per reading: above 1, what was read agrees less than its spreads say, and all were widened for it.
    `comfort_share` is where it begins to dig for her, beside the table's.
    """

    levels: tuple[LearnedLevel, ...]
    readings: tuple[ReadingExpected, ...]
    pulls: tuple[LearnedPull, ...] = ()
    cloths: tuple[LearnedCloth, ...] = ()
    ride_mm: float = 0.0
    comfort_share: float = 1.0
    misfit: float = 0.0
    ambiguity: Ambiguity | None = None
    words: tuple[WordExpected, ...] = ()
    dug: tuple[PlaceDug, ...] = ()


@dataclass(frozen=True, eq=False)
class Belief:
    """The posterior: the body as believed and the story of it.

    `mean`, `covariance` are of the unknowns that last, in the order of `unknowns`. `foreknown_mm`: about what the last
    fitting's gaps would have been expected to read, of what was known before it; None where there is none.
    """

    body: Body
    learned: Learned
    unknowns: Unknowns
    mean: Array
    covariance: Array
    foreknown_mm: Array | None

    def drawn(self, count: int, seed: int) -> Array:
        """What may be so, drawn from the belief, (count, unknowns that last): the same for the same seed."""
        values, vectors = np.linalg.eigh(self.covariance)
        # the symmetric root, which does not depend on which way an eigenvector points: a belief that hardly differs is
        # drawn hardly otherwise
        root = vectors * np.sqrt(np.maximum(values, 0.0)) @ vectors.T
        noise = np.random.default_rng(seed).standard_normal((count, len(self.mean)))
        return np.asarray(self.mean + noise @ root)

    def bodies(self, count: int, seed: int) -> list[Body]:
        """The drawn, as bodies. Gives stay below a half, girths positive."""
        return [self.unknowns.body(sample) for sample in self.drawn(count, seed)]

    def holds(self, lacing: Lacing, drawn: Array) -> tuple[Holds, Array]:
        """A garment laced as planned on what was drawn, and how much sooner or later it digs on each.

        The second, (drawn,), is the factor on the comfort of the body as believed.
        """
        unknowns, sight = self.unknowns, Sight(untried(lacing), self.unknowns.prior, self.unknowns.nodes)
        return sight.drawn(drawn, unknowns), np.exp(drawn[:, unknowns.comfort] - self.mean[unknowns.comfort])

    def near(self, lacing: Lacing, drawn: Array) -> Array | None:
        """About where it settles on what was drawn, (drawn, points) mm: by how it changes about the body as believed.

        None where it finds no balance there.
        """
        try:
            here = sense(self, lacing, mock_up=False)
        except Unsettled:
            return None
        return np.asarray(here.gap_mm + (drawn - self.mean) @ here.gap_by[:, : here.lasting].T)


class Foreseen(Record):
    """What a garment is expected to do on the body as believed, from the hem up, with spreads (one standard deviation).

    Gap and stand-off in mm, pressure in kPa.
    """

    z_mm: tuple[float, ...]
    gap_mm: tuple[float, ...]
    gap_spread_mm: tuple[float, ...]
    pressure_kpa: tuple[float, ...]
    pressure_spread_kpa: tuple[float, ...]
    stand_off_mm: tuple[float, ...]


@dataclass(frozen=True, eq=False)
class Sensed:
    """A garment settled on the body as believed, and how that changes with what is not known, (points, unknowns).

    The unknowns are those of the belief and four of the trying-on; `covariance` is theirs. `comfort_at` is where the
    log of her comfort stands.
    """

    z_mm: Array
    gap_mm: Array
    gap_by: Array
    hoop_by: Array
    pressure_kpa: Array
    pressure_by: Array
    stand_off_mm: Array
    stand_off_by: Array
    covariance: Array
    lasting: int
    comfort_at: int


def sense(belief: Belief, lacing: Lacing, *, mock_up: bool) -> Sensed:
    """The next trying-on by the derivatives of the settled garment. Raises Unsettled.

    A mock-up's pull varies from evening to evening; the final is laced as planned. Raises ValueError where the belief
    knows nothing of the lacing's cloth.
    """
    prior, practice = belief.unknowns.prior, lacing.practice
    unknowns = Unknowns.of(prior, practice, belief.unknowns.cloths, (0,), (practice.pull_spread,))
    at, lasting = unknowns.mean.copy(), unknowns.lasting
    at[lasting] = belief.mean
    covariance = np.zeros((len(at), len(at)))
    covariance[lasting, lasting] = belief.covariance
    if mock_up:
        covariance[lasting.stop :, lasting.stop :] = unknowns.covariance[lasting.stop :, lasting.stop :]
    sight = Sight(untried(lacing), prior, unknowns.nodes)
    seen = see(at, unknowns, sight, 0, None)
    return Sensed(
        z_mm=lacing.z,
        gap_mm=seen.gap_mm,
        gap_by=seen.gap_by,
        hoop_by=seen.hoop_by,
        pressure_kpa=seen.pressure_kpa,
        pressure_by=seen.pressure_by,
        stand_off_mm=seen.hoop_mm - seen.natural_mm,
        stand_off_by=seen.hoop_by - seen.natural_by,
        covariance=covariance,
        lasting=lasting.stop,
        comfort_at=unknowns.comfort,
    )


def foresee(belief: Belief, lacing: Lacing, *, mock_up: bool) -> Foreseen:
    """The next trying-on as expected, with spreads (see `sense`). Raises Unsettled."""
    seen = sense(belief, lacing, mock_up=mock_up)

    def spread(by: Array) -> Array:
        return np.sqrt(np.maximum(np.sum(by @ seen.covariance * by, axis=1), 0.0))

    def plain(values: Array) -> tuple[float, ...]:
        return tuple(map(float, values))

    return Foreseen(
        z_mm=plain(seen.z_mm),
        gap_mm=plain(seen.gap_mm),
        gap_spread_mm=plain(np.hypot(spread(seen.gap_by), lacing.practice.model_spread_mm)),
        pressure_kpa=plain(seen.pressure_kpa),
        pressure_spread_kpa=plain(spread(seen.pressure_by)),
        stand_off_mm=plain(seen.stand_off_mm),
    )


def learn(prior: Body, tried: list[Tried]) -> tuple[Body, Learned]:
    """The body as believed after the fittings, and how it compares. Without fittings the body is unchanged."""
    belief = infer(prior, tried)
    return belief.body, belief.learned


def infer(
    prior: Body,
    tried: list[Tried],
    practice: Practice | None = None,
    strips: Sequence[Strip] = (),
    worn: Sequence[Worn] = (),
    cloths: Sequence[Cloth] = _USUAL_CLOTHS,
    near: Array | None = None,
) -> Belief:
    """The posterior after all fittings, also of `cloths` beside those tried: what was not tried is as such cloths are.

    `near` are the unknowns as they are about (see `pressed`), where it is sought from.

    Readings that contradict each other wildly may leave it short of the very best; what was found until then is kept,
    and the readings that do not go with it stand out.
    """
    unknowns, sights, at, found = _sought(
        prior=prior, tried=tried, practice=practice, strips=strips, worn=worn, cloths=cloths, near=near
    )
    return _belief(unknowns, sights, at, found, {strip.cloth for strip in strips})


@dataclass(frozen=True, eq=False)
class Pressed:
    """How firmly garments pressed as worn, by fitting: heights along the edge, shares of her comfort; and what of.

    `at` are the unknowns, about.
    """

    at: Array
    felt: dict[int, tuple[Array, Array]]

    def share(self, fitting: int, back_mm: float) -> float:
        """The share at a height of the back."""
        return float(np.interp(back_mm, *self.felt[fitting]))


def pressed(
    prior: Body,
    tried: list[Tried],
    practice: Practice | None = None,
    strips: Sequence[Strip] = (),
    worn: Sequence[Worn] = (),
    cloths: Sequence[Cloth] = _USUAL_CLOTHS,
) -> Pressed:
    """About how firmly each garment pressed: as `infer`, but not to the last of it."""
    _, sights, at, found = _sought(prior, tried, practice, strips, worn, cloths, close=_ABOUT)
    felt: dict[int, tuple[Array, Array]] = {}
    for sight, shares in zip(sights, found.looked.felt, strict=True):
        felt.setdefault(sight.tried.number, (sight.z, shares))
    return Pressed(at, felt)


def believed_without(belief: Belief, tried: list[Tried], strips: Sequence[Strip], worn: Sequence[Worn]) -> Body:
    """The body after these fittings alone, sought from a `belief` that more of them taught."""
    known = belief.unknowns
    unknowns, _, at, _ = _sought(
        prior=known.prior,
        tried=tried,
        practice=known.practice,
        strips=strips,
        worn=worn,
        cloths=known.cloths,
        near=belief.mean,
    )
    return unknowns.body(at)


def _sought(
    prior: Body,
    tried: list[Tried],
    practice: Practice | None,
    strips: Sequence[Strip],
    worn: Sequence[Worn],
    cloths: Sequence[Cloth],
    near: Array | None = None,
    close: float = _CLOSE,
) -> tuple[Unknowns, list[Sight], Array, "Linear"]:
    """The unknowns, how each lacing is seen, where the posterior is greatest, and its quadratic form there.

    `near`: about what is believed already, of all the unknowns or of those that last. `close`: of the cost, what more
    could be gained.
    """
    practice = practice or (tried[0].lacing.practice if tried else Practice())
    unknowns = Unknowns.of(
        prior,
        practice,
        (*cloths, *(one.lacing.stack.cloth for one in tried)),
        tuple(one.number for one in tried),
        tuple(one.pull_spread or practice.pull_spread for one in tried),
        (one.number for one in tried if one.rides_mm is not None),
    )
    sights = [Sight(one, prior, unknowns.nodes) for one in tried]
    at = unknowns.mean.copy()
    if near is not None:
        at[: len(near)] = near
    here = linearise(at, unknowns, sights, strips=strips, worn=worn)
    damping = 0.0
    before: list[tuple[Array, Array]] = []
    for _ in range(_PASSES if tried or strips or worn else 0):
        damped = here.hessian + damping * np.diag(np.diag(here.hessian))
        step = np.asarray(-np.linalg.solve(damped, here.gradient), dtype=np.float64)
        step *= min(1.0, _LONGEST_STEP_MM / max(float(np.max(np.abs(step[unknowns.girths]))), 1e-9))
        promised = -float(here.gradient @ step) - float(step @ here.hessian @ step) / 2
        if promised < close:
            break
        before = [*before[-_REMEMBERED:], (at, step)] if not damping else []
        there = linearise(at + _mixed(before, step, here.hessian), unknowns, sights, here.looked, strips, worn)
        kept = (here.cost - there.cost) / promised
        if kept > 0:
            at, here = there.looked.at, there
        # Levenberg and Marquardt: where a level goes slack the gaps bend away from the line, so trust it less
        damping = damping / 4 if kept > 0.75 else max(0.05, damping * 4) if kept < 0.4 else damping
        damping = 0.0 if damping < _NO_DAMPING else damping
    return unknowns, sights, at, here


def _mixed(before: list[tuple[Array, Array]], step: Array, metric: Array) -> Array:
    """A step mixed with those before it, so that what each would leave over cancels (Anderson's acceleration).

    `before` are unknowns and the steps from them, the last of which is `step`; `metric` is how what is left counts.
    """
    if len(before) < 2:
        return step
    ats, steps = (np.array(part) for part in zip(*before, strict=True))
    moved, turned = np.diff(ats, axis=0).T, np.diff(steps, axis=0).T
    share, *_ = np.linalg.lstsq(turned.T @ metric @ turned, turned.T @ metric @ step, rcond=1e-9)
    return np.asarray(step - (moved + turned) @ share)


@dataclass(frozen=True)
class Looked:
    """All that was read, held against what these unknowns `at` would show.

    `costs`, `by`: what readings cost that are off, and how they change with the unknowns, with the fitting that they
    are of (None: of none); `strips` the same of strips of cloth, which have no tails. Of each lacing: gaps where they
    were read (and how far `apart` each is) and along the edge (with their change), pressures as shares of her comfort.
    """

    at: Array
    costs: list[Cost] = field(default_factory=list)
    by: list[Array] = field(default_factory=list)
    of: list[int | None] = field(default_factory=list)
    apart: list[Array] = field(default_factory=list)
    strips: list[tuple[float, Array]] = field(default_factory=list)
    expected: list[Array] = field(default_factory=list)
    settled: list[tuple[Array, Array]] = field(default_factory=list)
    felt: list[Array] = field(default_factory=list)

    def start(self, i: int, at: Array) -> Array:
        """Where the edge of the i-th lacing would about settle on other unknowns, mm."""
        gap, by = self.settled[i]
        return np.asarray(gap + by @ (at - self.at))


@dataclass(frozen=True)
class Linear:
    """Gradient, Gauss–Newton Hessian and value of the negative log posterior of what was `looked` at.

    `misfit` is χ² per reading, with the prior's part.
    """

    gradient: Array
    hessian: Array
    cost: float
    misfit: float
    looked: Looked


def linearise(
    at: Array,
    unknowns: Unknowns,
    sights: list[Sight],
    near: Looked | None = None,
    strips: Sequence[Strip] = (),
    worn: Sequence[Worn] = (),
) -> Linear:
    """Settle every lacing on these unknowns, beginning `near` where they settled before. Raises Unsettled."""
    found = Looked(at)
    comfort = math.exp(float(at[unknowns.comfort]))
    for i, sight in enumerate(sights):
        if sight.tried.lacing.tied_mm is not None:
            off, jacobian, gaps, alike = tied_residuals(at, unknowns, sight, unknowns.practice)
            found.settled.append((np.zeros(0), np.zeros((0, len(at)))))
            found.felt.append(np.zeros(len(sight.z)))
        else:
            seen = see(at, unknowns, sight, i, near.start(i, at) if near else None, softly=True)
            found.settled.append((seen.gap_mm, seen.gap_by))
            found.felt.append(seen.pressure_kpa / (sight.comfort * comfort))
            off, jacobian = residuals(sight, seen, comfort, unknowns.comfort, unknowns.practice)
            gaps, alike = sight.of_gaps @ seen.gap_mm, 0.0
        if sight.tried.rides_mm is not None:
            wanted, wide = sight.tried.rides_mm
            ways = [unknowns.seat.start, unknowns.once(sight.tried.number).start]
            off = np.append(off, (at[ways].sum() - wanted) / wide)
            jacobian = np.vstack([jacobian, np.isin(np.arange(len(at)), ways) / wide])
        count = len(gaps)
        found.costs.append(together(off[:count], sight.tried.z_mm, alike))
        found.costs.append(each(off[count:]))
        found.by.extend((jacobian[:count], jacobian[count:]))
        found.of.extend((sight.tried.number, sight.tried.number))
        found.expected.append(gaps)
        found.apart.append(found.costs[-2].apart)
    for strip in strips:
        here = unknowns.stretch(strip.cloth)
        share = math.exp(float(at[here]))
        by = np.zeros(len(at))
        by[here] = share / strip.spread
        found.strips.append(((share - strip.share) / strip.spread, by))
    names = [level.name for level in unknowns.prior]
    for one in worn:
        k = names.index(one.level)
        off, jacobian = of_worn(one, at, unknowns, k, unknowns.prior.levels[k].comfort_kpa)
        found.costs.append(each(off))
        found.by.append(jacobian)
        found.of.append(None)
    return weigh(found, unknowns)


def weigh(looked: Looked, unknowns: Unknowns) -> Linear:
    """What was looked at as a quadratic form about those unknowns."""
    off_prior = looked.at - unknowns.mean
    gradient = unknowns.precision @ off_prior
    hessian = unknowns.precision.copy()
    square = float(off_prior @ gradient)
    cost, count = square / 2, len(looked.strips)
    for one, jacobian in zip(looked.costs, looked.by, strict=True):
        gradient = gradient + jacobian.T @ one.slope
        hessian = hessian + jacobian.T @ one.curvature @ jacobian
        cost += one.value
        square += one.square
        count += len(one.slope)
    for apart, by in looked.strips:
        gradient = gradient + apart * by
        hessian = hessian + np.outer(by, by)
        cost += apart**2 / 2
        square += apart**2
    # χ² of a word or two says little of how well the model fits: it counts as if some had been met as expected
    met = max(0, _FEW - count)
    return Linear(
        gradient=gradient, hessian=hessian, cost=cost, misfit=(square + met) / max(count + met, 1), looked=looked
    )


def _belief(unknowns: Unknowns, sights: list[Sight], at: Array, here: Linear, stripped: Container[ClothName]) -> Belief:
    prior, lasting = unknowns.prior, unknowns.lasting
    wider = max(1.0, here.misfit)
    covariance = np.asarray(np.linalg.inv(here.hessian), dtype=float) * wider
    # told of a single level, what was read counts for less; it never takes away what the tape knew
    spreads = np.sqrt(np.diag(np.linalg.inv(unknowns.precision + (here.hessian - unknowns.precision) / wider)))
    believed = unknowns.body(at)
    before = np.sqrt(np.diag(unknowns.covariance))
    believed = believed.with_girths(believed.girths_mm, spreads[unknowns.girths])
    learned = Learned(
        levels=tuple(
            LearnedLevel(
                name=old.name,
                measured_mm=old.girth_mm,
                measured_spread_mm=float(wide),
                believed_mm=new.girth_mm,
                believed_spread_mm=new.spread_mm,
                measured_give=old.give,
                believed_give=new.give,
            )
            for old, new, wide in zip(prior, believed, before[unknowns.girths], strict=True)
        )[::-1],
        readings=tuple(
            ReadingExpected(
                fitting=one.number,
                z_mm=float(z),
                read_mm=float(read),
                expected_mm=float(gap),
                spreads_off=float(apart),
            )
            for one, gaps, aparts in zip(
                (sight.tried for sight in sights), here.looked.expected, here.looked.apart, strict=True
            )
            for z, read, gap, apart in zip(one.z_mm, one.gap_mm, gaps, aparts, strict=True)
        ),
        pulls=tuple(
            LearnedPull(
                fitting=sight.tried.number,
                said_n_per_m=sight.tried.lacing.pull_n_per_m,
                believed_n_per_m=sight.tried.lacing.pull_n_per_m * math.exp(float(at[unknowns.pull(k)])),
            )
            for k, sight in enumerate(sights)
            if sight.tried.lacing.closed_at_mm is None
        ),
        cloths=tuple(
            LearnedCloth(
                cloth=cloth.name,
                label=cloth.label,
                usual_share=cloth.usually_more,
                believed_share=share,
            )
            for cloth, share in zip(unknowns.cloths, believed.stretches.values(), strict=True)
        ),
        ride_mm=believed.ride_mm,
        comfort_share=math.exp(float(at[unknowns.comfort])),
        misfit=here.misfit,
        words=tuple(
            WordExpected(
                fitting=sight.tried.number,
                level=min(prior, key=lambda level: abs(level.back_mm - z)).name,
                said_share=said,
                expected_share=float(np.interp(z, sight.z, felt)),
                spreads_off=float(abs(said - np.interp(z, sight.z, felt)) / spread),
            )
            for sight, felt in zip(sights, here.looked.felt, strict=True)
            for z, said, spread in sight.tried.words
        ),
        ambiguity=which(at, unknowns, covariance, sights, stripped),
    )
    foreknown = _foreknown(unknowns, sights, here.looked)
    return Belief(
        body=believed,
        learned=learned,
        unknowns=unknowns,
        mean=at[lasting],
        covariance=covariance[lasting, lasting],
        foreknown_mm=foreknown,
    )


def _foreknown(unknowns: Unknowns, sights: list[Sight], looked: Looked) -> Array | None:
    """What the last fitting's gaps (as worn) would about have read: one Newton step from all that is known, without it.

    The gaps follow by how they change about where they settled.
    """
    if not sights or sights[-1].tried.lacing.tied_mm is not None:
        return None
    number = sights[-1].tried.number
    others = [i for i, of in enumerate(looked.of) if of != number]
    rest = replace(looked, costs=[looked.costs[i] for i in others], by=[looked.by[i] for i in others])
    without = weigh(rest, unknowns)
    first = next(i for i, sight in enumerate(sights) if sight.tried.number == number)
    gap, by = looked.settled[first]
    return np.asarray(sights[first].of_gaps @ (gap - by @ np.linalg.solve(without.hessian, without.gradient)))
