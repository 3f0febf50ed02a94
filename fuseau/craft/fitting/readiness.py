"""Readiness: how likely the real garment is to fit if it were cut now, from draws of what is believed (model, 6)."""

from collections.abc import Sequence
from dataclasses import dataclass
from typing import Literal

import numpy as np
import numpy.typing as npt

from fuseau.craft.base.curves import Array, picking
from fuseau.craft.base.findings import Message, message
from fuseau.craft.base.practice import Practice
from fuseau.craft.base.record import Record
from fuseau.craft.fit.equilibrium import settle_many, tie_many
from fuseau.craft.fit.fit import Lacing, gap_moments
from fuseau.craft.fitting.inference import Belief
from fuseau.craft.fitting.seen import Sight, untried
from fuseau.craft.wearer.body import BodyLevel
from fuseau.craft.wearer.measures import LevelName

DRAWS = 200
_TRIED_FOR_EACH = 8  # drawn for each that is kept, where words say which may be so
_SPEAKS_FOR_MM = 60.0  # of a level: so far from it a word says whether it stood off
MOST_SURE = 0.99  # however many draws pass, the world may be otherwise
Advice = Literal["cut the cloth", "one more mock-up", "look again"]
Failing = Literal["mean gap", "tilt", "bow", "stand-off", "pressure", "closing", "top edge", "bottom edge"]


OddsWay = Literal["a reading", "one more mock-up", "a stiffer mock-up", "stiffer edges"]


Wished = float | tuple[float, ...]


@dataclass(frozen=True)
class Wish:
    """What a garment is held against: the gap as one number or one for each point of the edge, mm.

    `eased_mm` is what may stand off, because so much room was asked for. What has no lace closes against
    `closes_n_per_m` at the most (None: it is laced).
    """

    gap_mm: Wished
    eased_mm: Wished = 0.0
    closes_n_per_m: float | None = None


@dataclass(frozen=True)
class WornShut:
    """A garment that was worn closed without a lace, and what she said of it there.

    `said`: at heights of its edge the most of what is comfortable that she could have called so; where she spoke it did
    not stand off. `closed_n_per_m`: hands closed it, so it took no more (None: no hand does).
    """

    lacing: Lacing
    said: tuple[tuple[float, float], ...]
    closed_n_per_m: float | None = None


class Raise(Record):
    """One way to better odds, and what they would come to."""

    what: OddsWay
    level: LevelName | None = None
    probability: float
    sentence: Message


class Readiness(Record):
    """The odds that the real garment passes, what fails most, where, what to do, and what would raise them."""

    probability: float
    draws: int
    fails: dict[Failing, float]
    worst: Failing | None
    worst_level: LevelName | None
    advice: Advice
    sentence: Message
    gap_low_mm: tuple[float, ...]
    gap_high_mm: tuple[float, ...]
    raises: tuple[Raise, ...] = ()


def shortfalls(
    z_mm: Array,
    gap_mm: Array,
    stand_off_mm: Array,
    pressure_kpa: Array,
    levels: Sequence[BodyLevel],
    wish: Wish,
    practice: Practice,
) -> dict[Failing, npt.NDArray[np.bool_]]:
    """What laced garments fail by (model, section 6): the one rule for draws of the belief and for the stand.

    `gap_mm`, `stand_off_mm`, `pressure_kpa`: (garments, points) along the lacing edge, upwards; `z_mm` (points,). Only
    the levels that it covers are asked for comfort.
    """
    mean, tilt, bow = gap_moments(z_mm, (gap_mm - np.asarray(wish.gap_mm)).T)
    covered = [level for level in levels if z_mm[0] <= level.back_mm <= z_mm[-1]]
    at = picking(z_mm, np.array([level.back_mm for level in covered]))
    pressed = pressure_kpa @ at.T
    return {
        "mean gap": np.abs(mean) > practice.pass_mean_mm,
        "tilt": np.abs(tilt) > practice.pass_shape_mm,
        "bow": np.abs(bow) > practice.pass_shape_mm,
        "stand-off": (stand_off_mm - np.asarray(wish.eased_mm)).max(axis=1) >= practice.stand_off_mm,
        "pressure": np.any(pressed > np.array([level.comfort_kpa for level in covered]), axis=1),
    }


def _amiss(belief: Belief, drawn: Array, worn: WornShut) -> Array:
    """By how much what was drawn does not go with what was said of a garment that was worn, (drawn,); 0 where it does.

    In units of what counts as standing off, of what is comfortable, and of what a hand closes. About a height that was
    spoken of lies all that is nearer to it than to another.
    """
    holds, comfort = belief.holds(worn.lacing, drawn)
    many = tie_many(holds, 0.0)
    levels = belief.body.levels
    limits = np.interp(worn.lacing.z, [level.back_mm for level in levels], [level.comfort_kpa for level in levels])
    share = many.pressure_kpa / comfort[:, None] / limits
    loose = (many.hoop_mm - holds.natural_mm) / worn.lacing.practice.stand_off_mm
    heights = np.array([z for z, _ in worn.said])
    most = np.array([share for _, share in worn.said])
    off = np.zeros(len(drawn))
    if len(heights):
        nearest = np.abs(worn.lacing.z[:, None] - heights).argmin(axis=1)
        at = np.abs(worn.lacing.z[:, None] - heights).argmin(axis=0)
        near = np.abs(worn.lacing.z - heights[nearest]) <= _SPEAKS_FOR_MM
        off += np.maximum(loose[:, near] - 1, 0.0).max(axis=1, initial=0.0)
        off += np.maximum(share[:, at] - most, 0.0).max(axis=1)
    if worn.closed_n_per_m is not None:
        borne = many.pressure_kpa * many.hoop_mm / (2 * np.pi)
        off += np.maximum(borne.max(axis=1) / worn.closed_n_per_m - 1, 0.0)
    return off


def _drawn(belief: Belief, seed: int, draws: int, heard: Sequence[WornShut]) -> Array:
    """So many that go with what was said of what she wore; where they are too few, those that go with it best.

    Words bound what may be so where a normal belief does not: what sat right stood off nowhere near.
    """
    if not heard:
        return belief.drawn(draws, seed)
    drawn = belief.drawn(_TRIED_FOR_EACH * draws, seed)
    off = np.sum([_amiss(belief, drawn, worn) for worn in heard], axis=0)
    return np.asarray(drawn[np.argsort(off, kind="stable")[:draws]])


def readiness(
    belief: Belief,
    lacing: Lacing,
    wish: Wish,
    seed: int = 1,
    draws: int = DRAWS,
    heard: Sequence[WornShut] = (),
) -> Readiness:
    """Settle the final garment on `draws` seeded bodies of the belief, and count how many pass.

    `heard` is what was said of garments that she wore closed.

    It passes with the mean gap near the wish, tilt and bow small, nowhere standing off, and pressure within comfort
    (the house numbers pass_mean_mm, pass_shape_mm, stand_off_mm). What closes without a lace has no gap to judge, but
    has to be closed by hand. `gap_low_mm`, `gap_high_mm` are the 10th and 90th percentile along the lacing edge.
    """
    practice = lacing.practice
    levels = belief.body.levels
    drawn = _drawn(belief, seed, draws, heard)
    holds, comfort = belief.holds(lacing, drawn)
    closed = lacing.closed_at_mm
    many = settle_many(holds, belief.near(lacing, drawn)) if closed is None else tie_many(holds, closed)
    off = many.hoop_mm - holds.natural_mm
    felt = many.pressure_kpa / comfort[:, None]
    wrong = shortfalls(
        z_mm=lacing.z,
        gap_mm=many.gap_mm,
        stand_off_mm=off,
        pressure_kpa=felt,
        levels=levels,
        wish=wish,
        practice=practice,
    )
    wrong["mean gap"] = wrong["mean gap"] | ~many.balanced
    borne = many.pressure_kpa * many.hoop_mm / (2 * np.pi)
    most = np.inf if wish.closes_n_per_m is None else wish.closes_n_per_m
    if closed is not None:
        covered = [level.back_mm for level in levels if lacing.z[0] <= level.back_mm <= lacing.z[-1]]
        wrong["closing"] = np.any(borne @ picking(lacing.z, np.array(covered)).T > most, axis=1)
    counted = {name: int(fails.sum()) for name, fails in wrong.items()}
    passed = draws - int(np.any(list(wrong.values()), axis=0).sum())
    limits = np.interp(lacing.z, [level.back_mm for level in levels], [level.comfort_kpa for level in levels])
    gap_off = np.abs(many.gap_mm - np.asarray(wish.gap_mm))
    # what each height has to do with it, of the garments that fail so
    amiss: dict[Failing, Array] = {
        "mean gap": gap_off[wrong["mean gap"]],
        "tilt": gap_off[wrong["tilt"]],
        "bow": gap_off[wrong["bow"]],
        "stand-off": np.maximum(off - np.asarray(wish.eased_mm), 0.0)[wrong["stand-off"]],
        "pressure": np.maximum(felt / limits - 1, 0.0)[wrong["pressure"]],
    }
    if closed is not None:
        amiss["closing"] = np.maximum(borne - most, 0.0)[wrong["closing"]]
    along = many.gap_mm[many.balanced] if many.balanced.any() else np.zeros((1, len(lacing.z)))
    return _readiness(
        lacing=lacing, draws=draws, passed=passed, counted=counted, levels=levels, amiss=amiss, along=along
    )


def tied_readiness(
    belief: Belief, lacing: Lacing, gap_mm: float, ease_mm: float, seed: int = 1, draws: int = DRAWS
) -> Readiness:
    """The odds of a garment that is tied at its gap until it has `ease_mm` of room, and never drawn in.

    It passes where the gap at the top edge and at the bottom edge each come within `pass_room_mm` of the wish: so much
    it has more or less room if it is tied at the wish instead (model, section 6).
    """
    practice, unknowns = lacing.practice, belief.unknowns
    levels = belief.body.levels
    sight = Sight(untried(lacing), unknowns.prior, unknowns.nodes)
    girth_map, between_map, _ = sight.body(0.0)
    drawn = belief.drawn(draws, seed)
    natural = drawn[:, unknowns.girths] @ girth_map.T + drawn[:, unknowns.between] @ between_map.T
    gaps = natural + ease_mm - lacing.flat + lacing.takes
    off = np.abs(gaps - gap_mm)
    wrong: dict[Failing, npt.NDArray[np.bool_]] = {
        "top edge": off[:, -1] > practice.pass_room_mm,
        "bottom edge": off[:, 0] > practice.pass_room_mm,
    }
    passed = draws - int((wrong["top edge"] | wrong["bottom edge"]).sum())
    counted = {name: int(fails.sum()) for name, fails in wrong.items()}
    ends = np.zeros((1, len(lacing.z)))
    amiss: dict[Failing, Array] = {"top edge": ends.copy(), "bottom edge": ends.copy()}
    amiss["top edge"][0, -1] = amiss["bottom edge"][0, 0] = 1.0
    return _readiness(
        lacing=lacing,
        draws=draws,
        passed=passed,
        counted=counted,
        levels=levels,
        amiss=amiss,
        along=np.maximum(gaps, 0.0),
    )


def _readiness(
    lacing: Lacing,
    draws: int,
    passed: int,
    counted: dict[Failing, int],
    levels: Sequence[BodyLevel],
    amiss: dict[Failing, Array],
    along: Array,
) -> Readiness:
    """`amiss` is by what fails how much each height has part in it, (garments that fail, points)."""
    practice = lacing.practice
    shares = {name: count / draws for name, count in counted.items()}
    order: list[Failing] = sorted(counted, key=lambda name: -counted[name])
    worst = order[0] if counted[order[0]] else None
    level = _nearest(levels, float(lacing.z[int(np.argmax(amiss[worst].sum(axis=0)))])) if worst else None
    probability = min(passed / draws, MOST_SURE)
    advice: Advice = (
        "cut the cloth"
        if probability >= practice.ready_share
        else "one more mock-up"
        if probability > 0.25
        else "look again"
    )
    return Readiness(
        probability=probability,
        draws=draws,
        fails=shares,
        worst=worst,
        worst_level=level,
        advice=advice,
        sentence=_sentence(probability, worst, level),
        gap_low_mm=tuple(map(float, np.percentile(along, 10, axis=0))),
        gap_high_mm=tuple(map(float, np.percentile(along, 90, axis=0))),
    )


def _nearest(levels: Sequence[BodyLevel], z: float) -> LevelName:
    return min(levels, key=lambda level: abs(level.back_mm - z)).name


def _sentence(probability: float, worst: Failing | None, level: LevelName | None) -> Message:
    if worst is None:
        return message("odds", probability=probability)
    if level is None:
        return message("odds.fails", probability=probability, worst=worst)
    return message("odds.fails_at", probability=probability, worst=worst, level=level)
