"""How long work takes her: the shop's minutes at first, and what her log teaches (model, section 13).

Minutes of a piece of work are log-normal. Of the mean and spread of their logarithm a normal-gamma is believed, which
begins at the shop's number with the weight of three entries; see Murphy, "Conjugate Bayesian analysis of the Gaussian
distribution", 2007, section 3.
"""

import math
from collections.abc import Iterable, Mapping
from dataclasses import dataclass

from fuseau.craft.base.record import Record
from fuseau.craft.making.steps import Step
from fuseau.craft.materials.minutes import MINUTES, PER, Work

SPREAD = 0.35  # of the minutes, as a share of their mean
_PRIOR_WEIGHT = 3.0


class Rate(Record):
    """Minutes for one unit of a kind of work: the mean, the spread of the logarithm, and from how many entries.

    `per` is what a unit is, `usual_min` the shop's number.
    """

    work: Work
    per: str
    minutes: float
    usual_min: float
    spread_ln: float
    entries: int


@dataclass(frozen=True)
class Logged:
    """What a step took: its kinds of work with how often each, and the minutes of hands on it."""

    works: tuple[tuple[Work, float], ...]
    minutes: float


def ln_spread(share: float) -> float:
    """The standard deviation of the logarithm of what spreads by a share of its mean.

    >>> round(ln_spread(0.35), 4)
    0.3401
    """
    return math.sqrt(math.log(1 + share * share))


def rates(log: Iterable[Logged]) -> dict[Work, Rate]:
    """A rate for every kind of work, from what was logged.

    An entry of several kinds tells each of them by the same factor, with the weight of its share of the minutes: of a
    step that is nine parts sewing and one part pressing, little is learned of pressing.
    """
    told: dict[Work, list[tuple[float, float]]] = {}
    for entry in log:
        usual = {work: times * MINUTES[work] for work, times in entry.works if times > 0}
        whole = sum(usual.values())
        if whole <= 0 or entry.minutes <= 0:
            continue
        for work, minutes in usual.items():
            told.setdefault(work, []).append((math.log(entry.minutes / whole), minutes / whole))
    return {work: _rate(work, told.get(work, [])) for work in MINUTES}


def _rate(work: Work, told: list[tuple[float, float]]) -> Rate:
    """The normal-gamma after weighed entries: logarithms of how much longer than the shop's number it took."""
    sigma = ln_spread(SPREAD)
    weight = sum(share for _, share in told)
    mean = sum(x * share for x, share in told) / weight if weight else 0.0
    between = sum(share * (x - mean) ** 2 for x, share in told)
    prior = -sigma * sigma / 2  # the shop's number is the mean of the minutes, not of their logarithm
    kappa = _PRIOR_WEIGHT + weight
    mu = (_PRIOR_WEIGHT * prior + weight * mean) / kappa
    alpha = (_PRIOR_WEIGHT + weight) / 2
    beta = _PRIOR_WEIGHT / 2 * sigma * sigma + between / 2 + _PRIOR_WEIGHT * weight * (mean - prior) ** 2 / (2 * kappa)
    spread = math.sqrt(beta / alpha)
    minutes = MINUTES[work] * math.exp(mu + spread * spread / 2)
    return Rate(
        work=work,
        per=PER[work],
        minutes=minutes,
        usual_min=MINUTES[work],
        spread_ln=spread,
        entries=len(told),
    )


class Takes(Record):
    """What a step takes of hands: the mean of the minutes, and the spread of their logarithm."""

    minutes: float
    spread_ln: float


def takes(step: Step, known: Mapping[Work, Rate]) -> Takes:
    """What a step takes: the sum of its works, whose minutes go up and down together, as on one day by one hand."""
    parts = [(times * known[work].minutes, known[work].spread_ln) for work, times in step.works if times > 0]
    whole = step.fixed_min + sum(minutes for minutes, _ in parts)
    if whole <= 0:
        return Takes(minutes=0.0, spread_ln=0.0)
    deviation = sum(minutes * math.sqrt(math.expm1(spread**2)) for minutes, spread in parts)
    deviation += step.fixed_min * SPREAD
    return Takes(minutes=whole, spread_ln=ln_spread(deviation / whole))


def usual_minutes(step: Step) -> float:
    """What a step takes by the shop's pace."""
    return step.fixed_min + sum(MINUTES[work] * times for work, times in step.works)
