"""Findings on the fittings: what she could not do in it, what a mock-up could not tell, what does not go together."""

import math

import numpy as np

from fuseau.craft.base.findings import Change, Finding, Mend, Severity, finding, mend
from fuseau.craft.fitting.inference import Learned, WordExpected
from fuseau.craft.pattern.pattern import EdgeLine, Pattern
from fuseau.craft.wearer.garment_kinds import GARMENT_KINDS
from fuseau.craft.wearer.measures import LEVEL_LABELS
from fuseau.document.build import Build
from fuseau.document.fitting_fields import tells_of_fit
from fuseau.document.fittings import Fitting, MovementTest
from fuseau.planning.fittings.evidence import fittings_of_current, jaw_digs, stale_versions
from fuseau.planning.fittings.observations import too_thin, widened
from fuseau.planning.plan import Proposal

_SPREADS_OFF = 3.0
_STEP_MM, _CLEAR_OF_LAP_MM = 10.0, 10.0
_SAME_HEIGHT_MM = 15.0
_WORDS_OFF, _DIGS, _OFF = 2.5, 1.0, 0.05


def check_fittings(
    build: Build, learned: Learned | None, proposal: Proposal | None, pattern: Pattern, flipped: int | None
) -> list[Finding]:
    """What the fittings say beside the gap; `flipped` is a fitting read upside down. Nothing without fittings."""
    if learned is None:
        return []
    here = fittings_of_current(build)
    last = here[-1] if here else None
    return [
        *_upside_down(flipped),
        *_contradictions(build, learned, flipped),
        *_evenings_apart(build, flipped),
        *_words_apart(learned),
        *_which(build, learned),
        *_stale(build),
        *([] if last is None else [*_lacking(build, last), *_movements(build, last, pattern)]),
        *([] if last is None else _at_jaw(build, last, pattern)),
        *_left(build, proposal),
        *_halves(build, proposal),
    ]


def _upside_down(number: int | None) -> list[Finding]:
    if number is None:
        return []
    return [finding("upside_down", "mockups", "caution", where=f"Fitting {number}", fitting=number)]


def _contradictions(build: Build, learned: Learned, flipped: int | None) -> list[Finding]:
    """Readings that do not go with the rest (over 3 spreads): named, never silently averaged."""
    pinned = {
        fitting.number for fitting in build.fittings if fitting.made_of.closing == "pinned" and not build.back.laced
    }
    return [
        finding(
            "reading_contradicts",
            "mockups",
            "caution",
            where=f"Fitting {reading.fitting}",
            numbers={"read_mm": reading.read_mm, "expected_mm": reading.expected_mm},
            said="pins_contradict" if reading.fitting in pinned else "reading_contradicts",
            fitting=reading.fitting,
            z_mm=reading.z_mm,
        )
        for reading in learned.readings
        if reading.spreads_off > _SPREADS_OFF and reading.fitting != flipped
    ]


def _evenings_apart(build: Build, flipped: int | None) -> list[Finding]:
    """The last fitting, where it read one garment at one pull otherwise than an earlier one: never left unsaid."""
    here = [
        fitting for fitting in fittings_of_current(build) if len(fitting.readings) > 1 and fitting.number != flipped
    ]
    if len(here) < 2:
        return []
    last = here[-1]
    found = []
    for earlier in here[:-1]:
        if (earlier.pull, earlier.made_of, earlier.pads) != (last.pull, last.made_of, last.pads):
            continue
        by_mm = _read_wider(earlier, last)
        if by_mm is None or abs(by_mm) <= build.practice.evenings_differ_mm:
            continue
        found.append(
            finding(
                "evenings_apart",
                "mockups",
                "caution",
                where=f"Fitting {last.number}",
                numbers={"by_mm": by_mm},
                said="evenings_apart.wider" if by_mm > 0 else "evenings_apart.narrower",
                fitting=last.number,
                earlier=earlier.number,
                apart_mm=abs(by_mm),
            )
        )
    return found[-1:]


def _read_wider(earlier: Fitting, last: Fitting) -> float | None:
    """By how much wider the gap was read than at an earlier fitting, on average at the heights of both, mm."""
    was, now = (sorted((reading.z_mm, reading.gap_mm) for reading in fitting.readings) for fitting in (earlier, last))
    heights = np.array([z for z, _ in now if was[0][0] - _SAME_HEIGHT_MM <= z <= was[-1][0] + _SAME_HEIGHT_MM])
    if not len(heights):
        return None
    before, after = (np.interp(heights, [z for z, _ in read], [gap for _, gap in read]) for read in (was, now))
    return float(np.mean(after - before))


def words_apart(learned: Learned) -> list[WordExpected]:
    """Where it dug or stood off at the last fitting, and nothing that is known of her says so; the furthest first."""
    last = max((word.fitting for word in learned.words), default=0)
    apart = [word for word in learned.words if word.fitting == last and word.spreads_off > _WORDS_OFF]
    strong = [one for one in apart if one.said_share > _DIGS or one.said_share < _OFF]
    return sorted(strong, key=lambda one: -one.spreads_off)


def _words_apart(learned: Learned) -> list[Finding]:
    """A place that dug or stood off beyond all that her girths explain: something else does it there."""
    told = {one.level: one for one in reversed(words_apart(learned))}
    return [
        finding(
            "word_apart",
            "mockups",
            "caution",
            where=LEVEL_LABELS[one.level],
            numbers={"said_share": one.said_share, "expected_share": one.expected_share},
            said="word_apart.digs" if one.said_share > _DIGS else "word_apart.off",
            fitting=one.fitting,
            level=one.level,
        )
        for one in told.values()
    ]


def _which(build: Build, learned: Learned) -> list[Finding]:
    """Body, cloth or pull, where the last fitting cannot tell, and the cheapest measurement that would."""
    found = learned.ambiguity
    here = fittings_of_current(build)
    if found is None or not here or here[-1].number != found.fitting:
        return []
    code = f"which.{'_'.join(found.causes)}"
    return [
        finding(
            "which_is_it",
            "mockups",
            "advice",
            where=f"Fitting {found.fitting}",
            numbers={"doubt_mm": found.doubt_mm, "left_mm": found.left_mm},
            said=code,
            tells=found.cheapest,
        )
    ]


def _stale(build: Build) -> list[Finding]:
    stale, current = stale_versions(build), build.current
    if current is None or current.number not in stale:
        return []
    where, fitting = f"Version {current.number}", stale[current.number]
    return [finding("stale_version", "mockups", "caution", where=where, version=current.number, fitting=fitting)]


def _lacking(build: Build, fitting: Fitting) -> list[Finding]:
    """What the mock-up could not tell."""
    found: list[tuple[str, str]] = []
    if fitting.made_of.closing == "open":
        found.append(("unlaced", "unlaced"))
    elif widened(build, fitting) > 1:
        lacks = "_".join(
            [*([] if fitting.made_of.boned else ["unboned"]), *(["thin"] if too_thin(build, fitting) else [])]
        )
        found.append(("poor_mock_up", f"poor_mock_up.{lacks}"))
    if build.back.laced and not fitting.readings and tells_of_fit(fitting) and fitting.made_of.closing != "open":
        found.append(("words_only", "words_only"))
    where = f"Fitting {fitting.number}"
    return [finding(code, "mockups", "advice", where=where, said=said, fitting=fitting.number) for code, said in found]


def _lowered(line: EdgeLine, edge: str, place: str, by_mm: float) -> Change:
    """A top line or hem moved at a place: the field of the draft, which counts away from the zero line."""
    field = {"CF": "cf_mm", "side": "side_mm", "CB": "cb_mm"}[place]
    height = getattr(line, field) - by_mm
    return Change(at=f"draft.{edge}.{field}", value=round(max(10.0, height if edge == "top" else -height), 1))


def _movements(build: Build, fitting: Fitting, pattern: Pattern) -> list[Finding]:
    """What she could not do, or only with trouble, and what would let her."""
    findings = [
        _movement(build, fitting, movement.test, movement.went == "not", pattern)
        for movement in fitting.moved
        if movement.went != "well"
    ]
    if build.wearer.waist_to_lap_sitting_mm is None and any(one.code == "moved_sit" for one in findings):
        lap = "wearer.waist_to_lap_sitting_mm"
        findings.append(finding("ask_lap", "mockups", "advice", at=lap, where=f"Fitting {fitting.number}"))
    return findings


def _at_jaw(build: Build, fitting: Fitting, pattern: Pattern) -> list[Finding]:
    """A collar's top edge that digs under the jaw is too high there; told once, where turning told it already."""
    if not GARMENT_KINDS[build.kind].tied or _turning_told(fitting):
        return []
    views = dict.fromkeys(tap.view for tap in jaw_digs(fitting, pattern))
    places = {"front": ("CF", "jaw_digs.front"), "side": ("side", "jaw_digs.side")}
    return [
        finding(
            "jaw_digs",
            "mockups",
            "caution",
            where=f"Fitting {fitting.number}",
            mend=mend(
                f"mend.lower_top_at_{places[view][0].lower()}",
                _lowered(pattern.top, "top", places[view][0], _STEP_MM),
                by_mm=_STEP_MM,
            ),
            said=places[view][1],
        )
        for view in views
    ]


def _turning_told(fitting: Fitting) -> bool:
    return any(movement.test == "turn the head" and movement.went != "well" for movement in fitting.moved)


def _movement(build: Build, fitting: Fitting, test: MovementTest, never: bool, pattern: Pattern) -> Finding:
    severity: Severity = "caution"
    if test == "breathe" or test == "out alone":
        severity = "stop" if never else "caution"
    code = f"moved_{test.replace(' ', '_')}"
    return finding(
        code,
        "mockups",
        severity,
        where=f"Fitting {fitting.number}",
        mend=_frees(build, test, never, pattern),
        said=f"{code}.{'not' if never else 'hard'}",
    )


def _frees(build: Build, test: MovementTest, never: bool, pattern: Pattern) -> Mend | None:
    """What would let her; None where only somebody near would."""
    step = 2 * _STEP_MM if never else _STEP_MM
    if test in ("sit", "bend"):
        lap = build.wearer.waist_to_lap_sitting_mm
        if test == "sit" and lap is not None:  # clear of her lap, if that is more
            step = max(step, _STEP_MM * math.ceil((_CLEAR_OF_LAP_MM - pattern.hem.cf_mm - lap) / _STEP_MM))
        return mend("mend.raise_hem", _lowered(pattern.hem, "hem", "CF", -step), by_mm=step)
    if test == "raise arms":
        return mend("mend.lower_top_at_side", _lowered(pattern.top, "top", "side", step), by_mm=step)
    if test == "turn the head":
        return mend("mend.lower_top_at_cf", _lowered(pattern.top, "top", "CF", step), by_mm=step)
    if test == "breathe":
        share = build.target.shares.get("underbust", build.practice.share_underbust)
        less = round(max(0.1, share - (0.2 if never else 0.1)), 2)
        changes = (Change(at=f"target.shares.{level}", value=less) for level in ("underbust", "ribs"))
        return mend("mend.less_pull", *changes, level="underbust")
    if build.front.opening == "busk":
        return None
    return mend("mend.busk", Change(at="front.opening", value="busk"))


def _halves(build: Build, proposal: Proposal | None) -> list[Finding]:
    """What one half alone needs has its price: the other is cut otherwise."""
    current = build.current
    if proposal is None or current is None or proposal.pattern.left is None or current.pattern.left is not None:
        return []
    return [finding("halves_part", "mockups", "advice", where="Both halves", version=current.number + 1)]


def _left(build: Build, proposal: Proposal | None) -> list[Finding]:
    """What the seams could not take in one version, and another number of panels that could."""
    if proposal is None or not proposal.left_mm:
        return []
    name, most = max(proposal.left_mm.items(), key=lambda item: abs(item[1]))
    here = fittings_of_current(build)
    if here and here[-1].finished:
        return [
            finding(
                "finished_left",
                "mockups",
                "caution",
                where=LEVEL_LABELS[name],
                numbers={"left_mm": most},
                said="finished_left.let_out" if most > 0 else "finished_left.take_in",
                level=name,
                more_mm=abs(most),
            )
        ]
    panels = build.draft.panels + (1 if most > 0 else -1)
    other = mend("mend.panels", Change(at="draft.panels", value=panels), panels=panels)
    return [
        finding(
            "seams_full",
            "mockups",
            "caution",
            where=LEVEL_LABELS[name],
            numbers={"left_mm": most},
            mend=other if 3 <= panels <= 9 else None,
            said="seams_full.let_out" if most > 0 else "seams_full.take_in",
            level=name,
            more_mm=abs(most),
            cap_mm=build.practice.seam_cap_mm,
            panels=panels,
        )
    ]
