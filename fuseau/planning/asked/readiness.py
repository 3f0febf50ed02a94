"""The odds that the real garment fits if it were cut now, and what would raise them: worked out when asked for."""

from collections.abc import Callable
from dataclasses import dataclass

from fuseau.craft.fit.fit import Lacing
from fuseau.craft.fitting.inference import Belief
from fuseau.craft.fitting.readiness import Raise, Readiness, Wish
from fuseau.craft.fitting.value_of_information import raises
from fuseau.craft.wearer.garment_kinds import GARMENT_KINDS
from fuseau.document.build import Build
from fuseau.planning.cache import StageCache
from fuseau.planning.fittings.odds import OddsInputs, work_out_odds
from fuseau.planning.garment.lacings import edge_of, mock_up_lacing
from fuseau.planning.pipeline import believed, plan
from fuseau.planning.stages.bones import STIFF


@dataclass(frozen=True)
class RaiseInputs:
    """What would raise the odds follows from."""

    belief: Belief
    final: Lacing
    mock_up: Lacing
    stiff_n_m2: float
    wish: Wish
    probability: float
    stiff_label: str


def find_raises(inputs: RaiseInputs) -> tuple[Raise, ...]:
    """Ways to better odds, the best first."""
    return raises(
        belief=inputs.belief,
        final=inputs.final,
        mock_up=inputs.mock_up,
        stiff_n_m2=inputs.stiff_n_m2,
        wish=inputs.wish,
        now=inputs.probability,
        stiff_label=inputs.stiff_label,
    )


def ready(
    build: Build, *, cache: StageCache | None = None, tell: Callable[[float], None] = lambda share: None
) -> Readiness | None:
    """The odds that the real garment fits if cut now: from the version proposed, else the present one or the draft.

    None while nothing is drafted. About half a second; `tell` hears which share is done.
    """
    cache = cache or StageCache()
    planned = plan(build, cache=cache)
    tell(0.15)
    if planned.pattern is None or planned.aim is None or planned.body is None:
        return None
    belief, _ = believed(build, cache)
    proposal, current = planned.proposal, build.current
    pattern = proposal.pattern if proposal else current.pattern if current else planned.drafted
    assert pattern is not None
    inputs = OddsInputs.of(build, belief, planned.body, planned.aim, pattern)
    readiness = cache.run(work_out_odds, inputs)
    tell(0.5)
    if GARMENT_KINDS[build.kind].tied or not build.back.laced:
        return readiness
    better = cache.run(
        find_raises,
        RaiseInputs(
            belief=belief,
            final=inputs.final,
            mock_up=mock_up_lacing(build, pattern),
            stiff_n_m2=edge_of(build, STIFF),
            wish=inputs.wish,
            probability=readiness.probability,
            stiff_label=build.bone_kinds[STIFF].label,
        ),
    )
    return readiness.model_copy(update={"raises": better})
