"""One verdict: what it rests on, and what it does not say before anybody looked."""

import pytest

from fuseau.craft.fitting.ambiguity import Ambiguity
from fuseau.planning.asked.readiness import ready
from fuseau.planning.fittings.evidence import fittings_of_current
from fuseau.planning.fittings.verdict import verdict
from tests.cases.told import accepted, cut, read
from tests.kinds import built

UNSURE = Ambiguity(fitting=1, causes=("body", "pull"), doubt_mm=8.0, cheapest="a tape over it", left_mm=2.0)


@pytest.mark.parametrize("kind", ["underbust corset", "overbust corset"])
def test_measure_first_is_said_of_a_version_that_was_tried_on_and_of_no_other(kind):
    first = read(by=12)(cut(built(kind)))
    second = accepted(first)
    assert [len(fittings_of_current(build)) for build in (first, second)] == [1, 0]
    odds = ready(first).model_copy(update={"advice": "one more mock-up"})
    of_the_first = verdict(first, odds, True, UNSURE)
    assert (of_the_first.word, of_the_first.sentence.code) == ("measure first", "verdict.measure")
    assert verdict(second, odds, False, UNSURE).word == "try it on"
    assert verdict(second, odds, True, UNSURE).word == "one more mock-up"
