"""Every channel, bone, stud and hole of a pattern: front, bones and back, one after the other."""

from fuseau.craft.base.findings import Finding
from fuseau.craft.closures.front import Opening, check_front
from fuseau.craft.fit.fit import Fit
from fuseau.craft.fit.target import Aim
from fuseau.craft.pattern.pattern import Pattern
from fuseau.craft.wearer.body import Body
from fuseau.document.build import Build
from fuseau.planning.cache import StageCache
from fuseau.planning.garment.halves import Halves
from fuseau.planning.plan import Before, HardwarePlan, LeftHardware
from fuseau.planning.stages.back import BackInputs, HolesInputs, lace_back, set_holes
from fuseau.planning.stages.bones import (
    BonesInputs,
    BonesLaid,
    ReuseInputs,
    SectionsInputs,
    TotalsInputs,
    around_channels,
    draw_sections,
    lay_all_bones,
    mock_up_bones,
    of_the_left,
    reuse,
    total,
)
from fuseau.planning.stages.front import OpeningInputs, WaysInputs, check_ways, find_ways_in, open_front
from fuseau.planning.stages.pattern import LayInputs, lay


def lay_halves(build: Build, cache: StageCache, pattern: Pattern) -> Halves:
    """Both halves of a pattern laid flat."""
    left = pattern.left_pattern
    return Halves(
        cache.run(lay, LayInputs(pattern, build.practice)),
        cache.run(lay, LayInputs(left, build.practice)) if left else None,
    )


def bone_halves(
    build: Build, cache: StageCache, halves: Halves, pattern: Pattern, opening: Opening
) -> tuple[BonesLaid, BonesLaid | None]:
    """Channels and bones of the right half, and of the left where its cut or what opens it differs."""
    right = cache.run(
        lay_all_bones, BonesInputs.of(build, halves.right, around_channels(build, pattern, opening, "right"))
    )
    if halves.left is None and opening.half not in ("left", "right"):
        return right, None
    around = around_channels(build, pattern, opening, "left")
    return right, cache.run(lay_all_bones, BonesInputs.of(build, halves.left or halves.right, around))


def plan_hardware(
    build: Build,
    cache: StageCache,
    halves: Halves,
    pattern: Pattern,
    aimed: Aim,
    body: Body,
    final: Fit,
) -> tuple[HardwarePlan, tuple[Finding, ...]]:
    """Every channel, bone, stud and hole of a pattern, and what is said of it. Raises Unmakeable for what can't be."""
    practice, kinds = build.practice, build.bone_kinds

    # front: what opens, and how she gets in
    busk, opening = cache.run(open_front, OpeningInputs.of(build, halves, pattern.front_panels))
    ways = cache.run(find_ways_in, WaysInputs.of(build, final, body, opening))

    # bones: channels, what lies in them, what they come to
    around = around_channels(build, pattern, opening)
    boned, left = bone_halves(build, cache, halves, pattern, opening)
    bones, layout = boned.bones, boned.edge_layout
    beside = next((kinds[bone.kind] for bone in bones if bone.channel == "CF"), None)

    # back: rows, lace, what lies behind
    holes = cache.run(set_holes, HolesInputs.of(build, halves, final, layout))
    getting_in = ways[0].gap_mm if ways else 0.0
    back = cache.run(
        lace_back,
        BackInputs.of(
            build,
            holes,
            final,
            aimed,
            opening,
            pattern,
            halves,
            (bones, left.bones if left else bones),
            getting_in,
        ),
    )

    planned = HardwarePlan.model_construct(
        bones=bones,
        between=boned.between,
        left=LeftHardware(
            bones=left.bones,
            unboned=left.unboned,
            mock_up_bones_mm=mock_up_bones(build, left.bones, around),
        )
        if left
        else None,
        boning=cache.run(
            total, TotalsInputs.of(build, bones, halves.right, pattern, final, left.bones if left else None)
        ),
        unboned=boned.unboned,
        unboned_limit_mm=around.unboned_mm,
        mock_up_bones_mm=mock_up_bones(build, bones, around),
        reuse=cache.run(reuse, ReuseInputs(bones, left.bones if left else None, build.bones.cut, practice)),
        before=_before(build, cache, final),
        sections=cache.run(
            draw_sections,
            SectionsInputs.of(build, bones, layout, len(pattern.panels)),
        ),
        busk=busk,
        opening=opening,
        ways=ways,
        getting_in=ways[0] if ways else None,
        holes=holes,
        lace=back.lace,
        walk=back.walk,
        front_walk=back.front_walk,
        front_lace=back.front_lace,
        modesty=back.modesty,
        waist_tape=back.tape,
        lace_mm=back.lace.cut_mm if back.lace else None,
    )
    findings = (
        *boned.findings,
        *(of_the_left(left, boned) if left else ()),
        *check_front(busk, opening, build.front, beside),
        *check_ways(build, ways),
        *back.findings,
    )
    return planned, findings


def _before(build: Build, cache: StageCache, final: Fit) -> Before | None:
    """The hardware as the version before had it, with the same choices; None where there is none."""
    if len(build.versions) < 2 or build.current is None:
        return None
    older = build.version_numbered(build.current.parent or build.current.number - 1)
    if older is None:
        return None
    halves = lay_halves(build, cache, older.pattern)
    busk, opening = cache.run(open_front, OpeningInputs.of(build, halves, older.pattern.front_panels))
    boned, _ = bone_halves(build, cache, halves, older.pattern, opening)
    holes = cache.run(set_holes, HolesInputs.of(build, halves, final, boned.edge_layout))
    return Before(
        version=older.number,
        bones_mm={bone.channel: bone.length_mm for bone in boned.bones},
        busk_mm=busk.length_mm,
        rows=len(holes.z_mm) if holes else 0,
    )
