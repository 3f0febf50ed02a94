"""Plans for tests: the same stages are not worked out again from test to test.

That what is kept is what is worked out anew is proved in `tests/planning/test_cache.py`, which plans without it.
"""

from fuseau.document.build import Build
from fuseau.planning import pipeline
from fuseau.planning.cache import StageCache
from fuseau.planning.plan import Plan

KEPT = StageCache(most=16)


def plan(build: Build, *, cache: StageCache | None = None) -> Plan:
    """Everything that follows from a build."""
    return pipeline.plan(build, cache=cache or KEPT)
