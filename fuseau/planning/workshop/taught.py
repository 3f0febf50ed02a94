"""What a build teaches of its wearer that another does not know yet: each fitting counts once, whatever way it comes.

A build may rest on what another taught, and pass on what it then knows; a copy holds the fittings of the first. So what
is passed on names the fittings that it rests on, and what the taker tried on itself is left out of it.
"""

import hashlib

from fuseau.craft.wearer.body import Taught
from fuseau.document.build import Build, Memory
from fuseau.document.fittings import Fitting
from fuseau.planning.cache import StageCache
from fuseau.planning.pipeline import believed


def mark_of(build: Build, fitting: Fitting) -> str:
    """A mark of what was seen at a fitting and of which pattern: the same in every copy of it."""
    version = build.version_numbered(fitting.version)
    seen = fitting.model_dump_json(exclude={"number", "version", "corrected", "note", "photos", "hours", "cost"})
    cut = version.pattern.model_dump_json() if version else ""
    return hashlib.sha256(f"{seen}|{cut}".encode()).hexdigest()[:16]


def rests_on(build: Build) -> frozenset[str]:
    """The marks of all fittings that what is believed in a build rests on."""
    own = {mark_of(build, fitting) for fitting in build.fittings}
    return frozenset(own | set(build.taught.rests_on if build.taught else ()))


def news_for(taker: Build, other: Build) -> Build | None:
    """The other build with only what is new to the taker; None where nothing is.

    What it was taught itself is left out where that rests on the taker's fittings, or does not say on which.
    """
    known = {mark_of(taker, fitting) for fitting in taker.fittings}
    fittings = tuple(fitting for fitting in other.fittings if mark_of(other, fitting) not in known)
    if not fittings:
        return None
    memory = other.taught
    if memory is not None and known and (not memory.rests_on or known & set(memory.rests_on)):
        memory = None
    return other.model_copy(update={"fittings": fittings, "taught": memory})


def taught_by(other: Build, measuring_id: str, cache: StageCache) -> Memory | None:
    """What the fittings of a build taught of the wearer on a measuring; None where they taught nothing."""
    if not other.fittings:
        return None
    belief, _ = believed(other, cache)
    return Memory(
        measuring_id=measuring_id,
        build=other.brief.name,
        fittings=len(other.fittings),
        rests_on=tuple(sorted(rests_on(other))),
        levels=tuple(
            Taught(
                name=level.name,
                girth_mm=level.believed_mm,
                spread_mm=level.believed_spread_mm,
                give=level.believed_give,
            )
            for level in belief.learned.levels
        ),
    )
