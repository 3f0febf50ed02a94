"""What a fitting teaches: body, cloth and pull, estimated together from all that was seen (model, section 6).

Maximum a posteriori by damped Gauss–Newton. Unknown are every level's girth and give (log), the mock-up cloth's
stretch, how a garment sits and is laced on her every time (how far it rides up; how the pull leans to the top and bows
to the middle), and for each fitting how hard it was really pulled (log) and what was different this once. The tape's
estimates and the house numbers are the prior; gap readings, girths over the garment, stand-off and answers in words are
observations with their spreads. Derivatives come from the converged Newton system of `settle`. What a body does with
every garment (its seat) goes on into the final one; what was so only once makes a single fitting count for less.
"""

import math
from dataclasses import dataclass, field
from typing import Literal

import numpy as np

from fuseau.craft.base.curves import Array
from fuseau.craft.base.practice import Practice
from fuseau.craft.base.record import Record
from fuseau.craft.fit.equilibrium import Settled, settle
from fuseau.craft.fit.fit import Lacing
from fuseau.craft.wearer.body import Body
from fuseau.craft.wearer.compression import tension_at
from fuseau.craft.wearer.measures import LevelName

_PASSES = 40
_LONGEST_STEP_MM = 40.0
_NEAR_MM = 0.05  # for how girths and gives run along the body
_CLOSE = 1e-4  # of the negative log posterior: far below anything a reading could tell
_SEAT = 3  # how it sits and is laced on her, every time: ride, lean, bow
_PER_FITTING = 4  # log pull; and what is different this once: ride, lean, bow

Word = Literal["digs", "firm", "right", "light", "stands off"]

# What a word says of pressure as a share of what is close but comfortable: its middle, and how far it reaches.
WORDS: dict[Word, tuple[float, float]] = {
    "stands off": (0.0, 0.08),
    "light": (0.17, 0.12),
    "right": (0.5, 0.16),
    "firm": (0.85, 0.14),
    "digs": (1.25, 0.25),
}


@dataclass(frozen=True)
class Tried:
    """One fitting: the garment as it was laced, and what was seen at heights on the lacing edge.

    Gaps, girths over the garment and stand-offs are mm with their spreads; `words` are shares of the comfort limit;
    `rides_mm` is how far its waist was seen above hers. `pull_spread` is that of the log of the pull; None is usual.
    """

    number: int
    lacing: Lacing
    z_mm: Array
    gap_mm: Array
    spread_mm: Array
    laced_mm: tuple[tuple[float, float, float], ...] = ()  # height, girth over the garment, spread
    stand_off_mm: tuple[tuple[float, float, float], ...] = ()  # height, stand-off (− is missing cloth), spread
    words: tuple[tuple[float, float, float], ...] = ()  # height, pressure ÷ limit, spread
    rides_mm: tuple[float, float] | None = None
    pull_spread: float | None = None


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
    """A gap as read, as the model expects it after learning, and how many spreads lie between."""

    fitting: int
    z_mm: float
    read_mm: float
    expected_mm: float
    spreads_off: float


class LearnedPull(Record):
    """How hard a fitting was really pulled, in N per m, beside what was said."""

    fitting: int
    said_n_per_m: float
    believed_n_per_m: float


class Learned(Record):
    """What all fittings together say of the body, and of the pull of each."""

    levels: tuple[LearnedLevel, ...]
    readings: tuple[ReadingExpected, ...]
    pulls: tuple[LearnedPull, ...] = ()
    stretch_share: float = 0.0
    ride_mm: float = 0.0


@dataclass(frozen=True, eq=False)
class Belief:
    """The posterior: the body as believed and the story of it.

    `mean`, `covariance` are of girths, log gives, seat and the mock-up cloth's stretch, in this order.
    """

    body: Body
    learned: Learned
    mean: Array
    covariance: Array

    def drawn(self, count: int, seed: int) -> list[Body]:
        """Bodies drawn from the belief, the same for the same seed. Gives stay below a half, girths positive."""
        root = np.linalg.cholesky(self.covariance + 1e-9 * np.eye(len(self.mean)))
        noise = np.random.default_rng(seed).standard_normal((count, len(self.mean)))
        return [_with(self.body, sample) for sample in self.mean + noise @ root.T]


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
    stand_off_spread_mm: tuple[float, ...]


@dataclass(frozen=True, eq=False)
class Sensed:
    """A garment settled on the body as believed, and how that changes with what is not known, (points, unknowns).

    The unknowns are those of the belief and four of the trying-on; `covariance` is theirs, `known` (belief's) tells
    which of the belief's count here at all.
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
    known: Array


def sense(belief: Belief, lacing: Lacing, *, mock_up: bool) -> Sensed:
    """The next trying-on by the derivatives of the settled garment. Raises Unsettled.

    For a mock-up the cloth's stretch as learned counts and its pull varies from evening to evening; the final is laced
    as planned, in a cloth that is known.
    """
    setting = _Setting(belief.body, [Tried(0, lacing, np.zeros(0), np.zeros(0), np.zeros(0))], lacing.practice)
    at, count = setting.mean.copy(), len(belief.mean)
    at[:count] = belief.mean
    covariance = np.asarray(np.linalg.inv(setting.precision), dtype=np.float64)
    covariance[:count, :count] = belief.covariance
    known = np.ones(count, dtype=bool)
    if not mock_up:
        at[setting.stretch] = 0.0
        covariance[setting.stretch :, :] = 0.0
        covariance[:, setting.stretch :] = 0.0
        known[setting.stretch] = False
    seen = _seen(at, setting, 0, None)
    return Sensed(
        lacing.z,
        seen.gap_mm,
        seen.gap_by,
        seen.hoop_by,
        seen.pressure_kpa,
        seen.pressure_by,
        seen.hoop_mm - seen.natural_mm,
        seen.hoop_by - seen.natural_by,
        covariance,
        known,
    )


def foresee(belief: Belief, lacing: Lacing, *, mock_up: bool) -> Foreseen:
    """The next trying-on as expected, with spreads (see `sense`). Raises Unsettled."""
    seen = sense(belief, lacing, mock_up=mock_up)

    def spread(by: Array) -> Array:
        return np.sqrt(np.maximum(np.einsum("ij,jk,ik->i", by, seen.covariance, by), 0.0))

    def plain(values: Array) -> tuple[float, ...]:
        return tuple(map(float, values))

    return Foreseen(
        z_mm=plain(seen.z_mm),
        gap_mm=plain(seen.gap_mm),
        gap_spread_mm=plain(np.hypot(spread(seen.gap_by), lacing.practice.model_spread_mm)),
        pressure_kpa=plain(seen.pressure_kpa),
        pressure_spread_kpa=plain(spread(seen.pressure_by)),
        stand_off_mm=plain(seen.stand_off_mm),
        stand_off_spread_mm=plain(spread(seen.stand_off_by)),
    )


def learn(prior: Body, tried: list[Tried]) -> tuple[Body, Learned]:
    """The body as believed after the fittings, and how it compares. Without fittings the body is unchanged."""
    belief = infer(prior, tried)
    return belief.body, belief.learned


def infer(prior: Body, tried: list[Tried]) -> Belief:
    """The posterior after all fittings.

    Readings that contradict each other wildly may leave it short of the very best; what was found until then is kept,
    and the readings that do not go with it stand out.
    """
    practice = tried[0].lacing.practice if tried else Practice()
    setting = _Setting(prior, tried, practice)
    at = setting.mean.copy()
    here = _linearise(at, setting)
    damping = 0.0
    for _ in range(_PASSES):
        step = -np.linalg.solve(here.hessian + damping * np.diag(np.diag(here.hessian)), here.gradient)
        step *= min(1.0, _LONGEST_STEP_MM / max(float(np.max(np.abs(step[: setting.levels]))), 1e-9))
        promised = -float(here.gradient @ step) - float(step @ here.hessian @ step) / 2
        if promised < _CLOSE:
            break
        there = _linearise(at + step, setting, here)
        kept = (here.cost - there.cost) / promised
        if kept > 0:
            at, here = at + step, there
        # Levenberg and Marquardt: where a level goes slack the gaps bend away from the line, so trust it less
        damping = damping / 4 if kept > 0.75 else max(0.05, damping * 4) if kept < 0.4 else damping
    return _belief(setting, at, here)


# --- the unknowns ----------------------------------------------------------------------------------------


class _Setting:
    """The unknowns in one vector, with their prior: girths, log gives, seat, stretch, and four numbers per fitting."""

    def __init__(self, prior: Body, tried: list[Tried], practice: Practice) -> None:
        self.prior, self.tried, self.practice = prior, tried, practice
        self.levels = len(prior.levels)
        girths = [level.girth_mm for level in prior]
        gives = [math.log(level.give) for level in prior]
        spreads = [*(level.spread_mm for level in prior), *([practice.give_spread] * self.levels)]
        self.seat = slice(2 * self.levels, 2 * self.levels + _SEAT)
        self.stretch = self.seat.stop
        seat = [practice.ride_spread_mm, practice.pull_lean, practice.pull_bow]
        once = [
            number
            for one in tried
            for number in (one.pull_spread or practice.pull_spread, *(practice.once_share * spread for spread in seat))
        ]
        none = [0.0] * (_PER_FITTING * len(tried))
        self.mean = np.array([*girths, *gives, *([0.0] * _SEAT), practice.stretch_more, *none])
        deviation = np.array([*spreads, *seat, practice.stretch_spread, *once])
        self.precision = np.diag(1 / deviation**2)
        self.sights = [_Sight(one, prior) for one in tried]

    def of(self, i: int) -> slice:
        """Where the four numbers of fitting i stand."""
        start = self.stretch + 1 + _PER_FITTING * i
        return slice(start, start + _PER_FITTING)


class _Sight:
    """A fitting with the maps that stay while the unknowns are sought."""

    def __init__(self, one: Tried, prior: Body) -> None:
        self.tried, lacing = one, one.lacing
        self.z = lacing.z
        self.prior = prior
        heights = np.array([level.back_mm for level in prior])
        self.comfort = np.interp(self.z, heights, [level.comfort_kpa for level in prior])
        self.heights = heights
        self.lean, self.bow = lacing.uneven

    def body(self, ride_mm: float) -> tuple[Array, Array]:
        """(points, levels): what meets each height, of girths and of gives, when it rides up by so much."""
        at = self.z + ride_mm
        gives = np.array([np.interp(at, self.heights, row) for row in np.eye(len(self.heights))]).T
        return self.prior.along_back.at(at), gives

    def picking(self, at: Array) -> Array:
        """(len(at), points): linear interpolation along the lacing edge as a matrix."""
        return _picking(self.z, at)


@dataclass(frozen=True)
class _Linear:
    """Gradient, Gauss–Newton Hessian and value of the negative log posterior; gaps as read and along the edge."""

    gradient: Array
    hessian: Array
    cost: float
    expected: list[Array] = field(default_factory=list)
    settled_mm: list[Array] = field(default_factory=list)


def _linearise(at: Array, setting: _Setting, near: _Linear | None = None) -> _Linear:
    """Settle every fitting on these unknowns, beginning from where they settled `near` by."""
    off_prior = at - setting.mean
    gradient = setting.precision @ off_prior
    hessian = setting.precision.copy()
    cost = float(off_prior @ gradient) / 2
    expected, settled_mm = [], []
    for i, sight in enumerate(setting.sights):
        seen = _seen(at, setting, i, near.settled_mm[i] if near else None)
        settled_mm.append(seen.gap_mm)
        off, jacobian = _residuals(sight, seen, setting.practice)
        if sight.tried.rides_mm is not None:
            wanted, wide = sight.tried.rides_mm
            ways = [setting.seat.start, setting.of(i).start + 1]
            off = np.append(off, (at[ways].sum() - wanted) / wide)
            jacobian = np.vstack([jacobian, np.isin(np.arange(len(at)), ways) / wide])
        gradient = gradient + jacobian.T @ off
        hessian = hessian + jacobian.T @ jacobian
        cost += float(off @ off) / 2
        expected.append(sight.picking(sight.tried.z_mm) @ seen.gap_mm)
    return _Linear(gradient, hessian, cost, expected, settled_mm)


@dataclass(frozen=True)
class _Seen:
    """One fitting settled along the lacing edge, and how that changes with the unknowns, (points, unknowns)."""

    gap_mm: Array
    gap_by: Array
    hoop_mm: Array
    hoop_by: Array
    natural_mm: Array
    natural_by: Array
    pressure_kpa: Array
    pressure_by: Array


def _seen(at: Array, setting: _Setting, i: int, start: Array | None) -> _Seen:
    levels, sight = setting.levels, setting.sights[i]
    lacing, here, seat = sight.tried.lacing, setting.of(i), setting.seat
    log_pull, *once = at[here]
    ride, lean, bow = at[seat] + np.array(once)
    unknowns = len(at)
    girth_map, give_map = sight.body(ride)
    natural_by = np.zeros((len(sight.z), unknowns))
    natural = girth_map @ at[:levels]
    natural_by[:, :levels] = girth_map
    gives = np.exp(at[levels : 2 * levels])
    give = np.minimum(give_map @ gives, 0.45)
    (girths_above, gives_above), (girths_below, gives_below) = sight.body(ride + _NEAR_MM), sight.body(ride - _NEAR_MM)
    rising = (girths_above - girths_below) @ at[:levels] / (2 * _NEAR_MM)  # up by 1 mm, it meets what lay 1 mm above
    softer = (gives_above - gives_below) @ gives / (2 * _NEAR_MM)
    pull = lacing.pull_n_per_m * math.exp(log_pull)
    profile = np.maximum(1 + lean * sight.lean + bow * sight.bow, 0.05)
    flat = lacing.pattern.shape.lacing_edge[1]
    sewn = flat * (1 + pull * lacing.stack.stretch_per_n + at[setting.stretch])
    sewn_by = np.zeros((len(sight.z), unknowns))
    sewn_by[:, setting.stretch] = flat
    sewn_by[:, here.start] = flat * pull * lacing.stack.stretch_per_n
    pull_by = np.zeros((len(sight.z), unknowns))
    pull_by[:, here.start] = pull * profile
    for ways in (seat, slice(here.start + 1, here.stop)):  # every time, and this once
        natural_by[:, ways.start] = rising
        pull_by[:, ways.start + 1] = pull * sight.lean
        pull_by[:, ways.start + 2] = pull * sight.bow
    settled = settle(lacing.hold(natural, give, sewn, pull * profile), start=start)
    give_by = np.zeros((len(sight.z), unknowns))
    give_by[:, levels : 2 * levels] = give_map * gives[None, :]
    for ride_at in (seat.start, here.start + 1):
        give_by[:, ride_at] = softer
    direct = _Direct(settled, natural_by, give_by)
    gap_by = settled.gap_by_force(direct.tension_by + direct.by_hoop[:, None] * sewn_by - pull_by)
    hoop_by = gap_by + sewn_by
    tension_by = direct.tension_by + direct.by_hoop[:, None] * hoop_by
    pressure = settled.pressure_kpa
    pressure_by = 2 * math.pi * tension_by / settled.hoop_mm[:, None] - (pressure / settled.hoop_mm)[:, None] * hoop_by
    return _Seen(settled.gap_mm, gap_by, settled.hoop_mm, hoop_by, natural, natural_by, pressure, pressure_by)


class _Direct:
    """How the body's tension changes with its girth and give at a standing hoop."""

    def __init__(self, settled: Settled, natural_by: Array, give_by: Array) -> None:
        hold = settled.hold
        _, self.by_hoop, by_natural = tension_at(hold.natural_mm, hold.give, settled.hoop_mm, hold.pressure_scale_kpa)
        used = np.clip((hold.natural_mm - settled.hoop_mm) / (hold.natural_mm * hold.give), 0.0, 0.999)
        by_log_give = -settled.hoop_mm / (2 * math.pi) * hold.pressure_scale_kpa * used / (1 - used)
        self.tension_by = by_natural[:, None] * natural_by + (by_log_give / hold.give)[:, None] * give_by


def _residuals(sight: _Sight, seen: _Seen, practice: Practice) -> tuple[Array, Array]:
    """Everything seen at a fitting, less what is expected, in spreads; and how that changes with the unknowns."""
    one = sight.tried
    gap_at = sight.picking(one.z_mm)
    spread = np.hypot(one.spread_mm, practice.model_spread_mm)
    off = [(gap_at @ seen.gap_mm - one.gap_mm) / spread]
    by = [gap_at @ seen.gap_by / spread[:, None]]
    takes = one.lacing.take_up_mm

    def add(found: tuple[tuple[float, float, float], ...], value: Array, change: Array) -> None:
        if not found:
            return
        z, wanted, wide = np.array(found).T
        pick = sight.picking(z)
        off.append((pick @ value - wanted) / wide)
        by.append(pick @ change / wide[:, None])

    add(one.laced_mm, seen.hoop_mm + takes, seen.hoop_by)
    add(one.stand_off_mm, seen.hoop_mm - seen.natural_mm, seen.hoop_by - seen.natural_by)
    add(one.words, seen.pressure_kpa / sight.comfort, seen.pressure_by / sight.comfort[:, None])
    return np.concatenate(off), np.vstack(by)


def _picking(grid: Array, at: Array) -> Array:
    """(len(at), len(grid)): linear interpolation on the grid as a matrix."""
    i = np.clip(np.searchsorted(grid, at) - 1, 0, len(grid) - 2)
    share = np.clip((at - grid[i]) / (grid[i + 1] - grid[i]), 0, 1)
    matrix = np.zeros((len(at), len(grid)))
    rows = np.arange(len(at))
    matrix[rows, i], matrix[rows, i + 1] = 1 - share, share
    return matrix


# --- what is believed ------------------------------------------------------------------------------------


def _with(body: Body, known: Array) -> Body:
    """The body with these girths, log gives and seat. Gives stay below a half, girths positive."""
    count = len(body.levels)
    girths, gives = np.maximum(known[:count], 100.0), np.clip(np.exp(known[count : 2 * count]), 0.002, 0.45)
    ride, lean, bow = map(float, known[2 * count : 2 * count + _SEAT])
    levels = tuple(
        level.model_copy(update={"girth_mm": float(girth), "give": float(give)})
        for level, girth, give in zip(body.levels, girths, gives, strict=True)
    )
    return Body(levels=levels, ride_mm=ride, lean=lean, bow=bow)


def _belief(setting: _Setting, at: Array, here: _Linear) -> Belief:
    levels, prior, tried = setting.levels, setting.prior, setting.tried
    covariance = np.asarray(np.linalg.inv(here.hessian), dtype=float)
    believed = prior
    if tried:
        spreads = np.sqrt(np.diag(covariance))[:levels]
        believed = _with(prior.with_girths(at[:levels], spreads), at[: setting.seat.stop])
    learned = Learned(
        levels=tuple(
            LearnedLevel(
                name=old.name,
                measured_mm=old.girth_mm,
                measured_spread_mm=old.spread_mm,
                believed_mm=new.girth_mm,
                believed_spread_mm=new.spread_mm,
                measured_give=old.give,
                believed_give=new.give,
            )
            for old, new in zip(prior, believed, strict=True)
        )[::-1],
        readings=tuple(
            ReadingExpected(
                fitting=one.number,
                z_mm=float(z),
                read_mm=float(read),
                expected_mm=float(gap),
                spreads_off=float(abs(read - gap) / math.hypot(spread, setting.practice.model_spread_mm)),
            )
            for one, gaps in zip(tried, here.expected, strict=True)
            for z, read, gap, spread in zip(one.z_mm, one.gap_mm, gaps, one.spread_mm, strict=True)
        ),
        pulls=tuple(
            LearnedPull(
                fitting=one.number,
                said_n_per_m=one.lacing.pull_n_per_m,
                believed_n_per_m=one.lacing.pull_n_per_m * math.exp(float(at[setting.of(i)][0])),
            )
            for i, one in enumerate(tried)
        ),
        stretch_share=float(at[setting.stretch]),
        ride_mm=believed.ride_mm,
    )
    known = slice(0, setting.stretch + 1)
    return Belief(believed, learned, at[known], covariance[known, known])
