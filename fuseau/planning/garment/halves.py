"""Both halves of a garment as they lie flat, where they are alike and where they differ (model, 8 and 9)."""

from collections.abc import Sequence
from dataclasses import dataclass

from fuseau.craft.pattern.trueing import Laid, Point


@dataclass(frozen=True)
class Halves:
    """The right half laid flat, and the left one where it is cut otherwise."""

    right: Laid
    left: Laid | None = None

    @property
    def both(self) -> tuple[Laid, Laid]:
        """Right and left."""
        return self.right, self.left or self.right


def where_they_meet(edges: Sequence[tuple[Point, ...]]) -> tuple[float, float]:
    """From where to where edges that close on each other lie side by side: heights, mm."""
    return max(edge[0][1] for edge in edges), min(edge[-1][1] for edge in edges)
