"""What was noted at fittings, as observations along the lacing edge, and what they teach (model, section 6)."""

import math
from collections.abc import Mapping
from dataclasses import dataclass, replace
from typing import Self

import numpy as np

from fuseau.craft.base.curves import Array
from fuseau.craft.base.practice import Practice
from fuseau.craft.fit.fit import Lacing, fit
from fuseau.craft.fit.target import Job, Pull, pull_of
from fuseau.craft.fitting.inference import Belief, PlaceDug, believed_without, infer, pressed
from fuseau.craft.fitting.seen import ROOM, WORDS, WORDS_OF_SUPPORT, Strip, Tried, Word, Worn
from fuseau.craft.materials.cloths import Cloth
from fuseau.craft.pattern.pattern import Pattern
from fuseau.craft.wearer.body import Body
from fuseau.craft.wearer.garment_kinds import GARMENT_KINDS
from fuseau.craft.wearer.measures import LevelName
from fuseau.document.build import Build
from fuseau.document.fittings import AlsoLaced, Fitting
from fuseau.planning.fittings.evidence import jaw_digs, spot_of
from fuseau.planning.garment.lacings import edge_of

_FLIPPED_SHARE = 0.5  # upside down, what is left of the differences has to be less than this
_FLIPPED_MM = 8.0
_SURE_SHARE = 0.5  # of that
_PLACE_SHARE, _LEVEL_SHARE = 0.35, 0.6  # of comfort: so far a place digs by itself, and from there the level does
_HARDLY = 0.02
TapKey = tuple[int, int]  # the number of a fitting, and which of its touches
_UNTOLD = {"note": "", "photos": (), "hours": None, "cost": None, "under": "", "tried_on": None, "corrected": 0}


@dataclass(frozen=True)
class TriedOn:
    """One fitting without what tells nothing of the fit; the pattern it was of, its edge (N·m²), and what it lacked.

    `wider` is by how much what the mock-up lacked widens every spread; `padding` what she had under it (see `Lacing`).
    """

    fitting: Fitting
    pattern: Pattern
    edge_n_m2: float
    wider: float
    padding: tuple[tuple[float, float], ...] = ()


@dataclass(frozen=True)
class InferenceInputs:
    """What the belief follows from: the body as measured, and every fitting of a version that exists."""

    measured: Body
    tied: bool
    job: Job
    practice: Practice
    ease_mm: float | None
    strips: tuple[Strip, ...]
    worn: tuple[Worn, ...]
    cloths: tuple[Cloth, ...]
    tried: tuple[TriedOn, ...]

    @classmethod
    def of(cls, build: Build, measured: Body) -> Self:
        """Taken from the build."""
        tried = []
        for fitting in build.fittings:
            version = build.version_numbered(fitting.version)
            if version is not None:
                made = fitting.made_of
                laced = made.boned and made.closing != "pinned"  # pins hold each height where it is
                edge = edge_of(build, made.edge_bone) if laced else build.practice.bare_edge_n_m2
                bare = fitting.model_copy(update=_UNTOLD)
                tried.append(
                    TriedOn(
                        fitting=bare,
                        pattern=version.pattern,
                        edge_n_m2=edge,
                        wider=widened(build, fitting),
                        padding=build.padding(fitting.pads),
                    )
                )
        return cls(
            measured=measured,
            tied=GARMENT_KINDS[build.kind].tied,
            job=build.target.job,
            practice=build.practice,
            ease_mm=build.target.ease_mm,
            strips=strips_of(build),
            worn=worn_of(build, measured),
            cloths=(
                build.stack.cloth,
                build.mock_up_stack.cloth,
                *(build.cloths[strip.cloth] for strip in build.strips),
            ),
            tried=tuple(tried),
        )


def strips_of(build: Build) -> tuple[Strip, ...]:
    """What cloths did under a weight, as the share by which they stretch beyond their table when they are worn."""
    worn = build.practice.close_pull_n_per_m
    return tuple(
        Strip(
            cloth=strip.cloth,
            share=max(
                strip.share * worn / strip.pull_n_per_m - worn / (1000 * build.cloths[strip.cloth].stiffness_kn_per_m),
                0.0,
            ),
            spread=max(build.practice.strip_spread, 0.15 * strip.share * worn / strip.pull_n_per_m),
        )
        for strip in build.strips
    )


def worn_of(build: Build, measured: Body) -> tuple[Worn, ...]:
    """What garments of hers that fit tell, at the levels that are known of her."""
    words = WORDS_OF_SUPPORT if build.target.job == "none" else WORDS
    return tuple(
        Worn(
            level=level.level,
            hoop_mm=level.girth_mm,
            hoop_spread_mm=build.practice.garment_spread_mm,
            share=words[level.word][0],
            share_spread=words[level.word][1] * build.practice.word_spread,
        )
        for garment in build.garments
        for level in garment.levels
        if level.level in measured and not GARMENT_KINDS[build.kind].tied
    )


def infer_belief(inputs: InferenceInputs) -> Belief:
    """The posterior after all fittings.

    A touch that digs is first of the level's pressure; where what the gaps say leaves that low, it is of the place, and
    says nothing of her girth (model, 6: where it digs). Between, it counts for a part.
    """
    digs = [(one, k) for one in inputs.tried for k in _digging(inputs, one)]
    if not digs:
        return _inferred(inputs, {})
    without = tried_on(inputs, {(one.fitting.number, k): 0.0 for one, k in digs})
    plain = pressed(inputs.measured, without, inputs.practice, inputs.strips, inputs.worn, inputs.cloths)
    counts: dict[TapKey, float] = {}
    dug = []
    for one, k in digs:
        tap = one.fitting.taps[k]
        spot = spot_of(tap, inputs.measured)
        share = plain.share(one.fitting.number, _inside(_back_of(spot.z_mm, inputs.measured), one.pattern))
        counts[one.fitting.number, k] = float(np.clip((share - _PLACE_SHARE) / (_LEVEL_SHARE - _PLACE_SHARE), 0.0, 1.0))
        if counts[one.fitting.number, k] < 0.9:
            dug.append(
                PlaceDug(
                    fitting=one.fitting.number,
                    tap=k,
                    view=tap.view,
                    half=tap.half,
                    round=spot.round,
                    z_mm=spot.z_mm,
                    expected_share=share,
                )
            )
    belief = _inferred(inputs, counts, plain.at)
    return replace(belief, learned=belief.learned.model_copy(update={"dug": tuple(dug)}))


def _inferred(inputs: InferenceInputs, counts: Mapping[TapKey, float], near: Array | None = None) -> Belief:
    tried = tried_on(inputs, counts)
    return infer(
        prior=inputs.measured,
        tried=tried,
        practice=inputs.practice,
        strips=inputs.strips,
        worn=inputs.worn,
        cloths=inputs.cloths,
        near=near,
    )


def _digging(inputs: InferenceInputs, on: TriedOn) -> list[int]:
    """Which touches of a fitting dig, by their place in the list; a collar's jaw has its own rule."""
    if inputs.tied or on.fitting.made_of.closing == "open":
        return []
    return [k for k, tap in enumerate(on.fitting.taps) if tap.word == "digs" and tap.off_mm is None]


def _back_of(side_mm: float, body: Body) -> float:
    """The height at the back of what lies so high at the side."""
    return float(np.interp(side_mm, [one.side_mm for one in body], [one.back_mm for one in body]))


@dataclass(frozen=True)
class UpsideDownInputs:
    """What a reading from the other end is found by: all that was seen, and what is believed after it."""

    seen: InferenceInputs
    belief: Belief


def read_upside_down(inputs: UpsideDownInputs) -> int | None:
    """The number of the last fitting, if its gaps go with all that was known before it only from the other end."""
    seen, tried = inputs.seen, tried_on(inputs.seen)
    if (
        not tried
        or seen.tied
        or tried[-1].lacing.pinned
        or max(len(one.z_mm) for one in tried if one.number == tried[-1].number) < 3
    ):
        return None
    number = tried[-1].number
    last = next(one for one in tried if one.number == number)
    before = [one for one in tried if one.number != number]
    order = np.argsort(last.z_mm)
    read = last.gap_mm[order]
    # turned round it can't come nearer by more than it differs from itself turned round (the triangle's inequality)
    if _rms(read - read[::-1]) <= (1 - _FLIPPED_SHARE) * _FLIPPED_MM:
        return None
    if inputs.belief.foreknown_mm is not None and _goes_with(read, inputs.belief.foreknown_mm[order]):
        return None
    expected = fit(last.lacing, believed_without(inputs.belief, before, seen.strips, seen.worn))
    off = np.array([expected.gap_at(z) for z in last.z_mm[order]])
    plain, turned = _rms(read - off), _rms(read[::-1] - off)
    return last.number if plain > _FLIPPED_MM and turned < _FLIPPED_SHARE * plain else None


def _goes_with(read: Array, about: Array) -> bool:
    """Whether gaps go with what was about expected so surely that they need no second look."""
    plain = _rms(read - about)
    return plain < _SURE_SHARE * _FLIPPED_MM or _rms(read[::-1] - about) >= plain


def _rms(values: Array) -> float:
    return float(np.sqrt(np.mean(values**2)))


def tried_on(inputs: InferenceInputs, counts: Mapping[TapKey, float] | None = None) -> list[Tried]:
    """Every fitting as the estimate takes it; `counts` is for how much a touch counts that is not all of the level."""
    return [lacing for one in inputs.tried for lacing in _tried(inputs, one, counts or {})]


def too_thin(build: Build, fitting: Fitting) -> bool:
    """Whether a mock-up's cloth was thinner than half the final strength layer."""
    return fitting.made_of.stack.strength_mm < build.stack.strength_mm / 2


def widened(build: Build, fitting: Fitting) -> float:
    """By how much what this mock-up lacked widens every spread: no bones ×2, cloth thinner than half ×1.5."""
    wide = 1.0 if fitting.made_of.boned else build.practice.unboned_wider
    return wide * (build.practice.thin_wider if too_thin(build, fitting) else 1.0)


def _tried(inputs: InferenceInputs, on: TriedOn, counts: Mapping[TapKey, float]) -> list[Tried]:
    """Every lacing of a fitting: as it was worn, then the others of that evening."""
    fitting = on.fitting
    trials = [_as_worn(inputs, on, counts)]
    if fitting.made_of.closing == "laced" and not inputs.tied:
        trials += [_also(inputs, on, other) for other in fitting.also]
    return trials


def _lacing(inputs: InferenceInputs, on: TriedOn, pull: Pull) -> Lacing:
    return Lacing(
        pattern=on.pattern,
        stack=on.fitting.made_of.stack,
        edge_n_m2=on.edge_n_m2,
        pull_n_per_m=inputs.practice.neck_pull_n_per_m if inputs.tied else pull_of(pull, inputs.job, inputs.practice),
        practice=inputs.practice,
        tied_mm=0.0 if inputs.tied else None,
        shut=_shut(on.fitting),
        pinned=on.fitting.made_of.closing == "pinned",
        padding=on.padding,
    )


def _words(inputs: InferenceInputs) -> dict[Word, tuple[float, float]]:
    return WORDS_OF_SUPPORT if inputs.job == "none" else WORDS


def _shut(fitting: Fitting) -> bool:
    """Whether a mock-up was pinned shut along its edges: closed, and nowhere else."""
    return fitting.made_of.closing == "pinned" and not fitting.readings


def _height(inputs: InferenceInputs, pattern: Pattern, level: LevelName) -> float:
    """Where a level lies on the lacing edge, or the end of it that is nearest."""
    return min(max(inputs.measured[level].back_mm, pattern.hem.cb_mm), pattern.top.cb_mm)


def _also(inputs: InferenceInputs, on: TriedOn, other: AlsoLaced) -> Tried:
    practice, wide = inputs.practice, on.wider
    lacing = _lacing(inputs, on, other.pull)
    return Tried(
        number=on.fitting.number,
        lacing=lacing,
        z_mm=np.array([reading.z_mm for reading in other.readings]),
        gap_mm=np.array([reading.gap_mm for reading in other.readings]),
        spread_mm=wide * np.array([reading.spread_mm or practice.ruler_spread_mm for reading in other.readings]),
        words=tuple(
            (_height(inputs, on.pattern, said.level), share, spread * practice.word_spread * wide)
            for said in other.words
            for share, spread in (_words(inputs)[said.word],)
        ),
        laced_mm=tuple(
            (_height(inputs, on.pattern, said.level), said.girth_mm, practice.laced_spread_mm * wide)
            for said in other.laced
        ),
    )


def _as_worn(inputs: InferenceInputs, on: TriedOn, counts: Mapping[TapKey, float]) -> Tried:
    practice, fitting, pattern, wide = inputs.practice, on.fitting, on.pattern, on.wider
    closing = fitting.made_of.closing
    held = closing != "open"
    usual = practice.pinned_spread_mm if closing == "pinned" else practice.ruler_spread_mm
    readings = fitting.readings if held else ()
    lacing = _lacing(inputs, on, fitting.pull)
    loose = {stand_off.level for stand_off in fitting.stand_offs}  # cloth that bears nothing says nothing of her girth
    said = [(_height(inputs, pattern, word.level), word.word) for word in fitting.words if word.level not in loose]
    at_jaw = jaw_digs(fitting, pattern) if inputs.tied else ()
    touched = [
        (_inside(tap.z_mm, pattern), tap.word, counts.get((fitting.number, k), 1.0))
        for k, tap in enumerate(fitting.taps)
        if tap.off_mm is None and tap not in at_jaw
    ]
    words = [(z, *_words(inputs)[word]) for z, word in said] if not inputs.tied else []
    for z, word, share in touched:
        if share > _HARDLY and not inputs.tied:
            wanted, reach = _words(inputs)[word]
            words.append((z, wanted, reach / math.sqrt(share)))
    said += [(z, word) for z, word, _ in touched]
    room = [(z, *ROOM[word]) for z, word in said] if inputs.tied else []
    felt = tuple((z, share, spread * practice.word_spread * wide) for z, share, spread in words if held)
    # where no pull decides how firm it is, right is whatever holds and does not press
    right = _words(inputs)["right"][0]
    as_held = tuple(one for one in felt if one[1] == right) if inputs.job == "none" or lacing.shut else ()
    return Tried(
        number=fitting.number,
        lacing=lacing,
        z_mm=np.array([reading.z_mm for reading in readings]),
        gap_mm=np.array([reading.gap_mm for reading in readings]),
        spread_mm=wide * np.array([reading.spread_mm or usual for reading in readings]),
        words=tuple(one for one in felt if one not in as_held),
        as_held=as_held,
        room_mm=tuple((z, room, spread * wide) for z, room, spread in room if held),
        laced_mm=tuple(
            (_height(inputs, pattern, girth.level), girth.girth_mm, practice.laced_spread_mm * wide)
            for girth in fitting.laced
            if held
        ),
        under_mm=tuple(
            (_height(inputs, pattern, girth.level), girth.girth_mm, practice.laced_spread_mm * wide)
            for girth in fitting.under_it
            if held
        ),
        rides_mm=None if fitting.rides_mm is None else (fitting.rides_mm, practice.ride_seen_mm),
        ease_mm=inputs.ease_mm,
        pull_spread=practice.pinned_pull_spread if closing == "pinned" else practice.pull_spread,
    )


def _inside(z: float, pattern: Pattern) -> float:
    return min(max(z, pattern.hem.cb_mm), pattern.top.cb_mm)
