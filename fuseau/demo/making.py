"""A demo build in the middle of being sewn: steps done one evening after the other, with what they took."""

import datetime

import numpy as np

from fuseau.commands.make import do, log
from fuseau.craft.making.hours import Hours
from fuseau.craft.making.rates import SPREAD, ln_spread
from fuseau.craft.making.steps import StepKey
from fuseau.craft.stock.cut_choices import CutDone
from fuseau.document.build import Build
from fuseau.planning.pipeline import plan
from fuseau.planning.stages.make import make_up

_HER_PACE = 1.15  # of the shop's minutes
_NOTES = {
    "mark": "tailor's tacks at the waist, the chalk is gone after one press",
    "front": "knob side took three goes",
    "join 3-4": "eased 4 mm at the bust",
}
_MISHAPS = {"join 2-3": "sewn upside down, unpicked"}


def sew(build: Build, until: StepKey, today: datetime.date, seed: int) -> Build:
    """The build with every cloth cut and every step done up to one, in the evenings before today."""
    planned = plan(build)
    cut = {
        ply.cloth: CutDone(on=today - datetime.timedelta(days=12), version=len(build.versions), pieces=12)
        for ply in build.layers.plies
    }
    build = build.model_copy(update={"cut": build.cut.model_copy(update={"done": cut})})
    seen = make_up(build, planned)
    steps = seen.order[: seen.order.index(until)]
    minutes = {step.step.key: step.minutes for step in seen.steps}
    chance, hours = np.random.default_rng(seed), Hours()
    day, left = today - datetime.timedelta(days=11), 0.0
    for key in steps:
        took = float(minutes[key] * _HER_PACE * np.exp(ln_spread(SPREAD) * chance.normal()))
        while left <= 0 and day < today - datetime.timedelta(days=1):
            day += datetime.timedelta(days=1)
            left += hours.on(day)
        left -= took
        build = do(build, planned, key, day, "cm")
        entry = {
            "step": key,
            "minutes": max(1, round(took)),
            "on": day.isoformat(),
            "note": _NOTES.get(key, ""),
            "mishap": _MISHAPS.get(key, ""),
        }
        build = log(build, planned, entry, today, "cm")
    return build
