"""What the body says against a pattern's lines and gap (model, sections 2 and 4; handbook, section 5)."""

import numpy as np

from fuseau.craft.base.findings import Change, Finding, Mend
from fuseau.craft.base.lengths import Unit, format_length
from fuseau.craft.base.record import Unmakeable
from fuseau.craft.pattern.pattern import Pattern
from fuseau.craft.wearer.body import Body
from fuseau.craft.wearer.measures import LEVEL_LABELS


def check_gap(gap_mm: float, pattern: Pattern, unit: Unit) -> None:
    """Raises Unmakeable at `target.gap_mm` for a gap wider than the back panels."""
    back = 2 * float(pattern.shape.widths(np.array([0.0]))[0, -1])
    if gap_mm > back:
        raise Unmakeable(
            "target.gap_mm",
            f"A gap of {format_length(gap_mm, unit)} is wider than the two back panels together: "
            f"0 to {format_length(back, unit)}.",
        )


def check_lines(pattern: Pattern, body: Body, lap_mm: float | None, unit: Unit) -> list[Finding]:
    """A hem that meets the lap when sitting (`lap_mm` below the waist), and a top line above the last girth taken."""
    findings = []
    if lap_mm is not None and -pattern.hem.cf_mm > lap_mm - 10:
        better = lap_mm - 20
        findings.append(
            Finding(
                code="hem_on_lap",
                stage="pattern",
                severity="caution",
                at="draft.hem.cf_mm",
                where="Hem at CF",
                sentence=f"Sitting, the lap is {format_length(lap_mm, unit)} below the waist and the hem "
                f"{format_length(-pattern.hem.cf_mm, unit)}: it would push up.",
                numbers={"hem_mm": -pattern.hem.cf_mm, "lap_mm": lap_mm},
                mend=Mend(
                    label=f"Hem at {format_length(better, unit)}",
                    changes=(Change(at="draft.hem.cf_mm", value=better),),
                ),
            )
        )
    highest = body.levels[-1]
    over = pattern.top.side_mm - highest.side_mm
    if body.zero == "neck_base":
        return [*findings, *_check_collar(pattern, body, unit)]
    if over > 45:
        findings.append(
            Finding(
                code="top_above_measures",
                stage="pattern",
                severity="caution",
                at="draft.top.side_mm",
                where="Top line",
                sentence=f"The top line lies {format_length(over, unit)} above the "
                f"{LEVEL_LABELS[highest.name].lower()}, where no girth is measured: it goes straight on from there.",
                numbers={"over_mm": over},
            )
        )
    return findings


def _check_collar(pattern: Pattern, body: Body, unit: Unit) -> list[Finding]:
    """A collar that meets the jaw, or ends below the collarbone."""
    findings = []
    jaw, bone = body["upper_neck"], body["collarbone"]
    for place, limit in (("cf_mm", jaw.front_mm), ("side_mm", jaw.side_mm)):
        top = getattr(pattern.top, place)
        if top > limit - 6:
            better = max(limit - 12, 12)
            findings.append(
                Finding(
                    code="meets_jaw",
                    stage="pattern",
                    severity="caution",
                    at=f"draft.top.{place}",
                    where="Top line",
                    sentence=f"The top line stands {format_length(top, unit)} above the neck base and the jaw begins "
                    f"at {format_length(limit, unit)}: it would press under the jaw or ear.",
                    numbers={"top_mm": top, "jaw_mm": limit},
                    mend=Mend(
                        label=f"Top at {format_length(better, unit)}",
                        changes=(Change(at=f"draft.top.{place}", value=better),),
                    ),
                )
            )
    if pattern.hem.cf_mm < bone.front_mm - 5:
        findings.append(
            Finding(
                code="below_collarbone",
                stage="pattern",
                severity="advice",
                at="draft.hem.cf_mm",
                where="Hem at CF",
                sentence=f"In front the collar ends {format_length(bone.front_mm - pattern.hem.cf_mm, unit)} below the "
                "collarbone, where no girth is measured.",
                numbers={"hem_mm": pattern.hem.cf_mm, "collarbone_mm": bone.front_mm},
            )
        )
    return findings
