"""What the last fitting showed, in a line: its gap against the one that was foreseen for the same garment.

A mock-up of another cloth does not gap as the final will, and is told against what was foreseen of it; what is finished
against the wish.
"""

import numpy as np

from fuseau.craft.base.curves import Array
from fuseau.craft.base.findings import Message, message
from fuseau.craft.fitting.inference import Belief
from fuseau.document.build import Build
from fuseau.document.fittings import Fitting
from fuseau.planning.fittings.evidence import fittings_of_current

_TILTS_MM = 8.0
_AS_FORESEEN_MM = 4.0
_MET_MM = 2.0


def headline(build: Build, belief: Belief, zero: str) -> Message:
    """The line over the last fitting of the present version; without one, that it is to be made or tried on.

    `zero` is how the line is called that heights are taken from.
    """
    current, here = build.current, fittings_of_current(build)
    if current is None:
        return message("headline.draft")
    if not here:
        return message("headline.ready", version=current.number)
    last = here[-1]
    if not build.back.laced and last.made_of.closing != "laced":
        return _of_pins(last, zero)
    if not last.readings:
        return message("headline.unread", fitting=last.number)
    heights = np.array([reading.z_mm for reading in last.readings])
    gaps = np.array([reading.gap_mm for reading in last.readings])
    if not build.back.laced:
        at = int(np.argmin(np.abs(heights)))
        return message("headline.laced", gap_mm=float(gaps[at]), zero=zero)
    of = "final" if last.finished else "mock_up"
    off = gaps - _foreseen(build, belief, last)
    tilt = float(off[np.argmax(heights)] - off[np.argmin(heights)])
    at = int(np.argmin(np.abs(heights)))
    given: dict[str, float | str] = {"gap_mm": float(gaps[at]), "off_mm": abs(float(off[at])), "zero": zero}
    if abs(tilt) > _TILTS_MM:
        return message(f"headline.{of}.{'top' if tilt > 0 else 'bottom'}", tilt_mm=abs(tilt))
    if abs(float(off[at])) < _AS_FORESEEN_MM:
        return message(f"headline.{of}.as_foreseen", **given)
    return message(f"headline.{of}.{'wider' if off[at] > 0 else 'narrower'}", **given)


def _foreseen(build: Build, belief: Belief, read: Fitting) -> Array:
    """The gaps foreseen before the last fitting, by its readings; as wished, of what is finished or tied."""
    known = belief.foreknown_mm if read is build.fittings[-1] and not read.finished else None
    if known is None or len(known) != len(read.readings):
        return np.full(len(read.readings), build.gap_mm)
    return known


def _of_pins(fitting: Fitting, zero: str) -> Message:
    if not fitting.readings:
        return message("headline.pinned", fitting=fitting.number)
    waist = min(fitting.readings, key=lambda reading: abs(reading.z_mm)).gap_mm
    if abs(waist) < _MET_MM:
        return message("headline.met", zero=zero)
    return message("headline.inside" if waist < 0 else "headline.apart", off_mm=abs(waist), zero=zero)
