"""What a garment costs in material: by kind, and in all (model, section 19)."""

from fuseau.craft.base.record import Record
from fuseau.craft.stock.prices import rough_price
from fuseau.document.build import Build
from fuseau.planning.plan import Plan
from fuseau.planning.told.needs import needs_of


class Cost(Record):
    """What goes into it, about: mock-ups as noted, cloth with what falls off, bones, all else that is bought, trims.

    Spares and what is left in packs are not in it: those are bought, not worn.
    """

    mock_ups: float
    cloth: float
    bones: float
    hardware: float
    trims: float

    @property
    def in_all(self) -> float:
        """The sum of all."""
        return self.mock_ups + self.cloth + self.bones + self.hardware + self.trims


def cost_of(build: Build, planned: Plan) -> Cost:
    """What a build's garment comes to as it is planned; nothing but mock-ups while nothing is drafted."""
    bought = (need for need in needs_of(build, planned, {}, ()) if need.article.sort != "trim")
    return Cost(
        mock_ups=sum(fitting.cost or 0.0 for fitting in build.fittings),
        cloth=planned.layers.price if planned.layers else 0.0,
        bones=(planned.boning.price if planned.boning else 0.0)
        + (planned.modesty.bones_price if planned.modesty else 0.0),
        hardware=sum(rough_price(need.article, need.amount - need.spares) for need in bought if not need.hers),
        trims=planned.trims.price if planned.trims else 0.0,
    )
