"""Results of a plan's stages, kept with the inputs they came from."""

from collections.abc import Callable
from typing import Any, TypeVar

Result = TypeVar("Result")


class Kept:
    """Results of stages with the inputs they came from, so that a stage whose inputs stand is not run again.

    One Kept belongs to one caller (the app keeps one per open build); plan() without one keeps nothing.
    """

    def __init__(self) -> None:
        self._stages: dict[str, tuple[tuple[Any, ...], Any]] = {}

    def stage(self, name: str, run: Callable[..., Result], *inputs: Any) -> Result:
        """The result of run(*inputs), reused when the stage last ran with equal inputs."""
        known = self._stages.get(name)
        if known is not None and known[0] == inputs:
            result: Result = known[1]
            return result
        result = run(*inputs)
        self._stages[name] = (inputs, result)
        return result
