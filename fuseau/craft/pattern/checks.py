"""What the body says against a pattern's lines and gap (model, sections 2 and 4; handbook, section 5)."""

from collections.abc import Sequence

from fuseau.craft.base.findings import Change, Finding, finding, mend
from fuseau.craft.pattern.pattern import Pattern
from fuseau.craft.pattern.trueing import TruedSeam
from fuseau.craft.wearer.body import Body

MOST_TRUED_MM = 10.0


def check_trueing(seams: Sequence[TruedSeam], panels: int) -> list[Finding]:
    """Seams whose two sides differed by more than a centimetre before they were trued: one edge takes too much in."""
    found = []
    for seam in seams:
        off = seam.cf_side_before_mm - seam.cb_side_before_mm
        if abs(off) <= MOST_TRUED_MM:
            continue
        more = panels + 1
        found.append(
            finding(
                "seam_uneven",
                "pattern",
                "caution",
                at="draft.panels",
                where=f"Seam {seam.seam}",
                numbers={"off_mm": abs(off)},
                mend=mend("mend.panels", Change(at="draft.panels", value=more), panels=more) if more <= 9 else None,
                said="seam_uneven.behind" if off < 0 else "seam_uneven",
                seam=seam.seam,
            )
        )
    return found


def check_lines(pattern: Pattern, body: Body, lap_mm: float | None) -> list[Finding]:
    """A hem that meets the lap when sitting (`lap_mm` below the waist), and a top line above the last girth taken."""
    findings = []
    if lap_mm is not None and -pattern.hem.cf_mm > lap_mm - 10:
        better = lap_mm - 20
        findings.append(
            finding(
                "hem_on_lap",
                "pattern",
                "caution",
                at="draft.hem.cf_mm",
                where="Hem at CF",
                numbers={"hem_mm": -pattern.hem.cf_mm, "lap_mm": lap_mm},
                mend=mend("mend.hem_at", Change(at="draft.hem.cf_mm", value=better), height_mm=better),
            )
        )
    highest = body.levels[-1]
    over = pattern.top.side_mm - highest.side_mm
    if body.zero == "neck_base":
        return [*findings, *_check_collar(pattern, body)]
    if over > 45:
        findings.append(
            finding(
                "top_above_measures",
                "pattern",
                "caution",
                at="draft.top.side_mm",
                where="Top line",
                numbers={"over_mm": over},
                level=highest.name,
            )
        )
    return findings


def _check_collar(pattern: Pattern, body: Body) -> list[Finding]:
    """A collar that meets the jaw, or ends below the collarbone."""
    findings = []
    jaw, bone = body["upper_neck"], body["collarbone"]
    for place, limit in (("cf_mm", jaw.front_mm), ("side_mm", jaw.side_mm)):
        top = getattr(pattern.top, place)
        if top > limit - 6:
            better = max(limit - 12, 12)
            findings.append(
                finding(
                    "meets_jaw",
                    "pattern",
                    "caution",
                    at=f"draft.top.{place}",
                    where="Top line",
                    numbers={"top_mm": top, "jaw_mm": limit},
                    mend=mend("mend.top_at", Change(at=f"draft.top.{place}", value=better), height_mm=better),
                )
            )
    if pattern.hem.cf_mm < bone.front_mm - 5:
        findings.append(
            finding(
                "below_collarbone",
                "pattern",
                "advice",
                at="draft.hem.cf_mm",
                where="Hem at CF",
                numbers={"hem_mm": pattern.hem.cf_mm, "collarbone_mm": bone.front_mm},
                below_mm=bone.front_mm - pattern.hem.cf_mm,
            )
        )
    return findings
