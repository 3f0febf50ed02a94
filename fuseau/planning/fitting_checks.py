"""Findings on the fittings: what she could not do in it, what a mock-up could not tell, what does not go together."""

import numpy as np

from fuseau.craft.base.findings import Change, Finding, Mend, Severity
from fuseau.craft.base.lengths import Unit, format_length
from fuseau.craft.fit.fit import fit
from fuseau.craft.fitting.inference import Learned, infer
from fuseau.craft.pattern.pattern import EdgeLine, Pattern
from fuseau.craft.wearer.body import Body
from fuseau.craft.wearer.measures import LEVEL_LABELS
from fuseau.document.build import Build
from fuseau.document.fittings import Fitting, Test
from fuseau.planning.fitted import fittings_of_current, stale_versions
from fuseau.planning.observations import tried_on, widened
from fuseau.planning.plan import Proposal

_SPREADS_OFF = 3.0
_FLIPPED_SHARE = 0.5  # upside down, what is left of the differences has to be less than this
_FLIPPED_MM = 8.0
_STEP_MM = 10.0


def check_fittings(
    build: Build,
    learned: Learned | None,
    proposal: Proposal | None,
    pattern: Pattern,
    flipped: int | None,
    unit: Unit,
) -> list[Finding]:
    """What the fittings say beside the gap; `flipped` is a fitting read upside down. Nothing without fittings."""
    if learned is None:
        return []
    here = fittings_of_current(build)
    last = here[-1] if here else None
    return [
        *_upside_down(flipped),
        *_contradictions(learned, flipped, unit),
        *_stale(build),
        *([] if last is None else [*_lacking(build, last), *_movements(build, last, pattern)]),
        *_left(build, proposal, unit),
    ]


def read_upside_down(build: Build, measured: Body) -> int | None:
    """The number of the last fitting, if its gaps go with all that was known before it only from the other end."""
    tried = tried_on(build, measured)
    if not tried or len(tried[-1].z_mm) < 3:
        return None
    last = tried[-1]
    expected = fit(last.lacing, infer(measured, tried[:-1]).body)
    off = np.array([expected.gap_at(z) for z in last.z_mm])
    order = np.argsort(last.z_mm)
    plain = float(np.sqrt(np.mean((last.gap_mm - off) ** 2)))
    turned = float(np.sqrt(np.mean((last.gap_mm[order][::-1] - off[order]) ** 2)))
    return last.number if plain > _FLIPPED_MM and turned < _FLIPPED_SHARE * plain else None


def _upside_down(number: int | None) -> list[Finding]:
    if number is None:
        return []
    return [
        Finding(
            code="upside_down",
            stage="mockups",
            severity="caution",
            where=f"Fitting {number}",
            sentence=f"The gaps of fitting {number} go with the rest if top and bottom are exchanged: were they "
            "written from the other end? Correct the fitting if so.",
        )
    ]


def _contradictions(learned: Learned, flipped: int | None, unit: Unit) -> list[Finding]:
    """Readings that do not go with the rest (over 3 spreads): named, never silently averaged."""
    return [
        Finding(
            code="reading_contradicts",
            stage="mockups",
            severity="caution",
            where=f"Fitting {reading.fitting}",
            sentence=f"In fitting {reading.fitting} the gap of "
            f"{format_length(reading.read_mm, unit, hardware=True)} at "
            f"{format_length(reading.z_mm, unit)} does not go with the rest, which expect "
            f"{format_length(reading.expected_mm, unit, hardware=True)}: read it again.",
            numbers={"read_mm": reading.read_mm, "expected_mm": reading.expected_mm},
        )
        for reading in learned.readings
        if reading.spreads_off > _SPREADS_OFF and reading.fitting != flipped
    ]


def _stale(build: Build) -> list[Finding]:
    stale = stale_versions(build)
    current = build.current
    if current is None or current.number not in stale:
        return []
    fitting = stale[current.number]
    return [
        Finding(
            code="stale_version",
            stage="mockups",
            severity="caution",
            where=f"Version {current.number}",
            sentence=f"Version {current.number} goes back to fitting {fitting}, which was corrected afterwards. "
            "What is believed now is in the change below.",
        )
    ]


def _lacking(build: Build, fitting: Fitting) -> list[Finding]:
    """What the mock-up could not tell."""
    found: list[tuple[str, str]] = []
    if fitting.made_of.closing == "open":
        found.append(
            (
                "unlaced",
                "It was not laced: gap and pressure meant nothing, so only edges and movement were taken from it.",
            )
        )
    elif widened(build, fitting) > 1:
        lacks = [
            *([] if fitting.made_of.boned else ["had no bones"]),
            *(["was of a cloth much thinner than the final one"] if _thin(build, fitting) else []),
        ]
        found.append(("poor_mock_up", f"It {' and '.join(lacks)}: what was read counts for less."))
    if not fitting.readings and fitting.says_anything and fitting.made_of.closing != "open":
        found.append(("words_only", "No gap was read: words alone say little. Three gaps would say much more."))
    return [
        Finding(
            code=code,
            stage="mockups",
            severity="advice",
            where=f"Fitting {fitting.number}",
            sentence=f"Fitting {fitting.number}: {sentence[0].lower()}{sentence[1:]}",
        )
        for code, sentence in found
    ]


def _thin(build: Build, fitting: Fitting) -> bool:
    return fitting.made_of.stack.strength_mm < build.layers.strength_mm / 2


def _lowered(build: Build, line: EdgeLine, edge: str, place: str, by_mm: float) -> Change:
    """A top line or hem moved at a place: the field of the draft, which counts away from the zero line."""
    field = {"CF": "cf_mm", "side": "side_mm", "CB": "cb_mm"}[place]
    height = getattr(line, field) - by_mm
    return Change(at=f"draft.{edge}.{field}", value=round(max(10.0, height if edge == "top" else -height), 1))


def _movements(build: Build, fitting: Fitting, pattern: Pattern) -> list[Finding]:
    """What she could not do, or only with trouble, and what would let her."""
    return [
        _movement(build, fitting, one.test, one.went == "not", pattern) for one in fitting.moved if one.went != "well"
    ]


def _movement(build: Build, fitting: Fitting, test: Test, never: bool, pattern: Pattern) -> Finding:
    severity: Severity = "caution"
    at = fitting.number
    step = 2 * _STEP_MM if never else _STEP_MM
    mend: Mend | None = None
    if test == "sit":
        said = "She can't sit in it" if never else "Sitting pushes it up"
        why = "the hem at CF comes down on her lap"
        mend = Mend(label="Raise the hem at CF", changes=(_lowered(build, pattern.hem, "hem", "CF", -step),))
    elif test == "bend":
        said = "She can't bend in it" if never else "Bending is hard"
        why = "the front is long: a shorter hem at CF frees it"
        mend = Mend(label="Raise the hem at CF", changes=(_lowered(build, pattern.hem, "hem", "CF", -step),))
    elif test == "raise arms":
        said = "She can't raise her arms" if never else "Raising her arms lifts it"
        why = "the top line is high at the side"
        mend = Mend(
            label="Lower the top line at the side", changes=(_lowered(build, pattern.top, "top", "side", step),)
        )
    elif test == "turn the head":
        said = "She can't turn her head" if never else "Turning her head is hard"
        why = "the top line is high at the front"
        mend = Mend(label="Lower the top line at CF", changes=(_lowered(build, pattern.top, "top", "CF", step),))
    elif test == "breathe":
        share = build.target.shares.get("underbust", build.practice.share_underbust)
        severity = "stop" if never else "caution"
        said = "She can't breathe deeply in it" if never else "A deep breath is hard"
        why = "loosen it now, and plan less pull over the ribs. Stop at pain, numbness or breathlessness"
        changes = tuple(
            Change(at=f"target.shares.{level}", value=round(max(0.1, share - (0.2 if never else 0.1)), 2))
            for level in ("underbust", "ribs")
        )
        mend = Mend(label=f"Less pull at the {LEVEL_LABELS['underbust'].lower()}", changes=changes)
    else:
        way = "in" if test == "in alone" else "out"
        said = f"She can't get {way} alone" if never else f"Getting {way} alone is hard"
        why = "somebody has to be near whenever she wears it, or the front has to open"
        severity = "stop" if never and way == "out" else "caution"
        if build.front.opening != "busk":
            mend = Mend(label="A busk at the front", changes=(Change(at="front.opening", value="busk"),))
    return Finding(
        code=f"moved_{test.replace(' ', '_')}",
        stage="mockups",
        severity=severity,
        where=f"Fitting {at}",
        sentence=f"{said}: {why}.",
        mend=mend,
    )


def _left(build: Build, proposal: Proposal | None, unit: Unit) -> list[Finding]:
    """What the seams could not take in one version, and another number of panels that could."""
    if proposal is None or not proposal.left_mm:
        return []
    name, most = max(proposal.left_mm.items(), key=lambda item: abs(item[1]))
    panels = build.draft.panels + (1 if most > 0 else -1)
    cap = format_length(build.practice.seam_cap_mm, unit, hardware=True)
    level = LEVEL_LABELS[name].lower()
    mend = None
    if 3 <= panels <= 9:
        mend = Mend(label=f"{panels} panels in each half", changes=(Change(at="draft.panels", value=panels),))
    return [
        Finding(
            code="seams_full",
            stage="mockups",
            severity="caution",
            where=LEVEL_LABELS[name],
            sentence=f"At the {level} {format_length(abs(most), unit)} more has to be "
            f"{'let out' if most > 0 else 'taken in'} than the seams take at {cap} each. Make it in two versions, "
            f"draft it with {panels} panels in each half, or move CB.",
            numbers={"left_mm": most},
            mend=mend,
        )
    ]
