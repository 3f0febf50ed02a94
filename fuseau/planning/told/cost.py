"""What a garment costs in material: by kind, and in all (model, section 19)."""

from fuseau.craft.base.record import Record
from fuseau.craft.stock.prices import rough_price
from fuseau.document.build import Build
from fuseau.planning.plan import Plan
from fuseau.planning.told.needs import needs_of


class Cost(Record):
    """What goes into it, about: mock-ups as noted, cloth with what falls off, bones, all else that is bought, trims.

    `behind`: so much of what bones cost is those of the panel behind the lacing. Spares and what is left in packs are
    not in it: those are bought, not worn.
    """

    mock_ups: float
    cloth: float
    bones: float
    behind: float
    hardware: float
    trims: float

    @property
    def parts(self) -> dict[str, float]:
        """What each kind comes to, by its name; what costs nothing is left out."""
        parts = {
            "mock-ups": self.mock_ups,
            "cloth": self.cloth,
            "bones in channels and behind" if self.behind else "bones": self.bones,
            "closures, lace and tapes": self.hardware,
            "trims": self.trims,
        }
        return {name: amount for name, amount in parts.items() if amount}

    @property
    def in_all(self) -> float:
        """The sum of all."""
        return sum(self.parts.values())


def cost_of(build: Build, planned: Plan) -> Cost:
    """What a build's garment comes to as it is planned; nothing but mock-ups while nothing is drafted."""
    behind = planned.modesty.bones_price if planned.modesty else 0.0
    bought = (need for need in needs_of(build, planned, {}, ()) if need.article.sort != "trim")
    return Cost(
        mock_ups=sum(fitting.cost or 0.0 for fitting in build.fittings),
        cloth=planned.layers.price if planned.layers else 0.0,
        bones=(planned.boning.price if planned.boning else 0.0) + behind,
        behind=behind,
        hardware=sum(rough_price(need.article, need.amount - need.spares) for need in bought if not need.hers),
        trims=planned.trims.price if planned.trims else 0.0,
    )
