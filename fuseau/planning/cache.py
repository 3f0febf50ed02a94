"""What stages came to, kept under the records that they came from."""

from collections.abc import Callable
from typing import Any, TypeVar

Inputs = TypeVar("Inputs")
Result = TypeVar("Result")


class StageCache:
    """The last results of every stage, each kept under its record of inputs.

    A stage is a function of one frozen record, so equal records have equal results and nothing is ever stale. The app
    keeps one cache for each open build; `plan` without one keeps nothing. Not for several threads at once.
    """

    def __init__(self, most: int = 8) -> None:
        self._most = most
        self._results: dict[Callable[..., Any], list[tuple[Any, Any]]] = {}
        self.runs = 0

    def run(self, stage: Callable[[Inputs], Result], inputs: Inputs) -> Result:
        """The result of `stage(inputs)`, worked out only where it is not among the last `most` of that stage.

        What the stage raises goes through, and is not kept.
        """
        known = self._results.setdefault(stage, [])
        for i, (before, result) in enumerate(known):
            if before == inputs:
                known.insert(0, known.pop(i))
                found: Result = result
                return found
        self.runs += 1
        made = stage(inputs)
        known.insert(0, (inputs, made))
        del known[self._most :]
        return made
