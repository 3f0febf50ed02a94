"""The alteration that takes another back."""

from fuseau.craft.pattern.alterations import Alteration, SeamChange
from fuseau.craft.pattern.pattern import Pattern


def inverse(change: Alteration, before: Pattern) -> Alteration:
    """The alteration that brings back `before`."""
    return Alteration(
        seams=tuple(
            SeamChange(
                seam=one.seam,
                cf_side_mm=tuple(-amount for amount in one.cf_side_mm),
                cb_side_mm=tuple(-amount for amount in one.cb_side_mm),
            )
            for one in change.seams
        ),
        top=before.top if change.top else None,
        hem=before.hem if change.hem else None,
    )
