"""Where a garment sat on her: its waist high or low, its side seam to the front or the back (model, 6: the seat).

What was seen is of that evening; all that was read was read where it sat. So it is said first, with what favours one
cause or another, and both mends.
"""

from typing import Literal

import numpy as np

from fuseau.craft.base.findings import Change, Finding, Mend, finding, mend
from fuseau.craft.fit.fit import Fit, LevelFit
from fuseau.craft.fitting.inference import Learned
from fuseau.craft.pattern.pattern import Pattern
from fuseau.craft.wearer.garment_kinds import GARMENT_KINDS
from fuseau.craft.wearer.measures import LEVEL_LABELS
from fuseau.document.build import Build
from fuseau.document.fittings import Fitting
from fuseau.planning.fittings.evidence import fittings_of_current, side_seam_off

Cause = Literal["agree", "pushed", "lean", "heights"]
_AGREE_MM = 8.0
_PUSHES_SHARE = 0.5  # of comfort
_LEANS_MM = 12.0
_LET_OUT_MM = 2.5  # on each panel edge of the side seam, where a level pushes: a centimetre round


def check_seat(build: Build, learned: Learned | None, pattern: Pattern, mock_up: Fit) -> list[Finding]:
    """What the last fitting of the present version said of where it sat; nothing where it sat right, or on a collar."""
    here = fittings_of_current(build)
    if learned is None or not here or GARMENT_KINDS[build.kind].tied:
        return []
    return [*_waist(build, here[-1], learned, pattern, mock_up), *_side_seam(build, here[-1])]


def _side_seam(build: Build, fitting: Fitting) -> list[Finding]:
    off = side_seam_off(build)
    if not off or fitting.swings_mm is None:
        return []
    return [
        finding(
            "side_seam_hung",
            "mockups",
            "caution",
            where="Side seam",
            numbers={"off_mm": abs(off)},
            said="side_seam_hung.front" if off > 0 else "side_seam_hung.back",
            fitting=fitting.number,
        )
    ]


def _waist(build: Build, fitting: Fitting, learned: Learned, pattern: Pattern, mock_up: Fit) -> list[Finding]:
    off = fitting.rides_mm or 0.0
    if abs(off) < build.practice.waist_off_mm:
        return []
    pushes = _pushing(mock_up, high=off > 0)
    cause = _cause(build, fitting, learned, pushes)
    moved, let_out = _moved(off), _let_out(build, pattern, pushes)
    chosen = bool(build.draft.waist_mm) or _lets_out(build, pattern, pushes)
    mends: list[Mend | None] = [] if chosen else [let_out, moved] if cause == "pushed" else [moved, let_out]
    if cause == "lean":  # it is laced again before anything is changed
        mends = [None, *mends]
    where = LEVEL_LABELS["waist"]
    found = [
        finding(
            "waist_sat",
            "mockups",
            "advice" if chosen else "caution",
            where=where,
            numbers={"off_mm": abs(off)},
            mend=mends[0] if mends else None,
            said=f"waist_sat.{'high' if off > 0 else 'low'}.{'chosen' if chosen else cause}",
            fitting=fitting.number,
            level=pushes.name if pushes else "waist",
        )
    ]
    others = (mend for mend in mends[1:] if mend is not None)
    return found + [
        finding("waist_sat_or", "mockups", "advice", where=where, mend=other, said="waist_sat.or") for other in others
    ]


def _pushing(mock_up: Fit, *, high: bool) -> LevelFit | None:
    """The level that pushes it up or down: of those below the waist, or above it, the one pressed the most."""
    beyond = [
        level
        for level in mock_up.levels
        if (level.z_mm < -1 if high else level.z_mm > 1) and level.pressure_kpa is not None
    ]
    return max(beyond, key=_share, default=None)


def _share(fit: LevelFit) -> float:
    return (fit.pressure_kpa or 0.0) / fit.comfort_kpa


def _cause(build: Build, fitting: Fitting, learned: Learned, pushes: LevelFit | None) -> Cause:
    """What the readings and the earlier fittings favour."""
    off = fitting.rides_mm or 0.0
    earlier = [one.rides_mm for one in build.fittings if one.number < fitting.number and one.rides_mm is not None]
    if any(abs(one - off) <= _AGREE_MM for one in earlier):
        return "agree"
    if pushes is not None and _share(pushes) >= _PUSHES_SHARE:
        return "pushed"
    read = [reading for reading in learned.readings if reading.fitting == fitting.number]
    if len(read) >= 3:
        z = np.array([one.z_mm for one in read])
        tilt = float(np.polyfit(z, [one.read_mm for one in read], 1)[0]) * float(np.ptp(z))
        if tilt * np.sign(off) > _LEANS_MM:  # drawn together first at the end that it rode away from
            return "lean"
    return "heights"


def _moved(off_mm: float) -> Mend:
    by = round(off_mm)
    code = "mend.waist_down" if by > 0 else "mend.waist_up"
    return mend(code, Change(at="draft.waist_mm", value=-by), by_mm=float(abs(by)))


def _lets_out(build: Build, pattern: Pattern, pushes: LevelFit | None) -> bool:
    """Whether she lets the level that pushes out already."""
    side = [edit for edit in build.line_edits if edit.seam == pattern.front_panels]
    return any(pushes is not None and one.level == pushes.name and one.cf_side_mm + one.cb_side_mm > 0 for one in side)


def _let_out(build: Build, pattern: Pattern, pushes: LevelFit | None) -> Mend | None:
    """The level that pushes let out at the side seam."""
    if pushes is None or build.current is None or pushes.name not in pattern.stations_named():
        return None
    line = {
        "version": build.current.number,
        "seam": pattern.front_panels,
        "level": pushes.name,
        "cf_side_mm": _LET_OUT_MM,
        "cb_side_mm": _LET_OUT_MM,
    }
    change = Change(at=f"line_edits.{len(build.line_edits)}", value=line)
    return mend("mend.let_out_level", change, level=pushes.name, by_mm=4 * _LET_OUT_MM)
