"""What would raise the odds: one more reading, one more mock-up, a better one, stiffer edges (model, section 6).

Weighed with the settled garment's derivatives: what would be read next narrows the belief, and the narrower belief is
drawn from again. The same noise is used throughout, so that two odds differ by what differs.
"""

import dataclasses
from collections.abc import Sequence

import numpy as np

from fuseau.craft.base.curves import Array
from fuseau.craft.base.errors import Unsettled
from fuseau.craft.base.findings import message
from fuseau.craft.base.practice import Practice
from fuseau.craft.fit.fit import Lacing
from fuseau.craft.fitting.inference import Belief, Sensed, sense
from fuseau.craft.fitting.readiness import MOST_SURE, OddsWay, Raise, Wish, shortfalls
from fuseau.craft.fitting.unknowns import narrowed
from fuseau.craft.wearer.measures import LevelName

_DRAWS = 160
_READINGS = 6


def raises(
    belief: Belief,
    final: Lacing,
    mock_up: Lacing,
    stiff_n_m2: float,
    wish: Wish,
    now: float,
    stiff_label: str,
    seed: int = 1,
) -> tuple[Raise, ...]:
    """Ways to better odds than `now`, the best first; those that bring less than 1 in 100 are left out.

    `mock_up` is the proposed pattern as the next mock-up, `stiff_n_m2` the stiffness of edges with `stiff_label` in.
    """
    try:
        tried = sense(belief, mock_up, mock_up=True)
        worn = sense(belief, final, mock_up=False)
    except Unsettled:
        return ()
    practice = final.practice
    noise = np.random.default_rng(seed).standard_normal((_DRAWS, len(worn.covariance)))

    def odds(sensed: Sensed, covariance: Array) -> float:
        return _share(belief, sensed, covariance, noise, wish, practice)

    base = odds(worn, worn.covariance)
    found: list[Raise] = []

    def offer(what: OddsWay, probability: float, level: LevelName | None = None, **given: str) -> None:
        better = float(np.clip(now + probability - base, 0.0, MOST_SURE))
        if better > now + 0.01:
            said = message(f"raise.{what.replace(' ', '_')}", probability=better, **given)
            found.append(Raise(what=what, level=level, probability=better, sentence=said))

    covered = [level for level in belief.body.levels if mock_up.z[0] <= level.back_mm <= mock_up.z[-1]]
    singles = [
        (odds(worn, _narrowed(worn, tried, np.array([level.back_mm]), practice)), level.name) for level in covered
    ]
    if singles:
        best, level = max(singles)
        offer("a reading", best, level, at=level)
    heights = np.linspace(mock_up.z[0] + 8, mock_up.z[-1] - 8, _READINGS)
    once_more = odds(worn, _narrowed(worn, tried, heights, practice, [level.back_mm for level in covered]))
    offer("one more mock-up", once_more)
    if mock_up.edge_n_m2 < stiff_n_m2 * 0.9:
        stiffer = sense(belief, dataclasses.replace(mock_up, edge_n_m2=stiff_n_m2), mock_up=True)
        with_steel = odds(worn, _narrowed(worn, stiffer, heights, practice, [level.back_mm for level in covered]))
        if with_steel > once_more + 0.005:
            offer("a stiffer mock-up", with_steel, bone=stiff_label)
    if final.edge_n_m2 < stiff_n_m2 * 0.9:
        firm = sense(belief, dataclasses.replace(final, edge_n_m2=stiff_n_m2), mock_up=False)
        offer("stiffer edges", odds(firm, firm.covariance), bone=stiff_label)
    return tuple(sorted(found, key=lambda one: -one.probability))


def _narrowed(worn: Sensed, tried: Sensed, gaps_at: Array, practice: Practice, also_at: Sequence[float] = ()) -> Array:
    """The belief's covariance after gaps (and words and girths) were read at these heights of the next mock-up."""
    rows, spreads = [], []

    def read(at: Sequence[float] | Array, by: Array, spread: float) -> None:
        for z in at:
            rows.append([float(np.interp(z, tried.z_mm, column)) for column in by.T])
            spreads.append(spread)

    read(gaps_at, tried.gap_by, float(np.hypot(practice.ruler_spread_mm, practice.model_spread_mm)))
    read(also_at, tried.hoop_by, practice.laced_spread_mm)
    read(also_at, tried.pressure_by, 0.16 * practice.word_spread * 3.0)  # a word's usual reach, of some 3 kPa
    after = narrowed(tried.covariance, np.array(rows), np.diag(np.square(spreads)))
    array = worn.covariance.copy()
    lasting = slice(0, worn.lasting)
    array[lasting, lasting] = after[lasting, lasting]
    return array


def _share(belief: Belief, sensed: Sensed, covariance: Array, noise: Array, wish: Wish, practice: Practice) -> float:
    """The share of draws that pass, by the derivatives of the settled garment."""
    values, vectors = np.linalg.eigh((covariance + covariance.T) / 2)
    steps = noise @ (vectors * np.sqrt(np.maximum(values, 0.0))).T
    gaps = np.maximum(sensed.gap_mm + steps @ sensed.gap_by.T, 0.0)
    off = sensed.stand_off_mm + steps @ sensed.stand_off_by.T
    pressure = np.maximum(sensed.pressure_kpa + steps @ sensed.pressure_by.T, 0.0)
    pressure /= np.exp(steps[:, sensed.comfort_at])[:, None]  # as much as another comfort would make of it
    wrong = shortfalls(
        z_mm=sensed.z_mm,
        gap_mm=gaps,
        stand_off_mm=off,
        pressure_kpa=pressure,
        levels=belief.body.levels,
        wish=wish,
        practice=practice,
    )
    return 1 - float(np.any(list(wrong.values()), axis=0).mean())
