"""What the craft raises: one base class, and its few kinds."""

from fuseau.craft.base.findings import Given, Message, message


class CraftError(ValueError):
    """What can't be done, as a message without words; `at` is the dotted path of the field in the Build."""

    def __init__(self, at: str, code: str, **given: Given) -> None:
        self.at = at
        self.message: Message = message(code, **given)
        super().__init__(f"{code} at {at}: {given}" if given else f"{code} at {at}")


class Unmakeable(CraftError):
    """A decision with which the garment cannot be made."""


class Unsettled(CraftError):
    """The laced garment has no balance on this body that could be found."""
