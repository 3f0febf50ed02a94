"""A lacing as it was read at a fitting, and what the model expects of it, with derivatives (model, 3 and 6)."""

import math
from dataclasses import dataclass, replace
from functools import cached_property
from typing import Literal

import numpy as np

from fuseau.craft.base.curves import Array, picking
from fuseau.craft.base.practice import Practice
from fuseau.craft.fit.equilibrium import Hold, Holds, settle, tie
from fuseau.craft.fit.fit import Lacing
from fuseau.craft.fitting.unknowns import Unknowns, bounded_stiffening
from fuseau.craft.materials.cloths import ClothName
from fuseau.craft.wearer.body import Body
from fuseau.craft.wearer.compression import tension_by_flesh, used_at
from fuseau.craft.wearer.measures import LevelName

_ONSET = 0.15  # of what flesh gives: over so much it comes to bear while her girths are sought
_STANDS_OFF_SHARE, _TOLD_NEAR_MM = 0.05, 60.0
_CUSHION_MM = 0.5  # and edges that meet press on each other
_ROOM_REACH_MM = 25.0  # how far a word of room at one height speaks

Word = Literal["digs", "firm", "right", "light", "stands off"]

# What a word says of pressure as a share of what is close but comfortable: its middle, and how far it reaches.
WORDS: dict[Word, tuple[float, float]] = {
    "stands off": (0.0, 0.08),
    "light": (0.17, 0.12),
    "right": (0.5, 0.16),
    "firm": (0.85, 0.14),
    "digs": (1.25, 0.25),
}

# Of a garment that only supports, right is whatever holds and does not press, from light to firm: over so much to both
# sides of its middle it tells nothing.
WORDS_OF_SUPPORT: dict[Word, tuple[float, float]] = {**WORDS, "right": (0.38, 0.12)}
RIGHT_REACHES = 0.34

# What it says of the room inside a garment that is tied and never drawn in: mm of girth, and how far that reaches.
ROOM: dict[Word, tuple[float, float]] = {
    "digs": (-4.0, 5.0),
    "firm": (6.0, 5.0),
    "right": (20.0, 5.0),
    "light": (32.0, 6.0),
    "stands off": (42.0, 12.0),
}

At = tuple[float, float, float]  # height, value, spread
MOST_GIVE, LEAST_PULL = 0.45, 0.05  # shares: nothing gives more, and nowhere does the lace draw less


@dataclass(frozen=True)
class Tried:
    """One lacing at a fitting: the garment as it was laced, and what was seen at heights on the lacing edge.

    Gaps, girths over the garment and stand-offs are mm with their spreads; `words` are shares of the comfort limit, of
    which those of `as_held` are right from light to firm;
    `rides_mm` is how far its waist was seen above hers. `pull_spread` is that of the log of the pull; None is usual.
    A garment that is tied (its lacing's `tied_mm` is set) has `room_mm` instead of words, mm of girth, with spreads,
    and `ease_mm`, the room that was wished.
    """

    number: int
    lacing: Lacing
    z_mm: Array
    gap_mm: Array
    spread_mm: Array
    laced_mm: tuple[At, ...] = ()  # girth over the garment
    words: tuple[At, ...] = ()
    as_held: tuple[At, ...] = ()
    rides_mm: tuple[float, float] | None = None
    pull_spread: float | None = None
    room_mm: tuple[At, ...] = ()
    under_mm: tuple[At, ...] = ()  # girth round her under the garment
    ease_mm: float | None = None


@dataclass(frozen=True)
class Strip:
    """By what share a cloth stretches beyond its table at the pull it is worn with, tried on a strip of it."""

    cloth: ClothName
    share: float
    spread: float


@dataclass(frozen=True)
class Worn:
    """A garment of hers as she wears it: its girth inside at a level (mm), and how that sits, as a share of comfort."""

    level: LevelName
    hoop_mm: float
    hoop_spread_mm: float
    share: float
    share_spread: float


def of_worn(worn: Worn, at: Array, unknowns: Unknowns, i: int, comfort_kpa: float) -> tuple[Array, Array]:
    """How far a garment that she wears is from what is believed of level i, in spreads, and how that changes.

    Her girth under the pressure of the word, less the garment's: so a bigger garment that sits alike is a bigger
    wearer, over the whole range. One that stands off is only no smaller than she is. The spread is of what was thought
    of her before, or a softer wearer would explain anything.
    """
    flesh, practice = unknowns.flesh, unknowns.practice
    natural, give = float(at[unknowns.girths][i]), math.exp(float(at[unknowns.gives][i]))
    scale = practice.pressure_scale_kpa * math.exp(float(at[flesh][0]))
    stiffening, stiffening_by = bounded_stiffening(at[flesh][1])
    limit = comfort_kpa * math.exp(float(at[unknowns.comfort]))
    pressure = worn.share * limit
    used = float(used_at(np.array([pressure]), scale, float(stiffening))[0])
    plain = -math.log1p(-used)
    per_kpa = 1 / (scale * ((1 + float(stiffening) * (used - 0.5)) / (1 - used) + float(stiffening) * plain))
    by_used = -natural * give
    by = np.zeros((1, len(at)))
    by[0, unknowns.girths.start + i] = 1 - give * used
    by[0, unknowns.gives.start + i] = by_used * used
    by[0, flesh.start] = -by_used * pressure * per_kpa
    by[0, flesh.start + 1] = -by_used * scale * plain * (used - 0.5) * per_kpa * float(stiffening_by)
    by[0, unknowns.comfort] = by_used * pressure * per_kpa
    wide = _worn_spread(worn, unknowns, i, comfort_kpa)
    off = natural * (1 - give * used) - worn.hoop_mm
    if worn.share <= 0 and off < 0:
        off, by = 0.0, np.zeros_like(by)
    return np.array([off / wide]), by / wide


def _worn_spread(worn: Worn, unknowns: Unknowns, i: int, comfort_kpa: float) -> float:
    """How far a garment's girth and its word tell hers under it, mm."""
    level = unknowns.prior.levels[i]
    scale, stiffening = unknowns.practice.pressure_scale_kpa * unknowns.prior.flesh_scale, unknowns.prior.stiffening
    shares = np.maximum(worn.share + np.array([-0.5, 0.5]) * worn.share_spread, 0.0)
    used = used_at(comfort_kpa * shares, scale, stiffening)
    return math.hypot(worn.hoop_spread_mm, level.girth_mm * level.give * float(used[1] - used[0]))


def untried(lacing: Lacing) -> Tried:
    """A lacing at which nothing was read yet."""
    return Tried(0, lacing, np.zeros(0), np.zeros(0), np.zeros(0))


_KEPT_RIDES = 200  # of a garment that is looked at; they go by half millimetres


def in_half_mm(ride_mm: Array) -> Array:
    """Rides to the half millimetre, as bodies that are drawn ride."""
    return np.asarray(np.round(2 * ride_mm) / 2)


class Sight:
    """A lacing with the maps that stay while the unknowns are sought."""

    def __init__(self, tried: Tried, prior: Body, nodes: Array) -> None:
        self.tried, lacing = tried, tried.lacing
        self.z, self.prior, self.nodes = lacing.z, prior, nodes
        self.heights = np.array([level.back_mm for level in prior])
        self.comfort = np.interp(self.z, self.heights, [level.comfort_kpa for level in prior])
        self.lean, self.far = lacing.uneven
        self._bodies: dict[float, tuple[Array, Array, Array]] = {}
        self._picks: dict[tuple[At, ...], Array] = {}

    def body(self, ride_mm: float) -> tuple[Array, Array, Array]:
        """What meets each height when it rides up by so much: maps from girths, from what is between, from gives.

        They are kept for the last rides.
        """
        if ride_mm not in self._bodies:
            self.meet(np.array([ride_mm]))
        return self._bodies[ride_mm]

    def meet(self, rides_mm: Array) -> None:
        """Work out at once what is met at each of these rides, in place of what was kept where it becomes too much."""
        new = [ride for ride in np.unique(rides_mm).tolist() if ride not in self._bodies]
        if len(self._bodies) + len(new) > _KEPT_RIDES:
            self._bodies.clear()
            new = np.unique(rides_mm).tolist()
        at = np.concatenate([self.z + ride for ride in new]) if new else np.array([])
        parts = [self.prior.along_back.at(at), picking(self.nodes, at), picking(self.heights, at)] if new else []
        count = len(self.z)
        for k, ride in enumerate(new):
            spline, nodes, heights = (part[k * count : (k + 1) * count] for part in parts)
            self._bodies[ride] = spline, nodes, heights

    def slopes(self, ride_mm: float) -> tuple[Array, Array, Array]:
        """How the maps of `body` change as it rides up, per mm."""
        at = self.z + ride_mm
        spline = self.prior.along_back.at(at, slope=True)
        return spline, picking(self.nodes, at, slope=True), picking(self.heights, at, slope=True)

    def hold(self, at: Array, unknowns: Unknowns, seat: Array, pull_n_per_m: float) -> Hold:
        """The garment on what these unknowns describe, sitting and laced so: `seat` is ride, lean, friction."""
        return self._holds(at[None], unknowns, seat[None], pull_n_per_m)[0]

    def drawn(self, at: Array, unknowns: Unknowns) -> Holds:
        """The garment laced as planned on bodies of the belief, `at` (bodies, unknowns).

        It rides in steps of half a millimetre, to be quick.
        """
        seats = at[:, unknowns.seat].copy()
        seats[:, 0] = in_half_mm(seats[:, 0])
        return self._holds(at, unknowns, seats, self.tried.lacing.pull_n_per_m)

    def _holds(self, at: Array, unknowns: Unknowns, seats: Array, pull_n_per_m: float) -> Holds:
        lacing = self.tried.lacing
        self.meet(seats[:, 0])
        gives = np.exp(at[:, unknowns.gives])
        natural, give = np.empty((2, len(at), len(self.z)))
        for ride in np.unique(seats[:, 0]).tolist():
            rows = seats[:, 0] == ride
            girth_map, between_map, give_map = self._bodies[ride]
            natural[rows] = at[rows, unknowns.girths] @ girth_map.T + at[rows, unknowns.between] @ between_map.T
            give[rows] = gives[rows] @ give_map.T
        lean, friction = seats[:, 1, None], seats[:, 2, None]
        profile = np.maximum(1 + lean * self.lean - friction * self.far, LEAST_PULL)
        more = np.exp(at[:, unknowns.stretch(lacing.stack.strength), None])
        scale, stiffening = at[:, unknowns.flesh].T
        return lacing.holds(
            np.maximum(natural, 100.0),
            np.clip(give, 0.002, MOST_GIVE),
            lacing.flat * (1 + pull_n_per_m * lacing.stack.stretch_per_n + more),
            pull_n_per_m * profile,
            (np.exp(scale), bounded_stiffening(stiffening)[0]),
        )

    def of(self, seen: tuple[At, ...]) -> Array:
        """(len(seen), points): linear interpolation along the lacing edge to where something was seen, as a matrix."""
        if seen not in self._picks:
            self._picks[seen] = picking(self.z, np.array([z for z, *_ in seen]))
        return self._picks[seen]

    @cached_property
    def of_silent(self) -> Array:
        """(levels, points): the levels within the edge of which nobody said that it stands off there.

        Where it gaped by centimetres, she would have; so it is evidence, if a soft one, that her girth fills it.
        """
        said = [z for z, share, _ in self.tried.words if share < _STANDS_OFF_SHARE]
        within = self.heights[(self.heights >= self.z[0]) & (self.heights <= self.z[-1])]
        silent = [z for z in within if all(abs(z - told) > _TOLD_NEAR_MM for told in said)]
        return picking(self.z, np.array(silent))

    @cached_property
    def of_gaps(self) -> Array:
        return picking(self.z, self.tried.z_mm)


@dataclass(frozen=True)
class Seen:
    """One lacing settled along the lacing edge, and how that changes with the unknowns, (points, unknowns)."""

    gap_mm: Array
    gap_by: Array
    hoop_mm: Array
    hoop_by: Array
    natural_mm: Array
    natural_by: Array
    pressure_kpa: Array
    pressure_by: Array


def see(at: Array, unknowns: Unknowns, sight: Sight, order: int, start: Array | None, *, softly: bool = False) -> Seen:
    """Settle a lacing (the `order`-th of them) on these unknowns. Raises Unsettled.

    Where edges meet and flesh comes to bear `softly` it follows the unknowns without a corner, to seek them by.
    """
    lacing, seat, once = sight.tried.lacing, unknowns.seat, unknowns.once(sight.tried.number)
    here, between, flesh = unknowns.pull(order), unknowns.between, unknowns.flesh
    points, count = len(sight.z), len(at)
    ride, lean, friction = at[seat] + at[once]
    pull = lacing.pull_n_per_m * math.exp(at[here])
    onset, cushion = (_ONSET, None if lacing.pinned else _CUSHION_MM) if softly else (0.0, None)
    hold = replace(sight.hold(at, unknowns, at[seat] + at[once], pull), onset=onset)
    closed = lacing.closed_at_mm
    settled = (
        settle(hold, start=start, overlap=lacing.pinned, cushion_mm=cushion) if closed is None else tie(hold, closed)
    )
    natural, give = hold.natural_mm, hold.give

    girth_map, between_map, give_map = sight.body(ride)
    natural_by = np.zeros((points, count))
    natural_by[:, unknowns.girths] = girth_map
    natural_by[:, between] = between_map
    gives = np.exp(at[unknowns.gives])
    girth_slope, between_slope, give_slope = sight.slopes(ride)  # up by 1 mm, it meets what lay 1 mm above
    rising = girth_slope @ at[unknowns.girths] + between_slope @ at[between]
    softer = give_slope @ gives
    give_by = np.zeros((points, count))
    give_by[:, unknowns.gives] = give_map * gives
    give_by[give >= MOST_GIVE] = 0.0

    held = 1 + lean * sight.lean - friction * sight.far > LEAST_PULL
    cloth = unknowns.stretch(lacing.stack.strength)
    sewn_by = np.zeros((points, count))
    sewn_by[:, cloth] = lacing.flat * math.exp(at[cloth])
    sewn_by[:, here] = lacing.flat * pull * lacing.stack.stretch_per_n
    pull_by = np.zeros((points, count))
    pull_by[:, here] = hold.pull_n_per_m
    for ways in (seat, once):  # every time, and this once
        natural_by[:, ways.start] = rising
        give_by[:, ways.start] = softer
        pull_by[:, ways.start + 1] = pull * sight.lean * held
        pull_by[:, ways.start + 2] = -pull * sight.far * held

    stiffening, stiffening_by = bounded_stiffening(at[flesh][1])
    hoop = settled.hoop_mm
    tension, by_hoop, by_natural = hold.tension_at(hoop)
    by_give, by_stiffening = tension_by_flesh(
        natural=natural, give=give, girth=hoop, stiffening=stiffening, tension=tension, by_hoop=by_hoop, onset=onset
    )
    tension_by = by_natural[:, None] * natural_by + by_give[:, None] * give_by
    tension_by[:, flesh.start] += settled.tension_n_per_m
    tension_by[:, flesh.start + 1] += by_stiffening * stiffening_by
    gap_by = np.zeros((points, count))  # closed edge to edge, whatever that takes
    if closed is None:
        gap_by = settled.gap_by_force(tension_by + by_hoop[:, None] * sewn_by - pull_by)
    hoop_by = gap_by + sewn_by
    tension_by += by_hoop[:, None] * hoop_by
    pressure = settled.pressure_kpa
    pressure_by = (2 * math.pi * tension_by - pressure[:, None] * hoop_by) / hoop[:, None]
    return Seen(settled.gap_mm, gap_by, hoop, hoop_by, natural, natural_by, pressure, pressure_by)


def residuals(sight: Sight, seen: Seen, comfort: float, at: int, practice: Practice) -> tuple[Array, Array]:
    """Everything seen at a lacing, less what is expected, in spreads; and how that changes with the unknowns.

    `comfort` is the factor on the house's comfort limits, whose log stands at `at`.
    """
    one = sight.tried
    spread = np.hypot(one.spread_mm, practice.model_spread_mm)
    off = [(sight.of_gaps @ seen.gap_mm - one.gap_mm) / spread]
    by = [sight.of_gaps @ seen.gap_by / spread[:, None]]

    def add(found: tuple[At, ...], value: Array, change: Array) -> None:
        if not found:
            return
        _, wanted, wide = np.array(found).T
        pick = sight.of(found)
        off.append((pick @ value - wanted) / wide)
        by.append(pick @ change / wide[:, None])

    over = one.lacing.takes - one.lacing.pattern.shape.slack_out  # a tape over it does not go round what is gone
    add(one.laced_mm, seen.hoop_mm + over, seen.hoop_by)
    add(one.under_mm, seen.hoop_mm, seen.hoop_by)
    share = seen.pressure_kpa / (sight.comfort * comfort)
    share_by = seen.pressure_by / (sight.comfort * comfort)[:, None]
    share_by[:, at] -= share
    add(one.words, share, share_by)
    if one.as_held:
        _, wanted, wide = np.array(one.as_held).T
        pick = sight.of(one.as_held)
        beside = pick @ share - wanted
        beyond = beside - np.clip(beside, -RIGHT_REACHES, RIGHT_REACHES)
        off.append(beyond / wide)
        by.append((beyond != 0)[:, None] * (pick @ share_by) / wide[:, None])
    loose, loose_by = seen.hoop_mm - seen.natural_mm, seen.hoop_by - seen.natural_by
    pick = sight.of_silent
    off.append(np.maximum(pick @ loose, 0.0) / practice.unsaid_stand_off_mm)
    by.append((pick @ loose > 0)[:, None] * (pick @ loose_by) / practice.unsaid_stand_off_mm)
    return np.concatenate(off), np.vstack(by)


def tied_residuals(
    at: Array, unknowns: Unknowns, sight: Sight, practice: Practice
) -> tuple[Array, Array, Array, float]:
    """As `residuals`, for a garment that is tied until it has its room; third the gap expected where it was read.

    The last is by how many spreads all of them may be off alike, because it was tied with more room or less.

    There is no pull to speak of: the gap is her girth and the room inside, level by level (model, section 6).
    """
    one, flat = sight.tried, sight.tried.lacing.flat
    girth_map, between_map, _ = sight.body(0.0)  # it rests on her shoulders, and rides nowhere
    natural = girth_map @ at[unknowns.girths] + between_map @ at[unknowns.between]
    by = np.zeros((len(sight.z), len(at)))
    by[:, unknowns.girths], by[:, unknowns.between] = girth_map, between_map
    room, spread = _room(sight, practice)
    gap = natural + room - flat + one.lacing.takes
    pick = sight.of_gaps
    expected = pick @ gap
    # it is tied with more room or less as a whole; what differs from height to height tells of her
    rooms = pick @ spread
    own = np.sqrt(one.spread_mm**2 + practice.model_spread_mm**2 + rooms**2 / 9)
    alike = float((math.sqrt(8 / 9) * rooms / own).mean()) if len(own) else 0.0
    return (expected - one.gap_mm) / own, pick @ by / own[:, None], expected, alike


def _room(sight: Sight, practice: Practice) -> tuple[Array, Array]:
    """The room it was tied with along the edge, and its spread, mm: as wished, but where a word says otherwise."""
    room = np.full(len(sight.z), practice.neck_ease_mm if sight.tried.ease_mm is None else sight.tried.ease_mm)
    spread = np.full(len(sight.z), practice.room_spread_mm)
    for z, said, wide in sight.tried.room_mm:
        near = np.exp(-np.square((sight.z - z) / _ROOM_REACH_MM))
        room, spread = room + near * (said - room), spread + near * (wide - spread)
    return room, spread
