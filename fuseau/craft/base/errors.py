"""What the craft raises: one base class, and its few kinds."""

from typing import Any

from fuseau.craft.base.findings import Given, Message, message


class CraftError(ValueError):
    """What can't be done, as a message without words; `at` is the dotted path of the field in the Build."""

    def __init__(self, at: str, code: str, **given: Given) -> None:
        self.at = at
        self.message: Message = message(code, **given)
        super().__init__(f"{code} at {at}: {given}" if given else f"{code} at {at}")

    def __reduce__(self) -> tuple[Any, ...]:
        """As it was made, so that a worker process can raise it to the server."""
        return _made, (type(self), self.at, self.message.code, dict(self.message.given))


def _made(kind: type[CraftError], at: str, code: str, given: dict[str, Given]) -> CraftError:
    return kind(at, code, **given)


class Unmakeable(CraftError):
    """A decision with which the garment cannot be made."""


class Unsettled(CraftError):
    """The laced garment has no balance on this body that could be found."""
