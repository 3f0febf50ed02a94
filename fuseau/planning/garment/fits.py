"""The fit's stage: a garment settled on a body, worked out once for every garment and body that are asked for."""

from dataclasses import dataclass

from fuseau.craft.fit.fit import Fit, Lacing, fit
from fuseau.craft.fitting.inference import Belief, Foreseen, foresee
from fuseau.craft.wearer.body import Body


@dataclass(frozen=True)
class FitInputs:
    """What a fit follows from."""

    lacing: Lacing
    body: Body


def settle_fit(inputs: FitInputs) -> Fit:
    """How the garment sits. Raises Unsettled."""
    return fit(inputs.lacing, inputs.body)


@dataclass(frozen=True)
class ForeseeInputs:
    """What is expected of the next trying-on follows from."""

    belief: Belief
    mock_up: Lacing


def foresee_mock_up(inputs: ForeseeInputs) -> Foreseen:
    """The next mock-up as expected, with spreads. Raises Unsettled."""
    return foresee(inputs.belief, inputs.mock_up, mock_up=True)
